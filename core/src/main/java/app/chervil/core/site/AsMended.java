package app.chervil.core.site;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.StageKind;
import app.chervil.core.trouble.Repair;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Stream;

/** Which care task a repair is, on a filter that may have the like of a stage instead of the stage itself. */
final class AsMended {
    private static final Map<StageKind, List<StageKind>> LIKE = Map.of(
            StageKind.COARSE_FOAM, List.of(StageKind.MEDIUM_FOAM, StageKind.CARTRIDGE),
            StageKind.FINE_PAD, List.of(StageKind.FLOSS, StageKind.CARTRIDGE),
            StageKind.SOCK, List.of(StageKind.FLEECE_ROLL),
            StageKind.IMPELLER, List.of(StageKind.RETURN_PUMP),
            StageKind.RETURN_PUMP, List.of(StageKind.IMPELLER),
            StageKind.PHOSPHATE_REMOVER, List.of(StageKind.RESIN));

    /** Work that is done by the same hand on the same part. */
    private static final Map<CareAction, Set<CareAction>> ALIKE = Map.of(
            CareAction.RINSE, Set.of(CareAction.RINSE),
            CareAction.CHANGE, Set.of(CareAction.CHANGE, CareAction.REPLACE, CareAction.REGENERATE),
            CareAction.CLEAN, Set.of(CareAction.CLEAN, CareAction.DESCALE),
            CareAction.DESCALE, Set.of(CareAction.DESCALE, CareAction.CLEAN));

    private AsMended() {}

    /** Kinds of stage it can be done to, the named one first; one empty one for the whole filter. */
    static Stream<Optional<StageKind>> kinds(Repair.Task repair) {
        return repair.stage()
                .map(named -> Stream.concat(Stream.of(named), LIKE.getOrDefault(named, List.of()).stream())
                        .map(Optional::of))
                .orElseGet(() -> Stream.of(Optional.empty()));
    }

    static boolean is(Repair.Task repair, Optional<StageKind> kind, Filter filter, FilterTask task) {
        return ALIKE.getOrDefault(repair.action(), Set.of(repair.action())).contains(task.action())
                && filter.stageOf(task).map(FilterStage::kind).equals(kind);
    }
}
