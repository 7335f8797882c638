package app.chervil.server.trial;

import app.chervil.core.site.FilterTask;
import app.chervil.core.trial.Design;
import app.chervil.core.trial.Verdict;
import app.chervil.core.trial.Way;
import app.chervil.core.water.Production;
import app.chervil.server.trial.TrialMapper.TrialRow;
import app.chervil.server.trial.TrialView.State;
import app.chervil.server.trial.TrialView.TrialSubject;
import app.chervil.server.trial.TrialView.TriedWay;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Arrays;
import java.util.List;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * A trial with what was done and read during it.
 *
 * @param services days on which its task was done, oldest first
 */
record TrialTold(TrialRow row, List<LocalDate> services, Optional<Production.Compared> compared, LocalDate today) {
    private static final double DAYS_A_WEEK = 7;

    TrialView view(String tank, FilterTask task) {
        Design design = row.design();
        return new TrialView(
                row.id(),
                new TrialSubject(
                        row.tankId(),
                        tank,
                        row.taskId(),
                        task.name(),
                        row.parameter().label(),
                        row.parameter().unit(),
                        row.startedBy()),
                state(),
                new TrialView.TrialPlan(design.began(), row.until(), design.periodDays(), over(design)),
                design.all(),
                services,
                row.runsOn(today) ? design.wayOn(today).orElse(null) : null,
                Arrays.stream(Way.values())
                        .map(way -> way(way, design, task.minutes()))
                        .toList(),
                Verdict.of(compared),
                compared.map(Production.Compared::difference).orElse(null));
    }

    private State state() {
        if (row.runsOn(today)) {
            return State.RUNNING;
        }
        return row.until().isBefore(row.design().ends()) ? State.STOPPED : State.DONE;
    }

    private int over(Design design) {
        return (int) design.all().stream()
                .filter(period -> !period.until().isAfter(row.lived(today)))
                .count();
    }

    private TriedWay way(Way way, Design design, int minutesEach) {
        long days = design.all().stream()
                .filter(period -> period.way() == way)
                .mapToLong(period -> Math.max(
                        0,
                        ChronoUnit.DAYS.between(
                                period.from(),
                                period.until().isBefore(row.lived(today)) ? period.until() : row.lived(today))))
                .sum();
        int times = (int) services.stream()
                .filter(day -> design.wayOn(day).equals(Optional.of(way)))
                .count();
        @Nullable Double minutes = days < DAYS_A_WEEK ? null : minutesEach * times * DAYS_A_WEEK / days;
        return new TriedWay(
                way,
                design.days(way),
                days,
                times,
                minutes,
                compared.map(both -> way == Way.FIRST ? both.first() : both.other())
                        .orElse(null));
    }
}
