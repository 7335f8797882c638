package app.chervil.server.trouble;

import app.chervil.core.procedure.FollowUp;
import app.chervil.core.site.CareBook;
import app.chervil.core.trouble.Bearing;
import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Inquiry;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Next;
import app.chervil.core.trouble.Repair;
import app.chervil.core.trouble.Step;
import app.chervil.server.account.SignedIn;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.trouble.CaseRow.Standing;
import app.chervil.server.trouble.CaseRow.Verdict;
import app.chervil.server.trouble.CaseView.CaseSummary;
import app.chervil.server.trouble.CaseView.StandingView;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Cases of the trouble finder. Where a case stands follows from its events; what is stored of it is for lists and learning. */
@Service
public class TroubleOperations {
    private static final int MOST_EVENTS = 400;

    private final TroubleMapper mapper;
    private final CaseSubjects subjects;
    private final FollowUpOperations followUps;
    private final Clock clock;

    TroubleOperations(TroubleMapper mapper, CaseSubjects subjects, FollowUpOperations followUps, Clock clock) {
        this.mapper = mapper;
        this.subjects = subjects;
        this.followUps = followUps;
        this.clock = clock;
    }

    /** The same by another clock, for cases that lie in the past; to be used within a transaction. */
    public TroubleOperations at(Clock then) {
        return new TroubleOperations(mapper, subjects, followUps, then);
    }

    /**
     * Cases, newest first.
     *
     * @param tank null for all tanks of the site
     */
    @Transactional(readOnly = true)
    public List<CaseSummary> list(SignedIn who, @Nullable Long tank) {
        return mapper.list(who.siteId(), tank).stream()
                .map(TroubleOperations::summary)
                .toList();
    }

    /**
     * Opens a case under an id its client made; opening it again answers what is there.
     *
     * @throws Rejected if this kind of filter cannot have that complaint, or it was noticed after today
     */
    @Transactional
    public CaseView open(SignedIn who, UUID id, TroubleInput input) {
        if (mapper.find(who.siteId(), id).isEmpty()) {
            mapper.insert(who.siteId(), begun(who, id, input));
        }
        return find(who, id);
    }

    private CaseRow begun(SignedIn who, UUID id, TroubleInput input) {
        CareBook book = subjects.of(who, input.filterId());
        LocalDate today = today();
        LocalDate noticed = Objects.requireNonNullElse(input.noticedOn(), today);
        boolean known = Network.standard()
                .complaint(input.complaint())
                .filter(one -> one.kinds().contains(book.filter().kind()))
                .isPresent();
        new Rejected.Gatherer()
                .check(
                        known,
                        "complaint",
                        "not-for-this-filter",
                        "A " + book.filter().kind().words() + " does not have this trouble.")
                .check(!noticed.isAfter(today), "noticedOn", "future", "This day is yet to come.")
                .check(
                        !noticed.isBefore(today.minusDays(365)),
                        "noticedOn",
                        "too-long-ago",
                        "At most a year ago. Say when you last noticed it.")
                .done();
        return new CaseRow(
                id,
                book.filter().tankId(),
                book.filter().id(),
                book.filter().name(),
                input.complaint(),
                noticed,
                clock.instant(),
                who.name(),
                Known.of(book.clues(LocalDateTime.now(clock))),
                new CauseWeights(subjects.weights(who)),
                Standing.OPEN,
                null,
                null,
                null,
                null,
                Bearing.IGNORE_FLOW,
                null);
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }

