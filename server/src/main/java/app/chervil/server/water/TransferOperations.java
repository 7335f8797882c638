package app.chervil.server.water;

import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.WaterRows.ReadingRow;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.Size;
import java.time.Instant;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Readings out of and into an open table (docs/formats.md). */
@Service
public class TransferOperations {
    static final int MOST_CHARACTERS = 4_000_000;

    /** Rows a statement takes; each has twelve values, and a statement at most 65,535. */
    private static final int AT_ONCE = 1000;

    private final ReadingMapper mapper;
    private final MethodOperations methods;
    private final TankOperations tanks;
    private final ReadingTable table;

    TransferOperations(ReadingMapper mapper, MethodOperations methods, TankOperations tanks, ReadingTable table) {
        this.mapper = mapper;
        this.methods = methods;
        this.tanks = tanks;
        this.table = table;
    }

    /** The text of a file. */
    public record ImportText(
            @NotBlank(message = "Choose a file.")
            @Size(max = MOST_CHARACTERS, message = "At most 4 million characters.")
            String csv) {}

    /**
     * What a file holds.
     *
     * @param readings how many would be stored, or were
     * @param known how many of them are stored already
     * @param columns headings that were understood
     * @param problems every row or column at fault
     */
    public record ImportPreview(int readings, int known, List<String> columns, List<RowProblem> problems) {}

    /**
     * What is wrong in a file.
     *
     * @param line of the file, 1 for the headings
     * @param column heading; empty for the whole row
     */
    public record RowProblem(long line, String column, String message) {}

    /** All readings of a tank as a table. */
    @Transactional(readOnly = true)
    public String export(SignedIn who, long tank) {
        tanks.find(who, tank);
        return table.write(methods.parameters(who), mapper.listAll(who.siteId(), tank));
    }

    /** Reads a file without storing anything. */
    @Transactional(readOnly = true)
    public ImportPreview preview(SignedIn who, long tank, String csv) {
        tanks.find(who, tank);
        ReadingTable.Parsed parsed = table.read(methods.parameters(who), tank, csv, who.name());
        int known = parsed.rows().size() - fresh(who, tank, parsed.rows()).size();
        return new ImportPreview(parsed.rows().size(), known, parsed.columns(), parsed.problems());
    }

    /**
     * Stores the readings of a file; one that is stored already stays as it is, one that was taken out comes back.
     *
     * @throws Rejected if any row is at fault; then nothing is stored
     */
    @Transactional
    public ImportPreview bringIn(SignedIn who, long tank, String csv) {
        tanks.find(who, tank);
        ReadingTable.Parsed parsed = table.read(methods.parameters(who), tank, csv, who.name());
        List<ReadingRow> fresh = fresh(who, tank, parsed.rows());
        ImportPreview preview = new ImportPreview(
                parsed.rows().size(), parsed.rows().size() - fresh.size(), parsed.columns(), parsed.problems());
        new Rejected.Gatherer()
                .check(
                        preview.problems().isEmpty() && preview.readings() > 0,
                        "csv",
                        "rows-at-fault",
                        "Some rows are at fault; nothing was brought in.")
                .done();
        for (int from = 0; from < fresh.size(); from += AT_ONCE) {
            mapper.insertAll(who.siteId(), fresh.subList(from, Math.min(from + AT_ONCE, fresh.size())));
        }
        return preview;
    }

    /** Those for whose parameter and second nothing is stored yet. */
    private List<ReadingRow> fresh(SignedIn who, long tank, List<ReadingRow> rows) {
        Optional<Instant> first = rows.stream().map(ReadingRow::takenAt).min(Comparator.naturalOrder());
        Optional<Instant> last = rows.stream().map(ReadingRow::takenAt).max(Comparator.naturalOrder());
        if (first.isEmpty() || last.isEmpty()) {
            return List.of();
        }
        Set<List<Object>> stored =
                mapper.listBetween(who.siteId(), tank, first.get(), last.get().plusSeconds(1)).stream()
                        .map(TransferOperations::place)
                        .collect(Collectors.toSet());
        return rows.stream().filter(row -> stored.add(place(row))).toList();
    }

    private static List<Object> place(ReadingRow row) {
        return List.of(row.parameter(), row.takenAt().getEpochSecond());
    }
}
