package app.chervil.server.water;

import app.chervil.core.site.Tank;
import app.chervil.core.water.Medication;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Replacement;
import app.chervil.core.water.WaterBook;
import app.chervil.server.book.WaterLog;
import app.chervil.server.water.WaterRows.ReadingRow;
import app.chervil.server.water.WaterRows.ReplacementRow;
import app.chervil.server.water.WaterRows.TreatmentRow;
import app.chervil.sim.future.TankToday.Water;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Stored rows as the core's water books: two statements, however many tanks. */
@Component
class WaterBooks implements WaterLog {
    /** Enough to see a spike and its clearing; older readings cannot change a hold that is in force. */
    private static final int MOST_RECENT = 60;

    private static final List<String> DECIDING =
            List.of(Parameter.AMMONIA.name(), Parameter.NITRITE.name(), Parameter.NITRATE.name());

    private final ReadingMapper readings;
    private final HusbandryMapper husbandry;
    private final Clock clock;

    WaterBooks(ReadingMapper readings, HusbandryMapper husbandry, Clock clock) {
        this.readings = readings;
        this.husbandry = husbandry;
        this.clock = clock;
    }

    @Override
    public Map<Long, Water> waters(long site, List<Tank> tanks, @Nullable Long tank) {
        Map<Long, List<ReadingRow>> read = readings.listRecent(site, tank, DECIDING, MOST_RECENT).stream()
                .collect(Collectors.groupingBy(ReadingRow::tankId));
        Map<Long, List<TreatmentRow>> treated =
                husbandry.listTreatments(site, tank).stream().collect(Collectors.groupingBy(TreatmentRow::tankId));
        return tanks.stream()
                .collect(Collectors.toMap(
                        Tank::id,
                        one -> water(
                                one,
                                core(read.getOrDefault(one.id(), List.of())),
                                treated.getOrDefault(one.id(), List.of()))));
    }

    private Water water(Tank tank, List<Reading> read, List<TreatmentRow> treated) {
        List<Replacement> replaced = all(treated, TreatmentRow::replacement);
        return new Water(
                new WaterBook(tank.establishedOn(), read, all(treated, TreatmentRow::medication), replaced),
                replaced.stream()
                        .map(one -> new Earlier(one.on(), "replace part of the bio media"))
                        .toList(),
                treated.stream()
                        .flatMap(row -> row.changed(clock.getZone()).stream())
                        .findFirst());
    }

    private static <T> List<T> all(List<TreatmentRow> rows, Function<TreatmentRow, Optional<T>> of) {
        return rows.stream().flatMap(row -> of.apply(row).stream()).toList();
    }

    /** Readings of a tank from one day to another, both with all their hours, oldest first. */
    List<ReadingRow> between(long site, long tank, LocalDate from, LocalDate to) {
        return readings.listBetween(site, tank, start(from), start(to.plusDays(1)));
    }

    /** Days on which water was changed, each once, oldest first. */
    List<LocalDate> changes(long site, long tank, LocalDate from, LocalDate to) {
        return husbandry.listChanges(site, tank, start(from)).stream()
                .map(change -> LocalDate.ofInstant(change.changedAt(), clock.getZone()))
                .filter(day -> !day.isAfter(to))
                .distinct()
                .toList();
    }

    /** A tank's book with other readings than the latest, for looking back. */
    WaterBook book(long site, Tank tank, List<ReadingRow> rows) {
        return new WaterBook(
                tank.establishedOn(),
                core(rows.stream().filter(WaterBooks::deciding).toList()),
                husbandry.listMedications(site, tank.id()).stream()
                        .map(row -> new Medication(row.firstDay(), Optional.ofNullable(row.lastDay())))
                        .toList(),
                husbandry.listReplacements(site, tank.id()).stream()
                        .map(WaterBooks::replacement)
                        .toList());
    }

    private static boolean deciding(ReadingRow row) {
        return row.parameter().equals(Parameter.AMMONIA.name())
                || row.parameter().equals(Parameter.NITRITE.name());
    }

    private Instant start(LocalDate day) {
        return day.atStartOfDay(clock.getZone()).toInstant();
    }

    List<Reading> core(List<ReadingRow> rows) {
        return rows.stream()
                .flatMap(row -> row.toCore(clock.getZone()).stream())
                .toList();
    }

    static Replacement replacement(ReplacementRow row) {
        return new Replacement(row.replacedOn(), row.grams());
    }
}
