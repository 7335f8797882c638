package app.chervil.core.procedure;

import static app.chervil.core.procedure.Step.Effect.FILLED;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.passport.Build;
import app.chervil.core.passport.Build.ShutOff;
import java.util.List;

/** How a filter is filled again before it starts, each in its own way. */
final class FillSteps {
    static final String DRY = "A pump that starts dry draws air.";
    private static final int FILL_MINUTES = 3;

    private FillSteps() {}

    static void add(Build build, Extent extent, List<Template> steps) {
        if (build.is(FilterKind.HANG_ON_BACK)) {
            steps.add(box());
        }
        if (extent.opened()) {
            boolean endsUp = build.water().shutOff() == ShutOff.NONE && extent.hosesOff();
            steps.add(canister(build, endsUp, "Not from the tubs you rinsed in. " + DRY));
        }
    }

    static Template box() {
        return step(Phase.FILL_SELF, "fill", "Fill its box by jug with clean tank water, unless it primes itself.")
                .does(FILLED);
    }

    /**
     * A canister in its own way; the phase tells when.
     *
     * @param endsUp whether nothing but raised hose ends holds the water back
     * @param clean why the water of a jug has to be clean
     */
    static Template canister(Build build, boolean endsUp, String clean) {
        return filled(build, endsUp, clean).does(FILLED);
    }

    private static Template filled(Build build, boolean endsUp, String clean) {
        return switch (build.water().fill()) {
            case OPEN_TOP ->
                step(Phase.FILL_OPEN, "fill", "Fill the canister to its rim by jug with clean tank water.")
                        .because(clean);
            case CAP -> throughTheCap(endsUp).because(clean);
            case PRIMER ->
                step(Phase.FILL_SELF, "fill", "Press the primer until the gurgling stops.")
                        .because(DRY)
                        .waiting(FILL_MINUTES);
            case BULB ->
                step(Phase.FILL_SELF, "fill", "Squeeze the bulb in the hose until water runs and the gurgling stops.")
                        .because(DRY)
                        .waiting(FILL_MINUTES);
            case SELF ->
                step(Phase.FILL_SELF, "fill", "Let it fill: wait until the gurgling stops.")
                        .because(DRY)
                        .waiting(FILL_MINUTES);
        };
    }

    /** The cap is shut before water can come: before the hoses where valves hold it, else with their ends still up. */
    private static Template throughTheCap(boolean endsUp) {
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
