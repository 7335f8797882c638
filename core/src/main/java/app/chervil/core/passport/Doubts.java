package app.chervil.core.passport;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Units;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Place.Content;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashSet;
import java.util.List;
import java.util.Optional;
import java.util.Set;

/**
 * What cannot be, and what had better be otherwise, in a passport as a keeper describes it (docs/sources.md#passport).
 *
 * @param path kinds of stage in the order water meets them
 * @param names what to call them, in the same order
 */
public record Doubts(Passport passport, List<StageKind> path, List<String> names) {
    /** A grain falls through a hole that is not clearly smaller than it. */
    private static final double GRAIN_OVER_HOLE = 1.2;

    public Doubts {
        path = List.copyOf(path);
        names = List.copyOf(names);
    }

    /**
     * A rule broken.
     *
     * @param field of the passport at fault, such as {@code chambers[0].places[2].under}
     * @param code stable, kebab-case
     */
    public record Refusal(String field, String code, String words) {}

    /** What makes a passport impossible, in order. */
    public List<Refusal> refusals() {
        List<Refusal> found = new ArrayList<>();
        Set<Integer> seen = new HashSet<>();
        boolean sealed = passport.chambers().stream().anyMatch(chamber -> chamber.access() == Chamber.Access.SEALED);
        if (passport.build().is(FilterKind.CANISTER) && !sealed) {
            found.add(new Refusal("chambers", "no-lid", "A canister has a chamber with a lid that holds water in."));
        }
        for (int room = 0; room < passport.chambers().size(); room++) {
            Chamber chamber = passport.chambers().get(room);
            for (int place = 0; place < chamber.places().size(); place++) {
                String field = "chambers[" + room + "].places[" + place + "]";
                contents(chamber.places().get(place), field, seen, found);
                if (isCircle(chamber, place)) {
                    found.add(new Refusal(
                            field + ".under",
                            "circle",
                            "These places lie on each other in a circle. Which is on top?"));
                }
            }
        }
        for (int stage = 0; stage < path.size(); stage++) {
            if (path.get(stage).lies() && !seen.contains(stage)) {
                found.add(new Refusal("chambers", "without-place", "Say where the " + names.get(stage) + " sits."));
            }
        }
        return found;
    }

    private void contents(Place place, String field, Set<Integer> seen, List<Refusal> found) {
        for (int i = 0; i < place.contents().size(); i++) {
            int stage = place.contents().get(i).stage();
            String here = field + ".contents[" + i + "].stage";
            if (stage >= path.size()) {
                found.add(new Refusal(here, "no-such-stage", "This is not in the water path."));
            } else if (!path.get(stage).lies()) {
                found.add(new Refusal(
                        here, "not-loose", FirstLetter.upper(names.get(stage)) + " lies in no tray or box."));
            } else if (!seen.add(stage)) {
                found.add(new Refusal(
                        here, "twice", FirstLetter.upper(names.get(stage)) + " has another place already."));
            }
        }
    }

    private static boolean isCircle(Chamber chamber, int place) {
        return leadsTo(chamber, place, place, new HashSet<>());
    }

    private static boolean leadsTo(Chamber chamber, int from, int place, Set<Integer> seen) {
        for (int earlier : chamber.before(from)) {
            boolean known = earlier >= 0 && earlier < chamber.places().size();
            if (!known || earlier == place || (seen.add(earlier) && leadsTo(chamber, earlier, place, seen))) {
                return true;
            }
        }
        return false;
    }

    /** What a practitioner would ask about; of a passport that was stated and is possible. */
    public List<String> warnings() {
        List<String> found = new ArrayList<>();
        if (!passport.stated()) {
            return found;
        }
        for (Chamber chamber : passport.chambers()) {
            for (int place = 0; place < chamber.places().size(); place++) {
                grains(chamber.places().get(place), found);
                underSomethingFixed(chamber, place, found);
            }
        }
        besideThePump().ifPresent(found::add);
        order(found);
        return found;
    }

    private void grains(Place place, List<String> found) {
        for (Content content : place.contents()) {
            if (content.packing() != Place.Packing.LOOSE
                    || !path.get(content.stage()).measuredByMass()) {
                continue;
            }
            String what = FirstLetter.upper(names.get(content.stage()));
            if (place.holeMm().isEmpty()) {
                found.add(what + " lies loose. How wide are the holes of " + place.name() + "?");
            } else if (content.grainMm().isEmpty()) {
                found.add(what + " lies loose. How large are its grains? They must not pass the holes.");
            } else if (content.grainMm().getAsDouble()
                    <= GRAIN_OVER_HOLE * place.holeMm().getAsDouble()) {
                found.add(what + " of " + mm(content.grainMm().getAsDouble()) + " falls through holes of "
                        + mm(place.holeMm().getAsDouble()) + ". Put it in a bag.");
            }
        }
    }

    private static String mm(double value) {
        return Units.METRIC.say(Quantity.SIZE, value);
    }

    private static void underSomethingFixed(Chamber chamber, int place, List<String> found) {
        Place one = chamber.places().get(place);
        for (int earlier : chamber.before(place)) {
            if (chamber.places().get(earlier).isFixed() && !one.isFixed()) {
                found.add(FirstLetter.upper(one.name()) + " cannot be reached: "
                        + chamber.places().get(earlier).name() + " lies on it and does not come out.");
            }
        }
    }

    /** The last thing before the pump, by the water's order. */
    /** Whether loose media lies beside the pump with no guard between. */
    public boolean looseBesideThePump() {
        return besideThePump().isPresent();
    }

    private Optional<String> besideThePump() {
        Build.Housing housing = passport.build().housing();
        boolean sucks = housing.pump() == Build.Pump.HEAD || housing.pump() == Build.Pump.BASE;
        if (!passport.build().is(FilterKind.CANISTER) || !sucks || housing.pumpGuard()) {
            return Optional.empty();
        }
        return passport.places().stream()
                .flatMap(place -> place.contents().stream())
                .max(Comparator.comparingInt(Content::stage))
                .filter(content -> content.packing() == Place.Packing.LOOSE
                        && path.get(content.stage()).measuredByMass())
                .map(content -> FirstLetter.upper(names.get(content.stage()))
                        + " lies loose beside the pump, with no guard between. Put it in a bag.");
    }

    /** Dirt first, coarse to fine; what takes up by itself comes after, unless it lies where it is easily changed. */
    private void order(List<String> found) {
        for (int stage = 0; stage < path.size(); stage++) {
            StageKind kind = path.get(stage);
            for (int later = stage + 1; later < path.size(); later++) {
                StageKind next = path.get(later);
                if (kind.isChemical() && next.isMechanical() && !passport.isErrand(path, stage)) {
                    found.add("Water meets the " + names.get(stage) + " before the " + names.get(later)
                            + ", so that it clogs with dirt. Set it last, or in a tray that comes out first.");
                    break;
                }
                if (coarseness(kind) > 0 && coarseness(next) > coarseness(kind)) {
                    found.add("Water meets the " + names.get(stage) + " before the coarser " + names.get(later)
                            + ", so that it fills first.");
                    break;
                }
            }
        }
    }

    private static int coarseness(StageKind kind) {
        return switch (kind) {
            case COARSE_FOAM -> 3;
            case MEDIUM_FOAM -> 2;
            case FINE_PAD, FLOSS -> 1;
            default -> 0;
        };
    }
}
