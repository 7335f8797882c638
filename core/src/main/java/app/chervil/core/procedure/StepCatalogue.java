package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.List;

/** The steps that each task brings; what every service has stands in {@link CommonSteps}. */
final class StepCatalogue {
    private StepCatalogue() {}

    static List<Template> forWholeFilter(CareAction action) {
        return switch (action) {
            case OPEN -> List.of(); // what an opening has, every canister work inside has: see CommonSteps
            default ->
                List.of(step(
                                Phase.PREPARE,
                                "cords",
                                "Look along each cord of {filter}: no cracks, no salt, a drip"
                                        + " loop below the socket. Check that the leak sensor is dry and plugged in.")
                        .because("They fail quietly.")
                        .mind(ELECTRICITY));
        };
    }

    static List<Template> forStage(PathStage stage, CareAction action, FilterKind filter) {
        return switch (stage.kind()) {
            case PREFILTER_SPONGE ->
                rinsed(out("Pull the {stage} off the intake, slowly, with a cup under it.")
                        .because("What it holds must not fall back into the tank."));
            case STRAINER ->
                List.of(
                        out("Pull the {stage} off the intake."),
                        step(Phase.RINSE_FIRST, "clear", "Clear the {stage} with a soft brush."),
                        back("Push the {stage} back until it clicks or sits tight.")
                                .because("A missing strainer lets animals into the intake."));
            case SPONGE ->
                List.of(
                        out("Slip a bag over the {stage} under water, then lift it out in the bag.")
                                .because("Lifting it bare sheds its dirt into the tank.")
                                .using(Material.SPONGE_BAG),
                        step(
                                        Phase.RINSE_FIRST,
                                        "squeeze",
                                        "Squeeze the {stage} in the bag, then in {water}, two or three changes.")
                                .because("Stop at mostly clean: what still clings is the bacteria you want to keep."),
                        step(Phase.RINSE_LAST, "wring", "Wring the {stage} a last time in clean {water}."),
                        back("Set the {stage} back and press it so that its air is gone."));
            case COARSE_FOAM, MEDIUM_FOAM ->
                action == CareAction.REPLACE ? foamReplaced() : rinsed(out("Lift the {stage} out into bucket one."));
            case FINE_PAD, FLOSS -> action == CareAction.RINSE ? finePadRinsed() : padChanged();
            case CARTRIDGE -> action == CareAction.REBUILD ? cartridgeRebuilt() : cartridgeChanged();
            case SOCK ->
                List.of(
                        out("Lift the {stage} by its ring, slowly, and let it drain.")
                                .because("Tipped, it gives all its dirt back."),
                        back("Hang a clean sock and press its ring home.").using(Material.SOCK));
            case FLEECE_ROLL ->
                List.of(
                        out("Take the used {stage} out."),
                        back("Fit a new roll and thread it as its label shows.").using(Material.FLEECE_ROLL));
            case BIO_MEDIA ->
                List.of(
                        restingInWater().writes(FINDING),
                        step(
                                        Phase.DIP,
                                        "dip",
                                        "Dip the {stage} in bucket three, in its tray or bag, gently, never dry.")
                                .because("Silt goes, the bacteria stay. Shaking knocks them off."),
                        bioBack());
            case CARBON, PHOSPHATE_REMOVER ->
                List.of(
                        out("Take the spent {stage} out."),
                        step(
                                        Phase.RENEW,
                                        "dust",
                                        "Rinse the dust off the new {stage}; the tap is fine, it holds no bacteria yet.")
                                .using(spare(stage.kind()), Material.MEDIA_BAG),
                        back("Put the new {stage} in its place, flat, so that water goes through it and not round."));
            case RESIN -> resin();
            case UV_LAMP -> lamp();
            case UV_SLEEVE -> sleeve();
            case IMPELLER -> impeller(action, filter);
            case SEALS ->
                List.of(step(
                                Phase.HEAD,
                                "seals",
                                "Take each seal out, wipe it, look for cracks and flats, and grease"
                                        + " it thinly with silicone.")
                        .because("Petroleum grease swells seals. A flat or cracked one is replaced.")
                        .using(Material.GREASE));
            case HOSES ->
                List.of(
                        step(
                                        Phase.HOSES,
                                        "mark",
                                        "Mark which way the water runs on each of the {stage}, then pull them off.")
                                .because("Swapped hoses are the commonest mistake after this.")
                                .mind(WET_FLOOR)
                                .does(HANDS_IN, PART_OUT)
                                .writes(FINDING),
                        step(
                                        Phase.HOSES,
                                        "brush",
                                        "Draw the brush through the {stage} both ways; look for kinks and for the O-ring in"
                                                + " each coupling.")
                                .using(Material.HOSE_BRUSH),
                        step(Phase.FILL, "hoses-back", "Push the {stage} back on the ports you marked.")
                                .does(HANDS_IN, PART_IN)
                                .because("In to in, out to out."));
            case RETURN_PUMP ->
                List.of(
                        out("Lift the {stage} out and open its cover."),
                        step(
                                        Phase.HEAD,
                                        "descale",
                                        "Soak the {stage} and its rotor in diluted vinegar, then brush off what is left.")
                                .because("Lime slows the rotor and heats the pump.")
                                .mind(VINEGAR)
                                .using(Material.VINEGAR, Material.SOFT_BRUSH)
                                .waiting(30),
                        step(Phase.HEAD, "descale-rinse", "Rinse the {stage} well under the tap and close its cover."),
                        back("Set the {stage} back in its chamber, fully under water."));
            case AIR_LINE ->
                List.of(step(
                                Phase.HEAD,
                                "stone",
                                "Renew or clean the air stone, and blow through the check valve both ways.")
                        .because("Air must pass one way only, or water siphons back to the air pump.")
                        .using(Material.AIR_STONE)
                        .does(HANDS_IN));
            case OVERFLOW, SETTLING -> List.of();
        };
    }

