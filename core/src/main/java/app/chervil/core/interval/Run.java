package app.chervil.core.interval;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * The days since a stage was last served, and the dirt that reached it.
 *
 * @param since the day of the last service, or the day the stage was put in
 * @param until the day up to which exposure is counted: the last change of context
 * @param exposure days × rate from {@code since} to {@code until}
 * @param load the rate from {@code until} on, and the load reduction logged in this run
 * @param growthLimitDays longest next interval before any logged load reduction
 */
record Run(LocalDate since, LocalDate until, double exposure, Load load, double growthLimitDays) {
    static final double MOST_GROWTH = 1.5;
    private static final double MOST_RELIEF = 2;

    /**
     * How fast dirt arrives.
     *
     * @param rate exposure a day; above zero
     * @param relief factor on the growth limit, 1..2
     */
    record Load(double rate, double relief) {}

    static Run starting(LocalDate since, double rate, double longestDays) {
        return new Run(since, since, 0, new Load(rate, 1), MOST_GROWTH * longestDays);
    }

    long daysAt(LocalDate day) {
        return Math.max(0, ChronoUnit.DAYS.between(since, day));
    }

    double exposureAt(LocalDate day) {
        return exposure + load.rate() * Math.max(0, ChronoUnit.DAYS.between(until, day));
    }

    /** Days from {@code since} until this exposure is reached, at the present rate beyond {@code until}. */
    double daysTo(double target) {
        long elapsed = ChronoUnit.DAYS.between(since, until);
        return target < exposure ? elapsed * target / exposure : elapsed + (target - exposure) / load.rate();
    }

    double limitDays() {
        return growthLimitDays * load.relief();
    }

    Run changed(LocalDate on, ContextEffect effect) {
        double relief =
                Math.min(MOST_RELIEF, load.relief() * Math.min(MOST_RELIEF, Math.max(1, Math.exp(-effect.logRate()))));
        return new Run(
                since, on, exposureAt(on), new Load(load.rate() * Math.exp(effect.logRate()), relief), growthLimitDays);
    }

    Run served(LocalDate on, double plannedDays) {
        return starting(on, load.rate(), Math.max((double) daysAt(on), plannedDays));
    }
}
