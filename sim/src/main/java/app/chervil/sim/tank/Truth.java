package app.chervil.sim.tank;

import app.chervil.core.calc.Check;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;

/**
 * How a stage truly fills: loading = Σ days × rate ÷ T, with a yearly season and steps in the rate.
 *
 * @param overloadDays T, days to an overload at the first rate; above zero
 * @param season share by which the rate swings over the year, 0 to 1
 * @param steps changes of the rate
 */
public record Truth(double overloadDays, double season, List<Step> steps) {
    private static final double YEAR_DAYS = 365.25;

    /** From a day on the rate is so many times what it was. */
    public record Step(LocalDate on, double factor) {}

    public Truth {
        Check.positive("overloadDays", overloadDays);
        Check.within("season", season, 0, 1);
        steps = steps.stream().sorted(Comparator.comparing(Step::on)).toList();
    }

    /** Loading on a day if last served on another. */
    public double loading(LocalDate served, LocalDate on) {
        double filled = 0;
        for (LocalDate day = served; day.isBefore(on); day = day.plusDays(1)) {
            filled += rate(day) / overloadDays;
        }
        return filled;
    }

    private double rate(LocalDate day) {
        double rate = 1 + season * Math.sin(2 * Math.PI * day.getDayOfYear() / YEAR_DAYS);
        for (Step step : steps) {
            if (!step.on().isAfter(day)) {
                rate *= step.factor();
            }
        }
        return rate;
    }

    /** The same truth, slower or faster by a factor on T. */
    public Truth times(double factor) {
        return new Truth(overloadDays * factor, season, steps);
    }

    /** Whole days between. */
    static long days(LocalDate from, LocalDate to) {
        return ChronoUnit.DAYS.between(from, to);
    }
}
