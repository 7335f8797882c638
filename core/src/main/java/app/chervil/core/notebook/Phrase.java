package app.chervil.core.notebook;

import java.util.List;
import java.util.Locale;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/** A cell in parts, each of which says one thing. */
final class Phrase {
    private static final Pattern BETWEEN =
            Pattern.compile("\\s*(?:[,;+&/\\n]|\\.\\s|\\s-\\s|\\band\\b|\\bthen\\b)\\s*");
    private static final Pattern AROUND = Pattern.compile("^[^\\p{L}\\p{N}]+|[^\\p{L}\\p{N}%+]+$");
    private static final Pattern SPACE = Pattern.compile("\\s+");

    /** Longer ones are told apart by their beginning. */
    private static final int LONGEST = 200;

    private Phrase() {}

    /** "Rinsed sponge + changed sock, nasty" in three. */
    static List<String> parts(String cell) {
        return Stream.of(BETWEEN.split(cell))
                .map(String::strip)
                .filter(part -> !key(part).isEmpty())
                .toList();
    }

    /** The same for all ways of writing a phrase that differ in capitals, spaces and marks around it alone. */
    static String key(String phrase) {
        String plain = SPACE.matcher(AROUND.matcher(phrase.strip()).replaceAll(""))
                .replaceAll(" ")
                .toLowerCase(Locale.ROOT);
        return plain.length() <= LONGEST ? plain : plain.substring(0, LONGEST);
    }
}
