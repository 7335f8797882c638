package app.chervil.server.interval;

import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Pauses.Cause;
import app.chervil.core.site.Pause;
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

/** Table pause. */
@Mapper
interface PauseMapper {
    /**
     * Pauses, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    @Select("""
            select id, tank_id, filter_id, cause, first_day, until_day
            from pause
            where site_id = #{site} and tank_id = coalesce(#{tank}::bigint, tank_id)
            order by first_day, id
            """)
    List<PauseRow> list(long site, @Nullable Long tank);

    /** Adds a pause unless one with that id is there. */
    @Insert("""
            insert into pause (id, site_id, tank_id, filter_id, cause, first_day, until_day)
            values (#{pause.id}, #{site}, #{pause.tankId}, #{pause.filterId}, #{pause.cause}, #{pause.firstDay},
                    #{pause.untilDay})
            on conflict on constraint pause_pk do nothing
            """)
    int insert(long site, PauseRow pause);

    @Update("update pause set until_day = #{untilDay} where site_id = #{site} and id = #{id}")
    int end(long site, UUID id, LocalDate untilDay);

    @Delete("delete from pause where site_id = #{site} and id = #{id}")
    int delete(long site, UUID id);

    /**
     * Table pause.
     *
     * @param filterId null for every filter of the tank
     * @param untilDay first usual day again; null while it lasts
     */
    record PauseRow(
            UUID id,
            long tankId,
            @Nullable Long filterId,
            Cause cause,
            LocalDate firstDay,
            @Nullable LocalDate untilDay) {
        Pause pause() {
            return new Pause(
                    Optional.ofNullable(filterId),
                    new Pauses.Pause(firstDay, Optional.ofNullable(untilDay), cause.share()));
        }
    }
}
