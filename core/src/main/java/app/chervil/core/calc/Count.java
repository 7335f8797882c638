package app.chervil.core.calc;

/** Counts in sentences. */
public final class Count {
    private Count() {}

    /**
     * A count with what is counted: "1 day", "2 days".
     *
     * @param one a regular noun, for one of it
     */
    public static String of(long count, String one) {
        return count + " " + (count == 1 ? one : one + "s");
    }

    /** Days. */
    public static String days(long count) {
        return of(count, "day");
    }
}
