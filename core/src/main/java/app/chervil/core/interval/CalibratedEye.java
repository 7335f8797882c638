package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import app.chervil.core.calc.Normal;
import java.util.List;

/**
 * How a person's grades lean, learned from graded pictures of known loading (docs/sources.md#calibrated-eye).
 *
 * @param bias on the log loading; above zero sees more dirt than there is
 * @param variance of that bias
 */
public record CalibratedEye(double bias, double variance) {
    /** Part of every grade's variance that a person's unknown bias makes. */
    static final double UNKNOWN_BIAS_VARIANCE = 0.0625;

    /** Nobody knows how this person grades. */
    public static final CalibratedEye UNTESTED = new CalibratedEye(0, UNKNOWN_BIAS_VARIANCE);

    /** Loadings of the pictures, least first. */
    public static final List<Double> PICTURES =
            List.of(0.05, 0.09, 0.14, 0.2, 0.28, 0.38, 0.46, 0.56, 0.68, 0.82, 0.95, 1.2);

    private static final double PRIOR_SD = 0.35;
    private static final double LOOK_SD = 0.45;
    private static final double GRID_END = 1.5;
    private static final double GRID_STEP = 0.05;
    private static final double SLIP = 0.05;
    private static final double[] LOG_BOUNDS = {
        Double.NEGATIVE_INFINITY, Math.log(0.12), Math.log(0.35), Math.log(0.65), Math.log(1), Double.POSITIVE_INFINITY
    };

    public CalibratedEye {
        Check.within("bias", bias, -2, 2);
        Check.within("variance", variance, 0, 1);
    }

    /** A picture as somebody graded it. */
    public record Graded(double loading, Finding grade) {
        public Graded {
            Check.positive("loading", loading);
        }
    }

    /** Posterior mean and variance of a person's bias on a grid from −1.5 to 1.5, prior Normal(0, 0.35²). */
    public static CalibratedEye of(List<Graded> pictures) {
        double sum = 0;
        double first = 0;
        double second = 0;
        long steps = Math.round(2 * GRID_END / GRID_STEP);
        for (int step = 0; step <= steps; step++) {
            double bias = -GRID_END + step * GRID_STEP;
            double weight = Math.exp(-0.5 * bias * bias / (PRIOR_SD * PRIOR_SD));
            for (Graded picture : pictures) {
                weight *= chance(picture, bias);
            }
            sum += weight;
            first += weight * bias;
            second += weight * bias * bias;
        }
        double mean = first / sum;
        return new CalibratedEye(mean, second / sum - mean * mean);
    }

    private static double chance(Graded picture, double bias) {
        int grade = picture.grade().grade();
        int last = Finding.values().length - 1;
        double stays = 1 - 2 * SLIP;
        double chance = stays * seen(picture.loading(), grade, bias);
        chance += SLIP * seen(picture.loading(), Math.max(grade - 1, 0), bias);
        return chance + SLIP * seen(picture.loading(), Math.min(grade + 1, last), bias);
    }

    private static double seen(double loading, int grade, double bias) {
        double shift = Math.log(loading) + bias;
        return Normal.below((LOG_BOUNDS[grade + 1] - shift) / LOOK_SD)
                - Normal.below((LOG_BOUNDS[grade] - shift) / LOOK_SD);
    }

    /** Log of the loading that this person's grade stands for. */
    double logCentre(Finding finding) {
        return finding.logCentre() - bias;
    }

    /** Variance of this person's grade about the log loading. */
    double variance(Finding finding) {
        return finding.variance() - UNKNOWN_BIAS_VARIANCE + variance;
    }
}
