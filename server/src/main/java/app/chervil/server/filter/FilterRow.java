package app.chervil.server.filter;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.interval.Start.Sureness;
import app.chervil.core.procedure.Build;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** A filter as stored. */
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
        Build.Valves valves,
        Build.@Nullable Fill fill) {
    Build build() {
        Build usual = Build.usual(kind, Optional.ofNullable(direction));
        return new Build(kind, usual.direction(), valves, fill == null ? usual.fill() : fill);
    }

    FilterInput.Rating rating() {
        return new FilterInput.Rating(ratedFlowLph, powerW, maxHeadM, liftM);
    }
}
