package app.chervil.server.filter;

import app.chervil.core.filter.CareAction;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Table care_task. */
@Mapper
interface TaskMapper {
    /**
     * Tasks of stages in use, and of whole filters.
     *
     * @param tank null for all tanks of the site
     */
    List<TaskRow> list(long site, @Nullable Long tank);

    Optional<TaskRow> find(long site, long id);

    /** Adds a task unless it is there. */
    void insert(long site, long filter, @Nullable Long stage, CareAction action, LocalDate careFrom);

    int update(long site, long id, TaskSettingInput setting);
}
