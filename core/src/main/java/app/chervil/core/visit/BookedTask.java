package app.chervil.core.visit;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Look;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.TaskSetting;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;

/**
 * A care task as it stands on one filter.
 *
 * @param stage empty for a task of the whole filter
 * @param countFrom from when care is counted while nothing is logged
 */
public record BookedTask(long id, Optional<StagePart> stage, Start countFrom, CareRule rule, TaskSetting setting) {
    /**
     * The stage a task belongs to.
     *
     * @param fittedOn when it was last new; empty if nobody knows
     * @param looks between services
     * @param errand whether work on it alone brings out nothing but pads and bags, so that it is no opening
     */
    public record StagePart(
            long id,
            StageKind kind,
            Optional<LocalDate> fittedOn,
            Endurance endurance,
            List<Look> looks,
            boolean errand) {
        /** A part of which nobody said how it is reached. */
        public StagePart(long id, StageKind kind, Optional<LocalDate> fittedOn, Endurance endurance, List<Look> looks) {
            this(id, kind, fittedOn, endurance, looks, false);
        }
    }

    boolean is(CareAction action) {
        return rule.action() == action;
    }

    boolean isOpening() {
        return stage.isEmpty() && is(CareAction.OPEN);
    }

    /** Whether its fill decides when a canister is opened; a pad within reach is changed on a day of its own. */
    boolean stopsDirtInside() {
        return stage.map(part -> part.kind().stopsDirtInside() && !part.errand())
                        .orElse(false)
                && rule.graded();
    }

    /** Whether dirt reaches it only after a pre-filter, if there is one. */
    boolean behindPrefilter() {
        return stage.map(part -> part.kind() != StageKind.STRAINER && part.kind() != StageKind.PREFILTER_SPONGE)
                .orElse(true);
    }

    /** When its present part began to count: when it was fitted if the task renews it, else when the filter was cleaned. */
    Start start() {
        if (!renews()) {
            return countFrom;
        }
        if (rule.graded()) {
            return refittedOn()
                    .filter(day -> !day.isAfter(countFrom.on()))
                    .map(Start::exact)
                    .orElse(countFrom);
        }
        return refittedOn().map(Start::exact).orElseGet(() -> Start.unknown(countFrom.on()));
    }

    /** The day its stage was last new, if that begins its run anew. */
    Optional<LocalDate> refittedOn() {
        return renews() || rule.graded() ? stage.flatMap(StagePart::fittedOn) : Optional.empty();
    }

    private boolean renews() {
        return is(CareAction.REPLACE) || is(CareAction.CHANGE) || is(CareAction.REGENERATE) || is(CareAction.REBUILD);
    }
}
