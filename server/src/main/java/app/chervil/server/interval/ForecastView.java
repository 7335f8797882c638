package app.chervil.server.interval;

import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Loading;
import app.chervil.core.interval.Sign;
import app.chervil.core.interval.Window;
import app.chervil.core.water.Hold;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * When a task is next due, and why.
 *
 * @param since the day the present run began
 * @param intervalDays days from there to the ideal day; absent where that is no interval: a first look, or a part found
 *     spent
 * @param loading absent where dirt does not count
 * @param signs what a look between services can tell; empty if none can
 * @param hold why the task is to wait whatever its window says; absent if it need not
 */
record ForecastView(
        Subject subject,
        Window.Standing standing,
        Window window,
        LocalDate since,
        @Nullable Long intervalDays,
        Forecast.Basis basis,
        @Nullable Loading loading,
        List<String> reasons,
        List<SignView> signs,
        @Nullable Hold hold) {
    /** A sign in the words of its stage. */
    record SignView(Sign sign, String words, Sign.Unit unit) {}

    /**
     * What the forecast is about.
     *
     * @param stageId absent for a task of the whole filter
     */
    record Subject(long tankId, long filterId, @Nullable Long stageId, long taskId, String name) {}
}
