package app.chervil.core.filter;

import app.chervil.core.calc.Check;

/** How germicidal lamps fade (docs/sources.md#other-lives). */
public final class LampOutput {
    /** What a start costs, in lit hours. */
    public static final double HOURS_A_START = 2;

    private static final double AT_RATED = 0.70;
    private static final double EARLY_LOSS = 0.08;
    private static final double EARLY_HOURS = 300;

    private LampOutput() {}

    /**
     * Relative output O(h) = 1 − 0.08 (1 − e^(−h ÷ 300)) − slope · h, with O(rated) = 0.70.
     *
     * @param hours lit, starts included; 0 or above
     * @param rated hours by its maker, above zero
     * @return 1 when new, 0 at the least
     */
    public static double after(double hours, double rated) {
        Check.notNegative("hours", hours);
        double slope = (1 - fading(Check.positive("rated", rated)) - AT_RATED) / rated;
        return Math.max(0, 1 - fading(hours) - slope * hours);
    }

    private static double fading(double hours) {
        return EARLY_LOSS * (1 - Math.exp(-hours / EARLY_HOURS));
    }
}
