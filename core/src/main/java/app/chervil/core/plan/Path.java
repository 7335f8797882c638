package app.chervil.core.plan;

import java.util.Arrays;

/**
 * The best days of one lane, given all others: an exact shortest path over (occurrence, day). What a day costs given the others
 * does not depend on the lane's other days, so nothing is lost. Ties go to the earliest day.
 *
 * <p>Days on which nobody has time are looked at only where there is no way without them that keeps all rules, since no saving
 * outweighs a rule; most days of a week are such where people have time on few.
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

    /** First and last day of each occurrence that moves. */
    private final int[] from;

    private final int[] to;

    /** Days looked at. */
    private DaySet days;

    private long[] prices = {};
    private long cost;

    Path(Board board) {
        this.board = board;
        reached = new long[board.days];
        before = new long[board.days];
        leastReached = new long[board.days];
        leastBefore = new long[board.days];
        none = new int[board.days];
        days = board.everyDay();
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
        if (piece.isEmpty()) {
            return piece.was;
        }
        bound(one, piece);
        days = board.openDays(piece.lane);
        int end = reach(one, piece, more);
        if (days != board.everyDay() && (end < 0 || reached[end] >= Score.HALF)) {
            days = board.everyDay();
            end = reach(one, piece, more);
        }
        if (end < 0) {
            throw new IllegalStateException("no days fit chain " + one.chain.id() + " " + Arrays.toString(one.from));
        }
        cost = reached[end];
        return back(piece, end);
    }

    /** First and last day of each occurrence that may move. */
    private void bound(Lane one, Piece piece) {
        for (int k = piece.first; k < piece.end; k++) {
            from[k] = Math.max(one.from[k], piece.low);
            to[k] = Math.min(one.to[k], piece.high);
        }
    }

    private void price(Piece piece, int[] more) {
        int first = from[piece.first];
        int last = first;
        for (int k = piece.first; k < piece.end; k++) {
            last = Math.max(last, to[k]);
        }
        prices = board.prices(piece.lane, days, first, last);
        for (int i = days.first(first); i < days.end(last); i++) {
            prices[days.day(i)] += more[days.day(i)];
        }
    }

    /**
     * Reaches every occurrence on each of its days.
     *
     * @return the cheapest day of the last, or -1 if there is no way
     */
    private int reach(Lane one, Piece piece, int[] more) {
        price(piece, more);
        for (int k = piece.first; k < piece.end; k++) {
            swap();
            step(one, k, piece);
        }
        int standing = piece.end < one.count() ? piece.was[piece.end] : -1;
        int k = piece.end - 1;
        int end = -1;
        long least = NEVER;
        for (int i = days.first(from[k]); i < days.end(to[k]); i++) {
            int day = days.day(i);
            if (standing >= 0 && reached[day] < NEVER) {
                reached[day] = day < standing ? reached[day] + one.gap(standing - day) : NEVER;
            }
            if (reached[day] < least) {
                least = reached[day];
                end = day;
            }
        }
        return end;
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
        for (int i = days.first(from[k]); i < days.end(to[k]); i++) {
            int day = days.day(i);
            long best = k > piece.first ? arrive(one, k, i) : enter(one, piece, day);
            long own = one.byDay(k, day) + (one.skipped[k] ? 0 : prices[day]);
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
    private long arrive(Lane one, int k, int place) {
        int day = days.day(place);
        int first = days.first(from[k - 1]);
        long best = NEVER;
        int came = -1;
        for (int i = Math.min(days.end(to[k - 1]), place) - 1; i >= first; i--) {
            int prior = days.day(i);
            long gap = one.gap(day - prior);
            if (day - prior > one.bestGap() && best < gap + leastBefore[prior]) {
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

    private int[] back(Piece piece, int end) {
        int[] on = piece.was.clone();
        int day = end;
        for (int k = piece.end - 1; k >= piece.first; k--) {
            on[k] = day;
            day = cameFrom[k][day];
        }
        return on;
    }
}
