package app.chervil.server.plan;

import app.chervil.server.interval.CareBook.TaskForecast;
import app.chervil.server.plan.PlanView.CarriedThing;
import app.chervil.server.plan.PlanView.PlanDay;
import app.chervil.server.plan.PlanView.PlannedTask;
import app.chervil.server.plan.PlanView.PlannedVisit;
import java.time.LocalDate;
import java.util.List;
import java.util.Objects;
import java.util.Set;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;

/**
 * The plan in force as the rounds ask it.
 *
 * @param days from today on
 * @param visits by day
 * @param forecasts of every task in use, as tanks are walked
 */
public record PlanDays(List<PlanDay> days, List<PlannedVisit> visits, List<TaskForecast> forecasts) {
    /** Tasks of a day. */
    public Set<Long> tasksOn(LocalDate day) {
        return on(day).flatMap(visit -> visit.tasks().stream())
                .map(PlannedTask::taskId)
                .filter(Objects::nonNull)
                .collect(Collectors.toSet());
    }

    private Stream<PlannedVisit> on(LocalDate day) {
        return visits.stream().filter(visit -> visit.on().equals(day));
    }

    /** How many tanks are visited on a day. */
    public int tanksOn(LocalDate day) {
        return (int) on(day).count();
    }

    /** The next day of a task or a chore by its chain; null if it is not planned. */
    public @Nullable LocalDate next(long chain) {
        return visits.stream()
                .filter(visit -> visit.tasks().stream().anyMatch(task -> task.chain() == chain))
                .map(PlannedVisit::on)
                .findFirst()
                .orElse(null);
    }

    /** Chores of a tank that are planned for a day, or late by then. */
    public List<PlannedTask> choresOn(long tank, LocalDate day) {
        return visits.stream()
                .filter(visit -> visit.tankId() == tank)
                .flatMap(visit -> visit.tasks().stream()
                        .filter(task -> task.chore() != null)
                        .filter(task ->
                                visit.on().equals(day) || task.window().latest().isBefore(day)))
                .toList();
    }

    /** What a tank's chores of a day need. */
    public List<CarriedThing> carryForChores(long tank, LocalDate day) {
        return on(day).filter(visit ->
                        visit.tankId() == tank && visit.tasks().stream().anyMatch(task -> task.chore() != null))
                .flatMap(visit -> visit.carry().stream())
                .filter(CarriedThing::shared)
                .toList();
    }

    /** Who is to visit a tank on a day; null if nobody is. */
    public @Nullable String person(long tank, LocalDate day) {
        return on(day).filter(visit -> visit.tankId() == tank)
                .map(PlannedVisit::person)
                .filter(Objects::nonNull)
                .findFirst()
                .orElse(null);
    }
}
