package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Hold.Cause;
import app.chervil.core.water.Permission.Earlier;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

/** May this be done today, and what does it cost? */
class PermissionTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 15);
    private static final Hold SPIKE = hold(Cause.AMMONIA, null);
    private static final Hold YOUNG = hold(Cause.YOUNG_TANK, TODAY.plusDays(40));
    private static final Hold MEDIA = hold(Cause.MEDIA_REPLACED, TODAY.plusDays(10));

    @ParameterizedTest
    @ValueSource(ints = {0, 1})
    void work_that_hardly_disturbs_is_free_whatever_holds(int disturbance) {
        Permission permission = Permission.judge(TODAY, disturbance, List.of(SPIKE), List.of(before(1)));

        assertThat(permission.free()).isTrue();
        assertThat(permission.spacing(TODAY)).isEmpty();
    }

    @Test
    void every_hold_is_named_the_longest_first() {
        Permission permission = Permission.judge(TODAY, 2, List.of(MEDIA, SPIKE, YOUNG), List.of());

        assertThat(permission.holds()).containsExactly(SPIKE, YOUNG, MEDIA);
        assertThat(permission.free()).isFalse();
    }

    @ParameterizedTest
    @CsvSource({"0, true", "1, true", "6, true", "7, false", "30, false"})
    void a_week_lies_between_two_disturbing_services(int daysBefore, boolean close) {
        assertThat(Permission.judge(TODAY, 2, List.of(), List.of(before(daysBefore)))
                        .close()
                        .isPresent())
                .isEqualTo(close);
    }

    @Test
    void what_was_done_later_is_not_held_against_an_earlier_day() {
        assertThat(Permission.judge(TODAY, 3, List.of(), List.of(before(-2))).free())
                .isTrue();
    }

    @Test
    void the_last_one_counts_in_whatever_order_they_were_entered() {
        Permission permission = Permission.judge(TODAY, 2, List.of(), List.of(before(2), before(6), before(4)));

        assertThat(permission.close()).contains(before(2));
    }

    @ParameterizedTest
    @CsvSource({
        "0, today, 22 Jun",
        "1, yesterday, 21 Jun",
        "5, 5 days ago, 17 Jun",
    })
    void it_says_what_was_done_when_and_from_which_day_it_is_free(int daysBefore, String when, String from) {
        assertThat(Permission.judge(TODAY, 2, List.of(), List.of(before(daysBefore)))
                        .spacing(TODAY))
                .contains("The bacteria of this tank were disturbed " + when
                        + ": rinse coarse foam. Leave 7 days between, so from " + from + ".");
    }

    private static Earlier before(int days) {
        return new Earlier(TODAY.minusDays(days), "rinse coarse foam");
    }

    private static Hold hold(Cause cause, LocalDate until) {
        return new Hold(cause, TODAY.minusDays(1), Optional.ofNullable(until), "Because.", "When it clears.");
    }
}
