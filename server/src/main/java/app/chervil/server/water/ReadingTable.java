package app.chervil.server.water;

import app.chervil.server.table.Csv;
import app.chervil.server.water.TransferOperations.RowProblem;
import app.chervil.server.water.WaterRows.ReadingRow;
import java.io.IOException;
import java.io.StringReader;
import java.io.StringWriter;
import java.io.UncheckedIOException;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.time.format.DateTimeParseException;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.UUID;
import java.util.regex.Pattern;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVParser;
import org.apache.commons.csv.CSVPrinter;
import org.apache.commons.csv.CSVRecord;
import org.springframework.stereotype.Component;

/** Readings as comma-separated values: a row a time, a column a parameter with its unit in the heading. */
@Component
class ReadingTable {
    private static final String TIME = "Time";
    private static final String EARLY = "Read early";
    private static final int MOST_PROBLEMS = 200;
    private static final int FIRST_YEAR = 1950;
    private static final Pattern NUMBER = Pattern.compile("[+-]?\\d{1,9}([.,]\\d{0,9})?");

    private final Clock clock;

    ReadingTable(Clock clock) {
        this.clock = clock;
    }

    /** What was read from a file. */
    record Parsed(List<ReadingRow> rows, List<String> columns, List<RowProblem> problems) {}

