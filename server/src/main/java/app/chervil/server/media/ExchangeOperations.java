package app.chervil.server.media;

import app.chervil.core.media.Portions;
import app.chervil.core.media.Portions.Portion;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.TankChore;
import app.chervil.server.account.SignedIn;
import app.chervil.server.chore.ChoreOperations;
import app.chervil.server.media.ExchangeMapper.ExchangeRow;
import app.chervil.server.media.ExchangeView.ExchangePlan;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.MediaPutBack;
import app.chervil.server.water.MediaReplaced;
import java.time.Clock;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.context.event.EventListener;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Exchanges of bio media a portion at a time. The plan carries the next portion as work on the tank; what is logged as
 * exchanged counts towards it.
 */
@Service
public class ExchangeOperations {
    static final int VERDICT_DAYS = 56;
    private static final int AHEAD_DAYS = 366;

    private final ExchangeMapper mapper;
    private final TankOperations tanks;
    private final WeighedExchanges weighed;
    private final ChoreOperations chores;
    private final Clock clock;

    ExchangeOperations(
            ExchangeMapper mapper,
            TankOperations tanks,
            WeighedExchanges weighed,
            ChoreOperations chores,
            Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.weighed = weighed;
        this.chores = chores;
        this.clock = clock;
    }

    /** Exchanges of a tank, latest first. */
    @Transactional(readOnly = true)
    List<ExchangeView> list(SignedIn who, long tank) {
        tanks.find(who, tank);
        return mapper.list(who.siteId(), tank).stream()
                .map(row -> weighed.view(who, row))
                .toList();
    }

    /**
     * An exchange before it begins.
     *
     * @throws Rejected if the media has no weight, or less than that
     */
    @Transactional(readOnly = true)
    ExchangePlan plan(SignedIn who, long tank, ExchangeInput input) {
        ExchangeRow row = weighed.row(who, tank, new UUID(0, 0), input);
        List<Portion> portions = WeighedExchanges.portions(tanks.find(who, tank), row);
        List<String> told = new ArrayList<>();
        if (portions.size() > input.portions()) {
            told.add("This tank can bear no fewer than " + portions.size() + " portions at its age.");
        }
        told.add(
                "The old media that stays carries the tank while the new settles. Test ammonia and nitrite twice a week until four"
                        + " weeks after the last portion, and wait with the next if either shows.");
        if (row.oldKind() != row.newKind()) {
            told.add("The new kind is reckoned by what it carries, a factor of two either way.");
        }
        return new ExchangePlan(WeighedExchanges.views(row, portions), told);
    }

    /**
     * Begins an exchange, once under the id its client made.
     *
     * @throws Rejected if one is running on the tank, or something else is kept under the id
     */
    @Transactional
    ExchangeView begin(SignedIn who, long tank, UUID id, ExchangeInput input) {
        ExchangeRow row = weighed.row(who, tank, id, input);
        List<ExchangeRow> all = mapper.list(who.siteId(), tank);
        Optional<ExchangeRow> same =
                all.stream().filter(one -> one.id().equals(id)).findFirst();
        if (same.isPresent()) {
            if (same.get().stageId() != row.stageId() || !same.get().firstOn().equals(row.firstOn())) {
                throw Rejected.taken();
            }
            return weighed.view(who, same.get());
        }
        LocalDate today = tanks.today();
        new Rejected.Gatherer()
                .check(
                        !row.firstOn().isBefore(today) && !row.firstOn().isAfter(today.plusDays(AHEAD_DAYS)),
                        "firstOn",
                        "out-of-range",
                        "From today on, within a year.")
                .check(
                        all.stream().noneMatch(one -> one.endedOn() == null),
                        "stageId",
                        "runs-already",
                        "An exchange is under way on this tank. Finish it or stop it first.")
                .done();
        if (mapper.insert(who.siteId(), row) == 0) {
            throw Rejected.taken();
        }
        chores.appoint(
                who, tank, TankChore.MEDIA_PORTION, Optional.of(row.firstOn().minusDays(Portions.APART_DAYS)));
        return weighed.view(who, row);
    }

    /** Stops an exchange where it is; what was exchanged stays exchanged. One of which nothing was done is forgotten. */
    @Transactional
    void stop(SignedIn who, UUID id) {
        ExchangeRow row = mapper.list(who.siteId(), null).stream()
                .filter(one -> one.id().equals(id) && one.endedOn() == null)
                .findFirst()
                .orElseThrow(() -> new NotFound("exchange"));
        if (weighed.gone(who, row) > 0) {
            mapper.updateEnded(who.siteId(), id, tanks.today());
        } else {
            mapper.delete(who.siteId(), id, clock.instant());
        }
        chores.appoint(who, row.tankId(), TankChore.MEDIA_PORTION, Optional.empty());
    }

    /** What was exchanged counts as a portion; after the last the plan has no more. */
    @EventListener
    @Transactional
    public void count(MediaReplaced replaced) {
        running(replaced.by(), replaced.tank())
                .filter(row -> row.stageId() == replaced.stage())
                .filter(row -> !replaced.on().isBefore(row.toldOn()))
                .ifPresent(row -> {
                    chores.recordAppointed(
                            replaced.by(), row.tankId(), TankChore.MEDIA_PORTION, replaced.id(), replaced.on());
                    settle(replaced.by(), row, replaced.on());
                });
    }

    private void settle(SignedIn who, ExchangeRow row, LocalDate on) {
        List<Portion> portions = WeighedExchanges.portions(tanks.find(who, row.tankId()), row);
        if (Portions.done(portions, weighed.gone(who, row)) == portions.size()) {
            mapper.updateEnded(who.siteId(), row.id(), on);
            chores.appoint(who, row.tankId(), TankChore.MEDIA_PORTION, Optional.empty());
        }
    }

    /** What was put back is to be exchanged still. */
    @EventListener
    @Transactional
    public void uncount(MediaPutBack putBack) {
        chores.withdrawAppointed(putBack.by(), putBack.id());
        for (ExchangeRow row : mapper.list(putBack.by().siteId(), null)) {
            boolean finished = row.endedOn() != null
                    && row.endedOn().plusDays(VERDICT_DAYS).isAfter(tanks.today());
            Optional<Tank> tank = tanks.findInUse(putBack.by(), row.tankId());
            if (finished
                    && tank.isPresent()
                    && running(putBack.by(), row.tankId()).isEmpty()) {
                List<Portion> portions = WeighedExchanges.portions(tank.get(), row);
                int done = Portions.done(portions, weighed.gone(putBack.by(), row));
                if (done < portions.size()) {
                    mapper.updateEnded(putBack.by().siteId(), row.id(), null);
                    chores.appoint(
                            putBack.by(),
                            row.tankId(),
                            TankChore.MEDIA_PORTION,
                            Optional.of(portions.get(done).on().minusDays(Portions.APART_DAYS)));
                }
            }
        }
    }

    private Optional<ExchangeRow> running(SignedIn who, long tank) {
        return mapper.list(who.siteId(), tank).stream()
                .filter(row -> row.endedOn() == null)
                .findFirst();
    }
}
