package app.chervil.server.visit;

import app.chervil.core.interval.Window;
import app.chervil.core.site.Asked;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A service just stored, and what it moved.
 *
 * @param moved tasks whose window changed, those done first
 * @param twins services by others on the same day that share a task with it
 * @param questions about what surprised in it
 */
public record SavedService(
        ServiceView service, List<Moved> moved, List<ServiceView> twins, List<AskedQuestion> questions) {
    /**
     * A task whose window moved.
     *
     * @param reasons of the new window
     */
    public record Moved(long taskId, String name, Span before, Span after, List<String> reasons) {}

    /** A window and the days from the last service to its ideal day, absent where that is no interval. */
    public record Span(Window window, @Nullable Long intervalDays) {}

    /** Something to be asked once about a filter. */
    public record AskedQuestion(long filterId, String filterName, Asked asked, String text, List<Choice> choices) {}

    /**
     * One answer to choose.
     *
     * @param answer to send back
     * @param words on the button
     */
    public record Choice(String answer, String words) {}

    /** An answer chosen. */
    public record AnswerInput(
            @NotNull(message = "Which filter?") Long filterId,
            @NotNull(message = "Which question?") Asked asked,

            @NotBlank(message = "Choose an answer.") @Size(max = 20)
            String answer) {}
}
