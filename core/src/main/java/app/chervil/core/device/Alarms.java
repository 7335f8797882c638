package app.chervil.core.device;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumSet;
import java.util.Optional;
import java.util.Set;

/** Which alarms hold at a moment: a pure answer, so that the same readings never raise one twice. */
public final class Alarms {
    /** A filter that stands longer than this must be heard of. */
    public static final Duration LONG_OFF = Duration.ofMinutes(30);

    /** Wet work that somebody logged as running silences a leak this long after the last thing they ticked. */
    public static final Duration WET_WORK = Duration.ofHours(2);

    /** Kelvin off the usual temperature at which it is told. */
    public static final double KELVIN_OFF = 2;

    private static final Duration WAVES = Duration.ofMinutes(2);
    private static final Duration HEAT_LASTS = Duration.ofMinutes(10);
    private static final Duration FALL_LASTS = Duration.ofMinutes(5);
    private static final Duration PRIMES = Duration.ofMinutes(1);
    private static final double DRY_SHARE = 0.7;

    /** A connection that broke may come back by itself; not in all this time, and the device is silent. */
    static final Duration COMES_BACK = Duration.ofMinutes(2);

    private Alarms() {}

    /**
     * How long a device may say nothing.
     *
     * @param usual as its keeper wants it
     * @param heard when it last said anything
     * @param gone when its connection broke; empty while it holds, or where nobody would tell
     */
    public static Duration quietAfter(Duration usual, Instant heard, Optional<Instant> gone) {
        Duration broken =
                gone.map(at -> Duration.between(heard, at).plus(COMES_BACK)).orElse(usual);
        return broken.compareTo(usual) < 0 ? broken : usual;
    }

    /**
     * What surrounds a device.
     *
     * @param quietAfter how long it may say nothing
     * @param heard when it last said anything, or was fitted
     * @param touched when somebody last ticked something in a service of its tank that is still in progress
     * @param power what the plug of its filter says
     */
    public record Around(Duration quietAfter, Instant heard, Optional<Instant> touched, Power power) {
        public Around(Duration quietAfter, Instant heard, Optional<Instant> touched) {
            this(quietAfter, heard, touched, Power.UNKNOWN);
        }

        /** Whether somebody is at work on its tank. */
        boolean atWork(Instant now) {
            return touched.map(at -> now.isBefore(at.plus(WET_WORK))).orElse(false);
        }
    }

    /**
     * What the plug of a filter says.
     *
     * @param known whether there is one
     * @param since since when it gives power; empty while it gives none
     */
    public record Power(boolean known, Optional<Instant> since) {
        public static final Power UNKNOWN = new Power(false, Optional.empty());

        /** By what is remembered of the plug. */
        public static Power of(Vigil plug) {
            return plug.last().isEmpty()
                    ? UNKNOWN
                    : new Power(
                            true,
                            plug.since().isPresent()
                                    ? Optional.empty()
                                    : Optional.of(plug.backOn().orElse(Instant.EPOCH)));
        }

        /** Whether it has been on for long enough by a moment that water must move. */
        private boolean primed(Instant at) {
            return since.map(on -> !at.isBefore(on.plus(PRIMES))).orElse(false);
        }
    }

    /** Alarms that hold. */
    public static Set<Alarm> of(DeviceKind kind, Vigil vigil, Around around, Instant now) {
        Set<Alarm> holding = EnumSet.noneOf(Alarm.class);
        if (!now.isBefore(around.heard().plus(around.quietAfter()))) {
            holding.add(Alarm.SILENT);
        }
        boolean atWork = around.atWork(now);
        switch (kind) {
            case LEAK -> add(holding, Alarm.LEAK, vigil.since().isPresent() && !atWork);
            case LEVEL -> add(holding, Alarm.LOW, lasts(vigil, WAVES, now) && !atWork);
            case TEMPERATURE -> addHeat(holding, vigil, now);
            case PLUG -> addPower(holding, vigil, atWork, now);
            case FLOW -> addFlow(holding, vigil, around, now);
            case LAMP, BUTTON -> {}
        }
        return holding;
    }

    private static void addPower(Set<Alarm> holding, Vigil vigil, boolean atWork, Instant now) {
        if (vigil.since().isPresent()) {
            addStanding(holding, vigil, atWork, now);
        } else {
            boolean primed =
                    vigil.backOn().map(back -> !now.isBefore(back.plus(PRIMES))).orElse(false);
            boolean dry = vigil.usual().isPresent()
                    && vigil.last()
                            .map(last ->
                                    last.value() < DRY_SHARE * vigil.usual().getAsDouble())
                            .orElse(false);
            add(holding, Alarm.NO_WATER, primed && dry);
        }
    }

    /** Where a plug tells that a filter is off, its meter need not; with power and without flow the pump is in trouble. */
    private static void addFlow(Set<Alarm> holding, Vigil vigil, Around around, Instant now) {
        boolean atWork = around.atWork(now);
        if (vigil.stands()) {
            if (around.power().known()) {
                boolean primed =
                        around.power().primed(vigil.last().orElseThrow().at());
                add(holding, Alarm.NO_WATER, primed && lasts(vigil, PRIMES, now) && !atWork);
            } else {
                addStanding(holding, vigil, atWork, now);
            }
        } else {
            add(holding, Alarm.FLOW_FELL, lasts(vigil, FALL_LASTS, now) && !atWork);
        }
    }

    /** During a service its own clock counts; standing too long is told all the same. */
    private static void addStanding(Set<Alarm> holding, Vigil vigil, boolean atWork, Instant now) {
        boolean tooLong = lasts(vigil, LONG_OFF, now);
        add(holding, Alarm.FILTER_OFF_LONG, tooLong);
        add(holding, Alarm.FILTER_OFF, !tooLong && !atWork);
    }

    private static void addHeat(Set<Alarm> holding, Vigil vigil, Instant now) {
        if (lasts(vigil, HEAT_LASTS, now)) {
            boolean cold = vigil.last().orElseThrow().value() < vigil.usual().orElseThrow();
            holding.add(cold ? Alarm.TOO_COLD : Alarm.TOO_WARM);
        }
    }

    private static boolean lasts(Vigil vigil, Duration least, Instant now) {
        return vigil.since().map(from -> !now.isBefore(from.plus(least))).orElse(false);
    }

    private static void add(Set<Alarm> holding, Alarm alarm, boolean holds) {
        if (holds) {
            holding.add(alarm);
        }
    }
}
