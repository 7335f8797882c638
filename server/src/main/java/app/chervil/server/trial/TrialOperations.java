package app.chervil.server.trial;

import app.chervil.core.filter.StageKind;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.PastService;
import app.chervil.core.site.Tank;
import app.chervil.core.site.TaskMode;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Forethought;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Tried;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.ServiceLog;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.stock.StockOperations;
import app.chervil.server.stock.TaskCosts;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trial.TrialMapper.TrialRow;
import app.chervil.server.trial.TrialView.TrialForethought;
import app.chervil.server.trial.TrialView.TrialTogether;
import app.chervil.server.water.TankWaterOperations;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Trials: begun, stopped, and told. What they say is worked out from the log and the readings at every question. */
@Service
public class TrialOperations {
    private static final Set<Parameter> COMPARED = Set.of(Parameter.NITRATE, Parameter.PHOSPHATE);

    private final TrialMapper mapper;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final TankWaterOperations water;
    private final ServiceLog history;
    private final StockOperations stock;
    private final Clock clock;

    TrialOperations(
            TrialMapper mapper,
            FilterOperations filters,
            TankOperations tanks,
            TankWaterOperations water,
            ServiceLog history,
            StockOperations stock,
            Clock clock) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
        this.water = water;
        this.history = history;
        this.stock = stock;
        this.clock = clock;
    }

    /** A task with its filter. */
    private record Placed(Filter filter, FilterTask task) {
        /** The kind of stage it is done to; empty for a whole filter. */
        Optional<StageKind> kind() {
            return filter.stageOf(task).map(FilterStage::kind);
        }
    }

    /** Trials on tanks in use, those running first, then the latest. */
    @Transactional(readOnly = true)
    public List<TrialView> list(SignedIn who) {
        Map<Long, Tank> inUse = tanks.list(who).stream().collect(Collectors.toMap(Tank::id, Function.identity()));
        Map<Long, Placed> placed = placed(who);
        List<TrialTold> told = mapper.list(who.siteId()).stream()
                .filter(row -> inUse.containsKey(row.tankId()) && placed.containsKey(row.taskId()))
                .map(row -> told(who, row, Objects.requireNonNull(placed.get(row.taskId()))))
                .toList();
        Map<UUID, TrialTogether> together = told.stream()
                .filter(one -> one.row().together() != null)
                .collect(Collectors.groupingBy(
                        one -> Objects.requireNonNull(one.row().together()),
                        Collectors.collectingAndThen(
                                Collectors.toList(), all -> Objects.requireNonNull(TrialTold.together(all)))));
        TaskCosts costs = stock.costs(who);
        return told.stream()
                .map(one -> one.view(
                        Objects.requireNonNull(inUse.get(one.row().tankId())).name(),
                        Objects.requireNonNull(placed.get(one.row().taskId())).task(),
                        costs.of(one.row().taskId()),
                        one.row().together() == null
                                ? null
                                : together.get(one.row().together())))
                .sorted(Comparator.comparing(TrialView::state))
                .toList();
    }

    /**
     * Begins a trial under an id made by the sender; sent twice it begins once.
     *
     * @throws Rejected if it could tell nothing, or another one runs on the tank
     */
    @Transactional
    public void begin(SignedIn who, UUID id, TrialInput input) {
        if (mapper.find(who.siteId(), id).isPresent()) {
            return;
        }
        List<Placed> tried = checked(who, input);
        @Nullable UUID together = tried.size() > 1 ? id : null;
        for (Placed placed : tried) {
            long task = placed.task().id();
            UUID own = task == input.taskId()
                    ? id
                    : UUID.nameUUIDFromBytes((id + " " + task).getBytes(StandardCharsets.UTF_8));
            insert(who, own, placed, input, together);
        }
    }

    /** The task on each of its tanks, if they can be tried so. */
    private List<Placed> checked(SignedIn who, TrialInput input) {
        Map<Long, Placed> all = placed(who);
        List<Placed> tried = Stream.concat(Stream.of(input.taskId()), input.also().stream())
                .map(task -> Optional.ofNullable(all.get(task)).orElseThrow(() -> new NotFound("task")))
                .toList();
        checkAlike(tried);
        tried.forEach(placed -> check(who, placed, input));
        return tried;
    }

    /**
     * What a trial could tell, if reading goes on as in the weeks that went by; nothing is begun.
     *
     * @throws Rejected if it could not be begun either
     */
    @Transactional(readOnly = true)
    public TrialForethought foresee(SignedIn who, TrialInput input) {
        List<Placed> tried = checked(who, input);
        LocalDate today = tanks.today();
        Design past = Forethought.before(
                new Design(
                        today,
                        input.periodDays(),
                        input.periods(),
                        input.ways().stream().map(WaysHandler::way).toList()),
                today);
        List<Tried> told = tried.stream()
                .map(placed -> water.compare(
                        who,
                        placed.filter().tankId(),
                        input.parameter(),
                        past.phases(),
                        today.plusDays(1),
                        settles(input.periodDays(), placed)))
                .flatMap(Optional::stream)
                .toList();
        int wanted = (int) Math.round(100 * Forethought.WANTED);
        double weeks = input.periods() * input.periodDays() / TrialTold.DAYS_A_WEEK;
        return Forethought.of(told)
                .map(ahead -> new TrialForethought(
                        ahead.readings(),
                        wanted,
                        (int) Math.ceil(100 * ahead.smallest()),
                        (int) Math.ceil(weeks * ahead.needed() / ahead.readings()),
                        ahead.enough()))
                .orElseGet(() -> new TrialForethought(0, wanted, null, null, false));
    }

    /** Tanks are compared by what is done to the same kind of stage, and each by itself. */
    private static void checkAlike(List<Placed> tried) {
        Placed first = tried.get(0);
        new Rejected.Gatherer()
                .check(
                        tried.stream()
                                .allMatch(one -> one.kind().equals(first.kind())
                                        && one.task().action() == first.task().action()),
                        "alsoTaskIds",
                        "not-alike",
                        "Choose the same task on the other tanks.")
                .check(
                        tried.stream()
                                        .map(one -> one.filter().tankId())
                                        .distinct()
                                        .count()
                                == tried.size(),
                        "alsoTaskIds",
                        "same-tank",
                        "Choose each tank once.")
                .done();
    }

    private void insert(SignedIn who, UUID id, Placed placed, TrialInput input, @Nullable UUID together) {
        mapper.insert(
                who.siteId(),
                new TrialRow(
                        id,
                        placed.filter().tankId(),
                        placed.task().id(),
                        input.parameter(),
                        input.began(),
                        input.periodDays(),
                        input.periods(),
                        input.ways().stream().map(WaysHandler::way).toList(),
                        null,
                        who.name(),
                        null,
                        together));
    }

    private void check(SignedIn who, Placed placed, TrialInput input) {
        tanks.checkDay("began", input.began());
        LocalDate ends = input.began().plusDays((long) input.periods() * input.periodDays());
        boolean alone = mapper.list(who.siteId()).stream()
                .filter(row -> row.tankId() == placed.filter().tankId())
                .noneMatch(row -> row.beganOn().isBefore(ends) && input.began().isBefore(row.until()));
        Rejected.Gatherer gatherer = new Rejected.Gatherer()
                .check(
                        COMPARED.contains(input.parameter()),
                        "parameter",
                        "not-compared",
                        "Nitrate or phosphate can be compared.")
                .check(
                        placed.task().mode() != TaskMode.OFF && !placed.task().withOpening(),
                        "taskId",
                        "has-no-interval",
                        "This task has no interval of its own.")
                .check(
                        input.periods() % Design.round(input.ways().size()) == 0,
                        "periods",
                        "not-in-rounds",
                        "A multiple of " + Design.round(input.ways().size()) + ", so that each way has as many.")
                .check(
                        new HashSet<>(input.ways()).size() == input.ways().size(),
                        "ways",
                        "same-days",
                        "Different intervals can be compared.");
        for (int i = 0; i < input.ways().size(); i++) {
            gatherer.check(
                            input.ways().get(i) <= input.periodDays(),
                            "ways[" + i + "]",
                            "too-long",
                            "At most one period.")
                    .check(
                            input.ways().get(i) > 0 || canBeLeftOut(placed),
                            "ways[" + i + "]",
                            "needed",
                            "A filter does not run without this.");
        }
        gatherer.check(alone, "taskId", "one-at-a-time", "Another trial runs on this tank in these weeks.")
                .done();
    }

    private static boolean canBeLeftOut(Placed placed) {
        return placed.kind().filter(StageKind::canBeLeftOut).isPresent();
    }

    /**
     * Sets a task to the interval of one of the ways that were tried; the trial then speaks in its reasons.
     *
     * @throws Rejected while the trial runs, or if the way leaves the thing out
     */
    @Transactional
    public void adopt(SignedIn who, UUID id, int way) {
        TrialRow row = find(who, id);
        boolean known = way >= 0 && way < row.ways().size();
        new Rejected.Gatherer()
                .check(!row.runsOn(tanks.today()), "way", "still-running", "Stop the trial first.")
                .check(
                        known && row.ways().get(way).days().isPresent(),
                        "way",
                        "no-interval",
                        "Choose one of the intervals that were tried. To go without it, take it out of the filter.")
                .done();
        filters.setTask(
                who, row.taskId(), TaskMode.FIXED, row.ways().get(way).days().getAsInt());
        mapper.adopt(who.siteId(), id, way);
    }

    /** Takes the adoption back: its task is set as it was said to be before. */
    @Transactional
    public void disown(SignedIn who, UUID id, Before before) {
        TrialRow row = find(who, id);
        filters.setTask(who, row.taskId(), before.mode(), before.fixedDays());
        mapper.adopt(who.siteId(), id, null);
    }

    /** How a task was set before a way was adopted. */
    public record Before(
            @NotNull(message = "How was it set?") TaskMode mode,

            @Nullable
            @Min(value = 1, message = "At least 1 day.")
            @Max(value = 1825, message = "At most five years, 1,825 days.")
            Integer fixedDays) {}

    /** Ends a trial today; what it said so far stays. */
    @Transactional
    public void stop(SignedIn who, UUID id) {
        TrialRow row = find(who, id);
        if (row.runsOn(tanks.today())) {
            mapper.stop(who.siteId(), id, tanks.today());
        }
    }

    /** Takes the stop back. */
    @Transactional
    public void resume(SignedIn who, UUID id) {
        mapper.resume(who.siteId(), find(who, id).id());
    }

    /** Strikes a trial from the list. */
    @Transactional
    public void remove(SignedIn who, UUID id) {
        who.mustBeKeeper();
        mapper.remove(who.siteId(), find(who, id).id(), clock.instant());
    }

    private TrialRow find(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("trial"));
    }

    private Map<Long, Placed> placed(SignedIn who) {
        return filters.list(who, null).stream()
                .flatMap(filter -> filter.tasks().stream().map(task -> new Placed(filter, task)))
                .collect(Collectors.toMap(one -> one.task().id(), Function.identity()));
    }

    private TrialTold told(SignedIn who, TrialRow row, Placed placed) {
        LocalDate today = tanks.today();
        LocalDate lived = row.lived(today);
        Optional<Production.Tried> tried = water.compare(
                who,
                row.tankId(),
                row.parameter(),
                row.design().phases(),
                lived.plusDays(1),
                settles(row.periodDays(), placed));
        return new TrialTold(row, services(who, row, lived), tried, today);
    }

    /** Twice the time a stage takes to make a difference, at most half a period. */
    private static int settles(int periodDays, Placed placed) {
        int days = placed.kind()
                .map(kind -> switch (kind) {
                    case COARSE_FOAM, MEDIUM_FOAM -> 8;
                    case BIO_MEDIA -> 14;
                    default -> 4;
                })
                .orElse(8);
        return Math.min(days, periodDays / 2);
    }

    private List<LocalDate> services(SignedIn who, TrialRow row, LocalDate lived) {
        return history.list(who.siteId(), row.tankId(), row.beganOn()).stream()
                .filter(service -> service.done().containsKey(row.taskId()))
                .map(PastService::doneOn)
                .filter(day -> !day.isAfter(lived))
                .distinct()
                .toList();
    }
}
