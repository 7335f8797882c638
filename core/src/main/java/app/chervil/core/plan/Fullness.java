package app.chervil.core.plan;

import java.util.Arrays;

/** Packed points of a day for how full it is, worked out beforehand for all days on which people have as much time. */
final class Fullness {
    /** Two days and nights; where people have more, it is worked out each time. */
    private static final int MOST_KNOWN = 2880;

    private final int capacity;
    private final long[] points;

    /** {@code capacity} in minutes, zero or more. */
    Fullness(int capacity) {
        this.capacity = capacity;
        points = new long[Math.min(2 * capacity, MOST_KNOWN) + 1];
        Arrays.setAll(points, this::worked);
    }

    /** Hard for more than people have, soft for a full day, see {@link Weights}; {@code minutes} may be fewer than none. */
    long points(int minutes) {
        return minutes >= 0 && minutes < points.length ? points[minutes] : worked(minutes);
    }

    private long worked(int minutes) {
        return Score.pack(Weights.over(minutes, capacity), Weights.level(minutes, capacity));
    }
}
