package app.chervil.core.interval;

import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;

/**
 * What decides how much dirt reaches a filter today.
 *
 * @param prefilters pre-filter sponges before it
 * @param otherFilters running beside it on the same tank
 */
public record Surroundings(Stocking stocking, Feeding feeding, int prefilters, int otherFilters) {
    /**
     * The load on an earlier day: today's, with every later change taken back.
     *
     * @param changes all that reached the filter, in any order
     * @param behindPrefilter whether the stage stands where a pre-filter would protect it
     */
    public StartingLoad on(LocalDate day, List<ContextChange> changes, boolean behindPrefilter) {
        return new StartingLoad(
                earlier(Stocking.values(), stocking, stepsAfter(day, changes, Kind.STOCKING)),
                earlier(Feeding.values(), feeding, stepsAfter(day, changes, Kind.FEEDING)),
                behindPrefilter && prefilters - stepsAfter(day, changes, Kind.PREFILTER) > 0,
                otherFilters - stepsAfter(day, changes, Kind.PARALLEL_FILTER) > 0);
    }

    private static int stepsAfter(LocalDate day, List<ContextChange> changes, Kind kind) {
        return changes.stream()
                .filter(change -> change.kind() == kind && change.on().isAfter(day))
                .mapToInt(ContextChange::steps)
                .sum();
    }

    private static <L> L earlier(L[] scale, L now, int stepsSince) {
        int place = Arrays.asList(scale).indexOf(now) - stepsSince;
        return scale[Math.min(Math.max(place, 0), scale.length - 1)];
    }
}
