package app.chervil.server.bench;

import app.chervil.server.bench.Writes.Kind;
import app.chervil.server.bench.Writes.Request;
import app.chervil.server.bench.Writes.Written;
import java.net.http.HttpResponse;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.Statement;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Queue;
import java.util.Random;
import java.util.concurrent.ConcurrentLinkedQueue;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.atomic.AtomicBoolean;
import java.util.function.ToDoubleFunction;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.Stream;

/**
 * Lets four people read and write for hours and looks from time to time at memory, threads, connections, open files and how
 * long answers take. What is written is taken back a while later, so that no growth of the log hides or feigns a leak. Called by
 * {@code ./chervil bench soak}.
 */
public final class SoakBench {
    private static final int PEOPLE = 4;
    private static final int SLICES = 24;
    private static final int TANKS = 7;
    private static final int SERVICES = 60;
    /** Writes of one person that stand before the oldest is taken back. */
    private static final int STANDING = 20;

    private static final List<String> QUESTIONS = List.of(
            "/api/rounds",
            "/api/rounds",
            "/api/guided-services",
            "/api/forecasts",
            "/api/tanks",
            "/api/tanks/1/services",
            "/api/tanks/1/water",
            "/api/services",
            "/api/plan?weeks=8",
            "/api/stores",
            "/api/trials",
            "/api/plan/calendar.ics");

    private static final List<Kind> WRITES = List.of(Kind.SERVICE, Kind.READINGS, Kind.WATER_CHANGE, Kind.CHORE);

    /** What was seen at one look: megabytes, counts and milliseconds. */
    private record Look(
            int requests,
            double heap,
            double resident,
            double threads,
            double connections,
            double files,
            double median,
            double slow) {}

    /** What must not grow, by how much of itself and how much beside it may. */
    private record Bound(String what, ToDoubleFunction<Look> value, double share, double beside) {}

    private static final List<Bound> BOUNDS = List.of(
            new Bound("heap after collection, MB", Look::heap, 1.1, 8),
            new Bound("resident memory, MB", Look::resident, 1.1, 16),
            new Bound("threads", Look::threads, 1, 5),
            new Bound("connections", Look::connections, 1, 2),
            new Bound("open files", Look::files, 1, 10),
            new Bound("median answer, ms", Look::median, 1.25, 2));

    private final Map<String, String> options;
    private final Duration whole;
    private final Queue<Double> times = new ConcurrentLinkedQueue<>();
    private final Queue<String> failures = new ConcurrentLinkedQueue<>();

    private SoakBench(Map<String, String> options) {
        this.options = options;
        this.whole = Duration.ofSeconds(Math.round(3600 * Double.parseDouble(options.getOrDefault("hours", "2"))));
    }

    public static void main(String[] args) throws Exception {
        System.exit(new SoakBench(ServerBench.options(args)).run() ? 0 : 1);
    }

    private boolean run() throws Exception {
        try (Served server = ServerBench.start(options, false);
                Connection database = DriverManager.getConnection(
                        options.get("db-url"),
                        System.getenv("CHERVIL_DB_USER"),
                        System.getenv("CHERVIL_DB_PASSWORD"))) {
            server.setUp();
            Writes writes = Writes.prepare(server);
            Filling.tanks(database, TANKS, SERVICES);
            AtomicBoolean over = new AtomicBoolean();
            ExecutorService people = Executors.newFixedThreadPool(PEOPLE);
            List<Future<?>> work = new ArrayList<>();
            for (int i = 0; i < PEOPLE; i++) {
                Random mine = new Random(i);
                Visitor visitor = server.visitor();
                work.add(people.submit(() -> live(visitor, mine, writes, over)));
            }
            List<Look> looks = looks(server, database);
            over.set(true);
            for (Future<?> one : work) {
                one.get();
            }
            people.shutdown();
            return flat(looks) && failures.isEmpty();
        }
    }

    private List<Look> looks(Served server, Connection database) throws Exception {
        System.out.println("   min  requests   heap MB  resident  threads  connections  files  median ms  95th ms");
        List<Look> looks = new ArrayList<>();
        for (int slice = 1; slice <= SLICES; slice++) {
            TimeUnit.MILLISECONDS.sleep(whole.toMillis() / SLICES);
            Look look = look(server.pid(), database);
            looks.add(look);
            System.out.printf(
                    Locale.ROOT,
                    "%6.1f %9d %9.0f %9.0f %8.0f %12.0f %6.0f %10.1f %8.1f%n",
                    slice * whole.toSeconds() / 60.0 / SLICES,
                    look.requests,
                    look.heap,
                    look.resident,
                    look.threads,
                    look.connections,
                    look.files,
                    look.median,
                    look.slow);
        }
        return looks;
    }

