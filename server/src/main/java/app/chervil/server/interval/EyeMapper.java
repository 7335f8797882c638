package app.chervil.server.interval;

import app.chervil.core.interval.Finding;
import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Table graded_picture. */
@Mapper
interface EyeMapper {
    @Select("""
            select account_id, picture, finding, graded_at
            from graded_picture
            where site_id = #{site}
            order by account_id, picture
            """)
    List<PictureRow> list(long site);

    /** Stores a grade in place of the one before. */
    @Insert("""
            insert into graded_picture (account_id, site_id, picture, finding, graded_at)
            values (#{account}, #{site}, #{picture}, #{finding}, #{now})
            on conflict on constraint graded_picture_pk
            do update set finding = excluded.finding, graded_at = excluded.graded_at
            """)
    void save(long site, long account, int picture, Finding finding, Instant now);

    /** Services that an account wrote down with a grade. */
    @Select("""
            select count(distinct service.id)
            from service
            join service_task on service_task.site_id = service.site_id and service_task.service_id = service.id
            where service.site_id = #{site}
              and service.recorded_by = #{account}
              and service.withdrawn_at is null
              and service_task.finding is not null
            """)
    int findGradedServices(long site, long account);

    /** Table graded_picture. */
    record PictureRow(long accountId, int picture, Finding finding, Instant gradedAt) {}
}
