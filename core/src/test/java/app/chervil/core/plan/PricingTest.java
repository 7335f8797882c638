package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Planner.Effort;
import app.chervil.core.plan.Price.Part;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;

/** What other days would cost for work of a plan that people were told. */
class PricingTest {
    private final Instance instance = told(PlanWorlds.of(3, 8, 4));
    private final Plan plan = Planner.kept(instance);
    private final Pricing pricing = new Pricing(instance, plan);

    private static Instance told(Instance plain) {
        Map<ChainId, List<Integer>> days =
                new HashMap<>(Planner.plan(plain, Effort.INTERACTIVE, 4).days());
        return new Instance(
                plain.publishedDays(),
                plain.chains(),
                plain.hours(),
                plain.setUps(),
                new Before(List.of(), days, List.of()));
    }

    private Occurrence second() {
        Chain weekly = instance.chains().get(0);
        return new Occurrence(weekly, 1, plan.of(weekly.id()).get(1));
    }

    @Test
    void every_day_between_its_neighbours_is_priced_and_no_other() {
        List<Integer> days = plan.of(second().chain().id());

        List<Price> prices = pricing.of(List.of(second()));

        assertThat(prices.get(0).day()).isEqualTo(days.get(0) + 1);
        assertThat(prices.get(prices.size() - 1).day()).isEqualTo(days.get(2) - 1);
        assertThat(prices).hasSize(days.get(2) - days.get(0) - 1);
    }

    @Test
    void only_another_day_than_people_were_told_costs_for_moving() {
        assertThat(pricing.of(List.of(second())))
                .allSatisfy(price -> assertThat(price.part(Part.MOVED) > 0).isEqualTo(price.day() != second().day()));
    }

    @Test
    void moving_is_told_apart_from_being_early_or_late() {
        Price there = pricing.of(List.of(second())).stream()
                .filter(price -> price.day() == second().day() + 1)
                .findFirst()
                .orElseThrow();

        long all = there.parts().entrySet().stream()
                .filter(part -> part.getKey().compareTo(Part.TIMING) >= 0)
                .mapToLong(Map.Entry::getValue)
                .sum();
        assertThat(there.score().soft()).isEqualTo(all);
        assertThat(there.part(Part.MOVED)).isEqualTo(Weights.moved(second().day(), second().day() + 1));
    }

    @Test
    void asking_changes_nothing() {
        List<Price> first = pricing.of(List.of(second()));

        assertThat(pricing.of(List.of(second()))).isEqualTo(first);
        assertThat(new Pricing(instance, plan).of(List.of(second()))).isEqualTo(first);
    }

    @Test
    void of_days_that_cost_as_much_the_earlier_comes_first() {
        Price early = new Price(3, new Score(0, 5), Map.of());
        Price late = new Price(4, new Score(0, 5), Map.of());

        assertThat(early.compareTo(late)).isNegative();
        assertThat(new Price(9, new Score(0, 4), Map.of()).compareTo(early)).isNegative();
    }
}
