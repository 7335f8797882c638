package app.chervil.server.filter;

import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Tables filter and stage. */
@Mapper
interface FilterMapper {
    /**
     * Filters in use on tanks in use.
     *
     * @param tank null for all tanks of the site
     */
    List<FilterRow> list(long site, @Nullable Long tank);

    Optional<FilterRow> find(long site, long id);

    long insert(long site, long tank, FilterInput filter, Cleaned cleaned);

    int update(long site, long id, int version, FilterInput filter);

    int updateCleaned(long site, long id, Cleaned cleaned);

    int delete(long site, long id, LocalDate today);

    int restore(long site, long id);

    long insertStage(long site, long filter, int position, FilterInput.StageInput stage, LocalDate careFrom);

    void updateStage(long site, long filter, int position, FilterInput.StageInput stage);

    /** Adds to the mass of the first bio media of a filter, if it is known; what would be nothing is unknown. */
    int shiftMedia(long site, long filter, double grams);

    void deleteStage(long site, long id, LocalDate today);
}
