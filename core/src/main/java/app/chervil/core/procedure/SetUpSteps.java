package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.filter.StageKind.Texture;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.passport.Place;
import app.chervil.core.passport.Place.Content;
import app.chervil.core.procedure.Situation.PathStage;
import java.util.ArrayList;
import java.util.List;

/**
 * Putting a filter together and starting it on a tank, in the order hands can do it (docs/sources.md#set-up): parts counted, dust
 * rinsed off, each place filled from the bottom up, the filter in its place, hoses, water, the start, and the first looks for
 * leaks.
 */
final class SetUpSteps {
    private static final int LEAK_MINUTES = 10;
    private static final int REST_MINUTES = 5;

    private final Situation situation;
    private final Build build;
    private final List<Bound> steps = new ArrayList<>();

    private SetUpSteps(Situation situation) {
        this.situation = situation;
        this.build = situation.build();
    }

    static List<Bound> of(Situation situation) {
        SetUpSteps setUp = new SetUpSteps(situation);
        setUp.prepared();
        setUp.loaded();
        if (situation.hasLamp()) {
            setUp.add(LampSteps.seated());
        }
        if (situation.build().is(FilterKind.INTERNAL)) {
            setUp.intake();
            setUp.placed();
        } else {
            setUp.placed();
            setUp.piped();
            setUp.intake();
        }
        AnimalSteps.guards(situation).forEach(setUp::add);
        setUp.filled();
        setUp.started();
        return setUp.steps;
    }

    private void add(Template template) {
        steps.add(Bound.common(template));
    }

    private void prepared() {
        add(step(Phase.PREPARE, "count", "Lay everything out, and tick every part off the maker's list.")
                .because("What is missing is found now, not with water in the filter. Missing a part, stop here."));
        add(CommonSteps.gloves());
        add(step(Phase.HEATER_OFF, "heater-off", "Turn the heater off.")
                .because("Filling the filter lowers the tank. Out of the water a heater cracks or burns.")
                .mind(ELECTRICITY)
                .does(HEATER_OFF));
        if (build.is(FilterKind.AIR_SPONGE) || situation.path().stream().anyMatch(SetUpSteps::isRinsed)) {
            add(dust());
        }
    }

    private static boolean isRinsed(PathStage stage) {
        Texture texture = stage.kind().texture();
        return stage.kind().isSqueezed()
                || texture == Texture.FINE
                || texture == Texture.GRAINS
                || Procedure.isBio(stage);
    }

    private static Template dust() {
        return step(Phase.RENEW, "dust", "Rinse new foam and media under the tap until the water runs clear.")
                .because(
                        "Nothing lives in them yet. What comes from a running tank is rinsed in tank water only, and kept"
                                + " wet. Carbon stays in its bag.");
    }

    /** From the bottom up: the last place a hand meets is filled first. */
    private void loaded() {
        List<Place> places = situation.passport().places();
        for (int number = places.size() - 1; number >= 0; number--) {
            Place place = places.get(number);
            if (!place.contents().isEmpty()) {
                Template load = step(Phase.PUT_BACK, "load", load(place))
                        .because("Water goes round what is not seated. Foam fits snugly, media lies loose.")
                        .does(HANDS_IN, PLACE_IN);
                steps.add(Bound.lifting(load, new Handled.Tray(number, place.name(), number, Handled.Holds.NEITHER)));
            }
        }
        situation.path().stream()
                .filter(stage -> stage.kind() == StageKind.SOCK)
                .forEach(sock -> steps.add(Bound.resting(
                        step(Phase.PUT_BACK, "sock", "Hang the {stage} and press its ring down until it stops.")
                                .does(HANDS_IN),
                        sock)));
        if (build.is(FilterKind.AIR_SPONGE)) {
            add(step(Phase.PUT_BACK, "sponge", "Push the sponge onto its tube, and lead the air line in."));
        }
    }

    private String load(Place place) {
        List<String> names = new ArrayList<>();
        for (Content content : place.contents()) {
            names.add(0, situation.path().get(content.stage()).name());
        }
        String what = String.join(", then the ", names);
        if (names.size() == 1 && !situation.passport().stated()) {
            return "Lay the " + what + " in, out to the edges.";
        }
        return switch (place.kind()) {
            case FIXED -> "Lay the " + what + " into " + place.name() + ", out to the edges.";
            case TRAY, CAGE ->
                "Fill " + place.name() + " from the bottom: the " + what + ". Set it in and press it down.";
        };
    }

