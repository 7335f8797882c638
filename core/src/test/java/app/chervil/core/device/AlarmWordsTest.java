package app.chervil.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.calc.Unit;
import app.chervil.core.calc.Units;
import app.chervil.core.device.AlarmWords.Told;
import java.time.Duration;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class AlarmWordsTest {
    private static Told told(Duration standing, Double read, Double usual) {
        return new Told("Meter", "Reed", standing, Optional.of(read), Optional.of(usual));
    }

    @Test
    void Spans_are_told_in_the_unit_one_would_say() {
        assertThat(AlarmWords.what(Alarm.FILTER_OFF_LONG, told(Duration.ofMinutes(34), 0.0, 20.0), Units.METRIC))
                .isEqualTo("Reed has been off for 34 minutes.");
        assertThat(AlarmWords.what(Alarm.SILENT, told(Duration.ofHours(5), 0.0, 20.0), Units.METRIC))
                .isEqualTo("Meter at Reed has said nothing for 5 hours.");
        assertThat(AlarmWords.what(Alarm.SILENT, told(Duration.ofDays(3), 0.0, 20.0), Units.METRIC))
                .isEqualTo("Meter at Reed has said nothing for 3 days.");
    }

    @Test
    void A_fall_says_from_what_to_what() {
        assertThat(AlarmWords.what(Alarm.FLOW_FELL, told(Duration.ofMinutes(5), 412.4, 890.0), Units.METRIC))
                .isEqualTo("The flow of Reed fell to 412 L/h from 890 L/h, too suddenly for dirt.");
        assertThat(AlarmWords.what(Alarm.TOO_COLD, told(Duration.ofMinutes(5), 22.44, 25.0), Units.METRIC))
                .isEqualTo("Reed is at 22.4 °C, usually 25 °C.");
    }

    @Test
    void A_site_that_reads_gallons_and_Fahrenheit_is_told_so() {
        Units us = Units.of(Unit.US_GALLONS_AN_HOUR, Unit.FAHRENHEIT);

        assertThat(AlarmWords.what(Alarm.FLOW_FELL, told(Duration.ofMinutes(5), 412.4, 890.0), us))
                .isEqualTo("The flow of Reed fell to 109 gal/h from 235 gal/h, too suddenly for dirt.");
        assertThat(AlarmWords.what(Alarm.TOO_WARM, told(Duration.ofMinutes(5), 30.0, 25.0), us))
                .isEqualTo("Reed is at 86 °F, usually 77 °F.");
    }

    @ParameterizedTest
    @EnumSource(Alarm.class)
    void Every_alarm_says_what_is_and_what_to_do_even_before_anything_was_read(Alarm alarm) {
        Told unread = new Told("Meter", "Reed", Duration.ZERO, Optional.empty(), Optional.empty());

        assertThat(AlarmWords.what(alarm, unread, Units.METRIC))
                .contains("Reed")
                .endsWith(".")
                .doesNotContain("null", "empty");
        assertThat(AlarmWords.then(alarm)).matches(".*[.?]");
    }
}
