package app.chervil.core.visit;

import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window.Standing;
import app.chervil.core.visit.Errand.Reach;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The work of a day, bundled per tank: what is due or late, and what may be done in the same opening without being too
 * soon.
 *
 * @param visits one per tank that has something due, in the order the tanks were given
 * @param week the seven days after today, in order
 */
public record Rounds(List<Visit> visits, List<Day> week) {
    /**
     * The work on one tank.
     *
     * @param standing the most pressing of its errands
     * @param carry what to bring, each thing once with its count
     */
    public record Visit(
            long tankId, Standing standing, List<Errand> errands, Effort effort, Map<Material, Integer> carry) {}

    /**
     * What a visit takes.
     *
     * @param minutes of work with set-up
     * @param daysLate days past the latest day of the latest errand, zero if none is late
     */
    public record Effort(int minutes, long daysLate) {}

    /**
     * A coming day.
     *
     * @param tanks how many tanks have something due
     */
    public record Day(LocalDate on, int minutes, int tanks) {}

    /**
     * The rounds of a day.
     *
     * @param errands of a whole site, tanks in the order they are walked
     */
    public static Rounds on(LocalDate today, List<Errand> errands) {
        Map<Long, List<Errand>> byTank = errands.stream()
                .collect(Collectors.groupingBy(e -> e.place().tankId(), LinkedHashMap::new, Collectors.toList()));
        List<Visit> visits = byTank.entrySet().stream()
                .filter(tank -> tank.getValue().stream().anyMatch(errand -> asks(today, errand)))
                .map(tank -> visit(tank.getKey(), bundle(today, tank.getValue()), today))
                .toList();
        List<Day> week = new ArrayList<>();
        for (int ahead = 1; ahead <= 7; ahead++) {
            week.add(day(today.plusDays(ahead), errands));
        }
        return new Rounds(visits, week);
    }

    /** Whether a task asks for a visit: from its ideal day on, or past its latest if it waits inside a closed filter. */
    private static boolean asks(LocalDate day, Errand errand) {
        Standing standing = errand.forecast().window().standingOn(day);
        return standing == Standing.LATE || (standing == Standing.DUE && errand.reach() != Reach.INSIDE);
    }

    /** Due errands, the opening that an inner one needs, and what an opening may take along. */
    private static List<Errand> bundle(LocalDate today, List<Errand> ofTank) {
        Set<Long> opened = ofTank.stream()
                .filter(errand -> errand.reach() != Reach.FREE && asks(today, errand))
                .map(errand -> errand.place().filterId())
                .collect(Collectors.toSet());
        return ofTank.stream()
                .filter(errand -> asks(today, errand) || joins(opened, today, errand))
                .sorted(Comparator.comparing((Errand e) -> e.forecast().window().latest()))
                .toList();
    }

    private static boolean joins(Set<Long> opened, LocalDate today, Errand errand) {
        if (!opened.contains(errand.place().filterId())) {
            return false;
        }
        return switch (errand.reach()) {
            case FREE -> false;
            case OPENING -> true;
            case INSIDE -> errand.forecast().window().standingOn(today) != Standing.LATER;
        };
    }

    private static Visit visit(long tankId, List<Errand> errands, LocalDate today) {
        Standing worst = errands.stream()
                .map(errand -> errand.forecast().window().standingOn(today))
                .max(Comparator.naturalOrder())
                .orElse(Standing.LATER);
        long late = errands.stream()
                .mapToLong(e -> java.time.temporal.ChronoUnit.DAYS.between(
                        e.forecast().window().latest(), today))
                .max()
                .orElse(0);
        return new Visit(tankId, worst, errands, new Effort(minutes(errands), Math.max(0, late)), carry(errands));
    }

    private static int minutes(List<Errand> errands) {
        int work = errands.stream()
                .mapToInt(errand -> errand.rule().effort().minutes())
                .sum();
        int setUp = errands.stream()
                .mapToInt(errand -> errand.rule().effort().setUpMinutes())
                .sum();
        return work + setUp;
    }

    private static Map<Material, Integer> carry(List<Errand> errands) {
        Map<Material, Integer> things = new LinkedHashMap<>();
        for (Errand errand : errands) {
            for (Material thing : new LinkedHashSet<>(errand.rule().effort().carry())) {
                things.merge(thing, 1, (had, one) -> thing.use() == Material.Use.SHARED ? had : had + one);
            }
        }
        return things;
    }

    private static Day day(LocalDate on, List<Errand> errands) {
        List<Errand> due = errands.stream()
                .filter(errand -> errand.forecast().window().ideal().equals(on))
                .toList();
        int tanks = (int)
                due.stream().map(errand -> errand.place().tankId()).distinct().count();
        return new Day(on, minutes(due), tanks);
    }
}
