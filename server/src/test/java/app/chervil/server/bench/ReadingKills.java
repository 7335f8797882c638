package app.chervil.server.bench;

import app.chervil.server.bench.Probes.Probe;
import com.hivemq.client.mqtt.mqtt3.Mqtt3AsyncClient;
import java.io.IOException;
import java.net.http.HttpResponse;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Queue;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.CancellationException;
import java.util.concurrent.CompletionException;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;

/**
 * Kills the server, and stops or kills the broker, while probes speak by both ways, each sending again until it is told that
 * all is in and now and then once more; then counts what was acknowledged.
 */
final class ReadingKills {
    private static final int PROBES = 8;
    private static final int A_BATCH = 5;
    private static final Duration QUIET = Duration.ofSeconds(8);

    private final Map<String, String> options;
    private final Probes probes;
    private final SplittableRandom random;
    private final Queue<Said> acknowledged = new ConcurrentLinkedQueue<>();
    private final AtomicBoolean over = new AtomicBoolean();
    private Served server;

    /** A reading that was acknowledged. */
    private record Said(Probe probe, Instant stamp, String way, Instant when) {}

    ReadingKills(Map<String, String> options, Probes probes, SplittableRandom random) {
        this.options = options;
        this.probes = probes;
        this.random = random;
    }

    /** Whether nothing was lost or doubled. */
    boolean run(int kills) throws Exception {
        server = ServerBench.start(options, false);
        Mqtt3AsyncClient gateway = probes.gateway();
        List<Thread> speaking = new ArrayList<>();
        for (Probe probe : probes.all().subList(0, PROBES)) {
            probe.goBack(Duration.ofHours(1));
            SplittableRandom mine = random.split();
            Thread thread = new Thread(() -> speak(probe, gateway, mine));
            thread.start();
            speaking.add(thread);
        }
        for (int kill = 0; kill < kills; kill++) {
            TimeUnit.MILLISECONDS.sleep(1500 + random.nextInt(1500));
            kill(kill);
        }
        TimeUnit.SECONDS.sleep(3);
        over.set(true);
        for (Thread thread : speaking) {
            thread.join();
        }
        awaitQuiet();
        List<Said> lost = lost();
        lost.stream().limit(20).forEach(one -> System.out.println("LOST " + one));
        System.out.printf(
                "%d kills: %d readings acknowledged, %d lost; %d stored, %d in the sums of hours%n",
                kills, acknowledged.size(), lost.size(), probes.stored(), probes.summed());
        gateway.disconnect().get(20, TimeUnit.SECONDS);
        server.close();
        return lost.isEmpty() && acknowledged.size() > 1000 && probes.stored() == probes.summed();
    }

    private void kill(int kill) throws Exception {
        if (kill % 2 == 0) {
            System.out.println(Instant.now() + " the server is killed");
            server.kill();
            TimeUnit.MILLISECONDS.sleep(random.nextInt(1500));
            server = ServerBench.start(options, false);
        } else {
            System.out.println(Instant.now() + " the broker is killed");
            command("broker-kill");
            TimeUnit.MILLISECONDS.sleep(random.nextInt(1500));
            command("broker-start");
        }
    }

    /** Waits until nothing more arrives. */
    private void awaitQuiet() throws Exception {
        long before = -1;
        while (probes.stored() != before) {
            before = probes.stored();
            TimeUnit.MILLISECONDS.sleep(QUIET.toMillis());
        }
    }

    private void command(String name) throws IOException, InterruptedException {
        new ProcessBuilder("bash", "-c", options.get(name)).start().waitFor();
    }

    private void speak(Probe probe, Mqtt3AsyncClient gateway, SplittableRandom mine) {
        boolean brokered = probe.id() % 2 == 0;
        while (!over.get()) {
            List<Instant> stamps = probe.stamps(A_BATCH);
            int times = mine.nextInt(10) == 0 ? 2 : 1;
            for (int time = 0; time < times; time++) {
                until(() -> brokered ? published(gateway, probe, stamps) : posted(probe, stamps));
            }
            stamps.forEach(
                    stamp -> acknowledged.add(new Said(probe, stamp, brokered ? "broker" : "http", Instant.now())));
            pause(40 + mine.nextInt(60));
        }
    }

    /** Sends something until it is acknowledged. */
    private interface Sending {
        boolean acknowledged();
    }

    private static void until(Sending sending) {
        while (!sending.acknowledged()) {
            pause(100);
        }
    }

    private static void pause(int millis) {
        try {
            TimeUnit.MILLISECONDS.sleep(millis);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        }
    }

    private static boolean published(Mqtt3AsyncClient gateway, Probe probe, List<Instant> stamps) {
        try {
            Probes.publish(gateway, probe, stamps).join();
            return true;
        } catch (CompletionException | CancellationException gone) {
            return false;
        }
    }

    private boolean posted(Probe probe, List<Instant> stamps) {
        try {
            HttpResponse<String> answer = probes.post(probe, stamps).join();
            return answer.statusCode() == 200;
        } catch (CompletionException | CancellationException gone) {
            return false;
        }
    }

    private List<Said> lost() throws SQLException {
        Map<Probe, Set<Instant>> stored = new HashMap<>();
        for (Probe probe : probes.all().subList(0, PROBES)) {
            stored.put(probe, probes.stamps(probe));
        }
        return acknowledged.stream()
                .filter(one -> !stored.get(one.probe()).contains(one.stamp()))
                .toList();
    }
}
