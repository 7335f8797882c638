package app.chervil.core.interval;

import java.util.List;

/**
 * What a stage looked like when it was opened. Each grade stands for a range of loadings, the fraction of what overloads
 * the stage, centred on the log scale (docs/sources.md#interval-engine).
 */
public enum Finding {
    CLEAN(0.10, 0.75),
    LIGHT(0.205, 0.65),
    MODERATE(0.477, 0.65),
    HEAVY(0.806, 0.65),
    CLOGGED(1.35, 0.465);

    private static final List<Finding> SCALE = List.of(values());

    private final double logCentre;
    private final double variance;

    Finding(double centre, double sd) {
        this.logCentre = Math.log(centre);
        this.variance = sd * sd;
    }

    /** Loading this grade is centred on, as a fraction of what overloads the stage. */
    public double centre() {
        return Math.exp(logCentre);
    }

    /** Natural logarithm of the loading this grade is centred on. */
    double logCentre() {
        return logCentre;
    }

    /** Variance of the log loading behind this grade. */
    public double variance() {
        return variance;
    }

    /** The grade a keeper would most likely give at this log loading. */
    static Finding nearest(double logLoading) {
        Finding nearest = CLEAN;
        for (Finding finding : values()) {
            if (Math.abs(finding.logCentre - logLoading) < Math.abs(nearest.logCentre - logLoading)) {
                nearest = finding;
            }
        }
        return nearest;
    }

    /** The finding of a grade, 0 clean to 4 clogged; a grade beyond counts as the nearest. */
    public static Finding ofGrade(int grade) {
        return SCALE.get(Math.min(Math.max(grade, 0), SCALE.size() - 1));
    }

    /** 0 clean to 4 clogged. */
    public int grade() {
        return SCALE.indexOf(this);
    }

    /** The name a keeper uses, in the middle of a sentence. */
    public String words() {
        return name().toLowerCase(java.util.Locale.ROOT);
    }
}
