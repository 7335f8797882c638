package app.chervil.core.passport;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FlowDirection;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Place.Content;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * One filter in particular: how it is built, what sits where, and steps of its keeper's own. The order in which hands meet
 * things stands here, the order in which water meets them is the water path; neither follows from the other.
 *
 * @param chambers in the order a hand opens them
 * @param spares on board; may be empty
 * @param stated whether the keeper said so, rather than what is usual for its kind
 */
public record Passport(Build build, List<Chamber> chambers, List<OwnStep> ownSteps, String spares, boolean stated) {
    public Passport {
        chambers = List.copyOf(chambers);
        ownSteps = List.copyOf(ownSteps);
    }

    /**
     * What is usual for a kind of filter: in a canister a tray for each content, the others without any.
     *
     * @param path kinds of stage in the order water meets them
     */
    public static Passport usual(Build build, List<StageKind> path) {
        return new Passport(build, List.of(chamber(build, path)), List.of(), "", false);
    }

    private static Chamber chamber(Build build, List<StageKind> path) {
        List<Place> places = new ArrayList<>();
        boolean canister = build.is(FilterKind.CANISTER);
        for (int stage : handOrder(build, path)) {
            String name = "the " + path.get(stage).words();
            Content content = Content.piece(stage);
            if (!canister) {
                places.add(Place.fixed(name, content));
            } else if (inCage(build, path.get(stage))) {
                places.add(Place.cage(name, content));
            } else {
                places.add(Place.tray(name, places.isEmpty(), content));
            }
        }
        return new Chamber("", canister ? Chamber.Access.SEALED : Chamber.Access.OPEN, places);
    }

    private static boolean inCage(Build build, StageKind kind) {
        boolean foam = kind == StageKind.COARSE_FOAM || kind == StageKind.MEDIUM_FOAM;
        return foam && build.direction().filter(Passport::standsBeside).isPresent();
    }

    /** Foam that stands beside the trays: nobody lifts it to reach them. */
    private static boolean standsBeside(FlowDirection direction) {
        return direction == FlowDirection.SIDE_THEN_TRAYS || direction == FlowDirection.TWO_CHAMBER;
    }

    /** A canister is opened from above: the top comes out first and the bottom last, whichever way the water runs. */
    private static List<Integer> handOrder(Build build, List<StageKind> path) {
        List<Integer> inside = new ArrayList<>();
        for (int stage = 0; stage < path.size(); stage++) {
            if (path.get(stage).lies()) {
                inside.add(stage);
            }
        }
        if (!build.is(FilterKind.CANISTER)) {
            return inside;
        }
        switch (build.direction().orElse(FlowDirection.BOTTOM_UP)) {
            case TOP_DOWN -> {}
            case BOTTOM_UP -> Collections.reverse(inside);
            case SIDE_THEN_TRAYS, TWO_CHAMBER -> {
                List<Integer> trays = new ArrayList<>(inside.stream()
                        .filter(stage -> !inCage(build, path.get(stage)))
                        .toList());
                Collections.reverse(trays);
                inside.removeAll(trays);
                inside.addAll(trays);
            }
        }
        return inside;
    }

    /** All places in the order of hands, each once. */
    public List<Place> places() {
        return chambers.stream().flatMap(chamber -> chamber.places().stream()).toList();
    }

    /** The place that holds a stage, by its number among all; empty for what sits in none. */
    public Optional<Integer> placeOf(int stage) {
        List<Place> places = places();
        for (int place = 0; place < places.size(); place++) {
            if (places.get(place).holds(stage)) {
                return Optional.of(place);
            }
        }
        return Optional.empty();
    }

    private Optional<Chamber> chamberOf(int stage) {
        return chambers.stream()
                .filter(chamber -> chamber.places().stream().anyMatch(place -> place.holds(stage)))
                .findFirst();
    }

    /**
     * Whether a stage is reached only by opening what holds the water in.
     *
     * @param kind of that stage
     */
    public boolean isInside(int stage, StageKind kind) {
        boolean lampOutside = kind.isOfLamp() && build.current().lamp() == Build.LampPlace.LINE;
        return build.is(FilterKind.CANISTER)
                && kind.insideCanister()
                && !lampOutside
                && chamberOf(stage)
                        .map(chamber -> chamber.access() == Chamber.Access.SEALED)
                        .orElse(true);
    }

    /** Whether a stage was said to lie loose in a part of the housing, so that no tray or bag lifts it. */
    public boolean liesLooseInTheHousing(int stage) {
        return stated()
                && places().stream()
                        .filter(Place::isFixed)
                        .flatMap(place -> place.contents().stream())
                        .anyMatch(content -> content.stage() == stage && content.packing() == Place.Packing.LOOSE);
    }

    /** Whether work on it needs every place lifted first: a pump under them all. */
    private boolean isUnderAll(StageKind kind) {
        return build.is(FilterKind.CANISTER) && build.housing().pump() == Build.Pump.BASE && kind == StageKind.IMPELLER;
    }

    /**
     * What a hand has to lift.
     *
     * @param path kinds of stage in the order water meets them
     * @param targets what is worked on, by its number in the path
     */
    public Reach reach(List<StageKind> path, Set<Integer> targets) {
        boolean everything = targets.stream().anyMatch(stage -> isUnderAll(path.get(stage)));
        return Reach.of(this, path, targets, everything);
    }

    /** What is worked on when a canister is opened for its dirt: every foam and pad inside, in the order of the water. */
    public static Set<Integer> washedAtOpening(List<StageKind> path) {
        return IntStream.range(0, path.size())
                .filter(stage -> path.get(stage).stopsDirtInside())
                .boxed()
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /**
     * Whether work on a stage alone is a short errand: nothing but pads and bags come out. Known only of a filter whose
     * places were told.
     */
    public boolean isErrand(List<StageKind> path, int stage) {
        if (!stated) {
            return false;
        }
        Reach reach = reach(path, Set.of(stage));
        return Stream.concat(reach.out().stream(), reach.riding().stream())
                .map(path::get)
                .allMatch(StageKind::isPadOrBag);
    }
}
