package app.chervil.core.sums;

import app.chervil.core.sums.Guillotine.Placed;
import app.chervil.core.sums.Solved.Watchful;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;

/**
 * How many pieces of foam a sheet gives, by straight cuts from edge to edge: the most there can be ({@link Guillotine}), with
 * the fewest cuts; pieces are cut a little over, so that they sit tight (docs/sources.md#sum-cutting).
 */
final class SheetCut extends Sum {
    private static final Field SHAPE = Field.word("shape", Shape.class);
    private static final Field A = Field.of("aMm", Measure.MILLIMETRES);
    private static final Field B = Field.of("bMm", Measure.MILLIMETRES).optional();
    static final Field OVERSIZE =
            Field.of("oversizeMm", Measure.MILLIMETRES).from(0, 10).rule(4);
    private static final Field HOLE = Field.of("holeMm", Measure.MILLIMETRES).otherwise(0);
    static final Field KERF = Field.of("kerfMm", Measure.MILLIMETRES).from(0, 5).otherwise(0);
    static final Field SHEET_W = Field.of("sheetWMm", Measure.MILLIMETRES);
    static final Field SHEET_H = Field.of("sheetHMm", Measure.MILLIMETRES);
    private static final Field COUNT = Field.of("count", Measure.COUNT).otherwise(1);
    static final Field PRICE = Field.of("price", Measure.MONEY).optional();
    private static final Field LIFE = Field.of("lifeDays", Measure.DAYS).rule(540);
    private static final Field THICK = Field.of("thickMm", Measure.MILLIMETRES).optional();
    private static final Field DEPTH = Field.of("depthMm", Measure.MILLIMETRES).optional();
    private static final Field NOTCH_W = Field.of("wMm", Measure.MILLIMETRES);
    private static final Field NOTCH_H = Field.of("hMm", Measure.MILLIMETRES);
    private static final Field NOTCHES = Field.rows("notches", 0, 12, NOTCH_W, NOTCH_H);

    private static final int MOST_PIECES = 150;
    private static final double MOST_SQUEEZE = .15;

    SheetCut() {
        super(
                "cut",
                Result.class,
                SHAPE,
                A,
                B,
                OVERSIZE,
                HOLE,
                KERF,
                SHEET_W,
                SHEET_H,
                COUNT,
                PRICE,
                LIFE,
                THICK,
                DEPTH,
                NOTCHES);
    }

    /** Of a piece, seen from above. */
    enum Shape {
        RECT,
        CIRCLE
    }

    /**
     * The cut.
     *
     * @param pieceWMm as cut, with what is over
     * @param straight pieces in one plain grid
     * @param turned pieces in the other
     * @param best most pieces there can be
     * @param cuts to get them, trims included
     * @param waste of the sheet
     * @param layers that fill the depth
     * @param gapMm left above them
     * @param pieces where each is cut, in millimetres from a corner
     */
    record Result(
            @Says(Measure.MILLIMETRES) int pieceWMm,
            @Says(Measure.MILLIMETRES) int pieceHMm,
            @Says(Measure.COUNT) int straight,
            @Says(Measure.COUNT) int turned,
            @Says(Measure.COUNT) int best,
            @Says(Measure.COUNT) int cuts,
            @Says(Measure.COUNT) int sheets,
            @Says(Measure.SHARE) double waste,
            @Says(Measure.MONEY) OptionalDouble pricePiece,
            @Says(Measure.MONEY) OptionalDouble total,
            @Says(Measure.MONEY) OptionalDouble perYear,
            @Says(Measure.COUNT) OptionalInt layers,
            @Says(Measure.MILLIMETRES) OptionalDouble gapMm,
            List<Placed> pieces) {}

    /** The piece with what is over, and with the width of the cut. */
    private record Piece(int w, int h, int p, int q, double net) {
        static Piece of(Given given) {
            double over = 2 * given.number(OVERSIZE);
            double other = given.or(B, given.number(A));
            int w = (int) Slack.up(given.number(A) + over);
            int h = (int) Slack.up(other + over);
            double kerf = given.number(KERF);
            return new Piece(w, h, (int) Slack.up(w + kerf), (int) Slack.up(h + kerf), net(given, w, h));
        }

