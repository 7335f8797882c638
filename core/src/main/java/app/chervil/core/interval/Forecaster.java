package app.chervil.core.interval;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.Learning.UnknownAge;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.TaskSetting.By;
import app.chervil.core.interval.TaskSetting.Fixed;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/** Answers when a task is next due: the one entry to the interval engine. */
public final class Forecaster {
    private Forecaster() {}

    /**
     * The forecast of one task from its history.
     *
     * @param today the day the question is asked; loading is estimated for it
     * @return window, loading and reasons
     */
    public static Forecast forecast(CareRule rule, TaskSetting setting, TaskHistory history, LocalDate today) {
        Forecast learned = rule.graded()
                ? graded(Course.replay(rule, history), today)
                : byAge(rule, (ByAge) rule.learning(), history);
        return setting instanceof Fixed fixed ? fixed(fixed, learned) : learned;
    }

    /** The forecast of a task that is done whenever its canister is opened: the opening's window, its own loading. */
    public static Forecast withOpening(Forecast own, Forecast opening, String openingName) {
        return new Forecast(
                own.since(),
                opening.window(),
                Basis.WITH_OPENING,
                own.loading(),
                List.of("Goes with: " + openingName.substring(0, 1).toLowerCase(java.util.Locale.ROOT)
                        + openingName.substring(1) + "."));
    }

    /**
     * The forecast of a part that is looked after at an opening: on the opening's day if that is neither too soon nor
     * past the part's age cap, and no later than the cap.
     */
    public static Forecast waitingForOpening(CareRule rule, Forecast own, Forecast opening) {
        if (!(rule.learning() instanceof ByAge age)) {
            return own;
        }
        LocalDate cap = own.since().plusDays(age.ceilingDays());
        LocalDate notBefore = own.window().earliest();
        LocalDate wanted = opening.window().ideal();
        LocalDate ideal = wanted.isBefore(notBefore) ? notBefore : wanted.isAfter(cap) ? cap : wanted;
        String reason = "Looked after when the canister is opened, by " + Reasons.days(age.ceilingDays())
                + " of age at the latest.";
        return new Forecast(
                own.since(), new Window(notBefore, ideal, cap), own.basis(), own.loading(), List.of(reason));
    }

    private static Forecast graded(Course course, LocalDate today) {
        Decision decision = course.decision();
        return new Forecast(
                course.run().since(),
                Window.after(course.run().since(), decision.days()),
                course.findings() == 0 ? Basis.START : Basis.LEARNED,
                Optional.of(course.loadingOn(today)),
                new Reasons(course, today).sentences(decision));
    }

    private static Forecast byAge(CareRule rule, ByAge age, TaskHistory history) {
        boolean served = !history.services().isEmpty();
        LocalDate since = served
                ? history.services().get(history.services().size() - 1).on()
                : history.start().on();
        boolean known = served || history.start().ageKnown();
        if (!known && age.unknown() == UnknownAge.IS_SPENT) {
            return new Forecast(
                    since,
                    new Window(since, since, since),
                    Basis.AGE,
                    Optional.empty(),
                    List.of("Its age is unknown, so it counts as spent."));
        }
        double ideal = Math.min(rule.startDays(), age.ceilingDays());
        Window.Days days = new Window.Days(
                age.earliest() * ideal, ideal, Math.max(ideal, Math.min(age.latest() * ideal, age.ceilingDays())));
        String counted = known ? "" : " Age unknown: counted from the day it was entered.";
        return new Forecast(
                since,
                Window.after(since, days),
                Basis.AGE,
                Optional.empty(),
                List.of("By age, every " + Reasons.days(rule.startDays()) + ": " + lower(rule.why()) + counted));
    }

    private static Forecast fixed(Fixed fixed, Forecast learned) {
        LocalDate due = learned.since().plusDays(fixed.days());
        long otherwise = java.time.temporal.ChronoUnit.DAYS.between(
                learned.since(), learned.window().ideal());
        String who = fixed.by() == By.KEEPER ? "Fixed by you" : "Maker's calendar";
        String would = learned.basis() == Basis.LEARNED
                ? "What was found would make it about " + Reasons.days(otherwise) + "."
                : "Left to learn it would start at about " + Reasons.days(otherwise) + ".";
        return new Forecast(
                learned.since(),
                new Window(due, due, due),
                Basis.FIXED,
                learned.loading(),
                List.of(who + ": every " + Reasons.days(fixed.days()) + ".", would));
    }

    private static String lower(String sentence) {
        return sentence.substring(0, 1).toLowerCase(java.util.Locale.ROOT) + sentence.substring(1);
    }
}
