package app.chervil.core.procedure;

import static app.chervil.core.procedure.Step.Effect.FILLED;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.ShutOff;
import app.chervil.core.procedure.Procedure.Extent;
import java.util.List;

/** How a filter is filled again before it starts, each in its own way. */
final class FillSteps {
    private static final int FILL_MINUTES = 3;

    private FillSteps() {}

    static void add(Build build, Extent extent, List<Template> steps) {
        if (build.is(FilterKind.HANG_ON_BACK)) {
            steps.add(
                    step(Phase.FILL_SELF, "fill", "Fill its box by jug with clean tank water, unless it primes itself.")
                            .does(FILLED));
        }
        if (extent.opened()) {
            steps.add(filled(build, extent).does(FILLED));
        }
    }

    private static Template filled(Build build, Extent extent) {
        String clean = "Not from the tubs you rinsed in. A pump that starts dry draws air.";
        String dry = "A pump that starts dry draws air.";
        return switch (build.water().fill()) {
            case OPEN_TOP ->
                step(Phase.FILL_OPEN, "fill", "Fill the canister to its rim by jug with clean tank water.")
                        .because(clean);
            case CAP -> throughTheCap(build, extent).because(clean);
            case PRIMER ->
                step(Phase.FILL_SELF, "fill", "Press the primer until the gurgling stops.")
                        .because(dry)
                        .waiting(FILL_MINUTES);
            case BULB ->
                step(Phase.FILL_SELF, "fill", "Squeeze the bulb in the hose until water runs and the gurgling stops.")
                        .because(dry)
                        .waiting(FILL_MINUTES);
            case SELF ->
                step(Phase.FILL_SELF, "fill", "Let it fill: wait until the gurgling stops.")
                        .because(dry)
                        .waiting(FILL_MINUTES);
        };
    }

    /** The cap is shut before water can come: before the hoses where valves hold it, else with their ends still up. */
    private static Template throughTheCap(Build build, Extent extent) {
        boolean endsUp = build.water().shutOff() == ShutOff.NONE && extent.hosesOff();
        return endsUp
                ? step(
                        Phase.FILL_BY_CAP_ON,
                        "fill",
                        "Fill the canister through its cap by jug with clean tank water, the hose ends still up, until"
                                + " almost full. Then shut the cap.")
                : step(
                        Phase.FILL_BY_CAP,
                        "fill",
                        "Fill the canister through its cap by jug with clean tank water, then shut the cap.");
    }
}
