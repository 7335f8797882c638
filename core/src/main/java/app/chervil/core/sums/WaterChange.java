package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * How much comes out at a water change, by a share of the tank or by a drop of its level; water drawn into rinse buckets and a
 * canister that is refilled with new water are part of it (docs/sources.md#sum-change).
 */
final class WaterChange extends Sum {
    private static final Field NET = Field.of("netL", Measure.LITRES);
    private static final Field SHARE = Field.of("share", Measure.SHARE).optional();
    private static final Field DROP = Field.of("dropMm", Measure.MILLIMETRES).optional();
    private static final Field LENGTH =
            Field.of("lengthMm", Measure.MILLIMETRES).optional();
    private static final Field WIDTH = Field.of("widthMm", Measure.MILLIMETRES).optional();
    private static final Field BUCKET = Field.of("bucketL", Measure.LITRES).otherwise(0);
    private static final Field CANISTER = Field.of("canisterL", Measure.LITRES).otherwise(0);

    private static final double BIG_FROM = .5;

    WaterChange() {
        super("change", Result.class, NET, SHARE, DROP, LENGTH, WIDTH, BUCKET, CANISTER);
    }

    /**
     * What comes out.
     *
     * @param siphonL still to be drawn beside buckets and canister
     * @param dropMm of the level in all
     */
    record Result(
            @Says(Measure.LITRES) double totalL,
            @Says(Measure.SHARE) double share,
            @Says(Measure.LITRES) double siphonL,
            @Says(Measure.MILLIMETRES) OptionalDouble dropMm) {}

    @Override
    Outcome solve(Given given) {
        Optional<Refused> unclear = unclear(given);
        if (unclear.isPresent()) {
            return unclear.get();
        }
        double net = given.number(NET);
        double wanted = given.has(SHARE)
                ? given.number(SHARE) * net
                : given.number(DROP) * litresAMm(given) + given.number(CANISTER);
        if (Slack.above(wanted, net)) {
            return Refused.impossible(DROP);
        }
        double done = given.number(BUCKET) + given.number(CANISTER);
        double total = Math.max(wanted, done);
        return Slack.above(total, net) ? Refused.impossible(BUCKET) : told(given, wanted, total);
    }

    private static Optional<Refused> unclear(Given given) {
        if (given.has(SHARE) && given.has(DROP)) {
            return Optional.of(Refused.impossible(SHARE));
        }
        if (given.has(SHARE)) {
            return Optional.empty();
        }
        if (!given.has(DROP)) {
            return Optional.of(Refused.missing(SHARE));
        }
        return Footprint.lacking(given, LENGTH, WIDTH);
    }

    private static Solved told(Given given, double wanted, double total) {
        double canister = given.number(CANISTER);
        OptionalDouble drop = given.has(LENGTH) && given.has(WIDTH)
                ? OptionalDouble.of((total - canister) / litresAMm(given))
                : OptionalDouble.empty();
        double share = total / given.number(NET);
        return Solved.of(
                new Result(total, share, total - given.number(BUCKET) - canister, drop),
                new Watchful()
                        .when(Slack.above(total, wanted), Warning.OVER)
                        .when(Slack.above(share, BIG_FROM), Warning.BIG));
    }

    private static double litresAMm(Given given) {
        return Footprint.litresAMm(given.number(LENGTH), given.number(WIDTH));
    }
}
