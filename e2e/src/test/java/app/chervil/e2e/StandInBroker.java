package app.chervil.e2e;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.List;
import java.util.Map;

/** A broker of its own on the loopback, that keeps what it was told when it goes down. */
final class StandInBroker implements AutoCloseable {
    private final Path folder;
    private final int port;
    private Process process;

    StandInBroker() throws IOException {
        folder = Files.createTempDirectory("chervil-broker");
        port = RunningServer.freePort();
        Files.write(
                folder.resolve("mosquitto.conf"),
                List.of(
                        "listener " + port + " 127.0.0.1",
                        "allow_anonymous true",
                        "persistence true",
                        "persistence_location " + folder + "/",
                        "max_queued_messages 100000",
                        "user " + System.getProperty("user.name")));
        process = begin();
    }

    private Process begin() throws IOException {
        return new ProcessBuilder(
                        "/usr/sbin/mosquitto",
                        "-c",
                        folder.resolve("mosquitto.conf").toString())
                .redirectErrorStream(true)
                .redirectOutput(folder.resolve("log").toFile())
                .start();
    }

    int port() {
        return port;
    }

    /** Settings of a server that hears devices through it. */
    Map<String, String> settings() {
        return Map.of("CHERVIL_MQTT_HOST", "127.0.0.1", "CHERVIL_MQTT_PORT", Integer.toString(port));
    }

    void goDown() {
        process.destroy();
        process.onExit().join();
    }

    void comeBack() throws IOException {
        process = begin();
    }

    @Override
    public void close() {
        goDown();
    }
}
