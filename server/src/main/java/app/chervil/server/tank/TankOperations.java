package app.chervil.server.tank;

import app.chervil.core.site.Change;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.DirtLevel;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;
import org.springframework.context.ApplicationEventPublisher;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Tanks, and what changed on them. */
@Service
public class TankOperations {
    static final Duration RESTORABLE = Duration.ofDays(30);
    private static final LocalDate OLDEST = LocalDate.of(1950, 1, 1);

    private final TankMapper tanks;
    private final ChangeMapper changes;
    private final ApplicationEventPublisher events;
    private final Clock clock;

    TankOperations(TankMapper tanks, ChangeMapper changes, ApplicationEventPublisher events, Clock clock) {
        this.events = events;
        this.tanks = tanks;
        this.changes = changes;
        this.clock = clock;
    }

    @Transactional(readOnly = true)
    public List<Tank> list(SignedIn who) {
        return tanks.list(who.siteId()).stream().map(TankRow::tank).toList();
    }

    /** Tanks deleted within the days in which they can be restored. */
    @Transactional(readOnly = true)
    public List<Tank> listDeleted(SignedIn who) {
        return tanks.listDeleted(who.siteId(), clock.instant().minus(RESTORABLE)).stream()
                .map(TankRow::tank)
                .toList();
    }

    /** Tanks in use, and those deleted at any time, for what happened in them. */
    @Transactional(readOnly = true)
    public List<Tank> listEver(SignedIn who) {
        return tanks.listEver(who.siteId()).stream().map(TankRow::tank).toList();
    }

    /**
     * One tank in use.
     *
     * @throws NotFound if the site has no such tank
     */
    @Transactional(readOnly = true)
    public Tank find(SignedIn who, long id) {
        return findInUse(who, id).orElseThrow(() -> new NotFound("tank"));
    }

    /** Tanks in use with what changed about them. */
    @Transactional(readOnly = true)
    public List<ChangedTank> listChanged(SignedIn who) {
        return tanks.list(who.siteId()).stream().map(TankRow::changed).toList();
    }

    /** One tank with what changed about it, unless it was deleted. */
    public Optional<ChangedTank> findChanged(SignedIn who, long id) {
        return tanks.find(who.siteId(), id).map(TankRow::changed);
    }

    /** One tank, unless it was deleted. */
    public Optional<Tank> findInUse(SignedIn who, long id) {
        return tanks.find(who.siteId(), id).map(TankRow::tank);
    }

    @Transactional
    public Tank create(SignedIn who, TankInput input) {
        TankInput tank = tidy(input);
        checkDay("establishedOn", tank.establishedOn());
        long id = tanks.insert(who.siteId(), tank);
        events.publishEvent(new TankMade(who, id));
        return find(who, id);
    }

    /**
     * Stores a description. A move of stocking or feeding is logged as a change of context on the day given.
     *
     * @throws Conflict if the version is stale
     */
    @Transactional
    public Tank update(SignedIn who, long id, TankChange input) {
        TankInput tank = tidy(input.tank());
        checkDay("tank.establishedOn", tank.establishedOn());
        LocalDate on = checkDay("changedOn", input.changedOn());
        Tank before = find(who, id);
        int rows = tanks.update(who.siteId(), id, input.version(), tank);
        Conflict.unlessUpdated(rows, "tank", () -> TankView.of(before));
        Tank.Setting was = before.setting();
        Stream.of(
                        moved(on, Kind.STOCKING, was.stocking(), tank.setting().stocking()),
                        moved(on, Kind.FEEDING, was.feeding(), tank.setting().feeding()))
                .flatMap(Optional::stream)
                .forEach(change -> changes.insert(who.siteId(), id, null, change));
        return find(who, id);
    }

    /** Says that a tank was set up earlier than is known; one that is known to be older stays so. */
    @Transactional
    public void dateBack(SignedIn who, long id, LocalDate establishedOn) {
        checkDay("establishedOn", establishedOn);
        tanks.dateBack(who.siteId(), id, establishedOn);
    }

    /** Tanks from which nothing goes into another. */
    @Transactional(readOnly = true)
    public Set<Long> quarantined(SignedIn who) {
        return Set.copyOf(tanks.listQuarantined(who.siteId()));
    }

    /** Makes a tank a quarantine tank, or ends that. */
    @Transactional
    public void quarantine(SignedIn who, long id, boolean quarantine) {
        if (tanks.updateQuarantine(who.siteId(), id, quarantine) == 0) {
            throw new NotFound("tank");
        }
    }

    @Transactional
    public void delete(SignedIn who, long id) {
        who.mustBeKeeper();
        if (tanks.delete(who.siteId(), id, clock.instant()) == 0) {
            throw new NotFound("tank");
        }
    }

    @Transactional
    public Tank restore(SignedIn who, long id) {
        who.mustBeKeeper();
        if (tanks.restore(who.siteId(), id, clock.instant().minus(RESTORABLE)) == 0) {
            throw new NotFound("tank");
        }
        return find(who, id);
    }

    /** What changed about a tank, oldest first. */
    @Transactional(readOnly = true)
    public List<Change> changes(SignedIn who, long tank) {
        return changes.list(who.siteId(), tank).stream().map(ChangeRow::change).toList();
    }

    /** Logs a change that came from a filter. */
    @Transactional
    public void recordChange(SignedIn who, long tank, long filter, ContextChange change) {
        changes.insert(who.siteId(), tank, filter, change);
    }

    /** Forgets a change that came from a filter and was undone. */
    @Transactional
    public void forgetChange(SignedIn who, long filter, ContextChange change) {
        changes.deleteArrival(who.siteId(), filter, change);
    }

    /** Today where the keeper lives. */
    public LocalDate today() {
        return LocalDate.now(clock);
    }

    /**
     * The day itself, if it is plausible.
     *
     * @throws Rejected if it lies in the future or before 1950
     */
    public LocalDate checkDay(String field, LocalDate day) {
        new Rejected.Gatherer()
                .check(!day.isAfter(today()), field, "in-the-future", "This day has not come yet.")
                .check(!day.isBefore(OLDEST), field, "too-long-ago", "This day is too long ago.")
                .done();
        return day;
    }

    private static <L extends Enum<L> & DirtLevel> Optional<ContextChange> moved(
            LocalDate on, Kind kind, L from, L to) {
        return from == to ? Optional.empty() : Optional.of(ContextChange.moved(on, kind, from, to));
    }

    private static TankInput tidy(TankInput tank) {
        return new TankInput(
                tank.name().strip(),
                tank.room().strip(),
                tank.netVolumeL(),
                tank.establishedOn(),
                tank.setting(),
                tank.schools());
    }
}
