package app.chervil.core.interval;

/**
 * Days from the last service until a stage is overloaded.
 *
 * @param low with 9 chances in 10 it takes longer
 * @param likely middle estimate
 * @param high with 9 chances in 10 it takes less
 */
public record Overload(double low, double likely, double high) {}
