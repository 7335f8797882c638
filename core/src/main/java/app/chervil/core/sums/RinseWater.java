package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;
import java.util.List;

/**
 * Tank water for rinsing: twice the media's volume a rinse, in tubs two thirds full, never more than a quarter of the tank in
 * all; fewer rinses before smaller ones, and water made up where the tank is too small (docs/sources.md#sum-buckets).
 */
final class RinseWater extends Sum {
    private static final Field MEDIA = Field.of("mediaL", Measure.LITRES);
    private static final Field NET = Field.of("netL", Measure.LITRES);
    private static final Field RINSES =
            Field.of("rinses", Measure.COUNT).from(1, 5).rule(3);
    private static final Field RATIO =
            Field.of("ratio", Measure.NUMBER).from(.5, 10).rule(2);
    private static final Field FILL =
            Field.of("fill", Measure.SHARE).from(.3, .95).rule(2.0 / 3);
    private static final Field CAP =
            Field.of("cap", Measure.SHARE).from(.02, .6).rule(.25);
    private static final Field PLANNED = Field.of("plannedL", Measure.LITRES).otherwise(0);
    private static final Field TUBS = Field.numbers("tubsL", Measure.LITRES, 1, 10);

    private static final double LEAST_LITRES = 1;
    private static final double LEAST_OF_NEED = 4;
    private static final double HEAVY_LITRES = 15;

    RinseWater() {
        super("buckets", Result.class, MEDIA, NET, RINSES, RATIO, FILL, CAP, PLANNED, TUBS);
    }

    /** How it is done. */
    enum Way {
        /** Every rinse as wished. */
        FULL,
        /** The media a part at a time. */
        PORTIONS,
        /** Fewer rinses than wished. */
        FEWER,
        /** With conditioned tap water at the tank's temperature. */
        SPLIT
    }

    /**
     * What to draw.
     *
     * @param portions in which the media is rinsed
     * @param tubL the smallest tub that will do
     * @param drawnL from the tank in all
     * @param makeUpL to be made up of conditioned tap water
     * @param leftToChangeL of the planned water change
     */
    record Result(
            Way plan,
            @Says(Measure.COUNT) int rinses,
            @Says(Measure.LITRES) double litresEach,
            @Says(Measure.COUNT) long portions,
            @Says(Measure.LITRES) double tubL,
            @Says(Measure.LITRES) double drawnL,
            @Says(Measure.SHARE) double share,
            @Says(Measure.LITRES) double makeUpL,
            @Says(Measure.LITRES) double leftToChangeL) {}

    @Override
    Outcome solve(Given given) {
        double need = Math.max(LEAST_LITRES, given.number(RATIO) * given.number(MEDIA));
        double most = given.number(FILL) * largest(given.numbers(TUBS));
        double wanted = Slack.atLeast(most, need) ? need : most;
        int rinses = given.count(RINSES);
        double allowed = given.number(CAP) * given.number(NET);
        for (int count = rinses; count >= 1; count--) {
            double each = Math.min(wanted, allowed / count);
            if (Slack.atLeast(each, Math.max(LEAST_LITRES, need / LEAST_OF_NEED))) {
                Way way = count < rinses ? Way.FEWER : Slack.atLeast(each, need) ? Way.FULL : Way.PORTIONS;
                return told(given, new Drawing(way, count, each, need));
            }
        }
        return told(given, new Drawing(Way.SPLIT, rinses, wanted, need));
    }

    private record Drawing(Way way, int rinses, double each, double need) {
        double drawn() {
            return way == Way.SPLIT ? 0 : rinses * each;
        }

        double madeUp() {
            return way == Way.SPLIT ? rinses * each : 0;
        }
    }

    private static Solved told(Given given, Drawing drawing) {
        double tub = given.numbers(TUBS).stream()
                .sorted()
                .filter(one -> Slack.atLeast(given.number(FILL) * one, drawing.each()))
                .findFirst()
                .orElseGet(() -> largest(given.numbers(TUBS)));
        Result result = new Result(
                drawing.way(),
                drawing.rinses(),
                drawing.each(),
                Slack.up(drawing.need() / drawing.each()),
                tub,
                drawing.drawn(),
                drawing.drawn() / given.number(NET),
                drawing.madeUp(),
                Math.max(0, given.number(PLANNED) - drawing.drawn()));
        return Solved.of(result, new Watchful().when(Slack.above(drawing.each(), HEAVY_LITRES), Warning.HEAVY));
    }

    private static double largest(List<Double> tubs) {
        return tubs.stream().mapToDouble(Double::doubleValue).max().orElseThrow();
    }
}
