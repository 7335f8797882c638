package app.chervil.core.interval;

import static app.chervil.core.calc.Count.days;
import static app.chervil.core.interval.Reasons.DAY;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.CareRule.Bounds;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.LampOutput;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.Learning.ByHours;
import app.chervil.core.filter.Learning.ByRinses;
import app.chervil.core.interval.Forecast.Basis;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Locale;
import java.util.Optional;

/** When parts are due that are not graded: by age, lit hours, metres, rinses. docs/sources.md#other-lives. */
final class PartLives {
    private static final double USUAL_LIT_HOURS = 24;
    /** A lamp that is hardly lit is looked at after three years all the same. */
    private static final double MOST_LAMP_DAYS = 3 * 365;

    private static final int GREEN_WATER_DAYS = 30;
    private static final double ROLL_KEPT = 0.1;

    private PartLives() {}

    /** By age; a look that finds it worn out makes its replacement due, whatever its age. */
    static Forecast byAge(CareRule rule, ByAge age, TaskHistory history) {
        return rule.action() == CareAction.REPLACE
                ? wornOut(history).orElseGet(() -> unworn(rule, age, history))
                : unworn(rule, age, history);
    }

    private static Forecast unworn(CareRule rule, ByAge age, TaskHistory history) {
        LocalDate since = history.since();
        double ideal = Math.min(rule.startDays(), age.ceilingDays());
        Window.Days days = new Window.Days(
                age.earliest() * ideal, ideal, Math.max(ideal, Math.min(age.latest() * ideal, age.ceilingDays())));
        String counted = history.ageKnown() ? "" : " Age unknown: counted from the day it was entered.";
        return of(
                since,
                Window.after(since, days),
                Basis.AGE,
                "By age, every " + days(rule.startDays()) + ": " + FirstLetter.lower(rule.why()) + counted);
    }

    /**
     * A lamp by its lit hours: the window at 0.85, 0.95 and 1.05 of the rated hours; a start counts two hours. Relative
     * output O(h) = 1 − 0.08 (1 − e^(−h ÷ 300)) − slope · h, with O(rated) = 0.70.
     */
    static Forecast byHours(ByHours lamp, TaskHistory history, LocalDate today) {
        LocalDate since = history.since();
        Optional<Look> dark = history.evidence().firstAfter(history.ageKnown() ? since : since.minusDays(1), Sign.DARK);
        if (dark.isPresent()) {
            return due(
                    history,
                    dark.get().on(),
                    "Found dark on " + DAY.format(dark.get().on()) + ".");
        }
        if (!history.ageKnown()) {
            return due(history, since, "Its age is unknown, so it counts as spent.");
        }
        Lit lit = Lit.of(lamp, history, today);
        Window window = lit.window(since);
        Optional<Look> green = history.evidence().firstAfter(since, Sign.GREEN_WATER);
        if (green.isPresent() && green.get().on().plusDays(GREEN_WATER_DAYS).isBefore(window.ideal())) {
            LocalDate by = green.get().on().plusDays(GREEN_WATER_DAYS);
            return of(
                    since,
                    new Window(green.get().on(), by, by),
                    Basis.AGE,
                    "Green water on " + DAY.format(green.get().on()) + " brings it forward: within "
                            + days(GREEN_WATER_DAYS) + ".",
                    lit.words(today));
        }
        return of(since, window, Basis.AGE, lit.words(today), "A glow that is still seen is not its germicidal light.");
    }

    /**
     * How a lamp has burnt.
     *
     * @param from the day since which hours are reckoned, of its last count if there is one
     * @param aged hours until then, its starts among them
     * @param aDay hours since then, its starts among them
     */
    private record Lit(
            double rated, LocalDate from, double aged, double aDay, Pauses standing, Optional<LampCount> count) {
        static Lit of(ByHours lamp, TaskHistory history, LocalDate today) {
            LocalDate since = history.since();
            Endurance endurance = history.evidence().endurance();
            double guess = endurance.litHoursADay().orElse(USUAL_LIT_HOURS);
            double starts = LampOutput.HOURS_A_START * endurance.startsADay().orElse(0);
            Optional<LampCount> count = LampCount.of(history.evidence().looks(), since, today, guess);
            double aged = count.map(one -> one.hours() + starts * (double) ChronoUnit.DAYS.between(since, one.on()))
                    .orElse(0.0);
            return new Lit(
                    endurance.ratedHours().orElse(lamp.ratedHours()),
                    count.map(LampCount::on).orElse(since),
                    aged,
                    Math.max(0.1, count.map(one -> one.aDay(guess)).orElse(guess) + starts),
                    history.pauses().standing(),
                    count);
        }

        Window window(LocalDate since) {
            double life = Math.min(rated, MOST_LAMP_DAYS * aDay / 0.95);
            return new Window(
                    spentOn(standing, since, from, (0.85 * life - aged) / aDay),
                    spentOn(standing, since, from, (0.95 * life - aged) / aDay),
                    spentOn(standing, since, from, (1.05 * life - aged) / aDay));
        }

        String words(LocalDate today) {
            double hours = aged + aDay * standing.useDays(from, today);
            String counted = count.map(read -> String.format(
                            Locale.ENGLISH,
                            "Its counter read %,d h on %s. ",
                            Math.round(read.counter()),
                            DAY.format(read.on())))
                    .orElse("");
            return counted
                    + String.format(
                            Locale.ENGLISH,
                            "About %,d of %,d lit hours, %s a day with its starts; it gives about %d %% of its first light.",
                            Math.round(hours),
                            Math.round(rated),
                            hours(aDay),
                            Math.round(100 * LampOutput.after(hours, rated)));
        }
    }

