package app.chervil.server.interval;

import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.Sign;
import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.filter.FilterView;
import app.chervil.server.interval.ServiceHistory.PastService;
import app.chervil.server.tank.ChangeRow;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.function.Function;
import java.util.function.Predicate;
import java.util.stream.Collectors;
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
    private final LookMapper looks;
    private final TrialBook trials;

    ForecastOperations(
            TankOperations tanks,
            FilterOperations filters,
            ServiceHistory history,
            HoldBook holds,
            LookMapper looks,
            TrialBook trials) {
        this.tanks = tanks;
        this.filters = filters;
        this.history = history;
        this.holds = holds;
        this.looks = looks;
        this.trials = trials;
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
                            .map(task -> view(task, today, book.held(task.rule()) ? first(ofTank) : null));
                })
                .toList();
    }

    /** Tasks that a hold forbids on a day, by id, with the hold that weighs first. */
    @Transactional(readOnly = true)
    public Map<Long, Hold> heldTasks(SignedIn who, @Nullable Long tank, LocalDate on) {
        Map<Long, List<Hold>> held = holds.holds(who, tank, on);
        if (held.isEmpty()) {
            return Map.of();
        }
        return books(who, tank, service -> false).stream()
                .filter(book -> held.containsKey(book.tank().id()))
                .flatMap(book -> book.heldTasks().stream()
                        .map(task -> Map.entry(
                                task.id(),
                                Objects.requireNonNull(
                                        first(held.getOrDefault(book.tank().id(), List.of()))))))
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    private static @Nullable Hold first(List<Hold> holds) {
        return holds.isEmpty() ? null : holds.get(0);
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
                        new CareBook.Past(services.getOrDefault(filter.tankId(), List.of()), seen, tried)))
                .toList();
    }

    private static List<ForecastView.SignView> signs(CareBook.TaskForecast task) {
        return task.filter().stages().stream()
                .filter(stage -> Objects.equals(stage.id(), task.task().stageId()))
                .flatMap(stage -> Sign.of(stage.kind(), task.task().action()).stream()
                        .map(sign -> new ForecastView.SignView(sign, sign.wordsFor(stage.kind()), sign.unit())))
                .toList();
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
                ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal()),
                forecast.basis(),
                forecast.loading().orElse(null),
                forecast.reasons(),
                signs(task),
                hold);
    }
}
