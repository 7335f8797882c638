package app.chervil.server.water;

import java.util.List;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.jspecify.annotations.Nullable;

/** Table tap_value. */
@Mapper
interface TapMapper {
    @Select("select tank_id, parameter, amount from tap_value where site_id = #{site} order by tank_id nulls first")
    List<TapRow> list(long site);

    @Insert("""
            insert into tap_value (site_id, tank_id, parameter, amount)
            values (#{site}, #{tank}, #{parameter}, #{amount})
            on conflict on constraint tap_value_unique do update set amount = excluded.amount
            """)
    void save(long site, @Nullable Long tank, String parameter, double amount);

    @Delete("""
            delete from tap_value
            where site_id = #{site} and tank_id is not distinct from #{tank} and parameter = #{parameter}
            """)
    void delete(long site, @Nullable Long tank, String parameter);

    /** Table tap_value; of the whole site without a tank. */
    record TapRow(@Nullable Long tankId, String parameter, double amount) {}
}
