package app.chervil.server.plan;

import app.chervil.server.plan.TimeView.DayException;
import app.chervil.server.plan.TimeView.ExceptionInput;
import java.time.LocalDate;
import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Tables person_hours, day_exception and keeper_only. */
@Mapper
interface TimeMapper {
    @Select(
            "select account_id, weekday, minutes from person_hours where site_id = #{site} order by account_id, weekday")
    List<HoursRow> listHours(long site);

    @Insert("""
            insert into person_hours (account_id, site_id, weekday, minutes)
            values (#{account}, #{site}, #{weekday}, #{minutes})
            on conflict on constraint person_hours_pk do update set minutes = #{minutes}
            """)
    void saveHours(long site, long account, int weekday, int minutes);

    @Select("""
            select id, account_id, first_day, last_day, minutes, note
            from day_exception
            where site_id = #{site} and last_day >= #{since}
            order by first_day, id
            """)
    List<DayException> listExceptions(long site, LocalDate since);

    @Insert("""
            insert into day_exception (site_id, account_id, first_day, last_day, minutes, note)
            values (#{site}, #{input.accountId}, #{input.firstDay}, #{input.lastDay}, #{input.minutes}, #{input.note})
            """)
    void insertException(long site, ExceptionInput input);

    @Delete("delete from day_exception where site_id = #{site} and id = #{id}")
    int deleteException(long site, long id);

    @Select("select work from keeper_only where site_id = #{site} order by work")
    List<String> listKeeperOnly(long site);

    @Insert("insert into keeper_only (site_id, work) values (#{site}, #{work}) on conflict do nothing")
    void insertKeeperOnly(long site, String work);

    @Delete("delete from keeper_only where site_id = #{site}")
    void deleteKeeperOnly(long site);

    /** Table person_hours. */
    record HoursRow(long accountId, int weekday, int minutes) {}
}
