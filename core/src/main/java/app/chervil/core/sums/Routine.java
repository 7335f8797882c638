package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * Where a routine of water changes settles: rise p = a week's production · days ÷ 7, peak before each change = tap + p ÷ share,
 * trough = peak − p; the way there shrinks by (1 − share) a change (docs/sources.md#sum-nitrate).
 */
final class Routine extends Sum {
    private static final Field SHARE = Field.of("share", Measure.SHARE);
    private static final Field EVERY = Field.of("everyDays", Measure.DAYS);
    private static final Field PER_WEEK = Field.of("perWeek", Measure.MILLIGRAMS_PER_LITRE);
    private static final Field TAP =
            Field.of("tap", Measure.MILLIGRAMS_PER_LITRE).otherwise(0);
    private static final Field NOW =
            Field.of("now", Measure.MILLIGRAMS_PER_LITRE).optional();
    private static final Field WANT =
            Field.of("wantPeak", Measure.MILLIGRAMS_PER_LITRE).optional();

    private static final double SETTLED = .1;

    Routine() {
        super("schedule", Result.class, SHARE, EVERY, PER_WEEK, TAP, NOW, WANT);
    }

    /**
     * Where it settles.
     *
     * @param peak before a change
     * @param trough after it
     * @param changes until within a tenth of the peak
     * @param shareFor the share that would bring the wanted peak
     */
    record Result(
            @Says(Measure.MILLIGRAMS_PER_LITRE) double peak,
            @Says(Measure.MILLIGRAMS_PER_LITRE) double trough,
            @Says(Measure.MILLIGRAMS_PER_LITRE) double rise,
            @Says(Measure.COUNT) OptionalInt changes,
            @Says(Measure.NUMBER) OptionalDouble weeks,
            @Says(Measure.SHARE) OptionalDouble shareFor) {}

    @Override
    Outcome solve(Given given) {
        double rise = given.number(PER_WEEK) * given.number(EVERY) / 7;
        double peak = given.number(TAP) + rise / given.number(SHARE);
        Optional<Double> shareFor = Optional.empty();
        if (given.has(WANT)) {
            double room = given.number(WANT) - given.number(TAP);
            if (!Slack.above(room, 0) || Slack.above(rise / room, 1)) {
                return Refused.impossible(WANT);
            }
            shareFor = Optional.of(rise / room);
        }
        OptionalInt changes = changes(given, peak);
        OptionalDouble weeks = changes.isPresent()
                ? OptionalDouble.of(changes.getAsInt() * given.number(EVERY) / 7)
                : OptionalDouble.empty();
        OptionalDouble share = shareFor.map(OptionalDouble::of).orElse(OptionalDouble.empty());
        double tap = given.number(TAP);
        return Solved.of(
                new Result(peak, peak - rise, rise, changes, weeks, share),
                new Watchful().when(tap > 0 && Slack.atLeast(tap, peak / 2), Warning.TAP));
    }

    private static OptionalInt changes(Given given, double peak) {
        if (!given.has(NOW)) {
            return OptionalInt.empty();
        }
        double away = Math.abs(given.number(NOW) - peak);
        if (peak == 0) {
            return away == 0 ? OptionalInt.of(0) : OptionalInt.empty();
        }
        int changes = 0;
        while (!Slack.atMost(away, SETTLED * peak)) {
            away *= 1 - given.number(SHARE);
            changes++;
        }
        return OptionalInt.of(changes);
    }
}
