package app.chervil.server.filter;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import java.time.LocalDate;
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
        @Nullable LocalDate removedOn) {
    FilterInput.Rating rating() {
        return new FilterInput.Rating(ratedFlowLph, powerW, maxHeadM, liftM);
    }
}
