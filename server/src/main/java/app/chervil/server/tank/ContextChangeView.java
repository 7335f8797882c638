package app.chervil.server.tank;

import app.chervil.core.site.Change;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import org.jspecify.annotations.Nullable;

/**
 * A change of context.
 *
 * @param filterId the filter that got a pre-filter, or that was itself added or taken off; absent for the whole tank
 */
record ContextChangeView(
        long id, long tankId, @Nullable Long filterId, ContextChange.Kind kind, int steps, LocalDate changedOn) {
    static ContextChangeView of(Change change) {
        ContextChange what = change.what();
        return new ContextChangeView(
                change.id(), change.tankId(), change.filterId().orElse(null), what.kind(), what.steps(), what.on());
    }
}
