package app.chervil.server.interval;

import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Table stage_look. */
@Mapper
interface LookMapper {
    /**
     * Looks not withdrawn, oldest first.
     *
     * @param tank null for all tanks of the site
     */
    List<LookRow> list(long site, @Nullable Long tank);

    Optional<LookRow> find(long site, UUID id);

    /** Adds a look unless one with that id is there. */
    int insert(long site, LookRow look, Instant now);

    int delete(long site, UUID id, Instant now);
}
