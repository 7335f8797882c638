package app.chervil.server.demo;

import app.chervil.core.interval.Finding;
import app.chervil.core.site.FilterTask;
import app.chervil.server.account.SignedIn;
import app.chervil.server.visit.ServiceInput;
import app.chervil.server.visit.ServiceInput.Done;
import app.chervil.server.visit.ServiceInput.FlowInput;
import app.chervil.server.visit.ServiceInput.FlowReading;
import app.chervil.server.visit.ServiceOperations;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.TreeMap;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was done on one tank of the demo, by day; a day's work is one service. */
final class DemoDiary {
    private static final int SET_UP_MINUTES = 4;

    private final long tank;
    private final LocalDate today;
    private final Map<LocalDate, Day> days = new TreeMap<>();

    /** Work of a day. */
    private static final class Day {
        private final Map<Long, Done> tasks = new LinkedHashMap<>();
        private final Map<Long, FlowInput> flows = new LinkedHashMap<>();
        private final List<String> notes = new ArrayList<>();
        private int minutes = SET_UP_MINUTES;
    }

    DemoDiary(long tank, LocalDate today) {
        this.tank = tank;
        this.today = today;
    }

    void did(LocalDate on, FilterTask task, @Nullable Finding finding) {
        Day day = days.computeIfAbsent(on, key -> new Day());
        if (day.tasks.putIfAbsent(task.id(), new Done(task.id(), finding)) == null) {
            day.minutes += task.minutes();
        }
    }

    void flowed(LocalDate on, long filter, double beforeLph, double afterLph) {
        days.computeIfAbsent(on, key -> new Day())
                .flows
                .putIfAbsent(filter, new FlowInput(filter, flow(beforeLph), flow(afterLph)));
    }

    /** Adds words to the service nearest to some days ago, if there is one within a month. */
    void note(int daysAgo, String words) {
        LocalDate wanted = today.minusDays(daysAgo);
        days.keySet().stream()
                .min(java.util.Comparator.comparingLong(day -> Math.abs(ChronoUnit.DAYS.between(day, wanted))))
                .filter(day -> Math.abs(ChronoUnit.DAYS.between(day, wanted)) < 30)
                .ifPresent(day -> note(day, words));
    }

    void note(LocalDate on, String words) {
        Day day = days.get(on);
        if (day != null) {
            day.notes.add(words);
        }
    }

    LocalDate today() {
        return today;
    }

    List<LocalDate> days() {
        return List.copyOf(days.keySet());
    }

    /** Days on which a task was done. */
    List<LocalDate> daysOf(FilterTask task) {
        return days.entrySet().stream()
                .filter(day -> day.getValue().tasks.containsKey(task.id()))
                .map(Map.Entry::getKey)
                .toList();
    }

    /**
     * Logs each day's work as a service.
     *
     * @param people by name
     */
    void save(Map<String, SignedIn> people, ServiceOperations services) {
        SplittableRandom random = new SplittableRandom(tank);
        days.forEach((on, day) -> {
            double chance = random.nextDouble();
            String by = chance < 0.6 ? "Marit" : chance < 0.85 ? "Osei" : "Lin";
            if (!day.tasks.isEmpty()) {
                services.record(
                        Objects.requireNonNull(people.get(by), by),
                        UUID.nameUUIDFromBytes(("service " + tank + " " + ChronoUnit.DAYS.between(on, today))
                                .getBytes(StandardCharsets.UTF_8)),
                        new ServiceInput(
                                tank,
                                on,
                                by,
                                day.minutes,
                                String.join(" ", day.notes),
                                List.copyOf(day.tasks.values()),
                                List.copyOf(day.flows.values()),
                                null));
            }
        });
    }

    private static FlowReading flow(double litresPerHour) {
        return new FlowReading((double) Math.round(litresPerHour / 5) * 5, null, null);
    }
}
