package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.Watch.Asked;
import app.chervil.core.water.Watch.Cause;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class WatchTest {
    private static final LocalDate BEGAN = LocalDate.of(2026, 6, 1);

    /** Days of domain rules: 1, 2, 4 and 7; a window ends the day before the next. */
    @ParameterizedTest
    @CsvSource({"0, false", "1, true", "2, true", "3, true", "4, true", "6, true", "7, true", "9, true", "10, false"})
    void ammonia_is_due_after_media_was_replaced(int day, boolean due) {
        List<Asked> asked = due(Cause.MEDIA_REPLACED, day);

        assertThat(asked.stream().anyMatch(one -> one.parameter() == Parameter.AMMONIA))
                .isEqualTo(due);
    }

    @Test
    void nitrate_is_asked_weekly_for_eight_weeks() {
        List<LocalDate> days = new Watch(Cause.MEDIA_REPLACED, BEGAN)
                .schedule().stream()
                        .filter(one -> one.parameter() == Parameter.NITRATE)
                        .map(Asked::from)
                        .toList();

        assertThat(days).hasSize(8).startsWith(BEGAN.plusDays(7)).endsWith(BEGAN.plusDays(56));
    }

    @ParameterizedTest
    @CsvSource({"FULL_SERVICE", "LONG_OFF"})
    void a_full_service_asks_for_ammonia_on_days_one_and_three(Cause cause) {
        assertThat(new Watch(cause, BEGAN).schedule().stream().map(Asked::from))
                .containsExactly(BEGAN.plusDays(1), BEGAN.plusDays(3));
    }

    @Test
    void a_reading_in_its_window_answers_and_an_early_one_does_not() {
        assertThat(due(Cause.FULL_SERVICE, 1, ammonia(1, Trust.KEPT))).isEmpty();
        assertThat(due(Cause.FULL_SERVICE, 1, ammonia(1, Trust.EARLY))).hasSize(1);
        assertThat(due(Cause.FULL_SERVICE, 3, ammonia(2, Trust.KEPT))).hasSize(1);
    }

    @Test
    void two_watches_ask_for_one_reading_not_two() {
        List<Watch> both = List.of(new Watch(Cause.FULL_SERVICE, BEGAN), new Watch(Cause.LONG_OFF, BEGAN));

        assertThat(Watch.due(both, List.of(), BEGAN.plusDays(1).atTime(8, 0))).hasSize(1);
    }

    private static List<Asked> due(Cause cause, int day, Reading... readings) {
        return Watch.due(
                List.of(new Watch(cause, BEGAN)),
                List.of(readings),
                BEGAN.plusDays(day).atTime(20, 0));
    }

    private static Reading ammonia(int day, Trust trust) {
        return new Reading(
                Parameter.AMMONIA, new Below(0.2), 0.2, BEGAN.plusDays(day).atTime(9, 0), trust);
    }
}