    String write(List<ParameterView> parameters, List<ReadingRow> readings) {
        Map<Instant, Map<String, ReadingRow>> byTime = new TreeMap<>();
        readings.forEach(row -> byTime.computeIfAbsent(
                        row.takenAt().truncatedTo(ChronoUnit.SECONDS), key -> new LinkedHashMap<>())
                .put(row.parameter(), row));
        StringWriter text = new StringWriter();
        try (CSVPrinter printer = new CSVPrinter(text, CSVFormat.RFC4180)) {
            List<String> heading = new ArrayList<>(List.of(TIME));
            parameters.forEach(parameter -> heading.add(heading(parameter)));
            heading.add(EARLY);
            printer.printRecord(heading);
            for (Map.Entry<Instant, Map<String, ReadingRow>> row : byTime.entrySet()) {
                printer.printRecord(cells(parameters, row.getKey(), row.getValue()));
            }
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
        return text.toString();
    }

    private List<String> cells(List<ParameterView> parameters, Instant at, Map<String, ReadingRow> row) {
        List<String> cells = new ArrayList<>();
        cells.add(LocalDateTime.ofInstant(at, clock.getZone()).toString());
        List<String> early = new ArrayList<>();
        for (ParameterView parameter : parameters) {
            Optional<ReadingRow> reading = Optional.ofNullable(row.get(parameter.code()));
            cells.add(reading.map(one -> (one.belowDetection() ? "<" : "") + plain(one.amount()))
                    .orElse(""));
            reading.filter(ReadingRow::early).ifPresent(one -> early.add(parameter.label()));
        }
        cells.add(Csv.harmless(String.join("; ", early)));
        return cells;
    }

    Parsed read(List<ParameterView> parameters, long tank, String csv, String by) {
        List<RowProblem> problems = new ArrayList<>();
        List<ReadingRow> rows = new ArrayList<>();
        List<String> understood = new ArrayList<>();
        CSVFormat format = CSVFormat.RFC4180
                .builder()
                .setHeader()
                .setSkipHeaderRecord(true)
                .setIgnoreEmptyLines(true)
                .setTrim(true)
                .setDelimiter(Csv.delimiter(csv))
                .setAllowMissingColumnNames(true)
                .get();
        try (CSVParser parser = CSVParser.parse(new StringReader(Csv.withoutMark(csv)), format)) {
            Map<String, ParameterView> columns = columns(parameters, parser.getHeaderNames(), problems);
            understood.addAll(columns.keySet());
            if (problems.isEmpty()) {
                for (CSVRecord record : parser) {
                    new Line(record, columns, tank, by).read(rows, problems);
                }
            }
        } catch (IOException | UncheckedIOException | IllegalArgumentException | IllegalStateException failure) {
            problems.add(new RowProblem(1, "", "This is no table of comma-separated values."));
        }
        return new Parsed(rows, understood, problems.subList(0, Math.min(problems.size(), MOST_PROBLEMS)));
    }

    private static String heading(ParameterView parameter) {
        return Csv.harmless(
                parameter.unit().isEmpty() ? parameter.label() : parameter.label() + " (" + parameter.unit() + ")");
    }

    private static String plain(double value) {
        return java.math.BigDecimal.valueOf(value).stripTrailingZeros().toPlainString();
    }

    private static Map<String, ParameterView> columns(
            List<ParameterView> parameters, List<String> headings, List<RowProblem> problems) {
        Map<String, ParameterView> columns = new LinkedHashMap<>();
        if (!headings.contains(TIME)) {
            problems.add(new RowProblem(1, TIME, "There is no column \"" + TIME + "\"."));
        }
        if (headings.stream().filter(TIME::equals).count() > 1) {
            problems.add(new RowProblem(1, TIME, "This column is there twice."));
        }
        for (String heading : headings) {
            if (heading.equals(TIME) || heading.equals(EARLY) || heading.isEmpty()) {
                continue;
            }
            Optional<ParameterView> found = parameters.stream()
                    .filter(parameter -> heading(parameter).equalsIgnoreCase(heading))
                    .findFirst();
            if (found.filter(columns::containsValue).isPresent()) {
                problems.add(new RowProblem(1, heading, "This column is there twice."));
            }
            found.ifPresentOrElse(
                    parameter -> columns.put(heading, parameter),
                    () -> problems.add(new RowProblem(
                            1,
                            heading,
                            "No parameter of this name and unit. Known are: "
                                    + String.join(
                                            ", ",
                                            parameters.stream()
                                                    .map(ReadingTable::heading)
                                                    .toList())
                                    + ".")));
        }
        return columns;
    }

    /** One row being read. */
    private final class Line {
        private final CSVRecord record;
        private final Map<String, ParameterView> columns;
        private final long tank;
        private final String by;
        private final long number;

        Line(CSVRecord record, Map<String, ParameterView> columns, long tank, String by) {
            this.record = record;
            this.columns = columns;
            this.tank = tank;
            this.by = by;
            this.number = record.getRecordNumber() + 1;
        }

        void read(List<ReadingRow> rows, List<RowProblem> problems) {
            Optional<Instant> at = time(record.get(TIME));
            if (at.isEmpty() || at.get().isAfter(clock.instant())) {
                problems.add(new RowProblem(
                        number,
                        TIME,
                        at.isEmpty()
                                ? "\"" + record.get(TIME) + "\" is no time such as 2026-05-31T18:30."
                                : "This time has not come yet."));
                return;
            }
            List<String> early = record.isMapped(EARLY) && record.isSet(EARLY)
                    ? Arrays.stream(record.get(EARLY).split(";"))
                            .map(one -> one.strip().toLowerCase(Locale.ROOT))
                            .toList()
                    : List.of();
            columns.forEach((heading, parameter) -> {
                String cell = record.isSet(heading) ? record.get(heading) : "";
                if (!cell.isEmpty()) {
                    boolean read = early.contains(parameter.label().toLowerCase(Locale.ROOT));
                    reading(at.get(), parameter, cell, read)
                            .ifPresentOrElse(
                                    rows::add,
                                    () -> problems.add(new RowProblem(
                                            number, heading, "\"" + cell + "\" is no value it can have.")));
                }
            });
        }

        private Optional<ReadingRow> reading(Instant at, ParameterView parameter, String cell, boolean early) {
            boolean below = cell.startsWith("<");
            String written = (below ? cell.substring(1) : cell).strip();
            if (!NUMBER.matcher(written).matches()) {
                return Optional.empty();
            }
            double amount = Double.parseDouble(written.replace(',', '.'));
            boolean possible = WaterRows.known(parameter.code())
                            .map(known -> known.possible(amount))
                            .orElse(Double.isFinite(amount))
                    && Math.abs(amount) <= 1_000_000
                    && (!below || amount > 0);
            return possible ? Optional.of(row(at, parameter, amount, below, early)) : Optional.empty();
        }

        private ReadingRow row(Instant at, ParameterView parameter, double amount, boolean below, boolean early) {
            String same = tank + " " + at + " " + parameter.code();
            return new ReadingRow(
                    UUID.nameUUIDFromBytes(same.getBytes(StandardCharsets.UTF_8)),
                    tank,
                    parameter.code(),
                    amount,
                    below,
                    Math.max(parameter.noise(), below ? amount : 0),
                    at,
                    early,
                    "",
                    Moment.PLAIN,
                    by);
        }

        private Optional<Instant> time(String text) {
            try {
                LocalDateTime local = text.contains("T") || text.contains(" ")
                        ? LocalDateTime.parse(text.replace(' ', 'T'))
                        : LocalDate.parse(text).atTime(12, 0);
                return Optional.of(local)
                        .filter(one -> one.getYear() >= FIRST_YEAR)
                        .map(one -> one.atZone(clock.getZone()).toInstant());
            } catch (DateTimeParseException noTime) {
                return Optional.empty();
            }
        }
    }
}
