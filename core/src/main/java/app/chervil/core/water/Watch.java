package app.chervil.core.water;

import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;

/**
 * Extra readings asked for after a risky service (docs/sources.md#watches).
 *
 * @param began the day of the service
 */
public record Watch(Cause cause, LocalDate began) {
    /** What made it risky. */
    public enum Cause {
        MEDIA_REPLACED("Bio media was replaced"),
        FULL_SERVICE("The canister was serviced"),
        LONG_OFF("The filter was off for over four hours");

        private final String words;

        Cause(String words) {
            this.words = words;
        }

        public String words() {
            return words;
        }

        private Map<Parameter, int[]> days() {
            Map<Parameter, int[]> days = new EnumMap<>(Parameter.class);
            if (this == MEDIA_REPLACED) {
                days.put(Parameter.AMMONIA, new int[] {1, 2, 4, 7});
                days.put(Parameter.NITRITE, new int[] {1, 2, 4, 7});
                days.put(Parameter.NITRATE, new int[] {7, 14, 21, 28, 35, 42, 49, 56});
            } else {
                days.put(Parameter.AMMONIA, new int[] {1, 3});
            }
            return days;
        }
    }

    /**
     * A reading asked for.
     *
     * @param from first day on which it answers
     * @param until last day; then it ends by itself
     */
    public record Asked(Watch watch, Parameter parameter, LocalDate from, LocalDate until) {
        boolean answeredBy(Reading reading) {
            LocalDate on = reading.on();
            return reading.parameter() == parameter && reading.trusted() && !on.isBefore(from) && !on.isAfter(until);
        }
    }

    /** Every reading this watch asks for, by day. A window ends the day before the next one of its parameter. */
    public List<Asked> schedule() {
        List<Asked> all = new ArrayList<>();
        cause.days().forEach((parameter, days) -> {
            for (int i = 0; i < days.length; i++) {
                int last = i + 1 < days.length ? days[i + 1] - 1 : days[i] + lastWindow(days);
                all.add(new Asked(this, parameter, began.plusDays(days[i]), began.plusDays(last)));
            }
        });
        all.sort(Comparator.comparing(Asked::from));
        return all;
    }

    /** The last window is as wide as the one before it. */
    private static int lastWindow(int[] days) {
        return days[days.length - 1] - days[days.length - 2] - 1;
    }

    /**
     * Readings due on a day that nobody has taken, each parameter once.
     *
     * @param watches of one tank
     * @param readings of the same tank
     */
    public static List<Asked> due(List<Watch> watches, List<Reading> readings, LocalDateTime now) {
        LocalDate today = now.toLocalDate();
        Map<Parameter, Asked> due = new EnumMap<>(Parameter.class);
        watches.stream()
                .flatMap(watch -> watch.schedule().stream())
                .filter(asked -> !today.isBefore(asked.from()) && !today.isAfter(asked.until()))
                .filter(asked -> readings.stream().noneMatch(asked::answeredBy))
                .sorted(Comparator.comparing(Asked::until))
                .forEach(asked -> due.putIfAbsent(asked.parameter(), asked));
        return List.copyOf(due.values());
    }
}
