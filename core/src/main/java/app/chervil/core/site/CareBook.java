package app.chervil.core.site;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.BacteriaHomes.Touched;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.interval.Story;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting;
import app.chervil.core.site.PastService.Flows;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.Repair;
import app.chervil.core.visit.BookedTask;
import app.chervil.core.visit.Fault;
import app.chervil.core.visit.FilterBook;
import app.chervil.core.visit.LoggedService;
import app.chervil.core.visit.MeterDays;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/** One filter with all that bears on its care. What is asked of it twice is worked out once. */
public final class CareBook {
    private final TankBook tank;
    private final Filter filter;
    private final Once<FilterBook> book = new Once<>(this::written);
    private final Once<List<TaskForecast>> forecasts = new Once<>(this::foretold);
    private final Once<Set<Note>> notes = new Once<>(this::noted);

    CareBook(TankBook tank, Filter filter) {
        this.tank = tank;
        this.filter = filter;
    }

    public Tank tank() {
        return tank.tank();
    }

    public Filter filter() {
        return filter;
    }

    /** Services of the whole tank, oldest first. */
    public List<PastService> services() {
        return tank.records().services();
    }

    /**
     * The first service of a filter of which nobody knew when it had been cleaned before; empty where somebody knew, or said
     * since what they know.
     */
    public Optional<PastService> undated() {
        boolean answered = services().stream().anyMatch(service -> service.manner()
                .answers()
                .getOrDefault(filter.id(), Map.of())
                .containsKey(Asked.START));
        if (answered || filter.cleaned().known()) {
            return Optional.empty();
        }
        Set<Long> tasks = filter.tasks().stream().map(FilterTask::id).collect(Collectors.toSet());
        return services().stream()
                .filter(service -> !Collections.disjoint(service.done().keySet(), tasks))
                .findFirst();
    }

    /** Forecasts of the tasks that are not switched off, in the order of the water path. */
    public List<TaskForecast> forecasts() {
        return forecasts.get();
    }

    private List<TaskForecast> foretold() {
        Map<Long, Forecast> byTask = book.get().forecasts(today());
        return filter.inUse().stream()
                .map(task ->
                        new TaskForecast(filter, task, Objects.requireNonNull(byTask.get(task.id())), disturbs(task)))
                .toList();
    }

    /** Makes the course of a learned task anew at each call. */
    public Supplier<Course> course(long task) {
        return book.get().course(task, today()).orElseThrow();
    }

    /** What was not taken from the log as it stands. */
    public Set<Note> notes() {
        return notes.get();
    }

    private Set<Note> noted() {
        return book.get().notes(today());
    }

    /** Whether a service seems to be missing before that of a day. */
    public boolean gapBefore(LocalDate day, Set<Long> done) {
        return book.get().gapBefore(day, done, today());
    }

    /** Whether a pre-filter would keep dirt from a task's stage. */
    public boolean behindPrefilter(long task) {
        return book.get().behindPrefilter(task);
    }

    /** Its flow when clean; empty if nobody measured it. */
    public Optional<FlowRate> cleanFlow() {
        return book.get().cleanFlow(today());
    }

    /** The care task of this filter that a repair is logged as; empty where there is none. */
    public Optional<FilterTask> mending(Repair.Task repair) {
        return AsMended.kinds(repair)
                .flatMap(kind -> filter.inUse().stream().filter(task -> AsMended.is(repair, kind, filter, task)))
                .findFirst();
    }

    /** What is known of it when something is wrong with it. */
    public FilterHistory clues(LocalDateTime now) {
        return new Clues(tank, this, now).history();
    }

    /** The opening of the whole filter; empty where it has none. */
    public Optional<TaskForecast> opening() {
        return forecasts().stream()
                .filter(one -> one.task().action() == CareAction.OPEN)
                .findFirst();
    }

    /** Care that is done whenever the filter is opened. */
    public List<CareRule> goingWithOpening() {
        return filter.inUse().stream()
                .filter(FilterTask::withOpening)
                .map(FilterTask::rule)
                .toList();
    }

    /** The story of a task that is learned from findings, oldest first; empty for others. */
    public List<Story.Chapter> story(long task) {
        return book.get().story(task, today());
    }

    /** Whether a task, done alone, disturbs the tank's bacteria: it is spaced, and waits while the tank is on hold. */
    public boolean disturbs(FilterTask task) {
        return tank.homes().disturbs(List.of(touched(task)));
    }

