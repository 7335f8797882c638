package app.chervil.core.visit;

import app.chervil.core.filter.BacteriaHomes;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.ByHours;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.TaskSetting;
import app.chervil.core.interval.Window;
import app.chervil.core.visit.FilterLog.TaskLog;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/**
 * How a filter is taken on that nobody looked after for long, or of which nobody knows when: what can be reached from outside first, the canister or what else
 * disturbs the bacteria a week later, bio media two weeks after that, replacements another week later (docs/sources.md#taking-a-filter-on).
 * It concerns tasks never logged here, lamps aside, whose day is long past or whose start is unknown; counting those days says nothing, and doing all at once crashes a tank.
 * A part of unknown age is looked at; it is not replaced for that alone.
 */
final class TakenOn {
    /** A task this long past its latest day was not kept up, rather than late. */
    private static final int NEGLECTED_DAYS = 60;

    private static final int SECOND_VISIT_DAYS = 7;
    private static final int THIRD_VISIT_DAYS = 14;
    private static final int FOURTH_VISIT_DAYS = 7;
    private static final String NEGLECTED = "It was neglected for a long time";
    private static final String OF_UNKNOWN_AGE = "Nobody knows when it was last cleaned";
    private static final String FIRST = ". Begin with this; what disturbs its bacteria follows, a week or more apart.";
    private static final String NOW = ", so it is due now.";
    private static final String LATER = ", so it is taken on over weeks, to spare its bacteria.";

    /** Which of the four services a task belongs to. */
    private enum Visit {
        OUTSIDE,
        OPENING,
        DEEP,
        RENEWAL
    }

    private final FilterKind kind;
    private final LocalDate today;
    private final Optional<LocalDate> first;
    private final Optional<LocalDate> opened;
    private final Optional<LocalDate> dipped;
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
        this.dipped = tasks.stream()
                .filter(task -> visit(task) == Visit.DEEP)
                .flatMap(task -> days(log.of(task)))
                .max(Comparator.naturalOrder());
    }

    private static Stream<LocalDate> days(TaskLog log) {
        return Stream.concat(log.services().stream().map(Serviced::on), log.renewals().stream());
    }

    /** Puts what is taken on onto days to come. */
    void stage(List<BookedTask> tasks, Map<Long, Forecast> forecasts) {
        List<BookedTask> taken = tasks.stream()
                .filter(task -> Optional.ofNullable(forecasts.get(task.id()))
                        .filter(own -> isTaken(task, own))
                        .isPresent())
                .toList();
        EnumSet<Visit> visits = EnumSet.noneOf(Visit.class);
        taken.forEach(task -> visits.add(visit(task)));
        for (BookedTask task : taken) {
            forecasts.computeIfPresent(task.id(), (id, own) -> staged(task, own, visits));
        }
    }

    private boolean isTaken(BookedTask task, Forecast own) {
        boolean byKeeper =
                task.setting() instanceof TaskSetting.Fixed fixed && fixed.by() != TaskSetting.By.MAKERS_CALENDAR;
        boolean bySomeRule = byKeeper || task.rule().learning() instanceof ByHours;
        boolean passedOver = opened.isPresent() && visit(task) == Visit.OPENING;
        boolean unknown = !task.countFrom().known() && !task.is(CareAction.REPLACE) && !passedOver;
        boolean past = own.window().latest().plusDays(NEGLECTED_DAYS).isBefore(today);
        return !logged.contains(task.id()) && !bySomeRule && (unknown || past);
    }

    private Visit visit(BookedTask task) {
        boolean inside = kind == FilterKind.CANISTER
                && task.stage()
                        .map(part -> part.kind().insideCanister() && !part.errand())
                        .orElse(false);
        boolean uncoupled = kind == FilterKind.CANISTER
                && task.stage().map(part -> part.kind() == StageKind.HOSES).orElse(false);
        boolean disturbs = task.rule().effort().disturbance() >= BacteriaHomes.DISTURBING;
        if (inside && task.is(CareAction.REPLACE)) {
            return Visit.RENEWAL;
        }
        if (inside && disturbs) {
            return Visit.DEEP;
        }
        return inside || uncoupled || disturbs || task.isOpening() ? Visit.OPENING : Visit.OUTSIDE;
    }

    /**
     * The days of a service; what was let pass is due now, since the days of a plan that nobody kept say nothing either.
     *
     * @param outside whether there is anything to be looked at from outside; if not, the opening waits for nothing
     */
    private Window window(Visit visit, boolean outside) {
        boolean waits = outside || first.isPresent();
        LocalDate second = waits ? first.orElse(today).plusDays(SECOND_VISIT_DAYS) : today;
        LocalDate third = opened.orElse(second.isBefore(today) ? today : second).plusDays(THIRD_VISIT_DAYS);
        return switch (visit) {
            case OUTSIDE -> now();
            case OPENING -> waits ? from(second) : now();
            case DEEP -> from(third);
            case RENEWAL -> from(dipped.orElse(third).plusDays(FOURTH_VISIT_DAYS));
        };
    }

    private Window from(LocalDate day) {
        LocalDate latest = day.plusDays(SECOND_VISIT_DAYS);
        return latest.isBefore(today) ? now() : new Window(day, day.plusDays(SECOND_VISIT_DAYS / 2), latest);
    }

    private Window now() {
        return new Window(today, today, today);
    }

    private Forecast staged(BookedTask task, Forecast own, Set<Visit> visits) {
        Window window = window(visit(task), visits.contains(Visit.OUTSIDE));
        String why = task.countFrom().known() ? NEGLECTED : OF_UNKNOWN_AGE;
        boolean begins = first.isEmpty() && visit(task) == Visit.OUTSIDE && visits.size() > 1;
        String what = begins ? FIRST : window.equals(now()) ? NOW : LATER;
        return new Forecast(own.since(), window, Forecast.Basis.TAKEN_ON, own.loading(), List.of(why + what));
    }
}
