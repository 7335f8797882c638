package app.chervil.server.trial;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table tank_event. */
@Mapper
interface TankEventMapper {
    /** What is on record of a tank, oldest first. */
    @Select("""
            select id, tank_id, on_day, kind, note, done_by from tank_event
            where site_id = #{site} and tank_id = #{tank} and removed_at is null
            order by on_day, id
            """)
    List<EventRow> list(long site, long tank);

    /** One of them, removed or not. */
    @Select("select id, tank_id, on_day, kind, note, done_by from tank_event where site_id = #{site} and id = #{id}")
    Optional<EventRow> find(long site, UUID id);

    @Insert("""
            insert into tank_event (site_id, id, tank_id, on_day, kind, note, done_by)
            values (#{site}, #{row.id}, #{row.tankId}, #{row.onDay}, #{row.kind}, #{row.note}, #{row.doneBy})
            on conflict on constraint tank_event_pk do nothing
            """)
    int insert(long site, EventRow row);

    @Update("update tank_event set removed_at = #{at} where site_id = #{site} and id = #{id}")
    int remove(long site, UUID id, @Nullable Instant at);

    /** Table tank_event. */
    record EventRow(UUID id, long tankId, LocalDate onDay, TankEventKind kind, String note, String doneBy) {
        /** In a keeper's words: "Fed more: the new fry". */
        String words() {
            if (kind == TankEventKind.OTHER) {
                return note;
            }
            return note.isEmpty() ? kind.words() : kind.words() + ": " + note;
        }
    }
}
