package app.chervil.server.procedure;

import app.chervil.core.procedure.GuidedWork;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.SavedService;
import app.chervil.server.visit.ServiceInput;
import java.time.Clock;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** How guided services end: in the log, or in nothing. */
@Service
public class GuidedEndOperations {
    private static final String TAKEN_DOWN = "It was taken down.";

    private final GuidedMapper mapper;
    private final GuidedFile file;
    private final GuidedLog log;
    private final GuidedEnds ends;
    private final Clock clock;

    GuidedEndOperations(GuidedMapper mapper, GuidedFile file, GuidedLog log, GuidedEnds ends, Clock clock) {
        this.mapper = mapper;
        this.file = file;
        this.log = log;
        this.ends = ends;
        this.clock = clock;
    }

    /**
     * Writes what was done into the log.
     *
     * @throws Rejected if the filter is off and no reason is given, or nothing was done
     */
    @Transactional
    public SavedService finish(SignedIn who, UUID id, GuidedFinish input) {
        GuidedRow row = file.locked(who, id);
        GuidedWork work = file.view(who, row).work();
        String given = input.leftOffReason().strip();
        String reason = given.isEmpty() && GuidedLog.isTakenDown(row, work) ? TAKEN_DOWN : given;
        ServiceInput done = log.told(who, row, work, input);
        new Rejected.Gatherer()
                .check(
                        row.offSince() == null || !reason.isEmpty(),
                        "leftOffReason",
                        "pump-not-confirmed",
                        "The filter is still off. Start it and confirm, or write why it stays off.")
                .check(
                        !done.tasks().isEmpty() || !done.note().isEmpty(),
                        "tasks",
                        "nothing-done",
                        "No task was finished. Leave it open, or drop it.")
                .done();
        mapper.updateFinished(who.siteId(), id, clock.instant(), reason.isEmpty() ? null : reason);
        return ends.logged(who, row, work, done);
    }

    /** Confirms that a filter left off by a finished service runs again. */
    @Transactional
    public void confirmRunning(SignedIn who, UUID id) {
        file.row(who, id);
        mapper.updateOff(who.siteId(), id, null);
    }

    /** Drops a service in which nobody did anything, whatever a plug saw meanwhile. */
    @Transactional
    public void drop(SignedIn who, UUID id) {
        GuidedRow row = file.row(who, id);
        new Rejected.Gatherer()
                .check(
                        row.finishedAt() == null
                                && mapper.listEvents(who.siteId(), id).stream()
                                        .allMatch(event -> event.kind().seen()),
                        "",
                        "work-was-done",
                        "Something was done already. Finish it instead.")
                .done();
        mapper.deleteEvents(who.siteId(), id);
        mapper.delete(who.siteId(), id);
        if (row.afterId() != null) {
            mapper.find(who.siteId(), row.afterId())
                    .ifPresent(before ->
                            ends.dropped(who, before, file.view(who, before).work()));
        }
    }
}
