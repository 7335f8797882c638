package app.chervil.server.procedure;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.site.Filter;
import app.chervil.server.filter.PassportInput;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A guided service with all that happened so far.
 *
 * @param offSince since when its filter is off; absent while it runs
 * @param occasion what it is for
 * @param finishedAt absent while it is in progress
 * @param inside what sits where in the filter
 * @param then which filters follow with the same tubs, the next one first
 */
public record GuidedView(
        UUID id,
        Place place,
        List<ProcedureView.StepView> steps,
        List<GuidedEvent> events,
        Instant startedAt,
        @Nullable Instant offSince,
        @Nullable Instant finishedAt,
        Inside inside,
        Occasion occasion,
        List<Coming> then) {
    /** What its events add up to. */
    GuidedWork work() {
        return GuidedWork.replay(
                steps.stream().map(ProcedureView.StepView::toCore).toList(),
                events.stream().map(GuidedEvent::toCore).toList());
    }

    /** A filter that follows in the same go. */
    public record Coming(long filterId, String filterName, List<Long> tasks) {}

    /**
     * What sits where, for a picture of what is out.
     *
     * @param chambers in the order a hand opens them; a place's number in a step counts through all of them
     * @param stages in the order water meets them
     * @param lid whether a lid holds the water in, that comes off with the hoses
     */
    public record Inside(List<PassportInput.ChamberInput> chambers, List<StagePart> stages, boolean lid) {
        static Inside of(Filter filter) {
            return new Inside(
                    PassportInput.rooms(filter.passport()),
                    filter.stages().stream()
                            .map(stage -> new StagePart(stage.id(), stage.kind(), stage.name()))
                            .toList(),
                    filter.kind() == FilterKind.CANISTER);
        }
    }

    /** A stage by its name. */
    public record StagePart(long id, StageKind kind, String name) {}

    /** Where it takes place. */
    public record Place(long tankId, String tankName, long filterId, String filterName) {}
}
