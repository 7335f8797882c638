package app.chervil.core.water;

import app.chervil.core.calc.Cholesky;
import java.util.Arrays;

/**
 * Errors that hang together in time: the fit seen anew under each correlation, weighed by how well it explains what is left
 * (docs/sources.md#production). Only for readings without ranges.
 */
final class CorrelatedRise {
    private static final int CORRELATIONS = 10;
    private static final double STEP = 0.1;
    private static final double USUAL = 0.3;
    private static final double USUAL_SD = 0.3;
    private static final double LEAST_GAP = 0.25;
    private static final double LEAST_VARIANCE = 0.16;
    private static final double MOST_VARIANCE = 9;
    private static final double PRIOR_SQUARES = 4;

    private final WeightedRise fit;
    private final double[] days;
    private final double gap;
    private final double[][] scaled;
    private final double[] left;

    CorrelatedRise(WeightedRise fit, double[] rawDays) {
        this.fit = fit;
        this.gap = medianGap(rawDays);
        this.days = rawDays.clone();
        for (int i = 1; i < days.length; i++) {
            days[i] = Math.max(days[i], days[i - 1] + LEAST_GAP);
        }
        int n = days.length;
        this.scaled = new double[n][];
        this.left = new double[n];
        for (int i = 0; i < n; i++) {
            double weight = weight(i);
            scaled[i] = Arrays.stream(fit.rows.columns()[i])
                    .map(value -> value * weight)
                    .toArray();
            left[i] = (fit.z[i] - fit.expected[i]) * weight;
        }
    }

    private double weight(int row) {
        return Math.sqrt(fit.told[row]) / fit.error[row];
    }

    private static double medianGap(double[] days) {
        double[] gaps = new double[days.length - 1];
        for (int i = 0; i < gaps.length; i++) {
            gaps[i] = days[i + 1] - days[i];
        }
        Arrays.sort(gaps);
        return Math.max(LEAST_GAP, gaps[gaps.length / 2]);
    }

    /** One correlation: what it moves, how unsure that is, and how likely it is. */
    private static final class Under {
        private final double correlation;
        private final double[] step;
        private final double[][] covariance;
        private final double logWeight;

        Under(double correlation, double[] step, double[][] covariance, double logWeight) {
            this.correlation = correlation;
            this.step = step;
            this.covariance = covariance;
            this.logWeight = logWeight;
        }
    }

    Told told() {
        Under[] all = new Under[CORRELATIONS];
        double most = Double.NEGATIVE_INFINITY;
        for (int i = 0; i < CORRELATIONS; i++) {
            all[i] = under(i * STEP);
            most = Math.max(most, all[i].logWeight);
        }
        double sum = 0;
        double[] weights = new double[CORRELATIONS];
        for (int i = 0; i < CORRELATIONS; i++) {
            weights[i] = Math.exp(all[i].logWeight - most);
            sum += weights[i];
        }
        int width = fit.rows.width();
        double[] mean = new double[width];
        double correlation = 0;
        for (int i = 0; i < CORRELATIONS; i++) {
            weights[i] /= sum;
            correlation += weights[i] * all[i].correlation;
            for (int j = 0; j < width; j++) {
                mean[j] += weights[i] * all[i].step[j];
            }
        }
        double[][] covariance = new double[width][width];
        double[] solution = fit.solution.clone();
        for (int j = 0; j < width; j++) {
            solution[j] += mean[j];
            for (int k = 0; k < width; k++) {
                for (int i = 0; i < CORRELATIONS; i++) {
                    covariance[j][k] += weights[i]
                            * (all[i].covariance[j][k] + (all[i].step[j] - mean[j]) * (all[i].step[k] - mean[k]));
                }
            }
        }
        return new Told(solution, covariance, fit.freedom(), correlation);
    }

