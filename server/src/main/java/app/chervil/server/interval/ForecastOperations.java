package app.chervil.server.interval;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.BacteriaHomes;
import app.chervil.core.filter.BacteriaHomes.Home;
import app.chervil.core.filter.BacteriaHomes.Touched;
import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Sign;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Permission;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.interval.PauseMapper.PauseRow;
import app.chervil.server.interval.ServiceHistory.PastService;
import app.chervil.server.tank.ChangeRow;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Replays what was found into when each task is next due. */
@Service
public class ForecastOperations {
    private final TankOperations tanks;
    private final FilterOperations filters;
    private final ServiceHistory history;
    private final HoldBook holds;
    private final List<DisturbanceBook> disturbances;
    private final LookMapper looks;
    private final TrialBook trials;
    private final EyeMapper eyes;
    private final PauseMapper pauses;

    ForecastOperations(
            TankOperations tanks,
            FilterOperations filters,
            ServiceHistory history,
            HoldBook holds,
            List<DisturbanceBook> disturbances,
            LookMapper looks,
            TrialBook trials,
            EyeMapper eyes,
            PauseMapper pauses) {
        this.tanks = tanks;
        this.filters = filters;
        this.history = history;
        this.holds = holds;
        this.disturbances = List.copyOf(disturbances);
        this.looks = looks;
        this.trials = trials;
        this.eyes = eyes;
        this.pauses = pauses;
    }

    /**
     * Forecasts of all tasks that are not switched off.
     *
     * @param tank null for all tanks of the site
     */
    @Transactional(readOnly = true)
    public List<ForecastView> list(SignedIn who, @Nullable Long tank) {
        return list(who, tank, service -> true);
    }

    /** Forecasts as they would be if only these services had been logged. */
    @Transactional(readOnly = true)
    public List<ForecastView> list(SignedIn who, @Nullable Long tank, Predicate<PastService> logged) {
        LocalDate today = tanks.today();
        Map<Long, List<Hold>> held = holds.holds(who, tank, today);
        return books(who, tank, logged).stream()
                .flatMap(book -> {
                    List<Hold> ofTank = held.getOrDefault(book.tank().id(), List.of());
                    return book.forecasts(today).stream()
                            .map(task -> view(task, today, book.disturbs(task.task()) ? first(ofTank) : null));
                })
                .toList();
    }

    private static @Nullable Hold first(List<Hold> holds) {
        return holds.stream().min(Hold.LONGEST_FIRST).orElse(null);
    }

    /**
     * Each filter with all that bears on it.
     *
     * @param tank null for all tanks of the site
     */
    @Transactional(readOnly = true)
    public List<CareBook> books(SignedIn who, @Nullable Long tank, Predicate<PastService> logged) {
        Map<Long, TankView> byId =
                tanks.list(who).stream().collect(Collectors.toMap(TankView::id, Function.identity()));
        Map<Long, List<ChangeRow>> changes =
                tanks.changes(who, tank).stream().collect(Collectors.groupingBy(ChangeRow::tankId));
        Map<Long, List<PastService>> services = history.list(who.siteId(), tank, null).stream()
                .filter(logged)
                .collect(Collectors.groupingBy(PastService::tankId));
        Map<Long, List<Look>> seen = looks.list(who.siteId(), tank).stream()
                .collect(Collectors.groupingBy(
                        LookRow::stageId, Collectors.mapping(LookRow::toCore, Collectors.toList())));
        Map<Long, Integer> tried = trials.triedDays(who, tanks.today());
        Map<Long, CalibratedEye> byAccount = EyeOperations.eyes(eyes.list(who.siteId()));
        List<PauseRow> paused = pauses.list(who.siteId());
        List<FilterView> all = filters.list(who, tank);
        return all.stream()
                .map(filter -> new CareBook(
                        Objects.requireNonNull(byId.get(filter.tankId())),
                        filter,
                        (int) all.stream()
                                        .filter(other -> other.tankId() == filter.tankId())
                                        .count()
                                - 1,
                        changes.getOrDefault(filter.tankId(), List.of()),
                        new CareBook.Past(
                                services.getOrDefault(filter.tankId(), List.of()),
                                seen,
                                PauseOperations.reaching(paused, filter.tankId(), filter.id()),
                                tried,
                                byAccount),
                        homes(Objects.requireNonNull(byId.get(filter.tankId())), all)))
                .toList();
    }

    private static BacteriaHomes homes(TankView tank, List<FilterView> all) {
        return new BacteriaHomes(
                all.stream()
                        .filter(filter -> filter.tankId() == tank.id())
                        .flatMap(filter -> filter.stages().stream()
                                .map(stage -> new Home(filter.id(), filter.kind(), stage.id(), stage.kind())))
                        .toList(),
                tank.tank().setting().bacteriaHome());
    }

