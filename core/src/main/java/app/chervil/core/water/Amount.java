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

    /**
     * A step of a colour card: somewhere about it, as far as half way to the steps beside it.
     *
     * @param value of the step
     * @param low end of what reads as this step
     * @param high its upper end; {@link Seen#NO_END} on the last step
     */
    record Step(double value, double low, double high) implements Amount {}
}
