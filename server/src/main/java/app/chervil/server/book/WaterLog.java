package app.chervil.server.book;

import app.chervil.core.site.Tank;
import app.chervil.core.water.Permission.Earlier;
import app.chervil.core.water.WaterBook;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/** What is known of the water; provided by the water. */
public interface WaterLog {
    /**
     * The water of each tank by its id.
     *
     * @param tanks all that are asked for
     * @param tank null for all tanks of the site
     */
    Map<Long, Water> waters(long site, List<Tank> tanks, @Nullable Long tank);

    /**
     * One tank's water.
     *
     * @param aside work that disturbed its bacteria, in any order
     * @param changed the day of its latest water change
     */
    record Water(WaterBook book, List<Earlier> aside, Optional<LocalDate> changed) {}
}
