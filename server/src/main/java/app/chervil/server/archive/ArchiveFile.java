package app.chervil.server.archive;

import app.chervil.server.problem.Rejected;
import java.io.BufferedReader;
import java.io.IOException;
import java.io.InputStream;
import java.io.InputStreamReader;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Path;
import java.time.DateTimeException;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import java.util.zip.ZipEntry;
import java.util.zip.ZipFile;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** An archive somebody gave us, read within limits: a small file may unpack to anything. */
final class ArchiveFile implements AutoCloseable {
    static final String FORMAT = "chervil-archive";
    static final int VERSION = 1;

    /** Under which numbers rows that were brought in were known where they came from. */
    static final String OTHER_NUMBERS = "numbers.jsonl";

    /** Most that all tables may unpack to. */
    static final long MOST_BYTES = 400_000_000;

    static final int MOST_ROWS = 1_000_000;

    private static final int MOST_HEAD = 10_000;
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private final ZipFile zip;
    private final Head head;
    private long left = MOST_BYTES;
    private int rows = MOST_ROWS;

    /**
     * What it says of itself.
     *
     * @param mark of the site it is of
     */
    record Head(UUID mark, String name, Instant made) {}

    private ArchiveFile(ZipFile zip, Head head) {
        this.zip = zip;
        this.head = head;
    }

    /**
     * Opens an archive.
     *
     * @throws Rejected if it is none, or one this server cannot read
     */
    static ArchiveFile open(Path file) throws IOException {
        ZipFile zip;
        try {
            zip = new ZipFile(file.toFile());
        } catch (IOException | IllegalArgumentException unreadable) {
            throw foreign();
        }
        try {
            return new ArchiveFile(zip, head(zip));
        } catch (IOException | RuntimeException foreign) {
            zip.close();
            throw foreign;
        }
    }

    private static Head head(ZipFile zip) throws IOException {
        ZipEntry entry = zip.getEntry("archive.json");
        if (entry == null) {
            throw foreign();
        }
        try (InputStream input = zip.getInputStream(entry)) {
            JsonNode told = JSON.readTree(input.readNBytes(MOST_HEAD));
            if (!told.path("format").asString("").equals(FORMAT)) {
                throw foreign();
            }
            if (told.path("version").asInt(0) != VERSION) {
                throw Rejected.field("archive", "other-version", "This archive is of another version of Chervil.");
            }
            return new Head(
                    UUID.fromString(told.path("mark").asString("")),
                    told.path("site").asString(""),
                    Instant.parse(told.path("made").asString("")));
        } catch (JacksonException | IllegalArgumentException | DateTimeException unreadable) {
            throw foreign();
        }
    }

    private static Rejected foreign() {
        return Rejected.field("archive", "no-archive", "This is no archive of a site.");
    }

    Head head() {
        return head;
    }

    /** What is done with a line; the first is 1. */
    interface Line {
        void read(int number, String text);
    }

    /** Reads the rows of a table; none if it holds no such table. */
    void rows(ArchiveTable table, Line line) {
        lines(name(table), line);
    }

    /** What its rows are called elsewhere; a line that says nothing of the kind is passed over. */
    List<OtherNumber> otherNumbers() {
        List<OtherNumber> numbers = new ArrayList<>();
        lines(OTHER_NUMBERS, (number, text) -> OtherNumber.read(text).ifPresent(numbers::add));
        return numbers;
    }

    private void lines(String name, Line line) {
        ZipEntry entry = zip.getEntry(name);
        if (entry == null) {
            return;
        }
        try (InputStream input = zip.getInputStream(entry);
                BufferedReader reader = new BufferedReader(new InputStreamReader(input, StandardCharsets.UTF_8))) {
            StringBuilder text = new StringBuilder();
            int number = 0;
            for (int one = reader.read(); one >= 0; one = reader.read()) {
                if (one == '\n') {
                    line.read(++number, text.toString());
                    text.setLength(0);
                    spend();
                } else if (text.length() <= RowCheck.MOST_CHARACTERS) {
                    text.append((char) one);
                }
                if (--left < 0) {
                    throw tooMuch();
                }
            }
            if (!text.isEmpty()) {
                line.read(++number, text.toString());
            }
        } catch (IOException damaged) {
            throw Rejected.field("archive", "damaged", "The archive is damaged: " + name + " cannot be read.");
        }
    }

    private void spend() {
        if (--rows < 0) {
            throw tooMuch();
        }
    }

    private static Rejected tooMuch() {
        return Rejected.field("archive", "too-much", "The archive holds more than a site can.");
    }

    /** A photo's file; empty if it is not in it, or longer than a photo may be. */
    Optional<byte[]> photo(String id, int most) {
        ZipEntry entry = zip.getEntry("photos/" + id + ".jpg");
        if (entry == null) {
            return Optional.empty();
        }
        try (InputStream input = zip.getInputStream(entry)) {
            byte[] bytes = input.readNBytes(most + 1);
            return bytes.length > most ? Optional.empty() : Optional.of(bytes);
        } catch (IOException damaged) {
            return Optional.empty();
        }
    }

    static String name(ArchiveTable table) {
        return "tables/" + table.relation() + ".jsonl";
    }

    @Override
    public void close() {
        try {
            zip.close();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }
}
