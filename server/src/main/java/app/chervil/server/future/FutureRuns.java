package app.chervil.server.future;

import app.chervil.server.future.FutureView.State;
import app.chervil.sim.future.Comparison;
import app.chervil.sim.future.Outcome;
import app.chervil.sim.future.TankToday;
import app.chervil.sim.future.Way;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;

/** Comparisons under way, one at a time, and those that were done within the last half hour; kept in memory only. */
@Component
class FutureRuns implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(FutureRuns.class);
    private static final Duration KEPT = Duration.ofMinutes(30);
    private static final int MOST_OF_A_SITE = 4;
    private static final long SEED = 20_261;

    private final Map<UUID, Run> runs = new ConcurrentHashMap<>();
    private final ExecutorService worker = Executors.newSingleThreadExecutor(task -> {
        Thread thread = new Thread(task, "what-if");
        thread.setDaemon(true);
        return thread;
    });
    private final Clock clock;

    FutureRuns(Clock clock) {
        this.clock = clock;
    }

    /** One comparison. */
    static final class Run {
        private final UUID id;
        private final long site;
        private final Instant begun;
        private final FutureInput asked;
        private volatile int done;
        private volatile State state = State.RUNNING;
        private volatile Map<Way, List<Outcome>> outcomes = Map.of();

        private Run(UUID id, long site, Instant begun, FutureInput asked) {
            this.id = id;
            this.site = site;
            this.begun = begun;
            this.asked = asked;
        }

        private synchronized void finish(Map<Way, List<Outcome>> lived) {
            if (state == State.RUNNING) {
                outcomes = lived;
                state = State.DONE;
            }
        }

        /** What has ended stays as it ended. */
        private synchronized void end(State how) {
            if (state == State.RUNNING) {
                state = how;
            }
        }

        UUID id() {
            return id;
        }

        FutureInput asked() {
            return asked;
        }

        int done() {
            return done;
        }

        State state() {
            return state;
        }

        /** Outcomes by way; empty until it is done. */
        Map<Way, List<Outcome>> outcomes() {
            return outcomes;
        }
    }

    /** Begins one; an older one of the same site still under way gives up if there are too many. */
    Run begin(long site, FutureInput asked, List<TankToday> tanks) {
        Instant now = clock.instant();
        runs.values().removeIf(run -> run.begun.plus(KEPT).isBefore(now));
        List<Run> running = runs.values().stream()
                .filter(run -> run.site == site && run.state == State.RUNNING)
                .toList();
        if (running.size() >= MOST_OF_A_SITE) {
            running.forEach(this::cancel);
        }
        Run run = new Run(UUID.randomUUID(), site, now, asked);
        runs.put(run.id, run);
        worker.execute(() -> live(run, tanks));
        return run;
    }

    Optional<Run> find(long site, UUID id) {
        return Optional.ofNullable(runs.get(id)).filter(run -> run.site == site);
    }

    void cancel(Run run) {
        run.end(State.CANCELLED);
    }

    private static void live(Run run, List<TankToday> tanks) {
        try {
            Comparison.run(
                            tanks,
                            run.asked.ways(),
                            run.asked.futures(),
                            SEED,
                            done -> run.done = done,
                            () -> run.state != State.RUNNING)
                    .ifPresent(run::finish);
        } catch (RuntimeException failure) {
            LOG.error("A comparison failed", failure);
            run.end(State.FAILED);
        }
    }

    @Override
    public void destroy() {
        runs.values().forEach(this::cancel);
        worker.shutdownNow();
    }
}
