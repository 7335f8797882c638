package app.chervil.core.calc;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class CountTest {
    @ParameterizedTest
    @CsvSource({"0, 0 days", "1, 1 day", "2, 2 days", "1095, 1095 days"})
    void one_of_it_is_told_as_one(long count, String words) {
        assertThat(Count.days(count)).isEqualTo(words);
        assertThat(Count.of(count, "minute")).isEqualTo(words.replace("day", "minute"));
    }
}
