package app.chervil.server.calendar;

import app.chervil.server.calendar.CalendarOperations.CalendarInput;
import java.time.Instant;
import java.time.LocalTime;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tables calendar_feed and door. A feed is found by its secret alone: the secret is what stands for the person. */
@Mapper
interface CalendarMapper {
    @Insert("""
            with opened as (
              insert into door (kind, mark, site_id)
              values ('CALENDAR', #{hash}, #{site})
              returning site_id, mark
            )
            insert into calendar_feed (site_id, account_id, secret_hash, starts_at, alarm_minutes, made_at)
            select site_id, #{account}, mark, #{feed.startsAt}, #{feed.alarmMinutes}, #{now}
            from opened
            """)
    void insert(long site, long account, String hash, CalendarInput feed, Instant now);

    @Select("""
            select id, starts_at, alarm_minutes, made_at, read_at
            from calendar_feed
            where site_id = #{site} and account_id = #{account}
            order by id
            """)
    List<FeedRow> list(long site, long account);

    /** Shuts the door as well. */
    @Delete("""
            with shut as (
              delete from door
              where kind = 'CALENDAR' and site_id = #{site}
                and mark = (
                  select secret_hash
                  from calendar_feed
                  where site_id = #{site} and account_id = #{account} and id = #{id}
                )
            )
            delete from calendar_feed
            where site_id = #{site} and account_id = #{account} and id = #{id}
            """)
    int delete(long site, long account, long id);

    @Select("""
            select f.id, f.site_id, f.account_id, a.name, a.role, f.starts_at, f.alarm_minutes
            from door
            join calendar_feed f on f.site_id = door.site_id and f.secret_hash = door.mark
            join account a on a.site_id = f.site_id and a.id = f.account_id
            where door.kind = 'CALENDAR' and door.mark = #{hash} and a.removed_at is null
            """)
    Optional<OpenedRow> findBySecret(String hash);

    @Update("update calendar_feed set read_at = #{now} where site_id = #{site} and id = #{id}")
    void updateRead(long site, long id, Instant now);

    /** A feed as its owner sees it. */
    record FeedRow(
            long id,
            LocalTime startsAt,
            @Nullable Integer alarmMinutes,
            Instant madeAt,
            @Nullable Instant readAt) {}

    /** A feed opened by its secret. */
    record OpenedRow(
            long id,
            long siteId,
            long accountId,
            String name,
            String role,
            LocalTime startsAt,
            @Nullable Integer alarmMinutes) {}
}
