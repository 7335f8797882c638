package app.chervil.core.water;

import app.chervil.core.calc.Count;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;

/** How much of a tank's bio media may be new at once (docs/sources.md#media-share). */
public final class MediaShare {
    static final int WINDOW_DAYS = 28;
    private static final double YOUNG_SHARE = 0.25;
    private static final double OLD_SHARE = 0.5;
    private static final int YOUNG_DAYS = 90;
    private static final int OLD_DAYS = 365;

    private MediaShare() {}

    /**
     * Share of the whole bio media, by mass, that may be exchanged within 28 days: a quarter up to 90 days of age, half from
     * a year on, rising evenly between.
     *
     * @param ageDays of the tank, 0 or above
     */
    public static double allowed(long ageDays) {
        double grown = (double) (ageDays - YOUNG_DAYS) / (OLD_DAYS - YOUNG_DAYS);
        return YOUNG_SHARE + (OLD_SHARE - YOUNG_SHARE) * Math.min(1, Math.max(0, grown));
    }

    /**
     * Weighs an exchange against the rule.
     *
     * @param establishedOn of the tank
     * @param totalGrams of bio media in all its filters, above zero
     * @param earlier exchanges on the same tank, whenever
     * @param wanted the exchange in question
     */
    public static Verdict weigh(
            LocalDate establishedOn, double totalGrams, List<Replacement> earlier, Replacement wanted) {
        long age = Math.max(0, ChronoUnit.DAYS.between(establishedOn, wanted.on()));
        double allowed = allowed(age) * totalGrams;
        double used = earlier.stream()
                .filter(one -> near(one.on(), wanted.on()))
                .mapToDouble(Replacement::grams)
                .sum();
        double left = Math.max(0, allowed - used);
        String sum = Words.number(wanted.grams()) + " g of " + Words.number(totalGrams) + " g is "
                + Words.percent(wanted.grams() / totalGrams)
                + (used > 0 ? ", with " + Words.number(used) + " g exchanged within 28 days" : "")
                + ". At " + Count.days(age) + " of age the tank may exchange " + Words.percent(allowed(age)) + ", "
                + Words.number(allowed) + " g, within 28 days: at most " + Words.number(left) + " g now.";
        return new Verdict(wanted.grams() <= left * (1 + 1e-9), left, sum);
    }

    /** Both ways, since an exchange may be entered late. */
    private static boolean near(LocalDate one, LocalDate other) {
        return Math.abs(ChronoUnit.DAYS.between(one, other)) < WINDOW_DAYS;
    }

    /**
     * What the rule says of an exchange.
     *
     * @param leftGrams what may be exchanged, 0 or above
     * @param sum the sum in words
     */
    public record Verdict(boolean within, double leftGrams, String sum) {}
}