        private static double net(Given given, int w, int h) {
            boolean round = given.word(SHAPE, Shape.class) == Shape.CIRCLE;
            double notches = given.rows(NOTCHES).stream()
                    .mapToDouble(one -> one.number(NOTCH_W) * one.number(NOTCH_H))
                    .sum();
            double whole = round ? Math.PI / 4 * w * w : (double) w * h;
            return whole - notches - Math.PI / 4 * Math.pow(given.number(HOLE), 2);
        }
    }

    @Override
    Outcome solve(Given given) {
        boolean round = given.word(SHAPE, Shape.class) == Shape.CIRCLE;
        if (!round && !given.has(B)) {
            return Refused.missing(B);
        }
        Piece piece = Piece.of(given);
        int sheetW = (int) Slack.down(given.number(SHEET_W) + given.number(KERF));
        int sheetH = (int) Slack.down(given.number(SHEET_H) + given.number(KERF));
        return unfit(given, piece, sheetW, sheetH)
                .<Outcome>map(refused -> refused)
                .orElseGet(() -> told(given, piece, new Guillotine(piece.p(), piece.q(), sheetW, sheetH)));
    }

    private static Optional<Refused> unfit(Given given, Piece piece, int sheetW, int sheetH) {
        if (piece.net() <= 0) {
            return Optional.of(Refused.impossible(given.rows(NOTCHES).isEmpty() ? HOLE : NOTCHES));
        }
        boolean straight = piece.p() <= sheetW && piece.q() <= sheetH;
        boolean turned = piece.q() <= sheetW && piece.p() <= sheetH;
        if (!straight && !turned) {
            return Optional.of(Refused.impossible(A));
        }
        long most = (long) sheetW * sheetH / ((long) piece.p() * piece.q());
        return most > MOST_PIECES ? Optional.of(Refused.range(A)) : Optional.empty();
    }

    private static Solved told(Given given, Piece piece, Guillotine cut) {
        int count = given.count(COUNT);
        int sheets = (int) Slack.up((double) count / cut.best());
        OptionalDouble price = given.maybe(PRICE);
        OptionalDouble each =
                price.isPresent() ? OptionalDouble.of(price.getAsDouble() / cut.best()) : OptionalDouble.empty();
        Optional<Filling> filling = Filling.of(given);
        Result result = new Result(
                piece.w(),
                piece.h(),
                cut.grid(),
                cut.turnedGrid(),
                cut.best(),
                cut.cuts(),
                sheets,
                1 - cut.best() * piece.net() / (given.number(SHEET_W) * given.number(SHEET_H)),
                each,
                price.isPresent() ? OptionalDouble.of(sheets * price.getAsDouble()) : price,
                each.isPresent() ? OptionalDouble.of(each.getAsDouble() * count * 365 / given.number(LIFE)) : each,
                filling.map(one -> OptionalInt.of(one.layers())).orElse(OptionalInt.empty()),
                filling.map(one -> OptionalDouble.of(one.gap())).orElse(OptionalDouble.empty()),
                cut.layout(piece.w(), piece.h()));
        boolean squeezed = filling.isPresent() && Slack.above(filling.get().squeeze(), MOST_SQUEEZE);
        return Solved.of(result, new Watchful().when(squeezed, Warning.COMPRESSED));
    }

    /** Layers on top of each other: as many as fill the depth, one fewer if that squeezes them too much. */
    private record Filling(int layers, double thick, double depth) {
        static Optional<Filling> of(Given given) {
            if (!given.has(THICK) || !given.has(DEPTH)) {
                return Optional.empty();
            }
            double thick = given.number(THICK);
            double depth = given.number(DEPTH);
            Filling full = new Filling((int) Slack.up(depth / thick), thick, depth);
            boolean tooMuch = Slack.above(full.squeeze(), MOST_SQUEEZE) && full.layers() > 1;
            return Optional.of(tooMuch ? new Filling(full.layers() - 1, thick, depth) : full);
        }

        double squeeze() {
            return 1 - depth / (layers * thick);
        }

        double gap() {
            return Math.max(0, depth - layers * thick);
        }
    }
}
