package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Pair;
import app.chervil.core.water.Production.Tried;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Turns of two ways laid over weeks in which nothing was tried: a rise of 10 a week, 40 readings. */
class ForethoughtTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    private static Production rise(double perWeek) {
        return new Production(perWeek, perWeek - 1, perWeek + 1, 40, false, List.of());
    }

    private static Tried past(double perWeek, double error) {
        return new Tried(
                List.of(rise(perWeek), rise(perWeek)), List.of(new Pair(1, 0, rise(0), Optional.empty(), error)));
    }

    @Test
    void what_is_known_to_within_little_would_tell_a_small_difference() {
        Forethought ahead = Forethought.of(List.of(past(10, 0.5))).orElseThrow();

        assertThat(ahead.enough()).isTrue();
        assertThat(ahead.smallest()).isCloseTo(1.1 * 2.1232 * 0.5 / 10, within(0.005));
    }

    @Test
    void what_is_known_badly_wants_as_many_more_readings_as_the_square_of_it() {
        Forethought ahead = Forethought.of(List.of(past(10, 1.7))).orElseThrow();

        assertThat(ahead.enough()).isFalse();
        assertThat(ahead.smallest()).isCloseTo(0.4, within(0.01));
        assertThat(ahead.needed()).isCloseTo(4 * 40, within(4));
    }

    @Test
    void four_tanks_tell_half_the_difference_that_one_does() {
        Tried one = past(10, 1.7);

        Forethought ahead = Forethought.of(List.of(one, one, one, one)).orElseThrow();

        assertThat(ahead.readings()).isEqualTo(160);
        assertThat(ahead.smallest()).isCloseTo(0.2, within(0.01));
    }

    @Test
    void where_nothing_rises_or_nothing_is_read_it_cannot_be_said() {
        assertThat(Forethought.of(List.of())).isEmpty();
        assertThat(Forethought.of(List.of(past(0, 1)))).isEmpty();
        assertThat(Forethought.of(List.of(past(10, 0)))).isEmpty();
    }

    @Test
    void its_turns_end_where_the_trial_would_begin() {
        Design design = new Design(TODAY, 14, 8, List.of(Way.every(3), Way.every(6)));

        Design past = Forethought.before(design, TODAY);

        assertThat(past.ends()).isEqualTo(TODAY);
        assertThat(past.ways()).isEqualTo(design.ways());
        assertThat(past.all()).hasSameSizeAs(design.all());
    }

    @Test
    void as_many_readings_as_are_needed_are_enough() {
        assertThat(new Forethought(40, 0.2, 40).enough()).isTrue();
        assertThat(new Forethought(40, 0.2, 41).enough()).isFalse();
    }
}
