package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.trial.Design.Kept;
import app.chervil.core.trial.Design.Turn;
import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Phase;
import app.chervil.core.water.Production;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.RiseQuestion.Tap;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Three tanks keep a sock daily, every three days and weekly, for eight weeks from 2 March 2026 on. */
class KeptTest {
    private static final LocalDate BEGAN = LocalDate.of(2026, 3, 2);
    private static final List<Way> WAYS = List.of(Way.every(1), Way.every(3), Way.every(7));

    private static Design tank(int way, int... swappedAfter) {
        List<LocalDate> swapped =
                IntStream.of(swappedAfter).mapToObj(BEGAN::plusDays).toList();
        return new Design(BEGAN, 7, 8, WAYS, Optional.of(new Kept(way, swapped)));
    }

    @Test
    void a_tank_keeps_its_way_to_the_end() {
        Design design = tank(1);

        assertThat(design.all()).containsExactly(new Turn(BEGAN, BEGAN.plusDays(56), 1));
        assertThat(design.had(BEGAN.plusDays(30))).containsExactly(1);
        assertThat(design.phases(BEGAN.plusDays(30))).containsExactly(new Phase(BEGAN.atStartOfDay(), 0));
    }

    @Test
    void at_a_swap_each_goes_on_to_the_next_and_keeps_it_as_long_again() {
        Design last = tank(2, 30);

        assertThat(last.all())
                .containsExactly(
                        new Turn(BEGAN, BEGAN.plusDays(30), 2), new Turn(BEGAN.plusDays(30), BEGAN.plusDays(86), 0));
        assertThat(last.wayOn(BEGAN.plusDays(29))).hasValue(2);
        assertThat(last.wayOn(BEGAN.plusDays(30))).hasValue(0);
    }

    @Test
    void ways_can_be_told_apart_once_a_tank_has_had_them_all() {
        Design design = tank(0, 30, 60);

        assertThat(design.hadAll(BEGAN.plusDays(60))).isFalse();
        assertThat(design.hadAll(BEGAN.plusDays(61))).isTrue();
        assertThat(design.had(BEGAN.plusDays(45))).containsExactly(0, 1);
    }

    @Test
    void swaps_that_cannot_have_been_are_refused() {
        assertThatThrownBy(() -> tank(3)).hasMessageStartingWith("way that is kept");
        assertThatThrownBy(() -> tank(0, 0)).hasMessageStartingWith("days between swaps");
        assertThatThrownBy(() -> tank(0, 57)).hasMessageStartingWith("days between swaps");
        assertThatThrownBy(() -> tank(0, 20, 10)).hasMessageStartingWith("days between swaps");
        assertThatThrownBy(() -> tank(0, 10, 20, 30)).hasMessageStartingWith("number of swaps");
    }

    /** Nitrate read every third day, rising by some mg/L a day of each way. */
    private static List<Reading> read(Design design, int days, double... aDay) {
        double[] nitrate = {5};
        return IntStream.range(0, days)
                .mapToObj(day -> {
                    LocalDate on = BEGAN.plusDays(day);
                    Reading read =
                            new Reading(Parameter.NITRATE, new Exact(nitrate[0]), 1, on.atStartOfDay(), Trust.KEPT);
                    nitrate[0] += aDay[design.wayOn(on).orElseThrow()];
                    return read;
                })
                .filter(read -> read.on().toEpochDay() % 3 == 0)
                .toList();
    }

    private static Heard heard(Design design, int days, double... aDay) {
        LocalDate until = BEGAN.plusDays(days);
        return new Heard(
                design.had(until),
                WAYS.size(),
                Production.compare(read(design, days, aDay), List.of(), Tap.NONE, design.phases(until), 0));
    }

    @Test
    void a_tank_tells_of_the_way_it_had_and_compares_nothing() {
        Heard told = heard(tank(1), 50, 0.2, 0.5, 0.9);

        assertThat(told.rise(1).orElseThrow().perWeek()).isCloseTo(3.5, within(0.05));
        assertThat(told.rise(0)).isEmpty();
        assertThat(told.rise(2)).isEmpty();
        assertThat(told.compared()).isEmpty();
    }

    @Test
    void after_two_swaps_it_compares_all_three() {
        Heard told = heard(tank(1, 40, 80), 120, 0.2, 0.5, 0.9);

        assertThat(told.rise(0).orElseThrow().perWeek()).isCloseTo(1.4, within(0.1));
        assertThat(told.compared().orElseThrow().pair(2, 0).difference().perWeek())
                .isCloseTo(4.9, within(0.2));
    }

    @Test
    void what_was_not_had_yet_is_no_phase() {
        Design design = tank(0, 30);

        assertThat(design.phases(BEGAN.plusDays(30))).containsExactly(new Phase(BEGAN.atStartOfDay(), 0));
        assertThat(design.phases(BEGAN.plusDays(31)))
                .containsExactly(
                        new Phase(BEGAN.atStartOfDay(), 0),
                        new Phase(BEGAN.plusDays(30).atStartOfDay(), 1));
    }

    @Test
    void after_a_swap_half_of_the_whole_trial_at_most_counts_for_neither_way() {
        assertThat(tank(0).settles(21)).isEqualTo(21);
        assertThat(tank(0).settles(40)).isEqualTo(28);
    }
}
