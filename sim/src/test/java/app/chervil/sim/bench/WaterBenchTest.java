package app.chervil.sim.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.RiseQuestion;
import app.chervil.core.water.Seen;
import app.chervil.sim.bench.TestedTank.Kit;
import app.chervil.sim.bench.TestedTank.Plan;
import app.chervil.sim.bench.TestedTank.Water;
import app.chervil.sim.bench.WaterBench.Case;
import app.chervil.sim.bench.WaterBench.Figure;
import app.chervil.sim.bench.WaterBench.Measures;
import app.chervil.sim.bench.WaterBench.Outcome;
import app.chervil.sim.truth.Randomness;
import org.junit.jupiter.api.Test;

class WaterBenchTest {
    private static RiseQuestion logged(Plan plan, long seed) {
        return new TestedTank(plan, Randomness.of(seed, "tank")).logged();
    }

    @Test
    void a_tank_is_tested_weekly_and_changed_the_day_after() {
        RiseQuestion question = logged(Plan.weekly(12, 0), 1);

        assertThat(question.seen())
                .extracting(Seen::day)
                .startsWith(0.0, 7.0, 14.0)
                .hasSize(12);
        assertThat(question.changes())
                .extracting(RiseQuestion.Change::day)
                .startsWith(1.0, 8.0)
                .hasSize(11);
    }

    @Test
    void without_changes_it_rises_by_its_rate() {
        Kit exact = new Kit(1e-9, 0, 0, 0, false);
        RiseQuestion question = logged(Plan.weekly(3, 0).read(exact).filledFrom(Water.RISING), 1);

        assertThat(question.seen()).extracting(seen -> Math.round(seen.low())).containsExactly(5L, 15L, 25L);
    }

    @Test
    void ways_take_turns_and_a_fading_way_is_late() {
        Kit exact = new Kit(1e-9, 0, 0, 0, false);
        Plan trial = Plan.trial(0, 20, 1, 0).read(exact).filledFrom(Water.RISING);

        assertThat(logged(trial, 1).phases())
                .extracting(RiseQuestion.Kept::way)
                .containsExactly(0, 1, 1, 0, 1, 0, 0, 1);
        assertThat(logged(trial, 1).seen().get(2).low()).isCloseTo(45, within(0.01));
        assertThat(logged(trial.carrying(5, 5), 1).seen().get(2).low()).isBetween(30.0, 38.0);
    }

    @Test
    void a_card_shows_the_step_nearest_as_wide_as_half_way_to_its_neighbours() {
        Seen seen = logged(Plan.weekly(4, 0).read(new Kit(5, 0, 0, 0, true)), 1)
                .seen()
                .get(0);

        assertThat(seen.low()).isEqualTo(30);
        assertThat(seen.high()).isEqualTo(60);
    }

    @Test
    void what_is_below_the_limit_is_a_range_down_from_it() {
        Plan none = Plan.weekly(4, 0).with(0.0).read(Kit.PHOSPHATE).filledFrom(Water.RISING);
        Seen seen = logged(none.filledFrom(new Water(0, 0, 0, RiseQuestion.Tap.NONE, 0, true)), 1)
                .seen()
                .get(0);

        assertThat(seen.high()).isEqualTo(0.05);
        assertThat(seen.low()).isNegative();
    }

    @Test
    void a_bar_is_missed_by_too_little_cover_and_by_too_much_bias() {
        assertThat(judged(0.9, 0.1, new Outcome(0, 1)).met()).isTrue();
        assertThat(judged(0.9, 0.1, new Outcome(0, 0)).met()).isFalse();
        assertThat(judged(0.9, 0.1, new Outcome(0.2, 1)).met()).isFalse();
    }

    private static Figure judged(double bar, double biasBar, Outcome outcome) {
        return new Case("one", Measures.COVERAGE, bar, biasBar, random -> outcome).over(1, 4);
    }

    @Test
    void every_case_has_a_name_of_its_own_and_comes_to_something() {
        assertThat(WaterBench.cases()).extracting(Case::name).doesNotHaveDuplicates();
        assertThat(WaterBench.cases())
                .allSatisfy(one ->
                        assertThat(one.over(3, 3).measured()).as(one.name()).isBetween(0.0, 1.0));
    }

    @Test
    void seeds_are_asked_for_in_words() {
        assertThatThrownBy(() -> BenchOptions.seedsOf("water", "--flow", "1"))
                .hasMessageContaining("./chervil bench water --seeds FROM-TO");
        assertThat(BenchOptions.seedsOf("water", "--seeds", "5-9").lastSeed()).isEqualTo(9);
    }
}
