package app.chervil.server.chore;

import app.chervil.core.procedure.FollowUp;
import app.chervil.core.site.Filter;
import app.chervil.core.site.PlannedChore;
import app.chervil.core.site.TankBook;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.chore.ChoreMapper.DoneRow;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankMade;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Work on the tanks themselves: which of it is planned how often, and when it was last done. */
@Service
public class ChoreOperations {
    private static final int LATELY = 5;

    private final ChoreMapper mapper;
    private final TankOperations tanks;
    private final SiteBooks books;
    private final FollowUpOperations followUps;
    private final Clock clock;

    ChoreOperations(
            ChoreMapper mapper, TankOperations tanks, SiteBooks books, FollowUpOperations followUps, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.books = books;
        this.followUps = followUps;
        this.clock = clock;
    }

    /** How often a chore is to be planned; absent: not at all. */
    public record ChoreInput(@Nullable Integer everyDays) {}

    /** Every new tank begins with its water change planned. */
    @EventListener
    @Transactional
    public void begin(TankMade made) {
        mapper.save(
                made.by().siteId(),
                made.tank(),
                TankChore.WATER_CHANGE,
                TankChore.WATER_CHANGE.startDays(),
                tanks.today());
    }

    /** All chores that a tank may have, planned or not. */
    @Transactional(readOnly = true)
    public List<ChoreView> list(SignedIn who, long tank) {
        TankBook book = books.tank(who, tank);
        Map<TankChore, PlannedChore> planned =
                book.records().chores().stream().collect(Collectors.toMap(PlannedChore::kind, Function.identity()));
        Map<TankChore, List<DoneRow>> done =
                mapper.listDone(who.siteId(), tank).stream().collect(Collectors.groupingBy(DoneRow::kind));
        return Arrays.stream(TankChore.values())
                .filter(kind -> kind.fits(book.tank().setting().water()))
                .map(kind -> {
                    List<DoneRow> days = done.getOrDefault(kind, List.of());
                    return view(kind, planned.get(kind), last(kind, book, days), days);
                })
                .toList();
    }

    /** A water change is in the water's own log, the others in this one. */
    private static Optional<LocalDate> last(TankChore kind, TankBook book, List<DoneRow> done) {
        return kind == TankChore.WATER_CHANGE
                ? book.records().waterChanged()
                : done.stream().map(DoneRow::doneOn).findFirst();
    }

    private static ChoreView view(
            TankChore kind, @Nullable PlannedChore planned, Optional<LocalDate> last, List<DoneRow> done) {
        return new ChoreView(
                kind,
                kind.words(),
                kind.minutes(),
                planned == null ? null : planned.everyDays(),
                kind.startDays(),
                kind.leastDays(),
                kind.mostDays(),
                last.orElse(null),
                planned == null ? null : planned.window(),
                done.stream()
                        .limit(LATELY)
                        .map(row -> new ChoreView.ChoreDone(row.id(), row.doneOn(), row.doneBy()))
                        .toList());
    }

    /**
     * Plans a chore every so many days, or no more.
     *
     * @throws Rejected if the days are out of its range or it does not fit the tank
     */
    @Transactional
    public void save(SignedIn who, long tank, TankChore kind, ChoreInput input) {
        boolean fits = kind.fits(tanks.find(who, tank).setting().water());
        Integer days = input.everyDays();
        new Rejected.Gatherer()
                .check(fits, "kind", "not-here", "This tank has no such work.")
                .check(
                        days == null || (days >= kind.leastDays() && days <= kind.mostDays()),
                        "everyDays",
                        "out-of-range",
                        "Every " + kind.leastDays() + " to " + kind.mostDays() + " days.")
                .done();
        if (days == null) {
            mapper.delete(who.siteId(), tank, kind);
        } else {
            mapper.save(who.siteId(), tank, kind, days, tanks.today());
        }
    }

    /**
     * Plans a chore that another piece of work asks for, counted anew from a day, or takes it out of the plan again.
     *
     * @param countedFrom it is due its usual days later; empty to plan it no more
     */
    @Transactional
    public void appoint(SignedIn who, long tank, TankChore kind, Optional<LocalDate> countedFrom) {
        mapper.delete(who.siteId(), tank, kind);
        countedFrom.ifPresent(day -> mapper.save(who.siteId(), tank, kind, kind.startDays(), day));
    }

    /** Logs that appointed work was done, under the id of what stands in its own log. */
    @Transactional
    public void recordAppointed(SignedIn who, long tank, TankChore kind, UUID id, LocalDate on) {
        mapper.insertDone(who.siteId(), new DoneRow(id, tank, kind, on, who.name()));
    }

    /** Takes that back; nothing happens if it was not logged. */
    @Transactional
    public void withdrawAppointed(SignedIn who, UUID id) {
        mapper.deleteDone(who.siteId(), id, clock.instant());
    }

    /** Logs that a chore was done. Saving the same id again changes nothing. */
    @Transactional
    public void record(SignedIn who, long tank, TankChore kind, UUID id, LocalDate on) {
        tanks.find(who, tank);
        tanks.checkDay("doneOn", on);
        if (kind == TankChore.WATER_CHANGE) {
            throw Rejected.field("kind", "by-litres", "Log a water change with its litres, on the tank's water page.");
        }
        if (kind == TankChore.MEDIA_PORTION) {
            throw Rejected.field("kind", "by-grams", "Log a portion with its grams, where bio media is replaced.");
        }
        mapper.insertDone(who.siteId(), new DoneRow(id, tank, kind, on, who.name()));
        if (on.equals(tanks.today())) {
            for (Filter filter : books.tank(who, tank).records().filters()) {
                FollowUp.ofStirredDirt(kind, filter.passport(), filter.path(), filter.name())
                        .ifPresent(owed -> followUps.ask(who, filter, id, List.of(owed)));
            }
        }
    }

    /** Takes back that a chore was done. */
    @Transactional
    public void withdraw(SignedIn who, UUID id) {
        if (mapper.deleteDone(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("chore");
        }
        followUps.forget(who, id);
    }
}
