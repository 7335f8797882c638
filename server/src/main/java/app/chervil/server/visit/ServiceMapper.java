package app.chervil.server.visit;

import app.chervil.server.visit.ServiceRows.AnswerRow;
import app.chervil.server.visit.ServiceRows.DoneRow;
import app.chervil.server.visit.ServiceRows.FlowRow;
import app.chervil.server.visit.ServiceRows.PartRow;
import app.chervil.server.visit.ServiceRows.PastRow;
import app.chervil.server.visit.ServiceRows.PhotoCount;
import app.chervil.server.visit.ServiceRows.ServiceRow;
import app.chervil.server.visit.ServiceRows.UsedRow;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Collection;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tables service, service_task, service_flow, service_part and service_correction. */
@Mapper
interface ServiceMapper {
    /**
     * Services not withdrawn, oldest first.
     *
     * @param tank null for all tanks of the site
     * @param since the first day; null for all
     */
    List<PastRow> list(long site, @Nullable Long tank, @Nullable LocalDate since);

    /** Services not withdrawn, latest first. */
    List<ServiceRow> listLatest(long site, long tank, int skip, int limit);

    /** One page of the services that fit, on tanks in use, latest first. */
    List<ServiceRow> listFound(long site, LedgerQuery query);

    /** How many services fit. */
    long findCount(long site, LedgerQuery query);

    Optional<ServiceRow> find(long site, UUID id);

    List<DoneRow> listDoneOf(long site, Collection<UUID> services);

    List<FlowRow> listFlowsOf(long site, Collection<UUID> services);

    List<PartRow> listPartsOf(long site, Collection<UUID> services);

    /** What services not withdrawn since a day did and used. */
    List<UsedRow> listUsed(long site, LocalDate since);

    List<PhotoCount> listPhotoCountsOf(long site, Collection<UUID> services);

    /** Adds a service unless one with that id is there. */
    int insert(long site, UUID id, ServiceInput service, long account, Instant now);

    /** Those of these ids under which a service is in the log, not withdrawn. */
    List<UUID> listLogged(long site, Set<UUID> ids);

    /** Filters of a tank that services other than this one did something on. */
    List<Long> listServedFilters(long site, long tank, UUID except);

    /** What was answered about services of a site, in no order. */
    List<AnswerRow> listAnswers(long site);

    /** Stores an answer in place of the one before. */
    void saveAnswer(long site, AnswerRow answer, Instant now);

    void insertDone(long site, UUID id, ServiceInput.Done done);

    void insertFlow(long site, FlowRow flow);

    void insertPart(long site, UUID id, ServiceInput.Part part);

    int update(long site, UUID id, int version, ServiceInput service);

    void deleteDone(long site, UUID id);

    void deleteFlows(long site, UUID id);

    void deleteParts(long site, UUID id);

    int delete(long site, UUID id, Instant now);

    int restore(long site, UUID id);

    void insertCorrection(long site, ServiceView was, String by, Instant now);

    /** Tasks of a tank by id, also those of stages and filters no longer in use. */
    List<Long> listTaskIds(long site, long tank);

    /** Filters of a tank by id, also those no longer in use. */
    List<Long> listFilterIds(long site, long tank);
}
