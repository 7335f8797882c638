package app.chervil.core.site;

import app.chervil.core.calc.FirstLetter;
import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Units;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.Animals;
import app.chervil.core.tank.Stocking;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;

/** What a practitioner would say of a tank for the sake of the animals that live in it (docs/sources.md#animals). */
public final class AnimalAdvice {
    private AnimalAdvice() {}

    /**
     * In sentences, what harms soonest first.
     *
     * @param filters of the tank, in use
     * @param units in which to say it
     */
    public static List<String> of(Tank tank, List<Filter> filters, Units units) {
        Set<Animals> animals = tank.setting().animals();
        List<String> said = new ArrayList<>();
        filters.stream()
                .filter(filter -> animals.stream().anyMatch(Animals::wantsGuard) && !isGuarded(filter))
                .map(filter -> unguarded(filter, animals, units))
                .forEach(said::add);
        if (animals.contains(Animals.AMPHIBIANS)) {
            turnover(tank, filters, said);
        }
        if (animals.contains(Animals.SEAHORSES)) {
            said.add("Seahorses want weak flow: they should be able to let go anywhere without drifting off.");
        }
        if (animals.contains(Animals.SHRIMP)) {
            said.add("Shrimp die of copper. Read the label of every medicine, plant food and algae remedy.");
        }
        if (animals.contains(Animals.TURTLES) && tank.setting().stocking() != Stocking.OVER) {
            said.add("Turtles load the water like too many fish. Its stocking is set to "
                    + tank.setting().stocking().name().toLowerCase(Locale.ROOT)
                    + ", so its care may be planned too late.");
        }
        return said;
    }

    /** What is asked before a medication is begun; empty where nobody lives who is known to die of what fish are treated with. */
    public static Optional<String> onMedication(Set<Animals> animals) {
        if (animals.contains(Animals.SHRIMP)) {
            return Optional.of(
                    "Shrimp live here, and many medicines hold copper, which kills them. Does its label say that it is"
                            + " safe for shrimp?");
        }
        return animals.contains(Animals.AMPHIBIANS)
                ? Optional.of(
                        "Amphibians live here and take medicines up through their skin. Does its label, or a vet, say that it"
                                + " is safe for them?")
                : Optional.empty();
    }

    private static boolean isGuarded(Filter filter) {
        return !filter.kind().drawsIn() || filter.path().contains(StageKind.PREFILTER_SPONGE);
    }

    private static String unguarded(Filter filter, Set<Animals> animals, Units units) {
        String open = FirstLetter.upper(filter.name())
                + (filter.kind() == FilterKind.SUMP
                        ? " has no sponge before its weir. "
                        : " has no sponge on its intake. ");
        return open
                + (animals.stream().anyMatch(Animals::slipsThrough)
                        ? "Fry and shrimp slip through what is wider than " + units.say(Quantity.SIZE, Animals.SLIT_MM)
                                + "."
                        : "A tail or a snout can be drawn in.");
    }

    private static void turnover(Tank tank, List<Filter> filters, List<String> said) {
        double rated = filters.stream()
                .flatMap(filter -> filter.rating().flowLph().stream().boxed())
                .mapToDouble(Double::doubleValue)
                .sum();
        long times = Math.round(rated / tank.netVolumeL());
        if (rated > Animals.AMPHIBIAN_TURNOVER * tank.netVolumeL()) {
            said.add("By their labels its filters turn this tank over "
                    + (times <= Animals.AMPHIBIAN_TURNOVER ? "more than 3" : Long.toString(times))
                    + " times an hour. Amphibians want three at most: throttle them, or break the flow.");
        }
    }
}
