package app.chervil.core.plan;

import java.util.Arrays;

/** Packed points of a day for how full it is, worked out beforehand for all days on which people have as much time. */
final class Fullness {
    /** Two days and nights; where people have more, it is worked out each time. */
    private static final int MOST_KNOWN = 2880;

    private final int capacity;
    private final long rule;
    private final long[] points;

    /**
     * For so much time.
     *
     * @param capacity in minutes, zero or more
     * @param rule packed points of a minute beyond it, see {@link Board#RULE}
     */
    Fullness(int capacity, long rule) {
        this.capacity = capacity;
        this.rule = rule;
        points = new long[Math.min(2 * capacity, MOST_KNOWN) + 1];
        Arrays.setAll(points, this::worked);
    }

    /** For more than people have, and soft for a full day, see {@link Weights}; {@code minutes} may be fewer than none. */
    long points(int minutes) {
        return minutes >= 0 && minutes < points.length ? points[minutes] : worked(minutes);
    }

    private long worked(int minutes) {
        return rule * Weights.over(minutes, capacity) + Weights.level(minutes, capacity);
    }
}
