package app.chervil.core.sums;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.BitSet;
import java.util.List;

/**
 * The most equal pieces that straight cuts from edge to edge get out of a sheet, and of those layouts the one with the fewest
 * cuts. Exact: every layout can be pushed into a corner, so that only sums of the piece's sides need cutting at (Herz 1972),
 * and what is over at an edge can be trimmed first. Whole millimetres.
 */
final class Guillotine {
    /** Parts pieces from cuts in one number, so that more pieces come first and then fewer cuts. */
    private static final int PIECE = 1 << 16;

    private final int p;
    private final int q;
    private final Side across;
    private final Side down;

    /** What the rectangle of two sums gives, as pieces · {@link #PIECE} − cuts. */
    private final int[][] gives;

    /** The best of it and all that are shorter. */
    private final int[][] shorter;

    /** The best of it and all that are lower. */
    private final int[][] lower;

    private final Corner whole;

    /** One side of the sheet: the sums of pieces that fit along it, shortest first. */
    private static final class Side {
        private final int length;
        private final int[] sums;

        /** Which sum a length is, −1 for none. */
        private final int[] at;

        Side(int length, int... pieces) {
            this.length = length;
            BitSet found = new BitSet(length + 1);
            found.set(0);
            for (int reached = 1; reached <= length; reached++) {
                for (int piece : pieces) {
                    found.set(reached, found.get(reached) || (reached >= piece && found.get(reached - piece)));
                }
            }
            sums = found.stream().toArray();
            at = new int[length + 1];
            Arrays.fill(at, -1);
            for (int index = 0; index < sums.length; index++) {
                at[sums[index]] = index;
            }
        }

        /** The sum that is left of one after a shorter one, −1 if none is. */
        int rest(int sum, int cut) {
            return at[sums[sum] - sums[cut]];
        }

        int last() {
            return sums.length - 1;
        }

        boolean isTrimmed(int sum) {
            return sums[sum] < length;
        }
    }

    /** A rectangle of two sums, and what it gives with the trims before it. */
    private record Corner(int x, int y, int gives) {}

    /**
     * Where a piece is cut.
     *
     * @param x millimetres from the left edge of the sheet
     * @param y millimetres from its top
     */
    public record Placed(int x, int y, int w, int h) {}

    /**
     * Works it out.
     *
     * @param p one side of a piece, with the width of a cut, above zero
     * @param q the other
     * @param w one side of the sheet, with the width of a cut, above zero
     * @param h the other
     */
    Guillotine(int p, int q, int w, int h) {
        this.p = p;
        this.q = q;
        across = new Side(w, usable(p, q, h), usable(q, p, h));
        down = new Side(h, usable(p, q, w), usable(q, p, w));
        gives = new int[across.sums.length][down.sums.length];
        shorter = new int[across.sums.length][down.sums.length];
        lower = new int[across.sums.length][down.sums.length];
        for (int x = 1; x <= across.last(); x++) {
            for (int y = 1; y <= down.last(); y++) {
                gives[x][y] = worked(x, y);
                shorter[x][y] = Math.max(shorter[x - 1][y], gives[x][y]);
                lower[x][y] = Math.max(lower[x][y - 1], gives[x][y]);
            }
        }
        whole = trimmed();
    }

    /** A side of the piece along an edge, if its other side fits along the other; else one that fits nowhere. */
    private static int usable(int along, int other, int room) {
        return other <= room ? along : Integer.MAX_VALUE;
    }

    int best() {
        return (whole.gives() + PIECE - 1) / PIECE;
    }

    int cuts() {
        return best() * PIECE - whole.gives();
    }

    /** Pieces in one grid, none turned. */
    int grid() {
        return (across.length / p) * (down.length / q);
    }

    /** Pieces in one grid, all turned. */
    int turnedGrid() {
        return (across.length / q) * (down.length / p);
    }

    private boolean isPiece(int x, int y) {
        int w = across.sums[x];
        int h = down.sums[y];
        return (w == p && h == q) || (w == q && h == p);
    }

    private int worked(int x, int y) {
        if (isPiece(x, y)) {
            return PIECE;
        }
        int best = Math.max(0, Math.max(shorter[x - 1][y], lower[x][y - 1]) - 1);
        for (int cut = 1; 2 * across.sums[cut] <= across.sums[x] && cut < x; cut++) {
            int rest = across.rest(x, cut);
            best = rest < 0 ? best : Math.max(best, joined(gives[cut][y], gives[rest][y]));
        }
        for (int cut = 1; 2 * down.sums[cut] <= down.sums[y] && cut < y; cut++) {
            int rest = down.rest(y, cut);
            best = rest < 0 ? best : Math.max(best, joined(gives[x][cut], gives[x][rest]));
        }
        return best;
    }

    private static int joined(int one, int other) {
        return one + other > 0 ? one + other - 1 : 0;
    }

    private Corner trimmed() {
        Corner best = new Corner(0, 0, 0);
        for (int x = 1; x <= across.last(); x++) {
            for (int y = 1; y <= down.last(); y++) {
                int trims = (across.isTrimmed(x) ? 1 : 0) + (down.isTrimmed(y) ? 1 : 0);
                if (gives[x][y] - trims > best.gives()) {
                    best = new Corner(x, y, gives[x][y] - trims);
                }
            }
        }
        return best;
    }

    /** Where the pieces lie, without the width of the cuts around them. */
    List<Placed> layout(int pieceW, int pieceH) {
        List<Placed> placed = new ArrayList<>();
        lay(whole.x(), whole.y(), new Placed(0, 0, pieceW, pieceH), placed);
        return List.copyOf(placed);
    }

    private void lay(int x, int y, Placed at, List<Placed> placed) {
        if (gives[x][y] == 0) {
            return;
        }
        if (isPiece(x, y)) {
            boolean turned = across.sums[x] != p;
            placed.add(turned ? new Placed(at.x(), at.y(), at.h(), at.w()) : at);
        } else if (!layAcross(x, y, at, placed)) {
            layDown(x, y, at, placed);
        }
    }

    private boolean layAcross(int x, int y, Placed at, List<Placed> placed) {
        for (int cut = 1; cut < x; cut++) {
            int rest = across.rest(x, cut);
            if (gives[cut][y] - 1 == gives[x][y]) {
                lay(cut, y, at, placed);
                return true;
            }
            if (rest >= 0 && joined(gives[cut][y], gives[rest][y]) == gives[x][y]) {
                lay(cut, y, at, placed);
                lay(rest, y, new Placed(at.x() + across.sums[cut], at.y(), at.w(), at.h()), placed);
                return true;
            }
        }
        return false;
    }

    private void layDown(int x, int y, Placed at, List<Placed> placed) {
        for (int cut = 1; cut < y; cut++) {
            int rest = down.rest(y, cut);
            if (gives[x][cut] - 1 == gives[x][y]) {
                lay(x, cut, at, placed);
                return;
            }
            if (rest >= 0 && joined(gives[x][cut], gives[x][rest]) == gives[x][y]) {
                lay(x, cut, at, placed);
                lay(x, rest, new Placed(at.x(), at.y() + down.sums[cut], at.w(), at.h()), placed);
                return;
            }
        }
    }
}
