package app.chervil.server.water;

import app.chervil.server.water.WaterRows.ReadingRow;
import java.time.Instant;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Table reading. */
@Mapper
interface ReadingMapper {
    /**
     * The latest readings of some parameters on each tank, at most so many of each that were read in time and as many that
     * were read early, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<ReadingRow> listRecent(long site, @Nullable Long tank, Collection<String> parameters, int most);

    /** The latest reading of each parameter of a tank. */
    List<ReadingRow> listLatest(long site, long tank);

    /** Readings of a tank from one instant to before another, oldest first. */
    List<ReadingRow> listBetween(long site, long tank, Instant fromInclusive, Instant untilExclusive);

    /** One page of a tank's readings, latest first. */
    List<ReadingRow> listPage(long site, long tank, int skip, int limit);

    /** All readings of a tank, oldest first. */
    List<ReadingRow> listAll(long site, long tank);

    Optional<ReadingRow> find(long site, UUID id);

    /** A reading, also one that was taken out. */
    Optional<ReadingRow> findKept(long site, UUID id);

    /**
     * Adds a reading unless one with that id is there.
     *
     * @param confirmed what was asked about it; null if nothing was
     */
    int insert(long site, ReadingRow reading, @Nullable String confirmed);

    /** Adds readings; one that was taken out comes back as it is here, one that is there stays as it is. */
    void insertAll(long site, List<ReadingRow> readings);

    int delete(long site, UUID id, Instant now);

    int restore(long site, UUID id);
}
