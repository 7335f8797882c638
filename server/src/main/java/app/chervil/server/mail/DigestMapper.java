package app.chervil.server.mail;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Table digest. The post goes from site to site. */
@Mapper
interface DigestMapper {
    @Select("select address, at_hour from digest where site_id = #{site} and account_id = #{account}")
    Optional<DigestRow> find(long site, long account);

    @Insert("""
            insert into digest (account_id, site_id, address, at_hour)
            values (#{account}, #{site}, #{row.address}, #{row.atHour})
            on conflict on constraint digest_pk do update set address = #{row.address}, at_hour = #{row.atHour}
            """)
    void save(long site, long account, DigestRow row);

    @Delete("delete from digest where site_id = #{site} and account_id = #{account}")
    void delete(long site, long account);

    @Select("""
            select d.account_id, d.site_id, a.name, a.role, d.address
            from digest d
            join account a on a.site_id = d.site_id and a.id = d.account_id
            where d.site_id = #{site} and d.at_hour <= #{hour} and (d.sent_for is null or d.sent_for < #{tomorrow}) and a.removed_at is null
            order by d.account_id
            """)
    List<DueRow> listDue(long site, int hour, LocalDate tomorrow);

    @Select("select id from site order by id")
    List<Long> listSites();

    @Update("update digest set sent_for = #{tomorrow} where site_id = #{site} and account_id = #{account}")
    void updateSent(long site, long account, LocalDate tomorrow);

    /** How a digest is wanted. */
    record DigestRow(String address, int atHour) {}

    /** One to be sent. */
    record DueRow(long accountId, long siteId, String name, String role, String address) {}
}
