package app.chervil.server.interval;

import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Overload;
import app.chervil.core.interval.Window;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * How the belief about a task came to be.
 *
 * @param stage what is told of; absent for a whole filter
 * @param fixed whether the keeper or the maker's calendar set the interval, so that the story only runs beside it
 * @param chapters oldest first; empty if the task is not learned from findings
 */
public record StoryView(
        ForecastView forecast, String filterName, @Nullable String stage, boolean fixed, List<ChapterView> chapters) {

    /** What a chapter is about. */
    public enum Event {
        START,
        SERVICE,
        CHANGE
    }

    /**
     * One event and what was believed after it.
     *
     * @param finding absent where nobody looked
     * @param seen what that grade looks like on this stage; absent likewise and for a whole filter
     * @param flowPercent of clean flow before the service; absent if not measured
     * @param ranDays days since the service before; absent for a change and the start
     * @param plannedDays ideal days that had been planned for that run; absent likewise
     * @param since the service the window counts from
     * @param idealDays days from there to the ideal day
     * @param overload days from there to an overload
     */
    public record ChapterView(
            LocalDate on,
            Event event,
            String title,
            @Nullable Finding finding,
            @Nullable String seen,
            @Nullable Double flowPercent,
            @Nullable Long ranDays,
            @Nullable Long plannedDays,
            LocalDate since,
            long idealDays,
            long earliestDays,
            long latestDays,
            Window window,
            Overload overload,
            List<String> reasons) {}
}
