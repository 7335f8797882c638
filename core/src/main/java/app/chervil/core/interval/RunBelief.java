package app.chervil.core.interval;

/**
 * What is believed of one run: ln of the exposure that overloads it ~ Normal(mean, variance). A run varies around its
 * stage's θ, so a flow meter tells more of the run it stands in than of the stage.
 *
 * @param mean natural logarithm of days
 * @param variance above zero
 */
record RunBelief(double mean, double variance) {
    /**
     * 1 ÷ p for flow curves f = 1 ÷ (1 + κL^p) of exponents 1.5 to 4 alike: mean and spread (docs/sources.md#flow-meter).
     */
    private static final double INVERSE_EXPONENT = 0.392;

    private static final double INVERSE_EXPONENT_SD = 0.113;
    /** Of a share of flow: a meter of 5 % noise against a baseline read by the same meter, some days of each together. */
    private static final double READING_SD = 0.04;

    private static final double LEAST_SHARE = 0.10;
    /** Above this share of the clean flow a reading tells only how long the run lasts at least. */
    static final double SAYS_LITTLE_ABOVE = 0.92;

    private static final double MOST_SURPRISE = 2.5;

    static RunBelief of(Belief belief) {
        return new RunBelief(belief.mean(), belief.variance() + Decision.TRUTH_VARIANCE);
    }

    double spread() {
        return Math.sqrt(variance);
    }

    /**
     * One Kalman step from the flow that is left: ln L = ln((1/f − 1)/κ) ÷ p. At an overload every curve leaves the same,
     * so it tells more the fuller the stage is. What is nearly clean counts as no more than that.
     *
     * @param exposure on the day it was read
     */
    RunBelief metered(double share, double shareAtOverload, LogExposure exposure) {
        double f = Math.min(Math.max(share, LEAST_SHARE), SAYS_LITTLE_ABOVE);
        double lost = Math.log((1 / f - 1) / (1 / shareAtOverload - 1));
        double observed = exposure.mean() - INVERSE_EXPONENT * lost;
        double curve = INVERSE_EXPONENT_SD * lost;
        double reading = INVERSE_EXPONENT * READING_SD / (f * (1 - f));
        double noise = curve * curve + reading * reading + exposure.variance();
        double most = MOST_SURPRISE * Math.sqrt(variance + noise);
        double gain = variance / (variance + noise);
        double surprise = Math.min(Math.max(observed - mean, -most), most);
        return new RunBelief(mean + gain * surprise, variance * (1 - gain));
    }
}
