package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.withinPercentage;

import app.chervil.core.water.ToxicAmmonia.Band;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class ToxicAmmoniaTest {
    /** Computed apart from this code, with 50-digit decimals, from the formulas as docs/sources.md states them. */
    @ParameterizedTest
    @CsvSource({
        "6.0, 0, 0, 0.00823319895",
        "6.5, 18, 0, 0.107898629",
        "7.0, 15, 0, 0.272071006",
        "7.0, 25, 0, 0.563855384",
        "7.4, 10, 0, 0.464034013",
        "7.8, 24, 0, 3.22531286",
        "8.0, 5, 0, 1.22994253",
        "8.0, 20, 0, 3.80712572",
        "8.0, 30, 0, 7.4319402",
        "8.5, 25, 0, 15.205216",
        "9.0, 20, 0, 28.3554936",
        "10.0, 30, 0, 88.9241135",
        "7.8, 26, 15, 3.41914571",
        "8.1, 14, 34, 2.57148715",
        "8.2, 25, 35, 6.89806694",
        "8.3, 28, 40, 10.0569771"
    })
    void the_formula_is_met(double ph, double celsius, double salt, double percent) {
        assertThat(100 * ToxicAmmonia.share(ph, celsius, salt)).isCloseTo(percent, withinPercentage(0.01));
    }

    @ParameterizedTest
    @CsvSource({"0, CALM", "0.0199, CALM", "0.02, STRAIN", "0.0499, STRAIN", "0.05, HARM", "0.2, DANGER", "9, DANGER"})
    void a_band_begins_at_its_own_bound(double milligrams, Band band) {
        assertThat(Band.of(milligrams)).isEqualTo(band);
    }

    @Test
    void a_value_out_of_range_is_refused() {
        assertThatThrownBy(() -> ToxicAmmonia.share(11.1, 20, 0)).hasMessageContaining("ph must be within 4");
        assertThatThrownBy(() -> ToxicAmmonia.share(7, Double.NaN, 0)).hasMessageContaining("celsius");
        assertThatThrownBy(() -> ToxicAmmonia.share(7, 20, 45.1)).hasMessageContaining("saltGramsPerLitre");
    }
}
