package app.chervil.core.interval;

import app.chervil.core.calc.Normal;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;

/**
 * The window that a belief leads to, in use days since the run began. Ideal exposure e^(m − 0.12 + 0.11 ln(2/B) − 0.85 s)
 * with s² = v + 0.05 + 0.0225; earliest 0.75 of the ideal days; latest where one in five would be overloaded,
 * e^(m − 0.8416 √(v + 0.05)), held to 1.05–1.2 of the ideal days (docs/sources.md#interval-engine).
 *
 * @param held the limit that set the ideal day
 * @param risk chance that the stage is overloaded by the latest day, 0 to 1
 */
record Decision(Window.Days days, Limit held, double risk) {
    static final double TRUTH_VARIANCE = 0.05;
    private static final double SCORING_VARIANCE = 0.0225;
    private static final double ONE_IN_FIVE = 0.8416;
    static final double EARLIEST_SHARE = 0.75;
    static final double LATEST_FROM = 1.05;
    static final double LATEST_TO = 1.2;
    private static final double LEAST_SHARE_OF_START = 1.0 / 4;
    private static final double LEAST_SHARE_WHEN_SMALL = 1.0 / 12;
    private static final double MOST_OF_START = 4;
    private static final double FLOOR_WHEN_SMALL = 4;

    /** What kept an interval from going where the findings alone would send it. */
    enum Limit {
        NONE,
        GROWTH,
        FLOOR,
        CEILING,
        /** Below the floor, because findings asked for it again and again. */
        TOO_SMALL
    }

    /**
     * Works the window out.
     *
     * @param small whether the stage was full so soon and so often that its floor no longer holds
     */
    static Decision of(CareRule rule, Graded graded, RunBelief belief, Run run, boolean small) {
        Limited ideal = new Limits(rule, run, small).hold(Math.exp(idealLogExposure(graded, belief)));
        double overloadRisk = Math.exp(belief.mean() - ONE_IN_FIVE * belief.spread());
        double wanted = clamp(run.daysTo(overloadRisk), LATEST_FROM * ideal.days, LATEST_TO * ideal.days);
        double latest =
                ideal.limit == Limit.FLOOR ? ideal.days : Math.max(ideal.days, Math.min(wanted, graded.ceilingDays()));
        double risk = Normal.below((LogExposure.log(run.exposureAfter(latest)) - belief.mean()) / belief.spread());
        return new Decision(new Window.Days(EARLIEST_SHARE * ideal.days, ideal.days, latest), ideal.limit, risk);
    }

    /** Exposure at which the task is asked for, before limits. */
    static double idealLogExposure(Graded graded, RunBelief belief) {
        double s = Math.sqrt(belief.variance() + SCORING_VARIANCE);
        return belief.mean() - 0.12 + 0.11 * Math.log(2 / graded.overloadCost()) - 0.85 * s;
    }

    private record Limits(CareRule rule, Run run, boolean small) {
        Limited hold(double exposure) {
            double start = rule.startDays();
            double least = start * (small ? LEAST_SHARE_WHEN_SMALL : LEAST_SHARE_OF_START);
            double held = clamp(exposure, least, MOST_OF_START * start);
            Limit limit = held > exposure ? Limit.FLOOR : held < exposure ? Limit.CEILING : Limit.NONE;
            Limited grown = new Limited(run.daysTo(held), limit).atMost(run.limit(), Limit.GROWTH);
            double usualLeast = Math.max(rule.bounds().leastDays(), start * LEAST_SHARE_OF_START);
            if (grown.days < floor()) {
                return new Limited(floor(), Limit.FLOOR);
            }
            if (grown.days > rule.bounds().mostDays()) {
                return new Limited(rule.bounds().mostDays(), Limit.CEILING);
            }
            boolean tooSmall = small && grown.days < usualLeast && grown.limit != Limit.GROWTH;
            return tooSmall ? new Limited(grown.days, Limit.TOO_SMALL) : grown;
        }

        private double floor() {
            double floor = rule.bounds().leastDays();
            return small ? Math.max(1, floor / FLOOR_WHEN_SMALL) : floor;
        }
    }

    private static double clamp(double value, double least, double most) {
        return Math.min(Math.max(value, least), most);
    }

    private record Limited(double days, Limit limit) {
        Limited atMost(double most, Limit by) {
            return days > most ? new Limited(most, by) : this;
        }
    }
}
