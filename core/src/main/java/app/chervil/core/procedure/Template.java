package app.chervil.core.procedure;

import app.chervil.core.filter.Material;
import app.chervil.core.procedure.Step.Capture;
import app.chervil.core.procedure.Step.Effect;
import java.util.EnumSet;
import java.util.List;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;

/**
 * A step of the catalogue before it is bound to a stage. {@code {stage}}, {@code {stages}} and {@code {filter}} stand for
 * names, {@code {first}}, {@code {second}}, {@code {cleanest}} and {@code {bio}} for where things are rinsed, {@code {media}}
 * for how much is exchanged.
 *
 * @param code with the stage it is bound to, what makes a step the same step
 */
record Template(
        String code, Phase phase, Step.Words words, Step.Care care, Optional<Capture> captures, Set<Effect> effects) {
    static Template step(Phase phase, String code, String text) {
        return new Template(
                code, phase, new Step.Words(text, ""), Step.Care.NONE, Optional.empty(), EnumSet.noneOf(Effect.class));
    }

    /** Whether one step serves all stages that ask for it, as one bucket takes all the foam. */
    boolean together() {
        return words.text().contains("{stages}");
    }

    Template because(String reason) {
        return new Template(code, phase, new Step.Words(words.text(), reason), care, captures, effects);
    }

    Template mind(Caution... cautions) {
        return with(new Step.Care(List.of(cautions), care.materials(), care.timerMinutes()));
    }

    Template using(Material... materials) {
        return with(new Step.Care(care.cautions(), List.of(materials), care.timerMinutes()));
    }

    Template waiting(int minutes) {
        return with(new Step.Care(care.cautions(), care.materials(), OptionalInt.of(minutes)));
    }

    Template writes(Capture capture) {
        return new Template(code, phase, words, care, Optional.of(capture), effects);
    }

    Template does(Effect first, Effect... more) {
        return new Template(code, phase, words, care, captures, EnumSet.of(first, more));
    }

    private Template with(Step.Care changed) {
        return new Template(code, phase, words, changed, captures, effects);
    }
}
