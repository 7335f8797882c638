package app.chervil.core.passport;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import java.util.Optional;

/**
 * How a filter is built, as far as hands have to know (docs/sources.md#passport).
 *
 * @param direction of the water through a canister; empty for other kinds and where nobody said
 */
public record Build(
        FilterKind kind,
        Optional<FlowDirection> direction,
        Water water,
        Housing housing,
        Hoses hoses,
        Current current) {
    /** What shuts the water off. */
    public enum ShutOff {
        /** Nothing, or nobody knows: the siphon is broken first. */
        NONE(5),
        /** Valves at the couplings. */
        VALVES(3),
        /** A block that takes both hoses off at once; it fits one way only. */
        BLOCK(2);

        private final int minutes;

        ShutOff(int minutes) {
            this.minutes = minutes;
        }

        /** Minutes it takes to shut and open again. */
        public int minutes() {
            return minutes;
        }
    }

    /** How an opened canister is filled again. */
    public enum Fill {
        /** Before its lid goes on. */
        OPEN_TOP,
        /** Through a cap, once its lid is shut. */
        CAP,
        /** By a primer, once its hoses are on. */
        PRIMER,
        /** By a bulb in its hose, once its hoses are on. */
        BULB,
        /** By its own siphon, once its hoses are on. */
        SELF
    }

    /** Whether it stops by itself to let air out, which is no fault. */
    public enum Purge {
        NONE,
        AT_START,
        DAILY
    }

    /** Where the hoses are fixed. */
    public enum Ports {
        /** To the head: they come off before it is opened. */
        LID,
        /** To the body: they stay on while it is opened where it stands. */
        BODY
    }

    /** Where the pump sits. */
    public enum Pump {
        HEAD,
        /** Under everything else: all of it comes out first. */
        BASE,
        BOX,
        CHAMBER,
        BODY
    }

    /** Where the heater is. */
    public enum HeaterPlace {
        TANK,
        SUMP,
        /** In the return hose: it burns out without flow. */
        IN_LINE,
        /** In the filter: it burns out without flow. */
        IN_FILTER
    }

    /** Where a canister's lamp is. */
    public enum LampPlace {
        /** In the lid, so that it is reached by opening. */
        LID,
        /** In a hose, so that it is reached from outside. */
        LINE
    }

    /**
     * How water is held back, filled in and freed of air.
     *
     * @param purges a day, where it stops daily; else zero
     */
    public record Water(ShutOff shutOff, Fill fill, Purge purge, int purges) {
        public Water {
            Check.within("purges", purges, 0, 24);
        }
    }

    /**
     * The housing and what holds it shut.
     *
     * @param latches how many, 0 to 12
     * @param wiggle whether its head comes up only by wiggling
     * @param opensWhereItStands whether there is room above it
     */
    public record Housing(
            Ports ports,
            int latches,
            boolean wiggle,
            Pump pump,
            boolean ventTube,
            boolean pumpGuard,
            boolean alignmentMark,
            boolean opensWhereItStands) {
        public Housing {
            Check.within("latches", latches, 0, 12);
        }
    }

    /**
     * Its hoses.
     *
     * @param metres of both together, 0 to 20
     * @param innerMm inner width in millimetres, 1 to 100
     */
    public record Hoses(double metres, double innerMm) {
        public static final Hoses USUAL = new Hoses(1.5, 16);

        public Hoses {
            Check.within("metres", metres, 0, 20);
            Check.within("innerMm", innerMm, 1, 100);
        }
    }

    /**
     * What hangs on the mains beside the pump.
     *
     * @param dryGripSock whether a sump's sock can be swapped with dry hands while the pump runs
     */
    public record Current(HeaterPlace heater, LampPlace lamp, boolean dryGripSock) {
        public static final Current USUAL = new Current(HeaterPlace.TANK, LampPlace.LID, false);
    }

    /** A filter of which nothing more is known: nothing to shut it with, and filled as its direction suggests. */
    public static Build usual(FilterKind kind, Optional<FlowDirection> direction) {
        return usual(kind, direction, ShutOff.NONE, usualFill(direction));
    }

    /** A filter of which only the way of its water is known. */
    public static Build usual(FilterKind kind, Optional<FlowDirection> direction, ShutOff shutOff, Fill fill) {
        boolean twoChambers = direction.equals(Optional.of(FlowDirection.TWO_CHAMBER));
        Pump pump =
                switch (kind) {
                    case CANISTER -> direction.equals(Optional.of(FlowDirection.TOP_DOWN)) ? Pump.BASE : Pump.HEAD;
                    case HANG_ON_BACK -> Pump.BOX;
                    case SUMP, UV_UNIT -> Pump.CHAMBER;
                    case INTERNAL, AIR_SPONGE -> Pump.BODY;
                };
        return new Build(
                kind,
                direction,
                new Water(shutOff, fill, Purge.NONE, 0),
                new Housing(Ports.LID, twoChambers ? 2 : 4, true, pump, twoChambers, twoChambers, false, true),
                Hoses.USUAL,
                Current.USUAL);
    }

    private static Fill usualFill(Optional<FlowDirection> direction) {
        return direction
                .map(way -> switch (way) {
                    case BOTTOM_UP -> Fill.OPEN_TOP;
                    case TWO_CHAMBER -> Fill.CAP;
                    case SIDE_THEN_TRAYS -> Fill.PRIMER;
                    case TOP_DOWN -> Fill.SELF;
                })
                .orElse(Fill.SELF);
    }

    public boolean is(FilterKind other) {
        return kind == other;
    }

    /** Whether hoses lead to it from the tank, so that water runs on when it stops. */
    public boolean hangsOnHoses() {
        return kind == FilterKind.CANISTER || kind == FilterKind.UV_UNIT;
    }

    /** Whether its heater may be on only while water moves through it. */
    public boolean heaterNeedsFlow() {
        return current.heater() == HeaterPlace.IN_LINE || current.heater() == HeaterPlace.IN_FILTER;
    }
}
