package app.chervil.server.upkeep;

import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Instant;
import java.time.format.DateTimeParseException;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.TimeUnit;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.stereotype.Component;

/**
 * The backups of this server. A command outside makes them, as it does by hand, and leaves word of how it went in the folder;
 * without one there are none.
 */
@Component
class Backups {
    private static final Logger LOG = LoggerFactory.getLogger(Backups.class);
    private static final int MOST_MINUTES = 60;

    private final String command;
    private final String folder;

    Backups(@Value("${chervil.backup.command:}") String command, @Value("${chervil.backup.folder:}") String folder) {
        this.command = command;
        this.folder = folder;
    }

    /** How it stands. */
    BackupView view() {
        Optional<Word> last = word("last");
        Optional<Word> failed = word("failed");
        return new BackupView(
                !command.isBlank(),
                last.map(Word::at).orElse(null),
                last.map(Word::rest).flatMap(Backups::number).orElse(null),
                failed.map(Word::at).orElse(null),
                failed.map(Word::rest).orElse(null));
    }

    /** What the command left in a file: how it went, when, and what else there is to say. */
    private record Word(Instant at, String rest) {}

    private Optional<Word> word(String file) {
        if (folder.isBlank()) {
            return Optional.empty();
        }
        try {
            String[] parts = Files.readString(Path.of(folder, file)).strip().split(" ", 3);
            return Optional.of(new Word(Instant.parse(parts[1]), parts.length > 2 ? parts[2] : ""));
        } catch (IOException | DateTimeParseException | ArrayIndexOutOfBoundsException none) {
            return Optional.empty();
        }
    }

    private static Optional<Long> number(String text) {
        return text.matches("\\d{1,18}") ? Optional.of(Long.parseLong(text)) : Optional.empty();
    }

    /** Makes one now; what goes wrong is left in the folder by the command, or in the log. */
    void make() {
        if (command.isBlank()) {
            return;
        }
        List<String> words = Arrays.asList(command.split("\t"));
        @Nullable Process process = null;
        try {
            process = new ProcessBuilder(words).redirectErrorStream(true).start();
            String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
            if (!process.waitFor(MOST_MINUTES, TimeUnit.MINUTES) || process.exitValue() != 0) {
                LOG.warn("The nightly backup did not work: {}", said.strip());
            }
        } catch (IOException failure) {
            LOG.warn("The nightly backup could not be started", failure);
        } catch (InterruptedException stopped) {
            process.destroy();
            Thread.currentThread().interrupt();
        }
    }
}
