package app.chervil.core.plan;

import java.util.Arrays;
import java.util.List;
import java.util.stream.IntStream;

/** Days for all work on one tank, with what they cost wherever other tanks lie, and what they ask of the days. */
final class TankPlan {
    /** Days by lane, in the order of the tank's lanes. */
    final int[][] days;

    /** Packed cost of all but how full days are and coming into the room. */
    final long own;

    /** Days on which anybody is at the tank, in order. */
    final int[] on;

    /** Minutes that each of them takes, but for coming into the room. */
    final int[] minutes;

    /** How many of those are a keeper's. */
    final int[] keeperMinutes;

    private TankPlan(int[][] days, long own, int[] on, int[] minutes, int[] keeperMinutes) {
        this.days = days;
        this.own = own;
        this.on = on;
        this.minutes = minutes;
        this.keeperMinutes = keeperMinutes;
    }

    /**
     * Takes the measure of a tank's days.
     *
     * @param alone a board without anything on it, see {@link Board#alone()}; left as it was
     * @param lanes of the tank
     * @param days by lane
     */
    static TankPlan of(Board alone, List<Integer> lanes, int[][] days) {
        long own = 0;
        for (int i = 0; i < days.length; i++) {
            own += alone.cost(lanes.get(i), days[i]);
            alone.place(lanes.get(i), days[i]);
        }
        int[] on = IntStream.range(0, days.length)
                .flatMap(i -> done(alone.lanes.get(lanes.get(i)), days[i]))
                .sorted()
                .distinct()
                .toArray();
        int[] minutes = Arrays.stream(on).map(alone::load).toArray();
        int[] keeperMinutes = Arrays.stream(on).map(alone::keeperLoad).toArray();
        lanes.forEach(alone::remove);
        return new TankPlan(days, own, on, minutes, keeperMinutes);
    }

    /** Packed cost in whatever company at the least, for the fuller a day is, the dearer every minute more. */
    long least(Board board) {
        long points = own;
        for (int i = 0; i < on.length; i++) {
            points += board.fullness(on[i], minutes[i]) + board.overKeeper(on[i], keeperMinutes[i]);
        }
        return points;
    }

    /** Days of a lane but for what is left out. */
    private static IntStream done(Lane lane, int[] days) {
        return IntStream.range(0, days.length).filter(k -> !lane.skipped[k]).map(k -> days[k]);
    }
}
