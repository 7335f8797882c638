package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Capture.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.Material;
import java.util.ArrayList;
import java.util.List;

/** Steps behind the door of a lamp bay: lamp, quartz sleeve, and the ring that keeps the bay dry. */
final class LampSteps {
    private LampSteps() {}

    static List<Template> lamp() {
        return List.of(
                cool(),
                bayOpened(),
                lampOut(),
                step(
                                Phase.LAMP_IN,
                                "lamp-new",
                                "Slide the new {stage} in with a clean cloth, no fingers on the glass. Twins are renewed together.")
                        .mind(MERCURY, GLASS)
                        .using(Material.UV_LAMP, Material.SOFT_CLOTH)
                        .does(LAMP_IN),
                bayShut(),
                step(Phase.LAMP_ON, "lamp-date", "Write the date of the new {stage} on the housing."));
    }

    static List<Template> sleeve() {
        return List.of(
                cool(),
                bayOpened(),
                lampOut(),
                sleeveOut(),
                step(
                                Phase.SLEEVE,
                                "sleeve",
                                "Wipe the {stage} clear and dry it. Chipped or hazy for good? Fit a new one.")
                        .mind(GLASS)
                        .using(Material.SOFT_CLOTH)
                        .writes(FINDING),
                sleeveIn(),
                lampBackIn(),
                bayShut());
    }

    /** The ring round the sleeve of a UV unit. */
    static List<Template> ring(CareAction action) {
        List<Template> steps = new ArrayList<>(List.of(cool(), bayOpened(), lampOut(), sleeveOut()));
        if (action == CareAction.REPLACE) {
            steps.addAll(PartSteps.newRings(Phase.SLEEVE));
        } else {
            steps.add(StepCatalogue.greased(Phase.SLEEVE));
        }
        steps.addAll(List.of(sleeveIn(), lampBackIn(), bayShut()));
        return steps;
    }

    static Template cool() {
        return step(Phase.COOL, "cool", "Wait until the lamp is cool.")
                .mind(UV_LIGHT)
                .waiting(10)
                .does(LAMP_COOL);
    }

    static Template bayOpened() {
        return step(Phase.LAMP_OPEN, "bay", "Twist the lamp bay open to its marks.")
                .mind(UV_LIGHT, GLASS)
                .does(LAMP_BAY_OPENED);
    }

    static Template lampOut() {
        return step(Phase.LAMP_OUT, "lamp-out", "Draw the lamp out with a cloth and lay it down safely.")
                .mind(UV_LIGHT, MERCURY, GLASS)
                .using(Material.SOFT_CLOTH)
                .does(LAMP_OUT);
    }

    static Template sleeveOut() {
        return step(
                        Phase.SLEEVE_OUT,
                        "sleeve-out",
                        "Twist the quartz sleeve off to its marks and draw it out with a cloth.")
                .mind(GLASS)
                .does(SLEEVE_OUT);
    }

    static Template sleeveIn() {
        return step(
                        Phase.SLEEVE_IN,
                        "sleeve-in",
                        "Wipe the ring's seat, fit the sleeve's ring with a film of silicone, and press the sleeve home.")
                .because("It sits without force. Water in the lamp bay is an electrical danger.")
                .mind(ELECTRICITY, GLASS)
                .using(Material.GREASE)
                .does(SLEEVE_IN);
    }

    /** Left out where a new lamp goes in. */
    static Template lampBackIn() {
        return step(Phase.LAMP_IN, "lamp-in", "Slide the lamp in with a clean cloth, no fingers on the glass.")
                .mind(MERCURY, GLASS)
                .using(Material.SOFT_CLOTH)
                .does(LAMP_IN);
    }

    /** Of a filter that is put together: a new one has its lamp in, one that was moved has not. */
    static Template seated() {
        return step(
                        Phase.LAMP_SHUT,
                        "lamp-seated",
                        "Are sleeve and lamp in, and the bay shut to its mark? If not, press the sleeve home with its ring"
                                + " greased, and slide the lamp in with a clean cloth.")
                .because(
                        "Water in the lamp bay is an electrical danger. The lamp is not lit before all joints are dry.")
                .mind(ELECTRICITY, MERCURY, GLASS)
                .using(Material.SOFT_CLOTH, Material.GREASE);
    }

    static Template bayShut() {
        return step(Phase.LAMP_SHUT, "bay-shut", "See that the bay is dry and twist it shut to its mark.")
                .because("Water in the lamp bay is an electrical danger.")
                .mind(ELECTRICITY, GLASS)
                .does(LAMP_BAY_SHUT);
    }
}
