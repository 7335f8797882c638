package app.chervil.server.plan;

import app.chervil.core.tank.TankChore;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Tables chore and chore_done. */
@Mapper
interface ChoreMapper {
    @Select("select id, tank_id, kind, every_days, counted_from from chore where site_id = #{site} order by id")
    List<ChoreRow> list(long site);

    @Insert("""
            insert into chore (site_id, tank_id, kind, every_days, counted_from)
            values (#{site}, #{tank}, #{kind}, #{everyDays}, #{today})
            on conflict on constraint chore_unique do update set every_days = #{everyDays}
            """)
    void save(long site, long tank, TankChore kind, int everyDays, LocalDate today);

    @Delete("delete from chore where site_id = #{site} and tank_id = #{tank} and kind = #{kind}")
    void delete(long site, long tank, TankChore kind);

    @Select("""
            select id, tank_id, kind, done_on, done_by
            from chore_done
            where site_id = #{site} and removed_at is null
            order by done_on desc, id
            """)
    List<DoneRow> listDone(long site);

    @Insert("""
            insert into chore_done (id, site_id, tank_id, kind, done_on, done_by)
            values (#{done.id}, #{site}, #{done.tankId}, #{done.kind}, #{done.doneOn}, #{done.doneBy})
            on conflict on constraint chore_done_pk do nothing
            """)
    void insertDone(long site, DoneRow done);

    @Update("update chore_done set removed_at = #{now} where site_id = #{site} and id = #{id} and removed_at is null")
    int deleteDone(long site, UUID id, Instant now);

    /** Table chore. */
    record ChoreRow(long id, long tankId, TankChore kind, int everyDays, LocalDate countedFrom) {}

    /** Table chore_done. */
    record DoneRow(UUID id, long tankId, TankChore kind, LocalDate doneOn, String doneBy) {}
}