    private void placed() {
        switch (build.kind()) {
            case CANISTER ->
                add(
                        step(
                                        Phase.CARRY_BACK,
                                        "stand",
                                        "Stand {filter} level below the tank, with room above to lift its head.")
                                .because(
                                        "No lower below the water than its label allows, or its pump cannot lift the water back."));
            case HANG_ON_BACK ->
                add(step(Phase.CARRY_BACK, "stand", "Hang {filter} level on the rim, resting on the glass below.")
                        .does(HANDS_IN));
            case INTERNAL ->
                add(step(
                                Phase.CARRY_BACK,
                                "stand",
                                "Press its cups onto clean glass, all of {filter} below the lowest water"
                                        + " line. Tilt it until the air is out.")
                        .does(HANDS_IN));
            case AIR_SPONGE -> {
                add(step(Phase.CARRY_BACK, "valve", "Fit the check valve outside the tank, its arrow towards the tank.")
                        .because("Without it, water runs back into the air pump when the power fails."));
                add(step(
                                Phase.CARRY_BACK,
                                "stand",
                                "Squeeze the sponge under water until no air comes, then set it down.")
                        .does(HANDS_IN));
            }
            case SUMP ->
                add(step(Phase.CARRY_BACK, "stand", "Stand {filter} level, on a base that carries all of it.")
                        .mind(HEAVY));
            case UV_UNIT ->
                add(step(
                                Phase.CARRY_BACK,
                                "stand",
                                "Mount {filter} after the stages that hold dirt, below the water line.")
                        .because("Dirt in the water takes the light. Its label says how slow the water has to run."));
        }
    }

    /** What hangs on the intake: a pre-filter is cut to fit where it is new. */
    private void intake() {
        situation.path().stream()
                .filter(stage -> stage.kind() == StageKind.PREFILTER_SPONGE || stage.kind() == StageKind.STRAINER)
                .map(stage -> Bound.resting(
                        stage.kind() == StageKind.STRAINER
                                ? step(
                                                Phase.CONNECT,
                                                "on-intake",
                                                "Push the {stage} onto the intake until it clicks or sits tight.")
                                        .does(HANDS_IN)
                                : step(
                                                Phase.CONNECT,
                                                "on-intake",
                                                "Push the {stage} onto the intake until it sits tight. If it has to be cut, cut it"
                                                        + " four millimetres over.")
                                        .because(
                                                "Loose, it lets water past. It takes most of the dirt and is rinsed in a minute.")
                                        .mind(SHARP)
                                        .using(Material.SCISSORS)
                                        .does(HANDS_IN),
                        stage))
                .forEach(steps::add);
    }

    private void piped() {
        if (build.is(FilterKind.SUMP)) {
            add(step(
                            Phase.CONNECT,
                            "plumb",
                            "Join drain and return, their unions tight by hand, and see that the overflow is clear.")
                    .because("A tool cracks unions. What blocks the overflow floods the room.")
                    .mind(FLOOD));
        }
        if (build.hangsOnHoses()) {
            hoses();
        }
    }

    private void hoses() {
        add(step(Phase.CONNECT, "pipes", "Fix the intake a hand's width above the sand, and the outlet at the surface.")
                .does(HANDS_IN));
        add(step(Phase.CONNECT, "cut", "Hold each hose where it will run, then cut it straight, without kink or sag.")
                .mind(SHARP)
                .using(Material.SCISSORS));
    }

    /** Lid, water and hoses, in the order that the way of filling allows. */
    private void filled() {
        switch (build.kind()) {
            case CANISTER -> canisterFilled();
            case UV_UNIT -> {
                connected();
                waterOn();
                addIf(fill(), Phase.FILL_SELF);
            }
            case HANG_ON_BACK -> add(FillSteps.box().because(FillSteps.DRY));
            case SUMP ->
                add(step(
                                Phase.FILL_SELF,
                                "fill",
                                "Fill the sump to its run mark with conditioned water of the tank's temperature.")
                        .because(FillSteps.DRY)
                        .does(FILLED));
            case INTERNAL, AIR_SPONGE -> {}
        }
    }

    private void canisterFilled() {
        Template fill = fill();
        addIf(fill, Phase.FILL_OPEN);
        CommonSteps.seated(build).ifPresent(this::add);
        add(CommonSteps.lid(build));
        addIf(fill, Phase.FILL_BY_CAP);
        connected();
        addIf(fill, Phase.FILL_BY_CAP_ON);
        waterOn();
        addIf(fill, Phase.FILL_SELF);
    }

    private Template fill() {
        return FillSteps.canister(build, endsUp(), FillSteps.DRY);
    }

    private void addIf(Template fill, Phase now) {
        if (fill.phase() == now) {
            add(fill);
        }
    }

    private boolean endsUp() {
        return build.water().shutOff() == ShutOff.NONE;
    }