    /** The day so many days of burning after another, or before it; after that on which the lamp was new. */
    private static LocalDate spentOn(Pauses standing, LocalDate since, LocalDate from, double days) {
        LocalDate spent = days >= 0
                ? from.plusDays(Math.round(standing.calendarDays(from, days)))
                : from.minusDays(Math.round(Math.min(-days, (double) ChronoUnit.DAYS.between(since, from))));
        return spent.isAfter(since) ? spent : since.plusDays(1);
    }

    /** A roll by the metres left, at the pace since it was new; due when a tenth of it is left, at the latest empty. */
    static Forecast byLength(CareRule rule, TaskHistory history, LocalDate today) {
        LocalDate since = history.since();
        Optional<Look> last = history.evidence().between(since, today).stream()
                .filter(look -> look.sign() == Sign.LEFT)
                .reduce((earlier, later) -> later);
        if (last.isEmpty() || history.evidence().endurance().rollMetres().isEmpty()) {
            String missing = history.evidence().endurance().rollMetres().isEmpty()
                    ? "We don’t know how long a new roll is; "
                    : "Nobody has checked how much is left; ";
            return within(
                    rule,
                    since,
                    rule.startDays(),
                    rule.startDays() * 1.2,
                    missing + "counted as " + days(rule.startDays()) + ".");
        }
        double full = history.evidence().endurance().rollMetres().getAsDouble();
        long ran = Math.max(1, ChronoUnit.DAYS.between(since, last.get().on()));
        double pace = (full - last.get().amount()) / ran;
        if (!(pace > 0)) {
            return within(
                    rule, since, rule.bounds().mostDays(), rule.bounds().mostDays(), "None of it has been used yet.");
        }
        return within(
                rule,
                since,
                full * (1 - ROLL_KEPT) / pace,
                full / pace,
                Math.round(100 * last.get().amount() / full) + " % of it was left on "
                        + DAY.format(last.get().on()) + "; at its pace a whole one lasts about "
                        + days(Math.round(full / pace)) + ".");
    }

    /** A washable pad after so many rinses, at the pace of its rinses so far. */
    static Forecast byRinses(CareRule rule, ByRinses pad, TaskHistory history) {
        return wornOut(history).orElseGet(() -> unworn(rule, pad, history));
    }

    private static Forecast unworn(CareRule rule, ByRinses pad, TaskHistory history) {
        LocalDate since = history.since();
        int bears = history.evidence().endurance().rinses().orElse(pad.rinses());
        List<LocalDate> rinsed = history.evidence().rinses().stream()
                .filter(day -> day.isAfter(since))
                .toList();
        int count = rinsed.size();
        double each = count == 0
                ? (double) rule.startDays() / pad.rinses()
                : (double) ChronoUnit.DAYS.between(since, rinsed.get(count - 1)) / count;
        double ideal = Math.max(count >= bears ? 1 : each, each * bears);
        return within(
                rule,
                since,
                ideal,
                ideal * 1.2,
                count == 0
                        ? "Not rinsed yet; it bears about " + bears + " rinses."
                        : "Rinsed " + count + " of " + bears + " times, about every "
                                + days(Math.max(1, Math.round(each))) + ".");
    }

    private static Optional<Forecast> wornOut(TaskHistory history) {
        return wornSince(history)
                .map(worn -> due(history, worn.on(), "Found worn out on " + DAY.format(worn.on()) + ": replace it."));
    }

    /** The look since the last service that found it worn out, unless a later one found it sound. */
    static Optional<Look> wornSince(TaskHistory history) {
        LocalDate since = history.since();
        return history.evidence()
                .firstAfter(history.anew() ? since : since.minusDays(1), Sign.WORN)
                .filter(worn ->
                        history.evidence().firstAfter(worn.on(), Sign.SOUND).isEmpty());
    }

    private static Forecast within(CareRule rule, LocalDate since, double ideal, double latest, String reason) {
        Bounds bounds = rule.bounds();
        double held = Math.min(Math.max(ideal, bounds.leastDays()), bounds.mostDays());
        double last = Math.min(Math.max(latest, held), Math.max(held, bounds.mostDays()));
        return of(since, Window.after(since, new Window.Days(0.75 * held, held, last)), Basis.AGE, reason);
    }

    private static Forecast due(TaskHistory history, LocalDate on, String reason) {
        return of(history.since(), new Window(on, on, on), Basis.AGE, reason);
    }

    private static Forecast of(LocalDate since, Window window, Basis basis, String... reasons) {
        return new Forecast(since, window, basis, Optional.empty(), List.of(reasons));
    }

    private static String hours(double aDay) {
        return aDay == Math.rint(aDay) ? Math.round(aDay) + " h" : String.format(Locale.ENGLISH, "%.1f h", aDay);
    }
}
