package app.chervil.server.plan;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Audit;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Score;
import app.chervil.core.plan.Span;
import app.chervil.core.plan.Trouble;
import app.chervil.core.plan.Why;
import app.chervil.core.tank.TankChore;
import app.chervil.server.plan.PlanInput.Subject;
import app.chervil.server.plan.PlanMapper.ChangeRow;
import app.chervil.server.plan.PlanMapper.VisitRow;
import app.chervil.server.plan.PlanView.CarriedThing;
import app.chervil.server.plan.PlanView.DayPrice;
import app.chervil.server.plan.PlanView.DayPrices;
import app.chervil.server.plan.PlanView.PlanChange;
import app.chervil.server.plan.PlanView.PlanClosure;
import app.chervil.server.plan.PlanView.PlanDay;
import app.chervil.server.plan.PlanView.PlanMove;
import app.chervil.server.plan.PlanView.PlanTrouble;
import app.chervil.server.plan.PlanView.PlannedTask;
import app.chervil.server.plan.PlanView.PlannedVisit;
import app.chervil.server.plan.PlanView.ShiftedWork;
import app.chervil.server.plan.PlanView.WaitingWork;
import app.chervil.server.tank.TankView;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.Collection;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import org.jspecify.annotations.Nullable;
import tools.jackson.core.type.TypeReference;
import tools.jackson.databind.json.JsonMapper;

