package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Production.Tried;
import app.chervil.core.water.Production.Turns;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.RiseQuestion.Tap;
import java.time.LocalDate;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.api.Test;

/**
 * A tank makes 7 mg/L of nitrate a week one way and 4.9 the other, in fortnights; on day 60 it was fed more, and made 4.2 more
 * from then on, whatever the way.
 */
class ShiftTest {
    private static final LocalDateTime BEGAN = LocalDate.of(2026, 1, 5).atStartOfDay();
    private static final LocalDate FED_MORE = BEGAN.toLocalDate().plusDays(60);
    private static final int[] WAYS = {0, 1, 1, 0, 1, 0, 0, 1};
    private static final int DAYS = 14 * WAYS.length;

    private static List<Phase> phases() {
        List<Phase> phases = new ArrayList<>();
        for (int i = 0; i < WAYS.length; i++) {
            phases.add(new Phase(BEGAN.plusDays(14L * i), WAYS[i]));
        }
        return phases;
    }

    private static Tried told(List<LocalDate> shifts, double noise, long seed) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Reading> readings = new ArrayList<>();
        List<WaterChange> changes = new ArrayList<>();
        double nitrate = 10;
        for (int day = 0; day <= DAYS; day++) {
            LocalDateTime at = BEGAN.plusDays(day);
            if (day % 3 == 0) {
                double read = nitrate + noise * random.nextDouble(-1, 1);
                readings.add(new Reading(Parameter.NITRATE, new Exact(read), 1, at, Trust.KEPT));
            }
            if (day % 7 == 6) {
                changes.add(new WaterChange(at.plusMinutes(1), 0.3));
                nitrate *= 0.7;
            }
            int way = WAYS[Math.min(WAYS.length - 1, day / 14)];
            nitrate += (way == 0 ? 1 : 0.7) + (at.toLocalDate().isBefore(FED_MORE) ? 0 : 0.6);
        }
        return Production.compare(readings, changes, Tap.NONE, new Turns(phases(), 0, shifts))
                .orElseThrow();
    }

    @Test
    void what_was_said_to_have_changed_is_taken_out_and_rises_are_told_as_before_it() {
        Tried told = told(List.of(FED_MORE), 0, 1);

        assertThat(told.rises().get(0).perWeek()).isCloseTo(7, within(0.05));
        assertThat(told.rises().get(1).perWeek()).isCloseTo(4.9, within(0.05));
        assertThat(told.pair(1, 0).difference().perWeek()).isCloseTo(-2.1, within(0.05));
    }

    @Test
    void unsaid_it_blurs_the_comparison() {
        Production unsaid = told(List.of(), 1, 3).pair(1, 0).difference();
        Production said = told(List.of(FED_MORE), 1, 3).pair(1, 0).difference();

        assertThat(said.high() - said.low()).isLessThan(0.8 * (unsaid.high() - unsaid.low()));
        assertThat(said.high()).isNegative();
    }

    @Test
    void a_change_before_the_first_reading_or_after_the_last_changes_nothing() {
        Tried plain = told(List.of(), 1, 5);

        assertThat(told(List.of(BEGAN.toLocalDate().minusDays(3)), 1, 5)).isEqualTo(plain);
        assertThat(told(List.of(BEGAN.toLocalDate().plusDays(DAYS + 5)), 1, 5)).isEqualTo(plain);
    }

    @Test
    void more_than_three_are_not_told_from_the_ways_and_the_first_three_are_allowed_for() {
        LocalDate first = BEGAN.toLocalDate().plusDays(20);
        Turns many =
                new Turns(phases(), 0, List.of(first.plusDays(9), first, first.plusDays(30), first.plusDays(3), first));

        assertThat(many.shifts()).containsExactly(first, first.plusDays(3), first.plusDays(9));
    }
}
