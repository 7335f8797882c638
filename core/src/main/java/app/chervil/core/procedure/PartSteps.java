package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.STRAY;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.passport.Build;
import java.util.List;

/** Steps for parts of the machine that are changed for new ones (docs/sources.md#parts). */
final class PartSteps {
    private PartSteps() {}

    static List<Template> newImpeller(Build build) {
        return List.of(
                askingForStray(
                        step(
                                        Phase.HEAD_OUT,
                                        "impeller-out",
                                        "Undo the screws into the cup and count them. Draw the old {stage} out by its shaft.")
                                .because("Parts lost here stop the pump.")
                                .using(Material.CUP)
                                .does(HANDS_IN, PART_OUT),
                        build),
                step(Phase.HEAD, "impeller-same", "Hold old and new side by side. Are they the same length and width?")
                        .because("If not, put the old one back and order the right set."),
                step(
                                Phase.HEAD,
                                "bushing",
                                "Pull the old bushing out and keep it in your hand. Press the new one in straight until it"
                                        + " clicks.")
                        .because("Two bushings on one shaft stop the pump.")
                        .does(HANDS_IN),
                step(Phase.HEAD, "impeller-well", "Brush the well softly, without scratching.")
                        .using(Material.SOFT_BRUSH)
                        .does(HANDS_IN),
                step(
                                Phase.HEAD_IN,
                                "impeller-in",
                                "Slide the new {stage} in and turn it with a finger: does it run freely? Put the cover back,"
                                        + " and as many screws as you counted.")
                        .using(Material.IMPELLER_SET)
                        .does(HANDS_IN, PART_IN));
    }

    /** What lies in trays can get into the pump of a canister, and will again while nobody mends where it came from. */
    static Template askingForStray(Template out, Build build) {
        return build.is(FilterKind.CANISTER)
                ? out.because(out.words().reason()
                                + " Media in it came from a tray: find out which, and bag it or mend the tray before"
                                + " the lid goes on.")
                        .writes(STRAY)
                : out;
    }

    static List<Template> pumpDescaled() {
        return List.of(
                pumpOut(),
                step(Phase.SOAK, "descale", "Soak the {stage} and its rotor in diluted vinegar, away from the tank.")
                        .because("Lime slows the rotor and heats the pump. All media stays where it is, under water.")
                        .mind(VINEGAR)
                        .using(Material.VINEGAR)
                        .waiting(30),
                step(
                                Phase.SOAK,
                                "descale-rinse",
                                "Brush off what is left, rinse twice under the tap, and turn the rotor by finger.")
                        .using(Material.SOFT_BRUSH),
                pumpBack());
    }

    private static Template pumpOut() {
        return step(
                        Phase.SOAK_OUT,
                        "pump-out",
                        "Close the valve on the return pipe, undo the union and lift the {stage} out.")
                .because("The water in the pipe runs back.")
                .does(HANDS_IN, PART_OUT);
    }

    private static Template pumpBack() {
        return step(
                        Phase.SOAK_BACK,
                        "pump-back",
                        "Set the {stage} back under water, screw the union tight and open the valve.")
                .does(HANDS_IN, PART_IN);
    }

    /** Of a return pump: rotor, shaft and bushings come as a set. */
    static List<Template> newRotor() {
        return List.of(
                pumpOut(),
                step(
                                Phase.SOAK,
                                "rotor-out",
                                "Undo the cover’s screws into the cup and count them. Draw out the old rotor of the {stage}"
                                        + " by its shaft, with both bushings.")
                        .because("A bushing left behind stops the pump.")
                        .using(Material.CUP),
                step(
                                Phase.SOAK,
                                "rotor-same",
                                "Hold the old and new rotor side by side. Are they the same length and width?")
                        .because("If not, put the old one back and order the right set."),
                step(
                                Phase.SOAK,
                                "rotor-in",
                                "Slide the new rotor in and turn it with a finger: does it run freely? Put the cover back,"
                                        + " and as many screws as you counted.")
                        .using(Material.IMPELLER_SET),
                pumpBack());
    }

