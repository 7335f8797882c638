package app.chervil.server.procedure;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A guided service with all that happened so far.
 *
 * @param offSince since when its filter is off; absent while it runs
 * @param finishedAt absent while it is in progress
 */
public record GuidedView(
        UUID id,
        Place place,
        List<ProcedureView.StepView> steps,
        List<GuidedEvent> events,
        Instant startedAt,
        @Nullable Instant offSince,
        @Nullable Instant finishedAt) {
    /** Where it takes place. */
    public record Place(long tankId, String tankName, long filterId, String filterName) {}
}
