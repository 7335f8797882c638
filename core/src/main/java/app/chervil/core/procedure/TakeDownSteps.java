package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Collectors;

/**
 * Taking a filter down, in the order hands can do it (docs/sources.md#take-down): along to another place with what lives in it
 * kept under tank water, or dried and put away. The tank is left with its level, its heater and a way to clean its water.
 */
final class TakeDownSteps {
    private static final int HOUR = 60;

    private final Situation situation;
    private final Build build;
    private final boolean moves;
    private final List<Bound> steps = new ArrayList<>();

    private TakeDownSteps(Situation situation, Occasion why) {
        this.situation = situation;
        this.build = situation.build();
        this.moves = why == Occasion.MOVE;
    }

    static List<Bound> of(Situation situation, Occasion why) {
        TakeDownSteps down = new TakeDownSteps(situation, why);
        down.prepared();
        down.stopped();
        if (situation.hasLamp()) {
            down.lampPacked();
        }
        down.emptied();
        down.left();
        down.washed();
        down.packed();
        return down.steps;
    }

    private void add(Template template) {
        steps.add(Bound.common(template));
    }

    private void prepared() {
        if (build.is(FilterKind.UV_UNIT)) {
            add(step(Phase.READ, "beside", "Do the tank's other filters run?")
                    .because("A lamp holds no bacteria; the water it clears may cloud again without it."));
        } else if (moves) {
            add(step(Phase.READ, "beside", "Are the animals boxed in their own water, or cared for by another filter?")
                    .because("If not, see to them first. The filter comes down last, and is set up first."));
        } else {
            add(step(
                            Phase.READ,
                            "beside",
                            "Has another filter run on this tank for six weeks, or do no animals live in it?")
                    .because("If neither, stop here: most of what cleans this tank's water lives in this filter."));
        }
        add(CommonSteps.gloves());
        add(HeaterSteps.off(build));
        if (holdsLife()) {
            add(step(Phase.DRAW, "keep-bucket", keeping())
                    .because("In their own water they keep; what tap water holds against germs kills them.")
                    .mind(SIPHON)
                    .using(Material.MEDIA_BUCKET)
                    .does(WATER_OUT));
        }
    }

    private String keeping() {
        if (!moves) {
            return "Take a clean bucket, and enough tank water to cover media that shall live.";
        }
        return holdsFoam()
                ? "Take two clean buckets of tank water: one deep enough to cover foam and media, one to squeeze foam in."
                : "Take a clean bucket, and enough tank water to cover the media.";
    }

    private boolean holdsLife() {
        return holdsFoam() || situation.path().stream().anyMatch(Procedure::isBio);
    }

    private boolean holdsFoam() {
        return build.is(FilterKind.AIR_SPONGE)
                || situation.path().stream().anyMatch(stage -> stage.kind().isSqueezed());
    }

    private void stopped() {
        add(CommonSteps.stop(situation, situation.hasLamp()));
        if (build.is(FilterKind.INTERNAL)) {
            add(CommonSteps.liftedOut());
        }
        if (build.is(FilterKind.HANG_ON_BACK)) {
            add(step(Phase.CARRY, "lift-off", "Lift {filter} off the rim over a bucket, and let it drain.")
                    .mind(WET_FLOOR)
                    .using(Material.BUCKET)
                    .does(HANDS_IN));
        }
        if (build.is(FilterKind.AIR_SPONGE)) {
            add(step(Phase.CARRY, "lift-out", "Lift the sponge out in a bag.")
                    .because("Lifted bare, it sheds its dirt into the tank.")
                    .does(HANDS_IN));
        }
        if (build.hangsOnHoses()) {
            List<Template> shut = new ArrayList<>();
            CommonSteps.shutting(build, true, shut);
            shut.stream().filter(one -> one.phase().compareTo(Phase.CARRY) < 0).forEach(this::add);
            add(step(
                            Phase.CARRY,
                            "pipes",
                            "Lift pipes and hoses out of the tank, and drain them into the empty bucket.")
                    .mind(WET_FLOOR)
                    .using(Material.BUCKET)
                    .does(HANDS_IN));
        }
        if (situation.path().stream().anyMatch(stage -> stage.kind() == StageKind.SOCK)) {
            add(step(Phase.CARRY, "socks-out", "Lift the socks out over a bucket.")
                    .using(Material.BUCKET)
                    .does(HANDS_IN));
        }
        if (build.is(FilterKind.SUMP)) {
            add(step(
                            Phase.CARRY,
                            "drain-sump",
                            "Pump or siphon the sump empty, down to a finger's width. Then loosen drain and return over a"
                                    + " bucket.")
                    .because("Never lifted with water in it: its seams are not made for that.")
                    .mind(SIPHON, HEAVY)
                    .using(Material.SIPHON, Material.BUCKET)
                    .does(HANDS_IN));
        }
    }

