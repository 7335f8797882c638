package app.chervil.server.trouble;

import app.chervil.core.trouble.Step;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Arrays;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * Something that happened in a case, under an id its client made; sent any number of times it is kept once.
 *
 * @param seq order in which the server got it; absent on the way in
 * @param about id of the danger, question or repair; of the event that is taken back
 * @param value id of the answer or outcome; empty where something is taken back
 * @param happenedAt by the client's clock
 * @param doneBy absent on the way in
 */
public record TroubleEvent(
        @NotNull UUID id,
        @Nullable Long seq,
        @NotNull Kind kind,
        @NotNull @Size(max = 60) String about,
        @NotNull @Size(max = 60) String value,
        @NotNull Instant happenedAt,
        @Nullable String doneBy) {
    /** What happened. */
    public enum Kind {
        DANGER,
        ANSWER,
        TRIED,
        TAKEN_BACK
    }

    /** The step it is; empty where something is taken back, or an outcome is unknown. */
    Optional<Step> step() {
        return switch (kind) {
            case DANGER -> Optional.of(new Step.Asked(about, value));
            case ANSWER -> Optional.of(new Step.Answered(about, value));
            case TRIED -> outcome().map(outcome -> new Step.Tried(about, outcome));
            case TAKEN_BACK -> Optional.empty();
        };
    }

    private Optional<Step.Outcome> outcome() {
        return Arrays.stream(Step.Outcome.values())
                .filter(outcome -> outcome.id().equals(value))
                .findFirst();
    }
}
