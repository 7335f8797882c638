package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;

/**
 * How many bags media fills: a bag of sides w ≤ h holds fill · w³ (h ÷ (π w) − 0.142 (1 − 10^(−h ÷ w))), the volume of a pillow
 * (Robin 2004; docs/sources.md#sum-media).
 */
final class MediaBags extends Sum {
    private static final Field LITRES = Field.of("litres", Measure.LITRES);
    private static final Field WIDTH = Field.of("widthMm", Measure.MILLIMETRES);
    private static final Field LENGTH = Field.of("lengthMm", Measure.MILLIMETRES);
    private static final Field TIE = Field.of("tieMm", Measure.MILLIMETRES).otherwise(40);
    private static final Field FILL =
            Field.of("fill", Measure.SHARE).from(.3, .9).rule(.6);
    private static final Field GAP = Field.of("gapMm", Measure.MILLIMETRES).optional();

    private static final double LEAST_MM = 20;
    private static final double BULGE = 1.5e6;

    MediaBags() {
        super("bags", Result.class, LITRES, WIDTH, LENGTH, TIE, FILL, GAP);
    }

    /**
     * The bags.
     *
     * @param bagL what one may hold
     * @param thickMm lying flat
     */
    record Result(
            @Says(Measure.LITRES) double bagL,
            @Says(Measure.COUNT) long count,
            @Says(Measure.LITRES) double litresEach,
            @Says(Measure.MILLIMETRES) double thickMm) {}

    @Override
    Outcome solve(Given given) {
        double left = given.number(LENGTH) - given.number(TIE);
        if (left < LEAST_MM) {
            return Refused.impossible(TIE);
        }
        double narrow = Math.min(given.number(WIDTH), left);
        double wide = Math.max(given.number(WIDTH), left);
        double bag = given.number(FILL) * pillow(narrow, wide);
        long count = Math.max(1, Slack.up(given.number(LITRES) / bag));
        double each = given.number(LITRES) / count;
        double thick = BULGE * each / (narrow * wide);
        return Solved.of(
                new Result(bag, count, each, thick),
                new Watchful().when(Slack.above(thick, given.or(GAP, thick)), Warning.TOO_FAT));
    }

    /** Litres in a full pillow of sides w ≤ h in mm. */
    private static double pillow(double w, double h) {
        return Math.pow(w, 3) * (h / (Math.PI * w) - .142 * (1 - Math.pow(10, -h / w))) / 1e6;
    }
}
