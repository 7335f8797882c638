package app.chervil.core.site;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.BacteriaHomes;
import app.chervil.core.filter.BacteriaHomes.Home;
import app.chervil.core.filter.BacteriaHomes.Touched;
import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.Look;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Permission;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.core.water.WaterBook;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** One tank on a day with all that bears on its care. What is asked of it twice is worked out once. */
public final class TankBook {
    private final Records records;
    private final SiteBook.Shared shared;
    private final Once<List<CareBook>> filters = new Once<>(this::opened);
    private final Once<List<TaskForecast>> forecasts = new Once<>(this::foretold);
    private final Once<List<Hold>> holds = new Once<>(this::held);

    /**
     * What is on record of a tank.
     *
     * @param filters in use, in the order in which they were fitted
     * @param changes of context, oldest first
     * @param services oldest first
     * @param looks at stages between services, by stage id
     * @param aside work that disturbed the bacteria and stands in another log than that of services
     * @param chores that are planned
     * @param waterChanged the day of the latest water change
     * @param faults of its filters, found or still being looked for
     */
    public record Records(
            Tank tank,
            List<Filter> filters,
            List<Change> changes,
            List<PastService> services,
            Map<Long, List<Look>> looks,
            List<Pause> pauses,
            WaterBook water,
            List<Earlier> aside,
            List<PlannedChore> chores,
            Optional<LocalDate> waterChanged,
            List<FilterFault> faults,
            TankDevices devices) {
        public Records {
            faults = List.copyOf(faults);
            filters = List.copyOf(filters);
            changes = List.copyOf(changes);
            services = List.copyOf(services);
            looks = Map.copyOf(looks);
            pauses = List.copyOf(pauses);
            aside = List.copyOf(aside);
            chores = List.copyOf(chores);
        }

        Records with(List<PastService> others) {
            return new Records(
                    tank, filters, changes, others, looks, pauses, water, aside, chores, waterChanged, faults, devices);
        }
    }

    public TankBook(Records records, SiteBook.Shared shared) {
        this.records = records;
        this.shared = shared;
    }

    public Records records() {
        return records;
    }

    public Tank tank() {
        return records.tank();
    }

    LocalDate today() {
        return shared.today();
    }

    SiteBook.Shared shared() {
        return shared;
    }

    /** The same records under what now holds for all tanks. */
    public TankBook sharing(SiteBook.Shared now) {
        return shared.equals(now) ? this : new TankBook(records, now);
    }

    /** Whether a service stands in it. */
    public boolean logs(UUID service) {
        return records.services().stream().anyMatch(one -> one.id().equals(service));
    }

    /** The book as it would be if a service had not been logged. */
    public TankBook without(UUID service) {
        return new TankBook(
                records.with(records.services().stream()
                        .filter(one -> !one.id().equals(service))
                        .toList()),
                shared);
    }

    /** Its filters in use. */
    public List<CareBook> filters() {
        return filters.get();
    }

    private List<CareBook> opened() {
        return records.filters().stream()
                .map(filter -> new CareBook(this, filter))
                .toList();
    }

    /** Forecasts of every task in use. */
    public List<TaskForecast> forecasts() {
        return forecasts.get();
    }

    private List<TaskForecast> foretold() {
        return filters().stream().flatMap(filter -> filter.forecasts().stream()).toList();
    }

    /** Holds in force today. */
    public List<Hold> holds() {
        return holds.get();
    }

    private List<Hold> held() {
        return holds(today());
    }

    private List<Hold> holds(LocalDate on) {
        return records.water().holds(on);
    }

    /** The hold that speaks for them all: the one that lasts longest; empty where none is in force. */
    public Optional<Hold> hold() {
        return holds().stream().min(Hold.LONGEST_FIRST);
    }

    /** The hold a task waits for today. */
    public Optional<Hold> holding(TaskForecast task) {
        return task.disturbs() ? hold() : Optional.empty();
    }

    /**
     * Whether a whole service can be done on a day.
     *
     * @param tasks of any of its filters; unknown ones count for nothing
     * @param chores disturbance of the work on the tank itself, 0 for none
     * @param except a service not to be held against it
     */
    public Permission permission(Set<Long> tasks, int chores, LocalDate on, Optional<UUID> except) {
        int disturbance = Math.max(chores, homes().disturbance(touched(tasks)));
        if (!Hold.concerns(disturbance)) {
            return Permission.judge(on, disturbance, List.of(), List.of());
        }
        List<Earlier> earlier =
                Stream.concat(records.aside().stream(), earlier(except)).toList();
        return Permission.judge(on, disturbance, holds(on), earlier);
    }

    private Stream<Earlier> earlier(Optional<UUID> except) {
        return records.services().stream()
                .filter(service -> !except.equals(Optional.of(service.id()))
                        && !service.manner().again())
                .filter(service -> homes().disturbs(touched(service.done().keySet())))
                .map(service ->
                        new Earlier(service.doneOn(), told(service.done().keySet())));
    }

    private List<Touched> touched(Set<Long> tasks) {
        return filters().stream()
                .flatMap(book -> book.filter().tasks().stream()
                        .filter(task -> tasks.contains(task.id()))
                        .map(book::touched))
                .toList();
    }

    private String told(Set<Long> tasks) {
        return records.filters().stream()
                .flatMap(filter -> filter.tasks().stream())
                .filter(task -> tasks.contains(task.id()))
                .map(task -> FirstLetter.lower(task.name()))
                .distinct()
                .limit(3)
                .collect(Collectors.joining(", "));
    }

    /** Where the bacteria of its filters live. */
    BacteriaHomes homes() {
        return new BacteriaHomes(
                records.filters().stream()
                        .flatMap(filter ->
                                filter.stages().stream().map(stage -> new Home(filter.id(), stage.id(), stage.kind())))
                        .toList(),
                tank().setting().bacteriaHome());
    }

    CalibratedEye eye(Optional<Long> account) {
        return account.map(id -> shared.eyes().getOrDefault(id, CalibratedEye.UNTESTED))
                .orElse(CalibratedEye.UNTESTED);
    }

    Optional<Tried> tried(long task) {
        return Optional.ofNullable(shared.tried().get(task));
    }
}
