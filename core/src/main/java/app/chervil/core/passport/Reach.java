package app.chervil.core.passport;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Place.Content;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;

/**
 * What a hand has to lift to reach what is worked on (docs/sources.md#reach). To reach a place, all that lies on it is lifted
 * first; a place that is emptied where it sits gives up only what is asked for and what lies above it; a lifted one gives up
 * what is asked for and all that holds dirt. The rest stays in its tray, under water.
 *
 * @param lifted places that come out with something in them, by their number among all
 * @param out stages that come out by themselves, by their number in the water path
 * @param riding stages that come out in their tray and stay in it
 * @param trays trays and cages that come up, those among them that hold one thing only
 * @param emptied whether nothing that was inside stays inside
 * @param bioOut whether bio media leaves its place
 */
public record Reach(
        Set<Integer> lifted, Set<Integer> out, Set<Integer> riding, int trays, boolean emptied, boolean bioOut) {
    static Reach of(Passport passport, List<StageKind> path, Set<Integer> targets, boolean everything) {
        Work work = new Work(path, targets);
        Set<Integer> lifted = new TreeSet<>();
        Set<Integer> out = new HashSet<>(targets);
        Set<Integer> riding = new HashSet<>();
        boolean emptied = true;
        boolean any = false;
        int first = 0;
        int trays = 0;
        for (Chamber chamber : passport.chambers()) {
            Set<Integer> up = everything ? every(chamber) : work.lifted(chamber);
            for (int place = 0; place < chamber.places().size(); place++) {
                Place one = chamber.places().get(place);
                boolean leaves = up.contains(place) && !one.isFixed();
                List<Integer> given = work.given(one, up.contains(place));
                trays += leaves ? 1 : 0;
                if (leaves && one.contents().size() != 1) {
                    lifted.add(first + place);
                    one.contents().stream()
                            .map(Content::stage)
                            .filter(stage -> !given.contains(stage))
                            .forEach(riding::add);
                }
                out.addAll(given);
                any |= chamber.access() == Chamber.Access.SEALED;
                emptied &= chamber.access() != Chamber.Access.SEALED
                        || leaves
                        || given.size() == one.contents().size();
            }
            first += chamber.places().size();
        }
        out.removeAll(riding);
        if (passport.build().is(FilterKind.INTERNAL) && !targets.isEmpty()) {
            out.addAll(work.bio());
        }
        Set<Integer> moved = new HashSet<>(out);
        moved.addAll(riding);
        return new Reach(
                lifted, out, riding, trays, any && emptied, moved.stream().anyMatch(work::isBio));
    }

    private static Set<Integer> every(Chamber chamber) {
        Set<Integer> all = new TreeSet<>();
        for (int place = 0; place < chamber.places().size(); place++) {
            all.add(place);
        }
        return all;
    }

    /** What is asked for, and what it means for one place. */
    private record Work(List<StageKind> path, Set<Integer> targets) {
        boolean isBio(int stage) {
            return path.get(stage) == StageKind.BIO_MEDIA;
        }

        List<Integer> bio() {
            List<Integer> bio = new ArrayList<>();
            for (int stage = 0; stage < path.size(); stage++) {
                if (isBio(stage)) {
                    bio.add(stage);
                }
            }
            return bio;
        }

        private boolean isHit(Place place) {
            return place.contents().stream().anyMatch(content -> targets.contains(content.stage()));
        }

        /** Bio media is dipped in its tray. */
        List<Integer> dippedIn(Place place) {
            return place.contents().stream()
                    .map(Content::stage)
                    .filter(this::isBio)
                    .toList();
        }

        /** Places of a chamber that come up, by their number in it. */
        Set<Integer> lifted(Chamber chamber) {
            Set<Integer> lifted = new TreeSet<>();
            for (int place = 0; place < chamber.places().size(); place++) {
                Place one = chamber.places().get(place);
                if (!isHit(one)) {
                    continue;
                }
                chamber.before(place).forEach(earlier -> lift(chamber, earlier, lifted));
                boolean bioTray =
                        one.kind() == Place.Kind.TRAY && dippedIn(one).stream().anyMatch(targets::contains);
                if (!one.isFixed() && (!one.emptiedInPlace() || bioTray)) {
                    lifted.add(place);
                }
            }
            return lifted;
        }

        private void lift(Chamber chamber, int place, Set<Integer> lifted) {
            if (lifted.add(place)) {
                chamber.before(place).forEach(earlier -> lift(chamber, earlier, lifted));
            }
        }

        /** What a place gives up by itself. */
        List<Integer> given(Place place, boolean comesUp) {
            List<Integer> stages = new ArrayList<>(
                    place.contents().stream().map(Content::stage).toList());
            if (comesUp) {
                boolean alone = stages.size() == 1;
                stages.removeIf(stage -> !alone && !place.isFixed() && !leavesItsTray(stage));
                return stages;
            }
            int deepest = -1;
            for (int i = 0; i < stages.size(); i++) {
                deepest = targets.contains(stages.get(i)) ? i : deepest;
            }
            return new ArrayList<>(stages.subList(0, deepest + 1));
        }

        /** Bio media is dipped in its tray and stays in it. */
        private boolean leavesItsTray(int stage) {
            return !isBio(stage) && (targets.contains(stage) || path.get(stage).isMechanical());
        }
    }

    /**
     * The order in which a hand meets things: what hangs outside first, then place by place, a tray before what lies in it.
     *
     * @param stages rank of each stage by its number in the water path
     * @param places rank of each place by its number among all
     */
    public record HandOrder(Map<Integer, Integer> stages, Map<Integer, Integer> places) {
        private static final int APART = 100;

        public static HandOrder of(Passport passport, List<StageKind> path) {
            Map<Integer, Integer> stages = new HashMap<>();
            Map<Integer, Integer> places = new HashMap<>();
            int rank = 0;
            // water passes strainer and sponge as one; a hand meets the sponge around it first
            for (StageKind first : List.of(StageKind.PREFILTER_SPONGE, StageKind.STRAINER)) {
                for (int stage = 0; stage < path.size(); stage++) {
                    if (path.get(stage) == first) {
                        stages.put(stage, rank++);
                    }
                }
            }
            for (int stage = 0; stage < path.size(); stage++) {
                if (!stages.containsKey(stage) && passport.placeOf(stage).isEmpty()) {
                    stages.put(stage, rank++);
                }
            }
            List<Place> all = passport.places();
            for (int place = 0; place < all.size(); place++) {
                rank += APART;
                places.put(place, rank++);
                for (Content content : all.get(place).contents()) {
                    stages.put(content.stage(), rank++);
                }
            }
            return new HandOrder(stages, places);
        }
    }
}
