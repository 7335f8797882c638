package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import java.time.LocalDate;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class BeliefTest {
    private static final CalibratedEye EYE = CalibratedEye.UNTESTED;
    private static final Belief USUAL = Belief.prior(90);

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, Double.NaN, Double.POSITIVE_INFINITY})
    void a_variance_out_of_range_is_refused(double variance) {
        assertThatIllegalArgumentException().isThrownBy(() -> new Belief(5, variance));
    }

    @ParameterizedTest
    @ValueSource(doubles = {-20.1, 20.1, Double.NaN})
    void a_mean_out_of_range_is_refused(double mean) {
        assertThatIllegalArgumentException().isThrownBy(() -> new Belief(mean, 0.3));
    }

    @Test
    void drift_widens_up_to_its_cap_and_never_narrows() {
        // 0.01 in 30 days from 0.37; capped at 0.444
        assertThat(USUAL.drifted(30).variance()).isCloseTo(0.38, within(1e-12));
        assertThat(USUAL.drifted(10_000).variance()).isEqualTo(0.444);
        assertThat(new Belief(5, 0.6).drifted(10_000).variance()).isEqualTo(0.6);
    }

    // overload at 150 days for a prior of 90: clean is no news before 15 days, clogged none after 202.5
    @ParameterizedTest(name = "{0} after {1} days: {2}")
    @CsvSource({
        "CLEAN, 14, false",
        "CLEAN, 16, true",
        "CLOGGED, 202, true",
        "CLOGGED, 203, false",
        "MODERATE, 1, true",
        "HEAVY, 900, true"
    })
    void what_was_to_be_expected_is_no_news(Finding finding, double exposure, boolean news) {
        assertThat(USUAL.learnsFrom(finding, EYE, LogExposure.exact(exposure))).isEqualTo(news);
        assertThat(USUAL.found(finding, EYE, LogExposure.exact(exposure))
                        .belief()
                        .equals(USUAL))
                .isNotEqualTo(news);
    }

    @Test
    void every_finding_makes_the_belief_narrower() {
        for (Finding finding : Finding.values()) {
            assertThat(USUAL.found(finding, EYE, LogExposure.exact(90)).belief().variance())
                    .isLessThan(USUAL.variance());
        }
    }

    @Test
    void a_full_flow_so_early_is_only_a_bound_and_a_collapsed_one_counts_as_15_percent() {
        assertThat(USUAL.flowed(0.97, 0.65, LogExposure.exact(20)).belief()).isEqualTo(USUAL);
        assertThat(USUAL.flowed(0.01, 0.65, LogExposure.exact(90)))
                .isEqualTo(USUAL.flowed(0.15, 0.65, LogExposure.exact(90)));
    }

    @Test
    void a_surprise_is_believed_up_to_two_standard_deviations() {
        // clogged on the first day: ln 1 − ln 1.35 lies 5.31 below ln 150; 2 √(0.37 + 0.465²) = 1.531, gain 0.631
        Belief.Taught taught = USUAL.found(Finding.CLOGGED, EYE, LogExposure.exact(1));

        assertThat(taught.held()).isTrue();
        assertThat(USUAL.mean() - taught.belief().mean()).isCloseTo(0.9665, within(1e-3));
    }

    @Test
    void an_exposure_of_nothing_is_taken_as_a_little() {
        assertThat(LogExposure.exact(0)).isEqualTo(LogExposure.exact(0.3));
    }

    @ParameterizedTest
    @CsvSource({"9, LATER", "10, OPEN", "19, OPEN", "20, DUE", "30, DUE", "31, LATE"})
    void a_day_stands_to_a_window_by_its_three_days(int day, Window.Standing standing) {
        LocalDate since = LocalDate.of(2026, 1, 1);
        Window window = new Window(since.plusDays(10), since.plusDays(20), since.plusDays(30));

        assertThat(window.standingOn(since.plusDays(day))).isEqualTo(standing);
    }
}
