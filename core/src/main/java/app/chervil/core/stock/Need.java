package app.chervil.core.stock;

import app.chervil.core.calc.Check;
import java.time.LocalDate;

/**
 * One task that will use a thing, again and again.
 *
 * @param next the day it is next wanted
 * @param everyDays from then on; above zero
 * @param amount each time, in the unit it is counted in; above zero
 */
public record Need(LocalDate next, double everyDays, double amount) {
    private static final double DAYS_A_YEAR = 365.25;

    public Need {
        Check.positive("everyDays", everyDays);
        Check.positive("amount", amount);
    }

    /** Used in a year at this pace. */
    public double aYear() {
        return DAYS_A_YEAR / everyDays * amount;
    }

    /** The day of the n-th time from now, the first being 0; what is overdue counts as today. */
    LocalDate day(int n, LocalDate today) {
        LocalDate first = next.isBefore(today) ? today : next;
        return first.plusDays(Math.round(n * everyDays));
    }
}
