package app.chervil.server.visit;

import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Table photo. */
@Mapper
interface PhotoMapper {
    @Select("""
            select id, moment, taken_at, taken_by
            from photo
            where site_id = #{site} and service_id = #{service}
            order by taken_at, id
            """)
    List<Photo> list(long site, UUID service);

    @Select("select content_type, bytes from photo where site_id = #{site} and id = #{id}")
    Optional<Picture> find(long site, UUID id);

    @Insert("""
            insert into photo (id, site_id, service_id, moment, taken_at, taken_by, content_type, bytes)
            values (#{photo.id}, #{site}, #{service}, #{photo.moment}, #{photo.takenAt}, #{photo.takenBy},
                    #{picture.contentType}, #{picture.bytes})
            on conflict on constraint photo_pk do nothing
            """)
    int insert(long site, UUID service, Photo photo, Picture picture);

    @Delete("delete from photo where site_id = #{site} and id = #{id}")
    int delete(long site, UUID id);

    /** What is stored of a photo's file. */
    @SuppressWarnings("ArrayRecordComponent") // read once and sent on, never compared
    record Picture(String contentType, byte[] bytes) {}
}
