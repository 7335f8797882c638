package app.chervil.server.bench;

import app.chervil.server.bench.Writes.Kind;
import app.chervil.server.bench.Writes.Request;
import app.chervil.server.bench.Writes.Written;
import java.io.IOException;
import java.io.OutputStream;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.PreparedStatement;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.time.Duration;
import java.time.Instant;
import java.time.ZonedDateTime;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.UUID;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ConcurrentSkipListMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.concurrent.atomic.AtomicLong;
import java.util.stream.Stream;

/**
 * Kills the server, kills the database and cuts the connections between them while four people write, each retrying under the
 * id it made; then proves that what was acknowledged is there, whole and once. Called by {@code ./chervil bench faults}.
 */
public final class FaultsBench {
    private static final int WRITERS = 4;
    private static final List<String> JUMPS = List.of("+2d", "+40d", "-3h", "-2d");
    private static final Duration PATIENCE = Duration.ofMinutes(2);

    private enum Fault {
        SERVER_KILLED,
        DATABASE_KILLED,
        CONNECTIONS_CUT,
        /** The server's clock is another for a while, days ahead or hours behind. */
        CLOCK_JUMPED,
        /** The disk of the database has no byte left for a while. */
        DISK_FULL,
        /** The primary is lost for good and its standby promoted. */
        PRIMARY_LOST;

        /** Those that this run can bring about. */
        private static List<Fault> usual(Map<String, String> options) {
            List<Fault> usual = new ArrayList<>(List.of(SERVER_KILLED, DATABASE_KILLED, CONNECTIONS_CUT));
            if (options.containsKey("clock")) {
                usual.add(CLOCK_JUMPED);
            }
            if (options.containsKey("disk")) {
                usual.add(DISK_FULL);
            }
            return usual;
        }
    }

    private final Map<String, String> options;
    private final Random random;
    private final Cable cable;
    private final List<Written> acknowledged = new ArrayList<>();
    private final Map<Written, String> told = new ConcurrentHashMap<>();
    private final Map<Written, Instant> answered = new ConcurrentHashMap<>();
    private final Map<Fault, Integer> faults = new EnumMap<>(Fault.class);
    private final AtomicLong retries = new AtomicLong();
    private final Map<String, Integer> refusals = new ConcurrentSkipListMap<>();
    private final List<Visitor> visitors = new ArrayList<>();
    private Instant broken = Instant.EPOCH;
    private Served server;
    private Writes writes;

    private FaultsBench(Map<String, String> options, Cable cable) {
        this.options = options;
        this.random = new Random(Long.parseLong(options.getOrDefault("seed", "1")));
        this.cable = cable;
    }

    public static void main(String[] args) throws Exception {
        Map<String, String> options = ServerBench.options(args);
        int database = Integer.parseInt(options.get("db-port"));
        try (Cable cable = new Cable(database)) {
            boolean sound = new FaultsBench(options, cable).run();
            System.exit(sound ? 0 : 1);
        }
    }

    private boolean run() throws Exception {
        boolean failover = options.containsKey("standby-promote");
        int rounds = failover ? 0 : Integer.parseInt(options.getOrDefault("rounds", "20"));
        server = start(Integer.parseInt(options.get("port")));
        server.setUp();
        writes = Writes.prepare(server);
        Served second = failover ? start(Integer.parseInt(options.get("second-port"))) : server;
        for (int i = 0; i < WRITERS; i++) {
            visitors.add((i % 2 == 0 ? server : second).visitor());
        }
        if (failover) {
            // Until both compilers have seen it all.
            medianMs();
            medianMs();
            command("standby-bind");
            System.out.printf("saving a service, median: %.1f ms with the standby in step, ", medianMs());
            command("standby-free");
            System.out.printf("%.1f ms without%n", medianMs());
            command("standby-bind");
            round(Fault.PRIMARY_LOST);
            second.close();
        }
        List<Fault> usual = Fault.usual(options);
        for (int round = 1; round <= rounds; round++) {
            round(usual.get(random.nextInt(usual.size())));
            if (round % 10 == 0) {
                System.out.printf(
                        "%d rounds, %d writes acknowledged, %d tried again%n",
                        round, acknowledged.size(), retries.get());
            }
        }
        server.close();
        faults.forEach((fault, times) ->
                System.out.printf("%-20s %5d%n", fault.name().toLowerCase().replace('_', ' '), times));
        refusals.forEach((what, times) -> System.out.printf("answered %-24s %5d%n", what, times));
        int lost = 0;
        try (Connection database = direct()) {
            for (Written one : acknowledged) {
                int rows = rows(database, one);
                if (rows != one.kind().rows()) {
                    lost++;
                    System.out.printf(
                            "%s %s: %d rows for %d, answered %d ms after the last fault began%n",
                            one.kind(),
                            one.id(),
                            rows,
                            one.kind().rows(),
                            Duration.between(broken, answered.get(one)).toMillis());
                    System.out.println("  answered " + told.get(one));
                    if (failover) {
                        System.out.printf("  on the lost primary: %d%n", onLostPrimary(one));
                    }
                }
            }
        }
        System.out.printf(
                "%d writes acknowledged, %d tried again, %d lost or doubled%n",
                acknowledged.size(), retries.get(), lost);
        // Who is signed in stays so: a wrong 401 would send a keeper to the door in the middle of a service.
        boolean failed = refusals.keySet().stream().anyMatch(what -> what.startsWith("500") || what.startsWith("401"));
        return lost == 0 && !failed && acknowledged.size() > Math.max(rounds, 60);
    }

