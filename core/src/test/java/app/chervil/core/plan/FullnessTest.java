package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Two points a minute over half of a day, eight over four fifths, and hard ones over all of it. */
class FullnessTest {
    @ParameterizedTest(name = "{0} minutes of {1} cost {2} hard, {3} soft")
    @CsvSource({
        // none, and fewer than none while a water change spares its own set-up
        "  0, 100,   0,    0",
        " -3, 100,   0,    0",
        // up to half of it
        " 50, 100,   0,    0",
        " 51, 100,   0,    2",
        " 80, 100,   0,   60",
        // beyond four fifths
        " 81, 100,   0,   68",
        "100, 100,   0,  220",
        // more than there is
        "101, 100,   1,  228",
        // more than twice as much as there is, beyond what is worked out beforehand
        "200, 100, 100, 1020",
        "201, 100, 101, 1028",
        // people enough that it is not worked out beforehand
        "2881, 5000,  0,  762",
        // a day on which nobody has time
        "  0,   0,   0,    0",
        " 10,   0,  30,   80",
    })
    void a_day_costs_by_how_full_it_is(int minutes, int capacity, long hard, long soft) {
        assertThat(Score.unpack(new Fullness(capacity, Board.RULE).points(minutes)))
                .isEqualTo(new Score(hard, soft));
    }
}
