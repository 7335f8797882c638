package app.chervil.core.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class FlowRateTest {
    @Test
    void two_litres_in_ten_seconds_are_720_litres_an_hour() {
        // 2 ÷ 10 × 3600, by hand
        assertThat(FlowRate.timed(2, 10).litresPerHour()).isCloseTo(720, within(1e-9));
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, Double.NaN, Double.POSITIVE_INFINITY, 1_000_000.1})
    void a_flow_out_of_range_is_refused(double litresPerHour) {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> FlowRate.of(litresPerHour))
                .withMessageContaining("litresPerHour must be");
    }

    @ParameterizedTest
    @ValueSource(doubles = {0, -1, Double.NaN})
    void a_catch_without_time_is_refused(double seconds) {
        assertThatIllegalArgumentException().isThrownBy(() -> FlowRate.timed(2, seconds));
    }
}