    private Served start(int port) throws Exception {
        String hosts = "127.0.0.1:" + cable.port();
        if (options.containsKey("standby-port")) {
            hosts = "127.0.0.1:" + options.get("db-port") + ",127.0.0.1:" + options.get("standby-port");
        }
        return Served.start(
                Stream.concat(
                                Stream.of("java"),
                                Arrays.stream(options.getOrDefault("java", "").split(" ")))
                        .filter(flag -> !flag.isEmpty())
                        .toList(),
                Path.of(options.get("jar")),
                port,
                Path.of(options.get("state"))
                        .resolve(port == Integer.parseInt(options.get("port")) ? "app.log" : "second.log"),
                environment(Map.of("CHERVIL_DB_URL", "jdbc:postgresql://" + hosts + "/chervil")));
    }

    /** With a clock that can be set off, if there is one. */
    private Map<String, String> environment(Map<String, String> usual) {
        Map<String, String> all = new HashMap<>(usual);
        if (options.containsKey("clock")) {
            all.put("LD_PRELOAD", options.get("clock-library"));
            all.put("FAKETIME_TIMESTAMP_FILE", options.get("clock"));
            all.put("FAKETIME_CACHE_DURATION", "1");
            all.put("FAKETIME_DONT_FAKE_MONOTONIC", "1");
        }
        return all;
    }

    private double medianMs() throws Exception {
        List<Double> times = new ArrayList<>();
        for (int i = 0; i < 60; i++) {
            Written one = new Written(Kind.SERVICE, new UUID(random.nextLong(), random.nextLong()));
            Instant before = Instant.now();
            until(visitors.get(0), one);
            times.add(Duration.between(before, Instant.now()).toNanos() / 1e6);
            acknowledged.add(one);
        }
        times.sort(null);
        return times.get(times.size() / 2);
    }

    /** Four people write; in the midst of it something breaks, and is mended; they go on until each of their writes is in. */
    private void round(Fault fault) throws Exception {
        faults.merge(fault, 1, Integer::sum);
        AtomicBoolean stop = new AtomicBoolean();
        ExecutorService people = Executors.newFixedThreadPool(WRITERS);
        List<Future<List<Written>>> work = new ArrayList<>();
        for (int i = 0; i < WRITERS; i++) {
            long seed = random.nextLong();
            Visitor visitor = visitors.get(i);
            work.add(people.submit(() -> write(visitor, new Random(seed), stop)));
        }
        TimeUnit.MILLISECONDS.sleep(150 + random.nextInt(850));
        breakAndMend(fault);
        TimeUnit.MILLISECONDS.sleep(700);
        stop.set(true);
        for (Future<List<Written>> one : work) {
            acknowledged.addAll(one.get());
        }
        people.shutdown();
    }

    private void breakAndMend(Fault fault) throws Exception {
        broken = Instant.now();
        switch (fault) {
            case SERVER_KILLED -> {
                server.kill();
                server = start(Integer.parseInt(options.get("port")));
            }
            case DATABASE_KILLED -> {
                command("db-kill");
                TimeUnit.MILLISECONDS.sleep(random.nextInt(1500));
                command("db-start");
            }
            case CONNECTIONS_CUT -> cable.cut();
            case CLOCK_JUMPED -> {
                jump(JUMPS.get(random.nextInt(JUMPS.size())));
                TimeUnit.SECONDS.sleep(2);
                jump("+0");
                TimeUnit.SECONDS.sleep(2);
            }
            case DISK_FULL -> {
                Path filler = Path.of(options.get("disk")).resolve("filler");
                fill(filler);
                TimeUnit.MILLISECONDS.sleep(500 + random.nextInt(1500));
                Files.delete(filler);
                mend();
            }
            case PRIMARY_LOST -> {
                command("db-kill");
                Instant lost = Instant.now();
                command("standby-promote");
                while (server.visitor().send("GET", "/api/session", "").statusCode() != 200) {
                    TimeUnit.MILLISECONDS.sleep(50);
                }
                System.out.printf(
                        "questions answered again %.1f s after the primary was lost%n",
                        Duration.between(lost, Instant.now()).toMillis() / 1000.0);
                TimeUnit.SECONDS.sleep(3);
            }
        }
    }

