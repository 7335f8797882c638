package app.chervil.core.interval;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;

/**
 * The days since a stage was last served, and the dirt that reached it. Days are use days unless said otherwise.
 *
 * @param start when it was last served, renewed or put in, and how surely that is known
 * @param until the day up to which exposure is counted: the last change of context
 * @param exposure days × rate from the start to {@code until}
 * @param load the rate from {@code until} on, and the load reduction logged in this run
 * @param limitDays longest next interval before any logged load reduction
 * @param pauses on which less dirt arrives
 */
record Run(Start start, LocalDate until, double exposure, Load load, double limitDays, Pauses pauses) {
    static final double MOST_GROWTH = 1.5;
    private static final double MOST_RELIEF = 2;

    /**
     * How fast dirt arrives.
     *
     * @param rate exposure a day; above zero
     * @param relief factor on the growth limit, 1..2
     */
    record Load(double rate, double relief) {}

    static Run starting(Start start, double rate, double limitDays, Pauses pauses) {
        return new Run(start, start.on(), 0, new Load(rate, 1), limitDays, pauses);
    }

    LocalDate since() {
        return start.on();
    }

    double daysAt(LocalDate day) {
        return pauses.useDays(since(), day);
    }

    long calendarDaysAt(LocalDate day) {
        return Math.max(0, ChronoUnit.DAYS.between(since(), day));
    }

    double exposureAt(LocalDate day) {
        return exposure + load.rate() * pauses.useDays(until, day);
    }

    LogExposure logExposureAt(LocalDate day, double startDays) {
        return switch (start.sureness()) {
            case EXACT -> LogExposure.exact(exposureAt(day));
            case ABOUT -> new LogExposure(LogExposure.log(exposureAt(day)), start.logVariance());
            case UNKNOWN -> LogExposure.ofUnknownAge(exposureAt(day), startDays);
        };
    }

    /** Use days from the start until this exposure is reached, at the present rate. */
    double daysTo(double target) {
        return daysAt(until) + (target - exposure) / load.rate();
    }

    /** Exposure after so many use days, at the present rate. */
    double exposureAfter(double days) {
        return exposure + (days - daysAt(until)) * load.rate();
    }

    double limit() {
        return limitDays * load.relief();
    }

    Run changed(LocalDate on, ContextEffect effect) {
        double relief =
                Math.min(MOST_RELIEF, load.relief() * Math.min(MOST_RELIEF, Math.max(1, Math.exp(-effect.logRate()))));
        return new Run(
                start,
                on,
                exposureAt(on),
                new Load(load.rate() * Math.exp(effect.logRate()), relief),
                limitDays,
                pauses);
    }

    /** A new run from a service on, with the limit it leaves. */
    Run served(LocalDate on, double nextLimitDays) {
        return starting(Start.exact(on), load.rate(), nextLimitDays, pauses);
    }

    /** A new run from a service so soon after the last that it belongs to it. */
    Run continued(LocalDate on) {
        return new Run(Start.exact(on), on, 0, load, limitDays, pauses);
    }
}
