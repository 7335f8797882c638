package app.chervil.core.calc;

import java.util.Locale;

/** Words that begin a sentence, or stand inside one. */
public final class FirstLetter {
    private FirstLetter() {}

    /** With a capital. */
    public static String upper(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toUpperCase(Locale.ROOT) + words.substring(1);
    }

    /** Without a capital. */
    public static String lower(String words) {
        return words.isEmpty() ? words : words.substring(0, 1).toLowerCase(Locale.ROOT) + words.substring(1);
    }
}
