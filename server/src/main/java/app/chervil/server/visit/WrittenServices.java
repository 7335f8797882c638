package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceRows.DoneRow;
import app.chervil.server.visit.ServiceRows.FlowRow;
import app.chervil.server.visit.ServiceRows.PartRow;
import app.chervil.server.visit.ServiceRows.PhotoCount;
import app.chervil.server.visit.ServiceRows.ServiceRow;
import app.chervil.server.visit.ServiceRows.UsedRow;
import java.time.Clock;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;

/** Services as they are written down: read, checked and changed. */
@Component
class WrittenServices {
    static final int MOST_LISTED = 100;

    private final ServiceMapper mapper;
    private final TankOperations tanks;
    private final Clock clock;

    WrittenServices(ServiceMapper mapper, TankOperations tanks, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.clock = clock;
    }

    /**
     * Whether a service can be logged as it was typed.
     *
     * @throws NotFound if the tank, a task or a filter is not there
     * @throws Rejected with all that is wrong, each at its field
     */
    void check(SignedIn who, ServiceInput input) {
        check(owned(who, input.tankId()), input);
    }

    private void check(ServiceChecks.Owned owned, ServiceInput input) {
        tanks.checkDay("doneOn", input.doneOn());
        ServiceChecks.check(owned, input);
    }

    private ServiceChecks.Owned owned(SignedIn who, long tank) {
        tanks.find(who, tank);
        return new ServiceChecks.Owned(
                new HashSet<>(mapper.listTaskIds(who.siteId(), tank)),
                new HashSet<>(mapper.listFilterIds(who.siteId(), tank)));
    }

    /** Writes a service down, unless one with that id is there. */
    void insert(SignedIn who, UUID id, ServiceInput input) {
        if (inserted(who, id, input)) {
            storeParts(who, id, input);
        }
    }

    private boolean inserted(SignedIn who, UUID id, ServiceInput input) {
        return mapper.insert(who.siteId(), id, input, who.accountId(), clock.instant()) == 1;
    }

    /** Writes a history down; what is there already stays as it is, what was withdrawn comes back. */
    void bringIn(SignedIn who, long tank, Map<UUID, ServiceInput> history) {
        ServiceChecks.Owned owned = owned(who, tank);
        history.forEach((id, input) -> {
            check(owned, input);
            if (inserted(who, id, input)) {
                storeParts(who, id, input);
            } else {
                mapper.restore(who.siteId(), id);
            }
        });
    }

    private void storeParts(SignedIn who, UUID id, ServiceInput input) {
        input.tasks().forEach(done -> mapper.insertDone(who.siteId(), id, done));
        input.known().parts().forEach(part -> mapper.insertPart(who.siteId(), id, part));
        input.flows().stream()
                .filter(flow -> flow.before() != null || flow.after() != null)
                .map(flow -> new FlowRow(
                        id, flow.filterId(), FlowReading.rate(flow.before()), FlowReading.rate(flow.after())))
                .forEach(flow -> mapper.insertFlow(who.siteId(), flow));
    }

    /**
     * Writes a service anew and keeps what it said before.
     *
     * @throws Conflict if the version is stale
     */
    void replace(SignedIn who, ServiceView before, int version, ServiceInput input) {
        UUID id = before.id();
        Conflict.unlessUpdated(mapper.update(who.siteId(), id, version, input), "service", () -> before);
        mapper.insertCorrection(who.siteId(), before, who.name(), clock.instant());
        mapper.deleteDone(who.siteId(), id);
        mapper.deleteFlows(who.siteId(), id);
        mapper.deleteParts(who.siteId(), id);
        storeParts(who, id, input);
    }

    /** @throws NotFound if it is not in the log */
    void withdraw(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("service");
        }
    }

    /** @throws NotFound if it was not withdrawn */
    void restore(SignedIn who, UUID id) {
        if (mapper.restore(who.siteId(), id) == 0) {
            throw new NotFound("service");
        }
    }

    /** Which of these ids are in the log. */
    Set<UUID> logged(SignedIn who, Set<UUID> ids) {
        return ids.isEmpty() ? Set.of() : new HashSet<>(mapper.listLogged(who.siteId(), ids));
    }

    /** @throws NotFound if the site has no such service, or it was withdrawn */
    ServiceView find(SignedIn who, UUID id) {
        ServiceRow row = mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("service"));
        return views(who, List.of(row)).get(0);
    }

    /**
     * Services of a tank, latest first.
     *
     * @param limit at most {@link #MOST_LISTED}
     */
    List<ServiceView> list(SignedIn who, long tank, int skip, int limit) {
        tanks.find(who, tank);
        int held = Math.min(Math.max(limit, 1), MOST_LISTED);
        return views(who, mapper.listLatest(who.siteId(), tank, Math.max(skip, 0), held));
    }

    /** Rows with their tasks and flows, in the same order. */
    List<ServiceView> views(SignedIn who, List<ServiceRow> rows) {
        if (rows.isEmpty()) {
            return List.of();
        }
        Set<UUID> ids = rows.stream().map(ServiceRow::id).collect(Collectors.toSet());
        Map<UUID, List<DoneRow>> done =
                mapper.listDoneOf(who.siteId(), ids).stream().collect(Collectors.groupingBy(DoneRow::serviceId));
        Map<UUID, List<FlowRow>> flows =
                mapper.listFlowsOf(who.siteId(), ids).stream().collect(Collectors.groupingBy(FlowRow::serviceId));
        Map<UUID, List<PartRow>> parts =
                mapper.listPartsOf(who.siteId(), ids).stream().collect(Collectors.groupingBy(PartRow::serviceId));
        Map<UUID, Integer> photos = mapper.listPhotoCountsOf(who.siteId(), ids).stream()
                .collect(Collectors.toMap(PhotoCount::serviceId, PhotoCount::photos));
        return rows.stream()
                .map(row -> row.view(
                        done.getOrDefault(row.id(), List.of()),
                        flows.getOrDefault(row.id(), List.of()),
                        parts.getOrDefault(row.id(), List.of()),
                        photos.getOrDefault(row.id(), 0)))
                .toList();
    }

    /** Services of the same day by somebody else that did one of the same tasks. */
    List<ServiceView> twins(SignedIn who, ServiceView service) {
        Set<Long> tasks = service.taskIds();
        LedgerQuery sameDay =
                new LedgerQuery(null, service.tankId(), null, null, service.doneOn(), service.doneOn(), 0, MOST_LISTED);
        return views(who, mapper.listFound(who.siteId(), sameDay)).stream()
                .filter(other ->
                        !other.id().equals(service.id()) && !other.doneBy().equals(service.doneBy()))
                .filter(other -> other.tasks().stream().anyMatch(done -> tasks.contains(done.taskId())))
                .toList();
    }

    /** What services of the whole site used since a day, in no order. */
    List<UsedParts> used(SignedIn who, LocalDate since) {
        return mapper.listUsed(who.siteId(), since).stream().map(UsedRow::view).toList();
    }
}
