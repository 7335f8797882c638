package app.chervil.core.agenda;

import app.chervil.core.agenda.Agenda.Subject;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Audit;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Plan;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Span;
import app.chervil.core.site.Tank;
import app.chervil.core.tank.TankChore;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;

/**
 * The plan in force with what it was made from.
 *
 * @param audit reads the plan
 * @param told as it is to be kept
 * @param moved what moved against the plan before it; empty if nothing did
 */
public record Standing(Agenda agenda, Audit audit, Told told, Optional<Moved> moved) {
    /**
     * A day with its minutes.
     *
     * @param minutes planned, set-ups included
     */
    public record Day(LocalDate on, int minutes, int keeperMinutes, int helperMinutes) {}

    /**
     * A visit with its work.
     *
     * @param person who is to do it; empty if nobody has time
     */
    public record Visit(BookedVisit booked, Tank tank, Optional<String> person, List<Task> tasks, List<Carried> carry) {
        public LocalDate on() {
            return booked.on();
        }

        public int minutes() {
            return booked.minutes();
        }
    }

    /**
     * One task or chore of a visit.
     *
     * @param window within which it is best done, given the time before
     * @param daysLate past its latest day; zero if it is not
     * @param pinned by a keeper
     * @param spaced whether it disturbs bacteria and must stand apart from other such work
     */
    public record Task(
            ChainId chain, Subject subject, int minutes, Window window, int daysLate, boolean pinned, boolean spaced) {
        /** The care task; empty for a chore. */
        public Optional<Long> taskId() {
            return chain.task();
        }

        public Optional<TankChore> chore() {
            return subject.chore();
        }
    }

    public Instance instance() {
        return audit.instance();
    }

    public Plan plan() {
        return audit.plan();
    }

    public LocalDate today() {
        return agenda.today();
    }

    public LocalDate date(int day) {
        return agenda.today().plusDays(day);
    }

    /** The first so many days with their minutes. */
    public List<Day> days(int count) {
        List<Day> days = new ArrayList<>();
        for (int day = 0; day < count; day++) {
            var hours = instance().hours().days().get(day);
            days.add(new Day(date(day), audit.minutes(day), hours.keeper(), hours.helpers()));
        }
        return days;
    }

    /** Visits of the published days, by day. */
    public List<Visit> visits() {
        return visits(audit.visits());
    }

    private List<Visit> visits(List<Plan.Visit> some) {
        Map<LocalDate, Map<Long, BookedVisit>> booked = new HashMap<>();
        some.forEach(visit -> booked.computeIfAbsent(date(visit.day()), day -> new HashMap<>()));
        for (BookedVisit visit : told.visits()) {
            Map<Long, BookedVisit> ofDay = booked.get(visit.on());
            if (ofDay != null) {
                ofDay.put(visit.tank(), visit);
            }
        }
        Map<Long, String> names = agenda.people().names();
        return some.stream()
                .map(visit -> visit(
                        visit,
                        Objects.requireNonNull(
                                booked.getOrDefault(date(visit.day()), Map.of()).get(visit.tank())),
                        names))
                .toList();
    }

    private Visit visit(Plan.Visit visit, BookedVisit booked, Map<Long, String> names) {
        List<Subject> subjects = visit.occurrences().stream()
                .map(one -> agenda.of(one.chain().id()).subject())
                .toList();
        return new Visit(
                booked,
                agenda.tank(visit.tank()),
                booked.account().flatMap(id -> Optional.ofNullable(names.get(id))),
                visit.occurrences().stream().map(this::task).toList(),
                Carried.by(subjects));
    }

    private Task task(Occurrence one) {
        ChainId chain = one.chain().id();
        Span span = plan().span(one);
        return new Task(
                chain,
                agenda.of(chain).subject(),
                one.chain().work().minutes(),
                new Window(date(span.earliest()), date(span.ideal()), date(span.latest())),
                Math.max(0, one.day() - span.latest()),
                instance().pins(chain, one.k()),
                one.chain().demand().spaced());
    }

    /** The occurrence of a chain on a day; empty if it is not planned then. */
    public Optional<Occurrence> occurrence(ChainId chain, LocalDate on) {
        int day = CarriedOver.day(today(), on);
        int k = plan().of(chain).indexOf(day);
        return k < 0
                ? Optional.empty()
                : Optional.of(new Occurrence(agenda.of(chain).chain(), k, day));
    }

    /** What the rounds of a day ask of the plan. */
    public Walk walk(LocalDate day) {
        return new Walk(day);
    }

    /** The plan as one day's rounds see it; only what lies on that day is put together whole. */
    public final class Walk {
        private final Map<ChainId, LocalDate> next = new HashMap<>();
        private final Map<LocalDate, Integer> tanks = new HashMap<>();
        private final Map<Long, Visit> visits = new HashMap<>();
        private final Map<Long, List<Task>> chores = new HashMap<>();

        private Walk(LocalDate day) {
            List<Plan.Visit> today = new ArrayList<>();
            for (Plan.Visit visit : audit.visits()) {
                LocalDate on = date(visit.day());
                tanks.merge(on, 1, Integer::sum);
                if (on.equals(day)) {
                    today.add(visit);
                }
                for (Occurrence one : visit.occurrences()) {
                    next.putIfAbsent(one.chain().id(), on);
                    if (isDueChore(one, on, day)) {
                        chores.computeIfAbsent(visit.tank(), tank -> new ArrayList<>())
                                .add(task(one));
                    }
                }
            }
            Standing.this.visits(today).forEach(visit -> visits.put(visit.tank().id(), visit));
        }

        private boolean isDueChore(Occurrence one, LocalDate on, LocalDate day) {
            boolean chore = agenda.of(one.chain().id()).subject().chore().isPresent();
            return chore && (on.equals(day) || date(plan().span(one).latest()).isBefore(day));
        }

        /** Tasks of the day. */
        public Set<Long> tasks() {
            return visits.values().stream()
                    .flatMap(visit -> visit.tasks().stream())
                    .flatMap(task -> task.taskId().stream())
                    .collect(Collectors.toSet());
        }

        /** How many tanks are visited on any day. */
        public int tanksOn(LocalDate day) {
            return tanks.getOrDefault(day, 0);
        }

        /** The next day of a task or a chore by its chain; empty if it is not planned. */
        public Optional<LocalDate> next(ChainId chain) {
            return Optional.ofNullable(next.get(chain));
        }

        /** Chores that are planned for the day, or late by then, by tank. */
        public Map<Long, List<Task>> chores() {
            return chores;
        }

        /** The visits of the day by tank. */
        public Map<Long, Visit> visits() {
            return visits;
        }
    }
}
