package app.chervil.server.archive;

import app.chervil.core.site.Tank;
import app.chervil.server.account.SignedIn;
import app.chervil.server.archive.ArchiveMapper.Column;
import app.chervil.server.calendar.CalendarOperations;
import app.chervil.server.table.Csv;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.TransferOperations;
import java.io.IOException;
import java.io.OutputStream;
import java.io.OutputStreamWriter;
import java.io.UncheckedIOException;
import java.io.Writer;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.Arrays;
import java.util.HashSet;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;
import java.util.zip.ZipOutputStream;
import org.apache.commons.csv.CSVFormat;
import org.apache.commons.csv.CSVPrinter;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Isolation;
import org.springframework.transaction.annotation.Transactional;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * A whole site as one ZIP: each table as JSON Lines with a JSON Schema, services and readings as CSV, photos, the plan as a
 * calendar, and a text that says what is what. All of it is of one and the same moment.
 */
@Service
public class ArchiveOperations {
    /** What is worked out from the rest, and what opens doors. */
    static final Set<String> LEFT_OUT = Set.of(
            "door",
            "pass",
            "calendar_feed",
            "brought",
            "site_revision",
            "tank_revision",
            "plan",
            "plan_visit",
            "plan_change",
            "future_run",
            "device_token",
            "device_state",
            "device_reading",
            "alert_mail");

    private final ArchiveMapper mapper;
    private final ArchiveHead head;
    private final TankOperations tanks;
    private final TransferOperations readings;
    private final CalendarOperations calendars;
    private final JsonMapper json = JsonMapper.builder().build();

    ArchiveOperations(
            ArchiveMapper mapper,
            ArchiveHead head,
            TankOperations tanks,
            TransferOperations readings,
            CalendarOperations calendars) {
        this.mapper = mapper;
        this.head = head;
        this.tanks = tanks;
        this.readings = readings;
        this.calendars = calendars;
    }

    /**
     * Writes everything of a site into a file.
     *
     * @param address under which the site is reached, for links in the calendar
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void write(SignedIn who, Path file, String address) throws IOException {
        who.mustBeKeeper();
        Map<String, List<Column>> tables = columns();
        try (OutputStream output = Files.newOutputStream(file);
                ZipOutputStream zip = new ZipOutputStream(output, StandardCharsets.UTF_8)) {
            head.write(zip, who, tables);
            for (String table : tables.keySet()) {
                rows(zip, who, table, row -> true);
            }
            otherNumbers(zip, who, row -> true);
            services(zip, who, null);
            for (Tank tank : tanks.list(who)) {
                readings(zip, who, tank);
            }
            ArchiveHead.text(zip, "plan.ics", calendars.download(who, address));
            photos(zip, who, null);
        }
    }

    /**
     * Writes one tank with its history, for another keeper: nothing of people, of Stores and of other tanks.
     *
     * @throws app.chervil.server.problem.NotFound if the site has no such tank
     */
    @Transactional(readOnly = true, isolation = Isolation.REPEATABLE_READ)
    public void writeTank(SignedIn who, Path file, long id) throws IOException {
        who.mustBeKeeper();
        Tank tank = tanks.find(who, id);
        Map<String, List<Column>> tables = columns();
        tables.keySet()
                .retainAll(Arrays.stream(ArchiveTable.values())
                        .filter(table -> table.of() != ArchiveTable.Of.STORES)
                        .map(ArchiveTable::relation)
                        .toList());
        Belonging belonging = new Belonging();
        Set<String> written = new HashSet<>();
        try (OutputStream output = Files.newOutputStream(file);
                ZipOutputStream zip = new ZipOutputStream(output, StandardCharsets.UTF_8)) {
            head.write(zip, who, tables);
            for (ArchiveTable table : ArchiveTable.values()) {
                if (table.of() == ArchiveTable.Of.SITE) {
                    rows(zip, who, table.relation(), row -> true);
                } else if (table.of() == ArchiveTable.Of.TANK) {
                    rows(zip, who, table.relation(), row -> {
                        JsonNode read = json.readTree(row);
                        boolean of = belonging
                                .tank(table, read)
                                .filter(tankId -> tankId == id)
                                .isPresent();
                        if (of && table.numbered()) {
                            written.add(table.name() + read.get("id").asLong());
                        }
                        return of;
                    });
                }
            }
            otherNumbers(zip, who, row -> written.contains(row.relation() + row.ours()));
            services(zip, who, id);
            readings(zip, who, tank);
            photos(zip, who, id);
        }
    }

