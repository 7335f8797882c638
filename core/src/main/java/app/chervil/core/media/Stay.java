package app.chervil.core.media;

import java.time.LocalDate;
import java.util.Optional;

/**
 * A stretch of days that a piece spent in one spot.
 *
 * @param until the day it left; empty if it is there still
 */
public record Stay(Spot spot, LocalDate from, Optional<LocalDate> until) {
    /** Its tank; empty on a shelf. */
    public Optional<Long> tank() {
        return spot.tankId();
    }

    /** Its filter; empty on a shelf. */
    public Optional<Long> filter() {
        return spot.filterId();
    }
}
