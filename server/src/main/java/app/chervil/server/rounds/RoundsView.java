package app.chervil.server.rounds;

import app.chervil.core.interval.Window;
import app.chervil.core.tank.TankChore;
import app.chervil.core.visit.Errand;
import app.chervil.core.visit.Rounds;
import app.chervil.core.water.Hold;
import app.chervil.server.visit.SavedService.AskedQuestion;
import app.chervil.server.water.WatchOperations.DueReading;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * The rounds of a day.
 *
 * @param tanks how many tanks the site has, due or not
 * @param visits by room and tank; what is planned today, and what is due or late though planned for another day
 * @param held tanks on hold
 * @param readings asked for today
 * @param questions left open by earlier services, each asked until it is answered
 * @param looks that finished work asks for, due by the end of today
 * @param week the seven days after today
 */
public record RoundsView(
        LocalDate today,
        int tanks,
        List<VisitView> visits,
        List<HeldView> held,
        List<DueView> readings,
        List<OpenQuestion> questions,
        List<LookAgain> looks,
        List<WeekDay> week) {
    /** A look that finished work asks for. */
    public record LookAgain(UUID id, TankBrief tank, String words, Instant dueAt) {}

    /** A question about an earlier service. */
    public record OpenQuestion(UUID serviceId, AskedQuestion question) {}

    /**
     * A coming day as planned.
     *
     * @param tanks how many tanks are visited
     */
    public record WeekDay(LocalDate on, int minutes, int tanks) {}

    /**
     * A tank whose bacteria are to be left alone.
     *
     * @param work tasks that wait for it, by name
     */
    public record HeldView(TankBrief tank, List<Hold> holds, List<String> work) {}

    /** Readings that a watch asks for today on one tank. */
    public record DueView(TankBrief tank, List<DueReading> readings) {}

    /**
     * The work on one tank, most pressing first.
     *
     * @param plannedOn the first day on which the plan has any of it; absent if it has none
     * @param chores of the tank itself that are planned today or late
     */
    public record VisitView(
            TankBrief tank,
            @Nullable LocalDate plannedOn,
            @Nullable String person,
            List<ChoreErrand> chores,
            Window.Standing standing,
            Rounds.Effort effort,
            List<ErrandView> errands,
            List<CarryView> carry) {}

    /** A tank by name and room. */
    public record TankBrief(long id, String name, String room) {}

    /** A filter by name. */
    public record FilterBrief(long id, String name) {}

    /** A chore. */
    public record ChoreErrand(
            TankChore kind, String name, int minutes, Window.Standing standing, Window window, LocalDate plannedOn) {}

    /**
     * One task.
     *
     * @param plannedOn absent if it goes with another or waits
     */
    public record ErrandView(
            long taskId,
            @Nullable LocalDate plannedOn,
            FilterBrief filter,
            String name,
            Errand.Reach reach,
            Window.Standing standing,
            Window window,
            List<String> reasons) {}

    /**
     * A thing to bring.
     *
     * @param shared one serves all tanks
     */
    public record CarryView(String thing, int count, boolean shared) {}
}
