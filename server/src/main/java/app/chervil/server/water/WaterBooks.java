package app.chervil.server.water;

import app.chervil.core.water.Hold;
import app.chervil.core.water.Medication;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Replacement;
import app.chervil.core.water.WaterBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.DisturbanceBook;
import app.chervil.server.interval.HoldBook;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.tank.TankView;
import app.chervil.server.water.WaterRows.MedicationRow;
import app.chervil.server.water.WaterRows.ReadingRow;
import app.chervil.server.water.WaterRows.ReplacementRow;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Component;

/** Stored rows as the core's water books: one query a table, however many tanks. */
@Component
class WaterBooks implements HoldBook, DisturbanceBook {
    /** Enough to see a spike and its clearing; older readings cannot change a hold that is in force. */
    private static final int MOST_RECENT = 60;

    private static final List<String> DECIDING =
            List.of(Parameter.AMMONIA.name(), Parameter.NITRITE.name(), Parameter.NITRATE.name());

    private final TankOperations tanks;
    private final ReadingMapper readings;
    private final HusbandryMapper husbandry;
    private final Clock clock;

    WaterBooks(TankOperations tanks, ReadingMapper readings, HusbandryMapper husbandry, Clock clock) {
        this.tanks = tanks;
        this.readings = readings;
        this.husbandry = husbandry;
        this.clock = clock;
    }

    @Override
    public Map<Long, List<Hold>> holds(SignedIn who, @Nullable Long tank, LocalDate on) {
        return books(who, tank).entrySet().stream()
                .map(entry -> Map.entry(entry.getKey(), entry.getValue().holds(on)))
                .filter(entry -> !entry.getValue().isEmpty())
                .collect(Collectors.toMap(Map.Entry::getKey, Map.Entry::getValue));
    }

    /**
     * The books by tank id.
     *
     * @param tank null for all tanks of the site
     */
    Map<Long, WaterBook> books(SignedIn who, @Nullable Long tank) {
        Map<Long, List<ReadingRow>> read = readings.listRecent(who.siteId(), tank, DECIDING, MOST_RECENT).stream()
                .collect(Collectors.groupingBy(ReadingRow::tankId));
        Map<Long, List<MedicationRow>> given = husbandry.listMedications(who.siteId(), tank).stream()
                .collect(Collectors.groupingBy(MedicationRow::tankId));
        Map<Long, List<ReplacementRow>> replaced = husbandry.listReplacements(who.siteId(), tank).stream()
                .collect(Collectors.groupingBy(ReplacementRow::tankId));
        return tanks.list(who).stream()
                .filter(one -> tank == null || one.id() == tank)
                .collect(Collectors.toMap(TankView::id, one -> {
                    long id = one.id();
                    return book(
                            one.tank().establishedOn(),
                            core(read.getOrDefault(id, List.of())),
                            given.getOrDefault(id, List.of()),
                            replaced.getOrDefault(id, List.of()));
                }));
    }

    /** A tank's book with other readings than the latest, for looking back. */
    WaterBook book(
            LocalDate established,
            List<Reading> readings,
            List<MedicationRow> medications,
            List<ReplacementRow> replacements) {
        return new WaterBook(
                established,
                readings,
                medications.stream()
                        .map(row -> new Medication(row.firstDay(), Optional.ofNullable(row.lastDay())))
                        .toList(),
                replacements.stream().map(WaterBooks::replacement).toList());
    }

    List<Reading> core(List<ReadingRow> rows) {
        return rows.stream()
                .flatMap(row -> row.toCore(clock.getZone()).stream())
                .toList();
    }

    @Override
    public List<Earlier> disturbances(SignedIn who, long tank) {
        return replaced(who, tank).stream()
                .map(row -> new Earlier(row.replacedOn(), "replace part of the bio media"))
                .toList();
    }

    /** Exchanges of bio media, of one tank or all. */
    List<ReplacementRow> replaced(SignedIn who, @Nullable Long tank) {
        return husbandry.listReplacements(who.siteId(), tank);
    }

    static Replacement replacement(ReplacementRow row) {
        return new Replacement(row.replacedOn(), row.grams());
    }
}
