package app.chervil.core.calc;

/** Range checks that also refuse NaN, with one wording for every refusal. */
public final class Check {
    private Check() {}

    /**
     * The value itself, if it lies in its range.
     *
     * @throws IllegalArgumentException if value is NaN or outside {@code minInclusive..maxInclusive}
     */
    public static double within(String name, double value, double minInclusive, double maxInclusive) {
        if (!(value >= minInclusive && value <= maxInclusive)) {
            throw new IllegalArgumentException(
                    name + " must be within " + minInclusive + ".." + maxInclusive + " but was " + value);
        }
        return value;
    }

    /**
     * The value itself, if it is above zero.
     *
     * @throws IllegalArgumentException if value is NaN, infinite, zero or below
     */
    public static double positive(String name, double value) {
        if (!(value > 0) || Double.isInfinite(value)) {
            throw new IllegalArgumentException(name + " must be finite and above 0 but was " + value);
        }
        return value;
    }

    /**
     * The value itself, if it is zero or above.
     *
     * @throws IllegalArgumentException if value is NaN, infinite or below zero
     */
    public static double notNegative(String name, double value) {
        if (!(value >= 0) || Double.isInfinite(value)) {
            throw new IllegalArgumentException(name + " must be finite and not below 0 but was " + value);
        }
        return value;
    }
}
