package app.chervil.server.trial;

import app.chervil.core.filter.StageKind;
import app.chervil.core.site.Filter;
import app.chervil.core.site.FilterStage;
import app.chervil.core.site.FilterTask;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;
import java.util.stream.Stream;

/** A task with its filter. */
record Placed(Filter filter, FilterTask task) {
    /** Every task of some filters. */
    static Stream<Placed> all(List<Filter> filters) {
        return filters.stream().flatMap(filter -> filter.tasks().stream().map(task -> new Placed(filter, task)));
    }

    /** The same by the id of the task. */
    static Map<Long, Placed> byTask(List<Filter> filters) {
        return all(filters).collect(Collectors.toMap(one -> one.task().id(), Function.identity()));
    }

    /** The kind of stage it is done to; empty for a whole filter. */
    Optional<StageKind> kind() {
        return filter.stageOf(task).map(FilterStage::kind);
    }

    /** Whether the filter runs without what it is done to. */
    boolean canBeLeftOut() {
        return kind().filter(StageKind::canBeLeftOut).isPresent();
    }

    /** Days after a switch to another interval in which the last one still shows: twice the stage's own time. */
    int settles() {
        return kind().map(kind -> switch (kind) {
                    case COARSE_FOAM, MEDIUM_FOAM -> 8;
                    case BIO_MEDIA -> 14;
                    default -> 4;
                })
                .orElse(8);
    }
}
