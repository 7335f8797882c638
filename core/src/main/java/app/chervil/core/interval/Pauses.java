package app.chervil.core.interval;

import app.chervil.core.calc.Check;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;

/**
 * Days on which a filter gathers less dirt than usual: it stood still, or its keeper was away. A day counts with the least
 * share of its pauses; use days are the sum (docs/sources.md#pauses).
 */
public record Pauses(List<Pause> all) {
    public static final Pauses NONE = new Pauses(List.of());

    /** Days after which a filter that gathers nothing is said to stand still. */
    static final int MOST_DAYS = 3650;

    public Pauses {
        all = List.copyOf(all);
    }

    /**
     * One pause.
     *
     * @param endExclusive empty while it lasts
     * @param share of a usual day's dirt, 0 for off, below 1
     */
    public record Pause(LocalDate startInclusive, Optional<LocalDate> endExclusive, double share) {
        public Pause {
            Check.within("share", share, 0, 1);
        }

        private boolean covers(LocalDate day) {
            return !day.isBefore(startInclusive)
                    && endExclusive.map(day::isBefore).orElse(true);
        }
    }

    /** Why less dirt is gathered. */
    public enum Cause {
        /** It stands still. */
        OFF(0),
        /** Little is fed. */
        AWAY(0.5);

        private final double share;

        Cause(double share) {
            this.share = share;
        }

        /** Share of a usual day's dirt. */
        public double share() {
            return share;
        }
    }

    /** Those on which the filter stood still. */
    Pauses standing() {
        return new Pauses(all.stream().filter(pause -> pause.share() == 0).toList());
    }

    /** Whether it stands still on a day and nobody knows until when. */
    boolean standsOpenly(LocalDate day) {
        return all.stream()
                .anyMatch(pause -> pause.share() == 0 && pause.endExclusive().isEmpty() && pause.covers(day));
    }

    /** Use days from one day to another; zero if it lies before. */
    double useDays(LocalDate startInclusive, LocalDate endExclusive) {
        long days = Math.max(0, ChronoUnit.DAYS.between(startInclusive, endExclusive));
        if (all.isEmpty()) {
            return days;
        }
        double use = 0;
        for (LocalDate day = startInclusive; day.isBefore(endExclusive); day = day.plusDays(1)) {
            use += share(day);
        }
        return use;
    }

    /** Calendar days after which so many use days have passed, linear within a day; {@link #MOST_DAYS} if never. */
    double calendarDays(LocalDate since, double useDays) {
        if (all.isEmpty()) {
            return useDays;
        }
        double use = 0;
        for (int day = 0; day < MOST_DAYS; day++) {
            double share = share(since.plusDays(day));
            if (use + share >= useDays && share > 0) {
                return day + Math.max(0, useDays - use) / share;
            }
            use += share;
        }
        return MOST_DAYS;
    }

    private double share(LocalDate day) {
        double least = 1;
        for (Pause pause : all) {
            if (pause.share() < least && pause.covers(day)) {
                least = pause.share();
            }
        }
        return least;
    }
}
