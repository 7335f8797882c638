package app.chervil.server.filter;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.TaskName;
import app.chervil.core.interval.GradeWords;
import app.chervil.core.tank.Schools;
import app.chervil.server.filter.FilterView.Catalogue;
import app.chervil.server.filter.FilterView.StageView;
import app.chervil.server.filter.FilterView.TaskView;
import java.util.List;
import java.util.Optional;

/** Rows joined with the catalogue into what a caller sees. */
final class FilterViews {
    private FilterViews() {}

    static FilterView of(FilterRow row, List<StageRow> stages, List<TaskRow> tasks, Schools schools) {
        List<TaskView> views = tasks.stream()
                .flatMap(task -> task(row, stages, task, schools).stream())
                .toList();
        return new FilterView(
                row.id(),
                row.tankId(),
                row.version(),
                row.name(),
                row.kind(),
                row.direction(),
                row.rating(),
                row.fittedOn(),
                stages.stream().map(FilterViews::stage).toList(),
                views,
                new Cleaned(row.careFrom(), row.careSureness()),
                row.build().valves(),
                row.build().fill());
    }

    private static StageView stage(StageRow row) {
        return new StageView(
                row.id(),
                row.kind(),
                row.label().isBlank() ? row.kind().words() : row.label(),
                row.label(),
                row.quantity(),
                row.massG(),
                row.make(),
                row.bagged(),
                row.fittedOn(),
                row.size(),
                row.lasting());
    }

    /** Empty for a task that the stage no longer brings, as when a pad became disposable. */
    private static Optional<TaskView> task(FilterRow filter, List<StageRow> stages, TaskRow task, Schools schools) {
        if (task.stageId() == null) {
            return CareCatalogue.find(filter.kind(), task.action(), schools)
                    .map(rule -> view(
                            task, TaskName.of(task.action(), filter.kind(), filter.name()), List.of(), false, rule));
        }
        return stages.stream()
                .filter(stage -> stage.id() == task.stageId())
                .findFirst()
                .flatMap(stage -> CareCatalogue.find(stage.toInput().toCore(), task.action(), schools)
                        .map(rule -> view(
                                task,
                                TaskName.of(task.action(), stage.kind()),
                                rule.graded() ? GradeWords.of(stage.kind()) : List.of(),
                                CareCatalogue.goesWithOpening(filter.kind(), stage.kind(), task.action()),
                                rule)));
    }

    private static TaskView view(TaskRow task, String name, List<String> grades, boolean withOpening, CareRule rule) {
        Catalogue catalogue = new Catalogue(
                rule.startDays(),
                rule.bounds().leastDays(),
                rule.bounds().mostDays(),
                rule.effort().minutes(),
                rule.effort().disturbance(),
                rule.why(),
                new Cleaned(task.careFrom(), task.careSureness()));
        return new TaskView(
                task.id(),
                task.version(),
                task.stageId(),
                task.action(),
                name,
                task.mode(),
                task.fixedDays(),
                rule.graded(),
                grades,
                withOpening,
                catalogue);
    }
}