    private static Material spare(StageKind kind) {
        return kind == StageKind.CARBON ? Material.CARBON : Material.PHOSPHATE_REMOVER;
    }

    /** Bio media that rests under water while other work is done. */
    static List<Template> resting() {
        return List.of(restingInWater(), bioBack());
    }

    private static Template restingInWater() {
        return step(Phase.TAKE_OUT, "out", "Set the {stage} into bucket three and keep it under water.")
                .because("Its bacteria die within the hour if it dries or stands without air.")
                .does(HANDS_IN, PART_OUT);
    }

    private static Template bioBack() {
        return back("Put the {stage} back; trays seat fully, or water goes round them.");
    }

    private static Template out(String text) {
        return step(Phase.TAKE_OUT, "out", text).does(HANDS_IN, PART_OUT).writes(FINDING);
    }

    private static Template back(String text) {
        return step(Phase.PUT_BACK, "back", text).does(HANDS_IN, PART_IN);
    }

    private static List<Template> rinsed(Template out) {
        return List.of(
                out,
                step(
                        Phase.RINSE_FIRST,
                        "first",
                        "Squeeze the {stages} in {water}, bucket one, until it stops getting darker."),
                step(Phase.RINSE_SECOND, "second", "Squeeze the {stages} again in bucket two."),
                step(Phase.RINSE_LAST, "last", "Rinse the {stages} a last time in the cleanest bucket.")
                        .because("Mostly clean is clean enough: what still clings is the bacteria you want to keep."),
                back("Put the {stage} back in its place in the water path."));
    }

    private static List<Template> foamReplaced() {
        return List.of(
                out("Lift the old {stage} out."),
                step(Phase.RENEW, "cut", "Cut the new {stage} three to five millimetres oversize and rinse it.")
                        .because("A snug fit seals; a loose one lets water past.")
                        .using(Material.FOAM, Material.SCISSORS),
                back("Press the new {stage} in, beside the old one for some weeks if there is room.")
                        .because("The old one seeds the new with bacteria."));
    }

    private static List<Template> finePadRinsed() {
        return List.of(
                out("Lift the {stage} out last of the foams, flat, so that it drops nothing."),
                step(Phase.RINSE_LAST, "last", "Rinse the {stage} after all else, in the cleanest {water}."),
                back("Lay the {stage} back flat, to the edges."));
    }

    private static List<Template> padChanged() {
        return List.of(
                out("Lift the {stage} out and throw it away."),
                back("Lay a new {stage} in, a little oversize so that it seals.")
                        .using(Material.FINE_PAD));
    }

    private static List<Template> cartridgeChanged() {
        return List.of(
                out("Lift the {stage} out, slowly, over a cup.").because("Small animals in it go back into the tank."),
                step(Phase.RENEW, "dust", "Rinse the dust off the new {stage}.").using(Material.CARTRIDGE),
                back("Slide the new {stage} in, the way its arrow shows."));
    }

