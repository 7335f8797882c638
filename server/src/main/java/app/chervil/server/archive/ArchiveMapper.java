package app.chervil.server.archive;

import java.util.List;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.cursor.Cursor;
import org.jspecify.annotations.Nullable;

/** All tables of a site, row by row. */
@Mapper
interface ArchiveMapper {
    /** Columns of all tables that hold something of a site, in their order. */
    @Select("""
            select table_name as relation, column_name as name, data_type as type, is_nullable = 'YES' as nullable
            from information_schema.columns
            where table_schema = 'public'
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

    /** Photos of a site, bytes and all; read within a transaction. */
    @Select("select id, bytes from photo where site_id = #{site} order by id")
    Cursor<Picture> photos(long site);

    /** Services as people read them, oldest first. */
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
            where service.site_id = #{site} and service.withdrawn_at is null
            group by service.site_id, service.id, tank.name
            order by service.done_on, service.id
            """)
    Cursor<ServiceLine> services(long site);

    /** A column of a table, as PostgreSQL names its type. */
    record Column(String relation, String name, String type, boolean nullable) {}

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
