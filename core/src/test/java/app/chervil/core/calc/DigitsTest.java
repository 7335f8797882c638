package app.chervil.core.calc;

import static org.assertj.core.api.Assertions.assertThat;

import java.math.BigDecimal;
import java.util.Locale;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class DigitsTest {
    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.00 | 0",
                "-0.50 | -0.5",
                "999.9 | 999.9",
                "1000 | 1,000",
                "-1234.5678 | -1,234.5678",
                "1E+6 | 1,000,000",
                "123456.123456 | 123,456.123456",
                "1E-7 | 0.0000001"
            })
    void thousands_are_parted_and_nothing_else_is(BigDecimal number, String words) {
        assertThat(Digits.grouped(number)).isEqualTo(words);
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "0.0001234 | 2 | 0.00012",
                "1234567 | 3 | 1230000",
                "-0.05 | 1 | -0.05",
                "0 | 3 | 0",
                "19.96 | 3 | 20"
            })
    void as_many_digits_as_count(double number, int digits, String words) {
        assertThat(Digits.of(number, digits)).isEqualTo(words);
    }

    @Test
    void they_are_the_same_whatever_the_machine_speaks() {
        Locale before = Locale.getDefault();
        try {
            Locale.setDefault(Locale.GERMANY);

            assertThat(Units.METRIC.say(Quantity.VOLUME, 1234.5)).isEqualTo("1,235 L");
            assertThat(Units.METRIC.say(Quantity.VOLUME, 12.34)).isEqualTo("12.3 L");
        } finally {
            Locale.setDefault(before);
        }
    }
}
