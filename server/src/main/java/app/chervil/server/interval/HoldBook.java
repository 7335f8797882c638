package app.chervil.server.interval;

import app.chervil.core.water.Hold;
import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Reasons to leave the bacteria alone, as forecasts need them; provided by the water. */
public interface HoldBook {
    /**
     * Holds in force on a day, by tank id; tanks without one are left out.
     *
     * @param tank null for all tanks of the site
     */
    Map<Long, List<Hold>> holds(SignedIn who, @Nullable Long tank, LocalDate on);
}
