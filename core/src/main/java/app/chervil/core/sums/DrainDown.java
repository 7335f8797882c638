package app.chervil.core.sums;

import app.chervil.core.sums.Solved.Watchful;

/**
 * Whether a sump takes what runs back when its pump stops: footprint · height over the lip + overflow box + Σ π ÷ 4 · d² · l,
 * against the room below the rim less a margin (docs/sources.md#sum-sump).
 */
final class DrainDown extends Sum {
    private static final Field LENGTH = Field.of("lengthMm", Measure.MILLIMETRES);
    private static final Field WIDTH = Field.of("widthMm", Measure.MILLIMETRES);
    private static final Field ABOVE = Field.of("aboveMm", Measure.MILLIMETRES);
    private static final Field BOX = Field.of("boxL", Measure.LITRES).otherwise(0);
    private static final Field SUMP_LENGTH = Field.of("sumpLengthMm", Measure.MILLIMETRES);
    private static final Field SUMP_WIDTH = Field.of("sumpWidthMm", Measure.MILLIMETRES);
    private static final Field RIM = Field.of("rimMm", Measure.MILLIMETRES);
    private static final Field LEVEL = Field.of("levelMm", Measure.MILLIMETRES);
    private static final Field MARGIN =
            Field.of("marginMm", Measure.MILLIMETRES).rule(25);
    private static final Field INNER = Field.of("innerMm", Measure.MILLIMETRES);
    private static final Field PIPE = Field.of("lengthM", Measure.METRES);
    private static final Field PIPES = Field.rows("pipes", 0, 20, INNER, PIPE);

    private static final double TIGHT_BELOW = .1;

    DrainDown() {
        super("draindown", Result.class, LENGTH, WIDTH, ABOVE, BOX, SUMP_LENGTH, SUMP_WIDTH, RIM, LEVEL, MARGIN, PIPES);
    }

    /**
     * What runs back.
     *
     * @param roomL below the rim, less the margin
     * @param spareL below zero if it overflows
     * @param maxLevelMm highest running level that leaves room
     */
    record Result(
            @Says(Measure.LITRES) double drainL,
            @Says(Measure.LITRES) double roomL,
            @Says(Measure.LITRES) double spareL,
            @Says(Measure.MILLIMETRES) double maxLevelMm) {}

    @Override
    Outcome solve(Given given) {
        if (given.number(LEVEL) >= given.number(RIM)) {
            return Refused.impossible(LEVEL);
        }
        double drain = drain(given);
        double sump = Footprint.litresAMm(given.number(SUMP_LENGTH), given.number(SUMP_WIDTH));
        double top = given.number(RIM) - given.number(MARGIN);
        double room = sump * Math.max(0, top - given.number(LEVEL));
        boolean flood = Slack.above(drain, room);
        return Solved.of(
                new Result(drain, room, room - drain, Math.max(0, top - drain / sump)),
                new Watchful()
                        .when(flood, Warning.FLOOD)
                        .when(!flood && Slack.above(TIGHT_BELOW * drain, room - drain), Warning.TIGHT));
    }

    private static double drain(Given given) {
        double pipes = given.rows(PIPES).stream()
                .mapToDouble(pipe -> Math.PI / 4 * Math.pow(pipe.number(INNER), 2) * pipe.number(PIPE) / 1000)
                .sum();
        double above = Footprint.litresAMm(given.number(LENGTH), given.number(WIDTH)) * given.number(ABOVE);
        return above + given.number(BOX) + pipes;
    }
}
