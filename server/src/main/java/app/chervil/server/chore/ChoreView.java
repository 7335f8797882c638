package app.chervil.server.chore;

import app.chervil.core.interval.Window;
import app.chervil.core.tank.TankChore;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A chore of a tank.
 *
 * @param everyDays absent if it is not planned
 * @param startDays what the catalogue would begin with
 * @param lastOn absent if it was never logged
 * @param window of the next time; absent if it is not planned
 */
public record ChoreView(
        TankChore kind,
        String name,
        int minutes,
        @Nullable Integer everyDays,
        int startDays,
        int leastDays,
        int mostDays,
        @Nullable LocalDate lastOn,
        @Nullable Window window,
        List<ChoreDone> lately) {
    /** One time it was done. */
    public record ChoreDone(java.util.UUID id, LocalDate doneOn, String doneBy) {}
}
