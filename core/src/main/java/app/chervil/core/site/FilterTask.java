package app.chervil.core.site;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.interval.Start;
import java.util.Optional;
import java.util.OptionalInt;

/**
 * A care task of a filter.
 *
 * @param stageId empty for a task of the whole filter
 * @param rule what the catalogue says of it
 * @param name in a keeper's words
 * @param fixedDays 1 to 1,825; empty unless it is fixed
 * @param withOpening whether it is done whenever its canister is opened
 * @param cleaned from when care is counted while nothing is logged
 */
public record FilterTask(
        long id,
        int version,
        Optional<Long> stageId,
        CareRule rule,
        String name,
        TaskMode mode,
        OptionalInt fixedDays,
        boolean withOpening,
        Start cleaned) {
    public FilterTask {
        fixedDays.ifPresent(days -> Check.within("fixedDays", days, 1, 1825));
    }

    public CareAction action() {
        return rule.action();
    }

    /** Whether a finding is asked for when it is done. */
    public boolean graded() {
        return rule.graded();
    }

    public int minutes() {
        return rule.effort().minutes();
    }

    /** Of the bacteria where they live in the media, 0 none to 3 severe. */
    public int disturbance() {
        return rule.effort().disturbance();
    }

    /** Whether it cleans a whole filter through and through. */
    public boolean isDeepClean() {
        return action() == CareAction.CLEAN && stageId.isEmpty();
    }

    /** Whether it is done to this stage. */
    public boolean on(FilterStage stage) {
        return stageId.equals(Optional.of(stage.id()));
    }
}
