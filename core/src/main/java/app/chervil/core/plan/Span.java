package app.chervil.core.plan;

/**
 * Earliest, ideal and latest, as days of the plan or as days after the occurrence before.
 *
 * @param earliest at most {@code ideal}
 * @param latest at least {@code ideal}
 */
public record Span(int earliest, int ideal, int latest) {
    public Span {
        if (earliest > ideal || latest < ideal) {
            throw new IllegalArgumentException(
                    "a span must be in order but was " + earliest + ", " + ideal + ", " + latest);
        }
    }

    /** The same span so many days on. */
    public Span plus(int days) {
        return new Span(earliest + days, ideal + days, latest + days);
    }
}
