package app.chervil.server.visit;

import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.visit.SavedService.AnswerInput;
import app.chervil.server.visit.SavedService.AskedQuestion;
import app.chervil.server.visit.SavedService.Moved;
import java.time.LocalDate;
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
    private final WrittenServices written;
    private final ServiceQuestions questions;
    private final SiteBooks books;
    private final TransactionOperations transactions;
    private final ApplicationEventPublisher events;

    ServiceOperations(
            WrittenServices written,
            ServiceQuestions questions,
            SiteBooks books,
            TransactionOperations transactions,
            ApplicationEventPublisher events) {
        this.written = written;
        this.questions = questions;
        this.books = books;
        this.transactions = transactions;
        this.events = events;
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
                MovedWindows.between(saved.taskIds(), without, now),
                written.twins(who, saved),
                questions.of(who, saved, without, now));
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
        transactions.executeWithoutResult(status -> questions.keep(who, service, input));
        TankBook now = books.tank(who, service.tankId());
        return new SavedService(
                service,
                MovedWindows.between(service.taskIds(), was, now),
                List.of(),
                questions.of(who, service, now.without(id), now));
    }

    /** Logs a service without asking what it moved; for histories brought in whole. */
    @Transactional
    public void record(SignedIn who, UUID id, ServiceInput input) {
        written.check(who, input);
        written.insert(who, id, input);
    }

    /**
     * Logs a whole history of a tank at once; those under an id that is there already stay as they are, those that were
     * withdrawn come back.
     *
     * @return tasks whose window it moved
     */
    public List<Moved> bringIn(SignedIn who, long tank, Map<UUID, ServiceInput> history) {
        TankBook was = books.tank(who, tank);
        transactions.executeWithoutResult(status -> written.bringIn(who, tank, history));
        return MovedWindows.between(Set.of(), was, books.tank(who, tank));
    }

    /** Which of these ids are in the log. */
    @Transactional(readOnly = true)
    public Set<UUID> logged(SignedIn who, Set<UUID> ids) {
        return written.logged(who, ids);
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
        written.check(who, input);
        TankBook was = books.tank(who, before.tankId());
        transactions.executeWithoutResult(status -> written.replace(who, before, version, input));
        ServiceView corrected = find(who, id);
        TankBook now = books.tank(who, before.tankId());
        return new SavedService(
                corrected,
                MovedWindows.between(corrected.taskIds(), was, now),
                written.twins(who, corrected),
                questions.of(who, corrected, now.without(id), now));
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
        ServiceView other = written.twins(who, kept).stream()
                .filter(twin -> twin.id().equals(otherId))
                .findFirst()
                .orElseThrow(() -> Rejected.field("other", "no-twin", "These two did not log the same work."));
        withdraw(who, otherId);
        return correct(who, id, kept.version(), Merging.of(kept, other));
    }

    /** Takes a service out of the log; it can be put back. */
    @Transactional
    public void withdraw(SignedIn who, UUID id) {
        written.withdraw(who, id);
        events.publishEvent(new LogChange.TakenBack(who, id));
    }

    @Transactional
    public ServiceView restore(SignedIn who, UUID id) {
        written.restore(who, id);
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
        return written.find(who, id);
    }

    /**
     * Services of a tank, latest first.
     *
     * @param limit at most {@link WrittenServices#MOST_LISTED}
     */
    @Transactional(readOnly = true)
    public List<ServiceView> list(SignedIn who, long tank, int skip, int limit) {
        return written.list(who, tank, skip, limit);
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

    /** What services of the whole site used since a day, in no order. */
    @Transactional(readOnly = true)
    public List<UsedParts> used(SignedIn who, LocalDate since) {
        return written.used(who, since);
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
}
