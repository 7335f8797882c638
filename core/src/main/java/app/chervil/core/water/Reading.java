package app.chervil.core.water;

import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Amount.Step;
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

    /** The value as it was read; zero if nothing was seen. */
    public double value() {
        if (amount instanceof Exact exact) {
            return exact.value();
        }
        return amount instanceof Step step ? step.value() : 0;
    }

    /**
     * Whether it counts although it was read early: the colour still rises, so what was seen above noise is a lower bound.
     */
    boolean atLeast() {
        return !trusted() && !clean();
    }

    /** The day on which it was taken. */
    public LocalDate on() {
        return at.toLocalDate();
    }

    /** Whether it shows no more than its method's noise. */
    boolean clean() {
        return value() <= noise;
    }
}
