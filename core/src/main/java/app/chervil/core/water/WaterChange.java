package app.chervil.core.water;

import app.chervil.core.calc.Check;
import java.time.LocalDateTime;

/**
 * Water taken out and replaced.
 *
 * @param share of the tank's volume, above 0 to 1
 */
public record WaterChange(LocalDateTime at, double share) {
    public WaterChange {
        Check.positive("share", share);
        Check.within("share", share, 0, 1);
    }

    /**
     * Concentration after a change: before · (1 − f) + tap · f.
     *
     * @param before in the tank, 0 or above
     * @param tap in the new water, 0 or above, same unit
     */
    public double dilutes(double before, double tap) {
        return before * (1 - share) + tap * share;
    }
}