    /** A task as the bacteria feel it. */
    Touched touched(FilterTask task) {
        return new Touched(filter.id(), task.stageId(), task.action(), filter.bringsMediaOut(task));
    }

    private LocalDate today() {
        return tank.today();
    }

    /** What reached the stages behind its pre-filter, if it has one, on a day. */
    public StartingLoad loadOn(LocalDate day) {
        return surroundings().on(day, reaching(), true);
    }

    private List<ContextChange> reaching() {
        return tank.records().changes().stream()
                .filter(change -> change.reaches(filter.id()))
                .map(Change::what)
                .toList();
    }

    private Surroundings surroundings() {
        Tank.Setting setting = tank().setting();
        int prefilters = (int) filter.stages().stream()
                .filter(stage -> stage.kind() == StageKind.PREFILTER_SPONGE)
                .count();
        int others = tank.records().filters().size() - 1;
        return new Surroundings(setting.stocking(), setting.feeding(), prefilters, others);
    }

    private FilterBook written() {
        return new FilterBook(
                new FilterBook.Device(filter.name(), filter.kind(), plate()),
                filter.inUse().stream().map(this::booked).toList(),
                services().stream().map(this::logged).toList(),
                new FilterBook.Around(surroundings(), reaching(), pauses(), faults(), meter()));
    }

    /** What its flow meter read, a day at a time. */
    public MeterDays meter() {
        return tank.records().devices().meter(filter.id());
    }

    private Optional<FlowRate> plate() {
        return filter.rating().flowLph().isPresent()
                ? Optional.of(FlowRate.of(filter.rating().flowLph().getAsDouble()))
                : Optional.empty();
    }

    private Pauses pauses() {
        return new Pauses(tank.records().pauses().stream()
                .filter(pause -> pause.reaches(filter.id()))
                .map(Pause::what)
                .toList());
    }

    private List<Fault> faults() {
        return tank.records().faults().stream()
                .filter(fault -> fault.filterId() == filter.id())
                .map(FilterFault::what)
                .toList();
    }

    private LoggedService logged(PastService service) {
        Flows flows = service.flows().getOrDefault(filter.id(), Flows.NONE);
        return new LoggedService(
                service.doneOn(),
                service.done(),
                flows.before(),
                flows.after(),
                new LoggedService.Manner(
                        service.manner().again(),
                        service.said(filter.id(), Asked.FLOW_DOUBTED, Asked.SURE),
                        service.said(filter.id(), Asked.SOON_FULL, Asked.FULL_AGAIN),
                        tank.eye(service.manner().recordedBy())));
    }

    private BookedTask booked(FilterTask task) {
        Optional<BookedTask.StagePart> part = filter.stageOf(task)
                .map(stage -> new BookedTask.StagePart(
                        stage.id(),
                        stage.kind(),
                        stage.fittedOn(),
                        stage.endurance(),
                        tank.records().looks().getOrDefault(stage.id(), List.of()),
                        filter.isErrand(stage)));
        return new BookedTask(task.id(), part, task.cleaned(), task.rule(), setting(task));
    }

    private TaskSetting setting(FilterTask task) {
        Optional<Tried> tried = tank.tried(task.id());
        if (tried.isPresent() && !tried.get().adopted()) {
            OptionalInt days = tried.get().days();
            return days.isPresent()
                    ? new TaskSetting.Fixed(days.getAsInt(), TaskSetting.By.TRIAL)
                    : new TaskSetting.Fixed(TaskSetting.MOST_FIXED_DAYS, TaskSetting.By.TRIED_WITHOUT);
        }
        if (task.mode() == TaskMode.FIXED && task.fixedDays().isPresent()) {
            boolean adopted = tried.map(Tried::days).equals(Optional.of(task.fixedDays()));
            return new TaskSetting.Fixed(
                    task.fixedDays().getAsInt(), adopted ? TaskSetting.By.ADOPTED : TaskSetting.By.KEEPER);
        }
        boolean calendar = task.action() == CareAction.OPEN
                && tank().practice().schools().opening() == OpeningSchool.MAKERS_CALENDAR;
        return calendar
                ? new TaskSetting.Fixed(task.rule().startDays(), TaskSetting.By.MAKERS_CALENDAR)
                : new TaskSetting.Learned();
    }
}
