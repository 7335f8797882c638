package app.chervil.server.visit;

import app.chervil.core.interval.Forecast;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.server.visit.SavedService.Moved;
import app.chervil.server.visit.SavedService.Span;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** What a change of a tank's log moved. */
final class MovedWindows {
    private MovedWindows() {}

    /**
     * Tasks whose window is another one in the later book, those that were done first.
     *
     * @param done ids of tasks
     */
    static List<Moved> between(Set<Long> done, TankBook before, TankBook after) {
        Map<Long, TaskForecast> was = before.forecasts().stream()
                .collect(Collectors.toMap(one -> one.task().id(), Function.identity()));
        return after.forecasts().stream()
                .flatMap(now -> Stream.ofNullable(was.get(now.task().id()))
                        .filter(old ->
                                !old.forecast().window().equals(now.forecast().window()))
                        .map(old -> moved(old, now)))
                .sorted(Comparator.comparing((Moved moved) -> !done.contains(moved.taskId())))
                .toList();
    }

    private static Moved moved(TaskForecast old, TaskForecast now) {
        return new Moved(
                now.task().id(),
                now.task().name(),
                span(old.forecast()),
                span(now.forecast()),
                now.forecast().reasons());
    }

    private static Span span(Forecast forecast) {
        return new Span(
                forecast.window(),
                forecast.toldDays().isPresent() ? forecast.toldDays().getAsLong() : null);
    }
}
