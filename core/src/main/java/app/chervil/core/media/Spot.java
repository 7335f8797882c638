package app.chervil.core.media;

import java.util.Optional;

/** Where a piece of media is. */
public sealed interface Spot {
    /** Working in a filter, whose bacteria are counted on. */
    record InFilter(long tank, long filter) implements Spot {}

    /**
     * Laid beside a filter's own media, so that bacteria settle on it for another tank.
     *
     * @param forTank where it is to go
     */
    record Seeding(long tank, long filter, long forTank) implements Spot {}

    /** Out of any filter, under water of its tank. */
    record WetShelf() implements Spot {}

    /** Out of any filter, dry. */
    record DryShelf() implements Spot {}

    /** Thrown away: nothing comes after. */
    record Gone() implements Spot {}

    /** Its tank; empty on a shelf. */
    default Optional<Long> tankId() {
        if (this instanceof InFilter working) {
            return Optional.of(working.tank());
        }
        return this instanceof Seeding seeding ? Optional.of(seeding.tank()) : Optional.empty();
    }

    /** Its filter; empty on a shelf. */
    default Optional<Long> filterId() {
        if (this instanceof InFilter working) {
            return Optional.of(working.filter());
        }
        return this instanceof Seeding seeding ? Optional.of(seeding.filter()) : Optional.empty();
    }
}
