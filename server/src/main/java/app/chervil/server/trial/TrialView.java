package app.chervil.server.trial;

import app.chervil.core.trial.Design.Turn;
import app.chervil.core.trial.Held;
import app.chervil.core.trial.Verdict;
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
 * @param now place of the way that holds today; absent when it is over
 * @param pairs each way against each before it; empty while the readings cannot tell
 * @param knee place of the way that is worth its work; absent while that cannot be said
 * @param outlook what more readings would tell; absent before there is anything to go by
 * @param adopted place of the way that was chosen; absent if none was
 * @param together what it tells with the trials begun with it; absent where it stands alone
 * @param watched what was read beside it, without a verdict
 * @param changes what else changed in the tank meanwhile, oldest first
 * @param readBy the day by which the parameter is to be read next; absent when it is over
 */
public record TrialView(
        UUID id,
        TrialSubject subject,
        State state,
        TrialPlan plan,
        List<Turn> turns,
        List<LocalDate> services,
        @Nullable Integer now,
        List<TriedWay> ways,
        Verdict verdict,
        List<ComparedWays> pairs,
        @Nullable Integer knee,
        @Nullable TrialOutlook outlook,
        @Nullable Integer adopted,
        @Nullable TrialTogether together,
        List<WatchedParameter> watched,
        List<TrialChange> changes,
        @Nullable LocalDate readBy) {

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
     * @param oneEach whether the tank keeps one way until the tanks swap theirs
     * @param maySwap whether they can do so now
     */
    public record TrialPlan(
            LocalDate began, LocalDate until, int periodDays, int periodsOver, boolean oneEach, boolean maySwap) {}

    /**
     * Something read beside what is judged.
     *
     * @param unit of the parameter as stored
     * @param byWay in the order of the ways
     */
    public record WatchedParameter(String parameter, String unit, List<WatchedUnder> byWay) {}

    /**
     * What was seen of it under one way.
     *
     * @param rise a week; absent where it is held rather than made, or while the readings do not tell
     * @param held where it stood; absent where it is made, or nothing was read
     */
    public record WatchedUnder(
            @Nullable Production rise, @Nullable Held held) {}

    /**
     * Something else that changed.
     *
     * @param id absent for what follows from an edit of the tank
     * @param allowedFor whether the comparison takes out what it did
     */
    public record TrialChange(@Nullable UUID id, LocalDate onDay, String words, boolean allowedFor) {}

    /**
     * One of the ways.
     *
     * @param days its interval; absent where the thing is left out
     * @param daysLived so far
     * @param times the task was done
     * @param readings of the parameter while it was kept
     * @param minutesAWeek spent on the task; absent before a first week
     * @param costAWeek of what it used up, in the site's currency; absent likewise, or where a price is missing
     * @param rise of the parameter a week; absent while the readings do not tell
     */
    public record TriedWay(
            @Nullable Integer days,
            long daysLived,
            int times,
            int readings,
            @Nullable Double minutesAWeek,
            @Nullable Double costAWeek,
            @Nullable Production rise) {}

    /**
     * Two ways against each other.
     *
     * @param difference a week's rise under {@code way} less that under {@code less}
     * @param percent the same in percent of {@code less}; absent where that may be nothing
     * @param apart whether it is more than chance would usually make
     */
    public record ComparedWays(
            int way,
            int less,
            Production difference,
            @Nullable Production percent,
            boolean apart) {}

    /**
     * Trials of the same ways on several tanks.
     *
     * @param id of all of them together
     * @param tanks that tell something by now
     * @param pairs pooled; empty until two tanks tell something
     * @param knee place of the way that is worth its work in all of them
     */
    public record TrialTogether(
            UUID id,
            int tanks,
            List<ComparedWays> pairs,
            @Nullable Integer knee) {}

    /**
     * Whether it is worth going on.
     *
     * @param readings so far
     * @param wantedPercent the difference that matters, in percent of the first way's rise
     * @param readingsWanted in all, to tell that difference in four of five cases
     * @param enoughOn when that many are there at this pace; absent if they are, or if there is no pace
     * @param nothingLeft whether no difference of that size can be left to find
     */
    public record TrialOutlook(
            int readings,
            int wantedPercent,
            int readingsWanted,
            @Nullable LocalDate enoughOn,
            boolean nothingLeft) {}

    /**
     * What a trial could tell before it begins, if reading goes on as in the weeks that went by.
     *
     * @param readings in as many weeks as the trial would take, until today
     * @param wantedPercent the difference that matters, in percent of the present rise
     * @param smallestPercent the difference that would be told in four of five cases; absent if the readings tell nothing yet
     * @param weeksWanted how many weeks would tell the one that matters; absent likewise
     * @param enough whether the trial as planned would
     */
    public record TrialForethought(
            int readings,
            int wantedPercent,
            @Nullable Integer smallestPercent,
            @Nullable Integer weeksWanted,
            boolean enough) {}
}
