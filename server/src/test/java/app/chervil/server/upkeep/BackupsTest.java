package app.chervil.server.upkeep;

import static org.assertj.core.api.Assertions.assertThat;

import java.io.IOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.io.TempDir;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** What the folder of backups says, and the command that fills it. */
class BackupsTest {
    @TempDir
    Path folder;

    private Backups backups(String command) {
        return new Backups(command, folder.toString());
    }

    @Test
    void of_an_empty_folder_nothing_is_known() {
        assertThat(backups("").view()).isEqualTo(new BackupView(false, null, null, null, null));
        assertThat(new Backups("make", "").view()).isEqualTo(new BackupView(true, null, null, null, null));
    }

    @Test
    void the_last_one_has_its_time_and_size() throws IOException {
        Files.writeString(folder.resolve("last"), "ok 2026-06-01T03:40:07Z 317528\n");

        BackupView view = backups("make").view();

        assertThat(view.madeAt()).isEqualTo(Instant.parse("2026-06-01T03:40:07Z"));
        assertThat(view.bytes()).isEqualTo(317_528);
        assertThat(view.failedAt()).isNull();
    }

    @Test
    void a_failure_stands_beside_the_last_that_worked() throws IOException {
        Files.writeString(folder.resolve("last"), "ok 2026-06-01T03:40:07Z 317528\n");
        Files.writeString(folder.resolve("failed"), "failed 2026-06-02T03:40:02Z chervil: the disk is full.\n");

        BackupView view = backups("make").view();

        assertThat(view.madeAt()).isNotNull();
        assertThat(view.failedAt()).isEqualTo(Instant.parse("2026-06-02T03:40:02Z"));
        assertThat(view.failure()).isEqualTo("chervil: the disk is full.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "ok", "ok yesterday 5", "\u0000\u0001"})
    void what_cannot_be_read_counts_as_unknown(String text) throws IOException {
        Files.writeString(folder.resolve("last"), text);

        assertThat(backups("make").view().madeAt()).isNull();
    }

    @Test
    void the_command_is_run_word_by_word() {
        backups("touch\t" + folder.resolve("made here")).make();

        assertThat(folder.resolve("made here")).exists();
    }

    @ParameterizedTest
    @ValueSource(strings = {"false", "/no/such/command", ""})
    void one_that_does_not_work_stops_nothing(String command) {
        backups(command).make();

        assertThat(folder).isEmptyDirectory();
    }

    /** Local time two hours ahead of UTC; nights begin at 3:40. */
    @ParameterizedTest
    @CsvSource({
        "2026-06-02T01:39:00Z, 2026-06-01T02:00:00Z, , false",
        "2026-06-02T01:41:00Z, 2026-06-01T02:00:00Z, , true",
        "2026-06-02T01:51:00Z, 2026-06-02T01:41:00Z, , false",
        "2026-06-02T09:00:00Z, 2026-05-20T01:41:00Z, , true",
        "2026-06-02T09:00:00Z, , , true",
        "2026-06-02T09:00:00Z, , 2026-06-02T08:30:00Z, false",
        "2026-06-02T09:31:00Z, , 2026-06-02T08:30:00Z, true"
    })
    void one_is_wanted_after_each_night_and_again_an_hour_after_it_failed(
            Instant now, Instant made, Instant failed, boolean wanted) {
        Clock clock = Clock.fixed(now, ZoneOffset.ofHours(2));

        assertThat(NightlyBackup.wanted(new BackupView(true, made, null, failed, null), clock))
                .isEqualTo(wanted);
        assertThat(NightlyBackup.wanted(new BackupView(false, made, null, failed, null), clock))
                .isFalse();
    }
}
