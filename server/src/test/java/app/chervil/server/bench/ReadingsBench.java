package app.chervil.server.bench;

import app.chervil.server.bench.Probes.Probe;
import com.hivemq.client.mqtt.mqtt3.Mqtt3AsyncClient;
import java.net.http.HttpResponse;
import java.sql.Connection;
import java.sql.DriverManager;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;

/**
 * Floods the server with readings while somebody looks at the rounds, fills a year to see its size and how long its chart takes,
 * and kills server and broker with readings on their way. Called by {@code ./chervil bench readings}.
 */
public final class ReadingsBench {
    private static final int PROBES = 200;
    private static final int A_BATCH = 50;
    private static final int WARM_UP_SECONDS = 150;
    private static final int TANKS = 7;
    private static final int SERVICES = 60;
    private static final Duration QUIET = Duration.ofSeconds(10);
    private static final double ROUNDS_MS = 100;
    private static final double CHART_MS = 300;

    /** Straight from readings as they came, a hundred thousand and more. */
    private static final int RAW_HOURS = 48;

    private static final double RAW_CHART_MS = 500;
    private static final double YEAR_BYTES = 1e9;

    private final Map<String, String> options;
    private final Connection database;
    private final Probes probes;
    private boolean sound = true;

    private ReadingsBench(Map<String, String> options, Connection database) {
        this.options = options;
        this.database = database;
        this.probes = new Probes(
                Integer.parseInt(options.get("port")), Integer.parseInt(options.get("broker-port")), database);
    }

    public static void main(String[] args) throws Exception {
        Map<String, String> options = ServerBench.options(args);
        try (Connection database = DriverManager.getConnection(
                options.get("db-url"), System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"))) {
            System.exit(new ReadingsBench(options, database).run() ? 0 : 1);
        } catch (Exception failed) {
            failed.printStackTrace();
            // Threads of clients would keep it running.
            System.exit(1);
        }
    }

    private boolean run() throws Exception {
        int seconds = Integer.parseInt(options.getOrDefault("seconds", "60"));
        try (Served server = ServerBench.start(options, false)) {
            server.setUp();
            Writes.prepare(server);
            Filling.tanks(database, TANKS, SERVICES);
            probes.fit(server, PROBES, TANKS);
            for (int i = 0; i < 200; i++) {
                server.get("/api/rounds");
            }
            if (seconds > 0) {
                floods(server, seconds);
            }
        }
        SplittableRandom random = new SplittableRandom(Long.parseLong(options.getOrDefault("seed", "1")));
        holds(
                "nothing acknowledged is lost, nothing doubled",
                new ReadingKills(options, probes, random).run(Integer.parseInt(options.getOrDefault("kills", "8"))));
        try (Served server = ServerBench.start(options, false)) {
            server.signIn();
            year(server);
        }
        return sound;
    }

    private void floods(Served server, int seconds) throws Exception {
        // Until both compilers have seen it all.
        flood(server, "HTTP, warming up", WARM_UP_SECONDS, this::post);
        sound = true;
        flood(server, "HTTP", seconds, this::post);
        Mqtt3AsyncClient gateway = probes.gateway();
        flood(server, "MQTT", seconds, (probe, tally) -> publish(gateway, probe, tally));
        gateway.disconnect().get(20, TimeUnit.SECONDS);
    }

    private void holds(String what, boolean so) {
        say("%s: %s%n", what, so ? "holds" : "FAILS");
        sound &= so;
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format, values);
    }

    /** What became of what was sent, in readings. */
    private static final class Tally {
        private final AtomicLong sent = new AtomicLong();
        private final AtomicLong acknowledged = new AtomicLong();
        private final Map<String, AtomicLong> refused = new ConcurrentSkipListMap<>();

        void refuse(String why) {
            refused.computeIfAbsent(why, one -> new AtomicLong()).addAndGet(A_BATCH);
        }

        long answered() {
            return acknowledged.get()
                    + refused.values().stream().mapToLong(AtomicLong::get).sum();
        }

        /** Waits until all is answered, or nothing more is. */
        void awaitAnswers() throws InterruptedException {
            long before = -1;
            while (answered() < sent.get() && answered() != before) {
                before = answered();
                TimeUnit.MILLISECONDS.sleep(QUIET.toMillis());
            }
        }
    }

    /** Sends one batch of a probe, without waiting for what becomes of it. */
    private interface Sender {
        void send(Probe probe, Tally tally);
    }

