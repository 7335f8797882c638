package app.chervil.server.tank;

import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A change of context as stored.
 *
 * @param filterId the filter that got a pre-filter, or that was itself added or taken off; null for the whole tank
 */
public record ChangeRow(
        long id, long tankId, @Nullable Long filterId, ContextChange.Kind kind, int steps, LocalDate changedOn) {
    /** The change, without its place. */
    public ContextChange toCore() {
        return new ContextChange(changedOn, kind, steps);
    }

    /** Whether it changes the dirt that reaches a filter: another filter beside it does, its own arrival does not. */
    public boolean reaches(long filter) {
        return switch (kind) {
            case STOCKING, FEEDING -> true;
            case PREFILTER -> filterId != null && filterId == filter;
            case PARALLEL_FILTER -> filterId == null || filterId != filter;
        };
    }
}
