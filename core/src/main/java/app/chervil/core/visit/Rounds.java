package app.chervil.core.visit;

import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window.Standing;
import app.chervil.core.visit.Errand.Reach;
import java.time.LocalDate;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Predicate;
import java.util.stream.Collectors;

/**
 * The work of a day, bundled per tank: what is due or late, and what can be done in the same opening without being too
 * soon.
 *
 * @param visits one per tank that has something due, in the order the tanks were given
 */
public record Rounds(List<Visit> visits) {
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

    /** The rounds of a day by windows alone. */
    public static Rounds on(LocalDate today, List<Errand> errands) {
        return on(today, errands, Set.of());
    }

    /**
     * The rounds of a day.
     *
     * @param errands of a whole site, tanks in the order they are walked
     * @param planned ids of tasks that the plan puts on this day
     */
    public static Rounds on(LocalDate today, List<Errand> errands, Set<Long> planned) {
        Map<Long, List<Errand>> byTank = errands.stream()
                .collect(Collectors.groupingBy(e -> e.place().tankId(), LinkedHashMap::new, Collectors.toList()));
        Predicate<Errand> asks = errand -> planned.contains(errand.place().taskId()) || asks(today, errand);
        return new Rounds(byTank.entrySet().stream()
                .filter(tank -> tank.getValue().stream().anyMatch(asks))
                .map(tank -> visit(tank.getKey(), bundle(today, tank.getValue(), asks), today))
                .toList());
    }

    /** A visit without any task. */
    public static Visit nothing(long tankId) {
        return new Visit(tankId, Standing.LATER, List.of(), new Effort(0, 0), Map.of());
    }

    /** Whether a task asks for a visit: from its ideal day on, or past its latest if it waits inside a closed filter. */
    private static boolean asks(LocalDate day, Errand errand) {
        Standing standing = errand.forecast().window().standingOn(day);
        return standing == Standing.LATE || (standing == Standing.DUE && errand.reach() != Reach.INSIDE);
    }

    /** Due errands, the opening that an inner one needs, and what an opening may take along. */
    private static List<Errand> bundle(LocalDate today, List<Errand> ofTank, Predicate<Errand> asks) {
        Set<Long> opened = ofTank.stream()
                .filter(errand -> errand.reach() != Reach.FREE && asks.test(errand))
                .map(errand -> errand.place().filterId())
                .collect(Collectors.toSet());
        return ofTank.stream()
                .filter(errand -> asks.test(errand) || joins(opened, today, errand))
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
}
