package app.chervil.core.sums;

import java.util.OptionalLong;

/** Several small water changes against one: removed = 1 − (1 − share)^count, in fully mixed water (docs/sources.md#sum-nitrate). */
final class ManySmall extends Sum {
    private static final double MOST = .99;
    private static final Field SHARE = Field.of("share", Measure.SHARE).from(.01, MOST);
    private static final Field COUNT = Field.of("count", Measure.COUNT);
    private static final Field BIG =
            Field.of("bigShare", Measure.SHARE).from(.01, MOST).optional();

    ManySmall() {
        super("split", Result.class, SHARE, COUNT, BIG);
    }

    /**
     * What they do.
     *
     * @param removed of what was in the water
     * @param moreWater than one change that removes as much, as a share of it
     * @param countFor small changes that remove as much as the big one
     */
    record Result(
            @Says(Measure.SHARE) double removed,
            @Says(Measure.SHARE) double moreWater,
            @Says(Measure.COUNT) OptionalLong countFor) {}

    @Override
    Outcome solve(Given given) {
        double left = 1 - given.number(SHARE);
        double removed = 1 - Math.pow(left, given.number(COUNT));
        OptionalLong countFor = given.has(BIG)
                ? OptionalLong.of(Slack.up(Math.log(1 - given.number(BIG)) / Math.log(left)))
                : OptionalLong.empty();
        return Solved.of(new Result(removed, given.number(COUNT) * given.number(SHARE) / removed - 1, countFor));
    }
}
