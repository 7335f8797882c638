package app.chervil.core.media;

import app.chervil.core.calc.Check;
import app.chervil.core.water.MediaShare;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;

/**
 * An exchange of bio media a portion at a time, each within what the tank may bear on its day and 28 days after the one
 * before (docs/sources.md#media-share).
 */
public final class Portions {
    public static final int APART_DAYS = 28;
    private static final int MOST = 12;

    private Portions() {}

    /**
     * A portion.
     *
     * @param grams of old media that goes, above zero
     */
    public record Portion(LocalDate on, double grams) {}

    /**
     * The portions of an exchange: as many as the keeper wants, or more where the tank cannot bear so few.
     *
     * @param first day of the first
     * @param establishedOn of the tank
     * @param inTank grams of bio media in all filters of the tank, at least those that go
     * @param grams that go, above zero
     * @param wanted how many portions, 1 to 12
     * @throws IllegalArgumentException if twelve would not do, which no age of a tank leads to
     */
    public static List<Portion> of(LocalDate first, LocalDate establishedOn, double inTank, double grams, int wanted) {
        Check.positive("grams", grams);
        Check.within("inTank", inTank, grams, Double.MAX_VALUE);
        Check.within("wanted", wanted, 1, MOST);
        for (int count = wanted; count <= MOST; count++) {
            List<Portion> portions = inSoMany(count, first, establishedOn, inTank, grams);
            if (!portions.isEmpty()) {
                return portions;
            }
        }
        throw new IllegalArgumentException("no " + MOST + " portions exchange " + grams + " of " + inTank + " g");
    }

    /** As even as the tank can bear: what an early one may not take falls to those after it. Empty if it cannot be done. */
    private static List<Portion> inSoMany(
            int count, LocalDate first, LocalDate establishedOn, double inTank, double grams) {
        List<Portion> portions = new ArrayList<>();
        double left = grams;
        for (int number = 0; number < count; number++) {
            LocalDate on = first.plusDays((long) APART_DAYS * number);
            long age = Math.max(0, ChronoUnit.DAYS.between(establishedOn, on));
            double portion = Math.min(left / (count - number), MediaShare.allowed(age) * inTank);
            portions.add(new Portion(on, portion));
            left -= portion;
        }
        return left <= 1e-9 * grams ? portions : List.of();
    }

    /**
     * How many portions are done.
     *
     * @param gone grams that went since the exchange began, 0 or above
     */
    public static int done(List<Portion> portions, double gone) {
        double sum = 0;
        for (int number = 0; number < portions.size(); number++) {
            sum += portions.get(number).grams();
            if (gone < sum * (1 - 0.02)) {
                return number;
            }
        }
        return portions.size();
    }
}
