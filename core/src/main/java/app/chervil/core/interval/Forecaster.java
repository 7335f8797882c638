package app.chervil.core.interval;

import app.chervil.core.calc.Count;
import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.Learning.ByColour;
import app.chervil.core.filter.Learning.ByHours;
import app.chervil.core.filter.Learning.ByLength;
import app.chervil.core.filter.Learning.ByRinses;
import app.chervil.core.filter.Learning.ByTint;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.TaskSetting.Fixed;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;

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
        Forecast learned = learned(rule, history, today);
        return setting instanceof Fixed fixed ? fixed(fixed, learned) : learned;
    }

    /** The forecast of a task that is done whenever its canister is opened: the opening's window, its own loading. */
    public static Forecast withOpening(Forecast own, Forecast opening, String openingName) {
        return new Forecast(
                own.since(),
                opening.window(),
                Basis.WITH_OPENING,
                own.loading(),
                List.of("Goes with: " + FirstLetter.lower(openingName) + "."));
    }

    /**
     * The forecast of a part that is looked after at an opening: on the opening's day if that is neither too soon nor
     * past the part's age cap, and no later than the cap; a part found worn out waits for nothing.
     *
     * @param capDays age at which it is looked after even without an opening
     */
    public static Forecast waitingForOpening(int capDays, Forecast own, Forecast opening) {
        boolean wornOut = own.window().earliest().equals(own.window().latest());
        if (wornOut) {
            return own;
        }
        LocalDate cap = own.since().plusDays(capDays);
        LocalDate notBefore =
                own.window().earliest().isAfter(cap) ? cap : own.window().earliest();
        LocalDate wanted = opening.window().ideal();
        LocalDate ideal = wanted.isBefore(notBefore) ? notBefore : wanted.isAfter(cap) ? cap : wanted;
        String reason =
                "Looked after when the canister is opened, by " + Count.days(capDays) + " of age at the latest.";
        return new Forecast(
                own.since(), new Window(notBefore, ideal, cap), own.basis(), own.loading(), List.of(reason));
    }

    /** The forecast of a part that is renewed together with others of its kind: the window of the first. */
    public static Forecast together(Forecast own, Forecast first, String part) {
        return own.window().equals(first.window())
                ? own
                : new Forecast(
                        own.since(),
                        first.window(),
                        own.basis(),
                        own.loading(),
                        List.of("Replaced together with the other " + part + ": "
                                + first.reasons().get(0)));
    }

    private static Forecast learned(CareRule rule, TaskHistory history, LocalDate today) {
        Learning learning = rule.learning();
        if (learning instanceof ByAge age) {
            return PartLives.byAge(rule, age, history);
        }
        if (learning instanceof ByHours lamp) {
            return PartLives.byHours(lamp, history, today);
        }
        if (learning instanceof ByRinses pad) {
            return PartLives.byRinses(rule, pad, history);
        }
        if (learning instanceof ByLength) {
            return PartLives.byLength(rule, history, today);
        }
        if (learning instanceof ByTint) {
            return SpentMedia.carbon(rule, history, today);
        }
        return learning instanceof ByColour
                ? SpentMedia.resin(rule, history, today)
                : graded(Course.replay(rule, history), today, PartLives.wornSince(history));
    }

    private static Forecast graded(Course course, LocalDate today, Optional<Look> worn) {
        return new Forecast(
                course.run().since(),
                course.window(),
                course.findings() == 0 ? Basis.START : Basis.LEARNED,
                Optional.of(course.loadingOn(today)),
                Stream.concat(
                                worn
                                        .map(look -> "Found to crumble on " + Reasons.DAY.format(look.on())
                                                + ": replace part of it, a share at a time.")
                                        .stream(),
                                course.reasons(today).stream())
                        .toList());
    }

    private static Forecast fixed(Fixed fixed, Forecast learned) {
        LocalDate due = learned.since().plusDays(fixed.days());
        long otherwise = java.time.temporal.ChronoUnit.DAYS.between(
                learned.since(), learned.window().ideal());
        String would = otherwise >= Pauses.MOST_DAYS
                ? "It’s off at the moment."
                : learned.basis() == Basis.LEARNED
                        ? "What was found would make it about " + Count.days(otherwise) + "."
                        : "Left to learn it would start at about " + Count.days(otherwise) + ".";
        return new Forecast(
                learned.since(),
                new Window(due, due, due),
                Basis.FIXED,
                learned.loading(),
                List.of(fixed.reason(), would));
    }
}
