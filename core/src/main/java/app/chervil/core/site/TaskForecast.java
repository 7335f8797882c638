package app.chervil.core.site;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Sign;
import app.chervil.core.visit.Errand;
import app.chervil.core.visit.Errand.Reach;
import java.time.temporal.ChronoUnit;
import java.util.List;

/**
 * A task in use with its forecast.
 *
 * @param disturbs whether it disturbs the tank's bacteria, and so waits while the tank is on hold
 */
public record TaskForecast(Filter filter, FilterTask task, Forecast forecast, boolean disturbs) {
    private static final long NEGLECTED = 2;

    public CareRule rule() {
        return task.rule();
    }

    /**
     * Days from one time to the next at present; the catalogue's for a part that is due before its time or long after it,
     * or whose filter is only being taken on.
     */
    public long intervalDays() {
        if (forecast.basis() == Forecast.Basis.TAKEN_ON) {
            return rule().startDays();
        }
        long days = Math.max(
                1, ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal()));
        boolean fixed = forecast.basis() == Forecast.Basis.FIXED;
        boolean early = days < rule().bounds().leastDays() && !fixed;
        boolean neglected = days > NEGLECTED * rule().bounds().mostDays() && !fixed;
        return early || neglected ? rule().startDays() : days;
    }

    /** How the task is reached. */
    public Reach reach() {
        if (filter.kind() != FilterKind.CANISTER) {
            return Reach.FREE;
        }
        if (task.action() == CareAction.OPEN) {
            return Reach.OPENING;
        }
        boolean inside = filter.stageOf(task)
                .filter(stage -> stage.kind().insideCanister() && !filter.isErrand(stage))
                .isPresent();
        return inside ? Reach.INSIDE : Reach.FREE;
    }

    /** Signs by which its stage can be looked at between services. */
    public List<Sign> signs() {
        return filter.stageOf(task)
                .map(stage -> Sign.of(stage.kind(), task.action()))
                .orElse(List.of());
    }

    /** The task as the rounds walk to it. */
    public Errand errand() {
        return new Errand(new Errand.Place(filter.tankId(), filter.id(), task.id()), rule(), reach(), forecast);
    }
}
