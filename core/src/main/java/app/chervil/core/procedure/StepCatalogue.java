package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.List;

/** The steps that each task brings; what every service has stands in {@link CommonSteps}. */
final class StepCatalogue {
    private StepCatalogue() {}

    static List<Template> forWholeFilter(CareAction action) {
        return switch (action) {
            case OPEN -> List.of(); // what an opening has, every work inside a canister has: see CommonSteps
            case TEST -> SumpSteps.drainTest();
            case CLEAN -> SumpSteps.deepClean();
            default ->
                List.of(
                        step(
                                        Phase.PREPARE,
                                        "cords",
                                        "Look along each cord of {filter}: no cracks, no salt, and a"
                                                + " drip loop below the socket.")
                                .because("They fail quietly.")
                                .mind(ELECTRICITY),
                        step(
                                        Phase.PREPARE,
                                        "sensor",
                                        "If there is a leak sensor: hold a damp cloth to it. Does it sound? Dry it and turn it"
                                                + " back on.")
                                .because("One that stays silent is replaced today."));
        };
    }

    static List<Template> forStage(PathStage stage, CareAction action, Build build) {
        return switch (stage.kind()) {
            case PREFILTER_SPONGE ->
                List.of(
                        out("Hold a cup under the {stage} and pull it off the intake, slowly.")
                                .because("What it holds must not fall back into the tank.")
                                .does(HANDS_IN, PART_OUT, DIRT_OUT),
                        first(),
                        back("Push the {stage} back onto the intake until it sits tight."));
            case STRAINER ->
                List.of(
                        out("Pull the {stage} off the intake."),
                        step(Phase.RINSE_FIRST, "clear", "Clear the {stage} with a soft brush.")
                                .using(Material.SOFT_BRUSH),
                        back("Push the {stage} back until it clicks or sits tight.")
                                .because("A missing strainer lets animals into the intake."));
            case SPONGE ->
                List.of(
                        out("Slip a bag over the {stage} under water, then lift it out in the bag.")
                                .because("Lifting it bare sheds its dirt into the tank.")
                                .using(Material.SPONGE_BAG),
                        step(Phase.RINSE_FIRST, "squeeze", "Squeeze the {stage} in the bag, then {first}.")
                                .because("Stop at mostly clean: what still clings is the bacteria you want to keep.")
                                .does(WASHED),
                        step(Phase.RINSE_SECOND, "second", "Squeeze the {stages} again {second}."),
                        back("Wring the {stage}, set it back and press it so that its air is gone."));
            case COARSE_FOAM, MEDIUM_FOAM ->
                action == CareAction.REPLACE ? MediaSteps.foamReplaced() : MediaSteps.rinsed();
            case FINE_PAD, FLOSS -> action == CareAction.RINSE ? MediaSteps.finePadRinsed() : MediaSteps.padChanged();
            case CARTRIDGE ->
                action == CareAction.REBUILD ? MediaSteps.cartridgeRebuilt() : MediaSteps.cartridgeChanged();
            case SOCK -> sock();
            case FLEECE_ROLL ->
                List.of(
                        out("Take the used {stage} out."),
                        back("Fit a new roll and thread it as its label shows.").using(Material.FLEECE_ROLL));
            case BIO_MEDIA -> List.of(bioOut().writes(FINDING), dip(), bioBack());
            case CARBON, PHOSPHATE_REMOVER ->
                List.of(
                        out("Take the spent {stage} out."),
                        step(
                                        Phase.RENEW,
                                        "dust",
                                        "Rinse the dust off the new {stage} under the tap; it holds no bacteria yet.")
                                .using(spare(stage.kind()), Material.MEDIA_BAG),
                        back("Put the new {stage} in its place, so that water goes through it and not round."));
            case RESIN -> MediaSteps.resin();
            case UV_LAMP -> LampSteps.lamp();
            case UV_SLEEVE -> action == CareAction.REPLACE ? PartSteps.newSleeve() : LampSteps.sleeve();
            case IMPELLER -> action == CareAction.REPLACE ? PartSteps.newImpeller(build) : impeller(action, build);
            case SEALS ->
                build.is(FilterKind.UV_UNIT)
                        ? LampSteps.ring(action)
                        : action == CareAction.REPLACE ? PartSteps.newRings(Phase.HEAD) : seals();
            case HOSES -> action == CareAction.REPLACE ? PartSteps.newHoses() : hosesBrushed();
            case RETURN_PUMP -> action == CareAction.REPLACE ? PartSteps.newRotor() : PartSteps.pumpDescaled();
            case AIR_LINE ->
                List.of(step(
                                Phase.HEAD,
                                "stone",
                                "Clean the air stone or fit a new one, and blow through the check valve both ways.")
                        .because("Air must pass one way only, or water siphons back to the air pump.")
                        .using(Material.AIR_STONE)
                        .does(HANDS_IN));
            case OVERFLOW -> SumpSteps.overflowCleared();
            case SETTLING -> SumpSteps.settlingSiphoned();
            case SKIMMER -> SumpSteps.cupWashed();
            case REFUGIUM -> SumpSteps.refugiumThinned();
            case TOP_OFF -> SumpSteps.floatLifted();
            case SURFACE_SKIMMER ->
                List.of(
                        out("Lift the {stage} out of the water, float and all."),
                        step(Phase.RINSE_FIRST, "float", "Brush slot and float of the {stage}, and rinse them.")
                                .using(Material.SOFT_BRUSH),
                        back("Set the {stage} back. Does its float rise and fall freely?"));
            case BAFFLE ->
                List.of(
                        out("Lift the {stage} off the outlet."),
                        step(Phase.RINSE_FIRST, "baffle", "Brush the slime off the {stage} in tank water.")
                                .using(Material.SOFT_BRUSH),
                        back("Set the {stage} back. Does water run through it, and none back into the box?"));
            case PLANTS ->
                List.of(
                        step(Phase.TAKE_OUT, "out", "Lift the basket of {stage} out, and keep the roots wet.")
                                .does(HANDS_IN, PART_OUT),
                        step(
                                        Phase.HOUSING,
                                        "trim",
                                        "Cut roots back that reach pump or intake, and take out what is rotten.")
                                .because("What grows into the pump stops it.")
                                .mind(SHARP)
                                .using(Material.SCISSORS),
                        back("Set the {stage} back, their roots clear of the pump."));
            case VALVES -> action == CareAction.REPLACE ? PartSteps.newValves() : PartSteps.valvesTried();
            case CLIPS -> action == CareAction.REPLACE ? PartSteps.newClips() : PartSteps.clipsTried();
            case OUTLET ->
                List.of(step(
                                Phase.HOSES,
                                "outlet",
                                "Take the {stage} off, let it drain, brush it inside and clear each hole. Then put it back"
                                        + " the way it pointed.")
                        .because("A glass pipe breaks at its bend: hold it there, and twist nothing.")
                        .mind(GLASS)
                        .using(Material.HOSE_BRUSH)
                        .writes(FINDING)
                        .does(HANDS_IN));
        };
    }

