package app.chervil.core.procedure;

import static app.chervil.core.procedure.Caution.*;
import static app.chervil.core.procedure.Step.Effect.*;
import static app.chervil.core.procedure.Template.step;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.passport.Build;
import app.chervil.core.procedure.Situation.Asked;
import java.util.ArrayList;
import java.util.List;

/**
 * Looking over a filter that was taken on and that nobody looked after (docs/sources.md#taking-a-filter-on): dangers first,
 * then the animals, then what tells how dirty it is. Only what hangs outside is rinsed, since that brings most flow for least
 * disturbance.
 */
final class LookOverSteps {
    private LookOverSteps() {}

    /** Whether it is stopped to be looked into; the others are looked at while they run. */
    static boolean stops(FilterKind kind) {
        return kind == FilterKind.CANISTER || kind == FilterKind.HANG_ON_BACK;
    }

    /** Tasks that are done along: pre-filter and strainer. */
    static List<Asked> fromOutside(Situation situation) {
        if (!stops(situation.kind())) {
            return List.of();
        }
        return situation.work().available().stream()
                .filter(task -> task.action() == CareAction.RINSE || task.action() == CareAction.CLEAR)
                .filter(task -> situation
                        .stageOf(task)
                        .filter(stage ->
                                stage.kind() == StageKind.PREFILTER_SPONGE || stage.kind() == StageKind.STRAINER)
                        .isPresent())
                .toList();
    }

    static List<Template> of(Situation situation) {
        Build build = situation.build();
        List<Template> steps = new ArrayList<>();
        steps.add(step(
                        Phase.READ,
                        "over-cord",
                        "Look along the cord of {filter}, at its plug and socket, and below it for drips.")
                .because(
                        "A cracked cord, a brown plug or a drip comes first: switch off at the socket, and mend it today.")
                .mind(ELECTRICITY));
        steps.add(
                step(Phase.READ, "over-read", "Test ammonia, nitrite and nitrate, log them, and look at the animals.")
                        .because(
                                "Where ammonia or nitrite shows or animals are unwell, change water and leave the filter running."));
        steps.add(step(Phase.READ, "over-photo", photo(build))
                .because("It tells later what was there, and which hose went where."));
        Template look = step(Phase.TAKE_OUT, "over-look", look(build))
                .because("How dirty it is tells where to begin. Write what you saw in the note at the end.");
        steps.add(stops(build.kind()) ? look.does(HANDS_IN) : look);
        steps.add(step(
                        Phase.BENCH,
                        "over-parts",
                        "Write down each part under “Change filter”, with its age. Leave the age blank if nobody knows it.")
                .because("A part of unknown age is looked at first; it is not thrown away for that."));
        steps.add(step(Phase.BENCH, "over-plan", "Read on the tank’s page how the work is spread over the next weeks.")
                .because("All of it at once would take the tank’s bacteria away."));
        return steps;
    }

    private static String photo(Build build) {
        return build.hangsOnHoses()
                ? "Photograph {filter} from all sides, and mark its hoses: in, out."
                : "Photograph {filter} from all sides.";
    }

    private static String look(Build build) {
        return switch (build.kind()) {
            case CANISTER -> "Look at what lies on top in {filter}. Lift nothing.";
            case SUMP -> "Look into each chamber of {filter}. Touch nothing.";
            case HANG_ON_BACK -> "Lift the cover of {filter} and look in. Lift nothing else.";
            case INTERNAL, AIR_SPONGE -> "Look at {filter} from all sides, through the glass. Squeeze nothing.";
            case UV_UNIT -> "Look at the joints and the window of {filter}. Open nothing.";
        };
    }
}
