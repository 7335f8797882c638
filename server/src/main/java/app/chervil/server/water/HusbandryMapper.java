package app.chervil.server.water;

import app.chervil.server.water.WaterRows.ChangeRow;
import app.chervil.server.water.WaterRows.MedicationRow;
import app.chervil.server.water.WaterRows.MethodRow;
import app.chervil.server.water.WaterRows.OwnRow;
import app.chervil.server.water.WaterRows.ReplacementRow;
import app.chervil.server.water.WaterRows.TreatmentRow;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tables water_change, medication, media_replacement, condition_check, test_method and own_parameter. */
@Mapper
interface HusbandryMapper {
    List<ChangeRow> listChanges(long site, long tank, Instant sinceInclusive);

    /**
     * Medications, exchanges of media and the latest water change, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<TreatmentRow> listTreatments(long site, @Nullable Long tank);

    int insertChange(long site, ChangeRow change);

    /** A water change, also one that was taken out. */
    Optional<ChangeRow> findKeptChange(long site, UUID id);

    int deleteChange(long site, UUID id, Instant now);

    int restoreChange(long site, UUID id);

    /**
     * Medications, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<MedicationRow> listMedications(long site, @Nullable Long tank);

    void insertMedication(long site, MedicationRow medication);

    int updateMedication(long site, long tank, long id, LocalDate lastDay);

    /**
     * Exchanges of bio media, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<ReplacementRow> listReplacements(long site, @Nullable Long tank);

    int insertReplacement(long site, ReplacementRow replacement);

    int deleteReplacement(long site, UUID id, Instant now);

    int insertCondition(long site, ConditionRow condition);

    List<ConditionView> listConditions(long site, long tank, int limit);

    List<MethodRow> listMethods(long site);

    void saveMethod(long site, MethodRow method);

    List<OwnRow> listOwn(long site);

    Optional<Long> insertOwn(long site, String name, String unit);

    /** Table condition_check; what was amiss as names. */
    record ConditionRow(UUID id, long tankId, Instant checkedAt, String amiss, String note, String doneBy) {}
}
