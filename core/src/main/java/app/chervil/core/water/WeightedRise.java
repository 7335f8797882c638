package app.chervil.core.water;

import app.chervil.core.calc.Cholesky;
import app.chervil.core.calc.Normal;

/**
 * The weighted fit: each reading by its kit's error, readings far off counting less (Huber), ranges by Newton on their true
 * likelihood (docs/sources.md#production).
 */
final class WeightedRise {
    private static final int ROUNDS = 30;
    private static final double RELATIVE_ERROR = 0.1;
    private static final double HUBER = 1.345;
    private static final double FAR = 8;
    private static final double LEAST_TOLD = 0.02;
    private static final double MOST_STEP = 4;
    private static final double LEAST_SCALE = 0.4;
    private static final double MOST_SCALE = 3;
    private static final double PRIOR_FREEDOM = 4;

    final RiseRows rows;
    final double[] z;
    final double[] told;
    final double[] error;
    final double[] expected;
    double[] solution;
    double[][] covariance = new double[0][0];
    double scale = 1;
    private final RiseQuestion question;
    private final double[] misfit;

    WeightedRise(RiseQuestion question, RiseRows rows) {
        this.question = question;
        this.rows = rows;
        int n = rows.count();
        this.z = new double[n];
        this.told = new double[n];
        this.error = new double[n];
        this.expected = new double[n];
        this.misfit = new double[n];
        this.solution = rows.priors().means().clone();
        for (int i = 0; i < n; i++) {
            z[i] = question.seen().get(i).middle() - rows.shift()[i];
            told[i] = 1;
            error[i] = errorAround(i, z[i]);
        }
        for (int round = 0; round < ROUNDS; round++) {
            solve();
        }
    }

    /** A kit errs by half its noise and by a tenth of what is there. */
    private double errorAround(int row, double value) {
        return Math.hypot(question.kitNoise() / 2, RELATIVE_ERROR * Math.max(0, value + rows.shift()[row]));
    }

    private void solve() {
        int n = rows.count();
        double[] weight = new double[n];
        for (int i = 0; i < n; i++) {
            weight[i] = told[i] / (scale * error[i] * scale * error[i]);
        }
        Cholesky normal = Cholesky.of(normal(weight));
        solution = normal.solve(right(weight));
        covariance = normal.inverse();
        double leverage = 0;
        double misfits = 0;
        for (int i = 0; i < n; i++) {
            double[] x = rows.columns()[i];
            leverage += weight[i] * Cholesky.dot(x, multiplied(covariance, x));
            look(i);
            misfits += misfit[i];
        }
        double spread = (PRIOR_FREEDOM + misfits) / (PRIOR_FREEDOM + Math.max(0.5, n - leverage));
        scale = Math.min(Math.max(Math.sqrt(spread), LEAST_SCALE), MOST_SCALE);
    }

    private void look(int row) {
        expected[row] = Cholesky.dot(rows.columns()[row], solution);
        error[row] = errorAround(row, expected[row]);
        double unit = scale * error[row];
        Seen seen = question.seen().get(row);
        if (seen.isExact()) {
            double off = (z[row] - expected[row]) / unit;
            told[row] = Math.min(1, HUBER / Math.abs(off));
            misfit[row] = told[row] * off * off * scale * scale;
            return;
        }
        double[] within = within(
                (seen.low() - rows.shift()[row] - expected[row]) / unit,
                (seen.high() - rows.shift()[row] - expected[row]) / unit);
        told[row] = Math.max(LEAST_TOLD, 1 - within[1]);
        double step = Math.min(Math.max(within[0] / told[row], -MOST_STEP), MOST_STEP);
        z[row] = expected[row] + unit * step;
        misfit[row] = (within[1] + within[0] * within[0]) * scale * scale;
    }

    /** Mean and variance of a standard normal between two bounds. */
    private static double[] within(double a, double b) {
        if (a > FAR) {
            return new double[] {a, 0};
        }
        if (b < -FAR) {
            return new double[] {b, 0};
        }
        double held = Normal.between(a, b);
        if (held < 1e-14) {
            return new double[] {Math.abs(a) < Math.abs(b) ? a : b, 0};
        }
        double mean = (Normal.density(a) - Normal.density(b)) / held;
        double spread = (a * Normal.density(a) - b * Normal.density(b)) / held;
        return new double[] {mean, 1 + spread - mean * mean};
    }

    private double[][] normal(double[] weight) {
        int width = rows.width();
        double[][] normal = new double[width][width];
        for (int i = 0; i < rows.count(); i++) {
            double[] x = rows.columns()[i];
            for (int j = 0; j < width; j++) {
                for (int k = 0; k < width; k++) {
                    normal[j][k] += weight[i] * x[j] * x[k];
                }
            }
        }
        for (int j = 0; j < width; j++) {
            normal[j][j] += rows.priors().precision(j);
        }
        return normal;
    }

    private double[] right(double[] weight) {
        double[] right = new double[rows.width()];
        for (int j = 0; j < right.length; j++) {
            right[j] = rows.priors().precision(j) * rows.priors().means()[j];
            for (int i = 0; i < rows.count(); i++) {
                right[j] += weight[i] * rows.columns()[i][j] * z[i];
            }
        }
        return right;
    }

    static double[] multiplied(double[][] matrix, double[] vector) {
        double[] product = new double[matrix.length];
        for (int i = 0; i < matrix.length; i++) {
            product[i] = Cholesky.dot(matrix[i], vector);
        }
        return product;
    }

    /** Degrees of freedom of the spread. */
    double freedom() {
        return PRIOR_FREEDOM + Math.max(1, rows.count() - 1 - question.ways());
    }
}
