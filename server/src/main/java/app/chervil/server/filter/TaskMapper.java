package app.chervil.server.filter;

import app.chervil.core.filter.CareAction;
import java.util.Optional;
import org.apache.ibatis.annotations.Mapper;
import org.jspecify.annotations.Nullable;

/** Table care_task. */
@Mapper
interface TaskMapper {
    Optional<TaskRow> find(long site, long id);

    /** Adds a task unless it is there. */
    void insert(long site, long filter, @Nullable Long stage, CareAction action, Cleaned cleaned);

    int update(long site, long id, TaskSettingInput setting);

    /** Counts the care of a filter's first stages, and of the filter itself, from another day. */
    void updateCleaned(long site, long filter, Cleaned before, Cleaned after);
}
