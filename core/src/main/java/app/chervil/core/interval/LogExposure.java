package app.chervil.core.interval;

/**
 * The logarithm of a stage's exposure, in days at the usual dirt rate, as far as it is known.
 *
 * @param mean of ln X
 * @param variance of ln X; zero where the run's start is known
 */
record LogExposure(double mean, double variance) {
    private static final double LEAST_EXPOSURE = 0.3;
    private static final double[] NODES = {-Math.sqrt(3), 0, Math.sqrt(3)};
    private static final double[] WEIGHTS = {1.0 / 6, 2.0 / 3, 1.0 / 6};
    private static final double USUAL_AGE_SHARE = 0.5;
    private static final double AGE_SD = 0.7;

    static double log(double exposure) {
        return Math.log(Math.max(exposure, LEAST_EXPOSURE));
    }

    static LogExposure exact(double exposure) {
        return new LogExposure(log(exposure), 0);
    }

    /**
     * Of a stage whose age on the day of entry nobody knows: an age around half the start interval, log-normal with
     * standard deviation 0.7, is added; three-point Gauss–Hermite sums.
     */
    static LogExposure ofUnknownAge(double exposure, double startDays) {
        double mean = 0;
        double square = 0;
        for (int node = 0; node < NODES.length; node++) {
            double logAged = log(exposure + USUAL_AGE_SHARE * startDays * Math.exp(AGE_SD * NODES[node]));
            mean += WEIGHTS[node] * logAged;
            square += WEIGHTS[node] * logAged * logAged;
        }
        return new LogExposure(mean, square - mean * mean);
    }
}
