package app.chervil.server.plan;

import app.chervil.core.interval.Window;
import app.chervil.core.tank.TankChore;
import app.chervil.core.water.Hold;
import jakarta.validation.constraints.NotNull;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The plan in force.
 *
 * @param weeks shown
 * @param days one for each, in order
 * @param visits by day
 * @param waiting work that a hold without an end keeps out of the plan
 * @param troubles what cannot be had as it should be
 * @param closures stretches on which nobody has time, and what lies around them because of it
 * @param changes how the plan moved lately, latest first
 * @param undo what would be undone; absent if nothing can
 * @param timeAssumed whether people's time is a guess
 * @param improving whether a better plan is being looked for
 */
public record PlanView(
        LocalDate today,
        int weeks,
        List<PlanDay> days,
        List<PlannedVisit> visits,
        List<WaitingWork> waiting,
        List<PlanTrouble> troubles,
        List<PlanClosure> closures,
        List<PlanChange> changes,
        @Nullable String undo,
        boolean timeAssumed,
        boolean improving) {
    /**
     * A day with its minutes.
     *
     * @param minutes planned, set-ups included
     * @param keeperMinutes that keepers have
     * @param helperMinutes that helpers have
     */
    public record PlanDay(LocalDate on, int minutes, int keeperMinutes, int helperMinutes) {}

    /**
     * Work on one tank and day.
     *
     * @param person who is to do it; absent if nobody has time
     */
    public record PlannedVisit(
            UUID id,
            long tankId,
            String tank,
            String room,
            LocalDate on,
            int minutes,
            @Nullable String person,
            List<PlannedTask> tasks,
            List<CarriedThing> carry) {}

    /**
     * One task or chore of a visit.
     *
     * @param chain names it to the plan
     * @param taskId absent for a chore
     * @param window within which it is best done, given the time before
     * @param daysLate past its latest day; zero if it is not
     * @param pinned by a keeper
     * @param spaced whether it disturbs bacteria and must stand apart from other such work
     */
    public record PlannedTask(
            long chain,
            @Nullable Long taskId,
            @Nullable TankChore chore,
            String name,
            String filter,
            int minutes,
            Window window,
            int daysLate,
            boolean pinned,
            boolean spaced) {}

    /** A thing to bring. */
    public record CarriedThing(String thing, int count, boolean shared) {}

    /** Work that waits. */
    public record WaitingWork(long tankId, String tank, String name, String filter, Hold hold) {}

    /**
     * Something that cannot be had.
     *
     * @param risk what it may mean; empty if that is plain
     */
    public record PlanTrouble(Kind kind, LocalDate on, String words, String risk) {
        /** What is wrong. */
        public enum Kind {
            TOO_MUCH,
            TOO_CLOSE,
            APART,
            LATE
        }
    }

    /**
     * Days on which nobody has time, both ends included.
     *
     * @param before work that would fall within and is done before
     * @param after work that would fall within and waits
     */
    public record PlanClosure(
            LocalDate firstDay, LocalDate lastDay, List<ShiftedWork> before, List<ShiftedWork> after) {}

    /** Work off its ideal day. */
    public record ShiftedWork(String tank, String name, LocalDate ideal, LocalDate on) {}

    /**
     * How the plan moved.
     *
     * @param causes why
     */
    public record PlanChange(Instant at, List<String> causes, List<PlanMove> moves) {}

    /**
     * One occurrence that moved.
     *
     * @param from absent if it is new
     * @param to absent if it left the plan
     */
    public record PlanMove(
            String tank,
            String name,
            @Nullable LocalDate from,
            @Nullable LocalDate to) {}

    /** Which occurrence is meant. */
    public record PlanItem(
            long chain, @NotNull(message = "On which day?") LocalDate on) {}

    /**
     * What days would cost for work done together.
     *
     * @param because why it lies where it lies
     * @param best the next best days
     * @param days every day it could be, in order
     */
    public record DayPrices(String because, List<DayPrice> best, List<DayPrice> days) {}

    /**
     * A day's price.
     *
     * @param minutesDearer than the day planned; below zero if cheaper
     * @param breaksRules whether it breaks a rule that the day planned does not
     */
    public record DayPrice(LocalDate on, double minutesDearer, boolean breaksRules, String words) {}
}
