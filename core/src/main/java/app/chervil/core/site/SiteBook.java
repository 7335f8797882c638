package app.chervil.core.site;

import app.chervil.core.interval.CalibratedEye;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/** A site on a day: an immutable picture from which forecasts, holds, rounds and plans follow, each worked out at most once. */
public final class SiteBook {
    private final Shared shared;
    private final List<TankBook> tanks;
    private final Map<Long, TankBook> byId;
    private final Once<List<TaskForecast>> forecasts = new Once<>(this::foretold);

    /**
     * What holds for all tanks.
     *
     * @param eyes how people grade, by account; those who never tested theirs are left out
     * @param tried what trials say of intervals today, by task
     */
    public record Shared(LocalDate today, Map<Long, CalibratedEye> eyes, Map<Long, Tried> tried) {
        public Shared {
            eyes = Map.copyOf(eyes);
            tried = Map.copyOf(tried);
        }
    }

    /**
     * A site.
     *
     * @param tanks in use, in any order
     */
    public SiteBook(Shared shared, List<TankBook> tanks) {
        this.shared = shared;
        this.tanks = tanks.stream()
                .sorted((one, other) -> Tank.AS_WALKED.compare(one.tank(), other.tank()))
                .toList();
        this.byId = tanks.stream().collect(Collectors.toMap(book -> book.tank().id(), Function.identity()));
    }

    public LocalDate today() {
        return shared.today();
    }

    public Shared shared() {
        return shared;
    }

    /** Tanks in use as they are walked: by room, then by name. */
    public List<TankBook> tanks() {
        return tanks;
    }

    public Optional<TankBook> tank(long id) {
        return Optional.ofNullable(byId.get(id));
    }

    /** Filters in use, as their tanks are walked. */
    public List<CareBook> filters() {
        return tanks.stream().flatMap(tank -> tank.filters().stream()).toList();
    }

    /** Forecasts of every task in use, as tanks are walked. */
    public List<TaskForecast> forecasts() {
        return forecasts.get();
    }

    private List<TaskForecast> foretold() {
        return tanks.stream().flatMap(tank -> tank.forecasts().stream()).toList();
    }

    /** Forecasts of every task in use by its id. */
    public Map<Long, TaskForecast> forecastsByTask() {
        return forecasts().stream().collect(Collectors.toMap(one -> one.task().id(), Function.identity()));
    }
}
