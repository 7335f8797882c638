package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;

/**
 * The window that a belief leads to. Ideal exposure e^(m − 0.12 + 0.11 ln(2/B) − 0.85 s) with s² = v + 0.05 + 0.0225;
 * earliest 0.75 of the ideal days; latest where one in five would be overloaded, e^(m − 0.8416 √(v + 0.05)), held to
 * 1.05–1.2 of the ideal days (docs/sources.md#interval-engine).
 *
 * @param held the limit that set the ideal day
 */
record Decision(Window.Days days, Limit held) {
    static final double TRUTH_VARIANCE = 0.05;
    private static final double SCORING_VARIANCE = 0.0225;
    private static final double ONE_IN_FIVE = 0.8416;
    static final double EARLIEST_SHARE = 0.75;
    static final double LATEST_FROM = 1.05;
    static final double LATEST_TO = 1.2;

    /** What kept an interval from going where the findings alone would send it. */
    enum Limit {
        NONE,
        GROWTH,
        FLOOR,
        CEILING
    }

    static Decision of(CareRule rule, Graded graded, Belief belief, Run run) {
        double exposure =
                clamp(Math.exp(idealLogExposure(graded, belief)), rule.startDays() / 4.0, rule.startDays() * 4.0);
        Limited ideal = limited(run.daysTo(exposure), rule, run);
        double overloadRisk = Math.exp(belief.mean() - ONE_IN_FIVE * belief.spreadOfARun());
        double latest = clamp(run.daysTo(overloadRisk), LATEST_FROM * ideal.days, LATEST_TO * ideal.days);
        double latestHeld = Math.max(ideal.days, Math.min(latest, graded.ceilingDays()));
        return new Decision(new Window.Days(EARLIEST_SHARE * ideal.days, ideal.days, latestHeld), ideal.limit);
    }

    /** Exposure at which the task is asked for, before limits. */
    static double idealLogExposure(Graded graded, Belief belief) {
        double s = Math.sqrt(belief.variance() + TRUTH_VARIANCE + SCORING_VARIANCE);
        return belief.mean() - 0.12 + 0.11 * Math.log(2 / graded.overloadCost()) - 0.85 * s;
    }

    private static Limited limited(double days, CareRule rule, Run run) {
        double grown = Math.min(days, run.limitDays());
        if (grown < rule.bounds().leastDays()) {
            return new Limited(rule.bounds().leastDays(), Limit.FLOOR);
        }
        if (grown > rule.bounds().mostDays()) {
            return new Limited(rule.bounds().mostDays(), Limit.CEILING);
        }
        return new Limited(grown, grown < days ? Limit.GROWTH : Limit.NONE);
    }

    private static double clamp(double value, double least, double most) {
        return Math.min(Math.max(value, least), most);
    }

    private record Limited(double days, Limit limit) {}
}