    private Map<String, List<Column>> columns() {
        return mapper.listColumns().stream()
                .filter(column -> !LEFT_OUT.contains(column.relation()))
                .collect(Collectors.groupingBy(Column::relation, LinkedHashMap::new, Collectors.toList()));
    }

    private void readings(ZipOutputStream zip, SignedIn who, Tank tank) throws IOException {
        ArchiveHead.text(
                zip, "readings/" + tank.id() + "-" + plain(tank.name()) + ".csv", readings.export(who, tank.id()));
    }

    /** A file name of letters, digits and dashes. */
    private static String plain(String name) {
        String plain = name.replaceAll("[^\\p{L}\\p{N}]+", "-").replaceAll("^-|-$", "");
        return plain.substring(0, Math.min(plain.length(), 40));
    }

    private void rows(ZipOutputStream zip, SignedIn who, String table, Predicate<String> wanted) throws IOException {
        zip.putNextEntry(ArchiveHead.entry("tables/" + table + ".jsonl"));
        try (Cursor<String> rows = mapper.rows(who.siteId(), table)) {
            for (String row : rows) {
                if (wanted.test(row)) {
                    zip.write((row + '\n').getBytes(StandardCharsets.UTF_8));
                }
            }
        }
        zip.closeEntry();
    }

    private void otherNumbers(ZipOutputStream zip, SignedIn who, Predicate<OtherNumber> wanted) throws IOException {
        List<OtherNumber> numbers =
                mapper.listOtherNumbers(who.siteId()).stream().filter(wanted).toList();
        if (!numbers.isEmpty()) {
            ArchiveHead.text(
                    zip,
                    ArchiveFile.OTHER_NUMBERS,
                    numbers.stream().map(OtherNumber::line).collect(Collectors.joining()));
        }
    }

    private void photos(ZipOutputStream zip, SignedIn who, @Nullable Long tank) throws IOException {
        try (Cursor<ArchiveMapper.Picture> photos = mapper.photos(who.siteId(), tank)) {
            for (ArchiveMapper.Picture photo : photos) {
                zip.putNextEntry(ArchiveHead.entry("photos/" + photo.id() + ".jpg"));
                zip.write(photo.bytes());
                zip.closeEntry();
            }
        }
    }

    private void services(ZipOutputStream zip, SignedIn who, @Nullable Long tank) throws IOException {
        zip.putNextEntry(ArchiveHead.entry("services.csv"));
        Writer writer = new OutputStreamWriter(zip, StandardCharsets.UTF_8);
        CSVPrinter printer = new CSVPrinter(writer, CSVFormat.RFC4180);
        printer.printRecord("Date", "Tank", "Filters", "Done", "Minutes", "By", "Note");
        try (Cursor<ArchiveMapper.ServiceLine> services = mapper.services(who.siteId(), tank)) {
            services.forEach(one -> print(
                    printer,
                    one.doneOn(),
                    one.tank(),
                    one.filters(),
                    one.done(),
                    one.minutes(),
                    one.doneBy(),
                    one.note()));
        }
        printer.flush();
        zip.closeEntry();
    }

    private static void print(CSVPrinter printer, @Nullable String... cells) {
        try {
            for (@Nullable String cell : cells) {
                printer.print(Csv.harmless(Objects.requireNonNullElse(cell, "")));
            }
            printer.println();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }
}
