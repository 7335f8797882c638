package app.chervil.sim.device;

import java.time.Duration;
import java.time.Instant;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;

/**
 * A tank with a filter, a pump on a plug, a floor that may be wet and a heater, as its devices would see it. Foam fills with
 * time; what goes wrong is brought about by hand.
 */
public final class StandInTank {
    private static final double READING_SD = 0.02;
    private static final double PUMP_WATTS = 18;
    private static final double DRY_WATTS = 10;
    private static final double FLOW_AT_OVERLOAD = 0.65;
    private static final double LEAST_LOST = 0.001;
    private static final double USUAL_TEMPERATURE = 26;
    private static final double ROOM_TEMPERATURE = 20;
    private static final double NIGHT_KELVIN = 0.2;
    private static final Duration COOLS = Duration.ofMinutes(3);

    private final double cleanFlow;
    private final double fillsInDays;
    private final SplittableRandom random;
    private final Map<Mishap, Boolean> amiss = new EnumMap<>(Mishap.class);
    private Instant from;
    private double days;
    private int speed = 1;
    private Optional<Instant> heaterOff = Optional.empty();

    /** What can be brought about. */
    public enum Mishap {
        /** The pump is without power. */
        UNPLUGGED,
        /** The pump turns and moves air. */
        DRY,
        /** A hose is kinked. */
        KINKED,
        /** Water under the tank. */
        LEAK,
        /** The heater was left off. */
        COLD,
        /** The probe says nothing. */
        SILENT
    }

    /** What a device there reads. */
    public enum Sense {
        FLOW,
        WATTS,
        WET,
        TEMPERATURE
    }

    /**
     * A tank.
     *
     * @param cleanFlow of its filter, L/h
     * @param fillsInDays how long its foam takes from clean to overloaded
     * @param days since it was clean
     * @param now the moment that is so
     */
    public StandInTank(double cleanFlow, double fillsInDays, double days, Instant now, long seed) {
        this.cleanFlow = cleanFlow;
        this.fillsInDays = fillsInDays;
        this.days = days;
        this.from = now;
        this.random = new SplittableRandom(seed);
    }

    /**
     * A tank whose filter moves so much now, having been clean so many days ago.
     *
     * @param flow below the clean flow, or the foam is taken to be nearly clean
     */
    public static StandInTank reading(double cleanFlow, double flow, double days, Instant now, long seed) {
        double loading = Math.sqrt(Math.max(LEAST_LOST, cleanFlow / flow - 1) / (1 / FLOW_AT_OVERLOAD - 1));
        return new StandInTank(cleanFlow, days / loading, days, now, seed);
    }

    /** Whether something is amiss. */
    public boolean is(Mishap mishap) {
        return amiss.getOrDefault(mishap, false);
    }

    /** Brings something about, or mends it. */
    public void set(Mishap mishap, boolean on, Instant now) {
        amiss.put(mishap, on);
        if (mishap == Mishap.COLD) {
            heaterOff = on ? Optional.of(now) : Optional.empty();
        }
    }

    /** Lets the foam take up what it would take up in so many days. */
    public void fill(double more) {
        days += more;
    }

    /** How many days of dirt a day brings. */
    public int speed() {
        return speed;
    }

    /**
     * Lets dirt come faster, or as it does.
     *
     * @param times above zero; 1 is as it does
     */
    public void hurry(int times, Instant now) {
        days += passed(now);
        from = now;
        speed = times;
    }

    private double passed(Instant at) {
        return speed
                * (double) Duration.between(from, at).toMillis()
                / Duration.ofDays(1).toMillis();
    }

    /** The foam is clean again. */
    public void clean(Instant now) {
        days = 0;
        from = now;
    }

    /** The flow of the filter at a moment, without a meter's noise; L/h. */
    public double flow(Instant at) {
        if (is(Mishap.UNPLUGGED) || is(Mishap.DRY)) {
            return 0;
        }
        double loading = Math.max(0, days + passed(at)) / fillsInDays;
        double left = cleanFlow / (1 + (1 / FLOW_AT_OVERLOAD - 1) * loading * loading);
        return is(Mishap.KINKED) ? left / 2 : left;
    }

    /** What a device reads at a moment; empty if it says nothing. */
    public Optional<Double> read(Sense sense, Instant at) {
        return switch (sense) {
            case FLOW -> Optional.of(noisy(flow(at)));
            case WATTS -> Optional.of(is(Mishap.UNPLUGGED) ? 0 : noisy(is(Mishap.DRY) ? DRY_WATTS : PUMP_WATTS));
            case WET -> Optional.of(is(Mishap.LEAK) ? 1.0 : 0.0);
            case TEMPERATURE -> is(Mishap.SILENT) ? Optional.empty() : Optional.of(temperature(at));
        };
    }

    private double temperature(Instant at) {
        double day = at.getEpochSecond()
                % Duration.ofDays(1).toSeconds()
                / (double) Duration.ofDays(1).toSeconds();
        double usual = USUAL_TEMPERATURE + NIGHT_KELVIN * Math.sin(2 * Math.PI * day);
        double cooled = heaterOff
                .map(since -> 1 - Math.exp(-Duration.between(since, at).toMillis() / (double) COOLS.toMillis()))
                .orElse(0.0);
        return Math.round(10 * (usual - cooled * (usual - ROOM_TEMPERATURE))) / 10.0;
    }

    private double noisy(double value) {
        return Math.max(0, value * (1 + READING_SD * random.nextGaussian()));
    }
}
