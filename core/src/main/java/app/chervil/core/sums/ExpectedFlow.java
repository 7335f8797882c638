package app.chervil.core.sums;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.sums.Solved.Watchful;
import java.util.Map;
import java.util.OptionalDouble;

/**
 * What a filter should move: rated · √(1 − h ÷ H) · factor · f, since losses go with the square of the flow; f = 1 ÷ (1 +
 * (1 ÷ φ − 1) · loading²) as dirt fills it. Pumps whose magnet slips fall straight with the lift: the low end. Without a
 * maximum head, half of the plate (docs/sources.md#sum-flow).
 */
final class ExpectedFlow extends Sum {
    private static final Field RATED = Field.of("ratedLph", Measure.LITRES_PER_HOUR);
    private static final Field KIND = Field.word("kind", FilterKind.class);
    private static final Field HEAD = Field.of("maxHeadM", Measure.METRES).optional();
    private static final Field LIFT = Field.of("liftM", Measure.METRES).otherwise(0);
    private static final Field PLUMBING =
            Field.of("plumbing", Measure.SHARE).from(.3, 1).rule(.85);
    private static final Field MEDIA =
            Field.of("media", Measure.SHARE).from(.2, 1).optional();
    private static final Field FACTOR =
            Field.of("factor", Measure.SHARE).from(.05, 1.2).optional();
    private static final Field LOADING =
            Field.of("loading", Measure.SHARE).from(0, 1.5).otherwise(0);
    private static final Field FLOW_SHARE =
            Field.of("flowShare", Measure.SHARE).from(.2, .95).rule(.6);
    private static final Field MEASURED =
            Field.of("measuredLph", Measure.LITRES_PER_HOUR).optional();
    private static final Field NET = Field.of("netL", Measure.LITRES).optional();

    /** How much media of a kind of filter lets through. */
    private static final Map<FilterKind, Double> THROUGH = Map.of(
            FilterKind.CANISTER, .7,
            FilterKind.HANG_ON_BACK, .85,
            FilterKind.INTERNAL, .8,
            FilterKind.SUMP, 1.0,
            FilterKind.UV_UNIT, .95);

    private static final double HALF = .5;
    private static final double LOW_HALF = .35;
    private static final double STEEP_FROM = .8;
    private static final double ODD_ABOVE = 1.05;
    private static final double ODD_BELOW = .2;

    ExpectedFlow() {
        super(
                "expected",
                Result.class,
                RATED,
                KIND,
                HEAD,
                LIFT,
                PLUMBING,
                MEDIA,
                FACTOR,
                LOADING,
                FLOW_SHARE,
                MEASURED,
                NET);
    }

    /** What the answer rests on. */
    enum Rests {
        /** The pump's own curve. */
        CURVE,
        /** Half of what the plate says. */
        HALF
    }

    /**
     * What it should move.
     *
     * @param lowLph if the pump falls straight with the lift
     * @param factor that a measured flow speaks for
     */
    record Result(
            @Says(Measure.LITRES_PER_HOUR) double lph,
            @Says(Measure.LITRES_PER_HOUR) double lowLph,
            Rests basis,
            @Says(Measure.SHARE) OptionalDouble factor,
            @Says(Measure.NUMBER) OptionalDouble turnover) {}

    @Override
    Outcome solve(Given given) {
        FilterKind kind = given.word(KIND, FilterKind.class);
        if (!THROUGH.containsKey(kind)) {
            return Refused.impossible(KIND);
        }
        if (given.has(HEAD) && Slack.atLeast(given.number(LIFT), given.number(HEAD))) {
            return Refused.impossible(LIFT);
        }
        return given.has(HEAD) ? byCurve(given, kind) : byHalf(given);
    }

    private static double dirt(Given given) {
        double loading = given.number(LOADING);
        return 1 / (1 + (1 / given.number(FLOW_SHARE) - 1) * loading * loading);
    }

    private static Solved byHalf(Given given) {
        double clean = given.number(RATED) * dirt(given);
        return Solved.of(new Result(
                HALF * clean, LOW_HALF * clean, Rests.HALF, OptionalDouble.empty(), turnover(given, HALF * clean)));
    }

    private static Solved byCurve(Given given, FilterKind kind) {
        double used = given.number(LIFT) / given.number(HEAD);
        double unhindered = given.number(RATED) * Math.sqrt(1 - used) * dirt(given);
        double through = THROUGH.getOrDefault(kind, 1.0);
        double factor = given.or(FACTOR, given.number(PLUMBING) * given.or(MEDIA, through));
        OptionalDouble learned = given.following(MEASURED, measured -> measured / unhindered);
        Result result = new Result(
                unhindered * factor,
                unhindered * factor * Math.sqrt(1 - used),
                Rests.CURVE,
                learned,
                turnover(given, unhindered * factor));
        double odd = learned.orElse(1);
        return Solved.of(
                result,
                new Watchful()
                        .when(Slack.above(used, STEEP_FROM), Warning.STEEP)
                        .when(Slack.above(odd, ODD_ABOVE) || Slack.above(ODD_BELOW, odd), Warning.ODD_FACTOR));
    }

    private static OptionalDouble turnover(Given given, double lph) {
        return given.following(NET, net -> lph / net);
    }
}
