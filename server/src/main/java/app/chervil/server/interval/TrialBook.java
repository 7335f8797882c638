package app.chervil.server.interval;

import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.Map;

/** Intervals that are being tried, as forecasts need them; provided by the trials. */
public interface TrialBook {
    /** Days between two times of a task that a trial asks for on a day, by task id. */
    Map<Long, Integer> triedDays(SignedIn who, LocalDate on);
}
