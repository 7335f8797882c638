package app.chervil.server.procedure;

import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.server.water.MediaOperations.MediaPlan;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * What a guided service is to do.
 *
 * @param overrideReason why work is done that a hold, or the rule for media, speaks against
 * @param occasion absent for tasks and chores
 * @param media how much bio media is exchanged; needed if that is among the chores
 * @param then tasks of the tank's other filters that follow in the same go; absent for none
 * @param after the service that this one follows; absent for the first
 */
public record GuidedStart(
        long filterId,

        @NotNull @Size(max = 100, message = "At most 100 tasks.")
        List<Long> tasks,

        @NotNull Set<Chore> chores,

        @Nullable @Size(max = 500, message = "At most 500 characters.")
        String overrideReason,

        @Valid @Nullable MediaPlan media,
        @Nullable Occasion occasion,

        @Nullable @Size(max = 100, message = "At most 100 tasks.")
        List<Long> then,

        @Nullable UUID after) {
    List<Long> next() {
        return then == null ? List.of() : then;
    }

    Occasion what() {
        return occasion == null ? Occasion.SERVICE : occasion;
    }
}
