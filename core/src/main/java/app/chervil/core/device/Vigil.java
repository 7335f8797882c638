package app.chervil.core.device;

import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * What is remembered of a device between readings: enough to say at any moment what holds. A reading older than the newest
 * changes nothing.
 *
 * @param last newest reading
 * @param since since when something is out of order: off, wet, low, fallen
 * @param usual what it reads while all is well: clean watts, usual temperature, flow of the last hours
 * @param backOn when a filter last came back
 */
public record Vigil(Optional<Signal> last, Optional<Instant> since, OptionalDouble usual, Optional<Instant> backOn) {
    /** Before its first reading. */
    public static final Vigil NEW =
            new Vigil(Optional.empty(), Optional.empty(), OptionalDouble.empty(), Optional.empty());

    /** Watts at which even a small pump no longer runs, and the share of its usual ones. */
    private static final double OFF_WATTS = 1;

    private static final double OFF_SHARE = 0.15;
    private static final double NO_FLOW_SHARE = 0.05;
    private static final double FALLEN_SHARE = 0.7;
    private static final double HALF = 0.5;
    /** A pump takes a moment to draw water before its watts or its flow mean anything. */
    static final Duration SETTLES = Duration.ofMinutes(10);

    /** Time over which what is usual follows. */
    private static final Duration FLOW_MEMORY = Duration.ofHours(6);

    private static final Duration WATT_MEMORY = Duration.ofDays(3);
    private static final Duration HEAT_MEMORY = Duration.ofDays(2);

    /** What holds after a reading. */
    public Vigil told(DeviceKind kind, Signal signal) {
        if (last.map(before -> !signal.at().isAfter(before.at())).orElse(false)) {
            return this;
        }
        boolean amiss = amiss(kind, signal.value());
        Optional<Instant> from = amiss ? since.or(() -> Optional.of(signal.at())) : Optional.empty();
        Optional<Instant> back = since.isPresent() && !amiss ? Optional.of(signal.at()) : backOn;
        return new Vigil(Optional.of(signal), from, amiss ? usual : followed(kind, signal, back), back);
    }

    private boolean amiss(DeviceKind kind, double value) {
        return switch (kind) {
            case LEAK, LEVEL -> value >= HALF;
            case PLUG -> value < Math.max(OFF_WATTS, OFF_SHARE * usual.orElse(0));
            case FLOW -> usual.isPresent() && value < FALLEN_SHARE * usual.getAsDouble();
            case TEMPERATURE -> usual.isPresent() && Math.abs(value - usual.getAsDouble()) >= Alarms.KELVIN_OFF;
            case LAMP, BUTTON -> false;
        };
    }

    /** Whether nothing is out of order; from one calm reading to the next no alarm begins but by time. */
    public boolean calm() {
        return since.isEmpty();
    }

    /** Whether the water that a flow meter watches stands altogether. */
    boolean stands() {
        return since.isPresent() && last.map(Signal::value).orElse(0.0) < standsBelow();
    }

    /** Below this a flow is none: the water stands. */
    public double standsBelow() {
        return Math.max(1, NO_FLOW_SHARE * usual.orElse(0));
    }

    private OptionalDouble followed(DeviceKind kind, Signal signal, Optional<Instant> back) {
        Duration memory =
                switch (kind) {
                    case FLOW -> FLOW_MEMORY;
                    case PLUG -> WATT_MEMORY;
                    case TEMPERATURE -> HEAT_MEMORY;
                    case LEAK, LEVEL, LAMP, BUTTON -> Duration.ZERO;
                };
        boolean settling =
                back.map(at -> signal.at().isBefore(at.plus(SETTLES))).orElse(false);
        if (memory.isZero() || (settling && usual.isPresent())) {
            return usual;
        }
        if (usual.isEmpty() || last.isEmpty()) {
            return OptionalDouble.of(signal.value());
        }
        double passed = Duration.between(last.get().at(), signal.at()).toMillis();
        double weight = 1 - Math.exp(-passed / memory.toMillis());
        return OptionalDouble.of(usual.getAsDouble() + weight * (signal.value() - usual.getAsDouble()));
    }

    /** The same after its filter was serviced: what was usual before is so no longer, and is learned anew. */
    public Vigil begunAnew() {
        return new Vigil(last, Optional.empty(), OptionalDouble.empty(), Optional.empty());
    }
}
