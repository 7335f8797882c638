package app.chervil.core.visit;

import app.chervil.core.filter.BacteriaHomes;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.ByHours;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.Window;
import app.chervil.core.visit.FilterLog.TaskLog;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How a filter that nobody looked after for long is taken on: what can be reached from outside first, the canister or what else
 * disturbs the bacteria a week later, bio media and replacements two weeks after that (docs/sources.md#taking-a-filter-on).
 * It concerns tasks never logged here, lamps aside, whose day is long past; counting those days says nothing, and doing all at once crashes a tank.
 */
final class TakenOn {
    /** A task this long past its latest day was not kept up, rather than late. */
    private static final int NEGLECTED_DAYS = 60;

    private static final int SECOND_VISIT_DAYS = 7;
    private static final int THIRD_VISIT_DAYS = 14;
    private static final String FIRST =
            "It was not looked after for long. Look at it from outside first; the rest follows, a week or more apart.";
    private static final String LATER =
            "It was not looked after for long, so it is taken on over weeks, to spare its bacteria.";

    private final FilterKind kind;
    private final LocalDate today;
    private final Optional<LocalDate> first;
    private final Optional<LocalDate> opened;
    private final Set<Long> logged = new HashSet<>();

    /**
     * What was done so far.
     *
     * @param log of the filter up to today
     */
    TakenOn(FilterKind kind, List<BookedTask> tasks, FilterLog log, LocalDate today) {
        this.kind = kind;
        this.today = today;
        tasks.forEach(task -> days(log.of(task)).findAny().ifPresent(any -> logged.add(task.id())));
        this.first = tasks.stream().flatMap(task -> days(log.of(task))).min(Comparator.naturalOrder());
        this.opened = tasks.stream()
                .filter(BookedTask::isOpening)
                .flatMap(task -> days(log.of(task)))
                .max(Comparator.naturalOrder());
    }

    private static Stream<LocalDate> days(TaskLog log) {
        return Stream.concat(log.services().stream().map(Serviced::on), log.renewals().stream());
    }

    /** Puts what was neglected onto days to come. */
    void stage(List<BookedTask> tasks, Map<Long, Forecast> forecasts) {
        for (BookedTask task : tasks) {
            forecasts.computeIfPresent(task.id(), (id, own) -> neglected(task, own) ? staged(own, visit(task)) : own);
        }
    }

    private boolean neglected(BookedTask task, Forecast own) {
        return !logged.contains(task.id())
                && !(task.rule().learning() instanceof ByHours)
                && own.basis() != Forecast.Basis.FIXED
                && own.window().latest().plusDays(NEGLECTED_DAYS).isBefore(today);
    }

    private Window visit(BookedTask task) {
        boolean inside = kind == FilterKind.CANISTER
                && task.stage().map(part -> part.kind().insideCanister()).orElse(false);
        boolean uncoupled = kind == FilterKind.CANISTER
                && task.stage().map(part -> part.kind() == StageKind.HOSES).orElse(false);
        boolean disturbs = task.rule().effort().disturbance() >= BacteriaHomes.DISTURBING;
        boolean replaces = task.is(CareAction.REPLACE);
        if (inside && (disturbs || replaces)) {
            return opened.map(on -> from(on.plusDays(THIRD_VISIT_DAYS)))
                    .orElseGet(() -> from(second().plusDays(THIRD_VISIT_DAYS)));
        }
        if (inside || uncoupled || disturbs || task.isOpening()) {
            return from(second());
        }
        return first.map(on -> from(on)).orElseGet(() -> new Window(today, today, today));
    }

    private LocalDate second() {
        return first.orElse(today).plusDays(SECOND_VISIT_DAYS);
    }

    private static Window from(LocalDate day) {
        return new Window(day, day.plusDays(SECOND_VISIT_DAYS / 2), day.plusDays(SECOND_VISIT_DAYS));
    }

    private static Forecast staged(Forecast own, Window window) {
        boolean now = window.earliest().equals(window.latest());
        return new Forecast(own.since(), window, own.basis(), own.loading(), List.of(now ? FIRST : LATER));
    }
}
