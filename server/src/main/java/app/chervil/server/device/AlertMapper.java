package app.chervil.server.device;

import app.chervil.core.device.Alarm;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Tables alert and alert_mail. */
@Mapper
interface AlertMapper {
    /** Alerts that hold, and the latest that ended, newest first. */
    @Select("""
            select id, device_id, tank_id, alarm, began_at, ended_at, read_value, usual, seen_by, seen_at, quiet_until, sent_at,
              service_id
            from alert
            where site_id = #{site} and (ended_at is null or ended_at >= #{since})
            order by ended_at is null desc, began_at desc, id desc
            limit 200
            """)
    List<AlertRow> list(long site, Instant since);

    @Select("""
            select id, device_id, tank_id, alarm, began_at, ended_at, read_value, usual, seen_by, seen_at, quiet_until, sent_at,
              service_id
            from alert
            where site_id = #{site} and id = #{id}
            """)
    Optional<AlertRow> find(long site, long id);

    /** Begins an alert unless the same one holds already. */
    @Insert("""
            insert into alert (site_id, device_id, tank_id, alarm, began_at, read_value, usual, service_id, changed_at)
            values (#{site}, #{device.id}, #{device.tankId}, #{begins.alarm}, #{begins.began}, #{begins.value}, #{begins.usual}, null, #{now})
            on conflict (site_id, device_id, alarm) where ended_at is null do nothing
            """)
    int insert(long site, DeviceRow device, Begins begins, Instant now);

    /** Ends what a device is no longer alarmed about. */
    @Update("""
            <script>
            update alert set ended_at = #{now}, changed_at = #{now}
            where site_id = #{site} and device_id = #{device} and ended_at is null
            <foreach item="alarm" collection="holding" open="and alarm not in (" separator="," close=")">#{alarm}</foreach>
            </script>
            """)
    int updateOthersEnded(long site, long device, Set<Alarm> holding, Instant now);

    @Update("""
            update alert set seen_by = #{by}, seen_at = #{now}, changed_at = #{now}
            where site_id = #{site} and id = #{id} and seen_at is null
            """)
    int updateSeen(long site, long id, String by, Instant now);

    @Update("""
            update alert set quiet_until = #{until}, seen_by = coalesce(seen_by, #{by}), seen_at = coalesce(seen_at, #{now}),
              changed_at = #{now}
            where site_id = #{site} and id = #{id} and ended_at is null
            """)
    int updateQuiet(long site, long id, Instant until, String by, Instant now);

    @Update("""
            update alert set service_id = null, changed_at = #{now}
            where site_id = #{site} and id = #{id}
            """)
    int updateUndone(long site, long id, Instant now);

    @Update("update alert set sent_at = #{now} where site_id = #{site} and id = #{id} and sent_at is null")
    int updateSent(long site, long id, Instant now);

    /** Notes a press of a button, with the service it logged; it has ended as it began. */
    @Insert("""
            insert into alert (site_id, device_id, tank_id, alarm, began_at, ended_at, service_id, sent_at, changed_at)
            values (#{site}, #{device.id}, #{device.tankId}, 'PRESSED', #{at}, #{at}, #{service}, #{now}, #{now})
            """)
    void insertPress(long site, DeviceRow device, Instant at, UUID service, Instant now);

    /** When anything of a site's alerts last changed; empty if there never was one. */
    @Select("select max(changed_at) from alert where site_id = #{site}")
    Optional<Instant> findChanged(long site);

    @Select("select address, quiet_from, quiet_to from alert_mail where site_id = #{site} and account_id = #{account}")
    Optional<MailWish> findMail(long site, long account);

    @Select("""
            select alert_mail.address, alert_mail.quiet_from, alert_mail.quiet_to
            from alert_mail
            join account on account.site_id = alert_mail.site_id and account.id = alert_mail.account_id
            where alert_mail.site_id = #{site} and account.removed_at is null
            order by alert_mail.account_id
            """)
    List<MailWish> listMails(long site);

    @Insert("""
            insert into alert_mail (site_id, account_id, address, quiet_from, quiet_to)
            values (#{site}, #{account}, #{wish.address}, #{wish.quietFrom}, #{wish.quietTo})
            on conflict on constraint alert_mail_pk do update
            set address = excluded.address, quiet_from = excluded.quiet_from, quiet_to = excluded.quiet_to
            """)
    void saveMail(long site, long account, MailWish wish);

    @Delete("delete from alert_mail where site_id = #{site} and account_id = #{account}")
    void deleteMail(long site, long account);

    /**
     * Table alert.
     *
     * @param alarm an {@link Alarm}, or PRESSED for a button
     */
    record AlertRow(
            long id,
            long deviceId,
            long tankId,
            String alarm,
            Instant beganAt,
            @Nullable Instant endedAt,
            @Nullable Double readValue,
            @Nullable Double usual,
            @Nullable String seenBy,
            @Nullable Instant seenAt,
            @Nullable Instant quietUntil,
            @Nullable Instant sentAt,
            @Nullable UUID serviceId) {}

    /** Table alert_mail: hours in the site's zone; from one to the other only danger is told. */
    record MailWish(String address, int quietFrom, int quietTo) {}

    /** An alert that begins, with what was read and what is usual. */
    record Begins(
            Alarm alarm,
            Instant began,
            @Nullable Double value,
            @Nullable Double usual) {}
}
