package app.chervil.server.book;

import app.chervil.core.site.Tried;
import java.time.LocalDate;
import java.util.Map;

/** Intervals that are being tried; provided by the trials. */
public interface TrialBook {
    /** What trials say of intervals on a day, by task id. */
    Map<Long, Tried> tried(long site, LocalDate on);
}
