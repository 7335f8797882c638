package app.chervil.core.water;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * Whether a service can be done on a day, and what it would cost the bacteria: the one answer that forecasts, rounds, the
 * plan, preparation and the log all give (docs/sources.md#holds).
 *
 * @param disturbance of the whole service, 0 to 3
 * @param holds that speak against it, the longest first
 * @param close the last disturbing service less than a week before; empty if there was none
 */
public record Permission(int disturbance, List<Hold> holds, Optional<Earlier> close) {
    /** Days between services that disturb a tank's bacteria. */
    public static final int SPACING_DAYS = 7;

    public Permission {
        holds = List.copyOf(holds);
    }

    /**
     * A disturbing service done before.
     *
     * @param what was done, in the middle of a sentence
     */
    public record Earlier(LocalDate on, String what) {}

    /**
     * Judges a service.
     *
     * @param disturbance of the whole service, in every filter it touches
     * @param holds in force on that day, in any order
     * @param earlier services that disturbed the tank's bacteria, in any order
     */
    public static Permission judge(LocalDate on, int disturbance, List<Hold> holds, List<Earlier> earlier) {
        if (!Hold.concerns(disturbance)) {
            return new Permission(disturbance, List.of(), Optional.empty());
        }
        Optional<Earlier> close = earlier.stream()
                .filter(one -> !one.on().isAfter(on) && daysBefore(on, one) < SPACING_DAYS)
                .max(Comparator.comparing(Earlier::on));
        return new Permission(
                disturbance, holds.stream().sorted(Hold.LONGEST_FIRST).toList(), close);
    }

    /** Whether nothing speaks against it. */
    public boolean free() {
        return holds.isEmpty() && close.isEmpty();
    }

    /** What speaks against it beside holds, for a keeper to read. */
    public Optional<String> spacing(LocalDate on) {
        return close.map(one -> {
            long days = daysBefore(on, one);
            String when = days == 0 ? "today" : days == 1 ? "yesterday" : days + " days ago";
            LocalDate from = one.on().plusDays(SPACING_DAYS);
            return "The bacteria of this tank were disturbed " + when + ": " + one.what() + ". Leave " + SPACING_DAYS
                    + " days between, so from " + Words.day(from) + ".";
        });
    }

    private static long daysBefore(LocalDate on, Earlier one) {
        return ChronoUnit.DAYS.between(one.on(), on);
    }
}
