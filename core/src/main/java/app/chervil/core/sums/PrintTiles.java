package app.chervil.core.sums;

import java.util.OptionalDouble;

/**
 * How many sheets of paper a template takes at true size, overlapping so that they can be joined, and by how much the printer
 * is off, measured on a bar of 100 mm (docs/sources.md#sum-cutting).
 */
final class PrintTiles extends Sum {
    private static final Field A = Field.of("aMm", Measure.MILLIMETRES);
    private static final Field B = Field.of("bMm", Measure.MILLIMETRES);
    private static final Field PAPER = Field.word("paper", Paper.class).otherwise(Paper.A4.name());
    private static final Field MARGIN =
            Field.of("marginMm", Measure.MILLIMETRES).from(5, 25).otherwise(10);
    private static final Field OVERLAP =
            Field.of("overlapMm", Measure.MILLIMETRES).from(5, 30).otherwise(10);
    private static final Field BAR =
            Field.of("barMm", Measure.MILLIMETRES).from(50, 150).optional();

    private static final double BAR_MM = 100;
    private static final double MOST_OFF_MM = 1;

    PrintTiles() {
        super("tiles", Result.class, A, B, PAPER, MARGIN, OVERLAP, BAR);
    }

    /** Sizes of paper. */
    enum Paper {
        A4(210, 297),
        LETTER(215.9, 279.4);

        private final double shorter;
        private final double longer;

        Paper(double shorter, double longer) {
            this.shorter = shorter;
            this.longer = longer;
        }
    }

    /** Which way the paper lies. */
    enum Turn {
        PORTRAIT,
        LANDSCAPE
    }

    /**
     * The sheets.
     *
     * @param errorMm over the longer side of the template; below zero if it prints small
     */
    record Result(
            @Says(Measure.COUNT) long across,
            @Says(Measure.COUNT) long down,
            @Says(Measure.COUNT) long pages,
            Turn turn,
            @Says(Measure.MILLIMETRES) OptionalDouble errorMm) {}

    @Override
    Outcome solve(Given given) {
        double off = given.or(BAR, BAR_MM) - BAR_MM;
        if (Slack.above(Math.abs(off), MOST_OFF_MM)) {
            return Refused.impossible(BAR);
        }
        double longer = Math.max(given.number(A), given.number(B));
        OptionalDouble error = given.following(BAR, bar -> longer * (bar / BAR_MM - 1));
        Result upright = laid(given, Turn.PORTRAIT, error);
        Result lying = laid(given, Turn.LANDSCAPE, error);
        return Solved.of(lying.pages() < upright.pages() ? lying : upright);
    }

    private static Result laid(Given given, Turn turn, OptionalDouble error) {
        Paper paper = given.word(PAPER, Paper.class);
        boolean upright = turn == Turn.PORTRAIT;
        long across = sheets(given, A, upright ? paper.shorter : paper.longer);
        long down = sheets(given, B, upright ? paper.longer : paper.shorter);
        return new Result(across, down, across * down, turn, error);
    }

    private static long sheets(Given given, Field side, double paper) {
        double usable = paper - 2 * given.number(MARGIN);
        double size = given.number(side);
        double overlap = given.number(OVERLAP);
        return Slack.atMost(size, usable) ? 1 : Slack.up((size - overlap) / (usable - overlap));
    }
}
