package app.chervil.server.trial;

import app.chervil.core.trial.Design.Turn;
import app.chervil.core.trial.Verdict;
import app.chervil.core.trial.Way;
import app.chervil.core.water.Production;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/**
 * A trial and what it says so far.
 *
 * @param turns all periods, oldest first, those to come as well
 * @param services days on which the task was done during the trial, oldest first
 * @param now the way that holds today; absent when it is over
 * @param difference other less first; absent while the readings cannot tell the ways apart
 */
public record TrialView(
        UUID id,
        TrialSubject subject,
        State state,
        TrialPlan plan,
        List<Turn> turns,
        List<LocalDate> services,
        @Nullable Way now,
        List<TriedWay> ways,
        Verdict verdict,
        @Nullable Production difference) {

    /** How far it is. */
    public enum State {
        RUNNING,
        DONE,
        STOPPED
    }

    /**
     * What is tried.
     *
     * @param unit of the parameter as stored
     */
    public record TrialSubject(
            long tankId, String tank, long taskId, String task, String parameter, String unit, String startedBy) {}

    /**
     * How it is laid out.
     *
     * @param until the day after its last
     */
    public record TrialPlan(LocalDate began, LocalDate until, int periodDays, int periodsOver) {}

    /**
     * One of the two ways.
     *
     * @param days its interval
     * @param daysLived so far
     * @param times the task was done
     * @param minutesAWeek spent on the task; absent before a first week
     * @param rise of the parameter a week; absent while the readings do not tell
     */
    public record TriedWay(
            Way way,
            int days,
            long daysLived,
            int times,
            @Nullable Double minutesAWeek,
            @Nullable Production rise) {}
}
