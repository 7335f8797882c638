package app.chervil.core.procedure;

import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.tank.Schools;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/** Paths and tasks as the catalogue has them, numbered from 1. */
final class Catalogued {
    private Catalogued() {}

    /** Stages in the order water meets them, each by the name of its kind. */
    static List<PathStage> path(List<Stage> stages) {
        List<PathStage> path = new ArrayList<>();
        stages.forEach(
                stage -> path.add(new PathStage(path.size() + 1L, stage.kind().words(), stage)));
        return path;
    }

    /** Every task of a filter: those of the whole first. */
    static List<Asked> tasks(FilterKind kind, List<PathStage> path) {
        List<Asked> tasks = new ArrayList<>();
        for (CareRule rule : CareCatalogue.forFilter(kind, Schools.DEFAULT)) {
            tasks.add(new Asked(tasks.size() + 1L, rule.action(), Optional.empty()));
        }
        for (PathStage stage : path) {
            for (CareRule rule : CareCatalogue.forStage(stage.stage(), Schools.DEFAULT)) {
                tasks.add(new Asked(tasks.size() + 1L, rule.action(), Optional.of(stage.id())));
            }
        }
        return tasks;
    }
}
