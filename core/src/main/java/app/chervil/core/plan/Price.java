package app.chervil.core.plan;

import java.util.Map;

/**
 * What work would cost on a day, all else as planned.
 *
 * @param parts of the score, those that are not zero; the hard ones weigh before all soft ones
 */
public record Price(int day, Score score, Map<Part, Long> parts) implements Comparable<Price> {
    public Price {
        parts = Map.copyOf(parts);
    }

    /** What a price is made of. */
    public enum Part {
        /** Hard: more minutes than people have. */
        NO_TIME,
        /** Hard: disturbing work on the tank within days. */
        TOO_CLOSE,
        /** Hard: without what belongs to it on the same day. */
        NOT_TOGETHER,
        /** Soft: early or late. */
        TIMING,
        /** Soft: minutes to set up. */
        SET_UP,
        /** Soft: a full day. */
        FULL_DAY,
        /** Soft: not as people were told. */
        MOVED
    }

    /** A part of it, zero if there is none. */
    public long part(Part part) {
        return parts.getOrDefault(part, 0L);
    }

    @Override
    public int compareTo(Price other) {
        int byScore = score.compareTo(other.score);
        return byScore != 0 ? byScore : Integer.compare(day, other.day);
    }
}
