package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

class DaySetTest {
    private final DaySet weekends = DaySet.of(14, day -> day % 7 >= 5);

    private int[] between(int from, int to) {
        return IntStream.range(weekends.first(from), weekends.end(to))
                .map(weekends::day)
                .toArray();
    }

    @Test
    void those_between_two_days_are_found_with_both_of_them() {
        assertThat(between(0, 13)).containsExactly(5, 6, 12, 13);
        assertThat(between(5, 6)).containsExactly(5, 6);
        assertThat(between(6, 12)).containsExactly(6, 12);
        assertThat(between(7, 11)).isEmpty();
        assertThat(between(13, 13)).containsExactly(13);
    }

    @Test
    void of_none_there_are_none() {
        DaySet none = DaySet.of(7, day -> false);

        assertThat(none.first(0)).isEqualTo(none.end(6));
    }

    @Test
    void it_knows_which_days_it_has() {
        assertThat(IntStream.range(0, 14).filter(weekends::has)).containsExactly(5, 6, 12, 13);
    }
}
