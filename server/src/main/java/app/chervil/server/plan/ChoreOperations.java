package app.chervil.server.plan;

import app.chervil.core.interval.Window;
import app.chervil.core.plan.Rhythms;
import app.chervil.core.tank.TankChore;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.DisturbanceBook;
import app.chervil.server.plan.ChoreMapper.ChoreRow;
import app.chervil.server.plan.ChoreMapper.DoneRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankMade;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import app.chervil.server.water.HusbandryOperations;
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
public class ChoreOperations implements DisturbanceBook {
    private static final int LATELY = 5;

    private final ChoreMapper mapper;
    private final TankOperations tanks;
    private final HusbandryOperations husbandry;
    private final Clock clock;

    ChoreOperations(ChoreMapper mapper, TankOperations tanks, HusbandryOperations husbandry, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.husbandry = husbandry;
        this.clock = clock;
    }

    /** How often a chore is to be planned; absent: not at all. */
    public record ChoreInput(@Nullable Integer everyDays) {}

    /** A chore that is planned, with the day it is counted from. */
    record Planned(long id, long tankId, TankChore kind, int everyDays, LocalDate since, List<LocalDate> done) {
        Window window() {
            return Rhythms.every(since, everyDays, TankChore.slack(everyDays));
        }
    }

    /** Chores that are planned, of all tanks in use. */
    @Transactional(readOnly = true)
    List<Planned> planned(SignedIn who) {
        Map<Long, TankView> inUse =
                tanks.list(who).stream().collect(Collectors.toMap(TankView::id, Function.identity()));
        Map<Long, Map<TankChore, List<LocalDate>>> done = done(who);
        return mapper.list(who.siteId()).stream()
                .filter(row -> inUse.containsKey(row.tankId()))
                .map(row ->
                        planned(row, done.getOrDefault(row.tankId(), Map.of()).getOrDefault(row.kind(), List.of())))
                .toList();
    }

    private static Planned planned(ChoreRow row, List<LocalDate> done) {
        LocalDate since = done.isEmpty() ? row.countedFrom() : done.get(0);
        return new Planned(row.id(), row.tankId(), row.kind(), row.everyDays(), since, done);
    }

    /** Days on which chores were done, latest first; water changes come from the water's own log. */
    private Map<Long, Map<TankChore, List<LocalDate>>> done(SignedIn who) {
        Map<Long, Map<TankChore, List<LocalDate>>> done = mapper.listDone(who.siteId()).stream()
                .collect(Collectors.groupingBy(
                        DoneRow::tankId,
                        Collectors.groupingBy(
                                DoneRow::kind, Collectors.mapping(DoneRow::doneOn, Collectors.toList()))));
        husbandry.latestChanges(who).forEach((tank, day) -> done.computeIfAbsent(tank, one -> new java.util.HashMap<>())
                .put(TankChore.WATER_CHANGE, List.of(day)));
        return done;
    }

    @Override
    @Transactional(readOnly = true)
    public List<Earlier> disturbances(SignedIn who, long tank) {
        return done(who).getOrDefault(tank, Map.of()).entrySet().stream()
                .filter(done -> Hold.concerns(done.getKey().disturbance()))
                .flatMap(done -> done.getValue().stream()
                        .map(day -> new Earlier(day, done.getKey().words())))
                .toList();
    }

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
        TankView found = tanks.find(who, tank);
        Map<TankChore, Planned> planned = planned(who).stream()
                .filter(one -> one.tankId() == tank)
                .collect(Collectors.toMap(Planned::kind, Function.identity()));
        Map<TankChore, List<DoneRow>> rows = mapper.listDone(who.siteId()).stream()
                .filter(row -> row.tankId() == tank)
                .collect(Collectors.groupingBy(DoneRow::kind));
        Map<TankChore, List<LocalDate>> done = done(who).getOrDefault(tank, Map.of());
        return Arrays.stream(TankChore.values())
                .filter(kind -> kind.fits(found.tank().setting().water()))
                .map(kind -> view(
                        kind,
                        planned.get(kind),
                        done.getOrDefault(kind, List.of()).stream().findFirst(),
                        rows.getOrDefault(kind, List.of())))
                .toList();
    }

    private static ChoreView view(
            TankChore kind, @Nullable Planned planned, Optional<LocalDate> last, List<DoneRow> done) {
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
        boolean fits = kind.fits(tanks.find(who, tank).tank().setting().water());
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

    /** Logs that a chore was done. Saving the same id again changes nothing. */
    @Transactional
    public void record(SignedIn who, long tank, TankChore kind, UUID id, LocalDate on) {
        tanks.find(who, tank);
        tanks.checkDay("doneOn", on);
        if (kind == TankChore.WATER_CHANGE) {
            throw Rejected.field("kind", "by-litres", "Log a water change with its litres, on the tank's water page.");
        }
        mapper.insertDone(who.siteId(), new DoneRow(id, tank, kind, on, who.name()));
    }

    /** Takes back that a chore was done. */
    @Transactional
    public void withdraw(SignedIn who, UUID id) {
        if (mapper.deleteDone(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("chore");
        }
    }
}
