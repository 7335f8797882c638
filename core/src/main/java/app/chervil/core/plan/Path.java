package app.chervil.core.plan;

import java.util.Arrays;

/**
 * The best days of one lane, given all others: an exact shortest path over (occurrence, day). What a day costs given the others
 * does not depend on the lane's other days, so nothing is lost. Ties go to the earliest day.
 *
 * <p>Days on which nobody has time are looked at only where there is no way without them that keeps all rules, since no saving
 * outweighs a rule; most days of a week are such where people have time on few. Nor is any way followed that must cost more than
 * the days on which the occurrences lay before.
 */
final class Path {
    private static final long NEVER = Long.MAX_VALUE / 4;

    private final Board board;

    /** Cost of the occurrence looked at, and of the one before it, on each place among the days. */
    private long[] reached;

    private long[] before;

    /** The least of the occurrence before on each place or an earlier one, and on each or a later one. */
    private final long[] leastUntil;

    private final long[] leastFrom;

    /** The first place on which the occurrence reached last may lie, and the one behind the last. */
    private int openFrom;

    private int openEnd;

    private final int[][] cameFrom;
    /** First and last day of each occurrence that moves. */
    private final int[] from;

    private final int[] to;

    /** The least that the occurrences from each on cost by their days alone. */
    private final long[] rest;

    /** What the days on which they lay before would cost. */
    private long most;

    /** Days looked at. */
    private DaySet days;

    private long[] prices = {};
    private long cost;

    Path(Board board) {
        this.board = board;
        reached = new long[board.days];
        before = new long[board.days];
        leastUntil = new long[board.days];
        leastFrom = new long[board.days];
        days = board.everyDay();
        int longest = board.lanes.stream().mapToInt(Lane::count).max().orElse(0);
        cameFrom = new int[longest][board.days];
        from = new int[longest];
        to = new int[longest];
        rest = new long[longest + 1];
    }

    /** Packed cost of the days found last. */
    long cost() {
        return cost;
    }

    /** Best days for a lane that is not on the board. */
    int[] find(int lane) {
        int count = board.lanes.get(lane).count();
        return find(Piece.whole(lane, new int[count], board.days), board.nothingMore());
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
        int end = more == board.nothingMore() ? 0 : days.end(last);
        for (int i = days.first(first); i < end; i++) {
            prices[days.day(i)] += more[days.day(i)];
        }
    }

    private long byDay(Lane one, int k, int day) {
        return one.byDay(k, day) + (one.skipped[k] ? 0 : prices[day]);
    }

    /** What the days on which the occurrences lay before would cost now; {@link #NEVER} if they may not lie there. */
    private long costOfBefore(Lane one, Piece piece) {
        int[] was = piece.was;
        long sum = piece.end < one.count() ? one.gap(was[piece.end] - was[piece.end - 1]) : 0;
        for (int k = piece.first; k < piece.end; k++) {
            int day = was[k];
            if (day < from[k] || day > to[k] || !days.has(day) || (k > 0 && day <= was[k - 1])) {
                return NEVER;
            }
            sum += byDay(one, k, day) + (k == 0 ? 0 : one.gap(day - was[k - 1]));
        }
        return sum;
    }

    /** What is still to come costs at least this; {@link #NEVER} or nearly so where an occurrence has no day at all. */
    private void lookAhead(Lane one, Piece piece) {
        rest[piece.end] = 0;
        for (int k = piece.end - 1; k > piece.first; k--) {
            long least = NEVER;
            for (int i = days.first(from[k]); i < days.end(to[k]); i++) {
                least = Math.min(least, prices[days.day(i)]);
            }
            rest[k] = Math.min(NEVER, rest[k + 1] + (one.skipped[k] ? 0 : least));
        }
    }

    /**
     * Reaches every occurrence on each of its days.
     *
     * @return the cheapest place of the last, or -1 if there is no way
     */
    private int reach(Lane one, Piece piece, int[] more) {
        price(piece, more);
        most = costOfBefore(one, piece);
        lookAhead(one, piece);
        enter(one, piece);
        for (int k = piece.first + 1; k < piece.end; k++) {
            long[] was = before;
            before = reached;
            reached = was;
            lookBack();
            step(one, k);
        }
        return leave(one, piece);
    }

