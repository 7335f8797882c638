package app.chervil.server.tank;

import app.chervil.core.site.Change;
import app.chervil.core.tank.ContextChange;
import java.time.LocalDate;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** Table context_change. */
record ChangeRow(
        long id, long tankId, @Nullable Long filterId, ContextChange.Kind kind, int steps, LocalDate changedOn) {
    Change change() {
        return new Change(id, tankId, Optional.ofNullable(filterId), new ContextChange(changedOn, kind, steps));
    }
}
