package app.chervil.core.trouble;

import java.util.List;
import java.util.Optional;

/**
 * Where a case stands.
 *
 * @param causes likeliest first, {@link #OTHER} last among equals; of two at once both count, so they may add to more than 1
 * @param clash id of an earlier answer that does not fit the last one
 * @param offersExit whether asking somebody else is offered beside the next step
 */
public record Standing(List<Likely> causes, Next next, Optional<String> clash, boolean offersExit) {
    /** None of the network's causes. */
    public static final String OTHER = "other";

    public Standing {
        causes = List.copyOf(causes);
    }

    /**
     * A cause with its probability, 0 to 1.
     *
     * @param cause its id, or {@link #OTHER}
     */
    public record Likely(String cause, double probability) {}
}
