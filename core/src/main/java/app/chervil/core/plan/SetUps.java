package app.chervil.core.plan;

import java.util.Map;

/**
 * Minutes that visits share, and where tanks stand.
 *
 * @param roomMinutes once for each room and day
 * @param tankMinutes once for each tank and day, none on the day of its water change
 * @param openingMinutes once for each filter and day on which it is opened, by filter; none if not named
 * @param rooms number of the room of each tank
 */
public record SetUps(int roomMinutes, int tankMinutes, Map<Long, Integer> openingMinutes, Map<Long, Integer> rooms) {
    public SetUps {
        openingMinutes = Map.copyOf(openingMinutes);
        rooms = Map.copyOf(rooms);
    }
}