    private static Material spare(StageKind kind) {
        return kind == StageKind.CARBON ? Material.CARBON : Material.PHOSPHATE_REMOVER;
    }

    /** Whether what was lifted to reach other stages waits beside them. */
    static boolean rests(StageKind kind) {
        return switch (kind) {
            case BIO_MEDIA, CARBON, RESIN, PHOSPHATE_REMOVER -> true;
            default -> false;
        };
    }

    /** What is lifted and not worked on; bio media goes straight under water. */
    static List<Template> resting(StageKind kind) {
        return kind == StageKind.BIO_MEDIA
                ? List.of(bioOut(), bioBack())
                : List.of(
                        step(Phase.TAKE_OUT, "aside", "Lift the {stage} out and lay it aside, wet.")
                                .does(HANDS_IN, PART_OUT),
                        back("Put the {stage} back in its place."));
    }

    /** A tray or cage that is lifted with what stays in it; where it waits depends on what it holds. */
    static List<Template> tray(Handled.Holds holds, Tubs tubs, boolean tap) {
        Template out =
                switch (holds) {
                    case BACTERIA ->
                        step(Phase.TAKE_OUT, "lift", "Lift {place} out and set it under water in {bio}.")
                                .because("The bacteria in it die within the hour if they dry or stand without air.")
                                .does(HANDS_IN, PLACE_OUT, BIO_OUT);
                    case DIRT ->
                        tubs.hasOneForFoam(tap)
                                ? step(Phase.TAKE_OUT, "lift", "Lift {place} out and set it {first}.")
                                        .because("What drips from it is dirt.")
                                        .does(HANDS_IN, PLACE_OUT, DIRT_OUT)
                                : step(Phase.TAKE_OUT, "lift", "Lift {place} out and set it in an empty bucket.")
                                        .because("What drips from it is dirt.")
                                        .using(Material.BUCKET)
                                        .does(HANDS_IN, PLACE_OUT);
                    case NEITHER ->
                        step(Phase.TAKE_OUT, "lift", "Lift {place} out and lay it aside, wet.")
                                .does(HANDS_IN, PLACE_OUT);
                };
        return List.of(
                out,
                step(Phase.PUT_BACK, "set", "Put {place} back and press it down until it stops.")
                        .because("Water goes round a tray that is not seated. If it needs force, lift it and look.")
                        .does(HANDS_IN, PLACE_IN));
    }

    /** Bio media that stays in a lifted tray. */
    static List<Template> dippedInItsTray() {
        return List.of(dip().writes(FINDING));
    }

