package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;

/**
 * Opening and closing that every service of a kind of filter has, whatever is done in between, in an order that never
 * varies: heater off before any water leaves, power off before any hand, water shut in before any hose, the tank topped up
 * before the start, the heater on last (docs/sources.md#procedures).
 */
final class CommonSteps {
    private static final int LEAK_MINUTES = 5;
    private static final int SUMP_MINUTES = 10;
    private static final int BAY_MINUTES = 10;
    private static final int SUMP_SETTLES_MINUTES = 3;

    private CommonSteps() {}

    static List<Template> around(Situation situation, Extent extent) {
        List<Template> steps = new ArrayList<>();
        Turn turn = situation.turn();
        if (turn.first() && (extent.touchesWater() || extent.dry())) {
            steps.add(gloves());
        }
        if (extent.touchesWater()) {
            steps.addAll(HeaterSteps.of(situation));
        }
        if (turn.first() && extent.tubs().count() > 0) {
            steps.add(step(Phase.DRAW, "draw", "{draw}").mind(SIPHON).does(WATER_OUT));
        }
        if (extent.stops()) {
            stopping(situation, extent, steps);
            boolean letsWater = extent.opened() || extent.hosesOff() || extent.bayOpened();
            if (situation.build().hangsOnHoses() && letsWater) {
                shutting(situation.build(), extent.hosesOff(), steps);
                drained(situation, steps);
            } else if (extent.hosesOff() && !situation.build().hangsOnHoses()) {
                hosesOff(steps, "Let the pipes drain back, then take the hoses off over a bucket.", Material.BUCKET);
            }
            opening(situation.build(), extent, steps);
            FillSteps.add(situation.build(), extent, steps);
        }
        if (extent.waterLeaves()) {
            steps.add(levelOf(situation.kind()));
        }
        if (extent.stops()) {
            starting(situation, extent, steps);
        }
        steps.addAll(AnimalSteps.besides(situation, extent));
        if (turn.last() && (extent.touchesWater() || extent.dry())) {
            steps.add(finish());
        }
        return steps;
    }

    static Template gloves() {
        return step(Phase.PREPARE, "gloves", "Cover cuts, put on gloves, and lay out towel and drip tray.")
                .mind(GERMS, WET_FLOOR)
                .using(Material.GLOVES);
    }

    /** A tank over a sump is level at its weir, and the sump is where the water is missing. */
    private static Template levelOf(FilterKind kind) {
        return kind == FilterKind.SUMP ? levelOfSump() : level();
    }

    private static Template levelOfSump() {
        return step(
                        Phase.LEVEL,
                        "level",
                        "Fill the tank to its weir and the sump to its off mark with conditioned water of the same"
                                + " temperature.")
                .because(
                        "The product’s label says how much conditioner; salt water is mixed to the tank’s salinity first. Started"
                                + " too low, the pump runs dry.")
                .does(TOPPED_UP);
    }

    static Template level() {
        return step(Phase.LEVEL, "level", "Top up the tank to its line with conditioned water of the same temperature.")
                .because(
                        "The product’s label says how much conditioner; salt water is mixed to the tank’s salinity first. A"
                                + " pump that draws air runs dry.")
                .does(TOPPED_UP);
    }

    static Template finish() {
        return step(Phase.FINISH, "finish", "Check that leak sensor and cords are dry, then wash your hands.")
                .mind(ELECTRICITY, GERMS);
    }

    static boolean measuresFlow(Situation situation) {
        FilterKind kind = situation.kind();
        return situation.practice().measuresFlow() && kind != FilterKind.AIR_SPONGE && kind != FilterKind.UV_UNIT;
    }

    private static void stopping(Situation situation, Extent extent, List<Template> steps) {
        FilterKind kind = situation.kind();
        if (measuresFlow(situation)) {
            steps.add(
                    step(Phase.MEASURE, "flow-before", "If you measure flow: catch it at the outlet for some seconds.")
                            .because("Flow before and after tells whether it helped.")
                            .writes(FLOW_BEFORE));
        }
        steps.add(stop(situation, litWithin(situation, extent)));
        if (kind == FilterKind.INTERNAL) {
            steps.add(liftedOut());
            steps.add(step(
                            Phase.LID,
                            "lift-in",
                            "Set {filter} back under water, below its line, and tilt it until the air is out.")
                    .does(HANDS_IN));
        }
    }

    /** What hangs in the tank comes out in something that holds its dirt. */
    static Template liftedOut() {
        return step(Phase.OPEN, "lift-out", "Lift {filter} out of the tank in a tub or bag.")
                .because("Lifted bare, it sheds its dirt into the tank.")
                .does(HANDS_IN);
    }

