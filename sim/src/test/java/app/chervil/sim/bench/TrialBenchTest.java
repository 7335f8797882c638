package app.chervil.sim.bench;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.sim.bench.WaterBench.Case;
import app.chervil.sim.bench.WaterBench.Figure;
import app.chervil.sim.bench.WaterBench.Measures;
import org.junit.jupiter.api.Test;

/** The figures themselves are printed by the benchmark; here is what holds for any seeds. */
class TrialBenchTest {
    private static Figure over(String name, int seeds) {
        return TrialBench.cases().stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow()
                .over(1, seeds);
    }

    @Test
    void a_difference_in_four_tanks_is_found_and_comes_out_about_right() {
        Figure found = over("30 % in four tanks found, errors together 0.5", 60);

        assertThat(found.measured()).isGreaterThan(0.7);
        assertThat(found.bias()).isBetween(-1.0, 1.0);
    }

    @Test
    void the_knee_is_nearer_to_the_truth_than_the_lowest_mean() {
        assertThat(over("knee of five ways within one step", 60).measured()).isGreaterThan(0.8);
        assertThat(over("  more often than by the lowest mean, by", 60).measured())
                .isPositive();
    }

    @Test
    void the_same_seeds_come_to_the_same_and_each_case_has_its_own() {
        assertThat(TrialBench.cases())
                .extracting(Case::name)
                .doesNotHaveDuplicates()
                .hasSize(9);
        assertThat(TrialBench.cases()).extracting(Case::measures).contains(Measures.GAIN, Measures.COVERAGE);
        assertThat(over("10 and 7 hold the truth", 20)).isEqualTo(over("10 and 7 hold the truth", 20));
    }
}
