package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import java.time.LocalDate;
import java.util.Optional;

/**
 * When a stage began to run, and how surely anyone knows (docs/sources.md#starts).
 *
 * @param on the day it was cleaned or put in; of an unknown age, the day it was entered
 * @param share how far off the age may be with 8 chances in 10, 0 to 1; zero unless {@link Sureness#ABOUT}
 */
public record Start(LocalDate on, Sureness sureness, double share) {
    private static final double EIGHT_IN_TEN = 1.2816;

    /** How surely a start is known. */
    public enum Sureness {
        EXACT,
        ABOUT,
        UNKNOWN
    }

    public Start {
        Check.within("share", share, 0, 1);
    }

    public static Start exact(LocalDate on) {
        return new Start(on, Sureness.EXACT, 0);
    }

    /** A day somebody remembers to within a share of the time since. */
    public static Start about(LocalDate on, double share) {
        return new Start(on, Sureness.ABOUT, share);
    }

    /** Nobody knows; the age before the day of entry is drawn wide. */
    public static Start unknown(LocalDate enteredOn) {
        return new Start(enteredOn, Sureness.UNKNOWN, 0);
    }

    public boolean known() {
        return sureness != Sureness.UNKNOWN;
    }

    /** Variance of the log of the age. */
    double logVariance() {
        double sd = Math.log(1 + share) / EIGHT_IN_TEN;
        return sd * sd;
    }

    /**
     * The same start, unless something logged knows better: what was done before it, or on the very day of an exact one,
     * is the start.
     *
     * @param first the first day on which the stage was served or renewed
     */
    public Start orFirst(Optional<LocalDate> first) {
        return first.filter(this::isStart).map(Start::exact).orElse(this);
    }

    /** Whether what was logged on a day tells no more than when the stage began. */
    private boolean isStart(LocalDate day) {
        return day.isBefore(on) || (day.isEqual(on) && sureness == Sureness.EXACT);
    }
}
