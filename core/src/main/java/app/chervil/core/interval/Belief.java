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
    private static final double LEAST_EXPOSURE = 0.3;
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
    boolean learnsFrom(Finding finding, double exposure) {
        double logLoading = logLoading(exposure);
        return switch (finding) {
            case CLEAN -> logLoading >= Finding.CLEAN.logCentre();
            case CLOGGED -> logLoading <= Finding.CLOGGED.logCentre();
            default -> true;
        };
    }

    /** One Kalman step: y = ln X − ln c, R = the grade's variance. */
    Belief found(Finding finding, double exposure) {
        return learnsFrom(finding, exposure)
                ? step(logExposure(exposure) - finding.logCentre(), finding.variance())
                : this;
    }

    /**
     * One Kalman step from the flow left before a service, if f = 1 ÷ (1 + κL²).
     *
     * @param share flow before ÷ clean flow; above zero
     * @param shareAtOverload the share left when the stage is overloaded
     */
    Belief flowed(double share, double shareAtOverload, double exposure) {
        double f = Math.min(Math.max(share, LEAST_FLOW_SHARE), FLOW_SAYS_LITTLE_ABOVE);
        double kappa = 1 / shareAtOverload - 1;
        double logLoading = 0.5 * Math.log((1 / f - 1) / kappa);
        boolean onlyABound = share > FLOW_SAYS_LITTLE_ABOVE && logLoading(exposure) < logLoading;
        double slopeError = 0.10 / (2 * (1 - f));
        return onlyABound ? this : step(logExposure(exposure) - logLoading, slopeError * slopeError + 0.13);
    }

    /** Standard deviation of the log exposure that overloads one run: of θ, and of runs around it. */
    public double spreadOfARun() {
        return Math.sqrt(variance + Decision.TRUTH_VARIANCE);
    }

    /** Log of the loading expected at this exposure. */
    double logLoading(double exposure) {
        return logExposure(exposure) - mean;
    }

    /** Weight a finding of this grade gets against what is believed so far, 0..1. */
    double weightOf(Finding finding) {
        return variance / (variance + finding.variance());
    }

    private static double logExposure(double exposure) {
        return Math.log(Math.max(exposure, LEAST_EXPOSURE));
    }

    private Belief step(double observed, double noise) {
        double gain = variance / (variance + noise);
        return new Belief(mean + gain * (observed - mean), variance * (1 - gain));
    }
}
