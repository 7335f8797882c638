package app.chervil.server.table;

/** What the database can keep as text. */
public final class Storable {
    private Storable() {}

    /** Whether it can: no U+0000, no half of a pair. */
    public static boolean is(String text) {
        return text.codePoints()
                .noneMatch(
                        point -> point == 0 || (point >= Character.MIN_SURROGATE && point <= Character.MAX_SURROGATE));
    }
}