    /** Tubs of rinse water that a task wants: two for foam and sponges, one for what is rinsed once. */
    static int tubs(StageKind kind, CareAction action) {
        return switch (kind) {
            case COARSE_FOAM, MEDIUM_FOAM -> action == CareAction.RINSE ? 2 : 0;
            case SPONGE -> 2;
            case PREFILTER_SPONGE -> 1;
            case FINE_PAD, FLOSS -> action == CareAction.RINSE ? 1 : 0;
            case CARTRIDGE -> action == CareAction.REBUILD ? 1 : 0;
            default -> 0;
        };
    }

    /** Whether a part is reached through a lamp bay: lamp, sleeve, and in a UV unit the sleeve's ring. */
    static boolean isInBay(StageKind kind, Build build) {
        return kind == StageKind.UV_LAMP
                || kind == StageKind.UV_SLEEVE
                || (kind == StageKind.SEALS && build.is(FilterKind.UV_UNIT));
    }

    private static List<Template> sock() {
        return List.of(
                out("Lift the {stage} by its ring, slowly, and let it drain.")
                        .because("Tipped, it gives all its dirt back."),
                back("Hang a clean sock in place of the {stage}, and press its ring down until it stops.")
                        .using(Material.SOCK)
                        .does(HANDS_IN, PART_IN, WASHED));
    }

    /** With the pump running: only where the hand stays dry, the weir drains without a sock, and nothing powered is there. */
    static List<Template> sockSwappedDry() {
        return List.of(
                step(Phase.TAKE_OUT, "out", "Lift the {stage} by its dry ring, slowly, and let it drain a minute.")
                        .because("Your hand stays dry, so the pump runs on. If it gets wet, unplug first.")
                        .mind(ELECTRICITY)
                        .writes(FINDING)
                        .waiting(1)
                        .does(PART_OUT),
                step(
                                Phase.PUT_BACK,
                                "back",
                                "Hang a clean sock in place of the {stage}, and press its ring down until it stops.")
                        .using(Material.SOCK)
                        .does(PART_IN, WASHED));
    }

    private static Template dip() {
        return step(Phase.DIP, "dip", "{dipped}.")
                .because("Silt goes, the bacteria stay. Shaking knocks them off, and drying kills them.");
    }

    private static Template bioOut() {
        return step(Phase.TAKE_OUT, "out", "{lifted} and set it under water in {bio}.")
                .because("Its bacteria die within the hour if they dry or stand without air.")
                .does(HANDS_IN, PART_OUT, BIO_OUT);
    }

    private static Template bioBack() {
        return back("{laidBack}.")
                .because("Water takes the easiest way: round a tray that is not seated, or where a layer is thin.");
    }

    static Template out(String text) {
        return step(Phase.TAKE_OUT, "out", text).does(HANDS_IN, PART_OUT).writes(FINDING);
    }

    static Template back(String text) {
        return step(Phase.PUT_BACK, "back", text).does(HANDS_IN, PART_IN);
    }

    static Template first() {
        return step(Phase.RINSE_FIRST, "first", "Squeeze the {stages} {first} until the water stops getting darker.")
                .does(WASHED);
    }

    private static List<Template> hosesBrushed() {
        return List.of(step(
                        Phase.HOSES,
                        "brush",
                        "Draw the brush through the {stage} both ways. Look for kinks and for the O-ring in each coupling.")
                .using(Material.HOSE_BRUSH)
                .writes(FINDING)
                .does(HANDS_IN));
    }

    static Template greased(Phase phase) {
        return step(
                        phase,
                        "seals",
                        "Take each of the {stage} out, wipe it, look for cracks and flats, and grease it thinly with"
                                + " silicone.")
                .because("Petroleum grease swells seals. A flat or cracked one is replaced.")
                .using(Material.GREASE);
    }

    private static List<Template> seals() {
        return List.of(greased(Phase.HEAD).does(HANDS_IN));
    }

    private static List<Template> impeller(CareAction action, Build build) {
        Template out = step(
                        Phase.HEAD_OUT,
                        "impeller-out",
                        "Draw the {stage} out by its shaft. Count the screws into a cup.")
                .because("Parts lost here stop the pump.")
                .using(Material.CUP)
                .does(HANDS_IN, PART_OUT);
        Template work = action == CareAction.INSPECT
                ? step(
                        Phase.HEAD,
                        "impeller-look",
                        "Look at magnet, blades, bushing and shaft of the {stage}. Replace it at the first wear you see.")
                : step(
                                Phase.HEAD,
                                "impeller-clean",
                                "Brush the {stage} and its well softly, without scratching, and take stray media out.")
                        .using(Material.SOFT_BRUSH);
        Template in = step(
                        Phase.HEAD_IN,
                        "impeller-in",
                        "Slide the {stage} back and turn it by finger. Are all the screws back?")
                .does(HANDS_IN, PART_IN);
        return List.of(PartSteps.askingForStray(out, build), work, in);
    }
}
