package app.chervil.server.procedure;

import app.chervil.core.procedure.GuidedWork;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Services in progress: every tick is an event kept once. {@link GuidedEndOperations} writes them into the log. */
@Service
public class GuidedOperations {
    private final GuidedMapper mapper;
    private final GuidedFile file;
    private final GuidedBeginning beginning;
    private final FilterPower power;

    GuidedOperations(GuidedMapper mapper, GuidedFile file, GuidedBeginning beginning, FilterPower power) {
        this.mapper = mapper;
        this.file = file;
        this.beginning = beginning;
        this.power = power;
    }

    /** Tanks at which a service is in progress, and when something was last ticked there. */
    @Transactional(readOnly = true)
    public Map<Long, Instant> atWork(SignedIn who) {
        return mapper.listTouched(who.siteId()).stream()
                .collect(Collectors.toMap(GuidedMapper.Touched::tankId, GuidedMapper.Touched::at));
    }

    /** Begins a service under an id its client made; beginning it again answers what is there. */
    @Transactional
    public GuidedView start(SignedIn who, UUID id, GuidedStart input) {
        if (mapper.find(who.siteId(), id).isEmpty()) {
            mapper.insert(who.siteId(), beginning.begun(who, id, input));
            power.offSince(who, input.filterId())
                    .ifPresent(
                            since -> seen(who, input.filterId(), "Plug", new PowerSeen(offAtStart(id), false, since)));
        }
        return find(who, id);
    }

    /** The one event by which a service begins with its filter off already. */
    private static UUID offAtStart(UUID service) {
        return UUID.nameUUIDFromBytes((service + " off at the start").getBytes(StandardCharsets.UTF_8));
    }

    /** Services in progress on the site, and filters that were left off. */
    @Transactional(readOnly = true)
    public List<GuidedView> listOpen(SignedIn who) {
        return file.listOpen(who);
    }

    /**
     * One guided service.
     *
     * @throws NotFound if the site has no such service
     */
    @Transactional(readOnly = true)
    public GuidedView find(SignedIn who, UUID id) {
        return file.view(who, file.row(who, id));
    }

    /** Keeps each event once, in the order given, and answers all that is known. */
    @Transactional
    public GuidedView keep(SignedIn who, UUID id, List<GuidedEvent> events) {
        GuidedRow row = file.locked(who, id);
        if (row.finishedAt() != null) {
            return ended(file.view(who, row), events);
        }
        checkEvents(row, events);
        boolean news = false;
        for (GuidedEvent event : events) {
            if (mapper.insertEvent(who.siteId(), id, who.name(), event) == 1) {
                news = true;
                if (event.kind() == GuidedWork.Kind.TASK_ADDED) {
                    addTask(who, file.row(who, id), Long.parseLong(event.value()));
                }
            }
        }
        GuidedView view = find(who, id);
        if (news) {
            mapper.updateOff(who.siteId(), id, view.work().offSince().orElse(null));
            return find(who, id);
        }
        return view;
    }

    private static void checkEvents(GuidedRow row, List<GuidedEvent> events) {
        Rejected.Gatherer gatherer = new Rejected.Gatherer();
        for (int i = 0; i < events.size(); i++) {
            gatherer.check(
                            events.get(i).fits(),
                            "events[" + i + "].value",
                            "not-understood",
                            "This value does not fit.")
                    .check(
                            row.occasion().hasTasks() || events.get(i).kind() != GuidedWork.Kind.TASK_ADDED,
                            "events[" + i + "].kind",
                            "no-tasks-here",
                            "There are no tasks in this. Finish it, then begin a service.");
        }
        gatherer.done();
    }

    private void addTask(SignedIn who, GuidedRow row, long task) {
        ProcedureView procedure = beginning.extended(who, row, task);
        mapper.updateSteps(who.siteId(), row.id(), new TaskIds(procedure.tasks()), new KeptSteps(procedure.steps()));
    }

    /** Once a service is in the log nothing can be added to it here: what was sent before is known, the rest is refused. */
    private static GuidedView ended(GuidedView view, List<GuidedEvent> events) {
        Set<UUID> known = view.events().stream().map(GuidedEvent::id).collect(Collectors.toSet());
        boolean late = events.stream().anyMatch(event -> !known.contains(event.id()));
        if (late) {
            throw new Rejected(
                    HttpStatus.CONFLICT,
                    List.of(new Rejected.Violation(
                            "events",
                            "ended",
                            "This service is in the log already. Correct it there if something is missing.")));
        }
        return view;
    }

    /**
     * Keeps that a plug saw a filter stop or start, for the clock of the service in which it stands open.
     *
     * @param by the plug's name
     */
    @Transactional
    public void seen(SignedIn who, long filter, String by, PowerSeen seen) {
        mapper.listOpen(who.siteId()).stream()
                .filter(row -> row.filterId() == filter && row.finishedAt() == null)
                .forEach(row -> {
                    file.locked(who, row.id());
                    if (mapper.insertEvent(who.siteId(), row.id(), by, seen.event()) == 1) {
                        mapper.updateOff(
                                who.siteId(),
                                row.id(),
                                find(who, row.id()).work().offSince().orElse(null));
                    }
                });
    }
}
