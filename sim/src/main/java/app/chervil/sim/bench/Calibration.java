package app.chervil.sim.bench;

import app.chervil.core.interval.ContextEffect;
import app.chervil.core.tank.ContextChange;
import app.chervil.sim.truth.HiddenStage;
import java.time.temporal.ChronoUnit;

/** Counts how often what was believed came true. */
final class Calibration {
    private static final double NINE_IN_TEN = 1.2816;

    /** Covered and asked, before any finding, after one to three, after more. */
    final int[] covered = new int[3];

    final int[] asked = new int[3];
    int overloadedBeforeLatest;

    /**
     * A belief at the moment of a service.
     *
     * @param rate believed exposure a day
     * @param latestDay last day of the window
     */
    record Belief(int services, app.chervil.core.interval.Belief theta, double rate, int latestDay) {}

    /** Holds a belief against the truth: the day the stage would overload, reckoned in believed exposure. */
    void judge(HiddenStage stage, int servedDay, Belief belief) {
        int overload = stage.overloadedOn(servedDay);
        if (overload > stage.days()) {
            return;
        }
        double exposure = 0;
        double rate = belief.rate();
        app.chervil.core.interval.Belief theta = belief.theta();
        int from = servedDay;
        for (ContextChange change : stage.logged()) {
            int day = (int) ChronoUnit.DAYS.between(stage.start().on(), change.on());
            if (day > servedDay && day < overload) {
                ContextEffect effect = ContextEffect.of(change);
                exposure += rate * (day - from);
                rate *= Math.exp(effect.logRate());
                theta = theta.widened(effect.sd());
                from = day;
            }
        }
        exposure += rate * (overload - 0.5 - from);
        int bin = belief.services() == 0 ? 0 : belief.services() <= 3 ? 1 : 2;
        double off = Math.abs(Math.log(exposure) - belief.theta().mean());
        asked[bin]++;
        covered[bin] += off <= NINE_IN_TEN * theta.spreadOfARun() ? 1 : 0;
        overloadedBeforeLatest += overload <= belief.latestDay() ? 1 : 0;
    }

    void add(Calibration other) {
        for (int bin = 0; bin < asked.length; bin++) {
            covered[bin] += other.covered[bin];
            asked[bin] += other.asked[bin];
        }
        overloadedBeforeLatest += other.overloadedBeforeLatest;
    }
}
