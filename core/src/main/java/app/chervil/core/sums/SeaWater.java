package app.chervil.core.sums;

import java.util.function.DoubleUnaryOperator;

/**
 * Sea water at one temperature and one atmosphere: density by the international equation of state EOS-80, practical salinity
 * by PSS-78, with C(35, 15 °C) = 42.914 mS/cm (UNESCO technical papers in marine science 36 and 44; docs/sources.md#sum-salt).
 *
 * @param celsius 0 to 35
 */
record SeaWater(double celsius) {
    static final double LEAST_PPT = 2;
    static final double MOST_PPT = 42;

    private static final double STANDARD_MS_CM = 42.914;
    private static final double[] A = {0.0080, -0.1692, 25.3851, 14.0941, -7.0261, 2.7081};
    private static final double[] B = {0.0005, -0.0056, -0.0066, -0.0375, 0.0636, -0.0144};
    private static final double[] RATIO = {0.6766097, 2.00564e-2, 1.104259e-4, -6.9698e-7, 1.0031e-9};
    private static final double[] FRESH = {999.842594, 6.793952e-2, -9.095290e-3, 1.001685e-4, -1.120083e-6, 6.536332e-9
    };
    private static final double[] LINEAR = {8.24493e-1, -4.0899e-3, 7.6438e-5, -8.2467e-7, 5.3875e-9};
    private static final double[] ROOT = {-5.72466e-3, 1.0227e-4, -1.6546e-6};
    private static final double SQUARE = 4.8314e-4;

    /** Halvings of a bracket of 0 to 45 ‰ that leave less than 1e-12. */
    private static final int HALVINGS = 60;

    /** kg/m³. */
    private double density(double ppt) {
        return polynomial(FRESH, celsius)
                + polynomial(LINEAR, celsius) * ppt
                + polynomial(ROOT, celsius) * Math.pow(ppt, 1.5)
                + SQUARE * ppt * ppt;
    }

    /** Against fresh water of the same temperature. */
    double specificGravity(double ppt) {
        return density(ppt) / density(0);
    }

    /** Grams of salt in a litre. */
    double gramsALitre(double ppt) {
        return ppt * density(ppt) / 1000;
    }

    /** mS/cm. */
    double conductivity(double ppt) {
        double most = 2 * STANDARD_MS_CM;
        return root(this::pptOf, ppt, most);
    }

    private double pptOf(double milliSiemens) {
        double x = Math.sqrt(milliSiemens / (STANDARD_MS_CM * polynomial(RATIO, celsius)));
        double warm = celsius - 15;
        return polynomial(A, x) + warm / (1 + 0.0162 * warm) * polynomial(B, x);
    }

    /** The salinity at which something that rises with it has a value; the end of 0 to 45 ‰ where it has not. */
    static double pptWhere(DoubleUnaryOperator rising, double value) {
        return root(rising, value, 45);
    }

    private static double root(DoubleUnaryOperator rising, double value, double most) {
        double low = 0;
        double high = most;
        for (int halving = 0; halving < HALVINGS; halving++) {
            double middle = (low + high) / 2;
            if (rising.applyAsDouble(middle) < value) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    private static double polynomial(double[] coefficients, double x) {
        double value = 0;
        for (int power = coefficients.length - 1; power >= 0; power--) {
            value = value * x + coefficients[power];
        }
        return value;
    }
}
