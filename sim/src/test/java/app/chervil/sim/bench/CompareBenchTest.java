package app.chervil.sim.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.compare.Effects;
import app.chervil.core.compare.Factor;
import app.chervil.core.compare.SeenRun;
import app.chervil.sim.truth.Randomness;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** A few of the benchmark's seeds: bars wide enough for as few, narrow enough to notice a sign turned round. */
class CompareBenchTest {
    @ParameterizedTest
    @ValueSource(ints = {1, 7, 30})
    void ranges_hold_the_truth_about_four_times_in_five(int filters) {
        CompareBench.Figure held = CompareBench.held(filters, new CompareBench.Seeds(1, 120));

        assertThat(held.measured()).isBetween(0.68, 0.94);
        assertThat(Math.abs(held.off())).isLessThan(0.25);
    }

    @ParameterizedTest
    @ValueSource(ints = {1, 7, 30})
    void what_does_nothing_is_seldom_told_of(int filters) {
        assertThat(CompareBench.nothing(filters, new CompareBench.Seeds(1, 120)).measured())
                .isLessThan(0.16);
    }

    @Test
    void with_many_filters_a_pre_filter_that_halves_the_rate_is_found() {
        List<SeenRun> runs = CompareBench.site(30, 0.5, Randomness.of(3, "halved"));

        assertThat(Effects.of(runs, Factor.PREFILTER)).get().satisfies(effect -> {
            assertThat(effect.told()).isTrue();
            assertThat(effect.ratio()).isBetween(0.4, 0.62);
        });
    }
}