    /** In a head, or round a sleeve. */
    static List<Template> newRings(Phase phase) {
        return List.of(
                step(phase, "rings-out", "Hook each of the old {stage} out with something blunt, of plastic.")
                        .because("A scratch in the groove leaks for ever.")
                        .does(HANDS_IN),
                step(phase, "rings-same", "Hold each old ring beside its new one. Are they the same size?")
                        .because("If not, put the old one back and order the right set."),
                step(
                                phase,
                                "rings-in",
                                "Wipe each groove, spread a film of silicone, and lay each new ring in without a twist.")
                        .because("Petroleum grease swells rubber. A twisted ring drips.")
                        .using(Material.SEAL_RINGS, Material.GREASE)
                        .does(HANDS_IN));
    }

    static List<Template> newHoses() {
        return List.of(
                step(
                                Phase.HOSES,
                                "hoses-cut",
                                "Lay new and old hose side by side, and cut the new one to its length, straight.")
                        .because("Too long it sags, too short it kinks.")
                        .mind(SHARP)
                        .using(Material.HOSE, Material.SCISSORS),
                step(
                                Phase.HOSES,
                                "hoses-fit",
                                "Copy the marks onto it, warm its ends in hand-hot water, and push them home under their clips.")
                        .because("A hose without its mark is put on the wrong port.")
                        .does(HANDS_IN));
    }

    static List<Template> valvesTried() {
        return List.of(step(
                        Phase.HOSES,
                        "valves-tried",
                        "Watch each of the {stage} over the drip tray for a minute, shut. Do they hold without a drip, and did they"
                                + " turn without force?")
                .because("One that drips or sticks is changed before its filter is opened again.")
                .mind(WET_FLOOR)
                .waiting(1)
                .does(HANDS_IN));
    }

    /** Without valves nothing but air in the hoses holds the tank's water back. */
    static List<Template> newValves() {
        return List.of(
                step(
                                Phase.HOSES,
                                "valves-drain",
                                "Lift both hose ends out of the tank's water and fix them there. Then open the valves over a bucket"
                                        + " and let the hoses drain.")
                        .because("While the valves are off, only air in the hoses holds the tank's water back.")
                        .mind(FLOOD)
                        .using(Material.BUCKET)
                        .does(HANDS_IN),
                step(
                                Phase.HOSES,
                                "valves-new",
                                "Ease the old {stage} off. Set the new ones on, rings greased, their clips tight, and shut them.")
                        .because("Hold old beside new first: of another size they leak.")
                        .using(Material.VALVES)
                        .does(HANDS_IN),
                step(Phase.HOSES, "valves-back", "Put both hose ends back into the water. Do the new {stage} hold?")
                        .mind(FLOOD)
                        .does(HANDS_IN));
    }

    static List<Template> clipsTried() {
        return List.of(step(
                        Phase.HOSES,
                        "clips-tried",
                        "Press each cup to the glass and pull at each clip. What is slack or hard is changed.")
                .does(HANDS_IN));
    }

    static List<Template> newClips() {
        return List.of(step(
                        Phase.HOSES,
                        "clips-new",
                        "Change the {stage} one after the other, so that hose and filter never hang loose.")
                .because("A hose without its clip slips off when the pump starts.")
                .using(Material.CLIPS)
                .does(HANDS_IN));
    }

    static List<Template> newSleeve() {
        return List.of(
                LampSteps.cool(),
                LampSteps.bayOpened(),
                LampSteps.lampOut(),
                LampSteps.sleeveOut(),
                step(
                                Phase.SLEEVE,
                                "sleeve-new",
                                "Take the new {stage} with a clean cloth, and see that it is whole and dry.")
                        .because("Grease from fingers burns in.")
                        .mind(GLASS)
                        .using(Material.SLEEVE, Material.SOFT_CLOTH),
                LampSteps.sleeveIn(),
                LampSteps.lampBackIn(),
                LampSteps.bayShut());
    }
}
