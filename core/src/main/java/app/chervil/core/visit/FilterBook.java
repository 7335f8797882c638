package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecaster;
import app.chervil.core.interval.Serviced;
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

/**
 * All that is known of one filter: its tasks in the order of the water path, its log, and what changed around it.
 * Answers the forecast of each task.
 */
public final class FilterBook {
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
                        task.id(), (id, own) -> Forecaster.waitingForOpening(task.rule(), own, lead));
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
                reaching);
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
