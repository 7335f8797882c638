package app.chervil.server.account;

import java.time.Instant;
import java.util.List;
import java.util.Objects;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Table pass, and its doors. */
@Mapper
interface PassMapper {
    @Insert("""
            with opened as (
              insert into door (kind, mark, site_id)
              values ('PASS', #{pass.mark}, #{site})
              returning site_id, mark
            )
            insert into pass (site_id, mark, kind, role, account_id, note, made_by, made_at, expires_at)
            select site_id, mark, #{pass.kind}, #{pass.role}, #{pass.accountId}, #{pass.note}, #{pass.madeBy},
              #{pass.madeAt}, #{pass.expiresAt}
            from opened
            """)
    void insert(long site, PassRow pass);

    /** A pass that was not used and is not over. */
    @Select("""
            select pass.site_id, pass.mark, pass.kind, pass.role, pass.account_id, pass.note, pass.made_by, pass.made_at,
              pass.expires_at
            from door
            join pass on pass.site_id = door.site_id and pass.mark = door.mark
            join site on site.id = door.site_id
            where door.kind = 'PASS' and door.mark = #{mark} and pass.kind = #{kind}
              and pass.used_at is null and pass.expires_at > #{now} and site.deleted_at is null
            """)
    Optional<PassRow> find(String mark, PassRow.Kind kind, Instant now);

    @Select("""
            select site_id, mark, kind, role, account_id, note, made_by, made_at, expires_at
            from pass
            where site_id = #{site} and kind = 'INVITATION' and used_at is null and expires_at > #{now}
            order by made_at desc
            """)
    List<PassRow> listInvitations(long site, Instant now);

    /** Uses a pass up; 0 if somebody else was faster. */
    @Update("""
            update pass
            set used_at = #{now}
            where site_id = #{site} and mark = #{mark} and used_at is null and expires_at > #{now}
            """)
    int updateUsed(long site, String mark, Instant now);

    /** Takes an invitation back; its mark may be told by its beginning. */
    @Delete("""
            with shut as (
              delete from door
              where kind = 'PASS' and site_id = #{site} and left(mark, 16) = #{mark}
            )
            delete from pass
            where site_id = #{site} and kind = 'INVITATION' and left(mark, 16) = #{mark} and used_at is null
            """)
    int deleteInvitation(long site, String mark);

    /** Makes codes that were made before for the same person worthless. */
    @Update("""
            update pass
            set used_at = #{now}
            where site_id = #{site} and kind = 'RECOVERY' and account_id = #{account} and used_at is null
            """)
    void updateStale(long site, long account, Instant now);

    /** A pass as it is stored. */
    record PassRow(
            long siteId,
            String mark,
            Kind kind,
            @Nullable Role role,
            @Nullable Long accountId,
            String note,
            String madeBy,
            Instant madeAt,
            Instant expiresAt) {
        enum Kind {
            INVITATION,
            RECOVERY
        }

        /** As what an invitation lets somebody in. */
        Role as() {
            return Objects.requireNonNull(role, "an invitation says as what");
        }

        /** Whose password is chosen anew. */
        long whose() {
            return Objects.requireNonNull(accountId, "a recovery says whose");
        }
    }
}
