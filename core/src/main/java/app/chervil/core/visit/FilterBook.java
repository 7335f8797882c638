package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.Learning.ByHours;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Evidence;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecaster;
import app.chervil.core.interval.Metered;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.Story;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskHistory;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.visit.FilterLog.TaskLog;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * All that is known of one filter: its tasks in the order of the water path, its log, and what changed around it.
 * Answers the forecast of each task.
 */
public final class FilterBook {
    private static final int RARELY_OPENED_SEALS_DAYS = 365;
    /** Lamps fitted further apart are not held to be twins any more. */
    private static final int TWIN_LAMP_DAYS = 60;

    private final Device device;
    private final List<BookedTask> tasks;
    private final List<LoggedService> services;
    private final Around around;
    private final Pauses pauses;

    /**
     * The filter itself.
     *
     * @param plate most its plate promises; empty if nobody knows
     */
    public record Device(String name, FilterKind kind, Optional<FlowRate> plate) {
        public Device(String name, FilterKind kind) {
            this(name, kind, Optional.empty());
        }
    }

    /**
     * What surrounds it.
     *
     * @param changes that reach this filter, in any order
     * @param pauses on which it stood or its keeper was away
     * @param faults on whose days what it showed was no dirt
     * @param meter what its flow meter read
     */
    public record Around(
            Surroundings today, List<ContextChange> changes, Pauses pauses, List<Fault> faults, MeterDays meter) {
        public Around {
            faults = List.copyOf(faults);
            changes = changes.stream()
                    .sorted(Comparator.comparing(ContextChange::on)
                            .thenComparing(ContextChange::kind)
                            .thenComparing(ContextChange::steps))
                    .toList();
        }

        public Around(Surroundings today, List<ContextChange> changes, Pauses pauses, List<Fault> faults) {
            this(today, changes, pauses, faults, MeterDays.NONE);
        }

        public Around(Surroundings today, List<ContextChange> changes, Pauses pauses) {
            this(today, changes, pauses, List.of());
        }

        public Around(Surroundings today, List<ContextChange> changes) {
            this(today, changes, Pauses.NONE);
        }
    }

    /**
     * A book.
     *
     * @param services in any order
     */
    public FilterBook(Device device, List<BookedTask> tasks, List<LoggedService> services, Around around) {
        this.device = device;
        this.tasks = List.copyOf(tasks);
        this.services = metered(services, tasks, around.meter()).stream()
                .map(one -> stripped(one, around.faults()))
                .toList();
        this.around = around;
        this.pauses = new Pauses(Stream.concat(
                        around.pauses().all().stream(),
                        around.faults().stream().flatMap(fault -> fault.standstill().stream()))
                .toList());
    }

    /** A service of another filter of the tank says nothing of this one's flow. */
    private static List<LoggedService> metered(List<LoggedService> services, List<BookedTask> tasks, MeterDays meter) {
        Set<Long> own = tasks.stream().map(BookedTask::id).collect(Collectors.toSet());
        Map<Boolean, List<LoggedService>> ofThis = services.stream()
                .collect(Collectors.partitioningBy(
                        one -> one.done().keySet().stream().anyMatch(own::contains)));
        return Stream.concat(
                        meter.filled(ofThis.getOrDefault(true, List.of())).stream(),
                        ofThis.getOrDefault(false, List.of()).stream())
                .toList();
    }

    private static LoggedService stripped(LoggedService service, List<Fault> faults) {
        LoggedService told = service;
        for (Fault fault : faults) {
            told = fault.strip(told);
        }
        return told;
    }

    /** Its flow when clean, as learned from what was measured up to a day; empty if nobody measured it. */
    public Optional<FlowRate> cleanFlow(LocalDate today) {
        FilterLog log = new FilterLog(tasks, services, today);
        return log.judgeFlows(device.plate(), around.meter(), (task, told) -> history(task, told, Optional.empty()));
    }

    /** Forecast of every task by its id, as of a day. */
    public Map<Long, Forecast> forecasts(LocalDate today) {
        FilterLog log = log(today);
        Map<Long, Forecast> forecasts = new HashMap<>();
        for (BookedTask task : tasks) {
            TaskHistory history = history(task, log);
            forecasts.put(task.id(), Forecaster.forecast(task.rule(), task.setting(), history, today));
        }
        replaceLampsTogether(forecasts);
        tasks.stream()
                .filter(BookedTask::isOpening)
                .findFirst()
                .ifPresent(opening -> bindToOpening(opening, forecasts));
        new TakenOn(device.kind(), tasks, log, today).stage(tasks, forecasts);
        return forecasts;
    }

    private void bindToOpening(BookedTask opening, Map<Long, Forecast> forecasts) {
        String name = TaskName.of(opening.rule().action(), device.kind(), device.name());
        Forecast lead = Objects.requireNonNull(forecasts.get(opening.id()));
        for (BookedTask task : tasks) {
            if (goesWithOpening(task)) {
                forecasts.computeIfPresent(task.id(), (id, own) -> Forecaster.withOpening(own, lead, name));
            } else if (waitsForOpening(task)) {
                forecasts.computeIfPresent(
                        task.id(), (id, own) -> Forecaster.waitingForOpening(cap(task, lead), own, lead));
            }
        }
    }

    private boolean goesWithOpening(BookedTask task) {
        return task.setting() instanceof Learned
                && task.stage()
                        .map(part -> !part.errand()
                                && CareCatalogue.goesWithOpening(
                                        device.kind(), part.kind(), task.rule().action()))
                        .orElse(false);
    }

