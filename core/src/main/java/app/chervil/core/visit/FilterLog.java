package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Metered;
import app.chervil.core.interval.Note;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.TaskHistory;
import app.chervil.core.visit.BookedTask.StagePart;
import app.chervil.core.visit.FlowBook.Throttle;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.EnumSet;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeSet;
import java.util.function.BiFunction;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/**
 * A filter's log, cleaned: one service a day, openings that must have been, replacements, and for each service what the
 * flow says of each task. The order in which entries were made makes no difference.
 */
final class FilterLog {
    private final List<BookedTask> tasks;
    private final Set<Note> notes = EnumSet.noneOf(Note.class);
    private final List<ServiceDay> days;
    private final Map<Long, List<Serviced>> served = new HashMap<>();
    private final Map<Long, Metered> metered = new HashMap<>();
    private final LocalDate today;

    /** What a task's log says apart from its flow. */
    record TaskLog(List<Serviced> services, List<LocalDate> renewals) {}

    FilterLog(List<BookedTask> tasks, List<LoggedService> services, LocalDate today) {
        this.tasks = tasks;
        this.today = today;
        this.days = opened(ServiceDay.days(services, today, notes));
        for (BookedTask task : tasks) {
            served.put(task.id(), servicesOf(task.id()));
        }
    }

    private List<ServiceDay> opened(List<ServiceDay> logged) {
        if (logged.stream().anyMatch(ServiceDay::again)) {
            notes.add(Note.AGAIN);
        }
        Optional<Long> opening =
                tasks.stream().filter(BookedTask::isOpening).map(BookedTask::id).findFirst();
        if (opening.isEmpty()) {
            return logged;
        }
        Set<Long> inside = tasks.stream()
                .filter(BookedTask::stopsDirtInside)
                .map(BookedTask::id)
                .collect(Collectors.toSet());
        List<ServiceDay> days = new ArrayList<>(logged.stream()
                .map(day -> day.withOpening(opening.get(), inside, notes))
                .toList());
        renewedInside(logged).stream()
                .filter(day -> days.stream().noneMatch(one -> one.on().equals(day) && one.did(opening.get())))
                .forEach(day -> openOn(day, opening.get(), days));
        days.sort(Comparator.comparing(ServiceDay::on));
        return days;
    }

    private void openOn(LocalDate day, long opening, List<ServiceDay> days) {
        notes.add(Note.OPENING_IMPLIED);
        Optional<ServiceDay> same =
                days.stream().filter(one -> one.on().equals(day)).findFirst();
        same.ifPresent(days::remove);
        days.add(same.map(one -> one.and(opening)).orElseGet(() -> ServiceDay.openedUnseen(day, opening)));
    }

    private Set<LocalDate> renewedInside(List<ServiceDay> logged) {
        Set<LocalDate> renewed = new TreeSet<>();
        tasks.stream().filter(BookedTask::stopsDirtInside).forEach(task -> replaced(task, logged)
                .forEach(renewed::add));
        return renewed;
    }

    private List<Serviced> servicesOf(long task) {
        return days.stream()
                .filter(day -> day.did(task))
                .map(day -> day.serviced(task, OptionalDouble.empty()))
                .toList();
    }

    /** Services and replacements of a task, oldest first; flows are still to be judged. */
    TaskLog of(BookedTask task) {
        return new TaskLog(
                Collections.unmodifiableList(served.getOrDefault(task.id(), List.of())), renewals(task, days));
    }

    /** Days on which a task's stage was replaced by a new one, in the log or by the day it says it was fitted. */
    private List<LocalDate> renewals(BookedTask task, List<ServiceDay> logged) {
        Stream<LocalDate> fitted = task.refittedOn().stream();
        if (task.rule().graded()) {
            // Fitted before care is counted from: the part was cleaned since.
            fitted = fitted.filter(day -> day.isAfter(task.start().on()));
        }
        return Stream.concat(replaced(task, logged), fitted).distinct().sorted().toList();
    }

    private Stream<LocalDate> replaced(BookedTask task, List<ServiceDay> logged) {
        Optional<Long> part = task.stage().map(StagePart::id);
        return !task.is(CareAction.REPLACE) && part.isPresent()
                ? tasks.stream()
                        .filter(other -> other.is(CareAction.REPLACE)
                                && other.stage().map(StagePart::id).equals(part))
                        .flatMap(other -> logged.stream()
                                .filter(day -> day.did(other.id()))
                                .map(ServiceDay::on))
                : Stream.empty();
    }

