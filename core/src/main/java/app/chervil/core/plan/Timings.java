package app.chervil.core.plan;

import java.util.Arrays;
import java.util.HashMap;
import java.util.Map;

/** What days cost by a rhythm alone, worked out once for all lanes that come round alike. */
final class Timings {
    private record Rhythm(Span span, int interval, boolean spaced) {}

    private final int days;
    private final Map<Rhythm, long[]> known = new HashMap<>();

    Timings(int days) {
        this.days = days;
    }

    /**
     * Packed cost of each day, see {@link Weights#timing}; shared, and not to be changed.
     *
     * @param spaced whether the days are distances that must not be too short
     */
    long[] of(Span span, int interval, boolean spaced) {
        return known.computeIfAbsent(new Rhythm(span, interval, spaced), this::worked);
    }

    private long[] worked(Rhythm rhythm) {
        long[] costs = new long[days];
        Arrays.setAll(
                costs,
                day -> Score.pack(
                        rhythm.spaced ? Weights.DAY_TOO_CLOSE * Math.max(0, Weights.APART_DAYS - day) : 0,
                        Weights.timing(rhythm.span, rhythm.interval, day)));
        return costs;
    }
}
