package app.chervil.server.bench;

import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeMap;
import java.util.TreeSet;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Tries every door of the packaged server: each operation of the API document as a person of another site, as each role, as
 * nobody, with bad tokens, and with every value of every schema replaced. It ends with an error if anything was read or
 * changed that should not be, if an answer was 5xx, or if a refusal was no problem document. Called by {@code ./chervil bench
 * doors}.
 */
public final class DoorsBench {
    private static final String PASSWORD = "a long enough password";

    /** What a stranger must never read: names of the invented site. */
    private static final List<String> MARKS =
            List.of("Tern House", "Rock pool", "Brook bench", "Blackwater nook", "Marit", "Osei");

    /** What the server works out by itself, and what belongs to people who come and go. */
    private static final Set<String> ITS_OWN = Set.of(
            "site_revision", "tank_revision", "plan", "plan_visit", "plan_change", "plan_step", "future_run", "deed");

    private final JsonMapper json = JsonMapper.builder().build();
    private final Connection database;
    private final Served server;
    private final JsonNode api;
    private final Map<String, Set<String>> faults = new TreeMap<>();
    private final Map<String, Integer> counts = new TreeMap<>();
    private ApiExamples examples;

    private DoorsBench(Connection database, Served server, JsonNode api) {
        this.database = database;
        this.server = server;
        this.api = api;
    }

    public static void main(String[] args) throws Exception {
        Map<String, String> options = ServerBench.options(args);
        try (Connection database = DriverManager.getConnection(
                        System.getenv("CHERVIL_DB_URL"),
                        System.getenv("CHERVIL_DB_USER"),
                        System.getenv("CHERVIL_DB_PASSWORD"));
                Served server = ServerBench.start(options, true)) {
            JsonNode api = JsonMapper.builder().build().readTree(Files.readString(Path.of(options.get("api"))));
            boolean sound = new DoorsBench(database, server, api).run();
            if (!sound) {
                System.exit(1);
            }
        }
    }

    private boolean run() throws Exception {
        Visitor marit = server.visitor();
        marit.get("/api/session");
        marit.ask("POST", "/api/demo-session/marit", "");
        fillUp(marit);
        examples = new ApiExamples(
                api,
                Map.of(
                        "tankId", id("tank"),
                        "filterId", id("filter"),
                        "taskId", id("care_task"),
                        "tasks", id("care_task"),
                        "stageId", id("stage"),
                        "accountId", id("account")));
        Visitor viewer = joined(marit, "VIEWER", "vera.looks");
        Visitor helper = joined(marit, "HELPER", "hal.helps");
        Visitor stranger = joined(marit, "HELPER", "eve.elsewhere");
        stranger.ask("POST", "/api/own/sites", "{\"name\": \"Elsewhere\"}");
        stranger.ask("PUT", "/api/session/site", "{\"siteId\": 1}");
        stranger.ask("DELETE", "/api/own/place", "");
        Visitor nobody = server.visitor();
        nobody.get("/api/session");

        walk("a person of another site", stranger, Walker.STRANGER);
        walk("nobody", nobody, Walker.NOBODY);
        walk("a viewer", viewer, Walker.VIEWER);
        walk("a helper", helper, Walker.HELPER);
        badTokens(marit);
        badBodies(marit);
        badValues(marit);

        counts.forEach((what, count) -> System.out.printf("%-58s %7d%n", what, count));
        faults.forEach(
                (what, where) -> System.out.printf("%n%d: %s%n  %s%n", where.size(), what, String.join("\n  ", where)));
        System.out.println(faults.isEmpty() ? "\nEvery door held." : "\nSome doors did not hold.");
        return faults.isEmpty();
    }

    private enum Walker {
        STRANGER,
        NOBODY,
        VIEWER,
        HELPER
    }

    /** So that there is one of everything: a service in progress, a photo, an invitation, a calendar. */
    private void fillUp(Visitor marit) throws Exception {
        long tank = id("tank");
        String service = text("select id::text from service where site_id = 1 order by id limit 1");
        execute("insert into photo (id, site_id, service_id, moment, taken_at, taken_by, content_type, bytes) values ("
                + "gen_random_uuid(), 1, '" + service
                + "', 'AFTER', now(), 'Marit', 'image/jpeg', '\\xffd8ff00'::bytea)");
        marit.ask("POST", "/api/invitations", "{\"role\": \"HELPER\", \"note\": \"somebody\"}");
        marit.send("POST", "/api/calendars", "{\"startsAt\": \"18:00\"}");
        marit.send("PUT", "/api/tanks/" + tank + "/pauses/" + UUID.randomUUID(), "{}");
    }

    private Visitor joined(Visitor keeper, String role, String login) throws Exception {
        String code = json.readTree(
                        keeper.ask("POST", "/api/invitations", "{\"role\": \"%s\", \"note\": \"\"}".formatted(role)))
                .get("code")
                .asString();
        Visitor newcomer = server.visitor();
        newcomer.get("/api/session");
        newcomer.ask("POST", "/api/joining", """
            {"code": "%s", "person": {"login": "%s", "name": "%s", "password": "%s"}}""".formatted(code, login, login, PASSWORD));
        return newcomer;
    }

