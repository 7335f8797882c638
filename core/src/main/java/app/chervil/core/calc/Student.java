package app.chervil.core.calc;

/** Student's t distribution. */
public final class Student {
    private static final double LARGE_FREEDOM = 1e6;
    private static final int HALVINGS = 80;

    private Student() {}

    /**
     * Half of the two-sided band that holds a share of the distribution.
     *
     * @param held share inside, above 0 and below 1
     * @param freedom degrees of freedom, above zero
     */
    public static double twoSided(double held, double freedom) {
        Check.within("held", held, 1e-9, 1 - 1e-12);
        Check.positive("freedom", freedom);
        double low = 0;
        double high = 1;
        while (inside(high, freedom) < held) {
            high *= 2;
        }
        for (int halving = 0; halving < HALVINGS; halving++) {
            double middle = (low + high) / 2;
            if (inside(middle, freedom) < held) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** Probability of a value between −t and t: 1 − I(ν ÷ (ν + t²); ν ÷ 2, ½). */
    private static double inside(double t, double freedom) {
        return freedom > LARGE_FREEDOM
                ? 1 - 2 * Normal.below(-t)
                : 1 - incompleteBeta(freedom / (freedom + t * t), freedom / 2, 0.5);
    }

    /** Regularised incomplete beta by its continued fraction (Press et al., Numerical Recipes, 6.4). */
    private static double incompleteBeta(double x, double a, double b) {
        if (x <= 0 || x >= 1) {
            return x <= 0 ? 0 : 1;
        }
        double front = Math.exp(logGamma(a + b) - logGamma(a) - logGamma(b) + a * Math.log(x) + b * Math.log1p(-x));
        return x < (a + 1) / (a + b + 2) ? front * fraction(x, a, b) / a : 1 - front * fraction(1 - x, b, a) / b;
    }

    private static double fraction(double x, double a, double b) {
        double c = 1;
        double d = 1 / tiny(1 - (a + b) * x / (a + 1));
        double h = d;
        for (int m = 1; m <= 300; m++) {
            double even = m * (b - m) * x / ((a + 2 * m - 1) * (a + 2 * m));
            d = 1 / tiny(1 + even * d);
            c = tiny(1 + even / c);
            h *= d * c;
            double odd = -(a + m) * (a + b + m) * x / ((a + 2 * m) * (a + 2 * m + 1));
            d = 1 / tiny(1 + odd * d);
            c = tiny(1 + odd / c);
            h *= d * c;
            if (Math.abs(d * c - 1) < 1e-15) {
                break;
            }
        }
        return h;
    }

    private static double tiny(double value) {
        return Math.abs(value) < 1e-300 ? 1e-300 : value;
    }

    /** Lanczos' approximation with g = 7 and nine terms. */
    private static double logGamma(double x) {
        double[] terms = {
            0.9999999999998099,
            676.5203681218851,
            -1259.1392167224028,
            771.3234287776531,
            -176.6150291621406,
            12.507343278686905,
            -0.13857109526572012,
            9.984369578019572e-6,
            1.5056327351493116e-7
        };
        double sum = terms[0];
        for (int i = 1; i < terms.length; i++) {
            sum += terms[i] / (x - 1 + i);
        }
        double t = x + 6.5;
        return 0.5 * Math.log(2 * Math.PI) + (x - 0.5) * Math.log(t) - t + Math.log(sum);
    }
}
