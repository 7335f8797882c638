package app.chervil.server.demo;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Window;
import app.chervil.core.site.Filter;
import app.chervil.core.trial.Design;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/** What is true of one filter of the demo, and how its tasks are to stand on the day it is loaded. */
final class FilterStory {
    final Filter filter;
    final Map<StageKind, Double> overloadDays = new HashMap<>();
    private final Map<Task, Ending> endings = new HashMap<>();
    private final Map<StageKind, LocalDate> since = new HashMap<>();
    private final Map<StageKind, Design> trials = new HashMap<>();
    double flowMeasured = 0.5;
    double cleanLph;

    /** A task by what is done to which stage; none for the filter as a whole. */
    private record Task(CareAction action, @Nullable StageKind stage) {}

    /** How a window stands today. */
    enum Ending {
        /** Nothing is asked for these days. */
        QUIET,
        /** Nothing is asked for, and the interval has come to about 150 days. */
        ABOUT_150_DAYS,
        /** Two days past its latest day. */
        TWO_DAYS_LATE,
        DUE_TODAY,
        DUE_TOMORROW,
        /** Done yesterday, whatever comes of it. */
        DONE_YESTERDAY;

        boolean holds(LocalDate last, Window window, LocalDate today) {
            return switch (this) {
                case ABOUT_150_DAYS ->
                    window.ideal().isAfter(today.plusDays(3))
                            && Math.abs(ChronoUnit.DAYS.between(last, window.ideal()) - 150) <= 4;
                case QUIET -> window.ideal().isAfter(today.plusDays(3));
                case TWO_DAYS_LATE -> window.latest().equals(today.minusDays(2));
                case DUE_TODAY ->
                    window.ideal().equals(today) && !window.latest().isBefore(today);
                case DUE_TOMORROW -> window.ideal().equals(today.plusDays(1));
                case DONE_YESTERDAY -> true;
            };
        }
    }

    FilterStory(Filter filter, double cleanLph) {
        this.filter = filter;
        this.cleanLph = cleanLph;
    }

    /** A stage that would truly be overloaded after so many days of its first months. */
    FilterStory fills(StageKind stage, double days) {
        overloadDays.put(stage, days);
        return this;
    }

    FilterStory ends(CareAction action, @Nullable StageKind stage, Ending ending) {
        endings.put(new Task(action, stage), ending);
        return this;
    }

    /** A stage that came later than its filter. */
    FilterStory since(StageKind stage, LocalDate day) {
        since.put(stage, day);
        return this;
    }

    /** A stage whose intervals were tried in turns. */
    FilterStory tries(StageKind stage, Design design) {
        trials.put(stage, design);
        return this;
    }

    /** The interval that a trial asks for after a service on a day. */
    OptionalInt tried(StageKind stage, LocalDate day) {
        return Stream.ofNullable(trials.get(stage))
                .flatMap(design -> design.wayOn(day).stream()
                        .boxed()
                        .flatMap(way -> design.ways().get(way).days().stream().boxed()))
                .mapToInt(Integer::intValue)
                .findFirst();
    }

    FilterStory measured(double share) {
        flowMeasured = share;
        return this;
    }

    Ending ending(CareAction action, @Nullable StageKind stage) {
        return endings.getOrDefault(new Task(action, stage), Ending.QUIET);
    }

    Optional<LocalDate> came(@Nullable StageKind stage) {
        return Optional.ofNullable(stage == null ? null : since.get(stage));
    }
}