    /**
     * Whether a whole service may be done on a day.
     *
     * @param tasks of any of the tank's filters; unknown ones count for nothing
     * @param chores disturbance of the work on the tank itself, 0 for none
     * @param except a service not to be held against it; null for none
     */
    @Transactional(readOnly = true)
    public Permission permission(
            SignedIn who, long tank, Set<Long> tasks, int chores, LocalDate on, @Nullable UUID except) {
        List<CareBook> books = books(who, tank, service -> true);
        int disturbance =
                books.isEmpty() ? chores : Math.max(chores, books.get(0).homes().disturbance(touched(books, tasks)));
        if (!Hold.concerns(disturbance)) {
            return Permission.judge(on, disturbance, List.of(), List.of());
        }
        Stream<Earlier> aside = disturbances.stream().flatMap(book -> book.disturbances(who, tank).stream());
        List<Earlier> earlier = Stream.concat(aside, earlier(books, except)).toList();
        return Permission.judge(on, disturbance, holds(who, tank, on), earlier);
    }

    private static Stream<Earlier> earlier(List<CareBook> books, @Nullable UUID except) {
        if (books.isEmpty()) {
            return Stream.empty();
        }
        BacteriaHomes homes = books.get(0).homes();
        return books.get(0).past().services().stream()
                .filter(service ->
                        !service.id().equals(except) && !service.manner().again())
                .filter(service -> homes.disturbs(touched(books, service.done().keySet())))
                .map(service ->
                        new Earlier(service.doneOn(), told(books, service.done().keySet())));
    }

    private List<Hold> holds(SignedIn who, long tank, LocalDate on) {
        return holds.holds(who, tank, on).getOrDefault(tank, List.of());
    }

    private static List<Touched> touched(List<CareBook> books, Set<Long> tasks) {
        return books.stream()
                .flatMap(book -> book.filter().tasks().stream()
                        .filter(task -> tasks.contains(task.id()))
                        .map(task -> CareBook.touched(book.filter(), task)))
                .toList();
    }

    private static String told(List<CareBook> books, Set<Long> tasks) {
        return books.stream()
                .flatMap(book -> book.filter().tasks().stream())
                .filter(task -> tasks.contains(task.id()))
                .map(task -> FirstLetter.lower(task.name()))
                .distinct()
                .limit(3)
                .collect(Collectors.joining(", "));
    }

    /** What is made of a tank's log where it is not taken as it stands, by filter, if only these services had been logged. */
    @Transactional(readOnly = true)
    public Map<Long, Set<Note>> notes(SignedIn who, long tank, Predicate<PastService> logged) {
        LocalDate today = tanks.today();
        return books(who, tank, logged).stream()
                .collect(Collectors.toMap(book -> book.filter().id(), book -> book.notes(today)));
    }

    /** Filters of a tank on which a service seems to be missing before that of a day. */
    @Transactional(readOnly = true)
    public Set<Long> gapsBefore(SignedIn who, long tank, LocalDate day, Set<Long> tasks) {
        LocalDate today = tanks.today();
        return books(who, tank, service -> true).stream()
                .filter(book -> book.gapBefore(day, tasks, today))
                .map(book -> book.filter().id())
                .collect(Collectors.toSet());
    }

    private static List<ForecastView.SignView> signs(CareBook.TaskForecast task) {
        return task.filter().stages().stream()
                .filter(stage -> Objects.equals(stage.id(), task.task().stageId()))
                .flatMap(stage -> Sign.of(stage.kind(), task.task().action()).stream()
                        .map(sign -> new ForecastView.SignView(sign, sign.wordsFor(stage.kind()), sign.unit())))
                .toList();
    }

    private static @Nullable Long intervalDays(Forecast forecast) {
        long days = ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal());
        return days <= 0 || forecast.basis() == Forecast.Basis.TAKEN_ON ? null : days;
    }

    private static ForecastView view(CareBook.TaskForecast task, LocalDate today, @Nullable Hold hold) {
        Forecast forecast = task.forecast();
        return new ForecastView(
                new ForecastView.Subject(
                        task.filter().tankId(),
                        task.filter().id(),
                        task.task().stageId(),
                        task.task().id(),
                        task.task().name()),
                forecast.window().standingOn(today),
                forecast.window(),
                forecast.since(),
                intervalDays(forecast),
                forecast.basis(),
                forecast.loading().orElse(null),
                forecast.reasons(),
                signs(task),
                hold);
    }
}
