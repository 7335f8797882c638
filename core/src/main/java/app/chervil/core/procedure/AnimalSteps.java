package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.ELECTRICITY;
import static app.chervil.core.procedure.Caution.GERMS;
import static app.chervil.core.procedure.Caution.SALMONELLA;
import static app.chervil.core.procedure.Step.Effect.HANDS_IN;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Step.Words;
import app.chervil.core.tank.Animals;
import java.util.ArrayList;
import java.util.List;
import java.util.stream.Stream;

/** What turtles, amphibians, the very small and those that hold on by their tails change in the work (docs/sources.md#animals). */
final class AnimalSteps {
    private AnimalSteps() {}

    /** Steps of a service that others can do without. */
    static List<Template> besides(Situation situation, Extent extent) {
        List<Template> steps = new ArrayList<>();
        if (keeps(situation, Animals.SEAHORSES) && extent.stops()) {
            steps.add(step(
                            Phase.STOP,
                            "tails",
                            "Look along intake, sponge, outlet and weir. Is no tail round any of them? Wait until it lets go.")
                    .because("What is lifted takes along whoever holds on to it."));
        }
        boolean leaves = extent.tubs().count() > 0 || extent.emptied();
        if (situation.keeps(Animals::slipsThrough) && leaves && situation.turn().last()) {
            steps.add(step(
                            Phase.FINISH,
                            "search",
                            "Look through tubs and buckets with a lamp, and put back what swims or crawls before the water"
                                    + " goes away.")
                    .because("Fry and shrimp sit in foam and come out with its dirt."));
        }
        return steps;
    }

    /** Steps of a set-up that keep them from harm. */
    static List<Template> guards(Situation situation) {
        List<Template> steps = new ArrayList<>();
        boolean guarded = situation.kinds().contains(StageKind.PREFILTER_SPONGE);
        if (situation.kind().drawsIn() && !guarded && situation.keeps(Animals::wantsGuard)) {
            steps.add(guard(situation));
        }
        if (situation.kind().drawsIn()
                && (keeps(situation, Animals.AMPHIBIANS) || keeps(situation, Animals.SEAHORSES))) {
            steps.add(step(
                            Phase.CONNECT,
                            "weaken",
                            "Turn the outlet to the glass, or fit a spray bar, until water hardly moves where they rest.")
                    .because("A strong current tires them, and they cannot get out of it.")
                    .does(HANDS_IN));
        }
        if (keeps(situation, Animals.TURTLES)) {
            steps.add(step(
                            Phase.CONNECT,
                            "turtle-guard",
                            "Set a guard round heater and intake, and lead cords and hoses out of their reach.")
                    .because("Turtles push what stands in their way, and bite what hangs.")
                    .mind(ELECTRICITY)
                    .does(HANDS_IN));
        }
        return steps;
    }

    private static Template guard(Situation situation) {
        boolean small = situation.keeps(Animals::slipsThrough);
        String what = situation.kind() == FilterKind.SUMP ? "weir" : "intake";
        String how = small
                ? "Cover the " + what + " with a sponge, or with slits of a millimetre at most."
                : "Cover the " + what + " with coarse foam, so that no tail or snout gets in.";
        return step(Phase.CONNECT, "guard", how)
                .because(
                        small
                                ? "Fry and shrimp go through the slits of a usual strainer."
                                : "Seahorses are weak swimmers.")
                .does(HANDS_IN);
    }

    /** A step as it is done where they live. */
    static Step minding(Step step, Situation situation) {
        return situation.practice().animals().isEmpty() ? step : germs(said(step, situation), situation);
    }

    private static Step said(Step step, Situation situation) {
        boolean skin = keeps(situation, Animals.AMPHIBIANS);
        boolean turtles = keeps(situation, Animals.TURTLES);
        return switch (code(step)) {
            case "gloves" ->
                skin
                        ? step.saying(new Words(
                                "Cover cuts, put on gloves without powder, rinse them well, and lay out towel and drip tray.",
                                "An amphibian's skin takes up what clings to a hand or glove."))
                        : step;
            case "finish" -> adding(step, skin, "Rinse the soap off well: amphibians take it up through their skin.");
            case "housing" -> adding(step, skin, "No soap.");
            case "draw" -> adding(step, turtles, "Where the water stands too low for a siphon, take it out by jug.");
            case "fill" ->
                adding(
                        step,
                        turtles && situation.build().water().fill() == Build.Fill.SELF && hasHead(situation),
                        "If none runs in, the tank stands too low for a siphon: shut the water, open it again and fill it by"
                                + " jug.");
            case "heater-on" ->
                adding(
                        step,
                        turtles && !situation.build().heaterNeedsFlow(),
                        "Its guard has to be back: turtles knock heaters down.");
            case "tip" ->
                situation.keeps(Animals::slipsThrough)
                        ? step.saying(new Words(
                                "Tip the water that is left in the canister through a fine net, and put back what lives.",
                                step.what().reason()))
                        : step;
            default -> step;
        };
    }

    private static boolean hasHead(Situation situation) {
        return situation.build().is(FilterKind.CANISTER);
    }

    /** Where other tanks call for clean hands, these carry more. */
    private static Step germs(Step step, Situation situation) {
        List<Caution> cautions = step.care().cautions();
        boolean wet = List.of("first", "squeeze", "rinse", "tip", "housing").contains(code(step));
        if (!situation.keeps(Animals::shedsSalmonella) || !(wet || cautions.contains(GERMS))) {
            return step;
        }
        List<Caution> stricter = Stream.concat(
                        Stream.of(SALMONELLA), cautions.stream().filter(one -> one != GERMS))
                .toList();
        return step.minding(
                new Step.Care(stricter, step.care().materials(), step.care().timerMinutes()));
    }

    private static Step adding(Step step, boolean applies, String reason) {
        return applies
                ? step.saying(new Words(step.what().text(), (step.what().reason() + " " + reason).strip()))
                : step;
    }

    private static String code(Step step) {
        int subject = step.id().indexOf(':');
        return subject < 0 ? step.id() : step.id().substring(0, subject);
    }

    private static boolean keeps(Situation situation, Animals animals) {
        return situation.practice().animals().contains(animals);
    }
}
