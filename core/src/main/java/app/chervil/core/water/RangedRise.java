package app.chervil.core.water;

import app.chervil.core.calc.Cholesky;
import app.chervil.core.calc.Normal;

/**
 * Readings of which some are ranges, as colour cards give them: the posterior itself by importance sampling, since a normal
 * about the mode is wrong where all readings stand on one step (docs/sources.md#production).
 */
final class RangedRise {
    static final int MOST_COLUMNS = 12;
    private static final int DRAWS = 2048;
    private static final int PASSES = 4;
    private static final double FIRST_WIDTH = 3;
    private static final double WIDTH = 1.5;
    private static final double CORRELATED = 0.8;
    private static final int[] PRIMES = {2, 3, 5, 7, 11, 13, 17, 19, 23, 29, 31, 37};

    private final RiseQuestion question;
    private final WeightedRise fit;
    private double[] centre;
    private double[][] covariance;

    RangedRise(RiseQuestion question, WeightedRise fit) {
        this.question = question;
        this.fit = fit;
        this.centre = fit.solution;
        this.covariance = fit.covariance;
    }

    Told told() {
        for (int pass = 0; pass < PASSES; pass++) {
            draw(pass == 0 ? FIRST_WIDTH : WIDTH);
        }
        return new Told(centre, covariance, fit.freedom(), 0);
    }

    private void draw(double width) {
        Cholesky root = Cholesky.of(covariance);
        int columns = centre.length;
        double[][] draws = new double[DRAWS][];
        double[] logWeights = new double[DRAWS];
        double most = Double.NEGATIVE_INFINITY;
        for (int d = 0; d < DRAWS; d++) {
            double[] standard = new double[columns];
            for (int k = 0; k < columns; k++) {
                standard[k] = Normal.quantile(halton(d + 1, PRIMES[k]));
            }
            double[] off = root.coloured(standard);
            double[] drawn = new double[columns];
            for (int k = 0; k < columns; k++) {
                drawn[k] = centre[k] + width * off[k];
            }
            draws[d] = drawn;
            logWeights[d] = Cholesky.dot(standard, standard) / 2 + logPosterior(drawn);
            most = Math.max(most, logWeights[d]);
        }
        moments(draws, logWeights, most);
    }

    private void moments(double[][] draws, double[] logWeights, double most) {
        int columns = centre.length;
        double sum = 0;
        double[] mean = new double[columns];
        for (int d = 0; d < DRAWS; d++) {
            logWeights[d] = Math.exp(logWeights[d] - most);
            sum += logWeights[d];
            for (int k = 0; k < columns; k++) {
                mean[k] += logWeights[d] * draws[d][k];
            }
        }
        double[][] spread = new double[columns][columns];
        for (int k = 0; k < columns; k++) {
            mean[k] /= sum;
        }
        for (int d = 0; d < DRAWS; d++) {
            for (int j = 0; j < columns; j++) {
                for (int k = 0; k < columns; k++) {
                    spread[j][k] += logWeights[d] / sum * (draws[d][j] - mean[j]) * (draws[d][k] - mean[k]);
                }
            }
        }
        for (int k = 0; k < columns; k++) {
            double sd = fit.rows.priors().sds()[k];
            spread[k][k] += 1e-12 * sd * sd;
        }
        centre = mean;
        covariance = spread;
    }

    private double logPosterior(double[] drawn) {
        double sum = 0;
        for (int k = 0; k < drawn.length; k++) {
            double off = (drawn[k] - fit.rows.priors().means()[k])
                    / fit.rows.priors().sds()[k];
            sum -= off * off / 2;
        }
        for (int i = 0; i < fit.rows.count(); i++) {
            sum += CORRELATED * logLikelihood(i, Cholesky.dot(fit.rows.columns()[i], drawn));
        }
        return sum;
    }

    private double logLikelihood(int row, double expected) {
        Seen seen = question.seen().get(row);
        double unit = fit.scale * fit.error[row];
        double shifted = expected + fit.rows.shift()[row];
        if (seen.isExact()) {
            double off = (seen.low() - shifted) / unit;
            return -off * off / 2;
        }
        double above = seen.high() >= Seen.OPEN ? Double.POSITIVE_INFINITY : (seen.high() - shifted) / unit;
        return Math.log(Math.max(1e-12, Normal.between((seen.low() - shifted) / unit, above)));
    }

    /** The radical inverse of a number in a base. */
    private static double halton(int number, int base) {
        double value = 0;
        double digit = 1.0 / base;
        for (int rest = number; rest > 0; rest /= base, digit /= base) {
            value += rest % base * digit;
        }
        return value;
    }
}
