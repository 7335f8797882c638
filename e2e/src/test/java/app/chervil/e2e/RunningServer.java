package app.chervil.e2e;

import static java.net.HttpURLConnection.HTTP_OK;

import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpResponse;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Deque;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/** The packaged server as its own process, on a database and port of its own. Those of journeys stay for the next journey. */
final class RunningServer implements AutoCloseable {
    private static final String CODE = "SETUP-CODE ";

    /** Room for a machine that does much else besides; what holds is seen at once all the same. */
    private static final double PATIENCE_MS = 30_000;

    /** The same room for what a server waits for; how soon it says that its records are away is tested without a browser. */
    private static final List<String> PATIENT = List.of(
            "--spring.datasource.hikari.connection-timeout=20000",
            "--spring.datasource.hikari.validation-timeout=10000");

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    /** Servers that stay while this process lives, by whether they have the invented site. */
    private static final Map<Boolean, RunningServer> KEPT = new HashMap<>();

    /** For longer than a pool hands out a connection unasked after it was used. */
    private static final Duration POOL_ASKS_AGAIN = Duration.ofMillis(700);

    /** What of its log is kept. */
    private static final int LINES = 60;

    private final Deque<String> said = new ArrayDeque<>();
    private final ProcessBuilder builder;
    private final int port;
    private final String database;
    private Process process;
    private String setupCode = "";
    private int renewed;

    private RunningServer(ProcessBuilder builder, int port, String database) throws IOException {
        this.builder = builder;
        this.port = port;
        this.database = database;
        this.process = builder.start();
    }

    /** The demo as it is at first. */
    static RunningServer demo() {
        return kept(true);
    }

    /** A machine on which nobody has an account. */
    static RunningServer empty() {
        return kept(false);
    }

    /** The demo with settings of its own, in a process of its own. */
    static RunningServer demo(Map<String, String> environment) {
        try {
            return start(environment, List.of(), true);
        } catch (IOException failure) {
            throw new IllegalStateException("Could not start the server", failure);
        }
    }

    /**
     * One that an earlier journey used, on a new database under the old name: starting a server and warming it is most of what
     * it would do for a journey.
     */
    private static RunningServer kept(boolean demo) {
        try {
            RunningServer known = KEPT.get(demo);
            if (known != null && known.process.isAlive()) {
                known.renew(demo);
                return known;
            }
            RunningServer server = start(Map.of(), PATIENT, demo);
            Runtime.getRuntime().addShutdownHook(new Thread(server::kill));
            KEPT.put(demo, server);
            return server;
        } catch (IOException failure) {
            throw new IllegalStateException("Could not start the server", failure);
        }
    }

    private static RunningServer start(Map<String, String> environment, List<String> also, boolean demo)
            throws IOException {
        int port = environment.containsKey("CHERVIL_PORT")
                ? Integer.parseInt(environment.get("CHERVIL_PORT"))
                : freePort();
        FirstStart first = FirstStart.made();
        List<String> flags = new ArrayList<>(also);
        if (demo) {
            flags.add(FirstStart.DEMO);
        }
        ProcessBuilder builder = first.command(flags);
        String database = first.database(demo);
        builder.environment().put("CHERVIL_DB_URL", FirstStart.url(database));
        builder.environment().put("CHERVIL_PORT", Integer.toString(port));
        builder.environment().putAll(environment);
        RunningServer server = new RunningServer(builder, port, database);
        server.awaitStart();
        return server;
    }

    private void renew(boolean demo) throws IOException {
        renewed++;
        FirstStart.made().renew(database, demo, renewed);
        try {
            Thread.sleep(POOL_ASKS_AGAIN.toMillis());
            HttpClient client = HttpClient.newHttpClient();
            HttpRequest ready = HttpRequest.newBuilder(URI.create(url("/manage/health/readiness")))
                    .build();
            while (client.send(ready, HttpResponse.BodyHandlers.discarding()).statusCode() != HTTP_OK) {
                Thread.sleep(50);
            }
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException(stopped);
        }
    }

    String url(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    String setupCode() {
        return setupCode;
    }

    /** Ends the server without a word, as a power cut would. */
    void kill() {
        process.destroyForcibly().onExit().join();
    }

    /** Starts it again on the same port and database. */
    void startAgain() {
        try {
            process = builder.start();
            awaitStart();
        } catch (IOException failure) {
            throw new IllegalStateException("Could not start the server again", failure);
        }
    }

    /** Ends it, unless it stays for another journey. */
    @Override
    public void close() {
        if (!KEPT.containsValue(this)) {
            process.destroy();
        }
    }

    private void awaitStart() throws IOException {
        BufferedReader output =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder first = new StringBuilder();
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            first.append(line).append('\n');
            if (line.startsWith(CODE)) {
                setupCode = line.substring(CODE.length());
            }
            if (line.contains("Started ChervilApplication")) {
                drain(output);
                return;
            }
        }
        throw new IllegalStateException("The server ended before it was ready:\n" + first);
    }

    /** Reads on, so that the process never blocks on a full pipe. */
    private void drain(BufferedReader output) {
        Thread reader = new Thread(() -> {
            try {
                for (String line = output.readLine(); line != null; line = output.readLine()) {
                    remember(line);
                }
            } catch (IOException closed) {
                throw new UncheckedIOException(closed);
            }
        });
        reader.setDaemon(true);
        reader.setUncaughtExceptionHandler((thread, closed) -> {});
        reader.start();
    }

    private void remember(String line) {
        synchronized (said) {
            said.add(line);
            while (said.size() > LINES) {
                said.remove();
            }
        }
    }

    /** The last lines of its log. */
    String saidLast() {
        synchronized (said) {
            return String.join("\n", said);
        }
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }
}
