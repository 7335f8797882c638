package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalLong;
import java.util.function.ToDoubleFunction;

/**
 * Two ways of keeping filters, in money: a year of one filter = Σ 365 ÷ days · amount · price ÷ size + W ÷ 1000 · hours · 365 ·
 * tariff + Σ 365 ÷ days · minutes ÷ 60 · rate (docs/sources.md#sum-cost).
 */
final class CostComparison extends Sum {
    private static final double YEAR_DAYS = 365;
    private static final double LEAST_AMOUNT = .001;
    private static final double MOST_AMOUNT = 1e6;

    private static final Field FILTERS = Field.of("filters", Measure.COUNT).otherwise(1);
    private static final Field RATE = Field.of("rate", Measure.MONEY).otherwise(0);
    private static final Field TARIFF = Field.of("tariff", Measure.MONEY).otherwise(0);
    private static final Field YEARS = Field.of("years", Measure.YEARS).otherwise(1);
    private static final Field UPFRONT = Field.of("upfront", Measure.MONEY).otherwise(0);
    private static final Field SHARED = Field.of("shared", Measure.MONEY).otherwise(0);
    private static final Field WATTS = Field.of("watts", Measure.WATTS).otherwise(0);
    private static final Field HOURS = Field.of("hours", Measure.HOURS).otherwise(24);
    private static final Field PRICE = Field.of("price", Measure.MONEY);
    private static final Field SIZE =
            Field.of("size", Measure.NUMBER).from(LEAST_AMOUNT, MOST_AMOUNT).otherwise(1);
    private static final Field AMOUNT =
            Field.of("amount", Measure.NUMBER).from(LEAST_AMOUNT, MOST_AMOUNT).otherwise(1);
    private static final Field EVERY = Field.of("everyDays", Measure.DAYS);
    private static final Field PARTS = Field.rows("parts", 0, 30, PRICE, SIZE, AMOUNT, EVERY);
    private static final Field MINUTES = Field.of("minutes", Measure.MINUTES);
    private static final Field WORK = Field.rows("work", 0, 30, MINUTES, EVERY);
    private static final Field OPTIONS = Field.rows("options", 2, 2, UPFRONT, SHARED, WATTS, HOURS, PARTS, WORK);

    CostComparison() {
        super("cost", Result.class, FILTERS, RATE, TARIFF, YEARS, OPTIONS);
    }

    /**
     * Each list holds now, then instead.
     *
     * @param upfront for all filters
     * @param minutes of work a year
     * @param packs opened in the first year, for each part
     * @param firstYear with whole packs
     * @param savesPerYear below zero if the other way costs more
     * @param breakEvenFilters from how many filters on it pays within the years asked for
     */
    record Result(
            @Says(Measure.MONEY) List<Double> perYear,
            @Says(Measure.MONEY) List<Double> upfront,
            @Says(Measure.MINUTES) List<Double> minutes,
            @Says(Measure.COUNT) List<List<Long>> packs,
            @Says(Measure.MONEY) List<Double> firstYear,
            @Says(Measure.MONEY) double savesPerYear,
            @Says(Measure.NUMBER) OptionalDouble paybackMonths,
            @Says(Measure.COUNT) OptionalLong breakEvenFilters) {}

    /** One way, for one filter. */
    private record Way(Given option, Given asked) {
        double filters() {
            return asked.number(FILTERS);
        }

        double minutes() {
            return sum(WORK, one -> perYear(one) * one.number(MINUTES));
        }

        double running() {
            double power = option.number(WATTS) / 1000 * option.number(HOURS) * YEAR_DAYS * asked.number(TARIFF);
            return power + minutes() / 60 * asked.number(RATE);
        }

        double year() {
            return running() + sum(PARTS, one -> used(one) * one.number(PRICE) / one.number(SIZE));
        }

        List<Long> packs() {
            return option.rows(PARTS).stream()
                    .map(one -> Slack.up(filters() * used(one) / one.number(SIZE)))
                    .toList();
        }

        double upfront() {
            return filters() * option.number(UPFRONT) + option.number(SHARED);
        }

        double firstYear() {
            List<Given> parts = option.rows(PARTS);
            double bought = 0;
            for (int index = 0; index < parts.size(); index++) {
                bought += packs().get(index) * parts.get(index).number(PRICE);
            }
            return upfront() + bought + filters() * running();
        }

        private double sum(Field rows, ToDoubleFunction<Given> of) {
            return option.rows(rows).stream().mapToDouble(of).sum();
        }

        private static double perYear(Given row) {
            return YEAR_DAYS / row.number(EVERY);
        }

        private static double used(Given part) {
            return perYear(part) * part.number(AMOUNT);
        }
    }

    @Override
    Outcome solve(Given given) {
        List<Way> ways = given.rows(OPTIONS).stream()
                .map(option -> new Way(option, given))
                .toList();
        Way now = ways.get(0);
        Way instead = ways.get(1);
        double saves = now.filters() * (now.year() - instead.year());
        Result result = new Result(
                each(ways, way -> way.filters() * way.year()),
                each(ways, Way::upfront),
                each(ways, way -> way.filters() * way.minutes()),
                ways.stream().map(Way::packs).toList(),
                each(ways, Way::firstYear),
                saves,
                payback(instead.upfront() - now.upfront(), saves),
                breakEven(given, now, instead));
        return Solved.of(result, new Watchful().when(saves <= 0, Warning.NEVER));
    }

    private static List<Double> each(List<Way> ways, ToDoubleFunction<Way> of) {
        List<Double> values = new ArrayList<>();
        ways.forEach(way -> values.add(of.applyAsDouble(way)));
        return List.copyOf(values);
    }

    private static OptionalDouble payback(double extra, double saves) {
        if (saves <= 0) {
            return OptionalDouble.empty();
        }
        return OptionalDouble.of(extra <= 0 ? 0 : 12 * extra / saves);
    }

    private static OptionalLong breakEven(Given given, Way now, Way instead) {
        double gain = given.number(YEARS) * (now.year() - instead.year())
                - (instead.option().number(UPFRONT) - now.option().number(UPFRONT));
        if (gain <= 0) {
            return OptionalLong.empty();
        }
        double once = instead.option().number(SHARED) - now.option().number(SHARED);
        return OptionalLong.of(Math.max(1, Slack.up(once / gain)));
    }
}
