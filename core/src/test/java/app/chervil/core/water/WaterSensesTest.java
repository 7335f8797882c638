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
        "TEMPERATURE, 25, 18, true",
        "TEMPERATURE, 35, 34, true"
    })
    void an_unlikely_value_is_questioned(Parameter parameter, double value, double last, boolean odd) {
        assertThat(parameter.doubt(value, Optional.of(last)).isPresent()).isEqualTo(odd);
    }

    @Test
    void only_a_temperature_may_lie_below_zero() {
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
