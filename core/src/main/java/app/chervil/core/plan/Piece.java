package app.chervil.core.plan;

/** Occurrences of a lane that are taken off and put back together, from {@code first} up to but without {@code end}. */
final class Piece {
    final int lane;
    final int first;
    final int end;

    /** Days of all occurrences of the lane before. */
    final int[] was;

    /** First and last day on which they may be put. */
    final int low;

    final int high;

    private Piece(int lane, int first, int end, int[] was, int low, int high) {
        this.lane = lane;
        this.first = first;
        this.end = end;
        this.was = was;
        this.low = low;
        this.high = high;
    }

    /** A lane with all its occurrences, on any day. */
    static Piece whole(int lane, int[] was, int days) {
        return new Piece(lane, 0, was.length, was, 0, days - 1);
    }

    /**
     * What of a lane lies within some days, to be put no farther than a margin around them.
     *
     * @param from first day
     * @param until the day after the last
     */
    static Piece within(int lane, int[] was, int from, int until, int margin) {
        int first = 0;
        while (first < was.length && was[first] < from) {
            first++;
        }
        int end = first;
        while (end < was.length && was[end] < until) {
            end++;
        }
        return new Piece(lane, first, end, was, from - margin, until - 1 + margin);
    }

    boolean isEmpty() {
        return first == end;
    }
}
