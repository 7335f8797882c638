package app.chervil.server.account;

import java.time.Instant;
import java.util.List;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;

/** Table deed. */
@Mapper
interface DeedMapper {
    @Select("""
            select deed.id, deed.did_at, account.name, deed.act, deed.subject
            from deed
            join account on account.site_id = deed.site_id and account.id = deed.account_id
            where deed.site_id = #{site} and deed.id < #{before}
            order by deed.id desc
            limit #{most}
            """)
    List<DeedRow> list(long site, long before, int most);

    /** A deed with the name of who did it. */
    record DeedRow(long id, Instant didAt, String name, String act, String subject) {}
}
