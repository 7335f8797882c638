package app.chervil.core.water;

/** What a fit came to. */
final class Told {
    private final double[] solution;
    private final double[][] covariance;
    private final double freedom;
    private final double correlation;

    /**
     * A result.
     *
     * @param solution one value a column
     * @param covariance of the solution
     * @param freedom degrees of freedom of its bands
     * @param correlation of errors a median gap apart, 0 to 0.9
     */
    Told(double[] solution, double[][] covariance, double freedom, double correlation) {
        this.solution = solution;
        this.covariance = covariance;
        this.freedom = freedom;
        this.correlation = correlation;
    }

    double[] solution() {
        return solution;
    }

    double[][] covariance() {
        return covariance;
    }

    double freedom() {
        return freedom;
    }

    double correlation() {
        return correlation;
    }
}