    private void lampPacked() {
        add(LampSteps.cool());
        add(LampSteps.bayOpened());
        add(LampSteps.lampOut());
        if (situation.path().stream().anyMatch(stage -> stage.kind() == StageKind.UV_SLEEVE)
                || build.is(FilterKind.UV_UNIT)) {
            add(LampSteps.sleeveOut());
        }
        add(step(Phase.LAMP_SHUT, "wrap", "Wrap lamp and sleeve apart in cloth, in a box that says glass.")
                .because("Neither is lit again before it is back in its housing.")
                .mind(MERCURY, GLASS)
                .using(Material.SOFT_CLOTH));
    }

    /** From the first that a hand meets to the last. */
    private void emptied() {
        if (build.is(FilterKind.CANISTER)) {
            if (Extent.isCarried(build)) {
                add(step(Phase.CARRY, "carry", "Carry {filter}, upright, to where there is room above it.")
                        .because("It is full of water.")
                        .mind(HEAVY, WET_FLOOR)
                        .does(HANDS_IN));
            }
            add(step(Phase.OPEN, "lid-off", CommonSteps.lidOff(build)).does(HANDS_IN, FILTER_OPENED));
        }
        List<Place> places = situation.passport().places();
        for (int number = 0; number < places.size(); number++) {
            Place place = places.get(number);
            if (!place.contents().isEmpty()) {
                Template lifted = step(Phase.TAKE_OUT, "unload", unload(place));
                Template out =
                        isAlive(place) ? lifted.does(HANDS_IN, PLACE_OUT, BIO_OUT) : lifted.does(HANDS_IN, PLACE_OUT);
                steps.add(Bound.lifting(out, new Handled.Tray(number, place.name(), number, Handled.Holds.NEITHER)));
            }
        }
        if (build.is(FilterKind.CANISTER)) {
            add(step(Phase.TIP, "tip", "Tip away the water that is left in the canister.")
                    .because("It is never carried far with water in it.")
                    .mind(HEAVY)
                    .does(HANDS_IN, TIPPED));
        }
    }

    private boolean isAlive(Place place) {
        return place.contents().stream()
                .map(content -> situation.path().get(content.stage()))
                .anyMatch(Procedure::isBio);
    }

    private String unload(Place place) {
        List<PathStage> stages = place.contents().stream()
                .map(Content::stage)
                .map(situation.path()::get)
                .distinct()
                .toList();
        String what = "Take out the "
                + stages.stream().map(PathStage::name).distinct().collect(Collectors.joining(" and the "));
        if (isAlive(place)) {
            return what + ". What shall live goes into the bucket at once, under water.";
        }
        if (!moves) {
            return what + ".";
        }
        boolean thrownAway = stages.stream().allMatch(stage -> stage.kind().isPadOrBag());
        boolean kept = stages.stream().noneMatch(stage -> stage.kind().isPadOrBag());
        return what
                + (thrownAway
                        ? ". If it is spent, throw it away."
                        : kept ? ", into the bucket." : ". Foam goes into the bucket.");
    }

