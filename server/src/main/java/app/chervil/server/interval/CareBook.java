package app.chervil.server.interval;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.BacteriaHomes;
import app.chervil.core.filter.BacteriaHomes.Touched;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Story;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.Schools;
import app.chervil.core.visit.BookedTask;
import app.chervil.core.visit.Errand.Reach;
import app.chervil.core.visit.FilterBook;
import app.chervil.core.visit.LoggedService;
import app.chervil.server.filter.FilterView;
import app.chervil.server.filter.FilterView.StageView;
import app.chervil.server.filter.FilterView.TaskView;
import app.chervil.server.filter.TaskMode;
import app.chervil.server.interval.ServiceHistory.Flows;
import app.chervil.server.interval.ServiceHistory.PastService;
import app.chervil.server.tank.ChangeRow;
import app.chervil.server.tank.TankInput;
import app.chervil.server.tank.TankView;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import org.jspecify.annotations.Nullable;

/**
 * Stored rows of one filter, turned into the core's book.
 *
 * @param otherFilters in use on the same tank
 * @param changes of the tank
 * @param past of the tank; what concerns other filters is passed over
 * @param homes of the bacteria in all filters of the tank
 */
public record CareBook(
        TankView tank, FilterView filter, int otherFilters, List<ChangeRow> changes, Past past, BacteriaHomes homes) {

    /**
     * What was done and seen on a tank.
     *
     * @param pauses of this filter
     * @param triedDays intervals that a trial asks for today, by task
     * @param eyes how people grade, by account; those who never tested theirs are left out
     */
    public record Past(
            List<PastService> services,
            Map<Long, List<Look>> looksByStage,
            Pauses pauses,
            Map<Long, Integer> triedDays,
            Map<Long, CalibratedEye> eyes) {
        CalibratedEye eye(@Nullable Long account) {
            return account == null ? CalibratedEye.UNTESTED : eyes.getOrDefault(account, CalibratedEye.UNTESTED);
        }
    }

    /**
     * A task in use with its forecast.
     *
     * @param disturbs whether it disturbs the tank's bacteria, and so waits while the tank is on hold
     */
    public record TaskForecast(FilterView filter, TaskView task, CareRule rule, Forecast forecast, boolean disturbs) {
        private static final long NEGLECTED = 2;

        /**
         * Days from one time to the next at present; the catalogue's for a part that is due before its time or long after it,
         * or whose filter is only being taken on.
         */
        public long intervalDays() {
            if (forecast.basis() == Forecast.Basis.TAKEN_ON) {
                return rule.startDays();
            }
            long days = Math.max(
                    1,
                    ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal()));
            boolean early = days < rule.bounds().leastDays() && forecast.basis() != Forecast.Basis.FIXED;
            boolean neglected = days > NEGLECTED * rule.bounds().mostDays() && forecast.basis() != Forecast.Basis.FIXED;
            return early || neglected ? rule.startDays() : days;
        }

        /** How the task is reached. */
        public Reach reach() {
            if (filter.kind() != FilterKind.CANISTER) {
                return Reach.FREE;
            }
            if (task.action() == CareAction.OPEN) {
                return Reach.OPENING;
            }
            boolean inside = filter.stages().stream()
                    .filter(stage -> Objects.equals(stage.id(), task.stageId()))
                    .anyMatch(stage -> stage.kind().insideCanister());
            return inside ? Reach.INSIDE : Reach.FREE;
        }
    }

    /** Forecasts of the tasks that are not switched off, in the order of the water path. */
    public List<TaskForecast> forecasts(LocalDate today) {
        Map<Long, Forecast> forecasts = book().forecasts(today);
        return inUse().stream()
                .map(task -> new TaskForecast(
                        filter, task, rule(task), Objects.requireNonNull(forecasts.get(task.id())), disturbs(task)))
                .toList();
    }

    /** Makes the course of a learned task anew at each call. */
    public Supplier<Course> course(long task, LocalDate today) {
        return book().course(task, today).orElseThrow();
    }

    /** What was not taken from the log as it stands. */
    public Set<Note> notes(LocalDate today) {
        return book().notes(today);
    }

    /** Whether a service seems to be missing before that of a day. */
    public boolean gapBefore(LocalDate day, Set<Long> done, LocalDate today) {
        return book().gapBefore(day, done, today);
    }

    /** Whether a pre-filter would keep dirt from a task's stage. */
    public boolean behindPrefilter(long task) {
        return book().behindPrefilter(task);
    }

    /** Care that is done whenever the filter is opened. */
    public List<CareRule> goingWithOpening() {
        return inUse().stream().filter(TaskView::withOpening).map(this::rule).toList();
    }

    /** The story of a task that is learned from findings, oldest first; empty for others. */
    List<Story.Chapter> story(long task, LocalDate today) {
        return book().story(task, today);
    }

    /** Whether a task, done alone, disturbs the tank's bacteria: it is spaced, and waits while the tank is on hold. */
    public boolean disturbs(TaskView task) {
        return homes.disturbs(List.of(touched(filter, task)));
    }

    /** A task as the bacteria feel it. */
    static Touched touched(FilterView filter, TaskView task) {
        return new Touched(filter.id(), Optional.ofNullable(task.stageId()), task.action());
    }

    private FilterBook book() {
        List<ContextChange> reaching = changes.stream()
                .filter(change -> change.reaches(filter.id()))
                .map(ChangeRow::toCore)
                .toList();
        TankInput.Setting setting = tank.tank().setting();
        int prefilters = (int) filter.stages().stream()
                .filter(stage -> stage.kind() == StageKind.PREFILTER_SPONGE)
                .count();
        Surroundings today = new Surroundings(setting.stocking(), setting.feeding(), prefilters, otherFilters);
        return new FilterBook(
                new FilterBook.Device(
                        filter.name(), filter.kind(), flow(filter.rating().flowLph())),
                inUse().stream().map(this::booked).toList(),
                past.services().stream().map(this::logged).toList(),
                new FilterBook.Around(today, reaching, past.pauses()));
    }

    private List<TaskView> inUse() {
        return filter.tasks().stream()
                .filter(task -> task.mode() != TaskMode.OFF)
                .toList();
    }

    private LoggedService logged(PastService service) {
        Flows flows = service.flows().getOrDefault(filter.id(), Flows.NONE);
        return new LoggedService(
                service.doneOn(),
                service.done(),
                flow(flows.beforeLph()),
                flow(flows.afterLph()),
                new LoggedService.Manner(
                        service.manner().again(),
                        service.said(filter.id(), Asked.FLOW_DOUBTED, Asked.SURE),
                        service.said(filter.id(), Asked.SOON_FULL, Asked.FULL_AGAIN),
                        past.eye(service.manner().recordedBy())));
    }

    private static Optional<FlowRate> flow(@Nullable Double litresPerHour) {
        return Optional.ofNullable(litresPerHour).map(FlowRate::of);
    }

    private BookedTask booked(TaskView task) {
        Optional<BookedTask.StagePart> part = stageOf(task)
                .map(stage -> new BookedTask.StagePart(
                        stage.id(),
                        stage.kind(),
                        Optional.ofNullable(stage.fittedOn()),
                        stage.lasting().toCore(),
                        past.looksByStage().getOrDefault(stage.id(), List.of())));
        return new BookedTask(task.id(), part, task.catalogue().cleaned().toCore(), rule(task), setting(task));
    }

    private TaskSetting setting(TaskView task) {
        Integer tried = past.triedDays().get(task.id());
        if (tried != null) {
            return new TaskSetting.Fixed(tried, TaskSetting.By.TRIAL);
        }
        if (task.mode() == TaskMode.FIXED && task.fixedDays() != null) {
            return new TaskSetting.Fixed(task.fixedDays(), TaskSetting.By.KEEPER);
        }
        boolean calendar = task.action() == CareAction.OPEN && schools().opening() == OpeningSchool.MAKERS_CALENDAR;
        return calendar
                ? new TaskSetting.Fixed(task.catalogue().startDays(), TaskSetting.By.MAKERS_CALENDAR)
                : new TaskSetting.Learned();
    }

    private CareRule rule(TaskView task) {
        return stageOf(task)
                .map(stage -> CareCatalogue.find(new Stage(stage.kind(), stage.make()), task.action(), schools()))
                .orElseGet(() -> CareCatalogue.find(filter.kind(), task.action(), schools()))
                .orElseThrow();
    }

    private Schools schools() {
        return tank.tank().schools().toCore();
    }

    private Optional<StageView> stageOf(TaskView task) {
        return filter.stages().stream()
                .filter(stage -> task.stageId() != null && stage.id() == task.stageId())
                .findFirst();
    }
}
