package app.chervil.sim.truth;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.CareRule.Bounds;
import app.chervil.core.filter.CareRule.Effort;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.interval.Finding;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class HiddenTruthTest {
    private static final LocalDate ON = LocalDate.of(2025, 3, 1);
    private static final int DAYS = 730;
    private static final CareRule FOAM = new CareRule(
            CareAction.RINSE,
            60,
            new Bounds(1, 300),
            new Effort(8, 0, 1, List.of()),
            new Graded(2, OptionalDouble.of(0.60), 300),
            "");
    private static final StageModel MODEL = new StageModel("foam", FOAM, 1, true);

    @Test
    void a_seed_gives_the_same_stage_whoever_asks_first() {
        HiddenStage one = stage(17);
        stage(18);

        HiddenStage again = stage(17);

        assertThat(IntStream.rangeClosed(1, DAYS).mapToDouble(day -> again.filled(0, day)))
                .containsExactly(IntStream.rangeClosed(1, DAYS)
                        .mapToObj(day -> one.filled(0, day))
                        .toArray(Double[]::new));
        assertThat(again.logged()).isEqualTo(one.logged());
    }

    @Test
    void dirt_only_ever_gathers_and_the_overload_is_its_first_full_day() {
        for (long seed = 1; seed <= 200; seed++) {
            HiddenStage stage = stage(seed);

            int full = stage.overloadedOn(0);

            for (int day = 1; day <= DAYS; day++) {
                assertThat(stage.loading(0, day)).isGreaterThan(stage.loading(0, day - 1));
                assertThat(stage.filled(0, day) >= 1).isEqualTo(day >= full);
            }
        }
    }

    @Test
    void stages_spread_as_the_page_says_and_their_mean_is_the_usual_interval_over_point_six() {
        SplittableRandom random = new SplittableRandom(3);
        double[] logs = IntStream.range(0, 4000)
                .mapToObj(seed -> HiddenStage.draw(MODEL, World.BASE, ON, 1, random))
                .mapToDouble(stage ->
                        -Math.log(stage.filled(0, 1) / stage.start().load().rate()))
                .toArray();

        double mean = IntStream.range(0, logs.length)
                .mapToDouble(i -> Math.exp(logs[i]))
                .average()
                .orElseThrow();
        double middle = IntStream.range(0, logs.length)
                .mapToDouble(i -> logs[i])
                .average()
                .orElseThrow();
        double sd = Math.sqrt(IntStream.range(0, logs.length)
                .mapToDouble(i -> (logs[i] - middle) * (logs[i] - middle))
                .average()
                .orElseThrow());

        // 100 days = 60 / 0.6; the season adds a little to the spread of 0.6
        assertThat(mean).isCloseTo(100, within(6.0));
        assertThat(sd).isCloseTo(0.61, within(0.03));
    }

    @ParameterizedTest
    @CsvSource({"0.05, CLEAN", "0.20, LIGHT", "0.48, MODERATE", "0.80, HEAVY", "1.60, CLOGGED"})
    void a_fair_keeper_mostly_sees_what_is_there(double loading, Finding there) {
        SplittableRandom random = new SplittableRandom(5);
        Eye fair = new Eye(0, 0, 0);

        long right = IntStream.range(0, 1000)
                .filter(i -> fair.grade(loading, random) == there)
                .count();

        assertThat(right).isGreaterThan(350);
    }

    @Test
    void a_harsh_keeper_grades_higher_and_a_slip_is_one_grade() {
        Eye fair = new Eye(0, 0, 0);
        Eye harsh = new Eye(0, 0.5, 0);
        Eye slipping = new Eye(0, 0, 1);

        for (int seed = 0; seed < 500; seed++) {
            double loading = 0.05 + seed / 350.0;
            Finding seen = fair.grade(loading, new SplittableRandom(seed));

            assertThat(harsh.grade(loading, new SplittableRandom(seed)).grade())
                    .isBetween(seen.grade(), seen.grade() + 1);
            assertThat(Math.abs(
                            slipping.grade(loading, new SplittableRandom(seed)).grade() - seen.grade()))
                    .isLessThanOrEqualTo(1);
        }
    }

    @Test
    void flow_at_overload_is_the_share_of_its_kind() {
        assertThat(Eye.flowShare(0.60, 1, 3.1)).isCloseTo(0.60, within(1e-12));
        assertThat(Eye.flowShare(0.60, 0, 3.1)).isEqualTo(1);
        assertThat(Eye.flowShare(0.60, 0.5, 2)).isCloseTo(1 / (1 + (1 / 0.6 - 1) * 0.25), within(1e-12));
    }

    private static HiddenStage stage(long seed) {
        return HiddenStage.draw(MODEL, World.BASE, ON, DAYS, Randomness.of(seed, "foam"));
    }
}
