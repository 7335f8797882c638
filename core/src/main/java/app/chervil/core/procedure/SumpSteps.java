package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.Material;
import java.util.List;

/** Steps for the chambers of a sump (docs/sources.md#sump). The pump is off and the level rests before any of them. */
final class SumpSteps {
    private static final int REST_MINUTES = 5;

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
