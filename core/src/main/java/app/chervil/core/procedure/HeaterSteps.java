package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.passport.Build;
import java.util.ArrayList;
import java.util.List;

/** The heater is off before any water leaves, and on last of all. */
final class HeaterSteps {
    private static final int COOLS_MINUTES = 10;

    private HeaterSteps() {}

    /** Those that a filter has at its turn; the tank's heater is seen to once. */
    static List<Template> of(Situation situation) {
        boolean needsFlow = situation.build().heaterNeedsFlow();
        List<Template> steps = new ArrayList<>();
        if (situation.turn().turnsOff(needsFlow)) {
            steps.add(off(situation.build()));
        }
        if (situation.turn().turnsOn(needsFlow)) {
            steps.add(on(situation.build()));
        }
        return steps;
    }

    /** Last of all: in water, or where it has none of its own, in water that moves. */
    static Template on(Build build) {
        Template switched = build.heaterNeedsFlow()
                ? step(
                                Phase.HEATER_ON,
                                "heater-on",
                                "Is water moving through {filter}? Turn the " + inTheFlow(build) + " on.")
                        .because("Last of all, and never without flow.")
                : step(Phase.HEATER_ON, "heater-on", "Is the heater under water? Turn it on.")
                        .because("Last of all, so that it is never lit in air.");
        return switched.mind(ELECTRICITY).does(HEATER_ON);
    }

    private static String inTheFlow(Build build) {
        return build.current().heater() == Build.HeaterPlace.IN_LINE ? "in-line heater" : "filter's heater";
    }

    /** In a hose or in the filter itself it has no water to give its heat to once the pump stands. */
    static Template off(Build build) {
        Template switched = build.heaterNeedsFlow()
                ? step(
                                Phase.HEATER_OFF,
                                "heater-off",
                                "Turn the " + inTheFlow(build) + " off, and let it cool while water runs.")
                        .because("Without flow it burns out, so it is off before the pump stops.")
                        .waiting(COOLS_MINUTES)
                : step(Phase.HEATER_OFF, "heater-off", "Turn the heater off.")
                        .because(
                                "Out of the water it cracks or burns. Let it cool ten minutes before the level falls below it.");
        return switched.mind(ELECTRICITY).does(HEATER_OFF);
    }
}
