package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.procedure.Situation.Chore;
import java.util.ArrayList;
import java.util.List;

/** Opening and closing that every service of a kind of filter has, whatever is done in between. */
final class CommonSteps {
    private CommonSteps() {}

    /**
     * Before and after work with hands in the water.
     *
     * @param opened whether a closed canister is opened
     */
    static List<Template> around(Situation situation, boolean opened, int buckets) {
        List<Template> steps = new ArrayList<>();
        steps.add(step(Phase.PREPARE, "gloves", "Cover cuts, put on gloves, lay out towel and drip tray.")
                .mind(GERMS, WET_FLOOR)
                .using(Material.GLOVES));
        if (situation.kind() != FilterKind.AIR_SPONGE && situation.kind() != FilterKind.UV_UNIT) {
            steps.add(
                    step(Phase.MEASURE, "flow-before", "If you measure flow: catch it at the outlet for some seconds.")
                            .because("Flow before and after tells whether it helped.")
                            .writes(FLOW_BEFORE));
        }
        if (buckets > 0 && !situation.practice().tapAllowed()) {
            steps.add(step(Phase.DRAW, "draw", "Draw {buckets} of tank water, two thirds full.")
                    .because(situation.practice().whyWater())
                    .mind(SIPHON));
        }
        steps.addAll(stopping(situation.kind()));
        if (opened) {
            steps.addAll(canisterOpened());
        }
        steps.addAll(starting(situation.kind(), opened));
        return steps;
    }

    static List<Template> housing() {
        return List.of(
                step(Phase.HOUSING, "housing", "Wash housing and trays under the tap, while no media touches them.")
                        .because("You chose full cleaning for this tank."));
    }

    static List<Template> chore(Chore chore) {
        return switch (chore) {
            case ROCK_BLOW_OFF ->
                List.of(
                        step(
                                        Phase.ROCK,
                                        "blow",
                                        "Blow the detritus off the rock, top to bottom. Leave all pumps running.")
                                .because("What comes loose must reach the mechanical stage.")
                                .using(Material.ROCK_PUMP),
                        step(Phase.ROCK, "settle", "Wait until the water begins to clear.")
                                .waiting(15),
                        step(
                                        Phase.ROCK,
                                        "blow-again",
                                        "Second pass over the rock, then work on the filter the same day.")
                                .because("The sock or pad now holds it; left in, it becomes nitrate."));
            case BIO_PART_REPLACED ->
                List.of(
                        step(
                                        Phase.PREPARE,
                                        "bio-read",
                                        "Test ammonia and nitrite first. Above zero, leave the media for another day.")
                                .because("New media holds no bacteria yet; the rest must carry the tank."),
                        step(
                                        Phase.RENEW,
                                        "bio-new",
                                        "Rinse the dust off the new media. Exchange {media}, old beside new.")
                                .because(
                                        "A quarter in a tank under 90 days, half in one over a year, rising between, within 28"
                                                + " days and over all its filters.")
                                .mind(GERMS)
                                .using(Material.BIO_MEDIA)
                                .does(HANDS_IN),
                        step(Phase.RENEW, "bio-old", "Keep the old media wet: it can seed another filter at once."),
                        step(
                                Phase.FINISH,
                                "bio-watch",
                                "Test ammonia and nitrite on days 1, 2, 4 and 7, nitrate weekly for eight"
                                        + " weeks. Write the days down."));
            case SUBSTRATE_VACUUM ->
                List.of(step(
                                Phase.DRAW,
                                "vacuum",
                                "Vacuum the substrate in rows; pinch the hose to let sand fall back.")
                        .because("What is drained is your rinse water.")
                        .mind(SIPHON, GAS)
                        .using(Material.SIPHON, Material.BUCKET));
        };
    }

    private static List<Template> stopping(FilterKind kind) {
        Template stop =
                switch (kind) {
                    case AIR_SPONGE -> step(Phase.STOP, "stop", "Unplug the air pump of {filter}.");
                    case UV_UNIT -> step(Phase.STOP, "stop", "Unplug the UV unit {filter} and its pump.");
                    case SUMP ->
                        step(
                                        Phase.STOP,
                                        "stop",
                                        "Heater off. Unplug the return pump of {filter} before its chamber runs low.")
                                .because(
                                        "A pump that runs dry burns out. The tank drains down into the sump: leave room.");
                    default ->
                        step(Phase.STOP, "stop", "Heater off, then unplug {filter}.")
                                .because("Lifted foam sheds its dirt while the pump runs.");
                };
        return List.of(stop.mind(ELECTRICITY).does(POWER_OFF));
    }

    private static List<Template> canisterOpened() {
        return List.of(
                step(Phase.SHUT, "valves", "Shut both valves, undo the couplings, catch the drips.")
                        .mind(WET_FLOOR),
                step(Phase.DRAIN, "tip", "Undo the lid clamps and tip the canister's own water away.")
                        .because("It holds the loosest dirt.")
                        .mind(HEAVY)
                        .does(HANDS_IN, FILTER_OPENED),
                step(Phase.SEAL, "lid", "Wipe and grease the lid seal, close the clamps without force.")
                        .because("If it needs force, a tray or the lid is not seated.")
                        .does(HANDS_IN, FILTER_SHUT));
    }

    private static List<Template> starting(FilterKind kind, boolean opened) {
        List<Template> steps = new ArrayList<>();
        if (opened) {
            steps.add(step(Phase.FILL, "fill", "Fill the canister with tank water before it starts.")
                    .because("A pump that starts dry pulls air."));
            steps.add(step(Phase.CONNECT, "connect", "Couple the hoses to their marked ports and open the valves."));
        } else if (kind == FilterKind.HANG_ON_BACK) {
            steps.add(step(Phase.FILL, "fill", "Fill its box with tank water if it does not prime itself."));
        } else if (kind == FilterKind.SUMP) {
            steps.add(step(Phase.FILL, "fill", "Refill the sump to its mark; the return chamber covers the pump."));
        }
        steps.add(step(Phase.START, "start", "Dry hands, drip loop, plug in {filter}. Is water moving?")
                .because("A filter left off is the costliest slip of all.")
                .mind(ELECTRICITY)
                .writes(RESTART)
                .does(POWER_ON));
        steps.add(watching(kind));
        if (kind != FilterKind.AIR_SPONGE && kind != FilterKind.UV_UNIT) {
            steps.add(step(Phase.FLOW, "flow-after", "If you measure flow: catch it again, now that it is clean.")
                    .because("This is the clean baseline that later losses are judged by.")
                    .writes(FLOW_AFTER));
        }
        boolean heaterWasOff = kind != FilterKind.AIR_SPONGE && kind != FilterKind.UV_UNIT;
        steps.add(step(
                        Phase.FINISH,
                        "finish",
                        (heaterWasOff ? "Heater on. " : "")
                                + "Top up; conditioner for the volume its label says. Leak sensor dry, cords dry, hands washed.")
                .mind(ELECTRICITY, GERMS));
        return steps;
    }

    private static Template watching(FilterKind kind) {
        return kind == FilterKind.SUMP
                ? step(
                                Phase.WATCH,
                                "watch",
                                "Expect a burst of dirt; a net over the outlet catches the first. Check the level after"
                                        + " ten minutes.")
                        .waiting(10)
                : step(
                                Phase.WATCH,
                                "watch",
                                "Watch for drips and air for five minutes. Dirt that blows back settles in minutes.")
                        .waiting(5);
    }
}
