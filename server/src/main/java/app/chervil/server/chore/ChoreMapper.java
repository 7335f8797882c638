package app.chervil.server.chore;

import app.chervil.core.site.PlannedChore;
import app.chervil.core.tank.TankChore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tables chore and chore_done. */
@Mapper
interface ChoreMapper {
    /**
     * Chores that are planned, or were done, with their days.
     *
     * @param tank null for all tanks of the site
     */
    @Select("""
            select
              chore.id,
              coalesce(chore.tank_id, did.tank_id) as tank_id,
              coalesce(chore.kind, did.kind) as kind,
              chore.every_days,
              chore.counted_from,
              json_build_object('days', did.days) as did
            from (
              select *
              from chore
              where site_id = #{site} and tank_id = coalesce(#{tank}::bigint, tank_id)
            ) as chore
            full join (
              select tank_id, kind, json_agg(done_on order by done_on desc) as days
              from chore_done
              where site_id = #{site} and tank_id = coalesce(#{tank}::bigint, tank_id) and removed_at is null
              group by tank_id, kind
            ) as did on did.tank_id = chore.tank_id and did.kind = chore.kind
            order by chore.id
            """)
    List<ChoreDays> listDays(long site, @Nullable Long tank);

    @Insert("""
            insert into chore (site_id, tank_id, kind, every_days, counted_from)
            values (#{site}, #{tank}, #{kind}, #{everyDays}, #{today})
            on conflict on constraint chore_unique do update set every_days = #{everyDays}
            """)
    void save(long site, long tank, TankChore kind, int everyDays, LocalDate today);

    @Delete("delete from chore where site_id = #{site} and tank_id = #{tank} and kind = #{kind}")
    void delete(long site, long tank, TankChore kind);

    /** When chores of a tank were done, latest first. */
    @Select("""
            select id, tank_id, kind, done_on, done_by
            from chore_done
            where site_id = #{site} and tank_id = #{tank} and removed_at is null
            order by done_on desc, id
            """)
    List<DoneRow> listDone(long site, long tank);

    @Insert("""
            insert into chore_done (id, site_id, tank_id, kind, done_on, done_by)
            values (#{done.id}, #{site}, #{done.tankId}, #{done.kind}, #{done.doneOn}, #{done.doneBy})
            on conflict on constraint chore_done_pk do nothing
            """)
    void insertDone(long site, DoneRow done);

    @Update("update chore_done set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int deleteDone(long site, UUID id, Instant now);

    /**
     * Tables chore and chore_done.
     *
     * @param id null if it is not planned, with the two that follow
     * @param did days on which it was done, latest first
     */
    record ChoreDays(
            @Nullable Long id,
            long tankId,
            TankChore kind,
            @Nullable Integer everyDays,
            @Nullable LocalDate countedFrom,
            Done did) {
        /** Days; null where there are none. */
        record Done(@Nullable List<LocalDate> days) {}

        List<LocalDate> done() {
            return did.days == null ? List.of() : did.days;
        }

        /** The chore as planned, counted from the last of these days. */
        Optional<PlannedChore> planned(List<LocalDate> latestFirst) {
            if (id == null || everyDays == null || countedFrom == null) {
                return Optional.empty();
            }
            LocalDate since = latestFirst.isEmpty() ? countedFrom : latestFirst.get(0);
            return Optional.of(new PlannedChore(id, tankId, kind, everyDays, since, latestFirst));
        }
    }

    /** Table chore_done. */
    record DoneRow(UUID id, long tankId, TankChore kind, LocalDate doneOn, String doneBy) {}
}
