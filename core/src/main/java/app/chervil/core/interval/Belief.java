package app.chervil.core.interval;

import app.chervil.core.calc.Check;

/**
 * What is believed of θ = ln T, where T is the exposure, in days at the usual dirt rate, that overloads a stage:
 * θ ~ Normal(mean, variance).
 *
 * @param mean natural logarithm of days; finite
 * @param variance above zero
 */
public record Belief(double mean, double variance) {
    static final double PRIOR_VARIANCE = 0.37;
    static final double MOST_DRIFTED_VARIANCE = 0.444;
    private static final double DRIFT_PER_30_DAYS = 0.01;
    static final double USUAL_LOADING_AT_SERVICE = 0.6;
    private static final double MOST_SURPRISE = 2;
    private static final double LEAST_FLOW_SHARE = 0.15;
    private static final double FLOW_SAYS_LITTLE_ABOVE = 0.90;

    public Belief {
        Check.within("mean", mean, -20, 20);
        Check.positive("variance", variance);
    }

    /** The belief before anything was found: a stage is usually served at 0.6 of its overload. */
    static Belief prior(double defaultDays) {
        return new Belief(
                Math.log(Check.positive("defaultDays", defaultDays) / USUAL_LOADING_AT_SERVICE), PRIOR_VARIANCE);
    }

    /** Older evidence says less: variance grows with the days since the last service, up to a cap. */
    Belief drifted(long days) {
        double grown = Math.min(variance + DRIFT_PER_30_DAYS * days / 30, MOST_DRIFTED_VARIANCE);
        return new Belief(mean, Math.max(variance, grown));
    }

    /** The belief after a change of context with this spread of its effect on the log scale. */
    public Belief widened(double sd) {
        return new Belief(mean, variance + sd * sd);
    }

    /** Whether a finding at this exposure says anything: clean so early, or clogged so late, is no news. */
    boolean learnsFrom(Finding finding, CalibratedEye eye, LogExposure exposure) {
        double logLoading = exposure.mean() - mean;
        return switch (finding) {
            case CLEAN -> logLoading >= eye.logCentre(Finding.CLEAN);
            case CLOGGED -> logLoading <= eye.logCentre(Finding.CLOGGED);
            default -> true;
        };
    }

    /** One Kalman step: y = ln X − ln c, R = the grade's variance with that of ln X. */
    Taught found(Finding finding, CalibratedEye eye, LogExposure exposure) {
        return learnsFrom(finding, eye, exposure)
                ? step(exposure.mean() - eye.logCentre(finding), eye.variance(finding) + exposure.variance())
                : Taught.nothing(this);
    }

    /**
     * One Kalman step from the flow left before a service, if f = 1 ÷ (1 + κL²).
     *
     * @param share flow before ÷ clean flow; above zero
     * @param shareAtOverload the share left when the stage is overloaded
     */
    Taught flowed(double share, double shareAtOverload, LogExposure exposure) {
        double f = Math.min(Math.max(share, LEAST_FLOW_SHARE), FLOW_SAYS_LITTLE_ABOVE);
        double kappa = 1 / shareAtOverload - 1;
        double logLoading = 0.5 * Math.log((1 / f - 1) / kappa);
        boolean onlyABound = share > FLOW_SAYS_LITTLE_ABOVE && exposure.mean() - mean < logLoading;
        double slopeError = 0.10 / (2 * (1 - f));
        return onlyABound
                ? Taught.nothing(this)
                : step(exposure.mean() - logLoading, slopeError * slopeError + 0.13 + exposure.variance());
    }

    /** Standard deviation of the log exposure that overloads one run: of θ, and of runs around it. */
    public double spreadOfARun() {
        return Math.sqrt(variance + Decision.TRUTH_VARIANCE);
    }

    /** Weight a finding of this grade gets against what is believed so far, 0..1. */
    double weightOf(Finding finding, CalibratedEye eye, LogExposure exposure) {
        return variance / (variance + eye.variance(finding) + exposure.variance());
    }

    /** A surprise moves the belief by no more than one of {@link #MOST_SURPRISE} standard deviations would. */
    private Taught step(double observed, double noise) {
        double gain = variance / (variance + noise);
        double most = MOST_SURPRISE * Math.sqrt(variance + noise);
        double surprise = observed - mean;
        double believed = Math.min(Math.max(surprise, -most), most);
        return new Taught(new Belief(mean + gain * believed, variance * (1 - gain)), believed != surprise);
    }

    /**
     * A belief after a lesson.
     *
     * @param held whether the surprise was too large to be believed whole
     */
    record Taught(Belief belief, boolean held) {
        static Taught nothing(Belief belief) {
            return new Taught(belief, false);
        }
    }
}
