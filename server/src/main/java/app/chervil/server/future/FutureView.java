package app.chervil.server.future;

import app.chervil.sim.future.Way;
import java.util.List;
import java.util.UUID;

/**
 * A comparison under way or done.
 *
 * @param done futures lived
 * @param total futures to live
 * @param ways empty until it is done
 */
public record FutureView(UUID id, State state, int done, int total, List<WayView> ways) {
    /** How far it is. */
    public enum State {
        RUNNING,
        DONE,
        CANCELLED,
        FAILED
    }

    /** What a year brings. */
    public enum Measure {
        SERVICES,
        HOURS,
        MONEY,
        OVERLOADS,
        WORST_NITRATE,
        WORST_AMMONIA
    }

    /** A way of working with the spread of each measure. */
    public record WayView(Way way, String words, List<SpreadView> measures) {}

    /**
     * How a measure is spread over the futures.
     *
     * @param values twenty of equal chance, least first
     */
    public record SpreadView(Measure measure, double low, double middle, double high, List<Double> values) {}
}