    private void washed() {
        if (moves) {
            if (holdsFoam()) {
                add(
                        step(
                                        Phase.RINSE_FIRST,
                                        "rinse",
                                        "Squeeze foam out in the other bucket of tank water, and lay it back into the clean one, wet.")
                                .because(
                                        "Dirt that travels along uses up their oxygen. Spent carbon and pads are thrown away."));
            }
            if (holdsLife()) {
                add(step(
                                Phase.BENCH,
                                "air",
                                "Leave the bucket half full and loosely covered, at the tank's temperature. For longer"
                                        + " than an hour hang an air stone into it.")
                        .because(
                                "Shut in without flow, bacteria use up their oxygen within the hour. Dried, or a day without"
                                        + " air, they are dead: such media starts like new.")
                        .waiting(HOUR));
            }
            return;
        }
        if (holdsLife()) {
            add(
                    step(
                                    Phase.RINSE_FIRST,
                                    "alive",
                                    "Put media that shall live into a filter that runs, today: write down which, and where.")
                            .because(
                                    "What dries is dead, and starts like new media. A medicated or ill tank's media goes to no other."));
        }
        add(step(
                        Phase.HOUSING,
                        "wash",
                        build.is(FilterKind.UV_UNIT)
                                ? "Wash its housing and hoses under the tap."
                                : "Wash housing, trays, hoses and dead foam under the tap. Throw pads, floss and chemical media"
                                        + " away.")
                .because("Nothing that lives is in them now. No soap: it stays."));
    }

    private void packed() {
        if (!moves && hasRotor()) {
            add(step(
                            Phase.HEAD,
                            "rotor",
                            "Draw rotor and shaft, take lime off them and the well with vinegar, rinse twice, and lay them"
                                    + " back in dry.")
                    .because("Slime and lime that dry stick the rotor fast. Its magnet pinches.")
                    .mind(VINEGAR)
                    .using(Material.SOFT_BRUSH, Material.VINEGAR));
        }
        if (!moves && build.is(FilterKind.CANISTER)) {
            add(step(Phase.HEAD, "ring", "Take the lid's ring off, dry it, and rub a film of silicone on it.")
                    .because("Stored under a shut lid it goes flat, and drips at the next start.")
                    .using(Material.GREASE));
        }
        add(
                moves
                        ? step(
                                        Phase.BENCH,
                                        "pack",
                                        "Pack {filter} upright and empty, its cords dry and apart. Small parts go into one bag.")
                                .because("What is missing at the other end keeps it from starting.")
                                .mind(ELECTRICITY)
                        : step(
                                        Phase.BENCH,
                                        "dry",
                                        "Lay everything out open, and leave it to dry for two days. You will be asked then.")
                                .because("Shut wet, it moulds. Out of frost and sun plastic stays sound."));
        add(CommonSteps.finish()
                .because(
                        moves
                                ? "Set it up as soon as you are there. Water that was shut in it for over four hours is tipped away,"
                                        + " never started into the tank."
                                : "When it comes back: look at cord, seals and rotor, then set it up."));
    }

    private boolean hasRotor() {
        return switch (build.kind()) {
            case CANISTER, HANG_ON_BACK, INTERNAL -> true;
            case SUMP, AIR_SPONGE, UV_UNIT ->
                situation.path().stream()
                        .anyMatch(stage -> stage.kind() == StageKind.IMPELLER || stage.kind() == StageKind.RETURN_PUMP);
        };
    }

    /** What the tank needs, once the filter is gone. */
    private void left() {
        add(CommonSteps.level().because("If the tank is emptied as well, skip this and leave its heater off."));
        if (build.heaterNeedsFlow()) {
            add(step(
                            Phase.HEATER_ON,
                            "heater-other",
                            "Do animals still live in the tank? Hang another heater in, under water, and turn it on.")
                    .because("Its heater went with the filter, and is never lit without flow.")
                    .mind(ELECTRICITY));
        } else {
            add(build.is(FilterKind.SUMP) ? heaterMovedOver() : HeaterSteps.on(build));
        }
    }

    /** Most sumps hold the heater, and this one is empty now. */
    private static Template heaterMovedOver() {
        return step(
                        Phase.HEATER_ON,
                        "heater-on",
                        "Hang the heater into the tank, if it was in the sump. Is it under water? Turn it on.")
                .because("Last of all, so that it is never lit in air.")
                .mind(ELECTRICITY)
                .does(HEATER_ON);
    }
}
