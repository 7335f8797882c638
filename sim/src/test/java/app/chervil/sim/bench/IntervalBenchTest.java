package app.chervil.sim.bench;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.sim.truth.World;
import java.io.OutputStream;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class IntervalBenchTest {
    private static final PrintStream QUIET =
            new PrintStream(OutputStream.nullOutputStream(), true, StandardCharsets.UTF_8);

    @Test
    void the_same_seeds_give_the_same_figures_however_they_are_shared_out() {
        String whole = table(1, 12, World.Named.BASE).json();

        String again = table(1, 12, World.Named.BASE).json();

        assertThat(again).isEqualTo(whole);
    }

    @Test
    void nobody_who_cannot_see_the_truth_beats_the_oracle_on_the_whole_and_learning_beats_a_ladder() {
        Map<String, Double> costs = run(900, 939, World.Named.BASE).overall().entrySet().stream()
                .collect(Collectors.toMap(
                        Map.Entry::getKey, entry -> entry.getValue().mean()));

        assertThat(costs.values()).allMatch(cost -> cost >= 1);
        assertThat(costs.get("informed")).isLessThan(costs.get(Practices.OURS_WITH_FLOW));
        assertThat(costs.get(Practices.OURS_WITH_FLOW)).isLessThan(costs.get("tuned ladder"));
        assertThat(costs.get(Practices.RULE_OF_THUMB)).isLessThan(costs.get("maker's calendar"));
    }

    @Test
    void a_harsh_world_makes_services_more_frequent_and_a_lenient_one_less() {
        double fair = services(World.Named.BASE);

        assertThat(services(World.Named.HARSH)).isGreaterThan(fair * 1.05);
        assertThat(services(World.Named.LENIENT)).isLessThan(fair * 0.97);
    }

    @Test
    void every_world_states_the_bars_that_are_asked_of_it() {
        assertThat(table(1, 4, World.Named.BASE).bars()).hasSize(14);
        assertThat(table(1, 4, World.Named.HARSH).bars()).singleElement().satisfies(bar -> assertThat(bar.wanted())
                .isEqualTo("≤ 1.7"));
    }

    @Test
    void every_figure_is_written_down() {
        BenchTable table = table(1, 4, World.Named.BASE);

        assertThat(table.json())
                .contains("\"overloaded\":", "\"servicesUntilNear\":", "harsh by 0.5")
                .contains(table.bars().stream()
                        .map(bar -> "\"figure\":\"" + bar.name() + '"')
                        .toList());
    }

    /** Half a grade of harshness costs much; twelve pictures give most of it back. */
    @Test
    void graded_pictures_make_up_for_a_harsh_eye() {
        Map<String, Tally> harsh = run(300, 339, World.Named.HARSH).overall();

        double untested = harsh.get(Practices.OURS_WITH_FLOW).mean();
        double pictured = harsh.get(Practices.OURS_WITH_PICTURES).mean();

        assertThat(pictured).isLessThan(0.93 * untested);
    }

    /** Running is free to 0.7, 1.5 at an overload, 5.5 at twice it; opening at 0.175 costs half of 0.3 more. */
    @Test
    void a_service_costs_one_and_a_little_more_if_it_came_too_early() {
        assertThat(Costs.ofService(0.5)).isEqualTo(1);
        assertThat(Costs.ofService(0.35)).isEqualTo(1);
        assertThat(Costs.ofService(0.175)).isCloseTo(1.15, within(1e-12));
        assertThat(Costs.ofService(0)).isCloseTo(1.3, within(1e-12));
        assertThat(Costs.owed(0.4)).isEqualTo(0.4);
        assertThat(Costs.owed(1.7)).isEqualTo(1);
    }

    @Test
    void options_are_read() {
        assertThat(BenchOptions.parse("--seeds", "3-9", "--flow", "0", "--world", "drift"))
                .isEqualTo(new BenchOptions(3, 9, 0, World.Named.DRIFT, Optional.empty()));
        assertThat(BenchOptions.parse("--seeds", "5-5").flow()).isEqualTo(0.5);
    }

    @ParameterizedTest
    @CsvSource({
        "--seeds 9-3, Seeds must go up",
        "--seeds 3, Say which seeds",
        "--seeds x-4, Say which seeds",
        "--seeds 1-200000, at most 100,000",
        "--flow 0.5, Say which seeds",
        "--seeds 1-2 --flow 1.01, --flow must be 0 to 1",
        "--seeds 1-2 --flow NaN, --flow must be 0 to 1",
        "--seeds 1-2 --world mars, no world",
        "--seeds 1-2 --speed 3, Cannot read",
        "--seeds, Cannot read",
        "--seeds 1-2 --seeds 1-3, Cannot read"
    })
    void options_that_do_not_fit_are_refused_in_words(String given, String said) {
        assertThatThrownBy(() -> BenchOptions.parse(given.split(" ")))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageContaining(said);
    }

    private static double services(World.Named world) {
        return run(50, 79, world).overall().get(Practices.OURS_WITH_FLOW).servicesEach();
    }

    private static IntervalBench.Result run(long first, long last, World.Named world) {
        return IntervalBench.run(options(first, last, world), QUIET);
    }

    private static BenchTable table(long first, long last, World.Named world) {
        Optional<IntervalBench.Result> harsh =
                world == World.Named.BASE ? Optional.of(run(first, last, World.Named.HARSH)) : Optional.empty();
        return new BenchTable(options(first, last, world), run(first, last, world), harsh);
    }

    private static BenchOptions options(long first, long last, World.Named world) {
        return new BenchOptions(first, last, 0.5, world, Optional.empty());
    }
}
