package app.chervil.core.calc;

/** The standard normal distribution. */
public final class Normal {
    private static final double[] ERFC = {
        -1.26551223,
        1.00002368,
        0.37409196,
        0.09678418,
        -0.18628806,
        0.27886807,
        -1.13520398,
        1.48851587,
        -0.82215223,
        0.17087277
    };

    private Normal() {}

    /** Density at z: e^(−z² ÷ 2) ÷ √(2π). */
    public static double density(double z) {
        return Math.exp(-z * z / 2) / Math.sqrt(2 * Math.PI);
    }

    /**
     * Probability of a value below z, with a relative error under 2·10⁻⁷ also far in the tail: ½ erfc(−z ÷ √2), erfc by
     * the rational exponent of Press et al., Numerical Recipes, 6.2.
     */
    public static double below(double z) {
        double x = -z / Math.sqrt(2);
        double t = 1 / (1 + Math.abs(x) / 2);
        double sum = 0;
        for (int i = ERFC.length - 1; i >= 0; i--) {
            sum = sum * t + ERFC[i];
        }
        double tail = t * Math.exp(-x * x + sum);
        return x >= 0 ? tail / 2 : 1 - tail / 2;
    }

    /** Mean distance of the values below z from zero, downwards: density ÷ probability; −z far in the tail. */
    public static double hazardBelow(double z) {
        return z < -30 ? -z : density(z) / below(z);
    }
}
