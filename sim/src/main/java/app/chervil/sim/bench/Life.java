package app.chervil.sim.bench;

import app.chervil.core.tank.ContextChange;
import app.chervil.sim.truth.Eye;
import app.chervil.sim.truth.HiddenStage;
import app.chervil.sim.truth.Randomness;
import app.chervil.sim.truth.World;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;

/** One stage kept by one practice for some years. */
final class Life {
    private static final double NEAR = 1.2;
    private static final double METER_SD = 0.05;

    private final HiddenStage stage;
    private final Keeper keeper;
    private final int days;

    /**
     * Who keeps it.
     *
     * @param flowShare share of services at which flow is measured
     * @param seed of all that people do; the same for every practice
     */
    record Keeper(World world, Eye eye, double flowShare, double flowExponent, long seed) {}

    /**
     * How it went.
     *
     * @param cost in services
     * @param near services until one came within 20 % of the oracle's cost for the same dirt; one more than all if none did
     */
    record Outcome(double cost, int services, int overloaded, int firstThree, int firstThreeOverloaded, int near) {}

    Life(HiddenStage stage, Keeper keeper, int days) {
        this.stage = stage;
        this.keeper = keeper;
        this.days = days;
    }

    /**
     * Lives it.
     *
     * @param oracle least cost over these days
     * @param calibration told of every belief
     */
    Outcome with(Practice practice, double oracle, Calibration calibration) {
        double cost = 0;
        int services = 0;
        int overloaded = 0;
        int firstThreeOverloaded = 0;
        int near = 0;
        int served = 0;
        while (true) {
            int from = served;
            practice.belief(served).ifPresent(belief -> calibration.judge(stage, from, belief));
            SplittableRandom chance = Randomness.of(keeper.seed(), "service", services);
            int next = next(practice, served, chance);
            double run = 0;
            for (int day = served + 1; day <= Math.min(next, days); day++) {
                run += Costs.ofDay(stage, served, day);
            }
            if (next > days) {
                cost += run + Costs.owed(stage.filled(served, days));
                break;
            }
            double loading = stage.loading(served, next);
            run += Costs.ofService(loading);
            cost += run;
            services++;
            overloaded += loading >= 1 ? 1 : 0;
            firstThreeOverloaded += loading >= 1 && services <= 3 ? 1 : 0;
            if (near == 0 && run / stage.filled(served, next) <= NEAR * oracle / stage.filled(0, days)) {
                near = services;
            }
            practice.served(next, keeper.eye().grade(loading, chance), flow(loading, chance));
            served = next;
        }
        return new Outcome(
                cost,
                services,
                overloaded,
                Math.min(3, services),
                firstThreeOverloaded,
                near == 0 ? services + 1 : near);
    }

    /** The day of the next service: planned, replanned at each change that is written down, early or missed by chance. */
    private int next(Practice practice, int served, SplittableRandom chance) {
        double slip = slip(chance);
        int planned = planned(practice, served, slip);
        if (practice.watches()) {
            return watched(practice, served, slip);
        }
        for (ContextChange change : after(served)) {
            int day = day(change);
            if (day <= planned) {
                practice.changed(change);
                planned = Math.max(day, planned(practice, served, slip));
            }
        }
        return planned;
    }

    /** The same by somebody who reads a meter every evening and serves the stage on the day that is then due or past. */
    private int watched(Practice practice, int served, double slip) {
        for (int day = served + 1; day <= days; day++) {
            int today = day;
            stage.logged().stream().filter(change -> day(change) == today).forEach(practice::changed);
            practice.read(day, metered(served, day));
            if (planned(practice, served, slip) <= day) {
                return day;
            }
        }
        return days + 1;
    }

    /** One reading a day, {@link #METER_SD} off. */
    private double metered(int served, int day) {
        double left = Eye.flowShare(
                stage.model().graded().flowAtOverload().orElseThrow(),
                stage.loading(served, day),
                keeper.flowExponent());
        return left
                * Math.max(
                        0.1,
                        1
                                + METER_SD
                                        * Randomness.of(keeper.seed(), "meter", day)
                                                .nextGaussian());
    }

    private int planned(Practice practice, int served, double slip) {
        double held = Math.min(practice.interval(), stage.model().graded().ceilingDays());
        return served + (int) Math.max(1, Math.round(held * slip));
    }

    private double slip(SplittableRandom chance) {
        double kind = chance.nextDouble();
        double early = keeper.world().keeping().early();
        double missed = keeper.world().keeping().missed();
        double size = chance.nextDouble();
        return kind < early ? 0.5 + 0.4 * size : kind < early + missed ? 1.1 + 0.4 * size : 1;
    }

    private List<ContextChange> after(int served) {
        return stage.logged().stream().filter(change -> day(change) > served).toList();
    }

    private int day(ContextChange change) {
        return (int) ChronoUnit.DAYS.between(stage.start().on(), change.on());
    }

    private OptionalDouble flow(double loading, SplittableRandom chance) {
        OptionalDouble measured = Eye.flow(stage.model(), loading, keeper.flowExponent(), chance);
        return chance.nextDouble() < keeper.flowShare() ? measured : OptionalDouble.empty();
    }
}