    /** The filter stands before any hand goes in; its lamp first. */
    static Template stop(Situation situation, boolean lit) {
        FilterKind kind = situation.kind();
        String lamp = lit && kind != FilterKind.UV_UNIT ? "the lamp, then " : "";
        Template stop =
                switch (kind) {
                    case AIR_SPONGE ->
                        step(
                                        Phase.STOP,
                                        "stop",
                                        "Raise the air line above the water if it has no check valve, then unplug the air"
                                                + " pump of {filter}.")
                                .because("Without a check valve, water runs back into the pump.");
                    case UV_UNIT -> step(Phase.STOP, "stop", "Unplug the lamp of {filter}, then its pump.");
                    case SUMP ->
                        step(
                                        Phase.STOP_FIRST,
                                        "stop",
                                        "Turn off the top-off and the skimmer. Unplug " + lamp
                                                + "the return pump of {filter}, and wait until the level in the sump rests.")
                                .because(
                                        "A pump that runs dry burns out, and a top-off pours into a lowered sump. The tank"
                                                + " drains down: leave room.")
                                .waiting(SUMP_SETTLES_MINUTES);
                    default ->
                        step(Phase.STOP, "stop", "Unplug " + lamp + "{filter}.")
                                .because("Lifted foam sheds its dirt while the pump runs.");
                };
        return stop.mind(ELECTRICITY).does(POWER_OFF);
    }

    static void shutting(Build build, boolean off, List<Template> steps) {
        switch (build.water().shutOff()) {
            case VALVES -> {
                steps.add(step(Phase.SHUT, "shut", "Shut both valves.").does(WATER_SHUT));
                if (off) {
                    hosesOff(steps, "Undo the couplings over the drip tray.");
                }
                steps.add(step(Phase.WATER_ON, "open", "Open both valves.").does(WATER_ON));
            }
            case BLOCK -> {
                steps.add(step(Phase.SHUT, "shut", "Shut the lever of the hose block.")
                        .does(WATER_SHUT));
                if (off) {
                    blockOff(steps);
                }
                steps.add(step(Phase.WATER_ON, "open", "Open the lever of the hose block.")
                        .does(WATER_ON));
            }
            case NONE -> {
                steps.add(step(
                                Phase.SHUT,
                                "break",
                                "Lift both hose ends out of the tank's water so that air gets in, and fix them there.")
                        .because("That breaks the siphon: without valves nothing else holds the tank's water back.")
                        .mind(FLOOD)
                        .does(HANDS_IN, WATER_SHUT));
                if (off) {
                    hosesOff(
                            steps,
                            "Hold a bucket below, take the hoses off the filter and let them drain.",
                            Material.BUCKET);
                }
                steps.add(step(Phase.WATER_ON, "ends-in", "Put both hose ends back into the water.")
                        .does(HANDS_IN, WATER_ON));
            }
        }
    }

    /** It fits one way only, so that nothing has to be marked. */
    private static void blockOff(List<Template> steps) {
        steps.add(step(Phase.UNCOUPLE, "uncouple", "Lift the hose block off over the drip tray.")
                .mind(WET_FLOOR)
                .does(HANDS_IN, HOSES_OFF));
        steps.add(step(Phase.CONNECT, "connect", "Press the hose block back until it clicks.")
                .because("It fits one way only. If it needs force, look for a ring that is not seated.")
                .does(HANDS_IN, HOSES_ON));
    }

    /** The lamp of a UV unit lies dry in its sleeve; only with the sleeve does the unit's water come out. */
    private static void drained(Situation situation, List<Template> steps) {
        boolean sleeve = situation.work().tasks().stream()
                .flatMap(task -> situation.stageOf(task).stream())
                .anyMatch(stage -> stage.kind() == StageKind.UV_SLEEVE || stage.kind() == StageKind.SEALS);
        if (situation.build().is(FilterKind.UV_UNIT) && sleeve) {
            steps.add(step(
                            Phase.SLEEVE_OUT,
                            "drain",
                            "Hold {filter} over a bucket, lamp end up. Its water runs out beside the sleeve.")
                    .using(Material.BUCKET)
                    .does(HANDS_IN));
        }
    }

    private static void hosesOff(List<Template> steps, String how, Material... vessel) {
        steps.add(step(Phase.MARK, "mark", "Mark the hoses: which is in, which is out, and which way the water runs.")
                .because("Swapped hoses are the commonest mistake after this.")
                .does(HOSES_MARKED));
        steps.add(step(Phase.UNCOUPLE, "uncouple", how)
                .mind(WET_FLOOR)
                .using(vessel)
                .does(HANDS_IN, HOSES_OFF));
        steps.add(step(Phase.CONNECT, "connect", "Push each hose onto its marked port: in to in, out to out.")
                .does(HANDS_IN, HOSES_ON));
    }