    /** Each operation once, with ids of the invited site in its path and its body; what it changed there is looked up. */
    private void walk(String who, Visitor visitor, Walker as) throws Exception {
        String before = snapshot();
        for (Operation operation : operations()) {
            if (operation.least().equals("ANYBODY")
                    || operation.path().matches("/api/(own/(place|sites)|site/|session/site).*")) {
                continue;
            }
            HttpResponse<String> answer = visitor.send(operation.method(), operation.filled(), operation.body());
            count("operations asked as " + who);
            check(operation.named() + " as " + who, answer);
            String after = snapshot();
            if (!after.equals(before) && as != Walker.HELPER && !ofTheirOwn(operation, as)) {
                fault("changed something as " + who, operation.named());
            }
            before = after;
            judge(operation, answer, who, as);
        }
    }

    private void judge(Operation operation, HttpResponse<String> answer, String who, Walker as) {
        int status = answer.statusCode();
        switch (as) {
            case NOBODY -> {
                if (status != 401) {
                    fault("answered nobody with " + status, operation.named());
                }
            }
            case STRANGER -> {
                if (status < 400 && MARKS.stream().anyMatch(answer.body()::contains)) {
                    fault("told a person of another site", operation.named());
                }
            }
            case VIEWER -> {
                boolean theirs =
                        operation.least().equals("VIEWER") || operation.least().equals("PERSON");
                if (!theirs && status != 403) {
                    fault("answered a viewer with " + status, operation.named());
                }
            }
            case HELPER -> {
                if (operation.least().equals("KEEPER") && status != 403) {
                    fault("answered a helper with " + status, operation.named());
                }
            }
        }
    }

    /** What a viewer may have of their own: mails and calendars. */
    private static boolean ofTheirOwn(Operation operation, Walker as) {
        return as == Walker.VIEWER && operation.path().matches("/api/(digest|calendars).*");
    }

    private void badTokens(Visitor marit) throws Exception {
        long tank = id("tank");
        byte[] body = "{}".getBytes(StandardCharsets.UTF_8);
        String before = snapshot();
        for (String token : List.of("", "x", UUID.randomUUID().toString())) {
            expect(
                    403,
                    marit.sendBytes("DELETE", "/api/tanks/" + tank, body, "application/json", token),
                    "a wrong token");
        }
        Visitor forged = server.visitor();
        forged.get("/api/session");
        String real = marit.cookie("chervil_session").orElseThrow();
        for (String session :
                List.of("", "x", UUID.randomUUID().toString(), real.substring(1), real + "A", "../../etc/passwd")) {
            forged.forge("chervil_session", session);
            expect(401, forged.send("GET", "/api/tanks", ""), "a forged session");
        }
        if (!snapshot().equals(before)) {
            fault("changed something", "with a bad token");
        }
    }

    private void badBodies(Visitor marit) throws Exception {
        String token = marit.cookie("XSRF-TOKEN").orElseThrow();
        List<byte[]> bodies = List.of(
                "{".getBytes(StandardCharsets.UTF_8),
                "[".repeat(50_000).getBytes(StandardCharsets.UTF_8),
                new byte[] {(byte) 0xC3, 0x28, (byte) 0xFF},
                "<a/>".getBytes(StandardCharsets.UTF_8),
                "a=b&c=d".getBytes(StandardCharsets.UTF_8),
                ("{\"name\": \"" + "x".repeat(2_000_000) + "\"}").getBytes(StandardCharsets.UTF_8));
        List<String> types =
                List.of("application/json", "text/plain", "application/xml", "multipart/form-data; boundary=x", "x/y");
        for (Operation operation : operations()) {
            if (!operation.takesJson()
                    || operation.path().matches("/api/(session|own|setup|joining|recovery|site/).*|.*/import")) {
                continue;
            }
            for (byte[] body : bodies) {
                for (String type : types) {
                    HttpResponse<String> answer =
                            marit.sendBytes(operation.method().toUpperCase(), operation.filled(), body, type, token);
                    count("bodies that are none");
                    check(operation.named() + " with " + type, answer);
                    if (answer.statusCode() < 400) {
                        fault("took a body that is none", operation.named() + " " + type);
                    }
                }
            }
        }
    }

    private void badValues(Visitor marit) throws Exception {
        for (Operation operation : operations()) {
            if (!operation.takesJson()
                    || operation.path().matches("/api/(session|own|setup|joining|recovery|site/).*|.*/import")) {
                continue;
            }
            JsonNode body = json.readTree(operation.body());
            for (String pointer : ApiExamples.pointers(body)) {
                for (String nasty : ApiExamples.NASTY) {
                    HttpResponse<String> answer =
                            marit.send(operation.method(), operation.filled(), examples.with(body, pointer, nasty));
                    count("values replaced");
                    check(
                            operation.named() + " with " + pointer + " = "
                                    + nasty.substring(0, Math.min(30, nasty.length())),
                            answer);
                    if (answer.statusCode() == 422 && !answer.body().contains("\"field\"")) {
                        fault("refused without a field", operation.named() + " " + pointer);
                    }
                }
            }
        }
    }

