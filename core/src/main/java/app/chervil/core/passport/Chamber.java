package app.chervil.core.passport;

import java.util.List;

/**
 * A room of a filter.
 *
 * @param name may be empty where there is only one
 * @param places in the order a hand meets them
 */
public record Chamber(String name, Access access, List<Place> places) {
    /** What is in the way of a hand. */
    public enum Access {
        OPEN,
        /** A cover that is lifted off. */
        HOOD,
        /** A lid that holds water in. */
        SEALED
    }

    public Chamber {
        places = List.copyOf(places);
    }

    /** Places that are lifted before this one comes up. */
    List<Integer> before(int place) {
        return places.get(place).under().orElseGet(() -> java.util.stream.IntStream.range(0, place)
                .filter(earlier -> places.get(place).kind() == Place.Kind.TRAY
                        && places.get(earlier).kind() == Place.Kind.TRAY)
                .boxed()
                .toList());
    }
}
