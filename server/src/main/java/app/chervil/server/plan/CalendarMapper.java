package app.chervil.server.plan;

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

/** Table calendar_feed. A feed is found by its secret alone: the secret is what stands for the person. */
@Mapper
interface CalendarMapper {
    @Insert("""
            insert into calendar_feed (site_id, account_id, secret_hash, starts_at, alarm_minutes, made_at)
            values (#{site}, #{account}, #{hash}, #{startsAt}, #{alarmMinutes}, #{now})
            """)
    void insert(long site, long account, String hash, LocalTime startsAt, @Nullable Integer alarmMinutes, Instant now);

    @Select("""
            select id, starts_at, alarm_minutes, made_at, read_at
            from calendar_feed
            where site_id = #{site} and account_id = #{account}
            order by id
            """)
    List<FeedRow> list(long site, long account);

    @Delete("delete from calendar_feed where site_id = #{site} and account_id = #{account} and id = #{id}")
    int delete(long site, long account, long id);

    @Select("""
            select f.id, f.site_id, f.account_id, a.name, a.role, f.starts_at, f.alarm_minutes
            from calendar_feed f
            join account a on a.id = f.account_id
            where f.secret_hash = #{hash} and a.removed_at is null
            """)
    Optional<OpenedRow> findBySecret(String hash);

    @Update("update calendar_feed set read_at = #{now} where id = #{id}")
    void updateRead(long id, Instant now);

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
