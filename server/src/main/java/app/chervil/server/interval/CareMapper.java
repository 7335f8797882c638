package app.chervil.server.interval;

import app.chervil.server.interval.EyeMapper.PictureRow;
import app.chervil.server.interval.PauseMapper.PauseRow;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Tables stage_look, pause and graded_picture, read together. */
@Mapper
interface CareMapper {
    /**
     * Looks not withdrawn and pauses, oldest first, and what everyone graded.
     *
     * @param tank null for all tanks of the site
     */
    @Select("""
            select json_build_object(
              'looks',
              (
                select json_agg(stage_look order by looked_on, stage_look.id)
                from stage_look
                join stage on stage.site_id = stage_look.site_id and stage.id = stage_look.stage_id
                join filter on filter.site_id = stage.site_id and filter.id = stage.filter_id
                where stage_look.site_id = #{site}
                  and filter.tank_id = coalesce(#{tank}::bigint, filter.tank_id)
                  and stage_look.withdrawn_at is null
              ),
              'pauses',
              (
                select json_agg(pause order by first_day, id)
                from pause
                where site_id = #{site} and tank_id = coalesce(#{tank}::bigint, tank_id)
              ),
              'pictures',
              (select json_agg(graded_picture order by account_id, picture) from graded_picture where site_id = #{site})
            )
            """)
    Gathered find(long site, @Nullable Long tank);

    /** Rows; null where there are none. */
    record Gathered(
            @Nullable List<LookRow> looks,
            @Nullable List<PauseRow> pauses,
            @Nullable List<PictureRow> pictures) {}
}
