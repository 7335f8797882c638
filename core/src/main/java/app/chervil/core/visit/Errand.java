package app.chervil.core.visit;

import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Forecast;

/**
 * One task on one filter with its forecast, as the rounds see it.
 *
 * @param place where it is
 * @param reach how the task is reached
 */
public record Errand(Place place, CareRule rule, Reach reach, Forecast forecast) {
    /** Ids of the tank, filter and task; opaque here. */
    public record Place(long tankId, long filterId, long taskId) {}

    /** How a task is reached. */
    public enum Reach {
        /** From outside, whenever. */
        FREE,
        /** The opening of the filter itself. */
        OPENING,
        /** Only once the filter is open. */
        INSIDE
    }
}
