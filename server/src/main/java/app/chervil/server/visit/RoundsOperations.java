package app.chervil.server.visit;

import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.visit.Errand;
import app.chervil.core.visit.Rounds;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.CareBook;
import app.chervil.server.interval.CareBook.TaskForecast;
import app.chervil.server.interval.ForecastOperations;
import app.chervil.server.interval.HoldBook;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import app.chervil.server.water.WatchOperations;
import app.chervil.server.water.WatchOperations.DueReading;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The work of today and the week. */
@Service
public class RoundsOperations {
    private final TankOperations tanks;
    private final ForecastOperations forecasts;

    private final HoldBook holds;
    private final WatchOperations watches;

    RoundsOperations(TankOperations tanks, ForecastOperations forecasts, HoldBook holds, WatchOperations watches) {
        this.tanks = tanks;
        this.forecasts = forecasts;
        this.holds = holds;
        this.watches = watches;
    }

    /** Today's rounds by room and tank. */
    @Transactional(readOnly = true)
    public RoundsView today(SignedIn who) {
        LocalDate today = tanks.today();
        Map<Long, TankView> byId =
                tanks.list(who).stream().collect(Collectors.toMap(TankView::id, Function.identity()));
        Map<Long, List<Hold>> onHold = holds.holds(who, null, today);
        List<TaskForecast> all = forecasts.books(who, null, service -> true).stream()
                .sorted(Comparator.comparing(
                                (CareBook book) -> book.tank().tank().room())
                        .thenComparing(book -> book.tank().tank().name())
                        .thenComparing(book -> book.tank().id()))
                .flatMap(book -> book.forecasts(today).stream())
                .toList();
        List<TaskForecast> tasks =
                all.stream().filter(task -> !held(task, onHold, byId)).toList();
        Map<Long, TaskForecast> byTask =
                tasks.stream().collect(Collectors.toMap(task -> task.task().id(), Function.identity()));
        Rounds rounds =
                Rounds.on(today, tasks.stream().map(RoundsOperations::errand).toList());
        List<RoundsView.VisitView> visits = rounds.visits().stream()
                .map(visit -> visit(visit, Objects.requireNonNull(byId.get(visit.tankId())), byTask, today))
                .toList();
        return new RoundsView(today, byId.size(), visits, held(all, onHold, byId), readings(who, byId), rounds.week());
    }

    private static boolean held(TaskForecast task, Map<Long, List<Hold>> onHold, Map<Long, TankView> byId) {
        TankView tank = Objects.requireNonNull(byId.get(task.filter().tankId()));
        return onHold.containsKey(tank.id())
                && Hold.concerns(
                        task.rule().effort().disturbanceOf(tank.tank().setting().bacteriaHome()));
    }

    private static List<RoundsView.HeldView> held(
            List<TaskForecast> all, Map<Long, List<Hold>> onHold, Map<Long, TankView> byId) {
        return byId.values().stream()
                .filter(tank -> onHold.containsKey(tank.id()))
                .sorted(Comparator.comparing(tank -> tank.tank().name()))
                .map(tank -> new RoundsView.HeldView(
                        brief(tank),
                        onHold.getOrDefault(tank.id(), List.of()),
                        all.stream()
                                .filter(task -> task.filter().tankId() == tank.id() && held(task, onHold, byId))
                                .map(task -> task.task().name())
                                .distinct()
                                .toList()))
                .toList();
    }

    private List<RoundsView.DueView> readings(SignedIn who, Map<Long, TankView> byId) {
        Map<Long, List<DueReading>> due = watches.due(who, null).stream()
                .collect(Collectors.groupingBy(DueReading::tankId, java.util.TreeMap::new, Collectors.toList()));
        return due.entrySet().stream()
                .map(entry -> new RoundsView.DueView(
                        brief(Objects.requireNonNull(byId.get(entry.getKey()))), entry.getValue()))
                .toList();
    }

    private static RoundsView.TankBrief brief(TankView tank) {
        return new RoundsView.TankBrief(
                tank.id(), tank.tank().name(), tank.tank().room());
    }

    private static Errand errand(TaskForecast task) {
        Errand.Place place = new Errand.Place(
                task.filter().tankId(), task.filter().id(), task.task().id());
        return new Errand(place, task.rule(), task.reach(), task.forecast());
    }

    private static RoundsView.VisitView visit(
            Rounds.Visit visit, TankView tank, Map<Long, TaskForecast> byTask, LocalDate today) {
        List<RoundsView.CarryView> carry = visit.carry().entrySet().stream()
                .map(thing -> new RoundsView.CarryView(
                        thing.getKey().words(), thing.getValue(), thing.getKey().use() == Material.Use.SHARED))
                .toList();
        return new RoundsView.VisitView(
                brief(tank),
                visit.standing(),
                visit.effort(),
                visit.errands().stream()
                        .map(errand -> errand(
                                errand,
                                Objects.requireNonNull(byTask.get(errand.place().taskId())),
                                today))
                        .toList(),
                carry);
    }

    private static RoundsView.ErrandView errand(Errand errand, TaskForecast task, LocalDate today) {
        Window window = errand.forecast().window();
        return new RoundsView.ErrandView(
                errand.place().taskId(),
                new RoundsView.FilterBrief(task.filter().id(), task.filter().name()),
                task.task().name(),
                errand.reach(),
                window.standingOn(today),
                window,
                errand.forecast().reasons());
    }
}
