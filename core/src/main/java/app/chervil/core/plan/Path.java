package app.chervil.core.plan;

import java.util.Arrays;

/**
 * The best days of one lane, given all others: an exact shortest path over (occurrence, day). What a day costs given the others
 * does not depend on the lane's other days, so nothing is lost. Ties go to the earliest day.
 */
final class Path {
    private static final long NEVER = Long.MAX_VALUE / 4;

    private final Board board;
    private long[] reached;
    private long[] before;
    private long[] leastReached;
    private long[] leastBefore;
    private final int[][] cameFrom;
    private final int[] none;
    private final int[] from;
    private final int[] to;
    private long[] prices = {};
    private long cost;

    Path(Board board) {
        this.board = board;
        reached = new long[board.days];
        before = new long[board.days];
        leastReached = new long[board.days];
        leastBefore = new long[board.days];
        none = new int[board.days];
        int most = board.lanes.stream().mapToInt(Lane::count).max().orElse(0);
        cameFrom = new int[most][board.days];
        from = new int[most];
        to = new int[most];
    }

    /** Packed cost of the days found last. */
    long cost() {
        return cost;
    }

    /** Best days for a lane that is not on the board. */
    int[] find(int lane) {
        int count = board.lanes.get(lane).count();
        return find(Piece.whole(lane, new int[count], board.days), none);
    }

    /**
     * Days that would be best for some occurrences if every day cost something more; the others stay where they are.
     *
     * @param piece what is off the board
     * @param more points by day
     * @return days of all occurrences
     */
    int[] find(Piece piece, int[] more) {
        Lane one = board.lanes.get(piece.lane);
        cost = 0;
        if (piece.first == piece.end) {
            return piece.was;
        }
        bound(one, piece);
        price(piece, more);
        for (int k = piece.first; k < piece.end; k++) {
            swap();
            step(one, k, piece);
        }
        if (piece.end < one.count()) {
            leave(one, piece);
        }
        return back(one, piece);
    }

    /** First and last day of each occurrence that may move. */
    private void bound(Lane one, Piece piece) {
        for (int k = piece.first; k < piece.end; k++) {
            from[k] = Math.max(one.from[k], piece.low);
            to[k] = Math.min(one.to[k], piece.high);
        }
    }

    private void price(Piece piece, int[] more) {
        int last = to[piece.first];
        for (int k = piece.first; k < piece.end; k++) {
            last = Math.max(last, to[k]);
        }
        prices = board.prices(piece.lane, from[piece.first], last);
        for (int day = from[piece.first]; day <= last; day++) {
            prices[day] += more[day];
        }
    }

    private void swap() {
        long[] was = before;
        before = reached;
        reached = was;
        was = leastBefore;
        leastBefore = leastReached;
        leastReached = was;
    }

    /** Reaches occurrence k on each of its days; the first that moves comes from a day that stands. */
    private void step(Lane one, int k, Piece piece) {
        long least = NEVER;
        for (int day = from[k]; day <= to[k]; day++) {
            long best = k > piece.first ? arrive(one, k, day) : enter(one, piece, day);
            long own = ownWithoutGap(one, k, day) + (one.skipped[k] ? 0 : prices[day]);
            reached[day] = best >= NEVER ? NEVER : best + own;
            least = Math.min(least, reached[day]);
            leastReached[day] = least;
        }
    }

    private static long enter(Lane one, Piece piece, int day) {
        if (piece.first == 0) {
            return 0;
        }
        int standing = piece.was[piece.first - 1];
        return day > standing ? one.gap(day - standing) : NEVER;
    }

    /** Cheapest way to a day from any day of the occurrence before; looks back only as far as it can still gain. */
    private long arrive(Lane one, int k, int day) {
        long best = NEVER;
        int came = -1;
        for (int prior = Math.min(to[k - 1], day - 1); prior >= from[k - 1]; prior--) {
            long gap = one.gap(day - prior);
            if (day - prior > one.interval() && best < gap + leastBefore[prior]) {
                break;
            }
            long through = before[prior] + gap;
            if (through <= best) {
                best = through;
                came = prior;
            }
        }
        cameFrom[k][day] = came;
        return best;
    }

    private static long ownWithoutGap(Lane one, int k, int day) {
        return k == 0 ? one.own(0, 0, day) : one.own(k, day, day) - one.gap(0);
    }

    /** Adds the gap to the next occurrence, which stands. */
    private void leave(Lane one, Piece piece) {
        int standing = piece.was[piece.end];
        for (int day = from[piece.end - 1]; day <= to[piece.end - 1]; day++) {
            reached[day] = day < standing && reached[day] < NEVER ? reached[day] + one.gap(standing - day) : NEVER;
        }
    }

    private int[] back(Lane one, Piece piece) {
        int day = from[piece.end - 1];
        for (int other = day; other <= to[piece.end - 1]; other++) {
            day = reached[other] < reached[day] ? other : day;
        }
        cost = reached[day];
        if (cost >= NEVER) {
            throw new IllegalStateException("no days fit chain " + one.chain.id() + " " + Arrays.toString(one.from));
        }
        int[] on = piece.was.clone();
        for (int k = piece.end - 1; k >= piece.first; k--) {
            on[k] = day;
            day = cameFrom[k][day];
        }
        return on;
    }
}
