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
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.MethodSource;

class PlannerTest {
    private static final ChainId ONE = ChainId.ofTask(1);
    private static final ChainId TWO = ChainId.ofTask(2);

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 40);
    }

    /** The site of a seed with published days, decisions and logged work thrown in at random. */
    static Instance troubled(long seed) {
        Instance plain = PlanWorlds.of(1 + (int) (seed % 6), 4, seed);
        SplittableRandom random = new SplittableRandom(seed);
        Map<ChainId, List<Integer>> published = new HashMap<>();
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

    static List<int[]> anyDays(Instance instance, long seed) {
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

    private static Chain chain(long id, long filter, int first, int every, int minutes, Chain.Demand demand) {
        Span gap = new Span(every - 2, every, every + 2);
        return new Chain(
                ChainId.ofTask(id),
                new Chain.Place(1, filter),
                new Chain.Rhythm(gap.plus(first - every), gap, Chain.Times.AGAIN),
                new Chain.Work(minutes, Chain.Reach.OUTSIDE, Chain.Hands.ANYONE),
                demand);
    }

    private static Instance site(Before before, int[] week, Chain... chains) {
        List<Hours.Day> hours = new ArrayList<>();
        for (int day = 0; day < 56 + Instance.BEYOND_DAYS; day++) {
            hours.add(new Hours.Day(week[day % 7], 0));
        }
        return new Instance(56, List.of(chains), new Hours(hours), new SetUps(2, 3, Map.of(), Map.of(1L, 1)), before);
    }

    private static final int[] EVERY_DAY = {60, 60, 60, 60, 60, 60, 60};
    private static final Chain.Demand SPACED = new Chain.Demand(true, 0, Optional.empty());

    @Test
    void disturbing_work_stands_seven_days_apart_and_from_what_was_logged() {
        Before logged = new Before(List.of(), Map.of(), List.of(new Logged(new Chain.Place(1, 0), -2)));
        Instance instance = site(logged, EVERY_DAY, chain(1, 1, 1, 14, 10, SPACED), chain(2, 2, 3, 21, 10, SPACED));

        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, 1);

        assertThat(plan.score().hard()).isZero();
        List<Integer> all = new ArrayList<>(plan.of(ONE));
        all.addAll(plan.of(TWO));
        all.add(-2);
        all.sort(null);
        for (int i = 1; i < all.size(); i++) {
            assertThat(all.get(i) - all.get(i - 1)).isGreaterThanOrEqualTo(7);
        }
    }

    @Test
    void linked_work_meets_its_partner_on_every_occurrence() {
        Chain sock = chain(1, 1, 1, 4, 5, Chain.Demand.NONE);
        Chain rock = chain(2, 0, 2, 7, 10, new Chain.Demand(false, 0, Optional.of(ONE)));

        Plan plan = Planner.plan(site(Before.NOTHING, EVERY_DAY, rock, sock), Effort.INTERACTIVE, 1);

        assertThat(plan.of(ONE)).containsAll(plan.of(TWO));
    }

    @Test
    void work_that_has_its_week_is_late_by_that_week_however_seldom_it_is_done() {
        Chain seldom = new Chain(
                ONE,
                new Chain.Place(1, 1),
                new Chain.Rhythm(new Span(7, 10, 14), new Span(240, 300, 360), Chain.Times.AGAIN, 7),
                new Chain.Work(5, Chain.Reach.OUTSIDE, Chain.Hands.ANYONE),
                Chain.Demand.NONE);
        Instance instance = site(Before.NOTHING, EVERY_DAY, seldom);

        Plan inTime = Planner.scored(instance, List.of(new int[] {10}));
        Plan late = Planner.scored(instance, List.of(new int[] {16}));

        assertThat(late.score().soft() - inTime.score().soft()).isEqualTo((200 * (4 * 3 + 2 * 10) + 3) / 7);
        assertThat(late.score()).isEqualTo(new NaiveScorer(instance, late).score());
    }

    @Test
    void work_keeps_to_days_on_which_people_have_time_and_waits_for_a_hold() {
        int[] wednesdays = {0, 0, 60, 0, 0, 0, 0};
        Chain.Demand held = new Chain.Demand(true, 10, Optional.empty());

        Plan plan = Planner.plan(site(Before.NOTHING, wednesdays, chain(1, 1, 2, 14, 10, held)), Effort.USABLE, 1);

        assertThat(plan.of(ONE)).allMatch(day -> day % 7 == 2 && day >= 10);
    }

    @Test
    void what_falls_into_a_closure_is_done_once_around_it() {
        int[] open = new int[7];
        List<Hours.Day> hours = new ArrayList<>();
        for (int day = 0; day < 56 + Instance.BEYOND_DAYS; day++) {
            hours.add(new Hours.Day(day >= 14 && day < 28 ? 0 : 60, 0));
        }
        Instance plain = site(Before.NOTHING, open, chain(1, 1, 6, 7, 20, Chain.Demand.NONE));
        Instance closed = new Instance(56, plain.chains(), new Hours(hours), plain.setUps(), Before.NOTHING);

        Plan plan = Planner.plan(closed, Effort.INTERACTIVE, 1);

        assertThat(plan.of(ONE)).noneMatch(day -> day >= 14 && day < 28);
        assertThat(plan.of(ONE).stream().filter(day -> day >= 28 && day < 34)).hasSize(1);
    }

    @Test
    void a_pin_holds_whatever_it_costs_and_is_told_as_trouble() {
        Chain one = chain(1, 1, 2, 14, 10, SPACED);
        Chain other = chain(2, 2, 10, 28, 10, SPACED);
        Before pinned = new Before(
                List.of(new Fixed(ONE, 0, 3, How.PINNED), new Fixed(TWO, 0, 5, How.PINNED)), Map.of(), List.of());
        Instance instance = site(pinned, EVERY_DAY, one, other);

        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, 1);

        assertThat(plan.of(ONE).get(0)).isEqualTo(3);
        assertThat(new Audit(instance, plan).troubles()).contains(new Trouble.TooClose(5, TWO, ONE, 3));
    }

    @Test
    void more_work_than_time_is_told_by_how_much() {
        int[] tight = {10, 10, 10, 10, 10, 10, 10};
        Instance instance = site(Before.NOTHING, tight, chain(1, 1, 3, 28, 40, Chain.Demand.NONE));

        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, 1);

        int day = plan.of(ONE).get(0);
        assertThat(new Audit(instance, plan).troubles()).contains(new Trouble.TooMuch(day, 45, 10));
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void a_replan_without_a_change_moves_nothing_that_people_were_told(long seed) {
        Instance instance = PlanWorlds.of(3, 8, seed);
        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, seed);
        Instance published = new Instance(
                instance.publishedDays(),
                instance.chains(),
                instance.hours(),
                instance.setUps(),
                new Before(List.of(), plan.days(), List.of()));

        Plan again = Planner.replan(published, List.of(1L), seed);

        assertThat(again.visits(published)).isEqualTo(plan.visits(published));
        assertThat(Planner.kept(published)).isEqualTo(plan);
    }

    /** On these sites none of the works finds another day alone. */
    @ParameterizedTest
    @CsvSource({"1, 35", "3, 41", "3, 57"})
    void work_pinned_too_close_to_other_disturbing_work_has_that_move_with_all_it_stands_apart_from(
            int tanks, long seed) {
        Instance instance = PlanWorlds.of(tanks, 8, seed);
        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, seed);
        Chain pinned = ofTwoFilters(instance, plan).get(0);
        Chain other = ofTwoFilters(instance, plan).get(1);
        int close = plan.of(other.id()).get(0) + 2;
        Instance published = new Instance(
                instance.publishedDays(),
                instance.chains(),
                instance.hours(),
                instance.setUps(),
                new Before(List.of(new Fixed(pinned.id(), 0, close, How.PINNED)), plan.days(), List.of()));
        assertThat(plan.score().hard()).isZero();
        assertThat(Planner.kept(published).score().hard()).isPositive();

        Plan again = Planner.replan(published, List.of(pinned.place().tank()), seed);

        assertThat(again.score().hard()).isZero();
        assertThat(again.of(pinned.id()).get(0)).isEqualTo(close);
    }

    /** The first two disturbing works of two filters of one tank. */
    private static List<Chain> ofTwoFilters(Instance instance, Plan plan) {
        List<Chain> disturbing = instance.chains().stream()
                .filter(chain -> chain.demand().spaced() && !plan.of(chain.id()).isEmpty())
                .toList();
        return disturbing.stream()
                .flatMap(one -> disturbing.stream()
                        .filter(other -> other.place().tank() == one.place().tank()
                                && other.place().filter() != one.place().filter())
                        .map(other -> List.of(one, other)))
                .findFirst()
                .orElseThrow();
    }
}
