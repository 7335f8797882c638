package app.chervil.server.tank;

import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;

/** Table tank. */
@Mapper
interface TankMapper {
    List<TankRow> list(long site);

    List<TankRow> listDeleted(long site, Instant since);

    /** All, whenever they were deleted. */
    List<TankRow> listEver(long site);

    Optional<TankRow> find(long site, long id);

    long insert(long site, TankInput tank);

    int update(long site, long id, int version, TankInput tank);

    int dateBack(long site, long id, LocalDate day);

    int delete(long site, long id, Instant now);

    /** Ids of quarantine tanks. */
    List<Long> listQuarantined(long site);

    int updateQuarantine(long site, long id, boolean quarantine);

    int restore(long site, long id, Instant since);
}
