package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What a meter teaches of one run, by hand from docs/sources.md#flow-meter: 0.4 of the flow is left at an overload. */
class RunBeliefTest {
    private static final double AT_OVERLOAD = 0.4;
    /** 100 days, with the spread of a stage of which nothing was found. */
    private static final RunBelief EXPECTED = new RunBelief(Math.log(100), 0.42);

    /** ln X − 0.392 ln((1/f − 1) ÷ 1.5) against ln 100, weighed by noise (0.113 ln(…))² + (0.01568 ÷ f(1 − f))². */
    @ParameterizedTest
    @CsvSource({
        "0.60,  60,    0,   4.417877, 0.012295",
        "0.25,  60,    0,   3.846350, 0.012730",
        "0.10,  60,    0,   3.568139, 0.060987",
        "0.60,  60,    0.3, 4.494567, 0.179235",
        "0.92,  60,    0,   5.052168, 0.109952",
        "0.92,  30,    0,   4.540481, 0.109952"
    })
    void one_reading_moves_it_by_what_it_can_tell(
            double share, double exposure, double unsure, double mean, double variance) {
        RunBelief seen = EXPECTED.metered(share, AT_OVERLOAD, new LogExposure(Math.log(exposure), unsure));

        assertThat(seen.mean()).isCloseTo(mean, within(1e-6));
        assertThat(seen.variance()).isCloseTo(variance, within(1e-6));
    }

    /** ±2.5 × √(variance + noise), whatever a meter says. */
    @ParameterizedTest
    @CsvSource({"5000, 6.213843", "1, 2.996498"})
    void a_surprise_is_believed_only_so_far(double exposure, double mean) {
        RunBelief seen = EXPECTED.metered(0.5, AT_OVERLOAD, LogExposure.exact(exposure));

        assertThat(seen.mean()).isCloseTo(mean, within(1e-6));
        assertThat(seen.variance()).isCloseTo(0.005948, within(1e-6));
    }

    @Test
    void below_a_tenth_a_reading_counts_as_a_tenth() {
        LogExposure exposure = LogExposure.exact(60);

        assertThat(EXPECTED.metered(0.02, AT_OVERLOAD, exposure))
                .isEqualTo(EXPECTED.metered(0.10, AT_OVERLOAD, exposure));
    }

    @Test
    void nearly_clean_counts_as_no_more_than_that() {
        LogExposure exposure = LogExposure.exact(60);

        assertThat(EXPECTED.metered(1.2, AT_OVERLOAD, exposure))
                .isEqualTo(EXPECTED.metered(0.92, AT_OVERLOAD, exposure));
    }

    /** Three ages, 0.5 × 60 days × e^(0.7 × −√3, 0, √3), weighed 1 : 4 : 1, on top of ten days. */
    @Test
    void an_unknown_age_is_drawn_wide_around_half_the_start() {
        LogExposure exposure = LogExposure.ofUnknownAge(10, 60);

        assertThat(exposure.mean()).isCloseTo(3.734022, within(1e-6));
        assertThat(exposure.variance()).isCloseTo(0.264484, within(1e-6));
        assertThat(LogExposure.ofUnknownAge(0, 40).variance()).isCloseTo(0.49, within(1e-9));
    }

    @Test
    void less_than_a_third_of_a_day_counts_as_that() {
        assertThat(LogExposure.exact(0)).isEqualTo(new LogExposure(Math.log(0.3), 0));
        assertThat(LogExposure.exact(0.4).mean()).isCloseTo(Math.log(0.4), within(1e-12));
    }

    /** 60 of 100 days; e^(1.2816 √(0.42 + 0.04)) = 2.385 either way; asked for after 70. */
    @Test
    void how_full_it_is_has_a_band_of_eight_chances_in_ten() {
        Loading loading = Loading.at(new LogExposure(Math.log(60), 0.04), EXPECTED, Math.log(70));

        assertThat(loading.low()).isCloseTo(0.251566, within(1e-6));
        assertThat(loading.likely()).isCloseTo(0.6, within(1e-9));
        assertThat(loading.high()).isCloseTo(1.431035, within(1e-6));
        assertThat(loading.servicePoint()).isCloseTo(0.7, within(1e-9));
    }

    @Test
    void a_run_varies_more_than_its_stage() {
        Belief stage = new Belief(4, 0.2);

        assertThat(RunBelief.of(stage)).isEqualTo(new RunBelief(4, 0.25));
        assertThat(stage.spreadOfARun()).isCloseTo(0.5, within(1e-12));
        assertThat(RunBelief.of(stage).spread()).isCloseTo(0.5, within(1e-12));
    }
}