    private static List<Template> cartridgeRebuilt() {
        return List.of(
                out("Lift the {stage} out, slowly, over a cup.").because("Small animals in it go back into the tank."),
                step(
                        Phase.RINSE_FIRST,
                        "rinse",
                        "Rinse the {stage} well in {water}; return small animals to the tank."),
                step(Phase.RENEW, "slit", "Open a slit near the top of the {stage} and tip the spent carbon out.")
                        .mind(SHARP)
                        .using(Material.SCISSORS),
                step(
                                Phase.RENEW,
                                "refill",
                                "Fill in a measured dose of loose carbon, dust rinsed off, and close the slit.")
                        .because("The carbon's label gives the dose for your volume.")
                        .using(Material.LOOSE_CARBON),
                back("Slide the {stage} back, the way its arrow shows."));
    }

    private static List<Template> resin() {
        return List.of(
                out("Take the {stage} bag out."),
                back("Put the spare {stage} bag in, flat.").using(Material.RESIN_BAG),
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

    private static List<Template> lamp() {
        return List.of(
                step(Phase.COOL, "cool", "Let the {stages} cool before its bay is opened.")
                        .mind(UV_LIGHT)
                        .waiting(10),
                bayOpened(),
                step(Phase.LAMP, "lamp-out", "Draw the old {stage} out with a cloth.")
                        .mind(UV_LIGHT, MERCURY, GLASS)
                        .does(PART_OUT),
                step(
                                Phase.LAMP,
                                "lamp-in",
                                "Slide the new {stage} in with a clean cloth, no fingers on the glass. Twins are renewed"
                                        + " together.")
                        .mind(MERCURY, GLASS)
                        .using(Material.UV_LAMP, Material.SOFT_CLOTH)
                        .does(PART_IN),
                bayShut(),
                step(
                                Phase.WATCH,
                                "glow",
                                "Look for the glow through its window only, and write the date on the housing.")
                        .mind(UV_LIGHT));
    }

    private static List<Template> sleeve() {
        return List.of(
                bayOpened(),
                step(
                                Phase.LAMP,
                                "sleeve",
                                "Draw the {stage} out with a cloth, wipe it clear, dry it and slide it back.")
                        .mind(GLASS)
                        .using(Material.SOFT_CLOTH)
                        .writes(FINDING),
                bayShut());
    }

    private static Template bayOpened() {
        return step(Phase.LAMP_OPEN, "bay", "Twist the lamp bay open to its marks.")
                .mind(UV_LIGHT, GLASS)
                .does(LAMP_BAY_OPENED);
    }

    private static Template bayShut() {
        return step(
                        Phase.LAMP_SHUT,
                        "bay-shut",
                        "Seat the sleeve and its O-ring, dry, and twist the bay shut to its mark.")
                .because("Water in the lamp bay is an electrical danger.")
                .mind(ELECTRICITY, GLASS)
                .does(LAMP_BAY_SHUT);
    }

    private static List<Template> impeller(CareAction action, FilterKind filter) {
        Template out = step(
                        Phase.HEAD_OUT,
                        "impeller-out",
                        "Draw the {stage} out by its shaft; screws go into a cup, counted.")
                .because("Parts lost here stop the pump.")
                .using(Material.CUP)
                .does(HANDS_IN, PART_OUT);
        Template work = action == CareAction.INSPECT
                ? step(
                        Phase.HEAD,
                        "impeller-look",
                        "Look at magnet, blades, bushing and shaft. Replace at the first wear you see.")
                : step(
                                Phase.HEAD,
                                "impeller-clean",
                                "Brush the {stage} and its well softly, without scratching; stray media out.")
                        .using(Material.SOFT_BRUSH);
        Template in = step(
                        Phase.HEAD_IN,
                        "impeller-in",
                        "Slide the {stage} back; it turns freely by hand. All screws are back.")
                .does(PART_IN);
        return filter == FilterKind.CANISTER ? List.of(out, work, in) : List.of(out, work, in.does(HANDS_IN, PART_IN));
    }

    /** Whether a stage of this kind rests under water while its canister stands open. */
    static boolean restsUnderWater(StageKind kind) {
        return kind == StageKind.BIO_MEDIA;
    }
}
