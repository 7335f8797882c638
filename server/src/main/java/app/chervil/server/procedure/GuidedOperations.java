package app.chervil.server.procedure;

import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.site.Filter;
import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteMemory;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.procedure.ProcedureOperations.Wanted;
import app.chervil.server.procedure.ProcedureView.StepView;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.SavedService;
import app.chervil.server.visit.ServiceInput;
import app.chervil.server.visit.ServiceOperations;
import app.chervil.server.water.MediaOperations.MediaPlan;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** Services in progress: every tick is an event kept once; finishing writes them into the log. */
@Service
public class GuidedOperations {
    private static final TypeReference<List<StepView>> STEPS = new TypeReference<>() {};
    static final TypeReference<List<Long>> TASKS = new TypeReference<>() {};
    static final TypeReference<Set<Chore>> CHORES = new TypeReference<>() {};

    private static final String TAKEN_DOWN = "It was taken down.";

    private final GuidedMapper mapper;
    private final ProcedureOperations procedures;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final ServiceOperations services;
    private final GuidedChores chores;
    private final GuidedAftermath aftermath;
    private final FilterPower power;
    private final SiteMemory memory;
    private final GuidedLog log;
    private final GuidedLine line;
    private final JsonMapper json;
    private final Clock clock;

    GuidedOperations(
            GuidedMapper mapper,
            ProcedureOperations procedures,
            FilterOperations filters,
            TankOperations tanks,
            ServiceOperations services,
            GuidedChores chores,
            GuidedAftermath aftermath,
            FilterPower power,
            SiteMemory memory,
            GuidedLog log,
            GuidedLine line,
            JsonMapper json,
            Clock clock) {
        this.mapper = mapper;
        this.procedures = procedures;
        this.filters = filters;
        this.tanks = tanks;
        this.services = services;
        this.chores = chores;
        this.aftermath = aftermath;
        this.power = power;
        this.memory = memory;
        this.log = log;
        this.line = line;
        this.json = json;
        this.clock = clock;
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
        boolean isNew = mapper.find(who.siteId(), id).isEmpty();
        long tank = filters.find(who, input.filterId()).tankId();
        if (isNew) {
            line.checkAfter(who, tank, input);
        }
        ProcedureView procedure = assembled(who, input);
        if (input.what() == Occasion.STORE) {
            who.mustBeKeeper();
        }
        @Nullable String reason = line.reason(who, input);
        if (isNew) {
            checkStart(who, tank, procedure, input, reason);
            line.goesOn(who, input);
        }
        mapper.insert(
                who.siteId(),
                new GuidedRow(
                        id,
                        tank,
                        input.filterId(),
                        json.writeValueAsString(procedure.tasks()),
                        json.writeValueAsString(input.chores()),
                        json.writeValueAsString(procedure.steps()),
                        clock.instant(),
                        who.name(),
                        null,
                        null,
                        reason,
                        input.media() == null ? null : json.writeValueAsString(input.media()),
                        input.what(),
                        json.writeValueAsString(procedure.then().stream()
                                .flatMap(then -> then.tasks().stream())
                                .toList()),
                        input.after()));
        power.offSince(who, input.filterId())
                .ifPresent(since -> seen(who, input.filterId(), "Plug", new PowerSeen(offAtStart(id), false, since)));
        return find(who, id);
    }

    private ProcedureView assembled(SignedIn who, GuidedStart input) {
        return switch (input.what()) {
            case SERVICE ->
                procedures.assemble(
                        who,
                        new Wanted(
                                input.filterId(),
                                input.tasks(),
                                input.chores(),
                                grams(input.media()),
                                line.around(who, input)));
            case LOOK_OVER -> procedures.lookOver(who, input.filterId());
            case SET_UP -> procedures.setUp(who, input.filterId());
            case MOVE, STORE -> procedures.takeDown(who, input.filterId(), input.what());
        };
    }

    /** The one event by which a service begins with its filter off already. */
    private static UUID offAtStart(UUID service) {
        return UUID.nameUUIDFromBytes((service + " off at the start").getBytes(StandardCharsets.UTF_8));
    }

    private void checkStart(
            SignedIn who, long tank, ProcedureView procedure, GuidedStart input, @Nullable String reason) {
        boolean exchange = input.chores().contains(Chore.BIO_PART_REPLACED);
        boolean unexplained = reason == null || reason.isBlank();
        new Rejected.Gatherer()
                .check(!procedure.steps().isEmpty(), "tasks", "nothing-to-do", "Choose at least one task.")
                .check(
                        input.next().isEmpty() || !procedure.tooMuch(),
                        "then",
                        "too-much",
                        "Bio media would come out of two filters on one day. Leave one for next week.")
                .check(!exchange || input.media() != null, "media.grams", "needed", "Which media, and how many grams?")
                .check(
                        procedure.held().isEmpty() || !unexplained,
                        "overrideReason",
                        "held",
                        "Some of this work is on hold. Write why it is done anyway.")
                .done();
        chores.checkMedia(who, tank, input, reason);
    }

