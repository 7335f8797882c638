package app.chervil.server.people;

import app.chervil.core.agenda.People;
import app.chervil.server.account.Role;
import app.chervil.server.people.TimeView.ExceptionInput;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Tables person_hours, day_exception and keeper_only. */
@Mapper
interface TimeMapper {
    /** The people and everything said about their time; exceptions from a day on. */
    @Select("""
            select json_build_object(
              'people',
              coalesce((
                select json_agg(
                  json_build_object('id', id, 'name', name, 'role', role)
                  order by array_position(array['KEEPER', 'HELPER', 'VIEWER'], role), name, id)
                from account
                where site_id = #{site} and removed_at is null
              ), '[]'),
              'hours',
              coalesce((select json_agg(person_hours) from person_hours where site_id = #{site}), '[]'),
              'exceptions',
              coalesce((
                select json_agg(day_exception order by first_day, id)
                from day_exception
                where site_id = #{site} and last_day >= #{since}
              ), '[]'),
              'keeper_only',
              coalesce((select json_agg(work) from keeper_only where site_id = #{site}), '[]')
            )
            """)
    Said find(long site, LocalDate since);

    @Insert("""
            insert into person_hours (account_id, site_id, weekday, minutes)
            values (#{account}, #{site}, #{weekday}, #{minutes})
            on conflict on constraint person_hours_pk do update set minutes = #{minutes}
            """)
    void saveHours(long site, long account, int weekday, int minutes);

    @Insert("""
            insert into day_exception (site_id, account_id, first_day, last_day, minutes, note)
            values (#{site}, #{input.accountId}, #{input.firstDay}, #{input.lastDay}, #{input.minutes}, #{input.note})
            """)
    void insertException(long site, ExceptionInput input);

    @Delete("delete from day_exception where site_id = #{site} and id = #{id}")
    int deleteException(long site, long id);

    @Insert("insert into keeper_only (site_id, work) values (#{site}, #{work}) on conflict do nothing")
    void insertKeeperOnly(long site, String work);

    @Delete("delete from keeper_only where site_id = #{site}")
    void deleteKeeperOnly(long site);

    /** Tables person_hours, day_exception and keeper_only of a site, and its people. */
    record Said(List<PersonRow> people, List<HoursRow> hours, List<ExceptionRow> exceptions, List<String> keeperOnly) {}

    /** Table account, of what bears on work. */
    record PersonRow(long id, String name, Role role) {}

    /** Table person_hours. */
    record HoursRow(long accountId, int weekday, int minutes) {}

    /** Table day_exception. */
    record ExceptionRow(
            long id, @Nullable Long accountId, LocalDate firstDay, LocalDate lastDay, int minutes, String note) {
        People.UnusualDays days() {
            return new People.UnusualDays(id, Optional.ofNullable(accountId), firstDay, lastDay, minutes, note);
        }
    }
}
