package app.chervil.server.media;

import app.chervil.core.media.Carries;
import app.chervil.core.sums.BioMedium;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table media_exchange. */
@Mapper
interface ExchangeMapper {
    /**
     * A row.
     *
     * @param inTank grams of bio media in all filters of the tank when it began
     * @param toldOn the day it was begun; what was exchanged before does not count
     */
    record ExchangeRow(
            UUID id,
            long tankId,
            long stageId,
            double grams,
            double inTank,
            int portions,
            LocalDate toldOn,
            LocalDate firstOn,
            @Nullable BioMedium oldKind,
            @Nullable BioMedium newKind,
            @Nullable LocalDate endedOn,
            String doneBy) {
        /** Grams of new media that do the work of so many of the old. */
        double fresh(double old) {
            return oldKind == null || newKind == null ? old : Carries.instead(old, oldKind, newKind);
        }
    }

    /** Exchanges of a tank, or of all tanks, latest first. */
    @Select("""
            select id, tank_id, stage_id, grams, in_tank, portions, told_on, first_on, old_kind, new_kind, ended_on, done_by
            from media_exchange
            where site_id = #{site} and tank_id = coalesce(#{tank}::bigint, tank_id) and removed_at is null
            order by first_on desc, id
            """)
    List<ExchangeRow> list(long site, @Nullable Long tank);

    @Insert("""
            insert into media_exchange
              (site_id, id, tank_id, stage_id, grams, in_tank, portions, told_on, first_on, old_kind, new_kind, done_by)
            values
              (#{site}, #{row.id}, #{row.tankId}, #{row.stageId}, #{row.grams}, #{row.inTank}, #{row.portions},
              #{row.toldOn}, #{row.firstOn}, #{row.oldKind}, #{row.newKind}, #{row.doneBy})
            on conflict do nothing
            """)
    int insert(long site, ExchangeRow row);

    @Update("update media_exchange set ended_on = #{on} where site_id = #{site} and id = #{id} and removed_at is null")
    int updateEnded(long site, UUID id, @Nullable LocalDate on);

    @Update(
            "update media_exchange set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int delete(long site, UUID id, Instant now);
}
