package app.chervil.server.stock;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.Material;
import app.chervil.core.stock.Supply;
import app.chervil.server.stock.Wants.Want;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;

class TaskCostsTest {
    private static final long SOCK = 3;
    private static final long CARBON = 4;
    private static final String FELT = name(Material.SOCK);
    private static final String BAG = name(Material.CARBON);

    private static String name(Material material) {
        return Wants.key(Supply.of(material, "").name());
    }

    private static Want want(long task, Material material, int quantity) {
        return new Want(task, "Rock pool", "Undertow", Supply.of(material, ""), quantity, LocalDate.of(2026, 6, 1), 3);
    }

    private static TaskCosts costs(Map<String, Double> prices, Want... wants) {
        Map<String, List<Want>> byName = Arrays.stream(wants)
                .collect(Collectors.groupingBy(one -> Wants.key(one.supply().name())));
        return TaskCosts.of(new Wants(byName), name -> Optional.ofNullable(prices.get(name)));
    }

    @Test
    void everything_a_task_takes_is_counted_as_often_as_it_takes_it() {
        TaskCosts costs = costs(
                Map.of(FELT, 4.5, BAG, 2.0),
                want(SOCK, Material.SOCK, 2),
                want(SOCK, Material.CARBON, 1),
                want(CARBON, Material.CARBON, 3));

        assertThat(costs.of(SOCK)).hasValue(11);
        assertThat(costs.of(CARBON)).hasValue(6);
    }

    @Test
    void half_of_a_cost_is_none() {
        TaskCosts costs = costs(Map.of(FELT, 4.5), want(SOCK, Material.SOCK, 1), want(SOCK, Material.CARBON, 1));

        assertThat(costs.of(SOCK)).isEmpty();
    }

    @Test
    void what_takes_nothing_costs_nothing() {
        assertThat(costs(Map.of()).of(SOCK)).hasValue(0);
    }
}
