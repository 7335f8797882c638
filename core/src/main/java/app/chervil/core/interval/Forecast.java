package app.chervil.core.interval;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalLong;

/**
 * When a task is next due, and why.
 *
 * @param since the day the present run began
 * @param loading empty where dirt does not count
 * @param reasons one to three sentences, most telling first
 */
public record Forecast(LocalDate since, Window window, Basis basis, Optional<Loading> loading, List<String> reasons) {
    public Forecast {
        reasons = List.copyOf(reasons);
    }

    /** Days from the start of the run to the ideal day; empty where that is no interval: a first look, or a part found spent. */
    public OptionalLong toldDays() {
        long days = ChronoUnit.DAYS.between(since, window.ideal());
        return days <= 0 || basis == Basis.TAKEN_ON ? OptionalLong.empty() : OptionalLong.of(days);
    }

    /** What a forecast rests on. */
    public enum Basis {
        /** The start interval; nothing was found yet. */
        START,
        /** Findings. */
        LEARNED,
        /** Set by the keeper or by a calendar school. */
        FIXED,
        /** Age alone. */
        AGE,
        /** Done whenever its canister is opened. */
        WITH_OPENING,
        /** The first weeks with a filter that was neglected, or of which nobody knows the age. */
        TAKEN_ON
    }
}
