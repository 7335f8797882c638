package app.chervil.server.bench;

import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.UUID;
import java.util.concurrent.Callable;
import java.util.regex.Matcher;
import java.util.regex.Pattern;
import java.util.stream.LongStream;

/**
 * Asks the packaged server over HTTP and prints medians, 95th percentiles and statements. Called by {@code ./chervil bench
 * server}, which makes the database and says where everything is.
 */
public final class ServerBench {
    private static final List<String> PATHS =
            List.of("/api/rounds", "/api/forecasts", "/api/stores", "/api/plan?weeks=8");
    /** How often a question is asked before it is timed: as often as a phone that lies open for two hours asks. */
    private static final int ASKED = 500;

    private static final int TIMES = 60;
    private static final int LOGS = 30;
    private static final String CANISTER = """
            {"name": "Weir", "kind": "CANISTER", "direction": "BOTTOM_UP", "rating": {"flowLph": 900},
             "careFrom": "%s", "careSureness": "EXACT", "stages": [%s, %s, %s, %s]}""";
    private static final String TANK = """
            {"name": "Tank 1", "room": "Room 0", "netVolumeL": 220, "establishedOn": "2020-01-01",
             "setting": {"water": "FRESH", "stocking": "NORMAL", "feeding": "NORMAL", "bacteriaHome": "MEDIA",
                         "tapWater": "CHLORAMINE"},
             "schools": {"opening": "CONDITION_LED", "sock": "CLARITY", "rinse": "TANK_WATER", "thoroughness": "LIGHT"}}""";

    /** The rows that rounds rest on, as one would ask for them by hand. */
    private static final List<String> BARE = List.of(
            "select * from tank where site_id = 1",
            "select * from filter where site_id = 1",
            "select * from stage where site_id = 1",
            "select * from care_task where site_id = 1",
            "select * from service where site_id = 1",
            "select * from service_task where site_id = 1",
            "select * from service_flow where site_id = 1",
            "select * from chore where site_id = 1",
            "select * from context_change where site_id = 1",
            "select * from plan_visit where site_id = 1");

    private final Map<String, String> options;
    private final Connection database;

    private ServerBench(Map<String, String> options, Connection database) {
        this.options = options;
        this.database = database;
    }