    private Look look(long pid, Connection database) throws Exception {
        List<Double> answered = new ArrayList<>();
        for (Double one = times.poll(); one != null; one = times.poll()) {
            answered.add(one);
        }
        answered.sort(null);
        double[] sorted = answered.stream().mapToDouble(one -> one).toArray();
        String status = Files.readString(Path.of("/proc", Long.toString(pid), "status"));
        try (Stream<Path> files = Files.list(Path.of("/proc", Long.toString(pid), "fd"))) {
            return new Look(
                    sorted.length,
                    ServerBench.heap(pid),
                    number(status, "VmRSS") / 1024,
                    number(status, "Threads"),
                    connections(database),
                    files.count(),
                    sorted.length == 0 ? 0 : ServerBench.median(sorted),
                    sorted.length == 0 ? 0 : ServerBench.percentile(sorted));
        }
    }

    private static double number(String status, String name) {
        Matcher found = Pattern.compile("(?m)^" + name + ":\\s+(\\d+)").matcher(status);
        if (!found.find()) {
            throw new IllegalStateException("no " + name);
        }
        return Double.parseDouble(found.group(1));
    }

    private static double connections(Connection database) throws Exception {
        try (Statement statement = database.createStatement();
                ResultSet counted = statement.executeQuery(
                        "select count(*) - 1 from pg_stat_activity where datname = current_database()")) {
            counted.next();
            return counted.getDouble(1);
        }
    }

    /** The last quarter against the second; the first is for compilers and caches to warm. */
    private static boolean flat(List<Look> looks) {
        boolean flat = true;
        for (Bound bound : BOUNDS) {
            double before = mean(looks.subList(SLICES / 4, SLICES / 2), bound.value);
            double after = mean(looks.subList(SLICES * 3 / 4, SLICES), bound.value);
            boolean held = after <= before * bound.share + bound.beside;
            System.out.printf(
                    Locale.ROOT,
                    "%-26s second quarter %8.1f  last quarter %8.1f  %s%n",
                    bound.what,
                    before,
                    after,
                    held ? "flat" : "GROWN");
            flat &= held;
        }
        return flat;
    }

    private static double mean(List<Look> looks, ToDoubleFunction<Look> value) {
        return looks.stream().mapToDouble(value).average().orElse(0);
    }

    /** One person's hours: mostly looking, now and then writing, at times leaving and coming back. */
    private void live(Visitor visitor, Random mine, Writes writes, AtomicBoolean over) {
        Deque<Written> standing = new ArrayDeque<>();
        signIn(visitor);
        while (!over.get()) {
            try {
                int lot = mine.nextInt(100);
                if (lot == 0) {
                    timed(visitor, new Request("DELETE", "/api/session", ""));
                    signIn(visitor);
                } else if (lot < 70) {
                    timed(visitor, new Request("GET", QUESTIONS.get(mine.nextInt(QUESTIONS.size())), ""));
                } else {
                    Written one = Written.of(WRITES.get(mine.nextInt(WRITES.size())), mine);
                    timed(visitor, writes.request(one));
                    standing.add(one);
                }
                if (standing.size() > STANDING) {
                    timed(visitor, writes.takenBack(standing.remove()));
                }
                TimeUnit.MILLISECONDS.sleep(mine.nextInt(2000));
            } catch (InterruptedException stopped) {
                Thread.currentThread().interrupt();
                return;
            }
        }
    }

    private void signIn(Visitor visitor) {
        timed(visitor, new Request("GET", "/api/session", ""));
        timed(visitor, new Request("POST", "/api/session", Served.SIGN_IN));
    }

    private void timed(Visitor visitor, Request request) {
        long began = System.nanoTime();
        try {
            HttpResponse<String> answer = visitor.send(request.method(), request.path(), request.body());
            times.add((System.nanoTime() - began) / 1e6);
            if (answer.statusCode() >= 300) {
                failed(request, answer.statusCode() + " " + answer.body());
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
        } catch (java.io.IOException gone) {
            failed(request, gone.toString());
        }
    }

    private void failed(Request request, String why) {
        failures.add(why);
        if (failures.size() <= 20) {
            System.out.println("FAILED " + request.method() + " " + request.path() + ": " + why);
        }
    }
}
