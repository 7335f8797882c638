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
import java.util.Comparator;
import java.util.List;
import java.util.UUID;
import java.util.stream.Stream;

/**
 * What one start of the demo leaves behind for all that follow: a database with the invented site, which others are copied
 * from, and the unpacked application with an archive of its loaded classes, which is what makes a start fast. Made once for a build,
 * by whichever journey comes first.
 */
final class FirstStart {
    static final String DEMO = "--chervil.demo=true";

    private static final Path TARGET = Path.of("target").toAbsolutePath();

    private final String template;
    private final Path unpacked;

    private FirstStart(String template, Path unpacked) {
        this.template = template;
        this.unpacked = unpacked;
    }

    static FirstStart made() throws IOException {
        Path jar = jar(Path.of("..", "server", "target").toAbsolutePath());
        // The invented site is dated from the day it is made.
        String build = LocalDate.now(ZoneOffset.UTC).toEpochDay() + "_"
                + Long.toHexString(Files.getLastModifiedTime(jar).toMillis());
        FirstStart first = new FirstStart("chervil_demo_" + build, TARGET.resolve("app-" + build));
        try (RandomAccessFile file =
                        new RandomAccessFile(TARGET.resolve("first-start.lock").toFile(), "rw");
                FileLock lock = file.getChannel().lock()) {
            if (!lock.isValid()) {
                throw new IOException("no lock for the first start");
            }
            if (!exists(first.template) || !Files.exists(first.archive())) {
                first.make(jar);
            }
        }
        return first;
    }

    private void make(Path jar) throws IOException {
        execute("drop database if exists " + template + " with (force)");
        unpack(jar);
        String name = "chervil_" + UUID.randomUUID().toString().replace("-", "");
        execute("create database " + name);
        ProcessBuilder builder = command(List.of("-XX:ArchiveClassesAtExit=" + archive()), List.of(DEMO));
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

    /** In place of what earlier builds left. */
    private void unpack(Path jar) throws IOException {
        try (Stream<Path> files = Files.walk(TARGET)) {
            for (Path old : files.filter(
                            file -> TARGET.relativize(file).toString().startsWith("app-"))
                    .sorted(Comparator.reverseOrder())
                    .toList()) {
                Files.delete(old);
            }
        }
        List<String> command = List.of(
                java(), "-Djarmode=tools", "-jar", jar.toString(), "extract", "--destination", unpacked.toString());
        new ProcessBuilder(command)
                .redirectOutput(ProcessBuilder.Redirect.DISCARD)
                .redirectErrorStream(true)
                .start()
                .onExit()
                .join();
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
    private ProcessBuilder command(List<String> java, List<String> flags) throws IOException {
        List<String> command = new ArrayList<>();
        command.add(java());
        command.addAll(List.of("-XX:TieredStopAtLevel=1", "-XX:+UseSerialGC"));
        command.addAll(java);
        command.addAll(List.of("-jar", jar(unpacked).toString()));
        command.addAll(flags);
        return new ProcessBuilder(command).redirectErrorStream(true);
    }

    /** As {@link #command(List, List)}, started fast. */
    ProcessBuilder command(List<String> flags) throws IOException {
        return command(List.of("-XX:SharedArchiveFile=" + archive()), flags);
    }

    private static String java() {
        return Path.of(System.getProperty("java.home"), "bin", "java").toString();
    }

    private Path archive() {
        return unpacked.resolve("classes.jsa");
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

    private static Path jar(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
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
