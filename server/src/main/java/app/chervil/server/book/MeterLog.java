package app.chervil.server.book;

import app.chervil.core.visit.MeterDays;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What flow meters read of filters, a day at a time; provided by devices. */
public interface MeterLog {
    /**
     * Days by filter.
     *
     * @param tank null for all tanks of the site
     */
    Map<Long, MeterDays> meters(long site, @Nullable Long tank);
}
