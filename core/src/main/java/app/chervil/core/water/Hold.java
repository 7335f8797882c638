package app.chervil.core.water;

import java.time.LocalDate;
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

    /** Whether work of a disturbance is held. */
    public static boolean concerns(int disturbance) {
        return disturbance >= LEAST_DISTURBANCE;
    }
}
