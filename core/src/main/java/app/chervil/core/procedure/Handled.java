package app.chervil.core.procedure;

import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Passport;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.passport.Reach;
import app.chervil.core.procedure.Situation.Asked;
import app.chervil.core.procedure.Situation.Chore;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.HashSet;
import java.util.List;
import java.util.Objects;
import java.util.Set;

/** What hands take out in a service, and in which order they meet it. */
record Handled(Situation situation, Reach reach, Reach.HandOrder order) {
    static Handled of(Situation situation) {
        List<StageKind> kinds = situation.kinds();
        Passport passport = situation.passport();
        return new Handled(situation, passport.reach(kinds, targets(situation)), Reach.HandOrder.of(passport, kinds));
    }

    private static Set<Integer> targets(Situation situation) {
        Set<Integer> targets = new HashSet<>();
        for (Asked task : situation.work().tasks()) {
            situation.stageOf(task).map(situation.path()::indexOf).ifPresent(targets::add);
        }
        if (situation.work().chores().contains(Chore.BIO_PART_REPLACED)) {
            situation.path().stream()
                    .filter(stage -> stage.kind() == StageKind.BIO_MEDIA)
                    .map(situation.path()::indexOf)
                    .forEach(targets::add);
        }
        return targets;
    }

    private int number(PathStage stage) {
        return situation.path().indexOf(stage);
    }

    /** Whether a stage comes out by itself. */
    boolean lifts(PathStage stage) {
        return reach.out().contains(number(stage));
    }

    /** Whether a stage comes out in its tray and stays in it. */
    boolean rides(PathStage stage) {
        return reach.riding().contains(number(stage));
    }

    /** Where a hand meets a stage, first things first. */
    int rank(PathStage stage) {
        return Objects.requireNonNull(order.stages().get(number(stage)));
    }

    /** Trays and cages that come out with something in them. */
    List<Tray> trays() {
        List<Place> places = situation.passport().places();
        return reach.lifted().stream()
                .map(place -> new Tray(
                        place,
                        places.get(place).name(),
                        Objects.requireNonNull(order.places().get(place)),
                        holds(places.get(place))))
                .toList();
    }

    private Holds holds(Place place) {
        List<StageKind> kinds = place.contents().stream()
                .map(Content::stage)
                .map(stage -> situation.path().get(stage).kind())
                .toList();
        if (kinds.contains(StageKind.BIO_MEDIA)) {
            return Holds.BACTERIA;
        }
        return kinds.stream().anyMatch(StageKind::isMechanical) ? Holds.DIRT : Holds.NEITHER;
    }

    /** What a tray holds decides where it waits. */
    enum Holds {
        BACTERIA,
        DIRT,
        NEITHER
    }

    /**
     * A tray or cage that comes out.
     *
     * @param number among all places
     * @param rank where a hand meets it
     */
    record Tray(int number, String name, int rank, Holds holds) {}
}
