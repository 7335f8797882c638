package app.chervil.core.site;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Doubts;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Reach;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * A filter with its water path and the care it asks for.
 *
 * @param version raised with every change of it
 * @param passport how it is built and what sits where
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
        Passport passport,
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

    public Build build() {
        return passport.build();
    }

    public FilterKind kind() {
        return build().kind();
    }

    /** Kinds of stage in the order water meets them. */
    public List<StageKind> path() {
        return stages.stream().map(FilterStage::kind).toList();
    }

    /** Whether work on a stage alone brings out nothing but pads and bags; known only where its places were told. */
    public boolean isErrand(FilterStage stage) {
        return passport.isErrand(path(), stages.indexOf(stage));
    }

    /** What cannot be in it, and what a practitioner would ask about. */
    public Doubts doubts() {
        return new Doubts(
                passport, path(), stages.stream().map(FilterStage::name).toList());
    }

    /** Whether doing a task brings bio media out of its place. */
    public boolean bringsMediaOut(FilterTask task) {
        List<StageKind> path = path();
        Set<Integer> targets = stageOf(task).map(stages::indexOf).map(Set::of).orElse(Set.of());
        if (task.action() == CareAction.OPEN) {
            return passport.stated()
                    ? passport.reach(path, Passport.washedAtOpening(path)).bioOut()
                    : path.contains(StageKind.BIO_MEDIA);
        }
        Reach reach = passport.reach(path, targets);
        boolean opens = targets.stream().anyMatch(stage -> passport.isInside(stage, path.get(stage)));
        return passport.stated() ? reach.bioOut() : opens && path.contains(StageKind.BIO_MEDIA);
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

    /** Bio media of some filters, stage by stage as water meets them. */
    public static List<FilterStage> bioMedia(List<Filter> filters) {
        return filters.stream()
                .flatMap(filter -> filter.stages().stream())
                .filter(stage -> stage.kind() == StageKind.BIO_MEDIA)
                .toList();
    }
}
