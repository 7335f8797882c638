package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** pH under a sock changed every 3 and every 6 days, a fortnight each in turn, from 2 March 2026 on. */
class HeldTest {
    private static final LocalDate BEGAN = LocalDate.of(2026, 3, 2);
    private static final Design DESIGN = new Design(BEGAN, 14, 4, List.of(Way.every(3), Way.every(6)));

    private static Reading ph(int day, double value, Trust trust) {
        return new Reading(
                Parameter.PH, new Exact(value), 0.1, BEGAN.plusDays(day).atTime(9, 0), trust);
    }

    private static List<Optional<Held>> held(Reading... readings) {
        return Held.byWay(DESIGN, List.of(readings));
    }

    @Test
    void each_way_is_told_by_the_readings_of_its_own_days() {
        assertThat(held(
                        ph(0, 7.0, Trust.KEPT),
                        ph(13, 7.4, Trust.KEPT),
                        ph(14, 7.8, Trust.KEPT),
                        ph(41, 8.2, Trust.KEPT),
                        ph(42, 7.2, Trust.KEPT)))
                .containsExactly(
                        Optional.of(new Held((7.0 + 7.4 + 7.2) / 3, 7.0, 7.4, 3)),
                        Optional.of(new Held(8.0, 7.8, 8.2, 2)));
    }

    @Test
    void what_was_read_too_early_or_outside_the_trial_tells_nothing() {
        assertThat(held(ph(-1, 6, Trust.KEPT), ph(20, 6, Trust.EARLY), ph(56, 9, Trust.KEPT), ph(3, 7, Trust.KEPT)))
                .containsExactly(Optional.of(new Held(7, 7, 7, 1)), Optional.empty());
    }
}
