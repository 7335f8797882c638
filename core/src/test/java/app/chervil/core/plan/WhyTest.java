package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Planner.Effort;
import app.chervil.core.plan.Rota.Load;
import app.chervil.core.plan.Rota.Person;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalLong;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Prices and reasons come from the function that plans are made by; day 0 is Wednesday 25 November 2026. */
class WhyTest {
    private static final LocalDate FIRST = LocalDate.of(2026, 11, 25);

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 25);
    }

    private static Why why(Instance instance, Plan plan) {
        return new Why(instance, plan, FIRST, chain -> "task " + chain);
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void the_price_of_a_day_is_what_the_whole_plan_costs_with_the_work_there(long seed) {
        Instance instance = PlanWorlds.of(2, 6, seed);
        Plan plan = Planner.plan(instance, Effort.USABLE, seed);
        Occurrence one = plan.visits(instance).get(0).occurrences().get(0);

        for (Price price : new Pricing(instance, plan).of(List.of(one))) {
            List<int[]> moved = instance.chains().stream()
                    .map(chain ->
                            plan.of(chain.id()).stream().mapToInt(day -> day).toArray())
                    .toList();
            moved.get(instance.chains().indexOf(one.chain()))[one.k()] = price.day();
            Score whole = score(instance, moved);
            Score here = score(instance, plan);
            Score dearer = new Score(
                    price.score().hard() - planned(instance, plan, one).score().hard(),
                    price.score().soft() - planned(instance, plan, one).score().soft());

            assertThat(dearer).isEqualTo(new Score(whole.hard() - here.hard(), whole.soft() - here.soft()));
        }
    }

    private static Price planned(Instance instance, Plan plan, Occurrence one) {
        return new Pricing(instance, plan)
                .of(List.of(one)).stream()
                        .filter(price -> price.day() == one.day())
                        .findFirst()
                        .orElseThrow();
    }

    private static Score score(Instance instance, List<int[]> days) {
        Plan plan = Plan.of(new Board(instance).lanes, days, new Score(0, 0));
        return score(instance, plan);
    }

    private static Score score(Instance instance, Plan plan) {
        return new NaiveScorer(instance, plan).score();
    }

    @Test
    void it_says_with_what_work_goes_and_what_the_next_best_days_would_cost() {
        Instance instance = PlanWorlds.of(1, 8, 4);
        Plan plan = Planner.plan(instance, Effort.INTERACTIVE, 4);
        Occurrence one = plan.visits(instance).stream()
                .filter(visit -> visit.occurrences().size() > 1)
                .findFirst()
                .orElseThrow()
                .occurrences()
                .get(1);

        Why.Answer answer = why(instance, plan).of(List.of(one));

        assertThat(answer.because()).contains("one visit instead of two");
        assertThat(answer.best()).hasSize(2).allSatisfy(other -> assertThat(other.words())
                .containsPattern("(worse|better|about the same|nobody has time|more than people have|apart|without)"));
        assertThat(answer.all()).anySatisfy(other -> assertThat(other.words()).contains("is the day planned"));
    }

    @Test
    void work_for_keepers_goes_to_a_keeper_and_the_rest_to_whoever_has_most_time_left() {
        List<Person> people = List.of(
                new Person(1, 60, Hands.KEEPER), new Person(2, 50, Hands.ANYONE), new Person(3, 0, Hands.ANYONE));

        List<OptionalLong> shared = Rota.share(
                List.of(new Load(20, Hands.ANYONE), new Load(40, Hands.KEEPER), new Load(25, Hands.ANYONE)), people);

        assertThat(shared).containsExactly(OptionalLong.of(2), OptionalLong.of(1), OptionalLong.of(2));
        assertThat(Rota.share(List.of(new Load(5, Hands.KEEPER)), people.subList(1, 3)))
                .containsExactly(OptionalLong.empty());
    }
}
