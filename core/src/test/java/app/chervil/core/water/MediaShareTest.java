package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.MediaShare.Verdict;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class MediaShareTest {
    private static final LocalDate ESTABLISHED = LocalDate.of(2026, 1, 1);

    /** A quarter to 90 days, half from 365, half-way between at 227.5 days. */
    @ParameterizedTest
    @CsvSource({"0, 0.25", "90, 0.25", "91, 0.250909", "227, 0.374545", "364, 0.499091", "365, 0.5", "4000, 0.5"})
    void the_share_rises_with_age(long days, double share) {
        assertThat(MediaShare.allowed(days)).isCloseTo(share, within(1e-6));
    }

    @Test
    void sixty_percent_in_a_young_tank_is_refused_with_the_sum() {
        Verdict verdict = weigh(42, 600, List.of());

        assertThat(verdict.within()).isFalse();
        assertThat(verdict.sum())
                .isEqualTo(
                        "600 g of 1000 g is 60 %. At 42 days of age the tank may exchange 25 %, 250 g, within 28 days:"
                                + " at most 250 g now.");
    }

    @Test
    void the_allowed_share_itself_is_allowed() {
        assertThat(weigh(42, 250, List.of()).within()).isTrue();
        assertThat(weigh(42, 250.1, List.of()).within()).isFalse();
    }

    @Test
    void what_was_exchanged_within_28_days_counts_and_what_is_older_does_not() {
        Replacement recent = new Replacement(ESTABLISHED.plusDays(400 - 27), 300);
        Replacement older = new Replacement(ESTABLISHED.plusDays(400 - 28), 300);

        assertThat(weigh(400, 201, List.of(recent)).leftGrams()).isCloseTo(200, within(1e-9));
        assertThat(weigh(400, 201, List.of(recent)).within()).isFalse();
        assertThat(weigh(400, 500, List.of(older)).within()).isTrue();
    }

    private static Verdict weigh(int ageDays, double grams, List<Replacement> earlier) {
        return MediaShare.weigh(ESTABLISHED, 1000, earlier, new Replacement(ESTABLISHED.plusDays(ageDays), grams));
    }
}