    public static void main(String[] args) throws Exception {
        Map<String, String> options = options(args);
        String url = System.getenv("CHERVIL_DB_URL");
        try (Connection database = DriverManager.getConnection(
                url, System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"))) {
            new ServerBench(options, database).run();
        }
    }

    /** What was asked for on the command line, by name. */
    static Map<String, String> options(String... args) {
        Map<String, String> options = new LinkedHashMap<>();
        for (int i = 0; i + 1 < args.length; i += 2) {
            options.put(args[i].substring(2), args[i + 1]);
        }
        return options;
    }

    private int number(String name, int otherwise) {
        return Integer.parseInt(options.getOrDefault(name, Integer.toString(otherwise)));
    }

    private boolean demo() {
        return options.getOrDefault("tanks", "").equals("demo");
    }

    /** Starts the server that the command names. */
    static Served start(Map<String, String> options, boolean demo) throws Exception {
        List<String> java = new ArrayList<>(List.of("java"));
        java.addAll(Arrays.asList(options.getOrDefault("java", "").split(" ")));
        java.removeIf(String::isEmpty);
        int port = Integer.parseInt(options.getOrDefault("port", "8090"));
        Path log = Path.of(options.get("state")).resolve("app.log");
        return Served.start(java, Path.of(options.get("jar")), port, log, demo);
    }

    private void enter(Served served) throws Exception {
        if (demo()) {
            served.enterDemo();
        } else {
            served.signIn();
        }
    }

    private void run() throws Exception {
        int tanks = demo() ? 7 : number("tanks", 7);
        int services = number("services", 20);
        int sites = number("sites", 1);
        try (Served served = start(options, demo())) {
            if (!demo()) {
                served.setUp();
                fill(served, tanks, services, sites);
            } else {
                served.enterDemo();
            }
            served.get("/api/plan?weeks=8");
            quiet(served);
        }
        say("%s, %s%n", demo() ? "the demo" : tanks + " tanks x " + services + " services", sites + " site(s)");
        cold();
        warm();
    }

    private void fill(Served served, int tanks, int services, int sites) throws Exception {
        String tank = served.ask("POST", "/api/tanks", TANK);
        String cleaned = java.time.LocalDate.now(java.time.Clock.systemDefaultZone())
                .minusDays(7L * services + 30)
                .toString();
        served.ask(
                "POST",
                "/api/tanks/" + first(tank, "id") + "/filters",
                CANISTER.formatted(
                        cleaned,
                        stage("PREFILTER_SPONGE"),
                        stage("COARSE_FOAM"),
                        stage("FINE_PAD"),
                        stage("BIO_MEDIA")));
        Filling.tanks(database, tanks, services);
        if (sites > 1) {
            Filling.sites(database, sites, 5, services);
        }
    }

    private static String stage(String kind) {
        return "{\"kind\": \"%s\", \"label\": \"\", \"quantity\": 1, \"make\": \"WASHABLE\", \"bagged\": false}"
                .formatted(kind);
    }

    private static String first(String json, String field) {
        Matcher found =
                Pattern.compile("\"" + field + "\"\\s*:\\s*\"?([^\",}]+)").matcher(json);
        if (!found.find()) {
            throw new IllegalStateException("no " + field + " in " + json);
        }
        return found.group(1);
    }

    /** Until the plan is kept, and bettered where it was made in haste. */
    private void quiet(Served served) throws Exception {
        while (count("select count(*) from plan where not rough and site_id = 1") == 0) {
            Thread.onSpinWait();
        }
        served.get("/api/plan?weeks=8");
    }

    /** Each question first after a start; the second start has its classes warmed by other questions. */
    private void cold() throws Exception {
        for (String path : PATHS) {
            try (Served served = start(options, demo())) {
                enter(served);
                served.get("/api/accounts");
                reset();
                double millis = millis(() -> served.get(path));
                say("cold %-18s %7.1f ms  %d statements%n", path, millis, statements());
                tell();
            }
        }
    }

    private void warm() throws Exception {
        try (Served served = start(options, demo())) {
            enter(served);
            double[] bare = times(TIMES, this::bare);
            for (String path : PATHS) {
                times(number("asked", ASKED), () -> served.get(path));
                reset();
                double[] warm = times(TIMES, () -> served.get(path));
                say(
                        "warm %-18s median %6.1f ms  95th %6.1f ms  %.1f statements  %.2f of bare SQL%n",
                        path,
                        median(warm),
                        percentile(warm),
                        statements() / (double) TIMES,
                        median(warm) / median(bare));
            }
            reset();
            afterLogs(served);
            tell();
            say("bare SQL of the same rows: median %.1f ms%n", median(bare));
            say("heap at rest: %d MB%n", heap(served.pid()));
        }
    }

    private void afterLogs(Served served) throws Exception {
        String filter = served.get("/api/filters");
        long task = count("""
                select min(k.id) from care_task k join stage s on s.id = k.stage_id
                where k.site_id = 1 and k.action = 'RINSE' and s.kind = 'PREFILTER_SPONGE'""");
        long tank = count("select f.tank_id from care_task k join filter f on f.id = k.filter_id where k.id = " + task);
        List<Double> saved = new ArrayList<>();
        List<Double> rounds = new ArrayList<>();
        int before = number("asked", ASKED) / 3;
        for (int i = 0; i < LOGS + before; i++) {
            String body = """
                    {"tankId": %d, "doneOn": "%s", "doneBy": "Ada", "minutes": 5, "note": "", "flows": [],
                     "tasks": [{"taskId": %d, "finding": "MODERATE"}]}""".formatted(
                    tank,
                    java.time.LocalDate.now(java.time.Clock.systemDefaultZone()).minusDays(i % 2),
                    task);
            UUID id = UUID.randomUUID();
            double save = millis(() -> served.ask("PUT", "/api/services/" + id, body));
            double after = millis(() -> served.get("/api/rounds"));
            served.ask("DELETE", "/api/services/" + id, "");
            served.get("/api/rounds");
            if (i >= before) {
                saved.add(save);
                rounds.add(after);
            }
        }
        report("saving a service", saved);
        report("rounds right after", rounds);
        if (filter.isEmpty()) {
            throw new IllegalStateException("no filters");
        }
    }

    private static void report(String what, List<Double> times) {
        double[] sorted = times.stream().mapToDouble(time -> time).sorted().toArray();
        say("%-23s median %6.1f ms  95th %6.1f ms%n", what, median(sorted), percentile(sorted));
    }

    private String bare() throws SQLException {
        long rows = 0;
        for (String sql : BARE) {
            try (Statement statement = database.createStatement();
                    ResultSet result = statement.executeQuery(sql)) {
                int columns = result.getMetaData().getColumnCount();
                while (result.next()) {
                    for (int column = 1; column <= columns; column++) {
                        rows += result.getObject(column) == null ? 0 : 1;
                    }
                }
            }
        }
        return Long.toString(rows);
    }

    private void reset() throws SQLException {
        count("select count(*) from (select pg_stat_statements_reset()) one");
    }

    /** Those of questions: what opens and closes transactions, and looks for work in the background, is left out. */
    private long statements() throws SQLException {
        return count("""
                select coalesce(sum(calls), 0) from pg_stat_statements
                where query !~* '^(begin|commit|rollback|set|show)' and query !~* 'pg_stat|scheduled_tasks|^select \\$1$'
                  and query !~* '^select distinct site_id from door|^delete from spring_session'
                  and query !~* 'select \\* from'""");
    }

    /** Which statements they were and how long each took, dearest first, where somebody wants to know. */
    private void tell() throws SQLException {
        if (!options.containsKey("tell")) {
            return;
        }
        try (Statement statement = database.createStatement();
                ResultSet result = statement.executeQuery("""
                        select calls, mean_exec_time, regexp_replace(left(query, 400), '\\s+', ' ', 'g') from pg_stat_statements
                        where query !~* '^(begin|commit|rollback|set|show)|pg_stat'
                        order by total_exec_time desc""")) {
            while (result.next()) {
                say("    %d x %.1f ms %s%n", result.getLong(1), result.getDouble(2), result.getString(3));
            }
        }
    }

    private long count(String sql) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet result = statement.executeQuery(sql)) {
            result.next();
            return result.getLong(1);
        }
    }

    /** In megabytes, after a collection; some collectors tell of each generation by itself. */
    static long heap(long pid) throws Exception {
        jcmd(pid, "GC.run");
        long[] kilobytes = Pattern.compile("total \\d+K, used (\\d+)K")
                .matcher(jcmd(pid, "GC.heap_info"))
                .results()
                .mapToLong(used -> Long.parseLong(used.group(1)))
                .toArray();
        if (kilobytes.length == 0) {
            throw new IllegalStateException("the heap of process " + pid + " could not be read");
        }
        return LongStream.of(kilobytes).sum() / 1024;
    }

    private static String jcmd(long pid, String command) throws Exception {
        Process process = new ProcessBuilder("jcmd", Long.toString(pid), command).start();
        String text = new String(process.getInputStream().readAllBytes(), java.nio.charset.StandardCharsets.UTF_8);
        process.waitFor();
        return text;
    }

    private static double millis(Callable<String> question) throws Exception {
        long began = System.nanoTime();
        if (question.call() == null) {
            throw new IllegalStateException("no answer");
        }
        return (System.nanoTime() - began) / 1e6;
    }

    private static double[] times(int count, Callable<String> question) throws Exception {
        double[] times = new double[count];
        for (int i = 0; i < count; i++) {
            times[i] = millis(question);
        }
        Arrays.sort(times);
        return times;
    }

    static double median(double[] sorted) {
        return sorted[sorted.length / 2];
    }

    static double percentile(double[] sorted) {
        return sorted[(int) (sorted.length * 0.95)];
    }

    private static void say(String format, Object... values) {
        System.out.printf(Locale.ROOT, format, values);
    }
}
