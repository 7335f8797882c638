package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.Material;
import java.util.List;

/** Steps for foam, pads, cartridges and resin: what lies in a filter and is washed, changed or made good again. */
final class MediaSteps {
    private MediaSteps() {}

    static List<Template> rinsed() {
        return List.of(
                StepCatalogue.out("Lift the {stage} out.").does(HANDS_IN, PART_OUT, DIRT_OUT),
                StepCatalogue.first(),
                step(Phase.RINSE_SECOND, "second", "Squeeze the {stages} again {second}."),
                step(Phase.RINSE_LAST, "last", "Pour a last jug of clean water from {bio} over the {stages}.")
                        .because("Mostly clean is clean enough: what still clings is the bacteria you want to keep."),
                StepCatalogue.back("Put the {stage} back in its place."));
    }

    static List<Template> foamReplaced() {
        return List.of(
                StepCatalogue.out("Lift the old {stage} out."),
                step(
                                Phase.RENEW,
                                "cut",
                                "Cut the new {stage} three to five millimetres oversize and rinse it under the tap.")
                        .because("A snug fit seals; a loose one lets water past.")
                        .mind(SHARP)
                        .using(Material.FOAM, Material.SCISSORS)
                        .does(WASHED),
                StepCatalogue.back("Press the new {stage} in, beside the old one for some weeks if there is room.")
                        .because("The old one seeds the new with bacteria."));
    }

    static List<Template> finePadRinsed() {
        return List.of(
                StepCatalogue.out("Lift the {stage} out, flat, so that it drops nothing.")
                        .does(HANDS_IN, PART_OUT, DIRT_OUT),
                step(Phase.RINSE_SECOND, "pad", "Rinse the {stage} {cleanest}, last of all.")
                        .does(WASHED),
                StepCatalogue.back("Lay the {stage} back flat, out to the edges."));
    }

    static List<Template> padChanged() {
        return List.of(
                StepCatalogue.out("Lift the {stage} out, flat, and throw it away."),
                StepCatalogue.back("Lay a new {stage} in, a little oversize so that it seals.")
                        .using(Material.FINE_PAD)
                        .does(HANDS_IN, PART_IN, WASHED));
    }

    static List<Template> cartridgeChanged() {
        return List.of(
                StepCatalogue.out("Lift the {stage} out, slowly, over a cup.")
                        .because("Small animals in it go back into the tank."),
                step(Phase.RENEW, "dust", "Rinse the dust off the new {stage} under the tap.")
                        .using(Material.CARTRIDGE)
                        .does(WASHED),
                StepCatalogue.back("Slide the new {stage} in, the way its arrow shows."));
    }

    static List<Template> cartridgeRebuilt() {
        return List.of(
                StepCatalogue.out("Lift the {stage} out, slowly, over a cup.")
                        .because("Small animals in it go back into the tank."),
                step(Phase.RINSE_FIRST, "rinse", "Rinse the {stage} well {first}.")
                        .does(WASHED),
                step(Phase.RENEW, "slit", "Open a slit near the top of the {stage} and tip the spent carbon out.")
                        .mind(SHARP)
                        .using(Material.SCISSORS),
                step(
                                Phase.RENEW,
                                "refill",
                                "Fill in a measured dose of loose carbon, dust rinsed off, and close the slit.")
                        .because("The carbon's label gives the dose for your volume.")
                        .using(Material.LOOSE_CARBON),
                StepCatalogue.back("Slide the {stage} back, the way its arrow shows."));
    }

    static List<Template> resin() {
        return List.of(
                StepCatalogue.out("Take the {stage} bag out."),
                StepCatalogue.back("Put the spare {stage} bag in its place.").using(Material.RESIN_BAG),
                step(
                                Phase.BENCH,
                                "bleach",
                                "At the bench, away from the tank: soak the used {stage} in one part plain bleach to one"
                                        + " part water, until its colour is back.")
                        .because("The resin's label gives strength and time, and comes before this.")
                        .mind(BLEACH)
                        .using(Material.GOGGLES, Material.BLEACH)
                        .waiting(720),
                step(
                                Phase.BENCH,
                                "unbleach",
                                "Rinse the {stage} well, then soak it in water with a strong dose of dechlorinator.")
                        .mind(BLEACH)
                        .using(Material.DECHLORINATOR)
                        .waiting(240),
                step(
                                Phase.BENCH,
                                "smell",
                                "Smell the {stage}. Any bleach left, rinse and soak again; none, soak it clean and keep it"
                                        + " wet for the next change.")
                        .mind(BLEACH));
    }
}
