package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Condition.Advice;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What is odd, when to read, what to ask: the small judgements on water. */
class WaterSensesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    @ParameterizedTest
    @CsvSource({
        "PH, 15, 7.2, true",
        "PH, 7.4, 7.2, false",
        "PH, 8.2, 7.2, true",
        "NITRATE, 20, 2, false",
        "NITRATE, 25, 2.5, true",
        "NITRATE, 2, 25, true",
        "NITRITE, 0.5, 0, true",
        "AMMONIA, 0.4, 0.02, false",
        "PH, 8.1, 7.2, false",
        "PH, 4, 4.5, false",
        "PH, 9.5, 9.5, false",
        "NITRATE, 20, 1, false",
        "NITRATE, 10, 1, false",
        "NITRATE, 2.5, 25, true",
        "NITRATE, 2.6, 25, false",
        "TEMPERATURE, 24, 18, true",
        "TEMPERATURE, 23.9, 18, false",
        "TEMPERATURE, 18, 24, true",
        "TEMPERATURE, 25, 18, true",
        "TEMPERATURE, 35, 34, true"
    })
    void an_unlikely_value_is_questioned(Parameter parameter, double value, double last, boolean odd) {
        assertThat(parameter.doubt(value, Optional.of(last)).isPresent()).isEqualTo(odd);
    }

    @Test
    void a_doubt_names_what_was_typed_with_its_unit() {
        assertThat(Parameter.NITRATE.doubt(300, Optional.empty()))
                .contains(
                        "Nitrate 300 mg/L is outside what any tank has, 0 mg/L to 250 mg/L. Did you type it as you read it?");
        assertThat(Parameter.PH.doubt(8.4, Optional.of(7.2))).contains("The last pH was 7.2. Is a jump to 8.4 right?");
        assertThat(Parameter.PH.unit()).isEmpty();
        assertThat(Parameter.KH.unit()).isEqualTo("°dH");
    }

    @Test
    void a_step_of_a_colour_card_reaches_half_way_to_its_neighbours() {
        TestMethod card = new TestMethod(Parameter.NITRITE, "card", 0, List.of(), List.of(0.0, 1.0, 0.5));

        assertThat(card.amount(0.5)).isEqualTo(new Amount.Step(0.5, 0.25, 0.75));
        assertThat(card.amount(1)).isEqualTo(new Amount.Step(1, 0.75, Seen.NO_END));
        assertThat(card.amount(0)).isEqualTo(new Amount.Step(0, -0.25, 0.25));
        assertThat(card.amount(0.3)).isEqualTo(new Amount.Exact(0.3));
    }

    @Test
    void a_method_without_a_limit_is_as_noisy_as_a_simple_kit() {
        assertThat(new TestMethod(Parameter.NITRITE, "drops", 0, List.of()).noise())
                .isEqualTo(Parameter.NITRITE.noise());
        assertThat(new TestMethod(Parameter.NITRITE, "drops", 0.02, List.of()).noise())
                .isEqualTo(0.02);
    }

    @Test
    void two_ways_are_apart_where_their_band_leaves_out_zero() {
        assertThat(pair(-0.2, 0.3).apart()).isFalse();
        assertThat(pair(0, 0.3).apart()).isFalse();
        assertThat(pair(-0.3, 0).apart()).isFalse();
        assertThat(pair(0.1, 0.3).apart()).isTrue();
        assertThat(pair(-0.3, -0.1).apart()).isTrue();
    }

    @Test
    void what_is_known_twice_as_well_counts_four_times() {
        assertThat(production(0, 2).weight()).isEqualTo(1);
        assertThat(production(2, 3).weight()).isEqualTo(4);
    }

    private static Production production(double low, double high) {
        return new Production((low + high) / 2, low, high, 9, false, List.of());
    }

    private static Production.Pair pair(double low, double high) {
        return new Production.Pair(1, 0, production(low, high), Optional.empty(), 0.1);
    }

    @Test
    void only_a_temperature_may_lie_below_zero() {
        assertThat(Parameter.TEMPERATURE.possible(-5)).isTrue();
        assertThat(Parameter.TEMPERATURE.possible(-5.1)).isFalse();
        assertThat(Parameter.NITRATE.possible(0)).isTrue();
        assertThat(Parameter.TEMPERATURE.possible(-1)).isTrue();
        assertThat(Parameter.NITRATE.possible(-0.1)).isFalse();
        assertThat(Parameter.NITRATE.possible(Double.NaN)).isFalse();
    }

    @Test
    void nitrate_is_best_read_the_day_before_the_next_water_change() {
        List<WaterChange> weekly = List.of(change(2), change(9), change(16));

        BestMoment moment = BestMoment.of(Parameter.NITRATE, weekly, TODAY).orElseThrow();

        assertThat(moment.day()).isEqualTo(TODAY.plusDays(4));
        assertThat(moment.why()).isEqualTo("Nitrate peaks just before the water change, next around 6 Jun.");
        assertThat(BestMoment.of(Parameter.AMMONIA, weekly, TODAY)).isEmpty();
    }

    @Test
    void a_change_that_is_overdue_makes_today_the_best_day() {
        assertThat(BestMoment.of(Parameter.NITRATE, List.of(change(30)), TODAY)
                        .orElseThrow()
                        .day())
                .isEqualTo(TODAY);
    }

    @Test
    void all_well_asks_for_nothing() {
        assertThat(Condition.advise(List.of())).isEqualTo(new Advice(java.util.Set.of(), List.of()));
    }

    @Test
    void gasping_animals_get_air_first_then_tests_then_a_vet() {
        Advice advice = Condition.advise(List.of(Condition.BREATHING));

        assertThat(advice.readings()).startsWith(Parameter.AMMONIA, Parameter.NITRITE);
        assertThat(advice.steps().get(0)).startsWith("More air first");
        assertThat(advice.steps().get(advice.steps().size() - 1)).contains("vet");
        assertThat(Condition.advise(List.of(Condition.SURFACE)).steps()).noneMatch(step -> step.contains("vet"));
    }

    @Test
    void a_thinned_line_keeps_its_ends_and_its_extremes() {
        Random random = new Random(7);
        List<double[]> daily = IntStream.range(0, 3650)
                .mapToObj(day -> new double[] {day, day == 1234 ? 99 : random.nextDouble()})
                .toList();

        List<double[]> thin = Thinning.thin(daily, point -> point[0], point -> point[1], 600);

        assertThat(thin.size()).isBetween(500, 600);
        assertThat(thin.get(0)[0]).isZero();
        assertThat(thin.get(thin.size() - 1)[0]).isEqualTo(3649);
        assertThat(thin).anyMatch(point -> point[1] == 99);
        assertThat(thin).isSortedAccordingTo(java.util.Comparator.comparingDouble(point -> point[0]));
    }

    private static WaterChange change(int daysAgo) {
        return new WaterChange(TODAY.minusDays(daysAgo).atTime(18, 0), 0.3);
    }
}
