package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.interval.CalibratedEye;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Serviced;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;

/**
 * All that was logged on a filter on one day, as one service (docs/sources.md#learning).
 *
 * @param done by task id
 * @param flowBefore the least measured before
 * @param flowAfter the most measured after
 * @param again whether every entry says that nothing was cleaned
 * @param sureOfFlow whether an entry stands by its flow
 * @param separate whether an entry says that it is no part of the service just before
 */
record ServiceDay(
        LocalDate on,
        Map<Long, Look> done,
        Optional<FlowRate> flowBefore,
        Optional<FlowRate> flowAfter,
        boolean again,
        boolean sureOfFlow,
        boolean separate) {
    /**
     * What a task's stage looked like.
     *
     * @param finding empty if nobody looked
     * @param eye of whoever graded it
     */
    record Look(Optional<Finding> finding, CalibratedEye eye) {
        static final Look NONE = new Look(Optional.empty(), CalibratedEye.UNTESTED);
        /** Looked at beats not looked at, fuller beats emptier. */
        static final Comparator<Look> FULLER = Comparator.comparingInt(
                        (Look look) -> look.finding.map(Finding::ordinal).orElse(-1))
                .thenComparingDouble(look -> look.eye.bias())
                .thenComparingDouble(look -> look.eye.variance());

        Look fuller(Look other) {
            return FULLER.compare(this, other) >= 0 ? this : other;
        }
    }

    /** The days of a log, oldest first; what lies after today is kept aside. */
    static List<ServiceDay> days(List<LoggedService> services, LocalDate today, Set<Note> notes) {
        Map<LocalDate, List<LoggedService>> byDay = new TreeMap<>();
        for (LoggedService service : services) {
            if (service.on().isAfter(today)) {
                notes.add(Note.FUTURE);
            } else {
                byDay.computeIfAbsent(service.on(), day -> new ArrayList<>()).add(service);
            }
        }
        return byDay.entrySet().stream()
                .map(day -> merged(day.getKey(), day.getValue(), notes))
                .toList();
    }

    private static ServiceDay merged(LocalDate on, List<LoggedService> entries, Set<Note> notes) {
        Map<Long, Look> done = new TreeMap<>();
        for (LoggedService entry : entries) {
            entry.done().forEach((task, finding) -> {
                if (done.containsKey(task)) {
                    notes.add(Note.SAME_DAY);
                }
                done.merge(task, new Look(finding, entry.manner().eye()), Look::fuller);
            });
        }
        Comparator<FlowRate> bySpeed = Comparator.comparingDouble(FlowRate::litresPerHour);
        return new ServiceDay(
                on,
                done,
                entries.stream().flatMap(entry -> entry.flowBefore().stream()).min(bySpeed),
                entries.stream().flatMap(entry -> entry.flowAfter().stream()).max(bySpeed),
                !done.isEmpty()
                        && entries.stream()
                                .filter(entry -> !entry.done().isEmpty())
                                .allMatch(entry -> entry.manner().again()),
                entries.stream().anyMatch(entry -> entry.manner().sureOfFlow()),
                entries.stream().anyMatch(entry -> entry.manner().separate()));
    }

    /** A day on which nothing but a replacement says that the filter was open. */
    static ServiceDay openedUnseen(LocalDate on, long opening) {
        return new ServiceDay(on, Map.of(opening, Look.NONE), Optional.empty(), Optional.empty(), false, false, false);
    }

    /** The same day with the opening judged by the fullest stage inside, its own grade included. */
    ServiceDay withOpening(long opening, Set<Long> inside, Set<Note> notes) {
        Optional<Look> fullest = done.entrySet().stream()
                .filter(one -> inside.contains(one.getKey()) || one.getKey() == opening)
                .map(Map.Entry::getValue)
                .max(Look.FULLER);
        if (again || fullest.isEmpty()) {
            return this;
        }
        if (!done.containsKey(opening)) {
            notes.add(Note.OPENING_IMPLIED);
        }
        Map<Long, Look> judged = new TreeMap<>(done);
        judged.put(opening, fullest.get());
        return new ServiceDay(on, judged, flowBefore, flowAfter, false, sureOfFlow, separate);
    }

    /** The same day with one more task done, unseen. */
    ServiceDay and(long task) {
        Map<Long, Look> all = new TreeMap<>(again ? Map.of() : done);
        all.putIfAbsent(task, Look.NONE);
        return new ServiceDay(on, all, flowBefore, flowAfter, false, sureOfFlow, separate);
    }

    /** Whether nothing was done but measuring the flow. */
    boolean isMeasuringOnly() {
        return done.isEmpty();
    }

    boolean did(long task) {
        return !again && done.containsKey(task);
    }

    Look look(long task) {
        return Objects.requireNonNull(done.get(task));
    }

    Serviced serviced(long task, OptionalDouble flowShare) {
        Look look = look(task);
        return new Serviced(on, look.finding(), flowShare, look.eye(), separate);
    }
}
