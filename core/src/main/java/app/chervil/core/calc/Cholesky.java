package app.chervil.core.calc;

/** A symmetric positive definite matrix as L Lᵀ, L lower triangular. */
public final class Cholesky {
    private final double[][] root;

    private Cholesky(double[][] root) {
        this.root = root;
    }

    /**
     * Takes a matrix apart.
     *
     * @param matrix symmetric, positive definite; not changed
     * @throws IllegalArgumentException if it is not positive definite
     */
    public static Cholesky of(double[][] matrix) {
        int n = matrix.length;
        double[][] root = new double[n][n];
        for (int i = 0; i < n; i++) {
            for (int j = 0; j <= i; j++) {
                double sum = matrix[i][j];
                for (int k = 0; k < j; k++) {
                    sum -= root[i][k] * root[j][k];
                }
                if (i == j && !(sum > 0)) {
                    throw new IllegalArgumentException("matrix must be positive definite but was not at " + i);
                }
                root[i][j] = i == j ? Math.sqrt(sum) : sum / root[j][j];
            }
        }
        return new Cholesky(root);
    }

    /** The vector that the matrix turns into this one. */
    public double[] solve(double[] right) {
        double[] x = whitened(right);
        for (int i = root.length - 1; i >= 0; i--) {
            for (int k = i + 1; k < root.length; k++) {
                x[i] -= root[k][i] * x[k];
            }
            x[i] /= root[i][i];
        }
        return x;
    }

    /** L⁻¹ times a vector: a product of two such is a product over the inverse matrix. */
    public double[] whitened(double[] right) {
        double[] x = right.clone();
        for (int i = 0; i < root.length; i++) {
            for (int k = 0; k < i; k++) {
                x[i] -= root[i][k] * x[k];
            }
            x[i] /= root[i][i];
        }
        return x;
    }

    /** L times a vector. */
    public double[] coloured(double[] vector) {
        double[] x = new double[root.length];
        for (int i = 0; i < root.length; i++) {
            for (int k = 0; k <= i; k++) {
                x[i] += root[i][k] * vector[k];
            }
        }
        return x;
    }

    public double[][] inverse() {
        int n = root.length;
        double[][] inverse = new double[n][];
        for (int i = 0; i < n; i++) {
            double[] unit = new double[n];
            unit[i] = 1;
            inverse[i] = solve(unit);
        }
        return inverse;
    }

    /** Natural logarithm of the determinant. */
    public double logDeterminant() {
        double sum = 0;
        for (int i = 0; i < root.length; i++) {
            sum += 2 * Math.log(root[i][i]);
        }
        return sum;
    }

    public static double dot(double[] one, double[] other) {
        double sum = 0;
        for (int i = 0; i < one.length; i++) {
            sum += one[i] * other[i];
        }
        return sum;
    }
}
