package app.chervil.core.site;

import app.chervil.core.interval.Pauses;
import java.util.Optional;

/**
 * A pause with its place.
 *
 * @param filterId empty for every filter of the tank
 */
public record Pause(Optional<Long> filterId, Pauses.Pause what) {
    /** Whether a filter gathered less dirt for it. */
    public boolean reaches(long filter) {
        return filterId.map(id -> id == filter).orElse(true);
    }
}
