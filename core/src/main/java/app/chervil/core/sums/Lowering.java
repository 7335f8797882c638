package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.OptionalDouble;

/**
 * How much water brings a reading down: left = (target − tap) ÷ (now − tap), share = 1 − left; in as many equal changes as keep
 * each within the most in one go (docs/sources.md#sum-nitrate).
 */
final class Lowering extends Sum {
    private static final Field NOW =
            Field.of("now", Measure.MILLIGRAMS_PER_LITRE).from(.01, 500);
    private static final Field TARGET = Field.of("target", Measure.MILLIGRAMS_PER_LITRE);
    private static final Field TAP =
            Field.of("tap", Measure.MILLIGRAMS_PER_LITRE).otherwise(0);
    private static final Field MOST =
            Field.of("most", Measure.SHARE).from(.05, .9).rule(.5);
    private static final Field NET = Field.of("netL", Measure.LITRES).optional();

    Lowering() {
        super("lower", Result.class, NOW, TARGET, TAP, MOST, NET);
    }

    /**
     * What it takes.
     *
     * @param share of the water in all, as one change
     * @param count of changes
     * @param each share of each
     */
    record Result(
            @Says(Measure.SHARE) double share,
            @Says(Measure.COUNT) long count,
            @Says(Measure.SHARE) double each,
            @Says(Measure.LITRES) OptionalDouble litresEach) {}

    @Override
    Outcome solve(Given given) {
        double now = given.number(NOW);
        double target = given.number(TARGET);
        double tap = given.number(TAP);
        if (target >= now) {
            return Solved.of(new Result(0, 0, 0, litres(given, 0)), Watchful.over(Warning.NOTHING));
        }
        if (tap >= target) {
            return Refused.impossible(TAP);
        }
        double left = (target - tap) / (now - tap);
        long count = Math.max(1, Slack.up(Math.log(left) / Math.log(1 - given.number(MOST))));
        double each = 1 - Math.pow(left, 1.0 / count);
        return Solved.of(
                new Result(1 - left, count, each, litres(given, each)),
                new Watchful().when(count > 1, Warning.SEVERAL));
    }

    private static OptionalDouble litres(Given given, double each) {
        return given.following(NET, net -> each * net);
    }
}
