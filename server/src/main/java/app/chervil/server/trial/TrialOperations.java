package app.chervil.server.trial;

import app.chervil.core.site.TaskMode;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Forethought;
import app.chervil.core.water.Production.Tried;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trial.TrialMapper.TrialRow;
import app.chervil.server.trial.TrialView.TrialForethought;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotNull;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Trials: thought over, begun, swapped, adopted and stopped. */
@Service
public class TrialOperations {
    private final TrialMapper mapper;
    private final FilterOperations filters;
    private final TankOperations tanks;
    private final TrialTelling telling;
    private final Clock clock;

    TrialOperations(
            TrialMapper mapper, FilterOperations filters, TankOperations tanks, TrialTelling telling, Clock clock) {
        this.mapper = mapper;
        this.filters = filters;
        this.tanks = tanks;
        this.telling = telling;
        this.clock = clock;
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
        for (int tank = 0; tank < tried.size(); tank++) {
            Placed placed = tried.get(tank);
            long task = placed.task().id();
            UUID own = task == input.taskId()
                    ? id
                    : UUID.nameUUIDFromBytes((id + " " + task).getBytes(StandardCharsets.UTF_8));
            insert(who, own, placed, input, new Group(together, tank));
        }
    }

    /** The task on each of its tanks, if they can be tried so. */
    private List<Placed> checked(SignedIn who, TrialInput input) {
        Map<Long, Placed> all = Placed.byTask(filters.list(who, null));
        List<Placed> tried = Stream.concat(Stream.of(input.taskId()), input.also().stream())
                .map(task -> Optional.ofNullable(all.get(task)).orElseThrow(() -> new NotFound("task")))
                .toList();
        tanks.checkDay("began", input.began());
        new TrialChecks(input, tried, mapper.list(who.siteId())).done();
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
        if (input.isOneEach()) {
            throw Rejected.field("oneEach", "tells-nothing", "Tanks that keep one way each tell nothing of the ways.");
        }
        LocalDate today = tanks.today();
        Design past = Forethought.before(input.inTurns(today), today);
        List<Tried> told = tried.stream()
                .flatMap(placed -> telling.past(who, placed, input.parameter(), past, today).stream())
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

    private void insert(SignedIn who, UUID id, Placed placed, TrialInput input, Group group) {
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
                        group.together(),
                        input.setup(group.tank()),
                        null));
    }

    /**
     * The tanks of a trial.
     *
     * @param together what they share; null for one tank
     * @param tank the place of one of them
     */
    private record Group(@Nullable UUID together, int tank) {}

    /**
     * Each tank of a trial whose tanks keep one way each goes on to the next way today, and keeps it as long again.
     *
     * @throws Rejected if they have all ways in turn, or had them all, or swapped today
     */
    @Transactional
    public void swap(SignedIn who, UUID id) {
        LocalDate today = tanks.today();
        List<TrialRow> running = running(who, id, today);
        new Rejected.Gatherer()
                .check(!running.isEmpty(), "", "not-swapped", "No tanks keep a way each in this trial now.")
                .check(
                        running.stream().noneMatch(row -> row.design().hadAll(LocalDate.MAX)),
                        "",
                        "had-all",
                        "Each tank has had each way.")
                .check(
                        running.stream().noneMatch(row -> row.design()
                                .turnOn(today)
                                .orElseThrow()
                                .from()
                                .equals(today)),
                        "",
                        "too-soon",
                        "These ways have held for less than a day.")
                .done();
        running.forEach(row -> mapper.set(who.siteId(), row.id(), row.setup().swappedOn(today)));
    }

    /** Takes back a swap of today. */
    @Transactional
    public void swapBack(SignedIn who, UUID id) {
        LocalDate today = tanks.today();
        running(who, id, today).stream()
                .filter(row -> row.setup().swapped().contains(today))
                .forEach(row -> mapper.set(who.siteId(), row.id(), row.setup().swappedBack()));
    }

    private List<TrialRow> running(SignedIn who, UUID id, LocalDate today) {
        TrialRow one = find(who, id);
        return mapper
                .listTogether(who.siteId(), Optional.ofNullable(one.together()).orElse(id))
                .stream()
                .filter(row -> row.setup().kept() != null && row.runsOn(today))
                .toList();
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
}
