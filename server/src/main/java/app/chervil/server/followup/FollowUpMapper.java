package app.chervil.server.followup;

import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table follow_up. */
@Mapper
interface FollowUpMapper {
    /** Those not done yet that are asked for before an instant, of filters in use, oldest first. */
    @Select("""
            select follow_up.id, follow_up.tank_id, follow_up.filter_id, follow_up.words, follow_up.due_at
            from follow_up
            join filter on filter.site_id = follow_up.site_id and filter.id = follow_up.filter_id
            join tank on tank.site_id = follow_up.site_id and tank.id = follow_up.tank_id
            where follow_up.site_id = #{site}
              and follow_up.done_at is null
              and follow_up.due_at < #{before}
              and filter.removed_on is null
              and tank.deleted_at is null
            order by follow_up.due_at, follow_up.id
            """)
    List<FollowUpRow> listOpen(long site, Instant before);

    /** Adds one unless it is there. */
    @Insert("""
            insert into follow_up (site_id, id, tank_id, filter_id, words, due_at)
            values (#{site}, #{row.id}, #{row.tankId}, #{row.filterId}, #{row.words}, #{row.dueAt})
            on conflict on constraint follow_up_pk do nothing
            """)
    int insert(long site, FollowUpRow row);

    @Update("""
            update follow_up
            set done_at = #{at}, done_by = #{by}
            where site_id = #{site} and id = #{id}
            """)
    int updateDone(long site, UUID id, @Nullable Instant at, @Nullable String by);

    /** Table follow_up. */
    record FollowUpRow(UUID id, long tankId, long filterId, String words, Instant dueAt) {}
}
