package app.chervil.server.rounds;

import app.chervil.core.agenda.Standing;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.ChainId;
import app.chervil.core.site.SiteBook;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.core.visit.Errand;
import app.chervil.core.visit.Rounds;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.plan.PlanInForceOperations;
import app.chervil.server.rounds.RoundsView.CarryView;
import app.chervil.server.visit.ServiceOperations;
import app.chervil.server.water.WatchOperations;
import app.chervil.server.water.WatchOperations.DueReading;
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
    private final SiteBooks books;
    private final WatchOperations watches;
    private final PlanInForceOperations plans;
    private final ServiceOperations services;
    private final FollowUpOperations followUps;

    RoundsOperations(
            SiteBooks books,
            WatchOperations watches,
            PlanInForceOperations plans,
            ServiceOperations services,
            FollowUpOperations followUps) {
        this.books = books;
        this.watches = watches;
        this.plans = plans;
        this.services = services;
        this.followUps = followUps;
    }

    /** What a plan answers once for all tanks of a day. */
    private record Day(SiteBook site, Standing standing, Standing.Walk walk) {}

    /** Today's rounds by room and tank. */
    @Transactional(readOnly = true)
    public RoundsView today(SignedIn who) {
        return books.recall(who, RoundsView.class, site -> workOut(who, site));
    }

    private RoundsView workOut(SignedIn who, SiteBook site) {
        Standing standing = plans.inForce(who);
        Day day = new Day(site, standing, standing.walk(site.today()));
        return new RoundsView(
                site.today(),
                site.tanks().size(),
                visits(day),
                held(site),
                readings(who, site),
                questions(who),
                looks(who, site),
                week(day));
    }

    private static List<RoundsView.VisitView> visits(Day day) {
        List<TaskForecast> free = day.site.tanks().stream()
                .flatMap(tank -> tank.forecasts().stream()
                        .filter(task -> tank.holding(task).isEmpty()))
                .toList();
        Map<Long, TaskForecast> byTask =
                free.stream().collect(Collectors.toMap(task -> task.task().id(), Function.identity()));
        Map<Long, Rounds.Visit> rounds = Rounds.on(
                        day.site.today(),
                        free.stream().map(TaskForecast::errand).toList(),
                        day.walk.tasks())
                .visits()
                .stream()
                .collect(Collectors.toMap(Rounds.Visit::tankId, Function.identity()));
        Map<Long, List<Standing.Task>> chores = day.walk.chores();
        Map<Long, Standing.Visit> planned = day.walk.visits();
        return day.site.tanks().stream()
                .map(TankBook::tank)
                .filter(tank -> rounds.containsKey(tank.id()) || chores.containsKey(tank.id()))
                .map(tank -> new TankVisit(
                                tank,
                                rounds.getOrDefault(tank.id(), Rounds.nothing(tank.id())),
                                chores.getOrDefault(tank.id(), List.of()),
                                Stream.ofNullable(planned.get(tank.id())).toList())
                        .view(day, byTask))
                .filter(visit -> !visit.errands().isEmpty() || !visit.chores().isEmpty())
                .toList();
    }

    private static List<RoundsView.WeekDay> week(Day day) {
        return day.standing.days(8).stream()
                .skip(1)
                .map(one -> new RoundsView.WeekDay(one.on(), one.minutes(), day.walk.tanksOn(one.on())))
                .toList();
    }

    private static List<RoundsView.HeldView> held(SiteBook site) {
        return site.tanks().stream()
                .filter(tank -> !tank.holds().isEmpty())
                .sorted(Comparator.comparing(tank -> tank.tank().name()))
                .map(tank -> new RoundsView.HeldView(
                        brief(tank.tank()),
                        tank.holds(),
                        tank.forecasts().stream()
                                .filter(TaskForecast::disturbs)
                                .map(task -> task.task().name())
                                .distinct()
                                .toList()))
                .toList();
    }

    private List<RoundsView.DueView> readings(SignedIn who, SiteBook site) {
        Map<Long, List<DueReading>> due = watches.due(who).stream()
                .collect(Collectors.groupingBy(DueReading::tankId, LinkedHashMap::new, Collectors.toList()));
        return due.entrySet().stream()
                .map(entry -> new RoundsView.DueView(
                        brief(site.tank(entry.getKey()).orElseThrow().tank()), entry.getValue()))
                .toList();
    }

    private List<RoundsView.OpenQuestion> questions(SignedIn who) {
        return services.undated(who).stream()
                .map(asked -> new RoundsView.OpenQuestion(asked.serviceId(), asked.question()))
                .toList();
    }

    private List<RoundsView.LookAgain> looks(SignedIn who, SiteBook site) {
        return followUps.open(who).stream()
                .map(look -> new RoundsView.LookAgain(
                        look.id(), brief(site.tank(look.tankId()).orElseThrow().tank()), look.words(), look.dueAt()))
                .toList();
    }

    private static RoundsView.TankBrief brief(Tank tank) {
        return new RoundsView.TankBrief(tank.id(), tank.name(), tank.room());
    }

    /**
     * The work on one tank.
     *
     * @param planned the plan's visit of today, if there is one
     */
    private record TankVisit(Tank tank, Rounds.Visit visit, List<Standing.Task> chores, List<Standing.Visit> planned) {
        RoundsView.VisitView view(Day day, Map<Long, TaskForecast> byTask) {
            List<RoundsView.ErrandView> errands = visit.errands().stream()
                    .map(errand -> errand(
                            errand,
                            Objects.requireNonNull(byTask.get(errand.place().taskId())),
                            day))
                    .toList();
            List<RoundsView.ChoreErrand> work =
                    chores.stream().map(chore -> chore(chore, day)).toList();
            int choreMinutes =
                    work.stream().mapToInt(RoundsView.ChoreErrand::minutes).sum();
            return new RoundsView.VisitView(
                    brief(tank),
                    Stream.concat(
                                    errands.stream().map(RoundsView.ErrandView::plannedOn),
                                    work.stream().map(RoundsView.ChoreErrand::plannedOn))
                            .filter(Objects::nonNull)
                            .min(Comparator.naturalOrder())
                            .orElse(null),
                    planned.stream()
                            .flatMap(one -> one.person().stream())
                            .findFirst()
                            .orElse(null),
                    work,
                    visit.standing(),
                    new Rounds.Effort(
                            visit.effort().minutes() + choreMinutes,
                            visit.effort().daysLate()),
                    errands,
                    carry());
        }

        private List<CarryView> carry() {
            Map<String, CarryView> carry = new LinkedHashMap<>();
            visit.carry()
                    .forEach((thing, count) -> carry.put(
                            thing.words(), new CarryView(thing.words(), count, thing.use() == Material.Use.SHARED)));
            planned.stream()
                    .filter(one ->
                            one.tasks().stream().anyMatch(task -> task.chore().isPresent()))
                    .flatMap(one -> one.carry().stream())
                    .filter(one -> one.shared())
                    .forEach(one -> carry.putIfAbsent(
                            one.thing().words(), new CarryView(one.thing().words(), one.count(), true)));
            return List.copyOf(carry.values());
        }

        private static RoundsView.ChoreErrand chore(Standing.Task chore, Day day) {
            return new RoundsView.ChoreErrand(
                    chore.chore().orElseThrow(),
                    chore.subject().name(),
                    chore.minutes(),
                    chore.window().standingOn(day.site.today()),
                    chore.window(),
                    day.walk.next(chore.chain()).orElseThrow());
        }

        private static RoundsView.ErrandView errand(Errand errand, TaskForecast task, Day day) {
            Window window = errand.forecast().window();
            return new RoundsView.ErrandView(
                    errand.place().taskId(),
                    day.walk.next(ChainId.ofTask(errand.place().taskId())).orElse(null),
                    new RoundsView.FilterBrief(task.filter().id(), task.filter().name()),
                    task.task().name(),
                    errand.reach(),
                    window.standingOn(day.site.today()),
                    window,
                    errand.forecast().reasons());
        }
    }
}
