package app.chervil.sim.future;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Course;
import java.time.LocalDate;
import java.util.List;
import java.util.function.Supplier;

/**
 * A tank as it stands today.
 *
 * @param graded tasks that are learned from findings and have a date of their own
 * @param byAge tasks with an interval that nothing moves
 */
public record TankToday(LocalDate on, List<GradedTask> graded, List<AgedTask> byAge, Water water) {
    /**
     * A learned task.
     *
     * @param course what is believed of it, made anew at each call
     * @param since the last service
     * @param behindPrefilter whether a pre-filter would keep dirt from it
     * @param work what one service takes
     */
    public record GradedTask(
            CareRule rule, Supplier<Course> course, LocalDate since, boolean behindPrefilter, Work work) {}

    /** A task every so many days. */
    public record AgedTask(double days, Work work) {
        public AgedTask {
            Check.positive("days", days);
        }
    }

    /**
     * What one service takes.
     *
     * @param minutes of work
     * @param money for parts thrown away
     * @param disturbance of the bacteria where they live, 0 to 3
     */
    public record Work(int minutes, double money, int disturbance) {}

    /**
     * What is known of its water, in mg/L.
     *
     * @param nitrateAWeek that feeding makes
     * @param weeklyChange share of the water, 0 to 1
     */
    public record Water(double nitrateAWeek, double nitrate, double weeklyChange) {
        public Water {
            Check.positive("nitrateAWeek", nitrateAWeek);
            Check.within("weeklyChange", weeklyChange, 0, 1);
        }
    }
}