    private void connected() {
        String block = build.water().shutOff() == ShutOff.BLOCK
                ? " Then press the hose block on until it clicks, its lever shut."
                : "";
        String port = block.isEmpty() ? "its port" : "its port of the hose block";
        add(step(
                        Phase.CONNECT,
                        "connect",
                        "Push each hose onto " + port + ", in to in, out to out, and shut the clips." + block)
                .because("Swapped hoses are the commonest mistake here.")
                .does(HANDS_IN, HOSES_ON));
    }

    private void waterOn() {
        add(
                endsUp()
                        ? step(Phase.WATER_ON, "ends-in", "Put both hose ends into the water.")
                                .mind(FLOOD)
                                .does(HANDS_IN, WATER_ON)
                        : step(
                                        Phase.WATER_ON,
                                        "open",
                                        build.water().shutOff() == ShutOff.BLOCK
                                                ? "Open the lever of the hose block."
                                                : "Open both valves.")
                                .mind(FLOOD)
                                .does(WATER_ON));
    }

    private void started() {
        add(build.is(FilterKind.SUMP) ? toTheWeir() : CommonSteps.level());
        add(start("start"));
        if (build.is(FilterKind.SUMP)) {
            add(step(Phase.START, "run-mark", "Top the sump up to its run mark: its pipes have filled.")
                    .because("Below its mark the pump draws air."));
            drained();
        }
        add(step(Phase.WATCH, "leak", watching())
                .because(
                        build.hangsOnHoses()
                                ? "Wet? Unplug, shut the water, and seat that joint again. You will be asked to look again in"
                                        + " an hour and tomorrow."
                                : "You will be asked to look again tomorrow.")
                .mind(WET_FLOOR)
                .waiting(LEAK_MINUTES));
        if (situation.hasLamp()) {
            add(step(
                            Phase.LAMP_ON,
                            "lamp-on",
                            "Is the bay dry? Dry your hands, plug in the lamp, and look for the glow through"
                                    + " its window only.")
                    .mind(UV_LIGHT, ELECTRICITY)
                    .does(LAMP_ON));
        }
        if (build.is(FilterKind.SUMP)) {
            add(step(Phase.LAMP_ON, "sump-on", "Fill the reserve, then turn on the top-off and the skimmer.")
                    .because("Not before the level has found its mark, or the top-off pours into it."));
        }
        if (CommonSteps.measuresFlow(situation)) {
            add(step(Phase.FLOW, "flow-after", "Catch the flow at the outlet for some seconds.")
                    .because("Clean and new: this is the baseline that later losses are judged by.")
                    .writes(FLOW_AFTER));
        }
        add(HeaterSteps.on(build));
        add(CommonSteps.finish()
                .because("A filter that ran here before stays on for six weeks: the new one holds no bacteria yet."));
    }

    private static Template toTheWeir() {
        return step(Phase.LEVEL, "level", "Fill the tank to its weir with conditioned water of the same temperature.")
                .because("Salt water is mixed to the tank’s salinity first.")
                .does(TOPPED_UP);
    }

    private Template start(String code) {
        String pump = build.is(FilterKind.UV_UNIT) ? "the pump of {filter}" : "{filter}";
        String what = situation.hasLamp() ? pump + "; the lamp waits" : pump;
        String moving = build.is(FilterKind.AIR_SPONGE) ? " Do bubbles rise?" : " Is water moving?";
        return step(Phase.START, code, "Dry your hands, check the drip loop, and plug in " + what + "." + moving)
                .because("A new fill may spit air for some minutes." + CommonSteps.pause(build))
                .mind(ELECTRICITY)
                .writes(RESTART)
                .does(POWER_ON);
    }

    /** What runs down when the pump stops must find room below, and this is the one safe time to see it. */
    private void drained() {
        add(step(
                        Phase.START,
                        "drain-test",
                        "Unplug {filter} and wait until the level rests. Does it stay a thumb's width under the rim?")
                .because("If not, start it, lower its run mark, and try again: a power cut must not flood the room.")
                .mind(FLOOD, ELECTRICITY)
                .waiting(REST_MINUTES)
                .does(POWER_OFF));
        add(step(
                Phase.START,
                "mark-off",
                "Mark this level: it is the off mark, the highest it may stand with the pump off."));
        add(start("restart"));
    }

    private String watching() {
        return switch (build.kind()) {
            case CANISTER, UV_UNIT -> "Press dry paper round every joint after ten minutes.";
            case SUMP -> "Watch the level and every joint for ten minutes.";
            case AIR_SPONGE -> "See that bubbles rise evenly and the sponge stays down.";
            case HANG_ON_BACK, INTERNAL -> "Watch that it stays level and water runs where it should.";
        };
    }
}
