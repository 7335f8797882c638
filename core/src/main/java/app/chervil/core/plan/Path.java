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
    }

    /** Packed cost of the days found last. */
    long cost() {
        return cost;
    }

    /** Best days for a lane that is not on the board. */
    int[] find(int lane) {
        return find(lane, none);
    }

    /**
     * Days that would be best if every day cost something more.
     *
     * @param more points by day
     */
    int[] find(int lane, int[] more) {
        Lane one = board.lanes.get(lane);
        int count = one.count();
        cost = 0;
        if (count == 0) {
            return new int[0];
        }
        int last = one.to[count - 1];
        for (int to : one.to) {
            last = Math.max(last, to);
        }
        long[] prices = board.prices(lane, one.from[0], last);
        for (int day = one.from[0]; day <= last; day++) {
            prices[day] += more[day];
        }
        for (int k = 0; k < count; k++) {
            swap();
            step(one, k, prices);
        }
        return back(one);
    }

    private void swap() {
        long[] was = before;
        before = reached;
        reached = was;
        was = leastBefore;
        leastBefore = leastReached;
        leastReached = was;
    }

    private void step(Lane one, int k, long[] prices) {
        for (int day = one.from[k]; day <= one.to[k]; day++) {
            long best = k == 0 ? 0 : arrive(one, k, day);
            long own = ownWithoutGap(one, k, day) + (one.skipped[k] ? 0 : prices[day]);
            reached[day] = best >= NEVER ? NEVER : best + own;
        }
        long least = NEVER;
        for (int day = one.from[k]; day <= one.to[k]; day++) {
            least = Math.min(least, reached[day]);
            leastReached[day] = least;
        }
    }

    /** Cheapest way to a day from any day of the occurrence before; looks back only as far as it can still gain. */
    private long arrive(Lane one, int k, int day) {
        long best = NEVER;
        int from = -1;
        for (int prior = Math.min(one.to[k - 1], day - 1); prior >= one.from[k - 1]; prior--) {
            long gap = one.gap(day - prior);
            if (day - prior > one.interval() && best < gap + leastBefore[prior]) {
                break;
            }
            long through = before[prior] + gap;
            if (through <= best) {
                best = through;
                from = prior;
            }
        }
        cameFrom[k][day] = from;
        return best;
    }

    private static long ownWithoutGap(Lane one, int k, int day) {
        return k == 0 ? one.own(0, 0, day) : one.own(k, day, day) - one.gap(0);
    }

    private int[] back(Lane one) {
        int count = one.count();
        int day = one.from[count - 1];
        for (int other = day; other <= one.to[count - 1]; other++) {
            day = reached[other] < reached[day] ? other : day;
        }
        cost = reached[day];
        if (cost >= NEVER) {
            throw new IllegalStateException("no days fit chain " + one.chain.id() + " " + Arrays.toString(one.from));
        }
        int[] on = new int[count];
        for (int k = count - 1; k >= 0; k--) {
            on[k] = day;
            day = cameFrom[k][day];
        }
        return on;
    }
}