/** The plan in force as people see it. */
final class PlanViews {
    static final int MOST_CHANGES = 12;
    private static final int LEAST_CLOSURE_DAYS = 4;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);
    private static final TypeReference<List<String>> CAUSES = new TypeReference<>() {};
    private static final TypeReference<List<PlanMove>> MOVES = new TypeReference<>() {};

    private final PlanForce force;
    private final PlanInput input;
    private final JsonMapper json;

    PlanViews(PlanForce force, JsonMapper json) {
        this.force = force;
        this.input = force.input();
        this.json = json;
    }

    PlanView of(int weeks, List<ChangeRow> changes, @Nullable String undo, boolean improving) {
        Audit audit = new Audit(force.instance(), force.plan());
        LocalDate end = input.today().plusDays(7L * weeks);
        List<PlanDay> days = days(7 * weeks);
        return new PlanView(
                input.today(),
                weeks,
                days,
                visits().stream().filter(visit -> visit.on().isBefore(end)).toList(),
                input.waiting().stream().map(this::waiting).toList(),
                audit.troubles().stream()
                        .map(this::trouble)
                        .filter(trouble -> trouble.on().isBefore(end))
                        .toList(),
                closures(days),
                changes.stream().map(this::change).toList(),
                undo,
                input.time().assumed(),
                improving);
    }

    /** The first so many days with their minutes. */
    List<PlanDay> days(int count) {
        List<Integer> minutes = new Audit(force.instance(), force.plan()).minutes();
        List<PlanDay> days = new ArrayList<>();
        for (int day = 0; day < count; day++) {
            var hours = force.instance().hours().days().get(day);
            days.add(new PlanDay(date(day), minutes.get(day), hours.keeper(), hours.helpers()));
        }
        return days;
    }

    private LocalDate date(int day) {
        return input.today().plusDays(day);
    }

    /** Visits of the published days, each with its stored identity. */
    List<PlannedVisit> visits() {
        Map<String, VisitRow> rows = new LinkedHashMap<>();
        force.rows().forEach(row -> rows.put(row.tankId() + " " + row.onDay(), row));
        Map<Long, String> people = TimeOperations.names(input.time());
        return force.plan().visits(force.instance()).stream()
                .map(visit ->
                        visit(visit, Objects.requireNonNull(rows.get(visit.tank() + " " + date(visit.day()))), people))
                .toList();
    }

    private PlannedVisit visit(Visit visit, VisitRow row, Map<Long, String> people) {
        TankView tank = Objects.requireNonNull(input.tanks().get(visit.tank()));
        return new PlannedVisit(
                row.id(),
                visit.tank(),
                tank.tank().name(),
                tank.tank().room(),
                row.onDay(),
                row.minutes(),
                row.accountId() == null ? null : people.get(row.accountId()),
                visit.occurrences().stream().map(this::task).toList(),
                carry(visit.occurrences().stream()
                        .map(one -> input.of(one.chain().id()).subject())
                        .toList()));
    }

    private PlannedTask task(Occurrence one) {
        Subject subject = input.of(one.chain().id()).subject();
        Span span = force.plan().span(one);
        @Nullable TankChore chore = subject.chore();
        return new PlannedTask(
                one.chain().id(),
                chore == null ? one.chain().id() : null,
                chore,
                subject.name(),
                subject.filter(),
                one.chain().work().minutes(),
                new Window(date(span.earliest()), date(span.ideal()), date(span.latest())),
                Math.max(0, one.day() - span.latest()),
                force.instance().pins(one.chain().id(), one.k()),
                one.chain().demand().spaced());
    }

    static List<CarriedThing> carry(Collection<Subject> subjects) {
        Map<Material, Integer> things = new LinkedHashMap<>();
        for (Subject subject : subjects) {
            for (Material thing : subject.carry()) {
                things.merge(thing, 1, (had, one) -> thing.use() == Material.Use.SHARED ? had : had + one);
            }
        }
        return things.entrySet().stream()
                .map(thing -> new CarriedThing(
                        thing.getKey().words(), thing.getValue(), thing.getKey().use() == Material.Use.SHARED))
                .toList();
    }

    private WaitingWork waiting(PlanInput.Work work) {
        long tank = work.chain().place().tank();
        return new WaitingWork(
                tank,
                input.tankName(tank),
                work.subject().name(),
                work.subject().filter(),
                Objects.requireNonNull(work.hold()));
    }

    private String named(long chain) {
        PlanInput.Work work = input.of(chain);
        return work.subject().words() + " on "
                + input.tankName(work.chain().place().tank());
    }

    private PlanTrouble trouble(Trouble trouble) {
        LocalDate on = date(trouble.day());
        String day = DAY.format(on);
        if (trouble instanceof Trouble.TooMuch much) {
            String words = much.capacity() == 0
                    ? day + ": " + much.minutes() + " minutes of work, and nobody has time."
                    : day + ": " + (much.minutes() - much.capacity()) + " minutes more than the " + much.capacity()
                            + " people have.";
            return new PlanTrouble(PlanTrouble.Kind.TOO_MUCH, on, words, "");
        }
        if (trouble instanceof Trouble.TooMuchForKeeper much) {
            String words = day + ": " + (much.minutes() - much.capacity())
                    + " minutes more for a keeper alone than keepers have.";
            return new PlanTrouble(PlanTrouble.Kind.TOO_MUCH, on, words, "");
        }
        if (trouble instanceof Trouble.TooClose close) {
            return new PlanTrouble(
                    PlanTrouble.Kind.TOO_CLOSE,
                    on,
                    day + ": " + named(close.chain()) + ", only " + (close.day() - close.otherDay()) + " days after "
                            + input.of(close.other()).subject().words() + "; seven are asked for.",
                    "Each disturbs the bacteria; the tank needs time between.");
        }
        if (trouble instanceof Trouble.Apart apart) {
            return new PlanTrouble(
                    PlanTrouble.Kind.APART,
                    on,
                    day + ": " + named(apart.chain()) + " without "
                            + input.of(apart.partner()).subject().words() + " the same day.",
                    "");
        }
        Trouble.Late late = (Trouble.Late) trouble;
        String days = late.daysLate() == 1 ? "1 day" : late.daysLate() + " days";
        return new PlanTrouble(
                PlanTrouble.Kind.LATE,
                on,
                FirstLetter.upper(named(late.chain())) + " falls on " + day + ", " + days + " past its latest day.",
                risk(input.of(late.chain())));
    }

    private static String risk(PlanInput.Work work) {
        return work.hold() == null ? work.subject().risk() : work.hold().reason();
    }

    /** Stretches without anyone, longer than a usual week has. */
    private List<PlanClosure> closures(List<PlanDay> days) {
        List<PlanClosure> closures = new ArrayList<>();
        int start = -1;
        for (int day = 0; day <= days.size(); day++) {
            boolean nobody = day < days.size()
                    && days.get(day).keeperMinutes() + days.get(day).helperMinutes() == 0;
            if (nobody && start < 0) {
                start = day;
            } else if (!nobody && start >= 0) {
                if (day - start >= LEAST_CLOSURE_DAYS) {
                    closures.add(closure(start, day - 1));
                }
                start = -1;
            }
        }
        return closures;
    }

    private PlanClosure closure(int first, int last) {
        List<ShiftedWork> before = new ArrayList<>();
        List<ShiftedWork> after = new ArrayList<>();
        for (Visit visit : force.plan().visits(force.instance())) {
            for (Occurrence one : visit.occurrences()) {
                int ideal = force.plan().span(one).ideal();
                if (ideal >= first && ideal <= last && (one.day() < first || one.day() > last)) {
                    ShiftedWork shifted = new ShiftedWork(
                            input.tankName(visit.tank()),
                            input.of(one.chain().id()).subject().name(),
                            date(ideal),
                            date(one.day()));
                    (one.day() < first ? before : after).add(shifted);
                }
            }
        }
        return new PlanClosure(date(first), date(last), before, after);
    }

    private PlanChange change(ChangeRow row) {
        return new PlanChange(
                row.changedAt(), json.readValue(row.causes(), CAUSES), json.readValue(row.moves(), MOVES));
    }

    static DayPrices prices(Why.Answer answer, LocalDate today) {
        return new DayPrices(
                answer.because(),
                answer.best().stream().map(other -> price(other, today)).toList(),
                answer.all().stream().map(other -> price(other, today)).toList());
    }

    private static DayPrice price(Why.Other other, LocalDate today) {
        Score dearer = other.dearer();
        return new DayPrice(today.plusDays(other.day()), dearer.soft() / 10.0, dearer.hard() > 0, other.words());
    }
}
