package app.chervil.server.book;

import app.chervil.core.site.FilterFault;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** Faults that keep what filters showed out of learning; provided by the trouble finder. */
public interface FaultLog {
    /**
     * Faults by tank.
     *
     * @param tank null for all tanks of the site
     */
    Map<Long, List<FilterFault>> faults(long site, @Nullable Long tank);
}
