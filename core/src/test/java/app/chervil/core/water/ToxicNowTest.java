package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.ToxicAmmonia.Band;
import java.time.LocalDateTime;
import java.util.List;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A tank at 25 °C and pH 8, of whose ammonia 5.37 % is toxic; 1 mg/L was read an hour ago. */
class ToxicNowTest {
    private static final LocalDateTime NOW = LocalDateTime.of(2026, 6, 1, 12, 0);
    private static final Reading TOTAL = reading(Parameter.AMMONIA, 1, 1);
    private static final Reading PH = reading(Parameter.PH, 8, 1);
    private static final Reading WARM = reading(Parameter.TEMPERATURE, 25, 1);

    private static Reading reading(Parameter parameter, double value, int hoursAgo) {
        return reading(parameter, new Amount.Exact(value), hoursAgo, Trust.KEPT);
    }

    private static Reading reading(Parameter parameter, Amount amount, int hoursAgo, Trust trust) {
        return new Reading(parameter, amount, 0.1, NOW.minusHours(hoursAgo), trust);
    }

    private static ToxicNow of(Reading... latest) {
        return ToxicNow.of(List.of(latest), NOW).orElseThrow();
    }

    private static boolean known(Reading... latest) {
        return ToxicNow.of(List.of(latest), NOW).isPresent();
    }

    @Test
    void its_share_follows_from_ph_and_temperature() {
        ToxicNow toxic = of(TOTAL, PH, WARM);

        assertThat(toxic.percent()).isCloseTo(5.366, within(0.001));
        assertThat(toxic.milligramsPerLitre()).isCloseTo(0.05366, within(0.00001));
        assertThat(toxic.band()).isEqualTo(Band.HARM);
        assertThat(toxic.atMost()).isFalse();
    }

    @Test
    void salt_makes_it_less_and_without_a_reading_of_it_water_is_fresh() {
        double salty = of(TOTAL, PH, WARM, reading(Parameter.SALINITY, 35, 1)).percent();

        assertThat(salty).isLessThan(of(TOTAL, PH, WARM).percent());
        assertThat(of(TOTAL, PH, WARM, reading(Parameter.SALINITY, 45, 1)).percent())
                .isLessThan(salty)
                .isEqualTo(
                        of(TOTAL, PH, WARM, reading(Parameter.SALINITY, 80, 1)).percent());
        assertThat(of(TOTAL, PH, WARM, reading(Parameter.SALINITY, -1, 1)).percent())
                .isEqualTo(of(TOTAL, PH, WARM).percent());
    }

    @Test
    void none_seen_there_is_at_most_what_the_test_would_have_shown() {
        ToxicNow toxic = of(reading(Parameter.AMMONIA, new Amount.Below(0.25), 1, Trust.KEPT), PH, WARM);

        assertThat(toxic.atMost()).isTrue();
        assertThat(toxic.milligramsPerLitre()).isCloseTo(0.25 * 0.05366, within(0.00001));
    }

    @Test
    void without_one_of_the_three_nothing_is_said() {
        assertThat(known()).isFalse();
        assertThat(Stream.of(List.of(TOTAL, PH), List.of(TOTAL, WARM), List.of(PH, WARM)))
                .noneMatch(two -> ToxicNow.of(two, NOW).isPresent());
    }

    @ParameterizedTest
    @CsvSource({"72, true", "73, false"})
    void ammonia_of_more_than_three_days_ago_says_nothing_of_now(int hoursAgo, boolean known) {
        assertThat(known(reading(Parameter.AMMONIA, 1, hoursAgo), PH, WARM)).isEqualTo(known);
    }

    @ParameterizedTest
    @CsvSource({"168, true", "169, false"})
    void ph_and_temperature_are_taken_within_a_week_of_it(int apart, boolean known) {
        assertThat(known(TOTAL, reading(Parameter.PH, 8, 1 + apart), WARM)).isEqualTo(known);
        assertThat(known(TOTAL, PH, reading(Parameter.TEMPERATURE, 25, 1 + apart)))
                .isEqualTo(known);
    }

    @Test
    void read_too_early_ammonia_is_at_least_that_much_and_anything_else_says_nothing() {
        assertThat(known(reading(Parameter.AMMONIA, new Amount.Exact(1), 1, Trust.EARLY), PH, WARM))
                .isTrue();
        assertThat(known(reading(Parameter.AMMONIA, new Amount.Exact(0.1), 1, Trust.EARLY), PH, WARM))
                .isFalse();
        assertThat(known(TOTAL, reading(Parameter.PH, new Amount.Exact(8), 1, Trust.EARLY), WARM))
                .isFalse();
    }

    @ParameterizedTest
    @CsvSource({
        "PH, 4, true",
        "PH, 3.99, false",
        "PH, 11, true",
        "PH, 11.01, false",
        "TEMPERATURE, -2, true",
        "TEMPERATURE, -2.1, false",
        "TEMPERATURE, 40, true",
        "TEMPERATURE, 40.1, false"
    })
    void what_no_water_can_be_says_nothing(Parameter parameter, double value, boolean known) {
        Reading odd = reading(parameter, value, 1);

        assertThat(parameter == Parameter.PH ? known(TOTAL, odd, WARM) : known(TOTAL, PH, odd))
                .isEqualTo(known);
    }
}
