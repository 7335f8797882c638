package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import app.chervil.core.tank.Stocking;

/**
 * What a tray, chamber or basket holds: base less a core · height · fill; kilograms by density as poured, more if stacked by
 * hand (docs/sources.md#sum-media).
 */
final class MediaHeld extends Sum {
    private static final Field SHAPE = Field.word("shape", Shape.class);
    private static final Field LENGTH = Field.of("lengthMm", Measure.MILLIMETRES);
    private static final Field WIDTH = Field.of("widthMm", Measure.MILLIMETRES).optional();
    private static final Field HEIGHT = Field.of("heightMm", Measure.MILLIMETRES);
    private static final Field CORE = Field.of("coreMm", Measure.MILLIMETRES).otherwise(0);
    private static final Field FILL =
            Field.of("fill", Measure.SHARE).from(.3, 1).rule(.95);
    private static final Field MEDIA = Field.word("media", BioMedium.class);
    private static final Field DENSITY =
            Field.of("density", Measure.KILOGRAMS_PER_LITRE).optional();
    private static final Field PER_100 =
            Field.of("per100", Measure.KILOGRAMS_PER_100_LITRES).optional();
    private static final Field STACKED = Field.flag("stacked").otherwise(false);
    private static final Field GAIN =
            Field.of("stackGain", Measure.NUMBER).from(1, 1.5).rule(1.2);
    private static final Field STOCKING = Field.word("stocking", Stocking.class).otherwise(Stocking.NORMAL.name());

    private static final double FULL_FROM = .98;

    MediaHeld() {
        super(
                "hold",
                Result.class,
                SHAPE,
                LENGTH,
                WIDTH,
                HEIGHT,
                CORE,
                FILL,
                MEDIA,
                DENSITY,
                PER_100,
                STACKED,
                GAIN,
                STOCKING);
    }

    /** Of the place, seen from above. */
    enum Shape {
        BOX,
        CYLINDER
    }

    /**
     * What it holds.
     *
     * @param carriesL litres of such a tank that this carries
     */
    record Result(
            @Says(Measure.LITRES) double litres,
            @Says(Measure.KILOGRAMS) double kg,
            @Says(Measure.LITRES) double carriesL) {}

    @Override
    Outcome solve(Given given) {
        boolean box = given.word(SHAPE, Shape.class) == Shape.BOX;
        if (box && !given.has(WIDTH)) {
            return Refused.missing(WIDTH);
        }
        double length = given.number(LENGTH);
        double core = given.number(CORE);
        if (core >= (box ? Math.min(length, given.number(WIDTH)) : length)) {
            return Refused.impossible(CORE);
        }
        double base = (box ? length * given.number(WIDTH) : circle(length)) - circle(core);
        double litres = Footprint.litresAMm(base, given.number(HEIGHT)) * given.number(FILL);
        BioMedium medium = given.word(MEDIA, BioMedium.class);
        double density = given.or(DENSITY, given.shared(medium.poured()));
        double kg = litres * density * (given.is(STACKED) ? given.number(GAIN) : 1);
        double per100 = given.or(PER_100, given.shared(medium.per100()));
        double stocking = given.word(STOCKING, Stocking.class).multiplier();
        return Solved.of(
                new Result(litres, kg, kg / per100 * 100 / stocking),
                new Watchful().when(Slack.above(given.number(FILL), FULL_FROM), Warning.FULL));
    }

    private static double circle(double diameter) {
        return Math.PI / 4 * diameter * diameter;
    }
}
