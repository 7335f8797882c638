package app.chervil.server.filter;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.TaskName;
import app.chervil.core.passport.Passport;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import app.chervil.core.tank.Schools;
import java.util.List;
import java.util.Optional;

/** Stored rows joined with the catalogue. */
final class FilterRows {
    private FilterRows() {}

    static Filter filter(FilterRow row, Schools schools) {
        List<FilterStage> stages = row.stages().stream().map(StageRow::stage).toList();
        Passport passport = row.known(stages);
        return new Filter(
                row.id(),
                row.tankId(),
                row.version(),
                row.name(),
                passport,
                row.rating(),
                Optional.ofNullable(row.fittedOn()),
                stages,
                row.tasks().stream()
                        .flatMap(task -> task(row, passport, stages, task, schools).stream())
                        .toList(),
                new Cleaned(row.careFrom(), row.careSureness()).start());
    }

    /** Empty for a task that the stage no longer brings, as when a pad became disposable. */
    private static Optional<FilterTask> task(
            FilterRow filter, Passport passport, List<FilterStage> stages, TaskRow task, Schools schools) {
        if (task.stageId() == null) {
            return CareCatalogue.find(filter.kind(), task.action(), schools)
                    .map(rule -> task(task, rule, TaskName.of(task.action(), filter.kind(), filter.name()), false));
        }
        return stages.stream()
                .filter(stage -> stage.id() == task.stageId())
                .findFirst()
                .flatMap(stage -> CareCatalogue.find(stage.stage(), task.action(), schools)
                        .map(rule -> task(
                                task,
                                rule,
                                TaskName.of(task.action(), stage.kind()),
                                goesWithOpening(filter, passport, stages, stage, task))));
    }

    /** What is reached by a short errand has a day of its own; else it is done whenever its canister is opened. */
    private static boolean goesWithOpening(
            FilterRow filter, Passport passport, List<FilterStage> stages, FilterStage stage, TaskRow task) {
        List<StageKind> path = stages.stream().map(FilterStage::kind).toList();
        return CareCatalogue.goesWithOpening(filter.kind(), stage.kind(), task.action())
                && !passport.isErrand(path, stages.indexOf(stage));
    }

    private static FilterTask task(TaskRow row, CareRule rule, String name, boolean withOpening) {
        return new FilterTask(
                row.id(),
                row.version(),
                Optional.ofNullable(row.stageId()),
                rule,
                name,
                row.mode(),
                Given.count(row.fixedDays()),
                withOpening,
                new Cleaned(row.careFrom(), row.careSureness()).start());
    }
}
