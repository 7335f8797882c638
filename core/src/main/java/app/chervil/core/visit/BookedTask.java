package app.chervil.core.visit;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.TaskSetting;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A care task as it stands on one filter.
 *
 * @param stage empty for a task of the whole filter
 * @param countFrom the day from which care is counted while nothing is logged
 */
public record BookedTask(long id, Optional<StagePart> stage, LocalDate countFrom, CareRule rule, TaskSetting setting) {
    /**
     * The stage a task belongs to.
     *
     * @param fittedOn when it was last new; empty if nobody knows
     * @param looks between services
     */
    public record StagePart(
            long id, StageKind kind, Optional<LocalDate> fittedOn, Endurance endurance, List<Look> looks) {}

    boolean is(CareAction action) {
        return rule.action() == action;
    }

    boolean isOpening() {
        return stage.isEmpty() && is(CareAction.OPEN);
    }

    boolean stopsDirtInside() {
        return stage.map(part -> part.kind().stopsDirtInside()).orElse(false) && rule.graded();
    }

    /** Whether dirt reaches it only after a pre-filter, if there is one. */
    boolean behindPrefilter() {
        return stage.map(part -> part.kind() != StageKind.STRAINER && part.kind() != StageKind.PREFILTER_SPONGE)
                .orElse(true);
    }

    /** The day its present part began to count: when it was fitted if the task renews it, else the day of entry. */
    LocalDate start() {
        return renews() ? fittedOn().orElse(countFrom) : countFrom;
    }

    boolean ageKnown() {
        return !renews() || fittedOn().isPresent();
    }

    private boolean renews() {
        return is(CareAction.REPLACE) || is(CareAction.CHANGE) || is(CareAction.REGENERATE) || is(CareAction.REBUILD);
    }

    private Optional<LocalDate> fittedOn() {
        return stage.flatMap(StagePart::fittedOn);
    }
}