    /**
     * The age at which a part is looked after even without an opening: the catalogue's, for seals a year where openings are
     * rare (docs/sources.md#other-lives).
     */
    private static int cap(BookedTask task, Forecast opening) {
        boolean seals = task.stage().map(part -> part.kind() == StageKind.SEALS).orElse(false);
        boolean rare = opening.window().ideal().isAfter(opening.since().plusMonths(6));
        return task.rule().learning() instanceof ByAge age
                ? seals && rare ? Math.min(RARELY_OPENED_SEALS_DAYS, age.ceilingDays()) : age.ceilingDays()
                : task.rule().bounds().mostDays();
    }

    /** Lamps of one filter that are of one age are replaced together, on the day of the first. */
    private void replaceLampsTogether(Map<Long, Forecast> forecasts) {
        List<Long> lamps = tasks.stream()
                .filter(task -> task.setting() instanceof Learned && task.rule().learning() instanceof ByHours)
                .map(BookedTask::id)
                .toList();
        for (Long lamp : lamps) {
            Forecast own = Objects.requireNonNull(forecasts.get(lamp));
            lamps.stream()
                    .flatMap(id -> Optional.ofNullable(forecasts.get(id)).stream())
                    .filter(other -> ofOneAge(own, other))
                    .min(Comparator.comparing(forecast -> forecast.window().ideal()))
                    .ifPresent(first -> forecasts.put(lamp, Forecaster.together(own, first, "lamp")));
        }
    }

    private static boolean ofOneAge(Forecast one, Forecast other) {
        return Math.abs(ChronoUnit.DAYS.between(one.since(), other.since())) <= TWIN_LAMP_DAYS;
    }

    private static boolean waitsForOpening(BookedTask task) {
        return task.setting() instanceof Learned
                && task.stage()
                        .map(part -> part.kind() == StageKind.IMPELLER || part.kind() == StageKind.SEALS)
                        .orElse(false);
    }

    private FilterLog log(LocalDate today) {
        FilterLog log = new FilterLog(tasks, services, today);
        log.judgeFlows(device.plate(), around.meter(), (task, told) -> history(task, told, Optional.empty()));
        return log;
    }

    /** What was not taken from the log as it stands, as of a day. */
    public Set<Note> notes(LocalDate today) {
        FilterLog log = log(today);
        Set<Note> notes = EnumSet.noneOf(Note.class);
        for (BookedTask task : tasks) {
            TaskLog told = log.of(task);
            if (task.rule().graded()) {
                TaskHistory history = history(task, told, Optional.empty());
                notes.addAll(Course.replay(task.rule(), history).notes());
                if (history.services().size() < told.services().size()) {
                    notes.add(Note.START_IS_SERVICE);
                }
            }
        }
        notes.addAll(log.notes());
        return notes;
    }

    /**
     * Whether a service seems to be missing before that of a day: one of its tasks was done before, and then not for longer
     * than its stage can last. That nothing is known from before the first service is no gap.
     */
    public boolean gapBefore(LocalDate day, Set<Long> done, LocalDate today) {
        FilterLog log = log(today);
        return tasks.stream()
                .filter(task -> task.rule().graded() && done.contains(task.id()))
                .anyMatch(task -> {
                    TaskLog told = log.of(task);
                    TaskHistory history = history(task, told, Optional.empty());
                    boolean startWasService =
                            history.services().size() < told.services().size();
                    return Course.replay(task.rule(), history).gapBefore(day, startWasService);
                });
    }

    private TaskHistory history(BookedTask task, FilterLog log) {
        return history(task, log.of(task), log.metered(task));
    }

    private TaskHistory history(BookedTask task, TaskLog log, Optional<Metered> metered) {
        boolean behind = task.behindPrefilter();
        List<ContextChange> reaching = around.changes().stream()
                .filter(change -> behind || change.kind() != ContextChange.Kind.PREFILTER)
                .toList();
        Start start = task.start()
                .orFirst(Stream.concat(log.services().stream().map(Serviced::on), log.renewals().stream())
                        .min(Comparator.naturalOrder()));
        return new TaskHistory(
                start,
                around.today().on(start.on(), around.changes(), behind),
                log.services(),
                log.renewals(),
                reaching,
                pauses,
                evidence(task).with(metered));
    }

    private Evidence evidence(BookedTask task) {
        return task.stage()
                .map(part -> new Evidence(part.endurance(), part.looks(), rinses(part)))
                .orElse(Evidence.NONE);
    }

    private List<LocalDate> rinses(BookedTask.StagePart part) {
        Set<Long> rinsing = tasks.stream()
                .filter(task -> task.is(CareAction.RINSE)
                        && task.stage().map(BookedTask.StagePart::id).equals(Optional.of(part.id())))
                .map(BookedTask::id)
                .collect(Collectors.toSet());
        return services.stream()
                .filter(service -> service.done().keySet().stream().anyMatch(rinsing::contains))
                .map(LoggedService::on)
                .toList();
    }

    /** Makes the course of a learned task up to its last event, anew at each call; empty as for its story. */
    public Optional<Supplier<Course>> course(long id, LocalDate today) {
        return tasks.stream()
                .filter(task -> task.id() == id && task.rule().graded())
                .findFirst()
                .map(task -> {
                    TaskHistory history = history(task, log(today));
                    return () -> Course.replay(task.rule(), history);
                });
    }

    /** Whether a pre-filter would keep dirt from a task's stage. */
    public boolean behindPrefilter(long id) {
        return tasks.stream().anyMatch(task -> task.id() == id && task.behindPrefilter());
    }

    /**
     * The story of a task that is learned from findings; empty if the task is not here or not learned so.
     *
     * @param id of the task
     */
    public List<Story.Chapter> story(long id, LocalDate today) {
        return tasks.stream()
                .filter(task -> task.id() == id && task.rule().graded())
                .findFirst()
                .map(task -> Story.of(task.rule(), history(task, log(today))))
                .orElse(List.of());
    }
}
