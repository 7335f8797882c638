package app.chervil.server.trouble;

import app.chervil.core.trouble.Bearing;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tables trouble_case, trouble_event and trouble_counting. */
@Mapper
interface TroubleMapper {
    /**
     * Cases of tanks in use, newest first.
     *
     * @param tank null for all tanks of the site
     */
    List<CaseRow> list(long site, @Nullable Long tank);

    Optional<CaseRow> find(long site, UUID id);

    /** Finds a case and lets nobody else add to it until this transaction is over. */
    Optional<CaseRow> findLocked(long site, UUID id);

    /** Adds a case unless one with that id is there. */
    int insert(long site, CaseRow row);

    int updateVerdict(long site, CaseRow row);

    int updateOverruled(long site, UUID id, @Nullable Bearing overruled);

    int delete(long site, UUID id);

    /** Events of a case in the order in which the server got them. */
    List<TroubleEvent> listEvents(long site, UUID caseId);

    /** Adds an event unless one with that id is there. */
    int insertEvent(long site, UUID caseId, String by, TroubleEvent event);

    Optional<Instant> countedSince(long site);

    void saveCounting(long site, Instant since);

    void deleteCounting(long site);
}
