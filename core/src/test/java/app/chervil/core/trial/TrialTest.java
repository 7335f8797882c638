package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.trial.Design.Turn;
import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Compared;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.core.water.WaterChange;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Four weeks each of a sock changed every 3 and every 6 days, begun on 2 March 2026, in fortnights. */
class TrialTest {
    private static final LocalDate BEGAN = LocalDate.of(2026, 3, 2);
    private static final Design DESIGN = new Design(BEGAN, 14, 4, 3, 6);

    @Test
    void ways_take_turns_so_that_a_slow_drift_falls_on_both() {
        Design eight = new Design(BEGAN, 7, 8, 3, 6);

        assertThat(eight.all().stream().map(Turn::way).map(way -> way == Way.FIRST ? "A" : "B"))
                .containsExactly("A", "B", "B", "A", "B", "A", "A", "B");
        assertThat(eight.ends()).isEqualTo(BEGAN.plusDays(56));
    }

    @ParameterizedTest
    @CsvSource({"-1,", "0, FIRST", "13, FIRST", "14, OTHER", "41, OTHER", "42, FIRST", "55, FIRST", "56,"})
    void each_day_has_its_way(int day, Way way) {
        assertThat(DESIGN.wayOn(BEGAN.plusDays(day))).isEqualTo(Optional.ofNullable(way));
    }

    @ParameterizedTest
    @CsvSource({
        "6, 4, 3, 6, periodDays",
        "14, 6, 3, 6, periods",
        "14, 0, 3, 6, periods",
        "14, 4, 3, 3, otherDays",
        "14, 4, 3, 15, otherDays"
    })
    void designs_that_could_tell_nothing_are_refused(int period, int periods, int first, int other, String named) {
        assertThatThrownBy(() -> new Design(BEGAN, period, periods, first, other))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith(named);
    }

    /** Rises by some mg/L a day each way, a fifth changed each week, read every third day. */
    private static Optional<Compared> lived(double firstADay, double otherADay, double noise, long seed, int days) {
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
            nitrate += DESIGN.wayOn(BEGAN.plusDays(day)).orElseThrow() == Way.FIRST ? firstADay : otherADay;
        }
        return Production.compare(readings, changes, Tap.NONE, DESIGN.phases(), 0);
    }

    @Test
    void without_noise_both_rises_are_found() {
        Compared both = lived(0.5, 0.8, 0, 1, 56).orElseThrow();

        assertThat(both.first().perWeek()).isCloseTo(3.5, within(0.05));
        assertThat(both.other().perWeek()).isCloseTo(5.6, within(0.05));
        assertThat(both.difference().perWeek()).isCloseTo(2.1, within(0.05));
        assertThat(Verdict.of(Optional.of(both))).isEqualTo(Verdict.FIRST_RISES_LESS);
        assertThat(Verdict.of(lived(0.8, 0.5, 0, 1, 56))).isEqualTo(Verdict.OTHER_RISES_LESS);
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
            Optional<Compared> same = lived(0.6, 0.6, 1.5, seed, 56);
            Production difference = same.orElseThrow().difference();
            held += difference.low() <= 0 && difference.high() >= 0 ? 1 : 0;
            apart += Verdict.of(lived(0.3, 0.9, 1.5, seed, 56)) == Verdict.FIRST_RISES_LESS ? 1 : 0;
        }

        // at least 320 expected; four standard errors of a binomial count are 32
        assertThat(held).isGreaterThan(320 - 32);
        assertThat(apart).isGreaterThan(360);
    }
}