    /**
     * One case.
     *
     * @throws NotFound if the site has no such case
     */
    @Transactional(readOnly = true)
    public CaseView find(SignedIn who, UUID id) {
        return view(who, mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("case")));
    }

    private CaseView view(SignedIn who, CaseRow row) {
        List<TroubleEvent> events = mapper.listEvents(who.siteId(), row.id());
        return new CaseView(
                summary(row),
                row.known(),
                row.weights().byCause(),
                events,
                StandingView.of(inquiry(row).after(steps(events))),
                subjects.inUse(who, row.tankId(), row.filterId())
                        .map(TroubleOperations::tasks)
                        .orElse(Map.of()),
                before(who, row));
    }

    private static Map<String, Long> tasks(CareBook book) {
        Map<String, Long> tasks = new HashMap<>();
        for (Repair repair : Network.standard().repairs()) {
            repair.task().flatMap(book::mending).ifPresent(task -> tasks.put(repair.id(), task.id()));
        }
        return tasks;
    }

    private List<CaseSummary> before(SignedIn who, CaseRow row) {
        return list(who, row.tankId()).stream()
                .filter(one -> one.complaint().equals(row.complaint())
                        && !one.id().equals(row.id())
                        && one.standing() == Standing.SOLVED
                        && !one.openedAt().isAfter(row.openedAt()))
                .toList();
    }

    private static CaseSummary summary(CaseRow row) {
        return new CaseSummary(
                row.id(),
                row.tankId(),
                row.filterId(),
                row.filterName(),
                row.complaint(),
                row.noticedOn(),
                row.openedAt(),
                row.openedBy(),
                row.standing(),
                row.closedOn(),
                row.repair(),
                row.cause(),
                row.counts(),
                row.overruled() != null);
    }

    private Inquiry inquiry(CaseRow row) {
        return Inquiry.of(
                Network.standard().weighing(row.weights().byCause()),
                row.known().history(),
                row.complaint());
    }

    /** What was not taken back, in order. */
    static List<Step> steps(List<TroubleEvent> events) {
        List<String> back = events.stream()
                .filter(event -> event.kind() == TroubleEvent.Kind.TAKEN_BACK)
                .map(TroubleEvent::about)
                .toList();
        return events.stream()
                .filter(event -> !back.contains(event.id().toString()))
                .flatMap(event -> event.step().stream())
                .toList();
    }

    /**
     * Keeps each event once, in the order given, and answers where the case stands; an empty list only asks.
     *
     * @throws Conflict if the case was given up meanwhile
     * @throws Rejected at the first event that names what the network does not know
     */
    @Transactional
    public CaseView keep(SignedIn who, UUID id, List<TroubleEvent> happened) {
        CaseRow row = locked(who, id);
        List<TroubleEvent> there = mapper.listEvents(who.siteId(), id);
        List<TroubleEvent> fresh = happened.stream()
                .filter(event -> there.stream().noneMatch(one -> one.id().equals(event.id())))
                .toList();
        if (fresh.isEmpty()) {
            return view(who, row);
        }
        if (row.standing() == Standing.LEFT) {
            throw new Conflict("case", view(who, row));
        }
        check(row, there, happened, fresh);
        for (TroubleEvent event : fresh) {
            if (mapper.insertEvent(who.siteId(), id, who.name(), event) == 0) {
                throw Rejected.field("events", "taken", "This step belongs to another case. Take it again.");
            }
        }
        settle(who, row);
        return find(who, id);
    }

    private CaseRow locked(SignedIn who, UUID id) {
        return mapper.findLocked(who.siteId(), id).orElseThrow(() -> new NotFound("case"));
    }

    private void check(CaseRow row, List<TroubleEvent> there, List<TroubleEvent> happened, List<TroubleEvent> fresh) {
        if (there.size() + fresh.size() > MOST_EVENTS) {
            throw Rejected.field("events", "too-many", "At most " + MOST_EVENTS + " steps a case.");
        }
        Inquiry inquiry = inquiry(row);
        for (int i = 0; i < happened.size(); i++) {
            TroubleEvent event = happened.get(i);
            String field = "events[" + i + "].";
            if (event.kind() == TroubleEvent.Kind.TAKEN_BACK) {
                continue;
            }
            Step step = event.step()
                    .orElseThrow(() -> Rejected.field(
                            field + "value", "unknown-outcome", "Did it help: solved, partly, no-change?"));
            try {
                inquiry.check(step);
            } catch (Inquiry.Unfit unfit) {
                boolean answer = unfit.field().equals("answer");
                throw Rejected.field(
                        field + (answer ? "value" : "about"),
                        "unknown-" + unfit.field(),
                        "The finder knows no such " + unfit.field() + ".");
            }
        }
    }

    /** Writes down what the steps come to. */
    private void settle(SignedIn who, CaseRow row) {
        Verdict verdict = verdict(row, steps(mapper.listEvents(who.siteId(), row.id())));
        boolean closed = verdict.standing() == Standing.SOLVED;
        boolean before = row.standing() == Standing.SOLVED;
        @Nullable Instant at = closed ? (before ? row.closedAt() : clock.instant()) : null;
        @Nullable LocalDate on = closed ? (before ? row.closedOn() : today()) : null;
        mapper.updateVerdict(who.siteId(), row.as(verdict, at, on));
        if (closed) {
            followUps.forget(who, row.id());
        }
    }

    private Verdict verdict(CaseRow row, List<Step> steps) {
        Inquiry inquiry = inquiry(row);
        Next next = inquiry.after(steps).next();
        if (next instanceof Next.Stop) {
            return Verdict.STOPPED;
        } else if (next instanceof Next.Solved solved) {
            return solved(inquiry, solved.repair(), steps);
        }
        return Verdict.OPEN;
    }

    private static Verdict solved(Inquiry inquiry, Repair repair, List<Step> steps) {
        @Nullable
        String cause = inquiry.ended(repair.id(), steps).map(Cause::id).orElse(null);
        return new Verdict(Standing.SOLVED, repair.id(), cause, inquiry.bearing(steps));
    }

    /** Gives a case up, unsolved. */
    @Transactional
    public CaseView leave(SignedIn who, UUID id) {
        CaseRow row = locked(who, id);
        if (row.standing() == Standing.OPEN || row.standing() == Standing.STOPPED) {
            mapper.updateVerdict(who.siteId(), row.as(Verdict.LEFT, clock.instant(), today()));
            followUps.forget(who, id);
        }
        return find(who, id);
    }

    /** Goes on with a case that was given up. */
    @Transactional
    public CaseView resume(SignedIn who, UUID id) {
        CaseRow row = locked(who, id);
        if (row.standing() == Standing.LEFT) {
            settle(who, row);
        }
        return find(who, id);
    }

    /**
     * Says what is to be learned from the days of a case.
     *
     * @param counts null for what the finder says
     */
    @Transactional
    public CaseView overrule(SignedIn who, UUID id, @Nullable Bearing counts) {
        locked(who, id);
        mapper.updateOverruled(who.siteId(), id, counts);
        return find(who, id);
    }

    /** Puts a case on the rounds again after some hours. */
    @Transactional
    public void remind(SignedIn who, UUID id, String words, int hours) {
        CaseRow row = locked(who, id);
        followUps.forget(who, id);
        followUps.ask(
                who,
                subjects.filter(who, row.filterId()),
                id,
                List.of(new FollowUp(FollowUp.Kind.LOOK, words, Duration.ofHours(hours))));
    }

    /** Takes a case out, as if it had never been opened. */
    @Transactional
    public void remove(SignedIn who, UUID id) {
        if (mapper.delete(who.siteId(), id) == 0) {
            throw new NotFound("case");
        }
        followUps.forget(who, id);
    }
}
