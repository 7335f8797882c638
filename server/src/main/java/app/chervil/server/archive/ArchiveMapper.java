package app.chervil.server.archive;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;

/** All tables of a site, row by row. */
@Mapper
interface ArchiveMapper {
    /** Columns that an archive holds of all tables of a site, in their order. */
    @Select("""
            select
              table_name as relation,
              column_name as name,
              data_type as type,
              is_nullable = 'YES' as nullable,
              column_default is not null or is_identity = 'YES' as filled
            from information_schema.columns
            where table_schema = 'public'
              and column_name not in ('site_id', 'bytes')
              and table_name in (
                select table_name from information_schema.columns
                where table_schema = 'public' and column_name = 'site_id'
                union select 'site'
              )
            order by table_name, ordinal_position
            """)
    List<Column> listColumns();

    /** Rows of a table as JSON; read within a transaction. */
    @Select("select site_rows(#{site}, #{relation})")
    Cursor<String> rows(long site, String relation);

    /** Photos of a site or one tank, bytes and all; read within a transaction. */
    @Select("""
            select photo.id, photo.bytes
            from photo
            left join service on service.site_id = photo.site_id and service.id = photo.service_id
            left join filter on filter.site_id = photo.site_id and filter.id = photo.filter_id
            where photo.site_id = #{site}
              and (#{tank}::bigint is null or coalesce(service.tank_id, filter.tank_id) = #{tank})
            order by photo.id
            """)
    Cursor<Picture> photos(long site, @Nullable Long tank);

    /** Services of a site or one tank as people read them, oldest first. */
    @Select("""
            select
              service.done_on::text as done_on,
              tank.name as tank,
              string_agg(distinct filter.name, '; ' order by filter.name) as filters,
              string_agg(
                coalesce(nullif(stage.label, ''), lower(replace(stage.kind, '_', ' ')), 'filter')
                  || ': ' || lower(replace(care_task.action, '_', ' '))
                  || coalesce(' (' || lower(service_task.finding) || ')', ''),
                '; ' order by care_task.id) as done,
              service.minutes::text as minutes,
              service.done_by,
              service.note
            from service
            join tank on tank.site_id = service.site_id and tank.id = service.tank_id
            left join service_task on service_task.site_id = service.site_id and service_task.service_id = service.id
            left join care_task on care_task.site_id = service_task.site_id and care_task.id = service_task.task_id
            left join filter on filter.site_id = care_task.site_id and filter.id = care_task.filter_id
            left join stage on stage.site_id = care_task.site_id and stage.id = care_task.stage_id
            where service.site_id = #{site}
              and service.withdrawn_at is null
              and (#{tank}::bigint is null or service.tank_id = #{tank})
            group by service.site_id, service.id, tank.name
            order by service.done_on, service.id
            """)
    Cursor<ServiceLine> services(long site, @Nullable Long tank);

    /** Lets one archive after the other into a site, so that the same one sent twice at once is there once. */
    @Select("select pg_advisory_xact_lock(hashtextextended('archive', #{site}))::text")
    String lock(long site);

    /** By this a site is known wherever an archive of it goes. */
    @Select("select mark from site where id = #{site}")
    UUID mark(long site);

    /** Numbers that rows of an archive have here. */
    @Select("""
            select relation, theirs, ours
            from brought
            where site_id = #{site} and origin = #{origin}
            """)
    List<Numbered> listNumbers(long site, UUID origin);

    /** Numbers that rows brought to a site have where they came from. */
    @Select(
            "select origin, relation, theirs, ours from brought where site_id = #{site} order by origin, relation, theirs")
    List<OtherNumber> listOtherNumbers(long site);

    /** Numbers of a table that are taken at a site. */
    @Select("select site_taken(#{site}, #{relation})")
    List<Long> listTaken(long site, String relation);

    /** Fresh numbers for rows of a table. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE, useCache = false)
    @Select("select site_numbers(#{relation}, #{many})")
    List<Long> drawNumbers(String relation, int many);

    /** Adds rows, given as a JSON list, and tells what became of each, in their order. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE, useCache = false)
    @Select(
            affectData = true,
            value = "select told from site_bring(#{site}, #{relation}, #{lines}::jsonb) order by place")
    List<String> bring(long site, String relation, String lines);

    /** Remembers which numbers rows of an archive have here. */
    @Insert("""
            insert into brought (site_id, origin, relation, theirs, ours)
            select #{site}, #{origin}, one ->> 'relation', (one ->> 'theirs')::bigint, (one ->> 'ours')::bigint
            from jsonb_array_elements(#{numbers}::jsonb) one
            on conflict on constraint brought_pk do update set ours = excluded.ours
            """)
    void saveNumbers(long site, UUID origin, NumberedRows numbers);

    /** The site's own parameters by name. */
    @Select("select id as ours, name from own_parameter where site_id = #{site}")
    List<OwnParameter> listOwnParameters(long site);

    /** Tanks of a site, deleted ones too. */
    @Select("select id, deleted_at is not null as deleted from tank where site_id = #{site}")
    List<Standing> listTanks(long site);

    /** Takes back that tanks were deleted. */
    @Update("""
            update tank set deleted_at = null, version = version + 1
            where site_id = #{site} and deleted_at is not null
              and id in (select jsonb_array_elements(#{tanks}::jsonb)::bigint)
            """)
    void undelete(long site, String tanks);

    /**
     * A column of a table, as PostgreSQL names its type.
     *
     * @param filled whether it is filled where nothing is given
     */
    record Column(String relation, String name, String type, boolean nullable, boolean filled) {
        /** Whether every row must have it; by its id others refer to it, though the database could give one. */
        boolean needed() {
            return !nullable && (!filled || name.equals("id"));
        }
    }

    /** A number that a row had there, and the one it has here. */
    record Numbered(String relation, long theirs, long ours) {}

    /** One of the site's own parameters. */
    record OwnParameter(long ours, String name) {}

    /** A tank here. */
    record Standing(long id, boolean deleted) {}

    /** A photo's file. */
    @SuppressWarnings("ArrayRecordComponent") // written once, never compared
    record Picture(UUID id, byte[] bytes) {}

    /** A service in the words of its rows. */
    record ServiceLine(
            String doneOn,
            String tank,
            @Nullable String filters,
            @Nullable String done,
            @Nullable String minutes,
            String doneBy,
            String note) {}
}
