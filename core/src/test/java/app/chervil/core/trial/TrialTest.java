package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.trial.Design.Turn;
import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Tried;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.core.water.WaterChange;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Four weeks each of a sock changed every 3 and every 6 days, begun on 2 March 2026, in fortnights. */
class TrialTest {
    private static final LocalDate BEGAN = LocalDate.of(2026, 3, 2);
    private static final Design DESIGN = new Design(BEGAN, 14, 4, every(3, 6));

    @Test
    void ways_take_turns_so_that_a_slow_drift_falls_on_both() {
        Design eight = new Design(BEGAN, 7, 8, every(3, 6));

        assertThat(eight.all().stream().map(Turn::way).toList()).isEqualTo(List.of(0, 1, 1, 0, 1, 0, 0, 1));
        assertThat(eight.ends()).isEqualTo(BEGAN.plusDays(56));
    }

    private static List<Way> every(int... days) {
        return IntStream.of(days).mapToObj(Way::every).toList();
    }

    @ParameterizedTest
    @CsvSource({"2, 4", "2, 12", "3, 6", "3, 18", "4, 8", "4, 24", "5, 10", "5, 40"})
    void each_way_has_as_many_periods_as_early_as_late(int ways, int periods) {
        Design design = new Design(
                BEGAN,
                14,
                periods,
                IntStream.rangeClosed(1, ways).mapToObj(Way::every).toList());
        Map<Integer, List<Integer>> places = IntStream.range(0, periods)
                .boxed()
                .collect(Collectors.groupingBy(i -> design.all().get(i).way()));

        assertThat(places).hasSize(ways);
        assertThat(places.values()).allSatisfy(mine -> {
            assertThat(mine).hasSize(periods / ways);
            assertThat(mine.stream().mapToInt(i -> i).sum()).isEqualTo((periods - 1) * periods / ways / 2);
        });
    }

    @ParameterizedTest
    @CsvSource({"-1,", "0, 0", "13, 0", "14, 1", "41, 1", "42, 0", "55, 0", "56,"})
    void each_day_has_its_way(int day, Integer way) {
        OptionalInt holds = DESIGN.wayOn(BEGAN.plusDays(day));
        assertThat(holds).isEqualTo(way == null ? OptionalInt.empty() : OptionalInt.of(way));
    }

    @ParameterizedTest
    @CsvSource({
        "6, 4, 3, 6, periodDays",
        "14, 6, 3, 6, periods",
        "14, 0, 3, 6, periods",
        "14, 4, 3, 3, ways",
        "14, 4, 3, 15, days of a way"
    })
    void designs_that_could_tell_nothing_are_refused(int period, int periods, int first, int other, String named) {
        assertThatThrownBy(() -> new Design(BEGAN, period, periods, every(first, other)))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith(named);
    }

    /** Rises by some mg/L a day each way, a fifth changed each week, read every third day. */
    private static Optional<Tried> lived(double firstADay, double otherADay, double noise, long seed, int days) {
        Random random = new Random(seed);
        List<Reading> readings = new ArrayList<>();
        List<WaterChange> changes = new ArrayList<>();
        double nitrate = 20;
        for (int day = 0; day < days; day++) {
            LocalDateTime at = BEGAN.plusDays(day).atStartOfDay();
            if (day % 3 == 0) {
                double read = nitrate + noise * random.nextGaussian();
                readings.add(new Reading(Parameter.NITRATE, new Exact(read), 1, at, Trust.KEPT));
            }
            if (day % 7 == 6) {
                changes.add(new WaterChange(at.plusMinutes(1), 0.2));
                nitrate *= 0.8;
            }
            nitrate += DESIGN.wayOn(BEGAN.plusDays(day)).orElseThrow() == 0 ? firstADay : otherADay;
        }
        return Production.compare(readings, changes, Tap.NONE, DESIGN.phases(), 0);
    }

