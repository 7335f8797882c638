package app.chervil.core.procedure;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import java.util.Optional;

/**
 * How a filter is built, as far as hands have to know.
 *
 * @param direction of the water through a canister; empty for other kinds and where nobody said
 */
public record Build(FilterKind kind, Optional<FlowDirection> direction, Valves valves, Fill fill) {
    /** What shuts the water off. */
    public enum Valves {
        /** Nothing, or nobody knows: the siphon is broken first. */
        NONE,
        /** Valves at the couplings. */
        AT_COUPLINGS
    }

    /** How an opened canister is filled again. */
    public enum Fill {
        /** Before its lid goes on. */
        OPEN_TOP,
        /** Through a cap, once its lid is shut. */
        CAP,
        /** By its own siphon or primer, once its hoses are on. */
        SELF
    }

    /** A filter of which nothing more is known: no valves, filled as its direction suggests. */
    public static Build usual(FilterKind kind, Optional<FlowDirection> direction) {
        boolean bottomUp = direction.equals(Optional.of(FlowDirection.BOTTOM_UP));
        return new Build(kind, direction, Valves.NONE, bottomUp ? Fill.OPEN_TOP : Fill.SELF);
    }

    boolean is(FilterKind other) {
        return kind == other;
    }

    /** Whether hoses lead to it from the tank, so that water runs on when it stops. */
    boolean hangsOnHoses() {
        return kind == FilterKind.CANISTER || kind == FilterKind.UV_UNIT;
    }
}
