package app.chervil.server.visit;

import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.visit.Errand;
import app.chervil.core.visit.Rounds;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.CareBook.TaskForecast;
import app.chervil.server.interval.HoldBook;
import app.chervil.server.plan.PlanDays;
import app.chervil.server.plan.PlanOperations;
import app.chervil.server.plan.PlanView.PlannedTask;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import app.chervil.server.water.WatchOperations;
import app.chervil.server.water.WatchOperations.DueReading;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The work of today and the week. */
@Service
public class RoundsOperations {
    private final TankOperations tanks;

    private final HoldBook holds;
    private final WatchOperations watches;
    private final PlanOperations plans;
    private final ServiceMapper services;

    RoundsOperations(
            TankOperations tanks,
            HoldBook holds,
            WatchOperations watches,
            PlanOperations plans,
            ServiceMapper services) {
        this.plans = plans;
        this.tanks = tanks;
        this.holds = holds;
        this.watches = watches;
        this.services = services;
    }

    /** Today's rounds by room and tank. */
    @Transactional
    public RoundsView today(SignedIn who) {
        LocalDate today = tanks.today();
        Map<Long, TankView> byId =
                tanks.list(who).stream().collect(Collectors.toMap(TankView::id, Function.identity()));
        Map<Long, List<Hold>> onHold = holds.holds(who, null, today);
        PlanDays plan = plans.days(who);
        List<TaskForecast> all = plan.forecasts();
        List<TaskForecast> tasks =
                all.stream().filter(task -> !held(task, onHold)).toList();
        Map<Long, TaskForecast> byTask =
                tasks.stream().collect(Collectors.toMap(task -> task.task().id(), Function.identity()));
        Rounds rounds =
                Rounds.on(today, tasks.stream().map(RoundsOperations::errand).toList(), plan.tasksOn(today));
        Map<Long, Rounds.Visit> visits =
                rounds.visits().stream().collect(Collectors.toMap(Rounds.Visit::tankId, Function.identity()));
        List<RoundsView.VisitView> shown = byId.values().stream()
                .sorted(Comparator.comparing((TankView tank) -> tank.tank().room())
                        .thenComparing(tank -> tank.tank().name())
                        .thenComparing(TankView::id))
                .map(tank -> visit(
                        tank, visits.getOrDefault(tank.id(), Rounds.nothing(tank.id())), byTask, new Day(today, plan)))
                .filter(visit -> !visit.errands().isEmpty() || !visit.chores().isEmpty())
                .toList();
        return new RoundsView(
                today, byId.size(), shown, held(all, onHold, byId), readings(who, byId), questions(who), week(plan));
    }

    /** A day with its plan. */
    private record Day(LocalDate today, PlanDays plan) {}

    private static List<RoundsView.WeekDay> week(PlanDays plan) {
        return plan.days().stream()
                .skip(1)
                .limit(7)
                .map(day -> new RoundsView.WeekDay(day.on(), day.minutes(), plan.tanksOn(day.on())))
                .toList();
    }

    private static boolean held(TaskForecast task, Map<Long, List<Hold>> onHold) {
        return task.disturbs() && onHold.containsKey(task.filter().tankId());
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
                                .filter(task -> task.filter().tankId() == tank.id() && held(task, onHold))
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

    private List<RoundsView.OpenQuestion> questions(SignedIn who) {
        return services.listUndated(who.siteId()).stream()
                .map(row -> new RoundsView.OpenQuestion(row.serviceId(), Questions.start(row)))
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
            TankView tank, Rounds.Visit visit, Map<Long, TaskForecast> byTask, Day day) {
        List<PlannedTask> chores = day.plan.choresOn(tank.id(), day.today);
        List<RoundsView.ErrandView> errands = visit.errands().stream()
                .map(errand -> errand(
                        errand, Objects.requireNonNull(byTask.get(errand.place().taskId())), day))
                .toList();
        Map<String, RoundsView.CarryView> carry = new LinkedHashMap<>();
        visit.carry()
                .forEach((thing, count) -> carry.put(
                        thing.words(),
                        new RoundsView.CarryView(thing.words(), count, thing.use() == Material.Use.SHARED)));
        day.plan
                .carryForChores(tank.id(), day.today)
                .forEach(thing -> carry.putIfAbsent(
                        thing.thing(), new RoundsView.CarryView(thing.thing(), thing.count(), thing.shared())));
        int choreMinutes = chores.stream().mapToInt(PlannedTask::minutes).sum();
        return new RoundsView.VisitView(
                brief(tank),
                Stream.concat(
                                errands.stream().map(RoundsView.ErrandView::plannedOn),
                                chores.stream().map(chore -> day.plan.next(chore.chain())))
                        .filter(Objects::nonNull)
                        .min(Comparator.naturalOrder())
                        .orElse(null),
                day.plan.person(tank.id(), day.today),
                chores.stream().map(chore -> chore(chore, day)).toList(),
                visit.standing(),
                new Rounds.Effort(
                        visit.effort().minutes() + choreMinutes, visit.effort().daysLate()),
                errands,
                List.copyOf(carry.values()));
    }

    private static RoundsView.ChoreErrand chore(PlannedTask chore, Day day) {
        return new RoundsView.ChoreErrand(
                Objects.requireNonNull(chore.chore()),
                chore.name(),
                chore.minutes(),
                chore.window().standingOn(day.today),
                chore.window(),
                Objects.requireNonNull(day.plan.next(chore.chain())));
    }

    private static RoundsView.ErrandView errand(Errand errand, TaskForecast task, Day day) {
        Window window = errand.forecast().window();
        return new RoundsView.ErrandView(
                errand.place().taskId(),
                day.plan.next(errand.place().taskId()),
                new RoundsView.FilterBrief(task.filter().id(), task.filter().name()),
                task.task().name(),
                errand.reach(),
                window.standingOn(day.today),
                window,
                errand.forecast().reasons());
    }
}
