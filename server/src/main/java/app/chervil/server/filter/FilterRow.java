package app.chervil.server.filter;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.passport.Passport;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** Table filter, with its stages and tasks. */
record FilterRow(
        long id,
        long tankId,
        String name,
        FilterKind kind,
        @Nullable FlowDirection direction,
        @Nullable Double ratedFlowLph,
        @Nullable Double powerW,
        @Nullable Double maxHeadM,
        @Nullable Double liftM,
        @Nullable LocalDate fittedOn,
        int version,
        @Nullable LocalDate removedOn,
        LocalDate careFrom,
        Sureness careSureness,
        PassportInput passport,
        Path path) {
    /**
     * What hangs on it; null where there is nothing.
     *
     * @param stages in use, in the order of the water path
     * @param tasks those of the whole filter first, then those of its stages in use
     */
    record Path(@Nullable List<StageRow> stages, @Nullable List<TaskRow> tasks) {}

    List<StageRow> stages() {
        return path.stages == null ? List.of() : path.stages;
    }

    List<TaskRow> tasks() {
        return path.tasks == null ? List.of() : path.tasks;
    }

    Passport known(List<FilterStage> stages) {
        return passport.toCore(
                kind, direction, stages.stream().map(FilterStage::kind).toList());
    }

    Filter.Rating rating() {
        return new Filter.Rating(
                Given.number(ratedFlowLph), Given.number(powerW), Given.number(maxHeadM), Given.number(liftM));
    }
}
