package app.chervil.server.visit;

import app.chervil.core.interval.Note;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.site.Asked;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.SavedService.AnswerInput;
import app.chervil.server.visit.SavedService.AskedQuestion;
import app.chervil.server.visit.SavedService.Moved;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceRows.AnswerRow;
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
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;
import org.springframework.transaction.support.TransactionOperations;

/** Logs services, corrects and withdraws them, and tells what each moved. */
@Service
public class ServiceOperations {
    static final int MOST_LISTED = 100;

    private final ServiceMapper mapper;
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final SiteBooks books;
    private final TransactionOperations transactions;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    ServiceOperations(
            ServiceMapper mapper,
            TankOperations tanks,
            FilterOperations filters,
            SiteBooks books,
            TransactionOperations transactions,
            ApplicationEventPublisher events,
            Clock clock) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
        this.books = books;
        this.transactions = transactions;
        this.events = events;
        this.clock = clock;
    }

    /**
     * Logs a service under an id its client made. Saving the same id again changes nothing and answers the same.
     *
     * @throws NotFound if the tank, a task or a filter is not there, or the id was withdrawn or belongs elsewhere
     */
    public SavedService save(SignedIn who, UUID id, ServiceInput input) {
        TankBook before = books.tank(who, input.tankId());
        checkHolds(before, id, input);
        transactions.executeWithoutResult(status -> {
            record(who, id, input);
            List<Long> done =
                    input.tasks().stream().map(ServiceInput.Done::taskId).toList();
            events.publishEvent(new LogChange.Logged(who, id, input.tankId(), input.doneOn(), done));
        });
        ServiceView saved = find(who, id);
        TankBook now = books.tank(who, saved.tankId());
        TankBook without = before.logs(id) ? now.without(id) : before;
        return new SavedService(
                saved,
                MovedWindows.between(tasks(saved), without, now),
                twins(who, saved),
                questions(who, saved, without, now));
    }

    /** What a service makes us ask, apart from what was answered already. */
    private List<AskedQuestion> questions(SignedIn who, ServiceView service, TankBook without, TankBook now) {
        Map<Long, Set<Note>> before = without.filters().stream()
                .collect(Collectors.toMap(book -> book.filter().id(), CareBook::notes));
        Set<Long> tasks = tasks(service);
        Set<Long> touched =
                service.tasks().stream().map(ServiceView.DoneView::filterId).collect(Collectors.toSet());
        Set<Long> served = new HashSet<>(mapper.listServedFilters(who.siteId(), service.tankId(), service.id()));
        Set<List<Object>> answered = mapper.listAnswers(who.siteId()).stream()
                .filter(answer ->
                        answer.question() == Asked.START || answer.serviceId().equals(service.id()))
                .map(answer -> List.<Object>of(answer.filterId(), answer.question()))
                .collect(Collectors.toSet());
        return now.filters().stream()
                .filter(book -> touched.contains(book.filter().id()))
                .flatMap(book -> Questions.of(
                        book.filter(),
                        book.notes(),
                        before.getOrDefault(book.filter().id(), Set.of()),
                        !served.contains(book.filter().id()),
                        book.gapBefore(service.doneOn(), tasks))
                        .stream())
                .filter(question -> !answered.contains(List.<Object>of(question.filterId(), question.asked())))
                .toList();
    }

    /**
     * Keeps an answer; the dates follow.
     *
     * @throws Rejected if the question has no such answer
     */
    public SavedService answer(SignedIn who, UUID id, AnswerInput input) {
        ServiceView service = find(who, id);
        if (service.tasks().stream().noneMatch(done -> done.filterId() == input.filterId())) {
            throw new NotFound("filter");
        }
        new Rejected.Gatherer()
                .check(
                        Questions.knows(input.asked(), input.answer()),
                        "answer",
                        "unknown",
                        "Choose one of the answers.")
                .done();
        TankBook was = books.tank(who, service.tankId());
        transactions.executeWithoutResult(status -> keep(who, service, input));
        TankBook now = books.tank(who, service.tankId());
        return new SavedService(
                service,
                MovedWindows.between(tasks(service), was, now),
                List.of(),
                questions(who, service, now.without(id), now));
    }

    private void keep(SignedIn who, ServiceView service, AnswerInput input) {
        mapper.saveAnswer(
                who.siteId(),
                new AnswerRow(service.id(), input.filterId(), input.asked(), input.answer()),
                clock.instant());
        if (input.asked() == Asked.START) {
            Questions.daysBefore(input.answer())
                    .map(days -> service.doneOn().minusDays(days))
                    .ifPresent(on -> filters.setCleaned(who, input.filterId(), on, Sureness.ABOUT));
        }
    }

    /** Logs a service without asking what it moved; for histories brought in whole. */
    @Transactional
    public void record(SignedIn who, UUID id, ServiceInput input) {
        check(who, input);
        if (mapper.insert(who.siteId(), id, input, who.accountId(), clock.instant()) == 1) {
            storeParts(who, id, input);
        }
    }

    /**
     * Logs a whole history of a tank at once; those under an id that is there already stay as they are, those that were
     * withdrawn come back.
     *
     * @return tasks whose window it moved
     */
    public List<Moved> bringIn(SignedIn who, long tank, Map<UUID, ServiceInput> history) {
        TankBook was = books.tank(who, tank);
        transactions.executeWithoutResult(status -> {
            ServiceChecks.Owned owned = owned(who, tank);
            history.forEach((id, input) -> {
                check(owned, input);
                if (mapper.insert(who.siteId(), id, input, who.accountId(), clock.instant()) == 1) {
                    storeParts(who, id, input);
                } else {
                    mapper.restore(who.siteId(), id);
                }
            });
        });
        return MovedWindows.between(Set.of(), was, books.tank(who, tank));
    }

    /** Which of these ids are in the log. */
    @Transactional(readOnly = true)
    public Set<UUID> logged(SignedIn who, Set<UUID> ids) {
        return ids.isEmpty() ? Set.of() : new HashSet<>(mapper.listLogged(who.siteId(), ids));
    }

    /**
     * Corrects a service. What it said before is kept.
     *
     * @throws Conflict if the version is stale
     */
    public SavedService correct(SignedIn who, UUID id, int version, ServiceInput input) {
        ServiceView before = find(who, id);
        new Rejected.Gatherer()
                .check(input.tankId() == before.tankId(), "tankId", "tank-stays", "A service stays with its tank.")
                .done();
        check(who, input);
        TankBook was = books.tank(who, before.tankId());
        transactions.executeWithoutResult(status -> replace(who, before, version, input));
        ServiceView corrected = find(who, id);
        TankBook now = books.tank(who, before.tankId());
        return new SavedService(
                corrected,
                MovedWindows.between(tasks(corrected), was, now),
                twins(who, corrected),
                questions(who, corrected, now.without(id), now));
    }

    private void replace(SignedIn who, ServiceView before, int version, ServiceInput input) {
        UUID id = before.id();
        Conflict.unlessUpdated(mapper.update(who.siteId(), id, version, input), "service", () -> before);
        mapper.insertCorrection(who.siteId(), before, who.name(), clock.instant());
        mapper.deleteDone(who.siteId(), id);
        mapper.deleteFlows(who.siteId(), id);
        mapper.deleteParts(who.siteId(), id);
        storeParts(who, id, input);
    }

    /**
     * Makes one service of two that logged the same work: all tasks of both, of two grades the fuller, the notes of both. The
     * other one is withdrawn.
     *
     * @throws Rejected if they are not twins
     */
    @Transactional
    public SavedService merge(SignedIn who, UUID id, UUID otherId) {
        ServiceView kept = find(who, id);
        ServiceView other = twins(who, kept).stream()
                .filter(twin -> twin.id().equals(otherId))
                .findFirst()
                .orElseThrow(() -> Rejected.field("other", "no-twin", "These two did not log the same work."));
        withdraw(who, otherId);
        return correct(who, id, kept.version(), Merging.of(kept, other));
    }

    /** Takes a service out of the log; it can be put back. */
    @Transactional
    public void withdraw(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("service");
        }
        events.publishEvent(new LogChange.TakenBack(who, id));
    }

    @Transactional
    public ServiceView restore(SignedIn who, UUID id) {
        if (mapper.restore(who.siteId(), id) == 0) {
            throw new NotFound("service");
        }
        events.publishEvent(new LogChange.PutBack(who, id));
        return find(who, id);
    }

    /**
     * One service of the log.
     *
     * @throws NotFound if the site has no such service, or it was withdrawn
     */
    @Transactional(readOnly = true)
    public ServiceView find(SignedIn who, UUID id) {
        ServiceRow row = mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("service"));
        return views(who, List.of(row)).get(0);
    }

    /**
     * Services of a tank, latest first.
     *
     * @param limit at most {@link #MOST_LISTED}
     */
    @Transactional(readOnly = true)
    public List<ServiceView> list(SignedIn who, long tank, int skip, int limit) {
        tanks.find(who, tank);
        int held = Math.min(Math.max(limit, 1), MOST_LISTED);
        return views(who, mapper.listLatest(who.siteId(), tank, Math.max(skip, 0), held));
    }

    /**
     * A question left open by a service.
     *
     * @param serviceId by which it is answered
     */
    public record OpenQuestion(UUID serviceId, AskedQuestion question) {}

    /** What was not answered yet about the first services of filters of unknown age. */
    @Transactional(readOnly = true)
    public List<OpenQuestion> undated(SignedIn who) {
        return books.site(who).tanks().stream()
                .flatMap(tank -> tank.filters().stream())
                .flatMap(care -> care.undated().stream()
                        .map(first -> new OpenQuestion(first.id(), Questions.start(care.filter(), first.doneOn()))))
                .toList();
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

    /** What services of the whole site used since a day, in no order. */
    @Transactional(readOnly = true)
    public List<UsedParts> used(SignedIn who, LocalDate since) {
        return mapper.listUsed(who.siteId(), since).stream().map(UsedRow::view).toList();
    }

    private List<ServiceView> twins(SignedIn who, ServiceView service) {
        Set<Long> tasks = tasks(service);
        LedgerQuery sameDay =
                new LedgerQuery(null, service.tankId(), null, null, service.doneOn(), service.doneOn(), 0, MOST_LISTED);
        return views(who, mapper.listFound(who.siteId(), sameDay)).stream()
                .filter(other ->
                        !other.id().equals(service.id()) && !other.doneBy().equals(service.doneBy()))
                .filter(other -> other.tasks().stream().anyMatch(done -> tasks.contains(done.taskId())))
                .toList();
    }

    /** Work that a hold forbids may be logged all the same, with the reason that was found for it. */
    private static void checkHolds(TankBook book, UUID id, ServiceInput input) {
        @Nullable String reason = input.known().overrideReason();
        if (reason != null && !reason.isBlank()) {
            return;
        }
        if (input.known().nothingCleaned()) {
            return;
        }
        Set<Long> tasks = input.tasks().stream().map(ServiceInput.Done::taskId).collect(Collectors.toSet());
        book.permission(tasks, 0, input.doneOn(), Optional.of(id)).holds().stream()
                .findFirst()
                .ifPresent(hold -> {
                    throw Rejected.field(
                            "circumstances.overrideReason",
                            "held",
                            "This work is on hold. " + hold.reason() + " Write why it was done anyway.");
                });
    }

    private ServiceChecks.Owned owned(SignedIn who, long tank) {
        tanks.find(who, tank);
        return new ServiceChecks.Owned(
                new HashSet<>(mapper.listTaskIds(who.siteId(), tank)),
                new HashSet<>(mapper.listFilterIds(who.siteId(), tank)));
    }

    private void check(SignedIn who, ServiceInput input) {
        check(owned(who, input.tankId()), input);
    }

    private void check(ServiceChecks.Owned owned, ServiceInput input) {
        tanks.checkDay("doneOn", input.doneOn());
        ServiceChecks.check(owned, input);
    }

    private static Set<Long> tasks(ServiceView service) {
        return service.tasks().stream().map(ServiceView.DoneView::taskId).collect(Collectors.toSet());
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
}
