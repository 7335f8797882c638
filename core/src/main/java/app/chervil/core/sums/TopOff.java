package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How long a pump chamber lasts without topping up: evaporation measured, or footprint · millimetres a day; salt stays behind,
 * so that S · net ÷ (net − chamber) is left at the low mark (docs/sources.md#sum-sump).
 */
final class TopOff extends Sum {
    private static final Field CHAMBER_LENGTH = Field.of("chamberLengthMm", Measure.MILLIMETRES);
    private static final Field CHAMBER_WIDTH = Field.of("chamberWidthMm", Measure.MILLIMETRES);
    private static final Field SPARE = Field.of("spareMm", Measure.MILLIMETRES);
    private static final Field EVAPORATED = Field.of("evapL", Measure.LITRES).optional();
    private static final Field LENGTH =
            Field.of("lengthMm", Measure.MILLIMETRES).optional();
    private static final Field WIDTH = Field.of("widthMm", Measure.MILLIMETRES).optional();
    private static final Field MM_A_DAY =
            Field.of("mmPerDay", Measure.MILLIMETRES).from(.2, 20).rule(4);
    private static final Field RESERVE = Field.of("reserveL", Measure.LITRES).otherwise(0);
    private static final Field RETURN =
            Field.of("returnLph", Measure.LITRES_PER_HOUR).optional();
    private static final Field NET = Field.of("netL", Measure.LITRES).optional();
    private static final Field SALT =
            Field.of("saltGL", Measure.GRAMS_PER_LITRE).otherwise(0);
    private static final Field RISE =
            Field.of("riseGL", Measure.GRAMS_PER_LITRE).from(.1, 5).rule(1);

    TopOff() {
        super(
                "topoff",
                Result.class,
                CHAMBER_LENGTH,
                CHAMBER_WIDTH,
                SPARE,
                EVAPORATED,
                LENGTH,
                WIDTH,
                MM_A_DAY,
                RESERVE,
                RETURN,
                NET,
                SALT,
                RISE);
    }

    /**
     * How long.
     *
     * @param chamberL above the pump's minimum
     * @param daysToLow until the pump draws air
     * @param daysReserve that the reserve tops up
     * @param secondsDry until the chamber is empty if nothing flows back
     * @param daysToRise until salinity has risen by its limit
     */
    record Result(
            @Says(Measure.LITRES) double chamberL,
            @Says(Measure.LITRES) double evapL,
            @Says(Measure.DAYS) double daysToLow,
            @Says(Measure.DAYS) double daysReserve,
            @Says(Measure.SECONDS) OptionalDouble secondsDry,
            @Says(Measure.GRAMS_PER_LITRE) OptionalDouble saltAtLow,
            @Says(Measure.DAYS) OptionalDouble daysToRise) {}

    @Override
    Outcome solve(Given given) {
        Optional<Refused> lacking = given.has(EVAPORATED) ? Optional.empty() : Footprint.lacking(given, LENGTH, WIDTH);
        if (lacking.isPresent()) {
            return lacking.get();
        }
        double chamber =
                Footprint.litresAMm(given.number(CHAMBER_LENGTH), given.number(CHAMBER_WIDTH)) * given.number(SPARE);
        if (isSalt(given) && Slack.atLeast(chamber, given.number(NET))) {
            return Refused.impossible(NET);
        }
        return told(given, chamber);
    }

    private static boolean isSalt(Given given) {
        return given.number(SALT) > 0 && given.has(NET);
    }

    private static Solved told(Given given, double chamber) {
        double evaporated = given.has(EVAPORATED)
                ? given.number(EVAPORATED)
                : Footprint.litresAMm(given.number(LENGTH), given.number(WIDTH)) * given.number(MM_A_DAY);
        OptionalDouble dry = given.following(RETURN, lph -> 3600 * chamber / lph);
        OptionalDouble saltAtLow = OptionalDouble.empty();
        OptionalDouble toRise = OptionalDouble.empty();
        if (isSalt(given)) {
            double net = given.number(NET);
            double salt = given.number(SALT);
            saltAtLow = OptionalDouble.of(salt * net / (net - chamber));
            toRise = OptionalDouble.of(net * given.number(RISE) / (salt + given.number(RISE)) / evaporated);
        }
        double toLow = chamber / evaporated;
        return Solved.of(
                new Result(chamber, evaporated, toLow, given.number(RESERVE) / evaporated, dry, saltAtLow, toRise),
                new Watchful().when(Slack.above(1, toLow), Warning.SOON));
    }
}
