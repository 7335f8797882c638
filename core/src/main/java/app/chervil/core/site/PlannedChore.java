package app.chervil.core.site;

import app.chervil.core.calc.Check;
import app.chervil.core.interval.Window;
import app.chervil.core.tank.TankChore;
import java.time.LocalDate;
import java.util.List;

/**
 * Work on the tank itself that is planned.
 *
 * @param everyDays 1 to 365
 * @param since the day its next time is counted from
 * @param done days on which it was done, latest first
 */
public record PlannedChore(long id, long tankId, TankChore kind, int everyDays, LocalDate since, List<LocalDate> done) {
    public PlannedChore {
        Check.within("everyDays", everyDays, 1, 365);
        done = List.copyOf(done);
    }

    /** When it is next to be done. */
    public Window window() {
        LocalDate ideal = since.plusDays(everyDays);
        int slack = TankChore.slack(everyDays);
        return new Window(ideal.minusDays(slack), ideal, ideal.plusDays(slack));
    }
}
