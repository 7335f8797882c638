package app.chervil.e2e;

import java.io.IOException;
import java.io.RandomAccessFile;
import java.nio.channels.FileLock;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * What one start of the demo leaves behind for all that follow: a database with the invented site, which others are copied
 * from, and an archive of loaded classes. Made once for a build, by whichever journey comes first.
 */
final class FirstStart {
    static final String DEMO = "--chervil.demo=true";

    private static final Path TARGET = Path.of("target").toAbsolutePath();

    private final String template;
    private final Path archive;

    private FirstStart(String template, Path archive) {
        this.template = template;
        this.archive = archive;
    }

    static FirstStart made() throws IOException {
        Path jar = jar();
        // The invented site is dated from the day it is made.
        String build = LocalDate.now(ZoneOffset.UTC).toEpochDay() + "_"
                + Long.toHexString(Files.getLastModifiedTime(jar).toMillis());
        FirstStart first = new FirstStart("chervil_demo_" + build, TARGET.resolve("classes-" + build + ".jsa"));
        try (RandomAccessFile file =
                        new RandomAccessFile(TARGET.resolve("first-start.lock").toFile(), "rw");
                FileLock lock = file.getChannel().lock()) {
            if (!lock.isValid()) {
                throw new IOException("no lock for the first start");
            }
            if (!exists(first.template) || !Files.exists(first.archive)) {
                first.make();
            }
        }
        return first;
    }

    private void make() throws IOException {
        execute("drop database if exists " + template + " with (force)");
        String name = "chervil_" + UUID.randomUUID().toString().replace("-", "");
        execute("create database " + name);
        ProcessBuilder builder = command(List.of("-XX:ArchiveClassesAtExit=" + archive), List.of(DEMO));
        builder.environment().put("CHERVIL_DB_URL", url(name));
        builder.environment().put("CHERVIL_PORT", "0");
        Path log = TARGET.resolve("first-start.log");
        Process process = builder.redirectOutput(log.toFile()).start();
        while (!Files.readString(log).contains("Started ChervilApplication")) {
            if (!process.isAlive()) {
                throw new IOException("The server ended before it was ready; see " + log);
            }
            pause();
        }
        process.destroy();
        process.onExit().join();
        execute("alter database " + name + " rename to " + template);
    }

    private static void pause() throws IOException {
        try {
            Thread.sleep(100);
        } catch (InterruptedException stopped) {
            Thread.currentThread().interrupt();
            throw new IOException(stopped);
        }
    }

    /** The packaged server as a command, to be given a database and a port. */
    static ProcessBuilder command(List<String> java, List<String> flags) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(Path.of(System.getProperty("java.home"), "bin", "java").toString());
        command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
        command.addAll(java);
        command.addAll(List.of("-jar", jar().toString()));
        command.addAll(flags);
        return new ProcessBuilder(command).redirectErrorStream(true);
    }

    String archiveFlag() {
        return "-XX:SharedArchiveFile=" + archive;
    }

    /** Address of a new database with the invented site. */
    String demo() {
        return fresh(" template " + template);
    }

    /** Address of a new database with nothing in it. */
    static String empty() {
        return fresh("");
    }

    private static String fresh(String like) {
        String name = "chervil_" + UUID.randomUUID().toString().replace("-", "");
        execute("create database " + name + like);
        return url(name);
    }

    private static Path jar() throws IOException {
        try (Stream<Path> files = Files.list(Path.of("..", "server", "target"))) {
            return files.filter(file -> file.getFileName().toString().matches("chervil-server-[0-9.]+\\.jar"))
                    .findFirst()
                    .orElseThrow();
        }
    }

    private static String url(String name) {
        String base = System.getenv("CHERVIL_DB_BASE");
        if (base == null) {
            throw new IllegalStateException("CHERVIL_DB_BASE is not set: run the tests with ./chervil test");
        }
        return base + "/" + name;
    }

    private static boolean exists(String name) {
        try (Connection connection = connection();
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("select 1 from pg_database where datname = '" + name + "'")) {
            return found.next();
        } catch (SQLException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private static void execute(String sql) {
        try (Connection connection = connection();
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        } catch (SQLException failure) {
            throw new IllegalStateException(sql, failure);
        }
    }

    private static Connection connection() throws SQLException {
        return DriverManager.getConnection(
                url("postgres"), System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"));
    }
}
