package app.chervil.core.procedure;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.tank.Schools;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * Minutes of a service, from what is lifted and worked on; waits apart (docs/sources.md#minutes). Our judgement, from timing by
 * hand: to lay out and to wash up, for each tub, for shutting the water in, for a sealed lid, for each tray.
 */
final class WorkMinutes {
    private static final int PREPARING = 4;
    /** For filters within arm's reach, that need no floor laid out. */
    private static final int PREPARING_A_SMALL_ONE = 2;

    private static final int EACH_TUB = 2;
    private static final int SEALED_LID = 2;
    private static final int EACH_TRAY = 1;
    private static final int CARRYING = 3;
    private static final int FINISHING = 3;
    private static final int ONE_MORE_PIECE = 3;
    private static final Map<Chore, Integer> CHORES =
            Map.of(Chore.ROCK_BLOW_OFF, 10, Chore.SUBSTRATE_VACUUM, 20, Chore.BIO_PART_REPLACED, 20);

    private WorkMinutes() {}

    static int of(Situation situation, Handled hands, Extent extent) {
        int minutes = work(situation);
        for (Chore chore : situation.work().chores()) {
            minutes += CHORES.getOrDefault(chore, 0);
        }
        if (extent.touchesWater()) {
            Turn turn = situation.turn();
            minutes += turn.first()
                    ? preparing(situation.kind()) + EACH_TUB * extent.tubs().count()
                    : 0;
            minutes += turn.last() ? FINISHING : 0;
        }
        boolean shut = situation.build().hangsOnHoses() && (extent.opened() || extent.hosesOff() || extent.bayOpened());
        minutes += shut ? situation.build().water().shutOff().minutes() : 0;
        minutes += extent.opened() && Extent.isCarried(situation.build()) ? CARRYING : 0;
        return minutes
                + (extent.opened() ? SEALED_LID + EACH_TRAY * hands.reach().trays() : 0);
    }

    private static int preparing(FilterKind kind) {
        return switch (kind) {
            case HANG_ON_BACK, INTERNAL, AIR_SPONGE -> PREPARING_A_SMALL_ONE;
            default -> PREPARING;
        };
    }

    /** The first piece of a kind of work takes its time, each further one less, and a pair in one place is one. */
    private static int work(Situation situation) {
        int minutes = 0;
        Map<CareAction, Integer> longest = new HashMap<>();
        Set<Pair> seen = new HashSet<>();
        for (Asked asked : situation.work().tasks()) {
            Optional<PathStage> stage = situation.stageOf(asked);
            int own = own(situation, asked, stage);
            boolean foam = stage.filter(one -> one.kind().isMechanical()).isPresent()
                    && (asked.action() == CareAction.RINSE || asked.action() == CareAction.SQUEEZE);
            if (stage.isPresent() && !seen.add(Pair.of(situation, asked, stage.get()))) {
                continue;
            }
            int before = longest.getOrDefault(asked.action(), 0);
            if (foam && before > 0) {
                minutes += ONE_MORE_PIECE + Math.max(0, own - before);
            } else {
                minutes += own;
            }
            if (foam) {
                longest.put(asked.action(), Math.max(before, own));
            }
        }
        return minutes;
    }

    /** Of the catalogue; an opening's own minutes are those of what it washes. */
    private static int own(Situation situation, Asked asked, Optional<PathStage> stage) {
        Optional<CareRule> rule = stage.isPresent()
                ? CareCatalogue.find(stage.get().stage(), asked.action(), Schools.DEFAULT)
                : CareCatalogue.find(situation.kind(), asked.action(), Schools.DEFAULT);
        return asked.action() == CareAction.OPEN
                ? 0
                : rule.map(one -> one.effort().minutes()).orElse(0);
    }

    /** Work that counts once: the same on two of a kind in one place. */
    private record Pair(CareAction action, StageKind kind, List<Long> where) {
        static Pair of(Situation situation, Asked asked, PathStage stage) {
            boolean bags = stage.kind().isChemical();
            List<Long> where = situation
                    .passport()
                    .placeOf(situation.path().indexOf(stage))
                    .filter(place -> bags)
                    .map(place -> List.of(-1L, place.longValue()))
                    .orElseGet(() -> List.of(stage.id()));
            return new Pair(asked.action(), stage.kind(), where);
        }
    }
}
