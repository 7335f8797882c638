package app.chervil.server.filter;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import app.chervil.core.site.TaskMode;
import java.time.LocalDate;
import java.util.List;
import org.jspecify.annotations.Nullable;

/**
 * A stored filter with its water path and care.
 *
 * @param version to send back with a change
 * @param stages in the order water meets them
 * @param tasks of the whole filter first, then by stage
 * @param cleaned when it was last cleaned before anything was logged
 * @param passport how it is built and what sits where, with what is usual wherever nobody said
 * @param placesStated whether its keeper said what sits where
 * @param doubts what a practitioner would ask about it
 */
record FilterView(
        long id,
        long tankId,
        int version,
        String name,
        FilterKind kind,
        @Nullable FlowDirection direction,
        FilterInput.Rating rating,
        @Nullable LocalDate fittedOn,
        List<StageView> stages,
        List<TaskView> tasks,
        Cleaned cleaned,
        PassportInput passport,
        boolean placesStated,
        List<String> doubts) {
    static FilterView of(Filter filter) {
        return new FilterView(
                filter.id(),
                filter.tankId(),
                filter.version(),
                filter.name(),
                filter.kind(),
                filter.build().direction().orElse(null),
                FilterInput.Rating.of(filter.rating()),
                filter.fittedOn().orElse(null),
                filter.stages().stream().map(StageView::of).toList(),
                filter.tasks().stream().map(task -> TaskView.of(filter, task)).toList(),
                Cleaned.of(filter.cleaned()),
                PassportInput.of(filter.passport()),
                filter.passport().stated(),
                filter.doubts().warnings());
    }

    /**
     * A stored stage.
     *
     * @param name what to call it: its label, or its kind
     * @param size what a spare of it must be; may be empty
     */
    record StageView(
            long id,
            StageKind kind,
            String name,
            String label,
            int quantity,
            @Nullable Double massG,
            Stage.Make make,
            boolean bagged,
            @Nullable LocalDate fittedOn,
            String size,
            FilterInput.Lasting lasting) {
        static StageView of(FilterStage stage) {
            return new StageView(
                    stage.id(),
                    stage.kind(),
                    stage.name(),
                    stage.label(),
                    stage.quantity(),
                    Given.orNull(stage.massG()),
                    stage.stage().make(),
                    stage.bagged(),
                    stage.fittedOn().orElse(null),
                    stage.size(),
                    FilterInput.Lasting.of(stage.endurance()));
        }
    }

    /**
     * A care task and what the catalogue says of it.
     *
     * @param stageId absent for a task of the whole filter
     * @param name in a keeper's words
     * @param graded whether a finding is asked for when it is done
     * @param grades what each of the five grades looks like here, clean first; empty where none is asked for
     * @param withOpening whether it is done whenever its canister is opened
     */
    record TaskView(
            long id,
            int version,
            @Nullable Long stageId,
            CareAction action,
            String name,
            TaskMode mode,
            @Nullable Integer fixedDays,
            boolean graded,
            List<String> grades,
            boolean withOpening,
            Catalogue catalogue) {
        static TaskView of(Filter filter, FilterTask task) {
            List<String> grades = filter.stageOf(task)
                    .filter(stage -> task.graded())
                    .map(stage -> GradeWords.of(stage.kind()))
                    .orElse(List.of());
            return new TaskView(
                    task.id(),
                    task.version(),
                    task.stageId().orElse(null),
                    task.action(),
                    task.name(),
                    task.mode(),
                    Given.orNull(task.fixedDays()),
                    task.graded(),
                    grades,
                    task.withOpening(),
                    Catalogue.of(task));
        }
    }

    /**
     * The catalogue's figures for a task.
     *
     * @param cleaned from when care is counted while nothing is logged
     */
    record Catalogue(
            int startDays, int leastDays, int mostDays, int minutes, int disturbance, String why, Cleaned cleaned) {
        static Catalogue of(FilterTask task) {
            CareRule rule = task.rule();
            return new Catalogue(
                    rule.startDays(),
                    rule.bounds().leastDays(),
                    rule.bounds().mostDays(),
                    task.minutes(),
                    task.disturbance(),
                    rule.why(),
                    Cleaned.of(task.cleaned()));
        }
    }
}
