package app.chervil.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.sql.Connection;
import java.sql.DriverManager;
import java.sql.ResultSet;
import java.sql.SQLException;
import java.sql.Statement;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;
import java.util.stream.Stream;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/** Everything in one file, and back on a machine that has nothing: by {@code ./chervil}, as a keeper would. */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class BackupIT {
    private static final int DAMAGED = Integer.getInteger("chervil.damaged", 60);
    private static final String NAME = "chervil";

    @TempDir
    static Path folder;

    private static Path here;
    private static Path there;
    private static Path file;

    /** What a command said, and how it ended. */
    private record Said(int code, String words) {}

    /** The invented site in the tests' cluster, with a photo, as the data of one machine; another has nothing yet. */
    @BeforeAll
    static void twoMachines() throws Exception {
        here = Files.createDirectories(folder.resolve("here/real"));
        there = folder.resolve("there");
        file = folder.resolve("all.backup");
        admin("drop database if exists " + NAME + " with (force)");
        admin("alter database " + FirstStart.made().database(true) + " rename to " + NAME);
        execute(url(base(), NAME), """
                insert into photo (id, site_id, service_id, moment, taken_at, taken_by, content_type, bytes)
                select gen_random_uuid(), site_id, id, 'AFTER', now(), 'Marit', 'image/jpeg',
                       '\\xffd8ff'::bytea || decode(repeat('00ff10', 300000), 'hex')
                from service limit 1""");
        Path cluster = Path.of("..", ".chervil", "test");
        Files.copy(cluster.resolve("pg-place"), here.resolve("pg-place"));
        Files.copy(cluster.resolve("pg-port"), here.resolve("pg-port"));
        Files.copy(cluster.resolve("password"), here.resolve("password"));
    }

    @AfterAll
    static void takeThemAway() throws Exception {
        Path place = there.resolve("real/pg-place");
        if (Files.exists(place)) {
            Path cluster = Path.of(Files.readString(place));
            chervil(there, "stop");
            try (Stream<Path> files = Files.walk(cluster)) {
                files.sorted(Comparator.reverseOrder())
                        .forEach(one -> one.toFile().delete());
            }
        }
        admin("drop database if exists " + NAME + " with (force)");
    }

    @Test
    @Order(1)
    void what_is_backed_up_comes_back_row_by_row_and_byte_by_byte() throws Exception {
        Said made = chervil(here.getParent(), "backup", file.toString());
        assertThat(made.code()).as(made.words()).isZero();

        Said back = chervil(there, "restore", file.toString());

        assertThat(back.code()).as(back.words()).isZero();
        assertThat(sums(base())).hasSizeGreaterThan(40).isEqualTo(sums(elsewhere()));
        assertThat(chervil(there, "verify").words()).contains("Everything that must be true is.");
    }

    @Test
    @Order(2)
    void data_that_is_there_is_not_overwritten_unless_that_is_said() throws Exception {
        Said refused = chervil(there, "restore", file.toString());
        Said said = chervil(there, "restore", file.toString(), "--replace");

        assertThat(refused.code()).isNotZero();
        assertThat(refused.words()).contains("there is data here already");
        assertThat(said.code()).as(said.words()).isZero();
        assertThat(sums(base())).isEqualTo(sums(elsewhere()));
    }

    @Test
    @Order(3)
    void every_damaged_or_foreign_file_is_refused_and_changes_nothing() throws Exception {
        byte[] whole = Files.readAllBytes(file);
        Map<String, String> before = sums(elsewhere());
        Path damaged = folder.resolve("damaged.backup");

        for (int seed = 1; seed <= DAMAGED; seed++) {
            Files.write(damaged, damage(whole, new Random(seed)));
            Said said = chervil(there, "restore", damaged.toString(), "--replace");
            assertThat(said.code()).as("damage %d: %s", seed, said.words()).isNotZero();
        }

        assertThat(sums(elsewhere())).isEqualTo(before);
    }

    @Test
    @Order(4)
    void a_sealed_one_opens_by_its_passphrase_alone() throws Exception {
        Path sealed = folder.resolve("sealed.backup");
        Path right = Files.writeString(folder.resolve("right"), "Forelle im Bach");
        Path wrong = Files.writeString(folder.resolve("wrong"), "Forelle im Teich");
        chervil(here.getParent(), "backup", sealed.toString(), "--passphrase-file", right.toString());

        assertThat(Files.readString(sealed, StandardCharsets.ISO_8859_1)).doesNotContain("PGDMP");
        assertThat(restore(sealed).words()).contains("sealed");
        assertThat(restore(sealed, "--passphrase-file", wrong.toString()).words())
                .contains("does not open it");
        assertThat(restore(sealed, "--passphrase-file", right.toString()).code())
                .isZero();
    }

    @Test
    @Order(5)
    void a_nightly_one_lies_in_the_store_and_comes_back_from_there() throws Exception {
        Path key = Files.writeString(folder.resolve("key"), "night\nlamp \"over\" \\ slow water\n");
        try (StandInStore store = new StandInStore("night", "lamp \"over\" \\ slow water")) {
            Map<String, String> settings = Map.of(
                    "CHERVIL_BACKUP_STORE",
                    store.address("house/nights"),
                    "CHERVIL_BACKUP_STORE_KEY_FILE",
                    key.toString());
            Said made = chervil(settings, here.getParent(), "backup", "--nightly");
            assertThat(made.code()).as(made.words()).isZero();
            String name = store.names().get(0);
            assertThat(name).matches("/house/nights/chervil-\\d{8}T\\d{6}Z\\.backup");

            String place = "store:" + name.substring(name.lastIndexOf('/') + 1);
            Said back = chervil(settings, there, "restore", place, "--replace");
            assertThat(back.code()).as(back.words()).isZero();
            assertThat(sums(base())).isEqualTo(sums(elsewhere()));

            store.forget();
            Said gone = chervil(settings, here.getParent(), "backup", "--nightly");
            assertThat(gone.code()).isNotZero();
            assertThat(gone.words()).contains("the store did not keep");
            Files.writeString(key, "night\nanother secret\n");
            assertThat(chervil(settings, there, "restore", place, "--replace").words())
                    .contains("the store has no");
        }
        assertThat(Files.readString(here.resolve("backups/failed"))).contains("the store did not keep");
    }

    @Test
    @Order(6)
    void what_is_no_longer_true_is_named() throws Exception {
        execute(elsewhere(), "update account set removed_at = now()");

        Said said = chervil(there, "verify");

        assertThat(said.code()).isNotZero();
        assertThat(said.words()).contains("1 broken: every site has a keeper");
    }

    private static Said restore(Path from, String... more) throws Exception {
        List<String> words = new ArrayList<>(List.of("restore", from.toString(), "--replace"));
        words.addAll(List.of(more));
        return chervil(there, words.toArray(String[]::new));
    }

    /** Bytes changed, lost, doubled or put in, here and there; or another file altogether. */
    private static byte[] damage(byte[] whole, Random luck) {
        int at = luck.nextInt(whole.length);
        return switch (luck.nextInt(6)) {
            case 0 -> Arrays.copyOf(whole, at);
            case 1 -> with(whole, luck.nextInt(90), luck);
            case 2 -> concat(Arrays.copyOf(whole, at), Arrays.copyOfRange(whole, Math.max(0, at - 1), whole.length));
            case 3 -> concat(whole, new byte[] {(byte) luck.nextInt(256)});
            case 4 -> "Not a backup at all".getBytes(StandardCharsets.UTF_8);
            default -> with(whole, at, luck);
        };
    }

    private static byte[] with(byte[] whole, int at, Random luck) {
        byte[] changed = whole.clone();
        changed[at] ^= (byte) (1 + luck.nextInt(255));
        return changed;
    }

    private static byte[] concat(byte[] first, byte[] second) {
        byte[] both = Arrays.copyOf(first, first.length + second.length);
        System.arraycopy(second, 0, both, first.length, second.length);
        return both;
    }

    private static Said chervil(Path state, String... words) throws IOException, InterruptedException {
        return chervil(Map.of(), state, words);
    }

    private static Said chervil(Map<String, String> settings, Path state, String... words)
            throws IOException, InterruptedException {
        List<String> command = new ArrayList<>(List.of("../chervil"));
        command.addAll(List.of(words));
        ProcessBuilder builder = new ProcessBuilder(command).redirectErrorStream(true);
        builder.environment().putAll(settings);
        builder.environment().put("CHERVIL_STATE", state.toAbsolutePath().toString());
        Process process = builder.start();
        process.getOutputStream().close();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        return new Said(process.waitFor(), said);
    }

    /** A sum of every table's rows, whatever their order. */
    private static Map<String, String> sums(String database) throws SQLException {
        Map<String, String> sums = new TreeMap<>();
        try (Connection connection = DriverManager.getConnection(database);
                Statement statement = connection.createStatement()) {
            List<String> tables = new ArrayList<>();
            try (ResultSet names = statement.executeQuery(
                    "select table_name from information_schema.tables where table_schema = 'public'")) {
                while (names.next()) {
                    tables.add(names.getString(1));
                }
            }
            for (String table : tables) {
                try (ResultSet sum =
                        statement.executeQuery("select count(*) || ' ' || coalesce(md5(string_agg(md5(t::text), ''"
                                + " order by md5(t::text))), '') from \"" + table + "\" t")) {
                    sum.next();
                    sums.put(table, sum.getString(1));
                }
            }
        }
        return sums;
    }

    private static String base() {
        return url(System.getenv("CHERVIL_DB_BASE"), NAME);
    }

    private static String elsewhere() throws IOException {
        String port = Files.readString(there.resolve("real/pg-port"));
        String password = Files.readString(there.resolve("real/password"));
        return "jdbc:postgresql://127.0.0.1:" + port + "/" + NAME + "?user=chervil&password=" + password;
    }

    private static String url(String base, String name) {
        if (base.contains("?")) {
            return base;
        }
        return base + "/" + name + "?user=" + System.getenv("CHERVIL_DB_USER") + "&password="
                + System.getenv("CHERVIL_DB_PASSWORD");
    }

    private static void admin(String statement) throws SQLException {
        execute(url(System.getenv("CHERVIL_DB_BASE"), "postgres"), statement);
    }

    private static void execute(String database, String text) throws SQLException {
        try (Connection connection = DriverManager.getConnection(database);
                Statement statement = connection.createStatement()) {
            statement.execute(text);
        }
    }
}
