package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalLong;

/**
 * Conditioner by its label, for the new water or, dosed in the tank, for all of it, in whole units of the keeper's cap, spoon
 * or pump stroke. Five times the label is refused (docs/sources.md#sum-conditioner).
 */
final class Conditioner extends Sum {
    private static final Field LABEL_ML =
            Field.of("labelMl", Measure.MILLILITRES).by(Basis.LABEL);
    private static final Field LABEL_L = Field.of("labelL", Measure.LITRES).by(Basis.LABEL);
    private static final Field NEW = Field.of("newL", Measure.LITRES);
    private static final Field NET = Field.of("netL", Measure.LITRES).optional();
    private static final Field BASIS = Field.word("basis", For.class).otherwise(For.NEW_WATER.name());
    private static final Field FACTOR =
            Field.of("factor", Measure.NUMBER).from(1, 5).otherwise(1).by(Basis.LABEL);
    private static final Field UNIT = Field.of("unitMl", Measure.MILLILITRES).otherwise(.1);
    private static final Field PLANNED =
            Field.of("plannedMl", Measure.MILLILITRES).optional();
    private static final Field STOCK = Field.of("stockMl", Measure.MILLILITRES).optional();
    private static final Field EVERY = Field.of("everyDays", Measure.DAYS).otherwise(7);

    private static final double MOST_OF_LABEL = 5;
    private static final double OVER_FROM = 2;

    Conditioner() {
        super("conditioner", Result.class, LABEL_ML, LABEL_L, NEW, NET, BASIS, FACTOR, UNIT, PLANNED, STOCK, EVERY);
    }

    /** Which water is dosed for. */
    enum For {
        NEW_WATER,
        WHOLE_TANK
    }

    /**
     * The dose.
     *
     * @param exactMl by the label
     * @param units of the keeper's, whole
     * @param timesLabel how many label doses that is
     * @param otherMl if dosed for the other water
     */
    record Result(
            @Says(Measure.MILLILITRES) double exactMl,
            @Says(Measure.COUNT) long units,
            @Says(Measure.MILLILITRES) double doseMl,
            @Says(Measure.NUMBER) double timesLabel,
            @Says(Measure.MILLILITRES) OptionalDouble otherMl,
            @Says(Measure.COUNT) OptionalLong dosesLeft,
            @Says(Measure.DAYS) OptionalDouble daysLeft) {}

    @Override
    Outcome solve(Given given) {
        boolean whole = given.word(BASIS, For.class) == For.WHOLE_TANK;
        if (given.has(NET) && Slack.above(given.number(NEW), given.number(NET))) {
            return Refused.impossible(NEW);
        }
        if (whole && !given.has(NET)) {
            return Refused.missing(NET);
        }
        double single = byLabel(given, given.number(whole ? NET : NEW));
        double exact = single * given.number(FACTOR);
        long units = Math.max(1, Slack.up(exact / given.number(UNIT)));
        double dose = units * given.number(UNIT);
        return unsafe(given, single, dose)
                .<Outcome>map(refused -> refused)
                .orElseGet(() -> told(given, single, exact, units));
    }

    private static double byLabel(Given given, double litres) {
        return litres * given.number(LABEL_ML) / given.number(LABEL_L);
    }

    private static Optional<Refused> unsafe(Given given, double single, double dose) {
        if (Slack.above(given.or(PLANNED, 0), MOST_OF_LABEL * single)) {
            return Optional.of(Refused.unsafe(PLANNED));
        }
        return Slack.above(dose, MOST_OF_LABEL * single) ? Optional.of(Refused.unsafe(UNIT)) : Optional.empty();
    }

    private static Solved told(Given given, double single, double exact, long units) {
        double dose = units * given.number(UNIT);
        boolean whole = given.word(BASIS, For.class) == For.WHOLE_TANK;
        OptionalDouble other = given.has(NET)
                ? OptionalDouble.of(byLabel(given, given.number(whole ? NEW : NET)) * given.number(FACTOR))
                : OptionalDouble.empty();
        OptionalLong doses =
                given.has(STOCK) ? OptionalLong.of(Slack.down(given.number(STOCK) / dose)) : OptionalLong.empty();
        OptionalDouble days =
                doses.isPresent() ? OptionalDouble.of(doses.getAsLong() * given.number(EVERY)) : OptionalDouble.empty();
        double planned = given.or(PLANNED, exact);
        return Solved.of(
                new Result(exact, units, dose, dose / single, other, doses, days),
                new Watchful()
                        .when(Slack.above(exact, planned), Warning.UNDER)
                        .when(Slack.above(Math.max(dose, planned), OVER_FROM * exact), Warning.OVER));
    }
}
