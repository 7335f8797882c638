package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.Learning.ByHours;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Evidence;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecaster;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.Story;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskHistory;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.function.Supplier;
import java.util.stream.Collectors;

/**
 * All that is known of one filter: its tasks in the order of the water path, its log, and what changed around it.
 * Answers the forecast of each task.
 */
public final class FilterBook {
    private static final int RARELY_OPENED_SEALS_DAYS = 365;

    private final Device device;
    private final List<BookedTask> tasks;
    private final List<LoggedService> services;
    private final Around around;

    /** The filter itself. */
    public record Device(String name, FilterKind kind) {}

    /**
     * What surrounds it.
     *
     * @param changes that reach this filter, in any order
     */
    public record Around(Surroundings today, List<ContextChange> changes) {}

    /** A book with its services brought into the order of their days. */
    public FilterBook(Device device, List<BookedTask> tasks, List<LoggedService> services, Around around) {
        this.device = device;
        this.tasks = List.copyOf(tasks);
        this.services = services.stream()
                .sorted(Comparator.comparing(LoggedService::on))
                .toList();
        this.around = around;
    }

    /** Forecast of every task by its id, as of a day. */
    public Map<Long, Forecast> forecasts(LocalDate today) {
        Map<Long, List<Serviced>> log = servicedByTask();
        Map<Long, Forecast> forecasts = new HashMap<>();
        for (BookedTask task : tasks) {
            List<Serviced> done = log.getOrDefault(task.id(), List.of());
            forecasts.put(task.id(), Forecaster.forecast(task.rule(), task.setting(), history(task, done), today));
        }
        replaceLampsTogether(forecasts);
        tasks.stream()
                .filter(BookedTask::isOpening)
                .findFirst()
                .ifPresent(opening -> bindToOpening(opening, forecasts));
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
                        .map(part -> CareCatalogue.goesWithOpening(
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

    /** Lamps of one filter are replaced together, on the day of the first. */
    private void replaceLampsTogether(Map<Long, Forecast> forecasts) {
        List<Long> lamps = tasks.stream()
                .filter(task -> task.setting() instanceof Learned && task.rule().learning() instanceof ByHours)
                .map(BookedTask::id)
                .toList();
        Optional<Forecast> first = lamps.stream()
                .flatMap(id -> Optional.ofNullable(forecasts.get(id)).stream())
                .min(Comparator.comparing(forecast -> forecast.window().ideal()));
        first.filter(lead -> lamps.size() > 1)
                .ifPresent(lead -> lamps.forEach(
                        id -> forecasts.computeIfPresent(id, (lamp, own) -> Forecaster.together(own, lead, "lamp"))));
    }

    private static boolean waitsForOpening(BookedTask task) {
        return task.setting() instanceof Learned
                && task.stage()
                        .map(part -> part.kind() == StageKind.IMPELLER || part.kind() == StageKind.SEALS)
                        .orElse(false);
    }

    private TaskHistory history(BookedTask task, List<Serviced> done) {
        boolean behind = task.behindPrefilter();
        List<ContextChange> reaching = around.changes().stream()
                .filter(change -> behind || change.kind() != ContextChange.Kind.PREFILTER)
                .toList();
        return new TaskHistory(
                new TaskHistory.Start(task.start(), task.ageKnown()),
                around.today().on(task.start(), around.changes(), behind),
                done,
                reaching,
                evidence(task));
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
    public Optional<Supplier<Course>> course(long id) {
        return tasks.stream()
                .filter(task -> task.id() == id && task.rule().graded())
                .findFirst()
                .map(task -> {
                    TaskHistory history = history(task, servicedByTask().getOrDefault(id, List.of()));
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
    public List<Story.Chapter> story(long id) {
        Map<Long, List<Serviced>> log = servicedByTask();
        return tasks.stream()
                .filter(task -> task.id() == id && task.rule().graded())
                .findFirst()
                .map(task -> Story.of(task.rule(), history(task, log.getOrDefault(id, List.of()))))
                .orElse(List.of());
    }

    private Map<Long, List<Serviced>> servicedByTask() {
        Map<Long, List<Serviced>> log = new HashMap<>();
        Optional<FlowRate> clean = Optional.empty();
        for (LoggedService service : services) {
            OptionalDouble share = share(service, clean);
            Optional<BookedTask> throttled = throttledBy(service);
            for (BookedTask task : tasks) {
                if (service.done().containsKey(task.id())) {
                    OptionalDouble own = throttled.equals(Optional.of(task)) ? share : OptionalDouble.empty();
                    log.computeIfAbsent(task.id(), id -> new ArrayList<>())
                            .add(new Serviced(service.on(), finding(task, service), own));
                }
            }
            clean = cleanAfter(clean, service);
        }
        return log;
    }

    private static OptionalDouble share(LoggedService service, Optional<FlowRate> clean) {
        return service.flowBefore().isPresent() && clean.isPresent()
                ? OptionalDouble.of(service.flowBefore().get().shareOf(clean.get()))
                : OptionalDouble.empty();
    }

    /** An opening is judged by the fullest foam or pad in it; nobody is asked twice. */
    private Optional<Finding> finding(BookedTask task, LoggedService service) {
        if (!task.isOpening()) {
            return service.done().getOrDefault(task.id(), Optional.empty());
        }
        return tasks.stream()
                .filter(BookedTask::stopsDirtInside)
                .flatMap(inner -> service.done().getOrDefault(inner.id(), Optional.empty()).stream())
                .max(Comparator.naturalOrder());
    }

    /** The one task a low flow is held against: the opening, else the fullest stage that can throttle. */
    private Optional<BookedTask> throttledBy(LoggedService service) {
        return tasks.stream()
                .filter(task -> service.done().containsKey(task.id()) && flowTells(task))
                .max(Comparator.comparing((BookedTask task) -> task.isOpening())
                        .thenComparing(task ->
                                finding(task, service).map(Finding::ordinal).orElse(-1)));
    }

    private static boolean flowTells(BookedTask task) {
        return task.rule().learning() instanceof Graded graded
                && graded.flowAtOverload().isPresent();
    }

    private Optional<FlowRate> cleanAfter(Optional<FlowRate> clean, LoggedService service) {
        boolean hasOpening = tasks.stream().anyMatch(BookedTask::isOpening);
        boolean cleaned = tasks.stream()
                .filter(task -> service.done().containsKey(task.id()))
                .anyMatch(task -> hasOpening ? task.isOpening() : task.rule().graded());
        return cleaned ? service.flowAfter().or(() -> clean) : clean;
    }
}
