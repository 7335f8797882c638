package app.chervil.server.procedure;

import app.chervil.core.filter.Material;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.procedure.Caution;
import app.chervil.core.procedure.Step;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.stock.Supply;
import app.chervil.server.procedure.ProcedureView.StepView;
import app.chervil.server.procedure.ProcedureView.Thing;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.OptionalLong;
import org.jspecify.annotations.Nullable;

/** Steps of a procedure as they are told of one filter, with its stages by name and its spares by size. */
final class StepViews {
    private StepViews() {}

    /** A step as it is told. */
    static StepView of(Step step, Filter filter) {
        Optional<FilterStage> stage = stageOf(step, filter);
        return new StepView(
                step.id(),
                step.what().text(),
                step.what().reason(),
                step.care().cautions().stream().map(Caution::words).toList(),
                things(step, filter),
                step.care().timerMinutes().isPresent()
                        ? step.care().timerMinutes().getAsInt()
                        : null,
                captures(step, filter),
                boxed(step.about().task()),
                boxed(step.about().stage()),
                stage.map(FilterStage::name).orElse(null),
                step.effects().stream().sorted().toList(),
                step.drawnLitres() > 0 ? step.drawnLitres() : null,
                grades(step, filter),
                boxed(step.about().place()),
                boxed(step.about().tub()));
    }

    private static Optional<FilterStage> stageOf(Step step, Filter filter) {
        OptionalLong id = step.about().stage();
        return id.isPresent() ? filter.stage(id.getAsLong()) : Optional.empty();
    }

    /** A grade is asked for where the stage is judged by its dirt; a pump or a bag of carbon has none. */
    private static boolean asksGrade(Step step, Filter filter) {
        Optional<Long> stage = Optional.ofNullable(boxed(step.about().stage()));
        return step.captures().equals(Optional.of(Step.Capture.FINDING))
                && filter.tasks().stream()
                        .anyMatch(task -> task.graded() && task.stageId().equals(stage));
    }

    private static @Nullable List<String> grades(Step step, Filter filter) {
        return stageOf(step, filter)
                .filter(one -> asksGrade(step, filter))
                .map(one -> GradeWords.of(one.kind()))
                .orElse(null);
    }

    private static Step.@Nullable Capture captures(Step step, Filter filter) {
        return step.captures()
                .filter(captured -> captured != Step.Capture.FINDING || asksGrade(step, filter))
                .orElse(null);
    }

    /** What to bring for a step; a spare with the size it must have. */
    static List<Thing> things(Step step, Filter filter) {
        String size = stageOf(step, filter).map(FilterStage::size).orElse("");
        return step.care().materials().stream()
                .map(material -> new Thing(Supply.of(material, size).name(), material.use() == Material.Use.SPENT))
                .toList();
    }

    private static @Nullable Integer boxed(OptionalInt value) {
        return value.isPresent() ? value.getAsInt() : null;
    }

    private static @Nullable Long boxed(OptionalLong value) {
        return value.isPresent() ? value.getAsLong() : null;
    }
}
