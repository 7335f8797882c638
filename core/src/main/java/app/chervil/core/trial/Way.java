package app.chervil.core.trial;

import app.chervil.core.calc.Check;
import java.util.OptionalInt;

/**
 * One way of doing a task that is tried against others.
 *
 * @param days its interval; empty where it is left out altogether
 */
public record Way(OptionalInt days) {
    /** The thing is taken out for as long: nothing to be done. */
    public static final Way WITHOUT = new Way(OptionalInt.empty());

    public Way {
        days.ifPresent(every -> Check.within("days", every, 1, Design.MOST_PERIOD_DAYS));
    }

    public static Way every(int days) {
        return new Way(OptionalInt.of(days));
    }

    /** How often it is done in a week. */
    double timesAWeek() {
        return days.isPresent() ? 7.0 / days.getAsInt() : 0;
    }
}