    private static void opening(Build build, Extent extent, List<Template> steps) {
        if (!extent.opened()) {
            return;
        }
        if (Extent.isCarried(build)) {
            steps.add(step(Phase.CARRY, "carry", "Carry {filter}, upright, to where there is room above it.")
                    .because("It is full of water.")
                    .mind(HEAVY, WET_FLOOR)
                    .does(HANDS_IN));
            steps.add(step(Phase.CARRY_BACK, "stand", "Stand {filter} back in its place, upright.")
                    .mind(HEAVY)
                    .does(HANDS_IN));
        }
        steps.add(step(Phase.OPEN, "lid-off", lidOff(build)).does(HANDS_IN, FILTER_OPENED));
        if (extent.emptied()) {
            steps.add(step(Phase.TIP, "tip", "Tip away the water that is left in the canister.")
                    .because("It holds the loosest dirt, and nothing that lives is in it now.")
                    .mind(HEAVY)
                    .does(HANDS_IN, TIPPED));
        }
        if (extent.housing()) {
            steps.add(step(Phase.HOUSING, "housing", "Wash housing and empty trays under the tap, away from all media.")
                    .because("You chose full cleaning for this tank."));
        }
        seated(build).ifPresent(steps::add);
        steps.add(lid(build));
    }

    /** The head goes on. */
    static Template lid(Build build) {
        String mark = build.housing().alignmentMark() ? ", its mark on the mark of the body," : "";
        return step(
                        Phase.LID,
                        "lid",
                        "Wipe the lid's seal, grease it thinly, press the head down" + mark + " and close the "
                                + latches(build) + ".")
                .because("They close without force. If they need force, a tray or the head is not seated.")
                .using(Material.GREASE)
                .does(HANDS_IN, FILTER_SHUT);
    }

    static String lidOff(Build build) {
        String how = build.housing().latches() > 2
                ? "Release the latches opposite each other"
                : "Release the " + latches(build);
        return how + (build.housing().wiggle() ? ", then wiggle the head up." : ", then lift the head straight up.");
    }

    private static String latches(Build build) {
        return switch (build.housing().latches()) {
            case 0 -> "lock";
            case 1 -> "latch";
            default -> "latches";
        };
    }

    /** What is looked at before the head goes on. */
    static Optional<Template> seated(Build build) {
        boolean vent = build.housing().ventTube();
        boolean guard = build.housing().pumpGuard();
        if (!vent && !guard) {
            return Optional.empty();
        }
        String words =
                (vent ? "Is the vent tube up? " : "") + (guard ? "Is the guard over the pump, and no bag on it?" : "");
        return Optional.of(step(Phase.LID, "seated", words.strip())
                .because("A tube that lies down traps air, and a bag on the guard starves the pump.")
                .does(HANDS_IN));
    }

    private static void starting(Situation situation, Extent extent, List<Template> steps) {
        FilterKind kind = situation.kind();
        boolean lampWaits = litWithin(situation, extent);
        String off = lampWaits ? " The lamp stays off." : "";
        steps.add(step(
                        Phase.START,
                        "start",
                        "Dry your hands, check the drip loop, and plug in "
                                + (kind == FilterKind.UV_UNIT ? "the pump of {filter}" : "{filter}")
                                + ". Is water moving?" + off)
                .because("A filter left off is the costliest slip of all." + pause(situation.build()))
                .mind(ELECTRICITY)
                .writes(RESTART)
                .does(POWER_ON));
        steps.add(watching(kind, extent.bayOpened()));
        if (lampWaits) {
            steps.add(step(
                            Phase.LAMP_ON,
                            "lamp-on",
                            (extent.bayOpened() ? "Is the bay still dry? " : "")
                                    + "Dry your hands, plug in the lamp, and look for the glow through its window"
                                    + " only.")
                    .mind(UV_LIGHT, ELECTRICITY)
                    .does(LAMP_ON));
        }
        if (kind == FilterKind.SUMP) {
            steps.add(step(Phase.LAMP_ON, "sump-on", "Turn on the skimmer and the top-off once the level rests."));
        }
        if (measuresFlow(situation)) {
            steps.add(step(Phase.FLOW, "flow-after", "If you measure flow: catch it again, now that it is clean.")
                    .because("This is the clean baseline that later losses are judged by.")
                    .writes(FLOW_AFTER));
        }
    }

    /** What lets air out by itself stands still for a while. */
    static String pause(Build build) {
        return build.water().purge() == Build.Purge.NONE
                ? ""
                : " This one stops by itself to let air out: wait for it to run again before you confirm.";
    }

    /** A lamp in or on the filter is off whenever its water stands. */
    private static boolean litWithin(Situation situation, Extent extent) {
        return extent.bayOpened() || situation.hasLamp();
    }

    private static Template watching(FilterKind kind, boolean bayOpened) {
        if (kind == FilterKind.SUMP) {
            return step(
                            Phase.WATCH,
                            "watch",
                            "The water will look dirty for a while. Check the level in the sump after ten minutes.")
                    .waiting(SUMP_MINUTES);
        }
        return step(Phase.WATCH, "watch", "Watch for drips and air. Dirt that blows back settles in minutes.")
                .waiting(bayOpened ? BAY_MINUTES : LEAK_MINUTES);
    }
}
