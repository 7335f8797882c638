package app.chervil.core.procedure;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.ArrayList;
import java.util.Collections;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What a hand has to lift to reach what is asked for. A canister is opened from above: the top tray comes out first and the
 * bottom last, whichever way the water runs; what lies below the deepest part asked for stays under water in its place.
 *
 * @param handOrder every stage, in the order a hand takes it out
 * @param lifted stages that come out, asked for or in the way
 * @param emptied whether nothing that was inside stays in
 */
record Reach(List<PathStage> handOrder, Set<Long> lifted, boolean emptied) {
    static Reach of(Situation situation) {
        List<PathStage> order = handOrder(situation);
        Set<Long> asked = asked(situation);
        if (situation.build().is(FilterKind.INTERNAL) && !asked.isEmpty()) {
            order.stream().filter(stage -> stage.kind() == StageKind.BIO_MEDIA).forEach(stage -> asked.add(stage.id()));
        }
        if (!situation.build().is(FilterKind.CANISTER)) {
            return new Reach(order, asked, false);
        }
        List<PathStage> content = order.stream().filter(Reach::isContent).toList();
        int deepest = -1;
        for (int place = 0; place < content.size(); place++) {
            deepest = asked.contains(content.get(place).id()) ? place : deepest;
        }
        Set<Long> lifted = new HashSet<>(asked);
        for (PathStage stage : content.subList(0, deepest + 1)) {
            if (!inOwnCage(situation, stage, asked)) {
                lifted.add(stage.id());
            }
        }
        boolean emptied = content.stream().allMatch(stage -> lifted.contains(stage.id()));
        return new Reach(order, lifted, emptied && !content.isEmpty());
    }

    /** A side foam stands in a cage of its own: nobody lifts it to reach the trays. */
    private static boolean inOwnCage(Situation situation, PathStage stage, Set<Long> asked) {
        return situation.build().direction().equals(Optional.of(FlowDirection.SIDE_THEN_TRAYS))
                && isFoam(stage.kind())
                && !asked.contains(stage.id());
    }

    private static boolean isFoam(StageKind kind) {
        return kind == StageKind.COARSE_FOAM || kind == StageKind.MEDIUM_FOAM;
    }

    private static Set<Long> asked(Situation situation) {
        Set<Long> asked = new HashSet<>();
        for (Asked task : situation.work().tasks()) {
            task.stage().ifPresent(asked::add);
        }
        if (situation.work().chores().contains(Chore.BIO_PART_REPLACED)) {
            situation.path().stream()
                    .filter(stage -> stage.kind() == StageKind.BIO_MEDIA)
                    .forEach(stage -> asked.add(stage.id()));
        }
        return asked;
    }

    /** What lies in the trays of a canister, and not in its head or outside. */
    private static boolean isContent(PathStage stage) {
        return switch (stage.kind()) {
            case COARSE_FOAM, MEDIUM_FOAM, FINE_PAD, FLOSS, CARTRIDGE, BIO_MEDIA, CARBON, RESIN, PHOSPHATE_REMOVER ->
                true;
            default -> false;
        };
    }

    /** Water passes strainer and sponge as one; a hand meets the sponge around it first. */
    private static List<PathStage> prefilterFirst(List<PathStage> path) {
        return path.stream()
                .sorted(Comparator.comparing(stage -> stage.kind() != StageKind.PREFILTER_SPONGE))
                .toList();
    }

    private static List<PathStage> handOrder(Situation situation) {
        List<PathStage> path = prefilterFirst(situation.path());
        if (!situation.build().is(FilterKind.CANISTER)) {
            return path;
        }
        List<PathStage> outside =
                path.stream().filter(stage -> !isContent(stage)).toList();
        List<PathStage> inside =
                new ArrayList<>(path.stream().filter(Reach::isContent).toList());
        switch (situation.build().direction().orElse(FlowDirection.BOTTOM_UP)) {
            case TOP_DOWN -> {}
            case BOTTOM_UP -> Collections.reverse(inside);
            case SIDE_THEN_TRAYS -> {
                List<PathStage> trays = new ArrayList<>(
                        inside.stream().filter(stage -> !isFoam(stage.kind())).toList());
                Collections.reverse(trays);
                inside.removeAll(trays);
                inside.addAll(trays);
            }
        }
        List<PathStage> order = new ArrayList<>(outside);
        order.addAll(inside);
        return order;
    }

    boolean lifts(PathStage stage) {
        return lifted.contains(stage.id());
    }

    int place(PathStage stage) {
        return handOrder.indexOf(stage);
    }
}
