package app.chervil.core.sums;

import java.util.List;
import java.util.OptionalDouble;

/** What the tasks of a filter take in a year, and what another round of them would save (docs/sources.md#sum-cost). */
final class YearOfService extends Sum {
    private static final double YEAR_DAYS = 365;
    private static final int MOST_TASKS = 100;

    private static final Field RATE = Field.of("rate", Measure.MONEY).otherwise(0);
    private static final Field MINUTES = Field.of("minutes", Measure.MINUTES);
    private static final Field EVERY = Field.of("everyDays", Measure.DAYS);
    private static final Field PARTS = Field.of("parts", Measure.MONEY).otherwise(0);
    private static final Field TASKS = Field.rows("tasks", 1, MOST_TASKS, MINUTES, EVERY, PARTS);
    private static final Field THEN = Field.rows("then", 0, MOST_TASKS, MINUTES, EVERY, PARTS);

    YearOfService() {
        super("service", Result.class, RATE, TASKS, THEN);
    }

    /**
     * A year.
     *
     * @param costYear work and parts
     * @param savedMinutes by the other round
     */
    record Result(
            @Says(Measure.MINUTES) double minutesYear,
            @Says(Measure.MONEY) double costYear,
            @Says(Measure.MINUTES) OptionalDouble savedMinutes,
            @Says(Measure.MONEY) OptionalDouble savedCost) {}

    @Override
    Outcome solve(Given given) {
        double rate = given.number(RATE);
        List<Given> tasks = given.rows(TASKS);
        List<Given> then = given.rows(THEN);
        OptionalDouble minutes = OptionalDouble.empty();
        OptionalDouble cost = OptionalDouble.empty();
        if (!then.isEmpty()) {
            minutes = OptionalDouble.of(minutes(tasks) - minutes(then));
            cost = OptionalDouble.of(cost(tasks, rate) - cost(then, rate));
        }
        return Solved.of(new Result(minutes(tasks), cost(tasks, rate), minutes, cost));
    }

    private static double minutes(List<Given> tasks) {
        return tasks.stream()
                .mapToDouble(one -> YEAR_DAYS / one.number(EVERY) * one.number(MINUTES))
                .sum();
    }

    private static double cost(List<Given> tasks, double rate) {
        double parts = tasks.stream()
                .mapToDouble(one -> YEAR_DAYS / one.number(EVERY) * one.number(PARTS))
                .sum();
        return parts + minutes(tasks) / 60 * rate;
    }
}
