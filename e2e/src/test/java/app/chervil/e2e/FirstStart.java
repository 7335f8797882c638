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
 * What one start of the demo and one of an empty machine leave behind for all that follow: databases that others are copied
 * from, and the unpacked application with an archive of its loaded classes, which is what makes a start fast. Made once for a
 * build, by whichever journey comes first.
 */
final class FirstStart {
    static final String DEMO = "--chervil.demo=true";

    private static final Path TARGET = Path.of("target").toAbsolutePath();

    private final String build;
    private final Path unpacked;

    private FirstStart(String build) {
        this.build = build;
        this.unpacked = TARGET.resolve("app-" + build);
    }

    static FirstStart made() throws IOException {
        Path jar = jar(Path.of("..", "server", "target").toAbsolutePath());
        // The invented site is dated from the day it is made.
        String build = LocalDate.now(ZoneOffset.UTC).toEpochDay() + "_"
                + Long.toHexString(Files.getLastModifiedTime(jar).toMillis());
        FirstStart first = new FirstStart(build);
        try (RandomAccessFile file =
                        new RandomAccessFile(TARGET.resolve("first-start.lock").toFile(), "rw");
                FileLock lock = file.getChannel().lock()) {
            if (!lock.isValid()) {
                throw new IOException("no lock for the first start");
            }
            if (!exists(first.template(true)) || !exists(first.template(false)) || !Files.exists(first.archive())) {
                first.make(jar);
            }
        }
        return first;
    }

    private void make(Path jar) throws IOException {
        unpack(jar);
        String demo = newName();
        String empty = newName();
        Process filling = start(List.of(), List.of(DEMO), demo);
        // Ready long before the other, so that its archive is written while that one fills its site.
        Process bare = start(List.of("-XX:ArchiveClassesAtExit=" + archive()), List.of(), empty);
        end(bare, empty);
        end(filling, demo);
        rename(demo, template(true));
        rename(empty, template(false));
    }

    private Process start(List<String> java, List<String> flags, String database) throws IOException {
        execute("create database " + database);
        ProcessBuilder builder = command(java, flags);
        builder.environment().put("CHERVIL_DB_URL", url(database));
        builder.environment().put("CHERVIL_PORT", "0");
        return builder.redirectOutput(log(database).toFile()).start();
    }

    /** Ends a server once it is ready. */
    private static void end(Process process, String database) throws IOException {
        while (!Files.readString(log(database)).contains("Started ChervilApplication")) {
            if (!process.isAlive()) {
                throw new IOException("The server ended before it was ready; see " + log(database));
            }
            pause();
        }
        process.destroy();
        process.onExit().join();
        Files.delete(log(database));
    }

    private static Path log(String database) {
        return TARGET.resolve(database + ".log");
    }

    private static void rename(String database, String name) {
        execute("drop database if exists " + name + " with (force)");
        execute("alter database " + database + " rename to " + name);
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

    private String template(boolean demo) {
        return "chervil_" + (demo ? "demo_" : "empty_") + build;
    }

    /**
     * A new database.
     *
     * @param demo whether with the invented site, else with nothing in it
     * @return its name
     */
    String database(boolean demo) {
        String name = newName();
        execute("create database " + name + " template " + template(demo));
        return name;
    }

    /**
     * Puts a database as it was at first in the place of one that a server goes on with. What the server remembers is known by
     * revisions of a site, so those and the numbers of sites are ones it has not seen.
     *
     * @param times how often this was done to it
     */
    void renew(String database, boolean demo, int times) {
        execute("drop database " + database + " with (force)");
        execute("create database " + database + " template " + template(demo));
        long beyond = times * 1_000_000L;
        execute(database, "update site_revision set revision = revision + " + beyond);
        execute(database, "update tank_revision set revision = revision + " + beyond);
        execute(database, "select setval(pg_get_serial_sequence('site', 'id'), " + beyond + ")");
    }

    private static String newName() {
        return "chervil_" + UUID.randomUUID().toString().replace("-", "");
    }

    private static Path jar(Path folder) throws IOException {
        try (Stream<Path> files = Files.list(folder)) {
            return files.filter(file -> file.getFileName().toString().matches("chervil-server-[0-9.]+\\.jar"))
                    .findFirst()
                    .orElseThrow();
        }
    }

    /** Address of a database of the tests' cluster. */
    static String url(String name) {
        String base = System.getenv("CHERVIL_DB_BASE");
        if (base == null) {
            throw new IllegalStateException("CHERVIL_DB_BASE is not set: run the tests with ./chervil test");
        }
        return base + "/" + name;
    }

    private static boolean exists(String name) {
        try (Connection connection = connection("postgres");
                Statement statement = connection.createStatement();
                ResultSet found = statement.executeQuery("select 1 from pg_database where datname = '" + name + "'")) {
            return found.next();
        } catch (SQLException failure) {
            throw new IllegalStateException(failure);
        }
    }

    private static void execute(String sql) {
        execute("postgres", sql);
    }

    private static void execute(String database, String sql) {
        try (Connection connection = connection(database);
                Statement statement = connection.createStatement()) {
            statement.execute(sql);
        } catch (SQLException failure) {
            throw new IllegalStateException(sql, failure);
        }
    }

    private static Connection connection(String database) throws SQLException {
        return DriverManager.getConnection(
                url(database), System.getenv("CHERVIL_DB_USER"), System.getenv("CHERVIL_DB_PASSWORD"));
    }
}
