package app.chervil.core.compare;

import app.chervil.core.calc.Normal;
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
            sum += part.weight() * Normal.below((value - part.mean()) / part.sd());
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
}
