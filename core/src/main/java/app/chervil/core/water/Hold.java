package app.chervil.core.water;

import java.time.LocalDate;
import java.util.Comparator;
import java.util.Optional;

/**
 * A reason not to disturb a tank's bacteria until it clears. It concerns work that disturbs them at least by
 * {@link #LEAST_DISTURBANCE}.
 *
 * @param since the day it began
 * @param likelyUntil the first day on which it may be gone; empty if nobody can tell
 * @param reason why, for the keeper
 * @param clears what ends it, for the keeper
 */
public record Hold(Cause cause, LocalDate since, Optional<LocalDate> likelyUntil, String reason, String clears) {
    public static final int LEAST_DISTURBANCE = 2;

    /** Why bacteria are to be left alone. */
    public enum Cause {
        AMMONIA,
        NITRITE,
        MEDICATION,
        MEDIA_REPLACED,
        YOUNG_TANK
    }

    /** The one that lasts longest first; those whose end nobody can tell before all others. */
    public static final Comparator<Hold> LONGEST_FIRST = Comparator.comparing(Hold::endless)
            .reversed()
            .thenComparing(hold -> hold.likelyUntil().orElse(LocalDate.MAX), Comparator.reverseOrder())
            .thenComparing(Hold::cause);

    /** Whether only readings, or somebody's word, end it. */
    public boolean endless() {
        return cause == Cause.AMMONIA || cause == Cause.NITRITE || likelyUntil.isEmpty();
    }

    /** Whether work of a disturbance is held. */
    public static boolean concerns(int disturbance) {
        return disturbance >= LEAST_DISTURBANCE;
    }
}
