package app.chervil.core.water;

import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;

/**
 * The best day to take a reading, and why.
 *
 * @param day today or later
 */
public record BestMoment(LocalDate day, String why) {
    /** How often water is changed while nobody has logged it twice. */
    static final int USUAL_DAYS = 7;

    private static final int LOOK_BACK = 6;

    /**
     * What builds up between water changes is read the day before the next one, when it peaks.
     *
     * @param changes in any order
     * @return empty for what does not depend on the day
     */
    public static Optional<BestMoment> of(Parameter parameter, List<WaterChange> changes, LocalDate today) {
        if (parameter != Parameter.NITRATE && parameter != Parameter.PHOSPHATE) {
            return Optional.empty();
        }
        List<LocalDate> days = changes.stream()
                .map(change -> change.at().toLocalDate())
                .filter(day -> !day.isAfter(today))
                .distinct()
                .sorted(Comparator.reverseOrder())
                .limit(LOOK_BACK)
                .toList();
        if (days.isEmpty()) {
            return Optional.of(
                    new BestMoment(today, "Take it before a water change; none is logged yet, so today serves."));
        }
        LocalDate next = days.get(0).plusDays(usual(days));
        LocalDate best = next.minusDays(1).isBefore(today) ? today : next.minusDays(1);
        return Optional.of(new BestMoment(
                best, parameter.label() + " peaks just before the water change, next around " + Words.day(next) + "."));
    }

    private static long usual(List<LocalDate> latestFirst) {
        List<Long> gaps = new ArrayList<>();
        for (int i = 1; i < latestFirst.size(); i++) {
            gaps.add(ChronoUnit.DAYS.between(latestFirst.get(i), latestFirst.get(i - 1)));
        }
        gaps.sort(Comparator.naturalOrder());
        return gaps.isEmpty() ? USUAL_DAYS : gaps.get(gaps.size() / 2);
    }
}
