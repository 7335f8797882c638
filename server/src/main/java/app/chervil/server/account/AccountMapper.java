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

/** Sites, their accounts and doors, and failed sign-ins. */
@Mapper
interface AccountMapper {
    String COLUMNS = "select id, site_id, login, name, role, password_hash from account ";

    /** The person behind a login: its door leads to the site. */
    @Select("""
            select account.id, account.site_id, account.login, account.name, account.role, account.password_hash
            from door
            join account on account.site_id = door.site_id and account.login = door.mark
            where door.kind = 'LOGIN' and door.mark = #{login} and account.removed_at is null
            """)
    Optional<AccountRow> findByLogin(String login);

    @Select(COLUMNS + "where site_id = #{site} and id = #{id} and removed_at is null")
    Optional<AccountRow> find(long site, long id);

    @Select(COLUMNS + "where site_id = #{site} and removed_at is null order by role desc, name")
    List<AccountRow> list(long site);

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

    @Select("select exists (select 1 from door where kind = 'LOGIN')")
    boolean findAny();

    @Select("select pg_advisory_xact_lock(471120261)::text")
    String lockSetup();

    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select(affectData = true, value = "insert into site (name, created_at) values (#{name}, #{now}) returning id")
    long insertSite(String name, Instant now);

    @Options(flushCache = Options.FlushCachePolicy.TRUE)
    @Select(affectData = true, value = """
            with opened as (
              insert into door (kind, mark, site_id)
              values ('LOGIN', #{person.login}, #{site})
              on conflict on constraint door_pk do nothing
              returning site_id, mark
            )
            insert into account (site_id, login, name, role, password_hash, created_at)
            select site_id, mark, #{person.name}, #{role}, #{hash}, #{now}
            from opened
            returning id
            """)
    Optional<Long> insert(long site, Person person, Role role, String hash, Instant now);

    /** Shuts the door as well, so that the login is free again. */
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

    @Insert("insert into sign_in_failure (login, address, failed_at) values (#{login}, #{address}, #{now})")
    void insertFailure(String login, String address, Instant now);

    @Select("select count(*) from sign_in_failure where login = #{login} and failed_at > #{since}")
    int findFailuresOf(String login, Instant since);

    @Select("select count(*) from sign_in_failure where address = #{address} and failed_at > #{since}")
    int findFailuresFrom(String address, Instant since);

    @Delete("delete from sign_in_failure where login = #{login} or failed_at < #{before}")
    void deleteFailures(String login, Instant before);

    @Delete("delete from spring_session where principal_name = #{account}")
    void deleteSessions(String account);

    /** Login and name of an account to be made. */
    record Person(String login, String name) {}
}
