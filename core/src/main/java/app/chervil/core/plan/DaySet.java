package app.chervil.core.plan;

import java.util.function.IntPredicate;
import java.util.stream.IntStream;

/** Some days of a plan in their order, each with a place among them. */
final class DaySet {
    private final int[] days;

    /** For each day, and the one after the last, the place of the first in the set that is not earlier. */
    private final int[] places;

    private DaySet(int[] days, int[] places) {
        this.days = days;
        this.places = places;
    }

    /** Those of so many days that are wanted. */
    static DaySet of(int days, IntPredicate wanted) {
        int[] some = IntStream.range(0, days).filter(wanted).toArray();
        int[] places = new int[days + 1];
        for (int day = 0; day < days; day++) {
            places[day + 1] = places[day] + (wanted.test(day) ? 1 : 0);
        }
        return new DaySet(some, places);
    }

    boolean has(int day) {
        return places[day + 1] > places[day];
    }

    int day(int place) {
        return days[place];
    }

    /** Place of the first that is not before a day. */
    int first(int day) {
        return places[day];
    }

    /** Place after the last that is not after a day. */
    int end(int day) {
        return places[day + 1];
    }
}
