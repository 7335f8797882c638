package app.chervil.server.media;

import app.chervil.core.media.Spot;

/** Where a piece of media is, as it is stored. */
public enum SpotKind {
    IN_FILTER,
    SEEDING,
    WET_SHELF,
    DRY_SHELF,
    GONE;

    static SpotKind of(Spot spot) {
        if (spot instanceof Spot.InFilter) {
            return IN_FILTER;
        }
        if (spot instanceof Spot.Seeding) {
            return SEEDING;
        }
        if (spot instanceof Spot.WetShelf) {
            return WET_SHELF;
        }
        return spot instanceof Spot.DryShelf ? DRY_SHELF : GONE;
    }
}
