package app.chervil.core.water;

import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Amount.Exact;
import java.time.LocalDate;
import java.time.LocalDateTime;

/**
 * One value of one parameter.
 *
 * @param noise what the method cannot tell from zero, in the unit of the parameter
 * @param at local time on the site
 */
public record Reading(Parameter parameter, Amount amount, double noise, LocalDateTime at, Trust trust) {
    /** Whether decisions may rest on it. */
    public enum Trust {
        /** The kit's waiting time was kept. */
        KEPT,
        /** Read before its time; kept for the record only. */
        EARLY
    }

    /** Whether it counts in decisions. */
    public boolean trusted() {
        return trust == Trust.KEPT;
    }

    LocalDate on() {
        return at.toLocalDate();
    }

    /** Whether it shows no more than its method's noise. */
    boolean clean() {
        return amount instanceof Below || ((Exact) amount).value() <= noise;
    }
}
