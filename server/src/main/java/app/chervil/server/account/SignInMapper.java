package app.chervil.server.account;

import java.time.Instant;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Tables sign_in_failure and known_address. */
@Mapper
interface SignInMapper {
    @Insert("insert into sign_in_failure (login, address, failed_at) values (#{login}, #{address}, #{now})")
    void insertFailure(String login, String address, Instant now);

    @Select("""
            select count(*)
            from sign_in_failure
            where login = #{login} and address = #{address} and failed_at > #{since}
            """)
    int findFailuresOfPair(String login, String address, Instant since);

    @Select("select count(*) from sign_in_failure where login = #{login} and failed_at > #{since}")
    int findFailuresOf(String login, Instant since);

    @Select("select count(*) from sign_in_failure where address = #{address} and failed_at > #{since}")
    int findFailuresFrom(String address, Instant since);

    @Delete("""
            delete from sign_in_failure
            where login = #{login} and address = #{address} or failed_at < #{before}
            """)
    void deleteFailures(String login, String address, Instant before);

    @Select("""
            select exists (
              select 1 from known_address where login = #{login} and address = #{address} and last_at > #{since}
            )
            """)
    boolean findKnown(String login, String address, Instant since);

    @Insert("""
            insert into known_address (login, address, last_at)
            values (#{login}, #{address}, #{now})
            on conflict on constraint known_address_pk do update set last_at = excluded.last_at
            """)
    void saveKnown(String login, String address, Instant now);
}
