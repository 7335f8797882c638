package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Instance.Fixed;
import app.chervil.core.plan.Instance.How;
import app.chervil.core.plan.Instance.Logged;
import app.chervil.core.plan.Planner.Effort;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

class PlannerTest {
    static LongStream seeds() {
        return LongStream.rangeClosed(1, 40);
    }

    /** The site of a seed with published days, decisions and logged work thrown in at random. */
    private static Instance troubled(long seed) {
        Instance plain = PlanWorlds.of(1 + (int) (seed % 6), 4, seed);
        SplittableRandom random = new SplittableRandom(seed);
        Map<Long, List<Integer>> published = new HashMap<>();
        List<Fixed> fixed = new ArrayList<>();
        List<Logged> logged = new ArrayList<>();
        for (Chain chain : plain.chains()) {
            if (random.nextInt(3) > 0) {
                published.put(chain.id(), List.of(random.nextInt(10), 10 + random.nextInt(30)));
            }
            if (random.nextInt(6) == 0) {
                fixed.add(
                        new Fixed(chain.id(), 0, random.nextInt(20), random.nextBoolean() ? How.PINNED : How.SKIPPED));
            }
            if (chain.demand().spaced() && random.nextBoolean()) {
                logged.add(new Logged(chain.place(), -random.nextInt(8)));
            }
        }
        return new Instance(
                plain.publishedDays(),
                plain.chains(),
                plain.hours(),
                plain.setUps(),
                new Before(fixed, published, logged));
    }

    private static List<int[]> anyDays(Instance instance, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<int[]> days = new ArrayList<>();
        for (Lane lane : new Board(instance).lanes) {
            int[] on = new int[lane.count()];
            int[] last = lane.to.clone();
            for (int k = on.length - 2; k >= 0; k--) {
                last[k] = Math.min(last[k], last[k + 1] - 1);
            }
            for (int k = 0; k < on.length; k++) {
                int from = Math.max(lane.from[k], k == 0 ? 0 : on[k - 1] + 1);
                on[k] = from + random.nextInt(Math.min(9, last[k] - from + 1));
            }
            days.add(on);
        }
        return days;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void counters_agree_with_a_scorer_that_has_none_on_any_plan(long seed) {
        Instance instance = troubled(seed);

        Plan any = Planner.scored(instance, anyDays(instance, seed));

        assertThat(any.score()).isEqualTo(new NaiveScorer(instance, any).score());
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_score_of_a_search_is_the_score_of_the_plan_it_returns(long seed) {
        Instance instance = troubled(seed);

        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, seed);

        assertThat(plan.score()).isEqualTo(new NaiveScorer(instance, plan).score());
    }

    @Test
    void the_same_seed_gives_the_same_plan() {
        Instance instance = PlanWorlds.of(5, 8, 3);

        Plan first = Planner.plan(instance, Effort.INTERACTIVE, 7);

        assertThat(Planner.plan(instance, Effort.INTERACTIVE, 7)).isEqualTo(first);
    }
}
