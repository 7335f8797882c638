package app.chervil.server.account;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Options;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;
import org.jspecify.annotations.Nullable;

/** Sites, people, and their places on sites, found by doors. */
@Mapper
interface AccountMapper {
    String PLACE = """
            select account.id, account.site_id, site.name as site_name, site.deleted_at as site_deleted_at,
                account.login, account.name, account.role
            """;

    /** What is stored of a person's password. */
    @Select("select password_hash from person where login = #{login}")
    Optional<String> findHash(String login);

    @Update("update person set password_hash = #{hash} where login = #{login}")
    void updateHash(String login, String hash);

    @Select("""
            select exists (
              select 1 from person where translate(login, '01', 'ol') = translate(#{login}, '01', 'ol')
            )
            """)
    boolean findAlike(String login);

    @Insert("""
            insert into person (login, password_hash, created_at)
            values (#{login}, #{hash}, #{now})
            on conflict on constraint person_pk do nothing
            """)
    int insertPerson(String login, String hash, Instant now);

    /** Everything a person may enter, where they were last first: their doors lead there. */
    @Select(PLACE + """
            from door
            join account on account.site_id = door.site_id and account.login = door.mark
            join site on site.id = door.site_id
            where door.kind = 'LOGIN' and door.mark = #{login} and account.removed_at is null
            order by account.last_here_at desc nulls last, account.id
            """)
    List<AccountRow> listPlaces(String login);

    @Select(PLACE + """
            from account
            join site on site.id = account.site_id
            where account.site_id = #{site} and account.id = #{id} and account.removed_at is null
            """)
    Optional<AccountRow> find(long site, long id);

    @Select(PLACE + """
            from account
            join site on site.id = account.site_id
            where account.site_id = #{site} and account.removed_at is null
            order by array_position(array['KEEPER', 'HELPER', 'VIEWER'], account.role), account.name, account.id
            """)
    List<AccountRow> list(long site);

    /** Keepers, each held until the transaction ends, so that two cannot go at once and leave none. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("""
            select id
            from account
            where site_id = #{site} and role = 'KEEPER' and removed_at is null
            order by id
            for update
            """)
    List<Long> lockKeepers(long site);

    @Update("update account set role = #{role} where site_id = #{site} and id = #{id}")
    void updateRole(long site, long id, Role role);

    @Update("update account set last_here_at = #{now} where site_id = #{site} and id = #{id}")
    void updateHere(long site, long id, Instant now);

    @Select("select name from site where id = #{site}")
    String findSiteName(long site);

    @Select("""
            select volume_unit as volume, mass_unit as mass, length_unit as length, dose_unit as dose,
                temperature_unit as temperature, concentration_unit as concentration, hardness_unit as hardness,
                salinity_unit as salinity, date_order, week_start, decimal_sign, currency
            from site
            where id = #{site}
            """)
    SiteUnits findUnits(long site);

    @Update("""
            update site
            set volume_unit = #{units.volume}, mass_unit = #{units.mass}, length_unit = #{units.length},
                dose_unit = #{units.dose}, temperature_unit = #{units.temperature},
                concentration_unit = #{units.concentration}, hardness_unit = #{units.hardness},
                salinity_unit = #{units.salinity}, date_order = #{units.dateOrder}, week_start = #{units.weekStart},
                decimal_sign = #{units.decimalSign}, currency = #{units.currency}
            where id = #{site}
            """)
    void updateUnits(long site, SiteUnits units);

    @Select("select exists (select 1 from person)")
    boolean findAny();

    @Select("select pg_advisory_xact_lock(471120261)::text")
    String lockSetup();

    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select(affectData = true, value = "insert into site (name, created_at) values (#{name}, #{now}) returning id")
    long insertSite(String name, Instant now);

    /** Gives a person a place and its door; nothing if they have one. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select(affectData = true, value = """
            with opened as (
              insert into door (kind, mark, site_id)
              values ('LOGIN', #{login}, #{site})
              on conflict on constraint door_pk do nothing
              returning site_id, mark
            )
            insert into account (site_id, login, name, role, created_at)
            select site_id, mark, #{name}, #{role}, #{now}
            from opened
            returning id
            """)
    Optional<Long> insert(long site, String login, String name, Role role, Instant now);

    /** Shuts the door as well. */
    @Update("""
            with shut as (
              delete from door
              where kind = 'LOGIN' and site_id = #{site}
                and mark = (select login from account where site_id = #{site} and id = #{id})
            )
            update account
            set removed_at = #{now}, login = login || ' removed ' || id
            where site_id = #{site} and id = #{id}
            """)
    int delete(long site, long id, Instant now);

    /** Forgets a person who has no place left, so that the name is free again. */
    @Delete("""
            delete from person
            where login = #{login} and not exists (select 1 from door where kind = 'LOGIN' and mark = #{login})
            """)
    void deleteUnplaced(String login);

    /** Deletes a site, or with null brings it back. */
    @Update("update site set deleted_at = #{at} where id = #{site}")
    void updateDeleted(long site, @Nullable Instant at);

    /** Sites whose days of grace are over. */
    @Select("select id from site where deleted_at < #{before} order by id")
    List<Long> listOverdue(Instant before);

    /** Takes everything of a site away, for good. */
    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select("select forget_site(#{site})::text")
    String forget(long site);

    @Select("select wrote(#{site}, #{account}, #{relation}, #{row})")
    boolean findWrote(long site, long account, String relation, String row);
}
