package app.chervil.server.plan;

import app.chervil.server.plan.PlanView.PlanItem;
import jakarta.validation.Valid;
import jakarta.validation.constraints.NotEmpty;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * What a keeper decides about occurrences.
 *
 * @param to the day for {@link How#PIN}; absent otherwise
 */
public record PlanDecision(
        @NotEmpty(message = "Say which work.") @Size(max = 200, message = "At most 200 at a time.")
        List<@NotNull @Valid PlanItem> items,

        @NotNull(message = "Say what to do.") How how,
        @Nullable LocalDate to) {
    /** What to do. */
    public enum How {
        /** Do it on a day, whatever it costs. */
        PIN,
        /** Leave it out this time. */
        SKIP,
        /** Let the plan decide again. */
        FREE
    }
}
