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

    private static final double[] CENTRE_ABOVE = {
        -3.969683028665376e+01,
        2.209460984245205e+02,
        -2.759285104469687e+02,
        1.383577518672690e+02,
        -3.066479806614716e+01,
        2.506628277459239e+00
    };
    private static final double[] CENTRE_BELOW = {
        -5.447609879822406e+01,
        1.615858368580409e+02,
        -1.556989798598866e+02,
        6.680131188771972e+01,
        -1.328068155288572e+01
    };
    private static final double[] TAIL_ABOVE = {
        -7.784894002430293e-03,
        -3.223964580411365e-01,
        -2.400758277161838e+00,
        -2.549732539343734e+00,
        4.374664141464968e+00,
        2.938163982698783e+00
    };
    private static final double[] TAIL_BELOW = {
        7.784695709041462e-03, 3.224671290700398e-01, 2.445134137142996e+00, 3.754408661907416e+00
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

    /**
     * The value below which a probability lies: Acklam's rational approximation, sharpened by one Halley step.
     *
     * @param probability above 0 and below 1
     */
    public static double quantile(double probability) {
        double x = Check.within("probability", probability, 1e-300, 1) < 0.5
                ? -upperTail(probability)
                : upperTail(1 - probability);
        double error = (below(x) - probability) / density(x);
        return Math.abs(x) > 5 ? x : x - error / (1 + x * error / 2);
    }

    /** How far out a tail of this probability begins, at most one half. */
    private static double upperTail(double tail) {
        if (tail > 0.02425) {
            double q = 0.5 - tail;
            double r = q * q;
            return q * polynomial(CENTRE_ABOVE, r) / (polynomial(CENTRE_BELOW, r) * r + 1);
        }
        double q = Math.sqrt(-2 * Math.log(tail));
        return -polynomial(TAIL_ABOVE, q) / (polynomial(TAIL_BELOW, q) * q + 1);
    }

    private static double polynomial(double[] falling, double x) {
        double sum = 0;
        for (double coefficient : falling) {
            sum = sum * x + coefficient;
        }
        return sum;
    }

    /** Probability of a value between two, without loss where both lie in the upper tail. */
    public static double between(double a, double b) {
        return a > 0 ? below(-a) - below(-b) : below(b) - below(a);
    }

    /** Mean distance of the values below z from zero, downwards: density ÷ probability; −z far in the tail. */
    public static double hazardBelow(double z) {
        return z < -30 ? -z : density(z) / below(z);
    }
}
