package app.chervil.server.visit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Table photo. */
@Mapper
interface PhotoMapper {
    /** Photos of a service or of a filter; the other is null. */
    @Select("""
            select id, moment, taken_at, taken_by, caption
            from photo
            where site_id = #{site} and (service_id = #{service} or filter_id = #{filter})
            order by taken_at, id
            """)
    List<Photo> list(long site, @Nullable UUID service, @Nullable Long filter);

    /** Lets one after the other add photos to the same thing, so that two at once do not both take the last place. */
    @Select("select pg_advisory_xact_lock(hashtextextended(#{thing}, #{site}))::text")
    String lock(long site, String thing);

    /** Whether there is such a filter in use. */
    @Select("select exists (select 1 from filter where site_id = #{site} and id = #{filter} and removed_on is null)")
    boolean findFilter(long site, long filter);

    /** Whether there is such a service, in progress or logged. */
    @Select("""
            select exists (select 1 from service where site_id = #{site} and id = #{service})
              or exists (select 1 from guided_service where site_id = #{site} and id = #{service})
            """)
    boolean findService(long site, UUID service);

    /** Whether a photo is kept as it is here. */
    @Select("""
            select exists (
              select 1 from photo
              where site_id = #{site} and id = #{id} and (service_id = #{service} or filter_id = #{filter})
                and bytes = #{bytes}
            )
            """)
    boolean findSame(long site, @Nullable UUID service, @Nullable Long filter, UUID id, byte[] bytes);

    @Select("select content_type, bytes from photo where site_id = #{site} and id = #{id}")
    Optional<Picture> find(long site, UUID id);

    @Insert("""
            insert into photo
              (id, site_id, service_id, filter_id, moment, taken_at, taken_by, caption, content_type, bytes)
            values (#{photo.id}, #{site}, #{service}, #{filter}, #{photo.moment}, #{photo.takenAt}, #{photo.takenBy},
                    #{photo.caption}, #{picture.contentType}, #{picture.bytes})
            on conflict on constraint photo_pk do nothing
            """)
    int insert(long site, @Nullable UUID service, @Nullable Long filter, Photo photo, Picture picture);

    @Delete("delete from photo where site_id = #{site} and id = #{id}")
    int delete(long site, UUID id);

    /** What is stored of a photo's file. */
    @SuppressWarnings("ArrayRecordComponent") // read once and sent on, never compared
    record Picture(String contentType, byte[] bytes) {}
}
