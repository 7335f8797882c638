package app.chervil.core.water;

import static app.chervil.core.water.Parameter.AMMONIA;
import static app.chervil.core.water.Parameter.NITRITE;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Hold.Cause;
import app.chervil.core.water.Reading.Trust;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class WaterBookTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final LocalDate OLD = TODAY.minusYears(3);

    @Test
    void a_reading_above_the_noise_of_its_kit_holds() {
        assertThat(causes(reading(NITRITE, 0, 0.11))).containsExactly(Cause.NITRITE);
        assertThat(causes(reading(NITRITE, 0, 0.1))).isEmpty();
        assertThat(causes(reading(AMMONIA, 0, 0.3))).containsExactly(Cause.AMMONIA);
    }

    @Test
    void a_reading_that_is_early_and_above_noise_holds_and_a_clean_one_clears_nothing() {
        // the colour still rises: 2 mg/L read too soon is at least that
        assertThat(causes(early(NITRITE, 1, 2.0))).containsExactly(Cause.NITRITE);
        assertThat(causes(early(NITRITE, 1, 0.05))).isEmpty();
        assertThat(causes(reading(NITRITE, 9, 0.5), clean(NITRITE, 4), early(NITRITE, 1, 0)))
                .containsExactly(Cause.NITRITE);
    }

    @Test
    void spikes_are_counted_where_something_showed_and_on_their_days() {
        WaterBook book =
                book(OLD, reading(NITRITE, 9, 0.5), clean(NITRITE, 6), early(AMMONIA, 5, 2.0), early(AMMONIA, 4, 0));

        assertThat(book.spikes(TODAY.minusDays(9), TODAY)).isEqualTo(2);
        assertThat(book.spikes(TODAY.minusDays(8), TODAY)).isEqualTo(1);
        assertThat(book.spikes(TODAY.minusDays(9), TODAY.minusDays(6))).isEqualTo(1);
        assertThat(book.spikes(TODAY.minusDays(4), TODAY)).isZero();
    }

    @Test
    void what_was_read_too_early_is_asked_for_again_and_a_hold_asks_for_its_reading() {
        assertThat(book(OLD, early(AMMONIA, 1, 2.0)).retests(TODAY))
                .singleElement()
                .satisfies(retest -> assertThat(retest.why()).isEqualTo("The last one was read too early"));
        assertThat(book(OLD, early(AMMONIA, 1, 2.0), reading(AMMONIA, 0, 0.1)).retests(TODAY))
                .isEmpty();
        assertThat(book(OLD, reading(NITRITE, 40, 0.5)).retests(TODAY))
                .singleElement()
                .satisfies(retest -> assertThat(retest.why()).isEqualTo("A hold waits for it"));
        assertThat(book(OLD, reading(NITRITE, 40, 0.5), clean(NITRITE, 1)).retests(TODAY))
                .isEmpty();
    }

    @Test
    void two_clean_readings_two_days_apart_clear_it_and_one_day_apart_do_not() {
        assertThat(causes(reading(NITRITE, 5, 0.5), clean(NITRITE, 2), clean(NITRITE, 1)))
                .containsExactly(Cause.NITRITE);
        assertThat(causes(reading(NITRITE, 5, 0.5), clean(NITRITE, 2), clean(NITRITE, 0)))
                .isEmpty();
    }

    @Test
    void a_spike_between_two_clean_readings_starts_the_count_anew() {
        assertThat(causes(reading(NITRITE, 9, 0.5), clean(NITRITE, 6), reading(NITRITE, 5, 0.3), clean(NITRITE, 3)))
                .containsExactly(Cause.NITRITE);
    }

    @Test
    void the_other_parameter_clears_nothing() {
        assertThat(causes(reading(NITRITE, 9, 0.5), clean(AMMONIA, 6), clean(AMMONIA, 2)))
                .containsExactly(Cause.NITRITE);
    }

    @Test
    void a_hold_says_what_it_waits_for_and_when_that_may_be() {
        Hold fresh = only(book(OLD, reading(NITRITE, 1, 0.5)));
        Hold halfway = only(book(OLD, reading(NITRITE, 4, 0.5), clean(NITRITE, 1)));

        assertThat(fresh.reason())
                .isEqualTo("Nitrite reached 0.5 mg/L on 31 May; the bacteria are needed as they are.");
        assertThat(fresh.likelyUntil()).contains(TODAY.plusDays(2));
        assertThat(halfway.clears()).isEqualTo("One clean reading on 31 May; a second one from 2 Jun clears it.");
        assertThat(halfway.likelyUntil()).contains(TODAY.plusDays(1));
    }

    @Test
    void a_young_tank_is_held_for_its_first_60_days() {
        assertThat(only(book(TODAY.minusDays(59))).likelyUntil()).contains(TODAY.plusDays(1));
        assertThat(book(TODAY.minusDays(60)).holds(TODAY)).isEmpty();
    }

    @Test
    void replaced_media_holds_for_28_days() {
        assertThat(only(replaced(27)).likelyUntil()).contains(TODAY.plusDays(1));
        assertThat(replaced(28).holds(TODAY)).isEmpty();
    }

    @Test
    void a_medication_holds_through_its_last_day_or_until_it_is_said_to_be_over() {
        assertThat(only(medicated(Optional.of(TODAY))).likelyUntil()).contains(TODAY.plusDays(1));
        assertThat(only(medicated(Optional.empty())).likelyUntil()).isEmpty();
        assertThat(medicated(Optional.of(TODAY.minusDays(1))).holds(TODAY)).isEmpty();
    }

    @Test
    void past_holds_are_told_as_stretches_of_days() {
        WaterBook book =
                book(OLD, reading(NITRITE, 20, 0.5), clean(NITRITE, 17), clean(NITRITE, 15), reading(NITRITE, 3, 1));

        assertThat(book.periods(TODAY.minusDays(30), TODAY, 1))
                .containsExactly(
                        new WaterBook.Period(Cause.NITRITE, TODAY.minusDays(20), TODAY.minusDays(16)),
                        new WaterBook.Period(Cause.NITRITE, TODAY.minusDays(3), TODAY));
    }

    @Test
    void the_latest_trusted_value_since_a_moment_counts_and_noise_as_nothing() {
        WaterBook book = book(
                OLD, reading(NITRITE, 3, 0.4), reading(NITRITE, 2, 0.1), early(NITRITE, 1, 2), reading(AMMONIA, 0, 3));

        assertThat(book.latest(NITRITE, TODAY.minusDays(3).atTime(9, 0))).hasValue(0);
        assertThat(book(OLD, reading(NITRITE, 3, 0.4), reading(NITRITE, 5, 0.5))
                        .latest(NITRITE, TODAY.minusDays(3).atTime(9, 0)))
                .hasValue(0.4);
        assertThat(book.latest(NITRITE, TODAY.minusDays(2).atTime(9, 1))).isEmpty();
        assertThat(book.latest(Parameter.PH, OLD.atStartOfDay())).isEmpty();
    }

    private static Hold hold(Cause cause, Optional<LocalDate> until) {
        return new Hold(cause, TODAY, until, "", "");
    }

    @Test
    void what_only_readings_or_a_word_end_comes_before_what_ends_by_itself() {
        Hold nitrite = hold(Cause.NITRITE, Optional.of(TODAY.plusDays(2)));
        Hold ammonia = hold(Cause.AMMONIA, Optional.of(TODAY.plusDays(1)));
        Hold open = hold(Cause.MEDICATION, Optional.empty());
        Hold ending = hold(Cause.MEDICATION, Optional.of(TODAY.plusDays(20)));
        Hold young = hold(Cause.YOUNG_TANK, Optional.of(TODAY.plusDays(40)));

        assertThat(List.of(nitrite, ammonia, open)).allMatch(Hold::endless);
        assertThat(List.of(ending, young)).noneMatch(Hold::endless);
        assertThat(java.util.stream.Stream.of(ending, young, ammonia, open, nitrite)
                        .sorted(Hold.LONGEST_FIRST))
                .containsExactly(open, nitrite, ammonia, young, ending);
    }

    @Test
    void holds_concern_work_that_disturbs_by_two_or_more() {
        assertThat(Hold.concerns(1)).isFalse();
        assertThat(Hold.concerns(2)).isTrue();
    }

    private static WaterBook replaced(int daysAgo) {
        return new WaterBook(OLD, List.of(), List.of(), List.of(new Replacement(TODAY.minusDays(daysAgo), 100)));
    }

    private static WaterBook medicated(Optional<LocalDate> lastDay) {
        return new WaterBook(OLD, List.of(), List.of(new Medication(TODAY.minusDays(9), lastDay)), List.of());
    }

    private static WaterBook book(LocalDate established, Reading... readings) {
        return new WaterBook(established, List.of(readings), List.of(), List.of());
    }

    private static List<Cause> causes(Reading... readings) {
        return book(OLD, readings).holds(TODAY).stream().map(Hold::cause).toList();
    }

    private static Hold only(WaterBook book) {
        assertThat(book.holds(TODAY)).hasSize(1);
        return book.holds(TODAY).get(0);
    }

    private static Reading reading(Parameter parameter, int daysAgo, double value) {
        return new Reading(
                parameter,
                new Exact(value),
                parameter.noise(),
                TODAY.minusDays(daysAgo).atTime(9, 0),
                Trust.KEPT);
    }

    private static Reading clean(Parameter parameter, int daysAgo) {
        return new Reading(
                parameter,
                new Below(parameter.noise()),
                parameter.noise(),
                TODAY.minusDays(daysAgo).atTime(9, 0),
                Trust.KEPT);
    }

    private static Reading early(Parameter parameter, int daysAgo, double value) {
        return new Reading(
                parameter,
                new Exact(value),
                parameter.noise(),
                TODAY.minusDays(daysAgo).atTime(9, 0),
                Trust.EARLY);
    }
}
