package app.chervil.server.future;

import app.chervil.server.account.SignedIn;
import app.chervil.server.future.FutureMapper.RunRow;
import app.chervil.server.future.FutureMapper.Ways;
import app.chervil.server.future.FutureView.Measure;
import app.chervil.server.future.FutureView.SpreadView;
import app.chervil.server.future.FutureView.State;
import app.chervil.server.future.FutureView.WayView;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.sim.future.Comparison;
import app.chervil.sim.future.Outcome;
import app.chervil.sim.future.TankToday;
import app.chervil.sim.future.Way;
import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.UUID;
import java.util.function.ToDoubleFunction;
import java.util.stream.IntStream;
import java.util.stream.Stream;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Service;

/** Compares ways of working over the coming year. */
@Service
public class FutureOperations {
    private static final Logger LOG = LoggerFactory.getLogger(FutureOperations.class);
    private static final int VALUES = 20;

    private static final Duration KEPT = Duration.ofMinutes(30);
    private static final Duration TELLS_EVERY = Duration.ofMillis(400);
    private static final int MOST_OF_A_SITE = 4;
    private static final long SEED = 20_261;

    /** Its instances are comparisons by id, with their site. */
    static final TaskDescriptor<Long> TASK = TaskDescriptor.of("what-if", Long.class);

    private final FutureMapper mapper;
    private final TanksToday tanks;
    private final ObjectProvider<SchedulerClient> scheduler;
    private final Clock clock;

    FutureOperations(FutureMapper mapper, TanksToday tanks, ObjectProvider<SchedulerClient> scheduler, Clock clock) {
        this.mapper = mapper;
        this.tanks = tanks;
        this.scheduler = scheduler;
        this.clock = clock;
    }

    /**
     * Begins a comparison in the background. It can be followed on any server; if too many of a site are under way, those
     * before give up.
     *
     * @throws Rejected if a way is named twice, or there is no filter to look at
     */
    public FutureView begin(SignedIn who, FutureInput asked) {
        boolean something = tanks.looked(who, asked).stream()
                .anyMatch(tank -> !tank.forecasts().isEmpty());
        new Rejected.Gatherer()
                .check(
                        asked.ways().stream().distinct().count() == asked.ways().size(),
                        "ways",
                        "named-twice",
                        "Choose each way once.")
                .check(something, "tankId", "nothing-to-look-at", "There is no filter with care here yet.")
                .done();
        mapper.deleteOld(who.siteId(), clock.instant().minus(KEPT));
        if (mapper.findRunning(who.siteId()) >= MOST_OF_A_SITE) {
            mapper.cancelAll(who.siteId());
        }
        UUID id = UUID.randomUUID();
        mapper.insert(who.siteId(), id, clock.instant(), asked);
        scheduler
                .getObject()
                .scheduleIfNotExists(
                        TASK.instance(id.toString()).data(who.siteId()).scheduledTo(clock.instant()));
        return find(who, id);
    }

    /** How far a comparison is, with its result once it is done. */
    public FutureView find(SignedIn who, UUID id) {
        return mapper.find(who.siteId(), id)
                .orElseThrow(() -> new NotFound("comparison"))
                .view();
    }

    /** Stops a comparison; what it lived is thrown away. */
    public FutureView cancel(SignedIn who, UUID id) {
        mapper.end(who.siteId(), id, State.CANCELLED, Ways.NONE);
        return find(who, id);
    }

    /** Lives the futures of a comparison, until it is done or was stopped. */
    void live(long site, String run) {
        UUID id = UUID.fromString(run);
        SignedIn who = SignedIn.nobody(site);
        mapper.find(site, id).filter(row -> row.state() == State.RUNNING).ifPresent(row -> {
            try {
                live(who, row);
            } catch (RuntimeException failure) {
                LOG.error("A comparison failed", failure);
                mapper.end(site, id, State.FAILED, Ways.NONE);
            }
        });
    }

    private void live(SignedIn who, RunRow run) {
        FutureInput asked = run.asked();
        List<TankToday> today = tanks.of(who, asked);
        Progress progress = new Progress(who.siteId(), run.id());
        Comparison.run(
                        today,
                        asked.ways(),
                        new Comparison.Chances(asked.futures(), SEED),
                        progress::at,
                        progress::stopped)
                .ifPresent(lived -> mapper.end(who.siteId(), run.id(), State.DONE, ways(asked, lived)));
    }

    /** Tells now and then how far a comparison is, and hears whether it was stopped. */
    private final class Progress {
        private final long site;
        private final UUID id;
        private volatile Instant told = Instant.EPOCH;
        private volatile boolean stopped;

        Progress(long site, UUID id) {
            this.site = site;
            this.id = id;
        }

        void at(int done) {
            Instant now = clock.instant();
            if (!now.isBefore(told.plus(TELLS_EVERY))) {
                told = now;
                stopped = mapper.updateDone(site, id, done) == 0;
            }
        }

        boolean stopped() {
            return stopped;
        }
    }

    private static Ways ways(FutureInput asked, Map<Way, List<Outcome>> lived) {
        return new Ways(asked.ways().stream()
                .map(way -> new WayView(way, way.words(), measures(Objects.requireNonNull(lived.get(way)))))
                .toList());
    }

    private static List<SpreadView> measures(List<Outcome> outcomes) {
        return Stream.of(
                        spread(Measure.SERVICES, outcomes, Outcome::services),
                        spread(Measure.HOURS, outcomes, Outcome::hours),
                        spread(Measure.MONEY, outcomes, Outcome::money),
                        spread(Measure.OVERLOADS, outcomes, Outcome::overloads),
                        spread(Measure.WORST_NITRATE, outcomes, Outcome::worstNitrate),
                        spread(Measure.WORST_AMMONIA, outcomes, Outcome::worstAmmonia))
                .toList();
    }

    private static SpreadView spread(Measure measure, List<Outcome> outcomes, ToDoubleFunction<Outcome> of) {
        double[] sorted = outcomes.stream().mapToDouble(of).sorted().toArray();
        List<Double> values = IntStream.range(0, VALUES)
                .mapToObj(i -> at(sorted, (i + 0.5) / VALUES))
                .toList();
        return new SpreadView(measure, at(sorted, 0.1), at(sorted, 0.5), at(sorted, 0.9), values);
    }

    private static double at(double[] sorted, double share) {
        return sorted[(int) Math.min(sorted.length - 1L, (long) (share * sorted.length))];
    }
}
