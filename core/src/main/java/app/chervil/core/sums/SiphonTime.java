package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.OptionalDouble;

/**
 * How long a siphon takes: v = √(2 g h ÷ K), K = 1 + fittings + friction · hose ÷ bore (Bernoulli with losses); slower as the
 * level falls, where the footprint is known (docs/sources.md#sum-siphon).
 */
final class SiphonTime extends Sum {
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field INNER = Field.of("innerMm", Measure.MILLIMETRES);
    private static final Field HEIGHT = Field.of("heightM", Measure.METRES);
    private static final Field HOSE = Field.of("hoseM", Measure.METRES).otherwise(2);
    private static final Field FRICTION =
            Field.of("friction", Measure.NUMBER).from(.01, .06).otherwise(.03).by(Basis.PHYSICS);
    private static final Field FITTINGS =
            Field.of("fittings", Measure.NUMBER).from(0, 10).rule(1);
    private static final Field LENGTH =
            Field.of("lengthMm", Measure.MILLIMETRES).optional();
    private static final Field WIDTH = Field.of("widthMm", Measure.MILLIMETRES).optional();

    private static final double GRAVITY = 9.80665;
    /** Speed times bore in m²/s below which the flow turns laminar and this sum is too hopeful. */
    private static final double LAMINAR_BELOW = .004;

    private static final double FAST_MINUTES = 1;

    SiphonTime() {
        super("siphon", Result.class, LITRES, INNER, HEIGHT, HOSE, FRICTION, FITTINGS, LENGTH, WIDTH);
    }

    /**
     * How long.
     *
     * @param startLpm at the full height
     * @param dropMm of the level
     */
    record Result(
            @Says(Measure.LITRES_PER_MINUTE) double startLpm,
            @Says(Measure.METRES_PER_SECOND) double metresPerS,
            @Says(Measure.MINUTES) double minutes,
            @Says(Measure.MILLIMETRES) OptionalDouble dropMm) {}

    @Override
    Outcome solve(Given given) {
        double bore = given.number(INNER) / 1000;
        double height = given.number(HEIGHT);
        double losses = 1 + given.number(FITTINGS) + given.number(FRICTION) * given.number(HOSE) / bore;
        double speed = Math.sqrt(2 * GRAVITY * height / losses);
        double start = Math.PI / 4 * bore * bore * speed * 60_000;
        if (!given.has(LENGTH) || !given.has(WIDTH)) {
            return told(new Result(start, speed, given.number(LITRES) / start, OptionalDouble.empty()), bore);
        }
        double surface = given.number(LENGTH) * given.number(WIDTH) / 1e6;
        double drop = given.number(LITRES) / 1000 / surface;
        if (Slack.atLeast(drop, height)) {
            return Refused.impossible(HEIGHT);
        }
        double perRoot = Math.PI / 4 * bore * bore * Math.sqrt(2 * GRAVITY / losses);
        double seconds = 2 * surface * (Math.sqrt(height) - Math.sqrt(height - drop)) / perRoot;
        return told(new Result(start, speed, seconds / 60, OptionalDouble.of(1000 * drop)), bore);
    }

    private static Solved told(Result result, double bore) {
        return Solved.of(
                result,
                new Watchful()
                        .when(Slack.above(LAMINAR_BELOW, result.metresPerS() * bore), Warning.SLOW_FLOW)
                        .when(Slack.above(FAST_MINUTES, result.minutes()), Warning.FAST));
    }
}
