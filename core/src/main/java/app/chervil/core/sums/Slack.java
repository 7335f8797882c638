package app.chervil.core.sums;

/** Comparisons that forgive the last digits of a double. */
final class Slack {
    private static final double LITTLE = 1e-9;

    private Slack() {}

    static boolean above(double value, double limit) {
        return value > limit + LITTLE;
    }

    static boolean atLeast(double value, double limit) {
        return value >= limit - LITTLE;
    }

    static boolean atMost(double value, double limit) {
        return value <= limit + LITTLE;
    }

    /** The least whole number that is not below a value. */
    static long up(double value) {
        return (long) Math.ceil(value - LITTLE);
    }

    /** The largest whole number that is not above a value. */
    static long down(double value) {
        return (long) Math.floor(value + LITTLE);
    }
}
