package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.Material;
import app.chervil.core.filter.StageKind;
import app.chervil.core.procedure.Situation.PathStage;
import app.chervil.core.tank.BacteriaHome;
import java.util.EnumSet;
import java.util.List;
import java.util.Set;
import java.util.stream.Stream;

/** Steps for the chambers of a sump (docs/sources.md#sump). The pump is off and the level rests before any of them. */
final class SumpSteps {
    private static final int REST_MINUTES = 5;

    private static final Set<StageKind> SEEN_TO = EnumSet.of(
            StageKind.SETTLING,
            StageKind.OVERFLOW,
            StageKind.SOCK,
            StageKind.SKIMMER,
            StageKind.REFUGIUM,
            StageKind.TOP_OFF);

    private SumpSteps() {}

    static List<Template> overflowCleared() {
        return List.of(step(Phase.RINSE_FIRST, "weir", "Brush growth and snails off the teeth of the {stage}.")
                .because("A weir that is half shut raises the tank, and the next snail floods the floor.")
                .using(Material.SOFT_BRUSH)
                .writes(FINDING)
                .does(HANDS_IN));
    }

    static List<Template> settlingSiphoned() {
        return List.of(step(
                        Phase.RINSE_FIRST,
                        "siphon",
                        "Siphon the dirt off the floor of the {stage} into a bucket. On the floor nothing runs down from it:"
                                + " use a small pump or a hand siphon there.")
                .because("What you take counts as water change.")
                .mind(SIPHON, GAS)
                .using(Material.SIPHON, Material.BUCKET)
                .writes(FINDING)
                .does(HANDS_IN));
    }

    static List<Template> cupWashed() {
        return List.of(step(
                        Phase.PREPARE,
                        "cup",
                        "Unplug the {stage}. Brush cup and neck without soap, and draw warm water through its air inlet. Plug"
                                + " it in once the level rests.")
                .because("Soap keeps it from foaming for days. Started while the level is high, it overflows.")
                .mind(ELECTRICITY, GERMS)
                .using(Material.GLOVES, Material.SOFT_BRUSH));
    }

    static List<Template> refugiumThinned() {
        return List.of(step(
                        Phase.HOUSING,
                        "thin",
                        "Lift the growth in the {stage} over a bucket, thin it by a third, and cut back what reaches pump"
                                + " or strainer.")
                .because("Small animals in it go back into the tank. What grows into the pump stops it.")
                .using(Material.BUCKET)
                .writes(FINDING)
                .does(HANDS_IN));
    }

    static List<Template> floatLifted() {
        return List.of(step(
                        Phase.PREPARE,
                        "float",
                        "Fill the reserve of the {stage}, and lift its float once. Does it move freely, and does the pump"
                                + " stop?")
                .because("A float that sticks floods the floor, or lets the pump run dry.")
                .mind(ELECTRICITY));
    }

    /** What a deep clean has beside the care of its stages. */
    static List<Template> deepClean() {
        return List.of(
                step(
                                Phase.RINSE_LAST,
                                "chambers",
                                "Siphon the dirt from the floor of each chamber that is left, in the order water meets them.")
                        .because("The pump stands and its chamber may run low. What you take counts as water change.")
                        .mind(SIPHON, GAS)
                        .using(Material.SIPHON, Material.BUCKET)
                        .does(HANDS_IN),
                step(Phase.HOUSING, "roots", "Trim growth back from pump, weir and strainers.")
                        .because("What grows into the pump stops it.")
                        .does(HANDS_IN));
    }

    /**
     * Stages whose care belongs to a deep clean: what stops dirt or lets it settle; of the bio media half, if nothing else
     * holds the tank's bacteria.
     */
    static List<PathStage> deepCleaned(Situation situation) {
        List<PathStage> bio = situation.path().stream().filter(Procedure::isBio).toList();
        int dipped = situation.practice().bacteria() == BacteriaHome.MEDIA ? bio.size() / 2 : bio.size();
        return Stream.concat(
                        situation.path().stream()
                                .filter(stage -> SEEN_TO.contains(stage.kind())
                                        || stage.kind().stopsDirtInside()),
                        bio.stream().limit(dipped))
                .toList();
    }

    /** Stopped by its own plug, as a power cut would. */
    static List<Template> drainTest() {
        return List.of(
                step(
                                Phase.REST,
                                "drain-down",
                                "Leave it off until the level in the sump rests. Is it still under the off mark, a thumb's"
                                        + " width below the rim?")
                        .because(
                                "Higher means that a siphon hole is blocked or a check valve stands open: clear it before"
                                        + " you start the pump.")
                        .mind(FLOOD)
                        .waiting(REST_MINUTES),
                step(Phase.HOUSING, "siphon-hole", "Clear the siphon hole of each return with a brush.")
                        .because("It lets air in and stops the tank from draining on.")
                        .using(Material.SOFT_BRUSH)
                        .does(HANDS_IN));
    }
}
