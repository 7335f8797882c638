package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import org.junit.jupiter.api.Test;

/** The load on an earlier day is today's with every later change taken back. */
class SurroundingsTest {
    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);

    @Test
    void what_changed_later_is_taken_back_and_what_changed_before_or_that_day_stands() {
        Surroundings today = new Surroundings(Stocking.HEAVY, Feeding.HEAVY, 0, 0);

        assertThat(on(today, change(1, Kind.STOCKING, 1), change(2, Kind.FEEDING, 2)))
                .isEqualTo(load(Stocking.NORMAL, Feeding.LIGHT, false, false));
        assertThat(on(today, change(0, Kind.STOCKING, 1), change(-5, Kind.FEEDING, 2)))
                .isEqualTo(load(Stocking.HEAVY, Feeding.HEAVY, false, false));
    }

    @Test
    void a_step_down_is_taken_back_upwards_and_nothing_leaves_its_scale() {
        Surroundings today = new Surroundings(Stocking.LIGHT, Feeding.HEAVY, 0, 0);

        assertThat(on(today, change(3, Kind.STOCKING, -2), change(3, Kind.FEEDING, -1)))
                .isEqualTo(load(Stocking.HEAVY, Feeding.HEAVY, false, false));
        assertThat(on(today, change(3, Kind.STOCKING, 3), change(3, Kind.FEEDING, 3)))
                .isEqualTo(load(Stocking.LIGHT, Feeding.LIGHT, false, false));
    }

    @Test
    void a_pre_filter_that_came_later_was_not_there_yet_and_one_taken_off_since_was() {
        Surroundings with = new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 1, 1);
        Surroundings without = new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 0, 0);

        assertThat(on(with)).isEqualTo(load(Stocking.NORMAL, Feeding.NORMAL, true, true));
        assertThat(on(with, change(9, Kind.PREFILTER, 1), change(9, Kind.PARALLEL_FILTER, 1)))
                .isEqualTo(load(Stocking.NORMAL, Feeding.NORMAL, false, false));
        assertThat(on(without, change(9, Kind.PREFILTER, -1), change(9, Kind.PARALLEL_FILTER, -1)))
                .isEqualTo(load(Stocking.NORMAL, Feeding.NORMAL, true, true));
    }

    @Test
    void a_pre_filter_protects_only_what_lies_behind_it() {
        Surroundings with = new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 2, 0);

        assertThat(with.on(DAY, List.of(), false)).isEqualTo(load(Stocking.NORMAL, Feeding.NORMAL, false, false));
    }

    /** Every factor of docs/sources.md#multipliers at once: 1.7 × 1.4 × 0.30 × 0.65. */
    @Test
    void the_rate_is_the_product_of_all_that_bears_on_it() {
        assertThat(load(Stocking.HEAVY, Feeding.HEAVY, true, true).rate())
                .isCloseTo(1.7 * 1.4 * 0.30 * 0.65, within(1e-9));
    }

    private static StartingLoad on(Surroundings today, ContextChange... changes) {
        return today.on(DAY, Arrays.asList(changes), true);
    }

    private static StartingLoad load(Stocking stocking, Feeding feeding, boolean prefilter, boolean other) {
        return new StartingLoad(stocking, feeding, prefilter, other);
    }

    private static ContextChange change(int daysLater, Kind kind, int steps) {
        return new ContextChange(DAY.plusDays(daysLater), kind, steps);
    }
}