    private Under under(double correlation) {
        Whitened white = new Whitened(correlation);
        Cholesky normal = Cholesky.of(white.normal());
        double[] priorPull = priorPull();
        double[] right = white.timesColumns(left);
        double prior = 0;
        for (int j = 0; j < right.length; j++) {
            right[j] += priorPull[j];
            double off = fit.rows.priors().means()[j] - fit.solution[j];
            prior += priorPull[j] * off;
        }
        double[] step = normal.solve(right);
        double[] whiteLeft = white.root.whitened(left);
        double squares = Math.max(1e-9, Cholesky.dot(whiteLeft, whiteLeft) + prior - Cholesky.dot(right, step));
        double freedom = fit.freedom();
        double variance = Math.min(Math.max((PRIOR_SQUARES + squares) / freedom, LEAST_VARIANCE), MOST_VARIANCE);
        double[][] covariance = normal.inverse();
        for (double[] row : covariance) {
            for (int j = 0; j < row.length; j++) {
                row[j] *= variance;
            }
        }
        double usual = (correlation - USUAL) / USUAL_SD;
        double logWeight = -0.5
                        * (white.root.logDeterminant()
                                + normal.logDeterminant()
                                + freedom * Math.log(PRIOR_SQUARES + squares))
                - 0.5 * usual * usual;
        return new Under(correlation, step, covariance, logWeight);
    }

    private double precision(int column) {
        return fit.scale * fit.scale * fit.rows.priors().precision(column);
    }

    private double[] priorPull() {
        double[] pull = new double[fit.rows.width()];
        for (int j = 0; j < pull.length; j++) {
            pull[j] = precision(j) * (fit.rows.priors().means()[j] - fit.solution[j]);
        }
        return pull;
    }

    /** The columns seen through one correlation. */
    private final class Whitened {
        final Cholesky root;
        private final double[][] columns;

        Whitened(double correlation) {
            int n = days.length;
            double[][] together = new double[n][n];
            for (int i = 0; i < n; i++) {
                for (int j = 0; j < n; j++) {
                    together[i][j] = i == j
                            ? 1
                            : Math.sqrt(fit.told[i] * fit.told[j])
                                    * Math.pow(correlation, Math.abs(days[i] - days[j]) / gap);
                }
            }
            root = Cholesky.of(together);
            columns = new double[fit.rows.width()][];
            for (int k = 0; k < columns.length; k++) {
                double[] column = new double[n];
                for (int i = 0; i < n; i++) {
                    column[i] = scaled[i][k];
                }
                columns[k] = root.whitened(column);
            }
        }

        double[][] normal() {
            int width = columns.length;
            double[][] normal = new double[width][width];
            for (int j = 0; j < width; j++) {
                for (int k = 0; k < width; k++) {
                    normal[j][k] = Cholesky.dot(columns[j], columns[k]);
                }
                normal[j][j] += precision(j);
            }
            return normal;
        }

        double[] timesColumns(double[] vector) {
            double[] white = root.whitened(vector);
            return Arrays.stream(columns)
                    .mapToDouble(column -> Cholesky.dot(column, white))
                    .toArray();
        }
    }

    /**
     * How strongly each gap between readings looks as if water had been changed in it and not logged: the score of the gap
     * before each reading, NaN where it cannot be told.
     */
    double[] unloggedScores(Told told) {
        int n = days.length;
        Whitened white = new Whitened(told.correlation());
        Cholesky normal = Cholesky.of(white.normal());
        double[] rest = new double[n];
        for (int i = 0; i < n; i++) {
            rest[i] = (fit.z[i] - Cholesky.dot(fit.rows.columns()[i], told.solution())) * weight(i);
        }
        double[] whiteRest = white.root.whitened(rest);
        double[] scores = new double[n];
        Arrays.fill(scores, Double.NaN);
        for (int gapBefore = 1; gapBefore <= n - 2; gapBefore++) {
            double[] change = new double[n];
            for (int i = gapBefore; i < n; i++) {
                change[i] = -fit.rows.first()[i] * weight(i);
            }
            double[] whiteChange = white.root.whitened(change);
            double whole = Cholesky.dot(whiteChange, whiteChange);
            double[] shared = white.timesColumns(change);
            double own = whole - Cholesky.dot(shared, normal.solve(shared));
            if (own >= 1e-6 * whole) {
                scores[gapBefore] = Cholesky.dot(whiteChange, whiteRest) / Math.sqrt(own) / fit.scale;
            }
        }
        return scores;
    }
}
