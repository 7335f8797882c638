package app.chervil.core.interval;

import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;

/**
 * What reached a stage when it started to run; turns the catalogue's interval into one for this tank.
 *
 * @param behindPrefilter whether a pre-filter sponge stood before it
 * @param sharedWithFilter whether another filter ran on the tank
 */
public record StartingLoad(Stocking stocking, Feeding feeding, boolean behindPrefilter, boolean sharedWithFilter) {
    /** Normal stocking and feeding, nothing before or beside it. */
    public static final StartingLoad NORMAL = new StartingLoad(Stocking.NORMAL, Feeding.NORMAL, false, false);

    /** Exposure a day, 1 for a normal tank. */
    public double rate() {
        return stocking.multiplier()
                * feeding.multiplier()
                * (behindPrefilter ? ContextEffect.BEHIND_PREFILTER_SHARE : 1)
                * (sharedWithFilter ? ContextEffect.PARALLEL_FILTER_SHARE : 1);
    }
}
