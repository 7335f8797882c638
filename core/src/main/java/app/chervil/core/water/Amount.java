package app.chervil.core.water;

/** What a test showed. */
public sealed interface Amount {
    /** A value read, in the unit of its parameter. */
    record Exact(double value) implements Amount {}

    /**
     * Nothing seen: somewhere below what the test can show.
     *
     * @param limit lowest value it would have shown, above zero
     */
    record Below(double limit) implements Amount {}
}
