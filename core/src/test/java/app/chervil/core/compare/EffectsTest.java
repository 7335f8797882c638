package app.chervil.core.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.compare.Effects.Effect;
import app.chervil.core.interval.Finding;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.Random;
import org.junit.jupiter.api.Test;

/** What many runs together say of a pre-filter, and when they say nothing. */
class EffectsTest {
    private static SeenRun run(long filter, double days, Finding found, boolean prefilter) {
        return new SeenRun(filter, days, 45, found, Map.of(Factor.PREFILTER, prefilter ? 1.0 : 0.0));
    }

    private static List<SeenRun> runs(int each, double without, double with) {
        List<SeenRun> runs = new ArrayList<>();
        for (int one = 0; one < each; one++) {
            runs.add(run(1, without, Finding.MODERATE, false));
            runs.add(run(1, with, Finding.MODERATE, true));
        }
        return runs;
    }

    private static Effect prefilter(List<SeenRun> runs) {
        return Effects.of(runs, Factor.PREFILTER).orElseThrow();
    }

    @Test
    void as_full_after_twice_the_days_is_half_as_fast() {
        Effect effect = prefilter(runs(40, 40, 80));

        assertThat(effect.ratio()).isCloseTo(0.5, within(0.04));
        assertThat(effect.low()).isLessThan(0.5);
        assertThat(effect.high()).isBetween(0.5, 0.65);
        assertThat(effect.told()).isTrue();
        assertThat(effect.with()).isEqualTo(40);
        assertThat(effect.without()).isEqualTo(40);
        assertThat(effect.filters()).isEqualTo(1);
        assertThat(effect.daysWon(40)).isCloseTo(40, within(6.0));
    }

    @Test
    void a_heavier_finding_after_as_many_days_is_faster() {
        List<SeenRun> runs = new ArrayList<>();
        for (int one = 0; one < 20; one++) {
            runs.add(run(1, 40, Finding.LIGHT, false));
            runs.add(run(1, 40, Finding.HEAVY, true));
        }

        assertThat(prefilter(runs).ratio()).isGreaterThan(2);
    }

    @Test
    void more_runs_make_a_narrower_range() {
        double few = width(prefilter(runs(4, 40, 60)));
        double some = width(prefilter(runs(12, 40, 60)));
        double many = width(prefilter(runs(60, 40, 60)));

        assertThat(few).isGreaterThan(some);
        assertThat(some).isGreaterThan(many);
    }

    private static double width(Effect effect) {
        return Math.log(effect.high() / effect.low());
    }

    @Test
    void alike_with_and_without_nothing_is_told() {
        Effect effect = prefilter(runs(20, 50, 50));

        assertThat(effect.ratio()).isCloseTo(1, within(0.01));
        assertThat(effect.told()).isFalse();
        assertThat(effect.low()).isLessThan(1);
        assertThat(effect.high()).isGreaterThan(1);
    }

    @Test
    void fewer_than_three_runs_on_either_side_say_nothing() {
        assertThat(Effects.of(runs(2, 40, 80))).isEmpty();
        assertThat(Effects.of(List.of())).isEmpty();
        assertThat(Effects.of(runs(3, 40, 80))).hasSize(1);
    }

    @Test
    void a_filter_that_always_had_one_and_one_that_never_had_differ_for_other_reasons_too() {
        List<SeenRun> apart = new ArrayList<>();
        for (int one = 0; one < 20; one++) {
            apart.add(run(1, 40, Finding.MODERATE, false));
            apart.add(run(2, 80, Finding.MODERATE, true));
        }

        assertThat(width(prefilter(apart)))
                .as("two filters against one before and after")
                .isGreaterThan(1.5 * width(prefilter(runs(20, 40, 80))));
        assertThat(prefilter(apart).told()).isFalse();
    }

    @Test
    void neither_the_order_of_runs_nor_the_unit_of_a_filters_id_matters() {
        List<SeenRun> runs = new ArrayList<>(runs(8, 40, 66));
        Effect before = prefilter(runs);
        Collections.shuffle(runs, new Random(4));
        List<SeenRun> renamed = runs.stream()
                .map(run -> new SeenRun(run.filter() + 900, run.days(), run.startDays(), run.found(), run.levels()))
                .toList();

        assertThat(prefilter(renamed).ratio()).isCloseTo(before.ratio(), within(1e-9));
    }

    @Test
    void a_stage_that_fills_by_nature_in_a_week_is_held_against_its_like() {
        List<SeenRun> runs = new ArrayList<>();
        for (int one = 0; one < 20; one++) {
            runs.add(new SeenRun(1, 7, 7, Finding.MODERATE, Map.of()));
            runs.add(new SeenRun(2, 90, 90, Finding.MODERATE, Map.of(Factor.PREFILTER, 1.0)));
        }

        assertThat(prefilter(runs).ratio()).isCloseTo(1, within(0.02));
        assertThat(prefilter(runs).told()).isFalse();
    }

    @Test
    void what_a_busier_tank_does_is_not_laid_on_the_pre_filter() {
        List<SeenRun> runs = new ArrayList<>();
        for (int one = 0; one < 15; one++) {
            runs.add(run(1, 60, Finding.MODERATE, false).with(Factor.STOCKING, 1));
            runs.add(run(1, 60, Finding.MODERATE, true).with(Factor.STOCKING, 1));
            runs.add(run(2, 30, Finding.MODERATE, false).with(Factor.STOCKING, 2));
            runs.add(run(2, 30, Finding.MODERATE, true).with(Factor.STOCKING, 2));
        }

        assertThat(prefilter(runs).ratio()).isCloseTo(1, within(0.02));
        assertThat(Effects.of(runs, Factor.STOCKING).orElseThrow().ratio()).isGreaterThan(1.2);
        assertThat(Effects.byFactor(runs)).containsOnlyKeys(Factor.PREFILTER, Factor.STOCKING);
    }

    @Test
    void a_mixture_has_its_middle_between_its_parts() {
        Mixture mixture = new Mixture(List.of(new Mixture.Part(1, -1, 0.5), new Mixture.Part(1, 1, 0.5)));

        assertThat(mixture.quantile(0.5)).isCloseTo(0, within(1e-6));
        assertThat(mixture.below(0)).isCloseTo(0.5, within(1e-6));
        assertThat(new Mixture(List.of(new Mixture.Part(3, 0, 1))).quantile(0.9))
                .isCloseTo(1.2816, within(1e-3));
    }
}
