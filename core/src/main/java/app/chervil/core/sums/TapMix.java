package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.OptionalDouble;

/**
 * Hot and cold tap water mixed to a temperature: hot share = (target − cold) ÷ (hot − cold); what it does to the tank is share ·
 * (target − tank) (docs/sources.md#sum-mix).
 */
final class TapMix extends Sum {
    private static final Field COLD = Field.of("coldC", Measure.CELSIUS);
    private static final Field HOT = Field.of("hotC", Measure.CELSIUS).from(0, 90);
    private static final Field TARGET = Field.of("targetC", Measure.CELSIUS);
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field TANK = Field.of("tankC", Measure.CELSIUS).optional();
    private static final Field SHARE = Field.of("share", Measure.SHARE).optional();
    private static final Field STEP_LIMIT =
            Field.of("stepLimit", Measure.KELVIN).from(.2, 10).rule(2);

    private static final double SCALDS_FROM = 50;

    TapMix() {
        super("mix", Result.class, COLD, HOT, TARGET, LITRES, TANK, SHARE, STEP_LIMIT);
    }

    /**
     * The mix.
     *
     * @param afterC the tank afterwards
     * @param stepC by how much it moves
     * @param newMinC coldest new water that keeps the step within its limit
     * @param newMaxC warmest new water that does
     */
    record Result(
            @Says(Measure.SHARE) double hotShare,
            @Says(Measure.LITRES) double hotL,
            @Says(Measure.LITRES) double coldL,
            @Says(Measure.CELSIUS) OptionalDouble afterC,
            @Says(Measure.KELVIN) OptionalDouble stepC,
            @Says(Measure.CELSIUS) OptionalDouble newMinC,
            @Says(Measure.CELSIUS) OptionalDouble newMaxC) {}

    @Override
    Outcome solve(Given given) {
        double cold = given.number(COLD);
        double hot = given.number(HOT);
        double target = given.number(TARGET);
        if (hot <= cold) {
            return Refused.impossible(HOT);
        }
        if (target < cold || target > hot) {
            return Refused.impossible(TARGET);
        }
        return told(given, (target - cold) / (hot - cold));
    }

    private static Solved told(Given given, double hotShare) {
        double litres = given.number(LITRES);
        Watchful watchful = new Watchful().when(Slack.above(given.number(HOT), SCALDS_FROM), Warning.SCALD);
        if (!given.has(TANK) || !given.has(SHARE)) {
            OptionalDouble no = OptionalDouble.empty();
            return Solved.of(
                    new Result(hotShare, hotShare * litres, (1 - hotShare) * litres, no, no, no, no), watchful);
        }
        double tank = given.number(TANK);
        double step = given.number(SHARE) * (given.number(TARGET) - tank);
        double most = given.number(STEP_LIMIT) / given.number(SHARE);
        Result result = new Result(
                hotShare,
                hotShare * litres,
                (1 - hotShare) * litres,
                OptionalDouble.of(tank + step),
                OptionalDouble.of(step),
                OptionalDouble.of(tank - most),
                OptionalDouble.of(tank + most));
        return Solved.of(result, watchful.when(Slack.above(Math.abs(step), given.number(STEP_LIMIT)), Warning.STEP));
    }
}
