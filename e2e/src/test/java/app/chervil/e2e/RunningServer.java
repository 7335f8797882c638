package app.chervil.e2e;

import com.microsoft.playwright.assertions.PlaywrightAssertions;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.net.InetAddress;
import java.net.ServerSocket;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Map;

/** The packaged server as its own process, on a database and port of its own. */
final class RunningServer implements AutoCloseable {
    private static final String CODE = "SETUP-CODE ";

    /** Room for a machine that does much else besides; what holds is seen at once all the same. */
    private static final double PATIENCE_MS = 30_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    private final ProcessBuilder builder;
    private final int port;
    private Process process;
    private String setupCode = "";

    private RunningServer(ProcessBuilder builder, int port) throws IOException {
        this.builder = builder;
        this.port = port;
        this.process = builder.start();
    }

    static RunningServer demo() {
        return start(FirstStart.DEMO);
    }

    static RunningServer empty() {
        return start();
    }

    /** The demo with settings of its own. */
    static RunningServer demo(Map<String, String> environment) {
        return start(environment, FirstStart.DEMO);
    }

    private static RunningServer start(String... flags) {
        return start(Map.of(), flags);
    }

    private static RunningServer start(Map<String, String> environment, String... flags) {
        try {
            int port = environment.containsKey("CHERVIL_PORT")
                    ? Integer.parseInt(environment.get("CHERVIL_PORT"))
                    : freePort();
            FirstStart first = FirstStart.made();
            ProcessBuilder builder = first.command(List.of(flags));
            boolean demo = List.of(flags).contains(FirstStart.DEMO);
            builder.environment().put("CHERVIL_DB_URL", demo ? first.demo() : FirstStart.empty());
            builder.environment().put("CHERVIL_PORT", Integer.toString(port));
            builder.environment().putAll(environment);
            RunningServer server = new RunningServer(builder, port);
            server.awaitStart();
            return server;
        } catch (IOException failure) {
            throw new IllegalStateException("Could not start the server", failure);
        }
    }

    String url(String path) {
        return "http://127.0.0.1:" + port + path;
    }

    /** Name of its database. */
    String database() {
        String url = builder.environment().getOrDefault("CHERVIL_DB_URL", "");
        return url.substring(url.lastIndexOf('/') + 1);
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

    @Override
    public void close() {
        process.destroy();
    }

    private void awaitStart() throws IOException {
        BufferedReader output =
                new BufferedReader(new InputStreamReader(process.getInputStream(), StandardCharsets.UTF_8));
        StringBuilder said = new StringBuilder();
        for (String line = output.readLine(); line != null; line = output.readLine()) {
            said.append(line).append('\n');
            if (line.startsWith(CODE)) {
                setupCode = line.substring(CODE.length());
            }
            if (line.contains("Started ChervilApplication")) {
                drain(output);
                return;
            }
        }
        throw new IllegalStateException("The server ended before it was ready:\n" + said);
    }

    /** Reads on, so that the process never blocks on a full pipe. */
    private static void drain(BufferedReader output) {
        Thread reader = new Thread(() -> {
            try {
                while (output.readLine() != null) {}
            } catch (IOException closed) {
                throw new UncheckedIOException(closed);
            }
        });
        reader.setDaemon(true);
        reader.setUncaughtExceptionHandler((thread, closed) -> {});
        reader.start();
    }

    static int freePort() throws IOException {
        try (ServerSocket socket = new ServerSocket(0, 1, InetAddress.getLoopbackAddress())) {
            return socket.getLocalPort();
        }
    }
}
