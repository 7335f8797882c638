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

    private Piece(int lane, int[] was, Span occurrences, Span days) {
        this.lane = lane;
        this.was = was;
        this.first = occurrences.from;
        this.end = occurrences.until;
        this.low = days.from;
        this.high = days.until - 1;
    }

    /** Up to but without the last. */
    private record Span(int from, int until) {}

    /** A lane with all its occurrences, on any day. */
    static Piece whole(int lane, int[] was, int days) {
        return new Piece(lane, was, new Span(0, was.length), new Span(0, days));
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
        return new Piece(lane, was, new Span(first, end), new Span(from - margin, until + margin));
    }

    boolean isEmpty() {
        return first == end;
    }
}
