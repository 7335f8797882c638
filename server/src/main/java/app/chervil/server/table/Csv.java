package app.chervil.server.table;

import java.io.IOException;
import java.io.StringReader;
import java.io.UncheckedIOException;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVRecord;

/** Comma-separated values, and those that are parted by other signs. */
public final class Csv {
    /** With which a spreadsheet takes a cell for a formula. */
    private static final String FORMULA = "=+-@\t\r";

    private Csv() {}

    /**
     * Rows of a table.
     *
     * @param rows with their line in the file, 1 for its first
     */
    public record Rows(List<String> headings, List<Row> rows) {}

    public record Row(long line, List<String> cells) {}

    /** A text that no spreadsheet runs. */
    public static String harmless(String text) {
        return !text.isEmpty() && FORMULA.indexOf(text.charAt(0)) >= 0 ? "'" + text : text;
    }

    /** The sign between cells: spreadsheets of half the world part them by semicolons, some by tabs. */
    public static String delimiter(String csv) {
        String first = csv.lines().findFirst().orElse("");
        return Stream.of(",", ";", "\t")
                .max(Comparator.comparingLong(sign ->
                        first.chars().filter(one -> one == sign.charAt(0)).count()))
                .orElse(",");
    }

    /** Without the mark that some programs write before all. */
    public static String withoutMark(String csv) {
        return csv.startsWith("\uFEFF") ? csv.substring(1) : csv;
    }

    /**
     * The whole of a table whose first row are its headings, whatever they are.
     *
     * @return empty if this is no such table
     */
    public static Optional<Rows> read(String csv) {
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setLenientEof(true)
                .setDelimiter(delimiter(csv))
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(withoutMark(csv)), format)) {
            List<Row> rows = new java.util.ArrayList<>();
            for (CSVRecord record : parser) {
                // Where a cell holds several lines, the parser stands at the last of them.
                rows.add(new Row(parser.getCurrentLineNumber(), List.of(record.values())));
            }
            return rows.isEmpty()
                    ? Optional.empty()
                    : Optional.of(new Rows(rows.get(0).cells(), rows.subList(1, rows.size())));
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException failure) {
            return Optional.empty();
        }
    }
}
