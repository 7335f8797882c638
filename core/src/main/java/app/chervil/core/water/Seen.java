package app.chervil.core.water;

import app.chervil.core.calc.Check;

/**
 * What a test showed, as a range; equal ends for a value read exactly.
 *
 * @param day when, in days from any origin
 * @param low in the unit of the parameter; below zero where only a limit is known
 * @param high not below {@code low}; at least {@link #OPEN} where the last step of a card is open above
 */
public record Seen(double day, double low, double high) {
    /** From here on a range has no upper end. */
    public static final double OPEN = 1e5;

    /** The upper end of a range that has none. */
    public static final double NO_END = 1e6;

    public Seen {
        Check.within("day", day, -1e6, 1e6);
        Check.within("low", low, -NO_END, NO_END);
        Check.within("high", high, low, NO_END);
    }

    public static Seen exact(double day, double value) {
        return new Seen(day, value, value);
    }

    /** Nothing seen below a limit. */
    public static Seen below(double day, double limit, double kitNoise) {
        return new Seen(day, -Math.max(limit, kitNoise), limit);
    }

    boolean isExact() {
        return low == high;
    }

    /** Where a fit begins. */
    double middle() {
        return high > OPEN ? low : (low + high) / 2;
    }
}
