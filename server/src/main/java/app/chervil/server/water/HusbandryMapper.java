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
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
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

    @Update("update water_change set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int deleteChange(long site, UUID id, Instant now);

    @Update("update water_change set removed_at = null where site_id = #{site} and id = #{id}")
    int restoreChange(long site, UUID id);

    /**
     * Medications, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<MedicationRow> listMedications(long site, @Nullable Long tank);

    void insertMedication(long site, MedicationRow medication);

    @Update("update medication set last_day = #{lastDay} where site_id = #{site} and tank_id = #{tank} and id = #{id}")
    int updateMedication(long site, long tank, long id, LocalDate lastDay);

    /**
     * Exchanges of bio media, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<ReplacementRow> listReplacements(long site, @Nullable Long tank);

    int insertReplacement(long site, ReplacementRow replacement);

    @Update(
            "update media_replacement set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int deleteReplacement(long site, UUID id, Instant now);

    int insertCondition(long site, UUID id, long tank, Instant checkedAt, String amiss, String note, String by);

    List<ConditionView> listConditions(long site, long tank, int limit);

    List<MethodRow> listMethods(long site);

    void saveMethod(long site, MethodRow method);

    @Select("select id, name, unit from own_parameter where site_id = #{site} order by name")
    List<OwnRow> listOwn(long site);

    Optional<Long> insertOwn(long site, String name, String unit);
}
