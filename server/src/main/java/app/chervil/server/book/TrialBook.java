package app.chervil.server.book;

import java.time.LocalDate;
import java.util.Map;

/** Intervals that are being tried; provided by the trials. */
public interface TrialBook {
    /** Days between two times of a task that a trial asks for on a day, by task id. */
    Map<Long, Integer> triedDays(long site, LocalDate on);
}