    @Test
    void without_noise_both_rises_are_found() {
        Tried both = lived(0.5, 0.8, 0, 1, 56).orElseThrow();

        assertThat(both.rises().get(0).perWeek()).isCloseTo(3.5, within(0.05));
        assertThat(both.rises().get(1).perWeek()).isCloseTo(5.6, within(0.05));
        assertThat(both.pair(1, 0).difference().perWeek()).isCloseTo(2.1, within(0.05));
        assertThat(Verdict.of(Optional.of(both))).isEqualTo(Verdict.TOLD_APART);
        assertThat(both.pair(1, 0).percent().orElseThrow().perWeek()).isCloseTo(60, within(2.0));
        assertThat(lived(0.8, 0.5, 0, 1, 56)
                        .orElseThrow()
                        .pair(1, 0)
                        .difference()
                        .high())
                .isNegative();
    }

    @Test
    void three_ways_one_of_them_without_are_each_found_and_the_knee_between_them() {
        Design design = new Design(BEGAN, 14, 12, List.of(Way.WITHOUT, Way.every(7), Way.every(2)));
        double[] aDay = {0.9, 0.5, 0.48};
        List<Reading> readings = new ArrayList<>();
        double nitrate = 10;
        for (int day = 0; day < 168; day++) {
            if (day % 3 == 0) {
                readings.add(new Reading(
                        Parameter.NITRATE,
                        new Exact(nitrate),
                        1,
                        BEGAN.plusDays(day).atStartOfDay(),
                        Trust.KEPT));
            }
            nitrate += aDay[design.wayOn(BEGAN.plusDays(day)).orElseThrow()];
        }

        Tried found = Production.compare(readings, List.of(), Tap.NONE, design.phases(), 0)
                .orElseThrow();

        assertThat(found.pairs()).hasSize(3);
        assertThat(found.rises().get(0).perWeek()).isCloseTo(6.3, within(0.1));
        assertThat(found.pair(2, 0).percent().orElseThrow().perWeek()).isCloseTo(-46.7, within(2.0));
        assertThat(Knee.of(design.ways(), found.rises())).hasValue(1);
    }

    @Test
    void one_way_alone_tells_nothing() {
        assertThat(Verdict.of(lived(0.5, 0.8, 0, 1, 14))).isEqualTo(Verdict.TOO_FEW);
    }

    @Test
    void four_of_five_bands_hold_the_truth() {
        int held = 0;
        int apart = 0;
        for (long seed = 1; seed <= 400; seed++) {
            Optional<Tried> same = lived(0.6, 0.6, 1.5, seed, 56);
            Production difference = same.orElseThrow().pair(1, 0).difference();
            held += difference.low() <= 0 && difference.high() >= 0 ? 1 : 0;
            apart += lived(0.3, 0.9, 1.5, seed, 56)
                                    .orElseThrow()
                                    .pair(1, 0)
                                    .difference()
                                    .low()
                            > 0
                    ? 1
                    : 0;
        }

        // at least 320 expected; four standard errors of a binomial count are 32
        assertThat(held).isGreaterThan(320 - 32);
        assertThat(apart).isGreaterThan(360);
    }

    @Test
    void of_three_ways_each_round_goes_forth_and_back_and_begins_with_the_next() {
        Design design = new Design(BEGAN, 7, 18, every(2, 4, 7));

        assertThat(design.all().stream().map(Turn::way).toList())
                .isEqualTo(List.of(0, 1, 2, 2, 1, 0, 1, 2, 0, 0, 2, 1, 2, 0, 1, 1, 0, 2));
    }

    @ParameterizedTest
    @CsvSource({"-3, 0", "0, 0", "5, 5", "14, 14", "30, 14"})
    void a_period_is_lived_from_its_first_day_to_its_last(int day, long lived) {
        assertThat(new Turn(BEGAN, BEGAN.plusDays(14), 0).livedBy(BEGAN.plusDays(day)))
                .isEqualTo(lived);
    }

    @ParameterizedTest
    @CsvSource({"3, 3", "7, 7", "10, 7"})
    void after_a_switch_half_a_period_at_most_counts_for_neither_way(int days, int settles) {
        assertThat(DESIGN.settles(days)).isEqualTo(settles);
    }
}
