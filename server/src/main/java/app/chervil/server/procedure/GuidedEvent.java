package app.chervil.server.procedure;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.interval.Finding;
import app.chervil.core.procedure.GuidedWork;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Arrays;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened at the tank, under an id its client made; sent any number of times it is kept once.
 *
 * @param seq order in which the server got it; absent on the way in
 * @param happenedAt by the client's clock
 * @param doneBy absent on the way in
 * @param step id of the step it is about; empty if about none
 * @param value reason, grade, litres per hour or task id; may be empty
 */
public record GuidedEvent(
        @NotNull UUID id,
        @Nullable Long seq,
        @NotNull Instant happenedAt,
        @Nullable String doneBy,
        @NotNull GuidedWork.Kind kind,
        @NotNull @Size(max = 80) String step,

        @NotNull @Size(max = 500, message = "At most 500 characters.")
        String value) {

    private static final int MOST_PLACE = 80;

    /** What a plug saw of a filter. */
    static GuidedEvent seen(UUID id, boolean on, Instant at) {
        return new GuidedEvent(id, null, at, null, on ? GuidedWork.Kind.SEEN_ON : GuidedWork.Kind.SEEN_OFF, "", "");
    }

    /** Whether a person can say it, and the value is one that its kind can have. */
    boolean fits() {
        return switch (kind) {
            case FINDING ->
                value.isEmpty()
                        || Arrays.stream(Finding.values())
                                .anyMatch(grade -> grade.name().equals(value));
            case FLOW_BEFORE, FLOW_AFTER -> value.isEmpty() || isFlow(value);
            case TASK_ADDED -> value.matches("[0-9]{1,18}");
            case SEEN_OFF, SEEN_ON -> false;
            case STRAY -> value.length() <= MOST_PLACE;
            case DONE, UNDONE, SKIPPED, TIMER -> true;
        };
    }

    private static boolean isFlow(String value) {
        return value.matches("[0-9]{1,7}(\\.[0-9]{1,20})?")
                && Double.parseDouble(value) >= 1
                && Double.parseDouble(value) <= FlowRate.MOST;
    }

    GuidedWork.Event toCore() {
        return new GuidedWork.Event(kind, step, value, happenedAt);
    }
}
