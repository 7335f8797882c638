package app.chervil.core.site;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start;
import app.chervil.core.procedure.Build;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;

/**
 * A filter with its water path and the care it asks for.
 *
 * @param version raised with every change of it
 * @param fittedOn empty if nobody knows
 * @param stages in the order water meets them
 * @param tasks of the whole filter first, then by stage
 * @param cleaned when it was last cleaned before anything was logged
 */
public record Filter(
        long id,
        long tankId,
        int version,
        String name,
        Build build,
        Rating rating,
        Optional<LocalDate> fittedOn,
        List<FilterStage> stages,
        List<FilterTask> tasks,
        Start cleaned) {
    public Filter {
        stages = List.copyOf(stages);
        tasks = List.copyOf(tasks);
    }

    /**
     * What its plate says; each may be unknown.
     *
     * @param flowLph rated flow in L/h
     * @param powerW in watts
     * @param maxHeadM height at which it stops, in metres
     * @param liftM height it has to lift here, in metres
     */
    public record Rating(OptionalDouble flowLph, OptionalDouble powerW, OptionalDouble maxHeadM, OptionalDouble liftM) {
        public static final Rating UNKNOWN = new Rating(
                OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty(), OptionalDouble.empty());
    }

    public FilterKind kind() {
        return build.kind();
    }

    /** Tasks that are not switched off, in order. */
    public List<FilterTask> inUse() {
        return tasks.stream().filter(task -> task.mode() != TaskMode.OFF).toList();
    }

    public Optional<FilterTask> task(long id) {
        return tasks.stream().filter(task -> task.id() == id).findFirst();
    }

    public Optional<FilterStage> stage(long id) {
        return stages.stream().filter(stage -> stage.id() == id).findFirst();
    }

    /** The stage a task is done to; empty for a task of the whole filter. */
    public Optional<FilterStage> stageOf(FilterTask task) {
        return task.stageId().flatMap(this::stage);
    }

    public boolean has(StageKind kind) {
        return stages.stream().anyMatch(stage -> stage.kind() == kind);
    }
}