    /** Sets the server's clock off, and sees that it went. */
    private void jump(String by) throws Exception {
        Instant before = told();
        Files.writeString(Path.of(options.get("clock")), by);
        TimeUnit.SECONDS.sleep(2);
        if (!by.equals("+0") && Duration.between(before, told()).abs().toHours() < 2) {
            throw new IllegalStateException("the server's clock did not jump");
        }
    }

    /** What the server holds for the time. */
    private Instant told() throws Exception {
        String date = server.visitor()
                .send("GET", "/api/session", "")
                .headers()
                .firstValue("Date")
                .orElseThrow();
        return ZonedDateTime.parse(date, DateTimeFormatter.RFC_1123_DATE_TIME).toInstant();
    }

    private static void fill(Path filler) throws IOException {
        try (OutputStream output = Files.newOutputStream(filler)) {
            byte[] block = new byte[1 << 20];
            while (true) {
                output.write(block);
            }
        } catch (IOException full) {
            // Not a byte is left, as it should be.
        }
    }

    /** PostgreSQL ends itself where it cannot write its log; whoever looks after the machine starts it again. */
    private void mend() throws Exception {
        Instant patient = Instant.now().plus(PATIENCE);
        while (true) {
            try {
                direct().close();
                return;
            } catch (SQLException away) {
                if (Instant.now().isAfter(patient)) {
                    throw away;
                }
                new ProcessBuilder("bash", "-c", options.get("db-start"))
                        .start()
                        .waitFor();
                TimeUnit.MILLISECONDS.sleep(200);
            }
        }
    }

    private void command(String which) throws IOException, InterruptedException {
        Process process =
                new ProcessBuilder("bash", "-c", options.get(which)).inheritIO().start();
        if (process.waitFor() != 0) {
            throw new IOException(which + " did not work");
        }
    }

    private List<Written> write(Visitor visitor, Random mine, AtomicBoolean stop) throws Exception {
        List<Written> kept = new ArrayList<>();
        while (!stop.get()) {
            Kind kind = Kind.values()[mine.nextInt(Kind.values().length)];
            Written one = Written.of(kind, mine);
            until(visitor, one);
            kept.add(one);
            TimeUnit.MILLISECONDS.sleep(mine.nextInt(30));
        }
        return kept;
    }

    /** Sends a write again and again under the same id until it is acknowledged. */
    private void until(Visitor visitor, Written one) throws Exception {
        Instant patient = Instant.now().plus(PATIENCE);
        while (true) {
            try {
                if (sent(visitor, one)) {
                    answered.put(one, Instant.now());
                    return;
                }
            } catch (IOException away) {
                // Nobody answered; it may be in or not.
            }
            retries.incrementAndGet();
            if (Instant.now().isAfter(patient)) {
                throw new IllegalStateException(one + " was not taken within two minutes");
            }
            TimeUnit.MILLISECONDS.sleep(100);
        }
    }

    private boolean sent(Visitor visitor, Written one) throws Exception {
        if (visitor.cookie("chervil_session").isEmpty()) {
            visitor.send("GET", "/api/session", "");
            int in = visitor.send("POST", "/api/session", Served.SIGN_IN).statusCode();
            if (in >= 300) {
                refusals.merge(in + " SIGN_IN", 1, Integer::sum);
                return false;
            }
        }
        Request request = writes.request(one);
        HttpResponse<String> answer = visitor.send(request.method(), request.path(), request.body());
        int status = answer.statusCode();
        if (status >= 400 && status != 401 && status != 429 && status < 500) {
            throw new IllegalStateException(request + ": " + status + " " + answer.body());
        }
        if (status >= 300) {
            refusals.merge(status + " " + one.kind(), 1, Integer::sum);
            return false;
        }
        told.put(one, status + " " + answer.body());
        return true;
    }

    /** Rows of a write on the primary that was lost, which is started once more to ask it. */
    private int onLostPrimary(Written one) throws Exception {
        command("db-start");
        try (Connection database = DriverManager.getConnection(
                options.get("db-url"), System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"))) {
            return rows(database, one);
        } finally {
            command("db-kill");
        }
    }

    private Connection direct() throws SQLException {
        return DriverManager.getConnection(
                options.getOrDefault("standby-url", options.get("db-url")),
                System.getenv("CHERVIL_DB_USER"),
                System.getenv("CHERVIL_DB_PASSWORD"));
    }

    private static int rows(Connection database, Written one) throws SQLException {
        String query = "select count(*) from " + one.kind().table() + " where "
                + one.kind().column() + " = any (?)";
        UUID[] ids = new UUID[one.kind().rows()];
        java.util.Arrays.setAll(ids, one::id);
        try (PreparedStatement asked = database.prepareStatement(query)) {
            asked.setArray(1, database.createArrayOf("uuid", ids));
            try (ResultSet found = asked.executeQuery()) {
                found.next();
                return found.getInt(1);
            }
        }
    }
}
