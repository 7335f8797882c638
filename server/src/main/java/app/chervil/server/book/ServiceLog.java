package app.chervil.server.book;

import app.chervil.core.site.PastService;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/** What was done; provided by the visits. */
public interface ServiceLog {
    /**
     * Services that were not withdrawn, oldest first.
     *
     * @param tank null for all tanks of the site
     * @param since the first day asked for; null for all
     */
    List<PastService> list(long site, @Nullable Long tank, @Nullable LocalDate since);
}
