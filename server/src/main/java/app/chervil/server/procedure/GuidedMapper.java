package app.chervil.server.procedure;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tables guided_service and guided_event. */
@Mapper
interface GuidedMapper {
    /** Services in progress, and finished ones whose filter is still off; oldest first. */
    List<GuidedRow> listOpen(long site);

    /** When something was last ticked in a service that is in progress, by tank. */
    List<Touched> listTouched(long site);

    Optional<GuidedRow> find(long site, UUID id);

    /** Finds a service and lets nobody else add to it or end it until this transaction is over. */
    Optional<GuidedRow> findLocked(long site, UUID id);

    /** Adds a service unless one with that id is there. */
    int insert(long site, GuidedRow row);

    int updateSteps(long site, UUID id, TaskIds tasks, KeptSteps steps);

    int updateOff(long site, UUID id, @Nullable Instant offSince);

    /** Ends a service that is in progress. */
    int updateFinished(long site, UUID id, Instant now, @Nullable String leftOffReason);

    int delete(long site, UUID id);

    void deleteEvents(long site, UUID guided);

    List<GuidedEvent> listEvents(long site, UUID guided);

    /** Adds an event unless one with that id is there. */
    int insertEvent(long site, UUID guided, String by, GuidedEvent event);

    /** A tank at which somebody is at work. */
    record Touched(long tankId, Instant at) {}
}
