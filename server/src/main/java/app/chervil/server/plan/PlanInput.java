package app.chervil.server.plan;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.filter.Material;
import app.chervil.core.interval.Window;
import app.chervil.core.plan.Chain;
import app.chervil.core.plan.Hours;
import app.chervil.core.plan.Instance;
import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Instance.Logged;
import app.chervil.core.plan.SetUps;
import app.chervil.core.tank.TankChore;
import app.chervil.core.water.Hold;
import app.chervil.server.interval.CareBook.TaskForecast;
import app.chervil.server.tank.TankView;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.jspecify.annotations.Nullable;

/**
 * All that the plan of a site rests on.
 *
 * @param work by chain id, in the order in which tanks are walked; what waits for a hold without an end is not among it
 * @param waiting what waits for such a hold
 * @param forecasts of every task in use, as tanks are walked
 */
record PlanInput(
        LocalDate today,
        Map<Long, TankView> tanks,
        Map<Long, Work> work,
        List<Work> waiting,
        List<Logged> logged,
        SetUps setUps,
        TimeView time,
        List<TaskForecast> forecasts) {
    /**
     * A task or chore that is planned.
     *
     * @param chain as the planner sees it
     * @param subject what it is
     * @param since the day its window is counted from
     * @param hold that keeps it for now; absent if none does
     */
    record Work(
            Chain chain,
            Subject subject,
            LocalDate since,
            Window window,
            @Nullable Hold hold) {}

    /**
     * What a chain is.
     *
     * @param name in a keeper's words
     * @param filter its filter's name; empty for a chore
     * @param chore absent for a care task
     * @param risk what it means to do it late
     */
    record Subject(
            String name, String filter, @Nullable TankChore chore, List<Material> carry, String risk, boolean graded) {
        /** In the middle of a sentence. */
        String words() {
            String low = FirstLetter.lower(name);
            return filter.isEmpty() || low.contains(filter) ? low : low + " (" + filter + ")";
        }
    }

    /** Chain id of a chore; those of care tasks are the ids of the tasks. */
    static long chainOfChore(long chore) {
        return -chore;
    }

    Work of(long chain) {
        return Objects.requireNonNull(work.get(chain));
    }

    Optional<Work> find(long chain) {
        return Optional.ofNullable(work.get(chain));
    }

    String tankName(long tank) {
        return Objects.requireNonNull(tanks.get(tank)).tank().name();
    }

    /** What the planner is given. */
    Instance instance(int weeks, Before before) {
        int days = 7 * weeks + Instance.BEYOND_DAYS;
        List<Hours.Day> hours = new java.util.ArrayList<>();
        for (int day = 0; day < days; day++) {
            int keeper = 0;
            int helpers = 0;
            for (var person : TimeOperations.on(time, today.plusDays(day))) {
                keeper += person.hands() == Chain.Hands.KEEPER ? person.minutes() : 0;
                helpers += person.hands() == Chain.Hands.KEEPER ? 0 : person.minutes();
            }
            hours.add(new Hours.Day(keeper, helpers));
        }
        return new Instance(
                7 * weeks,
                work.values().stream().map(Work::chain).toList(),
                new Hours(hours),
                setUps,
                new Before(before.fixed(), before.published(), logged));
    }
}
