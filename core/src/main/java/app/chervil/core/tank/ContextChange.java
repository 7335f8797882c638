package app.chervil.core.tank;

import app.chervil.core.calc.Check;
import java.time.LocalDate;

/**
 * Something on a tank that changed how fast dirt reaches its filters.
 *
 * @param on the day it changed
 * @param steps how far up (above zero) or down (below zero) the scale; ±1 for a filter or pre-filter
 */
public record ContextChange(LocalDate on, Kind kind, int steps) {
    public ContextChange {
        Check.within("steps", Math.abs(steps), 1, 5);
    }

    /** A move on the stocking or feeding scale. */
    public static ContextChange moved(LocalDate on, Kind kind, DirtLevel from, DirtLevel to) {
        return new ContextChange(on, kind, to.ordinal() - from.ordinal());
    }

    /** What happened, in a keeper's words: "Stocking raised". */
    public String words() {
        boolean more = steps > 0;
        return switch (kind) {
            case STOCKING -> more ? "Stocking raised" : "Stocking lowered";
            case FEEDING -> more ? "Feeding raised" : "Feeding cut";
            case PREFILTER -> more ? "Pre-filter added" : "Pre-filter taken off";
            case PARALLEL_FILTER -> more ? "Another filter added" : "Another filter taken off";
        };
    }

    /** What changed. */
    public enum Kind {
        STOCKING,
        FEEDING,
        PREFILTER,
        PARALLEL_FILTER
    }
}
