package app.chervil.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.time.LocalDate;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A device fitted on the first of January. */
class FittedTest {
    private static final LocalDate NEW_YEAR = LocalDate.of(2026, 1, 1);

    private static Fitted device(DeviceKind kind, Optional<LocalDate> testedOn) {
        return new Fitted(3, kind, "Corner", NEW_YEAR, testedOn);
    }

    @ParameterizedTest
    @CsvSource({"LEAK, 90", "LEVEL, 90", "PLUG, 180", "TEMPERATURE, 180", "FLOW, 365"})
    void its_first_test_is_due_so_long_after_it_was_fitted(DeviceKind kind, int days) {
        Fitted device = device(kind, Optional.empty());

        assertThat(device.due(NEW_YEAR.plusDays(days - 1))).isEmpty();
        assertThat(device.due(NEW_YEAR.plusDays(days))).hasValueSatisfying(due -> {
            assertThat(due.since()).isEqualTo(NEW_YEAR.plusDays(days));
            assertThat(due.lastTried()).isEqualTo(NEW_YEAR);
            assertThat(due.test().words()).contains("Corner");
        });
        assertThat(device.due(NEW_YEAR.plusYears(2)).orElseThrow().since()).isEqualTo(NEW_YEAR.plusDays(days));
    }

    @Test
    void the_next_is_counted_from_the_last() {
        Fitted device = device(DeviceKind.LEAK, Optional.of(NEW_YEAR.plusDays(100)));

        assertThat(device.lastTried()).isEqualTo(NEW_YEAR.plusDays(100));
        assertThat(device.due(NEW_YEAR.plusDays(189))).isEmpty();
        assertThat(device.due(NEW_YEAR.plusDays(190))).isPresent();
    }

    @Test
    void what_is_used_by_hand_is_never_tried_out() {
        assertThat(device(DeviceKind.BUTTON, Optional.empty()).due(NEW_YEAR.plusYears(9)))
                .isEmpty();
    }
}
