package app.chervil.core.trouble;

import java.util.List;

/**
 * A danger that is asked about before anything else.
 *
 * @param answers the first is "no"; any other stops
 * @param stop what to do then
 * @param exit whom to call
 */
public record Peril(String id, String ask, List<Question.Answer> answers, double minutes, String stop, Exit exit) {
    public static final String NO = "no";

    public Peril {
        answers = List.copyOf(answers);
    }
}
