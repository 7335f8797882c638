package app.chervil.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.hivemq.client.mqtt.MqttClient;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt3.Mqtt3AsyncClient;
import com.microsoft.playwright.Page;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.sql.Timestamp;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.TimeUnit;
import org.junit.jupiter.api.Test;

/** Readings on their way while the server is killed, and a broker that goes and comes back: all that was taken is there, and once. */
class BrokerIT {
    private static final int READINGS = 1200;
    private static final int AFTERWARDS = 100;
    private static final long SEED = 35;
    private static final Duration ARRIVES_WITHIN = Duration.ofSeconds(90);

    /** Fits a probe and answers "id token". */
    private static final String FIT = """
        async (day) => {
          const token = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN=')).split('=')[1]
          const answer = await fetch('/api/devices', {
            method: 'POST',
            headers: { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token },
            body: JSON.stringify({ kind: 'TEMPERATURE', name: 'Tested', tankId: 1, fittedOn: day }) })
          const made = await answer.json()
          return made.id + ' ' + made.token
        }""";

    @Test
    void nothing_that_was_taken_is_lost_and_nothing_is_doubled() throws Exception {
        try (StandInBroker broker = new StandInBroker();
                RunningServer server = RunningServer.demo(broker.settings())) {
            String[] fitted = fit(server).split(" ");
            long device = Long.parseLong(fitted[0]);
            Set<Instant> taken = ConcurrentHashMap.newKeySet();
            Mqtt3AsyncClient probe = client(broker);
            SplittableRandom random = new SplittableRandom(SEED);
            Instant begun = Instant.now().truncatedTo(ChronoUnit.MILLIS).minus(Duration.ofHours(1));
            for (int number = 0; number < READINGS; number++) {
                // One in ten is told again, as a device does that did not hear that it was taken.
                Instant at = begun.plusMillis(number - (random.nextInt(10) == 0 ? 1 : 0));
                tell(probe, device, fitted[1], at, taken);
                if (number == READINGS / 3) {
                    server.kill();
                }
                Thread.sleep(2);
            }
            server.startAgain();
            awaitStored(server, device, taken);
            broker.goDown();
            broker.comeBack();
            for (int number = READINGS; number < READINGS + AFTERWARDS; number++) {
                tell(probe, device, fitted[1], begun.plusMillis(number), taken);
            }
            awaitStored(server, device, taken);
            probe.disconnect();

            Set<Instant> stored = stored(server, device);
            assertThat(taken).hasSizeGreaterThan(READINGS * 4 / 5 + AFTERWARDS / 2);
            assertThat(stored).containsAll(taken);
            assertThat(counted(server, device)).isEqualTo(stored.size());
        }
    }

    private static void awaitStored(RunningServer server, long device, Set<Instant> taken) throws Exception {
        Instant until = Instant.now().plus(ARRIVES_WITHIN);
        // What is still on its way to the broker is taken within this.
        Thread.sleep(3000);
        while (!stored(server, device).containsAll(taken) && Instant.now().isBefore(until)) {
            Thread.sleep(500);
        }
    }

    private static String fit(RunningServer server) {
        try (Keeper keeper = new Keeper(server)) {
            Page page = keeper.page();
            keeper.enterDemoAs("Marit");
            return (String) page.evaluate(FIT, LocalDate.now().toString());
        }
    }

    private static Mqtt3AsyncClient client(StandInBroker broker) throws Exception {
        Mqtt3AsyncClient client = MqttClient.builder()
                .useMqttVersion3()
                .identifier("tested-probe")
                .serverHost("127.0.0.1")
                .serverPort(broker.port())
                .automaticReconnect()
                .initialDelay(100, TimeUnit.MILLISECONDS)
                .maxDelay(1, TimeUnit.SECONDS)
                .applyAutomaticReconnect()
                .buildAsync();
        client.connectWith().cleanSession(false).send().get(20, TimeUnit.SECONDS);
        return client;
    }

    private static void tell(Mqtt3AsyncClient probe, long device, String token, Instant at, Set<Instant> taken) {
        String message = "{\"token\": \"%s\", \"readings\": [{\"at\": \"%s\", \"value\": 24.5}]}".formatted(token, at);
        probe.publishWith()
                .topic("chervil/" + device + "/readings")
                .qos(MqttQos.AT_LEAST_ONCE)
                .payload(message.getBytes(StandardCharsets.UTF_8))
                .send()
                .thenRun(() -> taken.add(at));
    }

    private static Set<Instant> stored(RunningServer server, long device) throws SQLException {
        Set<Instant> stamps = new HashSet<>();
        for (Object stamp : ask(server, "select stamp from device_reading where device_id = " + device)) {
            stamps.add(((Timestamp) stamp).toInstant());
        }
        return stamps;
    }

    private static long counted(RunningServer server, long device) throws SQLException {
        return ((Number) ask(server, "select coalesce(sum(readings), 0) from device_hour where device_id = " + device)
                        .get(0))
                .longValue();
    }

    private static List<Object> ask(RunningServer server, String question) throws SQLException {
        try (Connection connection = FirstStart.connection(server.database());
                Statement statement = connection.createStatement();
                ResultSet rows = statement.executeQuery(question)) {
            List<Object> found = new ArrayList<>();
            while (rows.next()) {
                found.add(rows.getObject(1));
            }
            return found;
        }
    }
}
