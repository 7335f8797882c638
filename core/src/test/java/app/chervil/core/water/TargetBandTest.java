package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.tank.WaterKind;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** The bands of docs/sources.md#target-bands. */
class TargetBandTest {
    @ParameterizedTest
    @CsvSource({
        "AMMONIA, FRESH, 0, 0.2",
        "NITRITE, MARINE, 0, 0.1",
        "NITRATE, FRESH, 0, 40",
        "NITRATE, MARINE, 0, 10",
        "PHOSPHATE, FRESH, 0, 1",
        "PHOSPHATE, MARINE, 0, 0.1",
        "PH, MARINE, 7.9, 8.4",
        "PH, BRACKISH, 7.4, 8.4",
        "SALINITY, MARINE, 33, 36",
        "KH, MARINE, 7, 11"
    })
    void most_keepers_of_such_water_aim_at(Parameter parameter, WaterKind water, double low, double high) {
        assertThat(TargetBand.of(parameter, water)).contains(new TargetBand(low, high));
    }

    @ParameterizedTest
    @EnumSource(names = {"PH", "KH", "SALINITY", "GH", "TEMPERATURE"})
    void in_fresh_water_these_depend_on_the_animals(Parameter parameter) {
        assertThat(TargetBand.of(parameter, WaterKind.FRESH)).isEqualTo(Optional.empty());
    }

    @Test
    void no_band_lies_where_no_tank_can_be() {
        for (Parameter parameter : Parameter.values()) {
            for (WaterKind water : WaterKind.values()) {
                TargetBand.of(parameter, water).ifPresent(band -> {
                    assertThat(band.low()).isLessThan(band.high());
                    assertThat(parameter.doubt(band.low(), Optional.empty())).isEmpty();
                    assertThat(parameter.doubt(band.high(), Optional.empty())).isEmpty();
                });
            }
        }
    }
}