    /** Reaches the first occurrence that moves, from a day that stands or from none. */
    private void enter(Lane one, Piece piece) {
        int k = piece.first;
        int standing = k == 0 ? -1 : piece.was[k - 1];
        int first = Math.max(days.first(from[k]), standing < 0 ? 0 : days.end(standing));
        int end = days.end(to[k]);
        for (int i = first; i < end; i++) {
            int day = days.day(i);
            reached[i] = byDay(one, k, day) + (k == 0 ? 0 : one.gap(day - standing));
        }
        keepWhatEndsWell(first, end, most - rest[k + 1]);
    }

    /** Reaches a later one from all days of the one before it. */
    private void step(Lane one, int k) {
        int first = Math.max(days.first(from[k]), openFrom + 1);
        int end = days.end(to[k]);
        long least = openFrom < openEnd ? leastFrom[openFrom] : NEVER;
        long limit = most - rest[k + 1];
        // Most were told to nobody and are left out by nobody: they cost what their day costs.
        boolean byItself = one.published[k] >= 0 || one.skipped[k];
        for (int i = first; i < end; i++) {
            int day = days.day(i);
            long own = byItself ? byDay(one, k, day) : prices[day];
            long best = least + own > limit ? NEVER : arrive(one, k, i);
            reached[i] = best >= NEVER ? NEVER : best + own;
        }
        keepWhatEndsWell(first, end, limit);
    }

    /** Leaves out places at both ends from which all ways cost too much. */
    private void keepWhatEndsWell(int first, int end, long limit) {
        openFrom = first;
        openEnd = Math.max(first, end);
        long worthIt = Math.min(limit, NEVER - 1);
        while (openFrom < openEnd && reached[openFrom] > worthIt) {
            openFrom++;
        }
        while (openFrom < openEnd && reached[openEnd - 1] > worthIt) {
            openEnd--;
        }
    }

    private void lookBack() {
        long least = NEVER;
        for (int i = openFrom; i < openEnd; i++) {
            least = Math.min(least, before[i]);
            leastUntil[i] = least;
        }
        least = NEVER;
        for (int i = openEnd - 1; i >= openFrom; i--) {
            least = Math.min(least, before[i]);
            leastFrom[i] = least;
        }
    }

    /**
     * Cheapest way to a place from any place of the occurrence before, the earliest of those alike; looks from the distance that
     * costs least to both sides, and only as far as it can still gain.
     */
    private long arrive(Lane one, int k, int place) {
        int day = days.day(place);
        int end = Math.min(openEnd, place);
        int middle = day < one.bestGap() ? openFrom : Math.max(openFrom, Math.min(days.end(day - one.bestGap()), end));
        long best = NEVER;
        int came = -1;
        for (int i = middle - 1; i >= openFrom; i--) {
            long gap = one.gap(day - days.day(i));
            if (best < gap + leastUntil[i]) {
                break;
            }
            long through = before[i] + gap;
            if (through <= best) {
                best = through;
                came = i;
            }
        }
        for (int i = middle; i < end; i++) {
            long gap = one.gap(day - days.day(i));
            if (best <= gap + leastFrom[i]) {
                break;
            }
            long through = before[i] + gap;
            if (through < best) {
                best = through;
                came = i;
            }
        }
        cameFrom[k][place] = came;
        return best;
    }

    private int leave(Lane one, Piece piece) {
        int standing = piece.end < one.count() ? piece.was[piece.end] : -1;
        int end = -1;
        long least = NEVER;
        for (int i = openFrom; i < openEnd; i++) {
            int day = days.day(i);
            if (standing >= 0) {
                reached[i] = day < standing ? reached[i] + one.gap(standing - day) : NEVER;
            }
            if (reached[i] < least) {
                least = reached[i];
                end = i;
            }
        }
        return end;
    }

    private int[] back(Piece piece, int end) {
        int[] on = piece.was.clone();
        int place = end;
        for (int k = piece.end - 1; k >= piece.first; k--) {
            on[k] = days.day(place);
            place = k > piece.first ? cameFrom[k][place] : -1;
        }
        return on;
    }
}