    private void flood(Served server, String way, int seconds, Sender sender) throws Exception {
        long before = probes.stored();
        Tally tally = new Tally();
        AtomicBoolean over = new AtomicBoolean();
        Queue<Double> rounds = new ConcurrentLinkedQueue<>();
        Thread keeper = new Thread(() -> {
            while (!over.get()) {
                look(server, rounds);
            }
        });
        keeper.start();
        long begun = System.nanoTime();
        long step = TimeUnit.SECONDS.toNanos(1) / PROBES;
        for (long batch = 0; batch < (long) seconds * PROBES; batch++) {
            long ahead = begun + batch * step - System.nanoTime();
            if (ahead > 0) {
                TimeUnit.NANOSECONDS.sleep(ahead);
            }
            tally.sent.addAndGet(A_BATCH);
            sender.send(probes.all().get((int) (batch % PROBES)), tally);
        }
        double took = (System.nanoTime() - begun) / 1e9;
        over.set(true);
        keeper.join();
        tally.awaitAnswers();
        Duration late = awaitStored(before + tally.acknowledged.get());
        long stored = probes.stored() - before;
        say("%s: %d readings in %.1f s, %.0f a second%n", way, tally.sent.get(), took, tally.sent.get() / took);
        say(
                "  %d acknowledged, %d stored (%d ms after the last), refused %s%n",
                tally.acknowledged.get(), stored, late.toMillis(), tally.refused);
        Answers answers = new Answers(rounds);
        say("  rounds meanwhile: %s%n", answers);
        holds("  each was taken or refused", tally.answered() == tally.sent.get());
        holds(
                "  refused were only those that were told when to come again",
                tally.refused.keySet().stream().allMatch(why -> why.matches("429|503")));
        holds(
                "  all that was acknowledged is there, once",
                stored == tally.acknowledged.get() && probes.summed() == probes.stored());
        holds("  rounds within 100 ms", answers.slow() < ROUNDS_MS);
    }

    private void post(Probe probe, Tally tally) {
        probes.post(probe, probe.stamps(A_BATCH)).whenComplete((answer, failure) -> {
            if (failure != null) {
                tally.refuse(failure.toString());
            } else if (answer.statusCode() == 200) {
                tally.acknowledged.addAndGet(A_BATCH);
            } else {
                tally.refuse(refusal(answer));
            }
        });
    }

    private static String refusal(HttpResponse<String> answer) {
        boolean clear = answer.headers().firstValue("Retry-After").isPresent();
        return answer.statusCode() + (clear ? "" : " without Retry-After");
    }

    private static void publish(Mqtt3AsyncClient gateway, Probe probe, Tally tally) {
        Probes.publish(gateway, probe, probe.stamps(A_BATCH)).whenComplete((done, failure) -> {
            if (failure == null) {
                tally.acknowledged.addAndGet(A_BATCH);
            } else {
                tally.refuse(failure.toString());
            }
        });
    }

    private Duration awaitStored(long wanted) throws Exception {
        Instant begun = Instant.now();
        Instant moved = begun;
        long before = -1;
        for (long now = 0; now < wanted && Instant.now().isBefore(moved.plus(QUIET)); now = probes.stored()) {
            moved = now == before ? moved : Instant.now();
            before = now;
            TimeUnit.MILLISECONDS.sleep(500);
        }
        return Duration.between(begun, Instant.now());
    }

    private static void look(Served server, Queue<Double> rounds) {
        long began = System.nanoTime();
        try {
            server.get("/api/rounds");
            rounds.add((System.nanoTime() - began) / 1e6);
            TimeUnit.MILLISECONDS.sleep(250);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } catch (Exception failed) {
            rounds.add(Double.POSITIVE_INFINITY);
        }
    }

    /** How long answers took, in milliseconds. */
    private record Answers(double... sorted) {
        Answers(Queue<Double> times) {
            this(times.stream().mapToDouble(one -> one).sorted().toArray());
        }

        double slow() {
            return ServerBench.percentile(sorted);
        }

        @Override
        public String toString() {
            return String.format(
                    Locale.ROOT,
                    "%d, median %.1f ms, 95th %.1f ms, slowest %.1f ms",
                    sorted.length,
                    ServerBench.median(sorted),
                    slow(),
                    sorted[sorted.length - 1]);
        }
    }

    /** Ten probes at a reading a second for a year and more, thinned as the server thins. */
    private void year(Served server) throws Exception {
        Filling.run(database, "truncate device_reading, device_hour, device_day");
        long empty = probes.bytes();
        Filling.readings(database, 10);
        say("a year of ten probes at a reading a second: %.0f MB%n", (probes.bytes() - empty) / 1e6);
        holds("  under 1 GB", probes.bytes() - empty < YEAR_BYTES);
        for (int hours : List.of(24, 48, 720, 8760)) {
            List<Double> times = new ArrayList<>();
            for (int i = 0; i < 50; i++) {
                long began = System.nanoTime();
                server.get("/api/devices/" + probes.all().get(i % 10).id() + "/series?hours=" + hours);
                times.add((System.nanoTime() - began) / 1e6);
            }
            Answers answers = new Answers(new ConcurrentLinkedQueue<>(times));
            say("  chart of %d hours: %s%n", hours, answers);
            double bar = hours <= RAW_HOURS ? RAW_CHART_MS : CHART_MS;
            holds("  within " + Math.round(bar) + " ms", answers.slow() < bar);
        }
    }
}
