package app.chervil.core.site;

import app.chervil.core.tank.ContextChange;
import java.util.Optional;

/**
 * A change of context with its place.
 *
 * @param filterId the filter that got a pre-filter, or that was itself added or taken off; empty for the whole tank
 */
public record Change(long id, long tankId, Optional<Long> filterId, ContextChange what) {
    /** Whether it changes the dirt that reaches a filter: another filter beside it does, its own arrival does not. */
    public boolean reaches(long filter) {
        return switch (what.kind()) {
            case STOCKING, FEEDING -> true;
            case PREFILTER -> filterId.equals(Optional.of(filter));
            case PARALLEL_FILTER -> !filterId.equals(Optional.of(filter));
        };
    }
}
