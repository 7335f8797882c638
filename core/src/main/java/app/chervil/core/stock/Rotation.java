package app.chervil.core.stock;

import app.chervil.core.calc.Check;

/**
 * How many of a thing that is washed a site must own: those in use, those that get dirty until the next wash, those
 * drying, and one spare (docs/sources.md#stores).
 *
 * @param inUse hanging in filters
 * @param dirty used between two washes
 * @param drying used while the washed ones dry
 */
public record Rotation(int inUse, int dirty, int drying) {

    /**
     * Works a rotation out.
     *
     * @param inUse hanging in filters; 0 or above
     * @param usedADay on average; 0 or above
     * @param washEveryDays above zero
     * @param dryingDays 0 or above
     */
    public static Rotation of(int inUse, double usedADay, int washEveryDays, int dryingDays) {
        Check.notNegative("inUse", inUse);
        Check.notNegative("usedADay", usedADay);
        Check.positive("washEveryDays", washEveryDays);
        Check.notNegative("dryingDays", dryingDays);
        return new Rotation(inUse, whole(usedADay * washEveryDays), whole(usedADay * dryingDays));
    }

    /** To own altogether, with one spare. */
    public int needed() {
        return inUse + dirty + drying + 1;
    }

    private static int whole(double amount) {
        return (int) Math.ceil(amount - 1e-9);
    }
}
