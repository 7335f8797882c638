package app.chervil.core.compare;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.compare.Effects.Effect;
import org.junit.jupiter.api.Test;

class EffectWordsTest {
    @Test
    void what_is_told_is_said_in_days_as_well() {
        Effect effect = new Effect(Factor.PREFILTER, 0.6, 0.5, 0.72, true, 20, 15, 3);

        assertThat(EffectWords.of(effect, 45))
                .isEqualTo(
                        "With a pre-filter before it, filters fill 0.6 times as fast (four times in five 0.5 to 0.72)."
                                + " What takes 45 days without takes 75 days.");
    }

    @Test
    void each_rinse_buys_days_of_the_canister() {
        Effect effect = new Effect(Factor.RINSE, 0.9, 0.85, 0.96, true, 20, 15, 3);

        assertThat(EffectWords.of(effect, 45)).endsWith("Each rinse buys about 3 days.");
        assertThat(EffectWords.of(new Effect(Factor.RINSE, 1.0346, 1.01, 1.1, true, 20, 15, 3), 45))
                .endsWith("Each rinse costs about 1 day.");
    }

    @Test
    void what_chance_could_have_done_is_not_called_an_effect() {
        Effect effect = new Effect(Factor.BESIDE, 0.85, 0.6, 1.2, false, 4, 5, 2);

        assertThat(EffectWords.of(effect, 45))
                .contains("anything from 0.6 to 1.2 fits them")
                .endsWith("More runs are needed to tell it from chance.");
    }
}
