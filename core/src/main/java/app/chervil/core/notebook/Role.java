package app.chervil.core.notebook;

import java.util.Locale;
import java.util.Optional;
import java.util.stream.Stream;

/** What a column says. */
public enum Role {
    DAY("date", "day", "when", "datum"),
    /** What was done, in words. */
    WORK("work", "task", "job", "what", "done", "did", "action", "maintenance", "activity", "chore"),
    /** How dirty it was. */
    FOUND("found", "condition", "state", "dirt", "how was", "how dirty", "grade", "looked"),
    BY("who", "by", "initial", "person", "name"),
    MINUTES("minute", "min", "duration", "how long", "took"),
    FLOW_BEFORE("flow before", "flow in", "before"),
    FLOW_AFTER("flow after", "after", "flow"),
    NOTE("note", "comment", "remark", "other", "misc"),
    /** One task alone: a mark or a grade means that it was done. */
    TASK,
    NOTHING;

    private final String words;

    Role(String... words) {
        this.words = String.join("|", words);
    }

    /** What a heading most likely means; empty if it says nothing of the kind. */
    static Optional<Role> of(String heading) {
        String plain = heading.toLowerCase(Locale.ROOT);
        return Stream.of(values()).filter(role -> role.isNamed(plain)).findFirst();
    }

    private boolean isNamed(String heading) {
        return !words.isEmpty() && Stream.of(words.split("\\|")).anyMatch(word -> begins(heading, word));
    }

    private static boolean begins(String text, String word) {
        int at = text.indexOf(word);
        return at == 0 || (at > 0 && !Character.isLetter(text.charAt(at - 1)));
    }
}
