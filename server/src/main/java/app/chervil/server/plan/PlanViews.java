package app.chervil.server.plan;

import app.chervil.core.agenda.Agenda;
import app.chervil.core.agenda.Carried;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.Standing;
import app.chervil.core.calc.Count;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.plan.ChainId;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Score;
import app.chervil.core.plan.Trouble;
import app.chervil.core.plan.Why;
import app.chervil.core.site.Tank;
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
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import org.jspecify.annotations.Nullable;

/** The plan in force as people see it. */
final class PlanViews {
    static final int MOST_CHANGES = 12;
    private static final int LEAST_CLOSURE_DAYS = 4;
    private static final DateTimeFormatter DAY = DateTimeFormatter.ofPattern("EEE d MMM", Locale.ENGLISH);

    private final Standing standing;

    PlanViews(Standing standing) {
        this.standing = standing;
    }

    PlanView of(int weeks, List<Moved> changes, @Nullable String undo) {
        LocalDate end = standing.today().plusDays(7L * weeks);
        List<PlanDay> days =
                standing.days(7 * weeks).stream().map(PlanViews::day).toList();
        return new PlanView(
                standing.today(),
                weeks,
                days,
                standing.visits().stream()
                        .filter(visit -> visit.on().isBefore(end))
                        .map(this::visit)
                        .toList(),
                standing.agenda().waiting().stream().map(this::waiting).toList(),
                standing.audit().troubles().stream()
                        .map(this::trouble)
                        .filter(trouble -> trouble.on().isBefore(end))
                        .toList(),
                closures(days),
                changes.stream().map(PlanViews::change).toList(),
                undo,
                standing.agenda().people().assumed(),
                standing.told().rough());
    }

    private static PlanDay day(Standing.Day day) {
        return new PlanDay(day.on(), day.minutes(), day.keeperMinutes(), day.helperMinutes());
    }

    private LocalDate date(int day) {
        return standing.date(day);
    }

    private PlannedVisit visit(Standing.Visit visit) {
        Tank tank = visit.tank();
        return new PlannedVisit(
                visit.booked().id(),
                tank.id(),
                tank.name(),
                tank.room(),
                visit.on(),
                visit.minutes(),
                visit.person().orElse(null),
                visit.tasks().stream().map(PlanViews::task).toList(),
                visit.carry().stream().map(PlanViews::carried).toList());
    }

    private static PlannedTask task(Standing.Task task) {
        return new PlannedTask(
                task.chain().number(),
                task.taskId().orElse(null),
                task.chore().orElse(null),
                task.subject().name(),
                task.subject().filter(),
                task.minutes(),
                task.window(),
                task.daysLate(),
                task.pinned(),
                task.spaced());
    }

    private static CarriedThing carried(Carried carried) {
        return new CarriedThing(carried.thing().words(), carried.count(), carried.shared());
    }

    private WaitingWork waiting(Agenda.Work work) {
        long tank = work.chain().place().tank();
        return new WaitingWork(
                tank,
                standing.agenda().tank(tank).name(),
                work.subject().name(),
                work.subject().filter(),
                work.hold().orElseThrow());
    }

    private String named(ChainId chain) {
        return standing.agenda().named(chain);
    }

    private PlanTrouble trouble(Trouble trouble) {
        LocalDate on = date(trouble.day());
        String day = DAY.format(on);
        if (trouble instanceof Trouble.TooMuch much) {
            String words = much.capacity() == 0
                    ? day + ": " + Count.of(much.minutes(), "minute") + " of work, and nobody has time."
                    : day + ": " + Count.of(much.minutes() - much.capacity(), "minute") + " more than the "
                            + much.capacity() + " people have.";
            return new PlanTrouble(PlanTrouble.Kind.TOO_MUCH, on, words, "");
        }
        if (trouble instanceof Trouble.TooMuchForKeeper much) {
            String words = day + ": " + Count.of(much.minutes() - much.capacity(), "minute")
                    + " more for a keeper alone than keepers have.";
            return new PlanTrouble(PlanTrouble.Kind.TOO_MUCH, on, words, "");
        }
        if (trouble instanceof Trouble.TooClose close) {
            return new PlanTrouble(
                    PlanTrouble.Kind.TOO_CLOSE,
                    on,
                    day + ": " + named(close.chain()) + ", only " + Count.days(close.day() - close.otherDay())
                            + " after "
                            + standing.agenda().of(close.other()).subject().words() + "; seven are asked for.",
                    "Each disturbs the bacteria; the tank needs time between.");
        }
        if (trouble instanceof Trouble.Apart apart) {
            return new PlanTrouble(
                    PlanTrouble.Kind.APART,
                    on,
                    day + ": " + named(apart.chain()) + " without "
                            + standing.agenda().of(apart.partner()).subject().words() + " the same day.",
                    "");
        }
        Trouble.Late late = (Trouble.Late) trouble;
        String days = Count.days(late.daysLate());
        return new PlanTrouble(
                PlanTrouble.Kind.LATE,
                on,
                FirstLetter.upper(named(late.chain())) + " falls on " + day + ", " + days + " overdue.",
                standing.agenda().of(late.chain()).risk());
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
        for (Visit visit : standing.audit().visits()) {
            for (Occurrence one : visit.occurrences()) {
                int ideal = standing.plan().span(one).ideal();
                if (ideal >= first && ideal <= last && (one.day() < first || one.day() > last)) {
                    ShiftedWork shifted = new ShiftedWork(
                            standing.agenda().tank(visit.tank()).name(),
                            standing.agenda().of(one.chain().id()).subject().name(),
                            date(ideal),
                            date(one.day()));
                    (one.day() < first ? before : after).add(shifted);
                }
            }
        }
        return new PlanClosure(date(first), date(last), before, after);
    }

    private static PlanChange change(Moved moved) {
        return new PlanChange(
                moved.at(),
                moved.causes(),
                moved.moves().stream().map(PlanViews::move).toList());
    }

    static PlanMove move(Moved.Move move) {
        return new PlanMove(move.tank(), move.name(), move.from(), move.to().orElse(null));
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
