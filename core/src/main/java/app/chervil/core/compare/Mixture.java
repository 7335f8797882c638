package app.chervil.core.compare;

import java.util.List;

/** Normal distributions mixed by weight. */
record Mixture(List<Part> parts) {
    private static final int HALVINGS = 60;
    private static final double FAR = 12;

    /**
     * One of them.
     *
     * @param weight zero or above; what they come to together does not matter
     */
    record Part(double weight, double mean, double sd) {
        Part weighing(double other) {
            return new Part(other, mean, sd);
        }
    }

    Mixture {
        parts = List.copyOf(parts);
    }

    /** The share below a value. */
    double below(double value) {
        double sum = 0;
        double all = 0;
        for (Part part : parts) {
            sum += part.weight() * normal((value - part.mean()) / part.sd());
            all += part.weight();
        }
        return sum / all;
    }

    /**
     * The value below which a share lies.
     *
     * @param share between 0 and 1
     */
    double quantile(double share) {
        double low = parts.stream()
                .mapToDouble(part -> part.mean() - FAR * part.sd())
                .min()
                .orElse(0);
        double high = parts.stream()
                .mapToDouble(part -> part.mean() + FAR * part.sd())
                .max()
                .orElse(0);
        for (int halving = 0; halving < HALVINGS; halving++) {
            double middle = (low + high) / 2;
            if (below(middle) < share) {
                low = middle;
            } else {
                high = middle;
            }
        }
        return (low + high) / 2;
    }

    /** The normal distribution: Abramowitz and Stegun 7.1.26, to 1.5e-7. */
    private static double normal(double z) {
        double t = 1 / (1 + 0.3275911 * Math.abs(z) / Math.sqrt(2));
        double tail = t
                * (0.254829592 + t * (-0.284496736 + t * (1.421413741 + t * (-1.453152027 + t * 1.061405429))))
                * Math.exp(-z * z / 2);
        return z < 0 ? tail / 2 : 1 - tail / 2;
    }
}
