package app.chervil.server.future;

import app.chervil.server.future.FutureView.State;
import app.chervil.server.future.FutureView.WayView;
import com.fasterxml.jackson.annotation.JsonCreator;
import com.fasterxml.jackson.annotation.JsonValue;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Delete;
import org.apache.ibatis.annotations.Insert;
import org.apache.ibatis.annotations.Mapper;
import org.apache.ibatis.annotations.Select;
import org.apache.ibatis.annotations.Update;

/** Table future_run. */
@Mapper
interface FutureMapper {
    @Insert("""
            insert into future_run (site_id, id, begun_at, asked, state, done, ways)
            values (#{site}, #{id}, #{now}, #{asked}, 'RUNNING', 0, '[]')
            """)
    void insert(long site, UUID id, Instant now, FutureInput asked);

    @Select("select id, asked, state, done, ways from future_run where site_id = #{site} and id = #{id}")
    Optional<RunRow> find(long site, UUID id);

    @Select("select count(*) from future_run where site_id = #{site} and state = 'RUNNING'")
    int findRunning(long site);

    /** Keeps how far one is, unless it has ended meanwhile. */
    @Update("update future_run set done = #{done} where site_id = #{site} and id = #{id} and state = 'RUNNING'")
    int updateDone(long site, UUID id, int done);

    /** Ends one, unless it has ended already. */
    @Update("""
            update future_run
            set state = #{state}, ways = #{ways}
            where site_id = #{site} and id = #{id} and state = 'RUNNING'
            """)
    int end(long site, UUID id, State state, Ways ways);

    @Update("update future_run set state = 'CANCELLED' where site_id = #{site} and state = 'RUNNING'")
    void cancelAll(long site);

    @Delete("delete from future_run where site_id = #{site} and begun_at < #{before}")
    void deleteOld(long site, Instant before);

    /** What ways of working bring. */
    record Ways(@JsonValue List<WayView> all) {
        static final Ways NONE = new Ways(List.of());

        @JsonCreator(mode = JsonCreator.Mode.DELEGATING)
        public Ways {}
    }

    /** Table future_run. */
    record RunRow(UUID id, FutureInput asked, State state, int done, Ways ways) {
        FutureView view() {
            int total = asked.ways().size() * asked.futures();
            return new FutureView(id, state, state == State.DONE ? total : done, total, ways.all());
        }
    }
}
