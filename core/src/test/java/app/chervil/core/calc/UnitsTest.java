package app.chervil.core.calc;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatIllegalArgumentException;
import static org.assertj.core.api.Assertions.within;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

class UnitsTest {
    private static final Units US = Units.of(
            Unit.US_GALLON,
            Unit.US_GALLONS_AN_HOUR,
            Unit.OUNCE,
            Unit.FOOT,
            Unit.US_TEASPOON,
            Unit.FAHRENHEIT,
            Unit.PPM,
            Unit.PPM_CACO3,
            Unit.SPECIFIC_GRAVITY);

    @ParameterizedTest
    @EnumSource(Unit.class)
    void what_is_shown_and_stored_again_is_the_same(Unit unit) {
        for (double shown = 0.5; shown < 2_000; shown *= 1.37) {
            assertThat(unit.shown(unit.stored(shown))).isCloseTo(shown, within(1e-9 * Math.max(1, unit.size())));
        }
    }

    // Gallons and ounces by definition; 0 and 100 °C, 35 g/L of sea water at 25 °C (EOS-80), 1 meq/L = 50.04 mg/L of
    // CaCO3.
    @ParameterizedTest
    @CsvSource({
        "VOLUME, 109.776941736, 29 gal",
        "VOLUME, 3.785411784, 1 gal",
        "FLOW, 1000, 264 gal/h",
        "MASS, 453.59237, 16 oz",
        "LENGTH, 1.2, 3.94 ft",
        "DOSE, 10, 2.03 tsp",
        "TEMPERATURE, 0, 32 °F",
        "TEMPERATURE, 25.5, 77.9 °F",
        "CONCENTRATION, 0.25, 0.25 ppm",
        "HARDNESS, 10, 178 ppm",
        "SALINITY, 35, 1.026 SG",
        "SALINITY, 0, 1 SG",
    })
    void measures_are_said_in_the_units_of_the_site(Quantity quantity, double stored, String words) {
        assertThat(US.say(quantity, stored)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "VOLUME | 1234.5 | 1,235 L",
                "VOLUME | 12.34 | 12.3 L",
                "FLOW | 640 | 640 L/h",
                "TEMPERATURE | -0.5 | -0.5 °C"
            })
    void metric_ones_are_said_as_they_are_stored(Quantity quantity, double stored, String words) {
        assertThat(Units.METRIC.say(quantity, stored)).isEqualTo(words);
    }

    @Test
    void a_site_may_mix_them() {
        Units british = Units.of(Unit.UK_GALLON);

        assertThat(british.say(Quantity.VOLUME, 45.4609)).isEqualTo("10 imp gal");
        assertThat(british.say(Quantity.TEMPERATURE, 25)).isEqualTo("25 °C");
    }

    @Test
    void one_quantity_has_one_unit() {
        assertThatIllegalArgumentException()
                .isThrownBy(() -> Units.of(Unit.US_GALLON, Unit.UK_GALLON))
                .withMessageContaining("US_GALLON");
    }
}
