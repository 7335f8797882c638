package app.chervil.server.book;

import app.chervil.core.site.PlannedChore;
import app.chervil.core.water.Permission.Earlier;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Work on the tanks themselves; provided by the chores. */
public interface ChoreLog {
    /**
     * The chores of each tank by its id; tanks without any are left out.
     *
     * @param tank null for all tanks of the site
     * @param waterChanged days of the latest water changes, by tank
     */
    Map<Long, Chores> chores(long site, @Nullable Long tank, Map<Long, LocalDate> waterChanged);

    /**
     * One tank's chores.
     *
     * @param aside work that disturbed its bacteria, in any order
     */
    record Chores(List<PlannedChore> planned, List<Earlier> aside) {
        static final Chores NONE = new Chores(List.of(), List.of());
    }
}
