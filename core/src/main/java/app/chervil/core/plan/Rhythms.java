package app.chervil.core.plan;

import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.plan.Chain.Times;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.OptionalLong;

/** Windows of dates as rhythms of days. */
public final class Rhythms {
    private Rhythms() {}

    /**
     * The rhythm of a task whose next window is known; later ones are taken to be as long.
     *
     * @param rule says how long they are if the next one is not counted from a service, such as that of a lamp of unknown age
     *     or of a filter that nobody cared for in years
     * @param first the date of the plan's day 0
     */
    public static Rhythm of(Forecast next, CareRule rule, LocalDate first) {
        OptionalLong told = next.toldDays();
        boolean usual = told.isPresent()
                && told.getAsLong() >= rule.bounds().leastDays()
                && told.getAsLong() <= Rhythm.LONGEST_GAP;
        int start = rule.startDays();
        Span later = usual ? span(next.since(), next.window()) : new Span(start - start / 5, start, start + start / 5);
        return new Rhythm(span(first, next.window()), later, Times.AGAIN, scale(next, later.ideal()));
    }

    /** Each step of taking a filter on has its week: what comes a week later is late by that, however seldom it is done otherwise. */
    private static int scale(Forecast next, int interval) {
        int week = days(next.window().earliest(), next.window().latest());
        return next.basis() == Basis.TAKEN_ON && week > 0 ? week : interval;
    }

    /** The rhythm of something that is done every so many days. */
    public static Rhythm of(LocalDate since, Window window, LocalDate first) {
        Span gap = span(since, window);
        int days = Math.max(1, Math.min(gap.ideal(), Rhythm.LONGEST_GAP));
        Span later = days == gap.ideal() ? gap : new Span(days, days, days);
        return new Rhythm(span(first, window), later, Times.AGAIN);
    }

    /** The window of something that is done every so many days, with some slack. */
    public static Window every(LocalDate since, int days, int slack) {
        return new Window(since.plusDays(days - slack), since.plusDays(days), since.plusDays(days + slack));
    }

    private static Span span(LocalDate from, Window window) {
        return new Span(days(from, window.earliest()), days(from, window.ideal()), days(from, window.latest()));
    }

    private static int days(LocalDate from, LocalDate to) {
        return Math.toIntExact(ChronoUnit.DAYS.between(from, to));
    }
}
