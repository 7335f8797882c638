package app.chervil.sim.trouble;

import java.util.Comparator;
import java.util.Map;
import java.util.Set;

/** How often what was claimed of the likeliest repair was true, by how sure the claim was. */
final class Claims {
    private static final int BANDS = 10;

    private final double[] claimed = new double[BANDS];
    private final int[] right = new int[BANDS];
    private final int[] count = new int[BANDS];

    /** Takes the likeliest repair at its word. */
    void add(Map<String, Double> presences, Set<String> truth) {
        presences.entrySet().stream()
                .max(Comparator.comparingDouble(Map.Entry::getValue))
                .ifPresent(top -> add(
                        top.getValue(),
                        truth.contains(top.getKey())
                                || (truth.isEmpty() && top.getKey().equals("exit"))));
    }

    private void add(double claim, boolean isRight) {
        int band = (int) Math.min(BANDS - 1, claim * BANDS);
        claimed[band] += claim;
        right[band] += isRight ? 1 : 0;
        count[band]++;
    }

    void add(Claims other) {
        for (int band = 0; band < BANDS; band++) {
            claimed[band] += other.claimed[band];
            right[band] += other.right[band];
            count[band] += other.count[band];
        }
    }

    /** Mean distance of claim and truth, weighed by how often it was claimed. */
    double gap() {
        double gap = 0;
        int all = 0;
        for (int band = 0; band < BANDS; band++) {
            gap += Math.abs(claimed[band] - right[band]);
            all += count[band];
        }
        return gap / all;
    }

    /** Share of claims of at least so many tenths that were true. */
    double trueFrom(int band) {
        double rightOnes = 0;
        double all = 0;
        for (int i = band; i < BANDS; i++) {
            rightOnes += right[i];
            all += count[i];
        }
        return rightOnes / all;
    }

    /** Each band as claimed/true. */
    String words() {
        StringBuilder words = new StringBuilder();
        for (int band = 0; band < BANDS; band++) {
            if (count[band] > 0) {
                words.append(String.format(
                        java.util.Locale.ENGLISH,
                        "%.2f/%.2f ",
                        claimed[band] / count[band],
                        (double) right[band] / count[band]));
            }
        }
        return words.toString().trim();
    }
}