    private void expect(int status, HttpResponse<String> answer, String what) {
        count("bad tokens");
        if (answer.statusCode() != status) {
            fault(
                    "answered " + answer.statusCode() + " to " + what,
                    answer.uri().getPath());
        }
        check(what, answer);
    }

    /** Nothing fails on our side, and what is refused says so in the one form there is. */
    private void check(String what, HttpResponse<String> answer) {
        int status = answer.statusCode();
        if (status >= 500) {
            fault("failed with " + status, what);
        } else if (status >= 400) {
            boolean problem =
                    answer.headers().firstValue("Content-Type").orElse("").startsWith("application/problem+json")
                            && answer.body().contains("\"code\"");
            if (!problem) {
                fault("refused with " + status + " in another form", what);
            }
        }
    }

    private void count(String what) {
        counts.merge(what, 1, Integer::sum);
    }

    private void fault(String what, String where) {
        Set<String> places = faults.computeIfAbsent(what, one -> new TreeSet<>());
        if (places.size() < 40) {
            places.add(where);
        }
    }

    /** All rows of the invited site, as one sum for each table. */
    private String snapshot() throws SQLException {
        StringBuilder all = new StringBuilder();
        for (String table : tables()) {
            all.append(
                    text("select '" + table + " ' || coalesce(md5(string_agg(t::text, '' order by t::text)), '') from "
                            + table + " t where site_id = 1"));
        }
        return all.toString();
    }

    private List<String> tables = List.of();

    private List<String> tables() throws SQLException {
        if (tables.isEmpty()) {
            List<String> found = new ArrayList<>();
            try (Statement statement = database.createStatement();
                    ResultSet rows = statement.executeQuery("""
                            select table_name::text from information_schema.columns
                            where table_schema = 'public' and column_name = 'site_id' order by 1""")) {
                while (rows.next()) {
                    found.add(rows.getString(1));
                }
            }
            found.removeAll(ITS_OWN);
            tables = found;
        }
        return tables;
    }

    private String text(String query) throws SQLException {
        try (Statement statement = database.createStatement();
                ResultSet rows = statement.executeQuery(query)) {
            return rows.next() ? String.valueOf(rows.getString(1)) : "";
        }
    }

    private void execute(String statement) throws SQLException {
        try (Statement made = database.createStatement()) {
            made.execute(statement);
        }
    }

    private long id(String table) throws SQLException {
        return Long.parseLong(text("select id from " + table + " where site_id = 1 order by id limit 1"));
    }

    private List<Operation> operations = List.of();

    private List<Operation> operations() throws SQLException {
        if (operations.isEmpty()) {
            List<Operation> all = new ArrayList<>();
            for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
                for (Map.Entry<String, JsonNode> one : path.getValue().properties()) {
                    if (path.getKey().startsWith("/api/")) {
                        JsonNode schema = one.getValue().at("/requestBody/content/application~1json/schema");
                        all.add(new Operation(
                                one.getKey().toUpperCase(java.util.Locale.ROOT),
                                path.getKey(),
                                filled(path.getKey(), one.getValue()),
                                schema.isMissingNode()
                                        ? ""
                                        : examples.of(schema, "").toString(),
                                one.getValue().path("x-least").asString()));
                    }
                }
            }
            operations = all;
        }
        return operations;
    }

    private String filled(String path, JsonNode operation) throws SQLException {
        String address = path;
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : operation.path("parameters")) {
            String name = parameter.get("name").asString();
            if (parameter.get("in").asString().equals("path")) {
                address = address.replace("{" + name + "}", known(path, name));
            } else if (parameter.path("required").asBoolean(false)) {
                JsonNode made = examples.of(parameter.get("schema"), name);
                query.append(query.isEmpty() ? '?' : '&')
                        .append(name)
                        .append('=')
                        .append((made.isArray() ? made.get(0) : made).asString());
            }
        }
        return address + query;
    }

    /** An id of the invited site for a variable of a path. */
    private String known(String path, String name) throws SQLException {
        String table = PathIds.table(path, name).orElse("");
        if (table.equals("pass")) {
            return text("select left(mark, 16) from pass where site_id = 1 and used_at is null limit 1");
        }
        String found =
                table.isEmpty() ? "" : text("select id::text from " + table + " where site_id = 1 order by id limit 1");
        if (!found.isEmpty()) {
            return found;
        }
        return switch (name) {
            case "site" -> "1";
            case "kind" -> "WATER_CHANGE";
            case "name" -> "litres";
            case "key" -> "conditioner";
            default -> UUID.randomUUID().toString();
        };
    }

    private record Operation(String method, String path, String filled, String body, String least) {
        String named() {
            return method + ' ' + path;
        }

        boolean takesJson() {
            return !body.isEmpty();
        }
    }
}
