package app.chervil.server.book;

import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.Look;
import app.chervil.core.site.Pause;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/** What is seen between services, when filters stood still, and how people grade; provided by the intervals. */
public interface CareLog {
    /**
     * All of it.
     *
     * @param tank null for all tanks of the site
     */
    Care care(long site, @Nullable Long tank);

    /**
     * What was seen and said.
     *
     * @param looks by stage, oldest first
     * @param pauses by tank, oldest first
     * @param eyes how people of the site grade, by account; those who never tested theirs are left out
     */
    record Care(Map<Long, List<Look>> looks, Map<Long, List<Pause>> pauses, Map<Long, CalibratedEye> eyes) {}
}
