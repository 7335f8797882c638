package app.chervil.server.filter;

import app.chervil.core.filter.CareAction;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.site.TaskMode;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A care task as stored.
 *
 * @param stageId null for a task of the whole filter
 * @param fixedDays null unless fixed
 */
record TaskRow(
        long id,
        long filterId,
        @Nullable Long stageId,
        CareAction action,
        LocalDate careFrom,
        Sureness careSureness,
        TaskMode mode,
        @Nullable Integer fixedDays,
        int version) {}
