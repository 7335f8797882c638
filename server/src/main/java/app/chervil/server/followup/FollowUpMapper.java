package app.chervil.server.followup;

import app.chervil.core.procedure.FollowUp;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table follow_up. */
@Mapper
interface FollowUpMapper {
    /**
     * Those not done yet that are asked for before an instant, of filters in use, oldest first; of the same look asked for
     * twice, the later one.
     *
     * @param catchers kinds of stage that catch blown dirt
     */
    @Select("""
            select follow_up.id, follow_up.tank_id, follow_up.filter_id, follow_up.kind, follow_up.words, follow_up.due_at
            from follow_up
            join filter on filter.site_id = follow_up.site_id and filter.id = follow_up.filter_id
            join tank on tank.site_id = follow_up.site_id and tank.id = follow_up.tank_id
            where follow_up.site_id = #{site}
              and follow_up.done_at is null
              and follow_up.due_at < #{before}
              and (filter.removed_on is null or follow_up.kind = 'DRYING')
              and tank.deleted_at is null
              and not exists (
                select 1
                from service
                where service.site_id = follow_up.site_id
                  and service.id = follow_up.work_id
                  and service.withdrawn_at is not null
              )
              and (follow_up.kind <> 'CATCHER' or not exists (
                select 1
                from service
                join service_task on service_task.site_id = service.site_id and service_task.service_id = service.id
                join care_task on care_task.site_id = service_task.site_id and care_task.id = service_task.task_id
                join stage on stage.site_id = care_task.site_id and stage.id = care_task.stage_id
                where service.site_id = follow_up.site_id
                  and service.tank_id = follow_up.tank_id
                  and care_task.filter_id = follow_up.filter_id
                  and service.withdrawn_at is null
                  and service.recorded_at >= follow_up.due_at
                  and stage.kind = any(#{catchers})
              ))
              and not exists (
                select 1
                from follow_up later
                left join service on service.site_id = later.site_id and service.id = later.work_id
                where later.site_id = follow_up.site_id
                  and later.filter_id = follow_up.filter_id
                  and later.words = follow_up.words
                  and (later.due_at, later.id) > (follow_up.due_at, follow_up.id)
                  and service.withdrawn_at is null
              )
            order by follow_up.due_at, follow_up.id
            """)
    List<FollowUpRow> listOpen(long site, Instant before, String[] catchers);

    /**
     * Adds one unless it is there.
     *
     * @param work that asks for it
     */
    @Insert("""
            insert into follow_up (site_id, id, work_id, tank_id, filter_id, kind, words, due_at)
            values (#{site}, #{row.id}, #{work}, #{row.tankId}, #{row.filterId}, #{row.kind}, #{row.words},
                    #{row.dueAt})
            on conflict on constraint follow_up_pk do nothing
            """)
    int insert(long site, UUID work, FollowUpRow row);

    @Update("""
            update follow_up
            set done_at = #{at}, done_by = #{by}
            where site_id = #{site} and id = #{id}
            """)
    int updateDone(long site, UUID id, @Nullable Instant at, @Nullable String by);

    @Delete("delete from follow_up where site_id = #{site} and work_id = #{work}")
    void deleteOf(long site, UUID work);

    /** Table follow_up. */
    record FollowUpRow(UUID id, long tankId, long filterId, FollowUp.Kind kind, String words, Instant dueAt) {}
}
