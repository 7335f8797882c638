package app.chervil.server.visit;

import app.chervil.core.interval.Finding;
import java.time.LocalDate;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;

/**
 * A stored service.
 *
 * @param version to send back with a correction
 * @param doneBy as it was said; it may be somebody without an account
 * @param writtenDownBy whose account wrote it down, absent if that is who did it
 * @param minutes absent if not noted
 * @param photos how many
 */
public record ServiceView(
        UUID id,
        int version,
        long tankId,
        LocalDate doneOn,
        String doneBy,
        @Nullable String writtenDownBy,
        @Nullable Integer minutes,
        String note,
        List<DoneView> tasks,
        List<FlowView> flows,
        ServiceInput.Circumstances circumstances,
        int photos) {

    Set<Long> taskIds() {
        return tasks.stream().map(DoneView::taskId).collect(Collectors.toSet());
    }

    /**
     * A task that was done.
     *
     * @param stageId absent for a task of the whole filter
     * @param told what was done, in the past
     * @param finding absent if nobody looked
     * @param seen what that grade looks like on this stage; absent likewise
     */
    public record DoneView(
            long taskId,
            long filterId,
            @Nullable Long stageId,
            String name,
            String told,
            @Nullable Finding finding,
            @Nullable String seen) {}

    /** Measured flow in L/h; each absent if not measured. */
    public record FlowView(
            long filterId,
            @Nullable Double beforeLph,
            @Nullable Double afterLph) {}
}
