package app.chervil.server.bench;

import com.hivemq.client.mqtt.MqttClient;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt3.Mqtt3AsyncClient;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.sql.Connection;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicLong;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Collectors;

/** Temperature probes that were fitted on a server, both ways by which they speak to it, and what it has stored of them. */
final class Probes {
    private final URI url;
    private final int brokerPort;
    private final Connection database;
    private final HttpClient client =
            HttpClient.newBuilder().version(HttpClient.Version.HTTP_1_1).build();
    private final List<Probe> fitted = new ArrayList<>();

    /**
     * @param port of the server
     * @param brokerPort of the broker through which it hears
     */
    Probes(int port, int brokerPort, Connection database) {
        this.url = URI.create("http://127.0.0.1:" + port + "/api/device-readings");
        this.brokerPort = brokerPort;
        this.database = database;
    }

    /** A probe, and the stamp of its next reading, in milliseconds since 1970. */
    record Probe(long id, String token, AtomicLong next) {
        /** Stamps of so many readings more. */
        List<Instant> stamps(int readings) {
            List<Instant> stamps = new ArrayList<>();
            for (int i = 0; i < readings; i++) {
                stamps.add(Instant.ofEpochMilli(next.getAndIncrement()));
            }
            return stamps;
        }

        /** Has it speak of the last while from now on. */
        void goBack(Duration by) {
            next.set(Instant.now().minus(by).toEpochMilli());
        }

        private String message(List<Instant> stamps) {
            return "{\"token\": \"" + token + "\", " + batch(stamps) + "}";
        }

        private static String batch(List<Instant> stamps) {
            return stamps.stream()
                    .map(stamp -> "{\"at\": \"" + stamp + "\", \"value\": 24.5}")
                    .collect(Collectors.joining(", ", "\"readings\": [", "]"));
        }
    }

    /** Fits so many, shared out over the tanks. */
    void fit(Served server, int probes, int tanks) throws Exception {
        for (int i = 0; i < probes; i++) {
            String made =
                    server.ask("POST", "/api/devices", """
                    {"kind": "TEMPERATURE", "name": "Probe %d", "tankId": %d, "fittedOn": "%s"}""".formatted(i, 1 + i % tanks, LocalDate.now(ZoneOffset.UTC)));
            Probe probe = new Probe(
                    Long.parseLong(found("\"id\"\\s*:\\s*(\\d+)", made)),
                    found("\"token\"\\s*:\\s*\"([^\"]+)\"", made),
                    new AtomicLong());
            probe.goBack(Duration.ofHours(20));
            fitted.add(probe);
        }
    }

    private static String found(String pattern, String text) {
        Matcher found = Pattern.compile(pattern).matcher(text);
        if (!found.find()) {
            throw new IllegalStateException("no " + pattern + " in " + text);
        }
        return found.group(1);
    }

    List<Probe> all() {
        return List.copyOf(fitted);
    }

    /** Sends readings over HTTP. */
    CompletableFuture<HttpResponse<String>> post(Probe probe, List<Instant> stamps) {
        HttpRequest request = HttpRequest.newBuilder(url)
                .timeout(Duration.ofSeconds(30))
                .header("Authorization", "Bearer " + probe.token())
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString("{" + Probe.batch(stamps) + "}"))
                .build();
        return client.sendAsync(request, BodyHandlers.ofString());
    }

    /** Sends readings through the broker; done when the broker has acknowledged them. */
    static CompletableFuture<?> publish(Mqtt3AsyncClient gateway, Probe probe, List<Instant> stamps) {
        return gateway.publishWith()
                .topic("chervil/" + probe.id() + "/readings")
                .qos(MqttQos.AT_LEAST_ONCE)
                .payload(probe.message(stamps).getBytes(StandardCharsets.UTF_8))
                .send();
    }

    /** What passes readings on to the broker, and comes back by itself. */
    Mqtt3AsyncClient gateway() throws Exception {
        Mqtt3AsyncClient gateway = MqttClient.builder()
                .useMqttVersion3()
                .identifier("bench-gateway")
                .serverHost("127.0.0.1")
                .serverPort(brokerPort)
                .automaticReconnect()
                .initialDelay(100, TimeUnit.MILLISECONDS)
                .maxDelay(1, TimeUnit.SECONDS)
                .applyAutomaticReconnect()
                .buildAsync();
        gateway.connectWith().cleanSession(false).send().get(20, TimeUnit.SECONDS);
        return gateway;
    }

    /** Readings that are stored. */
    long stored() throws SQLException {
        return count("select count(*) from device_reading");
    }

    /** Readings that were added to the sums of hours. */
    long summed() throws SQLException {
        return count("select coalesce(sum(readings), 0) from device_hour");
    }

    /** Bytes of everything that is stored of readings. */
    long bytes() throws SQLException {
        return count("""
                select sum(pg_total_relation_size(name::regclass))
                from unnest(array['device_reading', 'device_hour', 'device_day']) name""");
    }

    /** Stamps of a probe's readings that are stored. */
    Set<Instant> stamps(Probe probe) throws SQLException {
        Set<Instant> stamps = new HashSet<>();
        try (Statement statement = database.createStatement();
                ResultSet rows =
                        statement.executeQuery("select stamp from device_reading where device_id = " + probe.id())) {
            while (rows.next()) {
                stamps.add(rows.getTimestamp(1).toInstant());
            }
        }
        return stamps;
    }

    private long count(String question) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet rows = statement.executeQuery(question)) {
            rows.next();
            return rows.getLong(1);
        }
    }
}
