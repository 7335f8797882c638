package app.chervil.server.bench;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.concurrent.TimeUnit;
import java.util.regex.Matcher;
import java.util.regex.Pattern;

/** One run of the packaged server, and somebody signed in to it. */
final class Served implements AutoCloseable {
    private static final Pattern CODE = Pattern.compile("(?m)^SETUP-CODE (\\S+)");
    private static final Duration PATIENCE = Duration.ofMinutes(3);
    private static final String LOGIN = "ada";
    private static final String PASSWORD = "a long enough password";

    /** What the keeper signs in with. */
    static final String SIGN_IN = """
            {"login": "%s", "password": "%s"}""".formatted(LOGIN, PASSWORD);

    private final Process process;
    private final Path log;
    private final String base;
    private final Visitor first;

    private Served(Process process, Path log, int port) {
        this.process = process;
        this.log = log;
        this.base = "http://127.0.0.1:" + port;
        this.first = new Visitor(base);
    }

    /**
     * Starts a server and waits until it answers.
     *
     * @param java command and flags, up to the jar
     */
    static Served start(List<String> java, Path jar, int port, Path log, boolean demo) throws Exception {
        return start(java, jar, port, log, demo ? Map.of("CHERVIL_DEMO", "true") : Map.of());
    }

    /**
     * Starts a server and waits until it answers.
     *
     * @param environment settings beside those of this process
     */
    static Served start(List<String> java, Path jar, int port, Path log, Map<String, String> environment)
            throws Exception {
        List<String> command = new ArrayList<>(java);
        command.addAll(List.of("-jar", jar.toString()));
        ProcessBuilder builder = new ProcessBuilder(command);
        builder.environment().putAll(environment);
        builder.environment().put("CHERVIL_PORT", Integer.toString(port));
        builder.redirectErrorStream(true).redirectOutput(log.toFile());
        Served served = new Served(builder.start(), log, port);
        Instant patient = Instant.now().plus(PATIENCE);
        while (!served.answers()) {
            if (!served.process.isAlive() || Instant.now().isAfter(patient)) {
                throw new IllegalStateException("the server did not start; see " + log);
            }
            TimeUnit.MILLISECONDS.sleep(50);
        }
        return served;
    }

    private boolean answers() throws InterruptedException {
        try {
            return first.send("GET", "/api/session", "").statusCode() == 200;
        } catch (IOException notYet) {
            return false;
        }
    }

    long pid() {
        return process.pid();
    }

    /** Makes the keeper's account on a fresh database. */
    void setUp() throws Exception {
        Matcher code = CODE.matcher(Files.readString(log));
        if (!code.find()) {
            throw new IllegalStateException("no setup code in " + log);
        }
        ask("POST", "/api/setup", """
                {"code": "%s", "siteName": "Bench", "keeper": {"login": "%s", "name": "Ada", "password": "%s"}}""".formatted(code.group(1), LOGIN, PASSWORD));
    }

    void signIn() throws Exception {
        ask("POST", "/api/session", SIGN_IN);
    }

    void enterDemo() throws Exception {
        ask("POST", "/api/demo-session/marit", "");
    }

    String get(String path) throws Exception {
        return first.get(path);
    }

    /** Sends a request and takes nothing but success for an answer. */
    String ask(String method, String path, String body) throws Exception {
        return first.ask(method, path, body);
    }

    /** Somebody else, with cookies of their own. */
    Visitor visitor() {
        return new Visitor(base);
    }

    /** Ends it without a word, as a power cut would. */
    void kill() {
        process.destroyForcibly().onExit().join();
    }

    @Override
    public void close() {
        process.destroy();
        process.onExit().join();
    }
}
