package app.chervil.core.compare;

/** What may differ between runs of a site's filters, and before any run was seen by how much (docs/sources.md#filters-compared). */
public enum Factor {
    PREFILTER("a pre-filter before it", 0.6),
    RINSE("one more rinse of the pre-filter a month", 0.2),
    BESIDE("another filter on the tank", 0.5),
    STOCKING("stocking a step higher", 0.5),
    FEEDING("feeding a step higher", 0.4);

    private final String words;
    private final double spread;

    Factor(String words, double spread) {
        this.words = words;
        this.spread = spread;
    }

    /** What it is, in the middle of a sentence. */
    public String words() {
        return words;
    }

    /** Standard deviation of its effect on the natural logarithm of the rate, around none. */
    double spread() {
        return spread;
    }
}