    private static OptionalDouble grams(@Nullable MediaPlan plan) {
        return plan == null ? OptionalDouble.empty() : OptionalDouble.of(plan.grams());
    }

    /** Services in progress on the site. */
    @Transactional(readOnly = true)
    public List<GuidedView> listOpen(SignedIn who) {
        return memory.recall(who.siteId(), GuidedView.class, () -> open(who));
    }

    private List<GuidedView> open(SignedIn who) {
        List<GuidedRow> open = mapper.listOpen(who.siteId());
        if (open.isEmpty()) {
            return List.of();
        }
        Map<Long, Filter> byFilter =
                filters.list(who, null).stream().collect(Collectors.toMap(Filter::id, Function.identity()));
        Map<Long, Tank> byTank = tanks.list(who).stream().collect(Collectors.toMap(Tank::id, Function.identity()));
        return open.stream()
                .flatMap(row -> {
                    @Nullable Filter filter = byFilter.get(row.filterId());
                    @Nullable Tank tank = byTank.get(row.tankId());
                    return filter == null || tank == null
                            ? Stream.<GuidedView>empty()
                            : Stream.of(view(who, row, tank, filter));
                })
                .toList();
    }

    /**
     * One guided service.
     *
     * @throws NotFound if the site has no such service
     */
    @Transactional(readOnly = true)
    public GuidedView find(SignedIn who, UUID id) {
        return view(who, row(who, id));
    }

    /** Keeps each event once, in the order given, and answers all that is known. */
    @Transactional
    public GuidedView keep(SignedIn who, UUID id, List<GuidedEvent> events) {
        GuidedRow row = locked(who, id);
        if (row.finishedAt() != null) {
            return ended(view(who, row), events);
        }
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
        boolean news = false;
        for (GuidedEvent event : events) {
            if (mapper.insertEvent(who.siteId(), id, who.name(), event) == 1) {
                news = true;
                if (event.kind() == GuidedWork.Kind.TASK_ADDED) {
                    addTask(who, row(who, id), Long.parseLong(event.value()));
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
                    locked(who, row.id());
                    if (mapper.insertEvent(who.siteId(), row.id(), by, seen.event()) == 1) {
                        mapper.updateOff(
                                who.siteId(),
                                row.id(),
                                find(who, row.id()).work().offSince().orElse(null));
                    }
                });
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
     * Writes what was done into the log.
     *
     * @throws Rejected if the filter is off and no reason is given, or nothing was done
     */
    @Transactional
    public SavedService finish(SignedIn who, UUID id, GuidedFinish input) {
        GuidedRow row = locked(who, id);
        GuidedWork work = view(who, row).work();
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
        line.heaterWaits(who, row, work);
        aftermath.ask(who, row, work);
        chores.record(who, row, work, done.known().overrideReason());
        return services.save(who, id, done);
    }

    /** Confirms that a filter left off by a finished service runs again. */
    @Transactional
    public void confirmRunning(SignedIn who, UUID id) {
        row(who, id);
        mapper.updateOff(who.siteId(), id, null);
    }

    /** Drops a service in which nobody did anything, whatever a plug saw meanwhile. */
    @Transactional
    public void drop(SignedIn who, UUID id) {
        GuidedRow row = row(who, id);
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
                            line.heaterWaits(who, before, view(who, before).work()));
        }
    }

    private GuidedRow row(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("guided service"));
    }

    private GuidedView view(SignedIn who, GuidedRow row) {
        return view(who, row, tanks.find(who, row.tankId()), filters.find(who, row.filterId()));
    }

    private GuidedView view(SignedIn who, GuidedRow row, Tank tank, Filter filter) {
        return new GuidedView(
                row.id(),
                new GuidedView.Place(row.tankId(), tank.name(), filter.id(), filter.name()),
                json.readValue(row.steps(), STEPS),
                mapper.listEvents(who.siteId(), row.id()),
                row.startedAt(),
                row.offSince(),
                row.finishedAt(),
                GuidedView.Inside.of(filter),
                row.occasion(),
                line.coming(who, row));
    }

    private void addTask(SignedIn who, GuidedRow row, long task) {
        List<Long> tasks = new ArrayList<>(json.readValue(row.tasks(), TASKS));
        tasks.add(task);
        ProcedureView procedure = procedures.assemble(
                who,
                new Wanted(
                        row.filterId(),
                        tasks,
                        json.readValue(row.chores(), CHORES),
                        grams(row.media() == null ? null : json.readValue(row.media(), MediaPlan.class)),
                        line.around(who, row)));
        mapper.updateSteps(
                who.siteId(),
                row.id(),
                json.writeValueAsString(procedure.tasks()),
                json.writeValueAsString(procedure.steps()));
    }

    private GuidedRow locked(SignedIn who, UUID id) {
        return mapper.findLocked(who.siteId(), id).orElseThrow(() -> new NotFound("guided service"));
    }
}