    /**
     * Judges every flow, in the order of days.
     *
     * @param history of a task from what its log says
     * @return the clean flow; empty if nobody measured it
     */
    Optional<FlowRate> judgeFlows(
            Optional<FlowRate> plate, MeterDays meter, BiFunction<BookedTask, TaskLog, TaskHistory> history) {
        FlowBook flows = new FlowBook(plate, notes);
        List<Replay> replays = tasks.stream()
                .filter(task -> task.rule().graded() && !(hasOpening() && task.stopsDirtInside()))
                .map(task -> new Replay(task, history.apply(task, of(task))))
                .filter(replay -> replay.throttle().isPresent())
                .toList();
        Map<Long, List<Serviced>> judged = new HashMap<>();
        for (ServiceDay day : days) {
            if (day.again()) {
                continue;
            }
            replays.forEach(replay -> replay.upTo(day.on()));
            Map<Long, Double> shares = flows.judge(
                    day,
                    replays.stream().flatMap(one -> one.throttle().stream()).toList());
            for (Replay replay : replays) {
                long id = replay.task.id();
                if (day.did(id)) {
                    Serviced done = day.serviced(id, FlowBook.shareOf(shares, id));
                    judged.computeIfAbsent(id, task -> new ArrayList<>()).add(done);
                    replay.serve(done);
                }
            }
        }
        served.putAll(judged);
        readMeter(meter, flows, replays);
        return flows.clean();
    }

    /** What the meter says since the last service, shared among the stages that throttle as their dirt can explain it. */
    private void readMeter(MeterDays meter, FlowBook flows, List<Replay> replays) {
        Set<Long> throttling = replays.stream().map(replay -> replay.task.id()).collect(Collectors.toSet());
        days.stream()
                .filter(day -> !day.again() && throttling.stream().anyMatch(day::did))
                .map(ServiceDay::on)
                .max(Comparator.naturalOrder())
                .flatMap(since -> meter.lately(since, today))
                .ifPresent(read -> {
                    LocalDate on = read.getKey();
                    replays.forEach(replay -> replay.upTo(on));
                    flows.shares(
                                    on,
                                    read.getValue(),
                                    replays.stream()
                                            .flatMap(one -> one.throttle().stream())
                                            .toList())
                            .forEach((task, share) -> metered.put(task, new Metered(on, share)));
                });
    }

    /** What the flow meter last said of a task's stage. */
    Optional<Metered> metered(BookedTask task) {
        return Optional.ofNullable(metered.get(task.id()));
    }

    private boolean hasOpening() {
        return tasks.stream().anyMatch(BookedTask::isOpening);
    }

    Set<Note> notes() {
        return notes;
    }

    /** One task's course, played beside the others'. */
    private static final class Replay {
        private final BookedTask task;
        private final TaskHistory history;
        private final Course course;
        private int renewed;
        private int changed;

        Replay(BookedTask task, TaskHistory history) {
            this.task = task;
            this.history = history;
            this.course =
                    Course.begin(task.rule(), history.start(), history.load().rate(), history.pauses());
        }

        Optional<Throttle> throttle() {
            return Throttle.of(task, course);
        }

        /** Plays what happened before a day; of one day the service comes first, then a renewal, then changes. */
        void upTo(LocalDate dayExclusive) {
            while (hasRenewal(dayExclusive) || hasChange(dayExclusive)) {
                boolean renewalFirst = hasRenewal(dayExclusive)
                        && (!hasChange(dayExclusive)
                                || !history.renewals()
                                        .get(renewed)
                                        .isAfter(history.changes().get(changed).on()));
                if (renewalFirst) {
                    course.renew(history.renewals().get(renewed++));
                } else {
                    course.change(history.changes().get(changed++));
                }
            }
        }

        private boolean hasRenewal(LocalDate before) {
            return renewed < history.renewals().size()
                    && history.renewals().get(renewed).isBefore(before);
        }

        private boolean hasChange(LocalDate before) {
            return changed < history.changes().size()
                    && history.changes().get(changed).on().isBefore(before);
        }

        void serve(Serviced done) {
            if (history.services().stream().anyMatch(one -> one.on().equals(done.on()))) {
                course.serve(done);
            }
        }
    }
}
