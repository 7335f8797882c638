package app.chervil.core.media;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Production;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class AftermathTest {
    private static Production made(double perWeek, double low, double high) {
        return new Production(perWeek, low, high, 16, false, List.of());
    }

    private static Production.Tried tried(double before, double after, double low, double high) {
        return new Production.Tried(
                List.of(made(before, before - 1, before + 1), made(after, after - 1, after + 1)),
                List.of(new Production.Pair(1, 0, made(after - before, low, high), Optional.empty(), 0.5)));
    }

    @Test
    void a_difference_within_chance_is_called_none() {
        assertThat(Aftermath.verdict(Optional.of(tried(8, 7.6, -1.4, 0.6)), 0))
                .isEqualTo(
                        "No ammonia and no nitrite showed since the first portion. Nitrate rose 8 mg/L a week before and"
                                + " 7.6 after, which cannot be told from no difference (-1.4 to 0.6).");
    }

    @Test
    void one_beyond_chance_is_told_with_its_range() {
        assertThat(Aftermath.verdict(Optional.of(tried(8, 12, 2.5, 5.5)), 2))
                .startsWith("Ammonia or nitrite showed 2 times since the first portion.")
                .endsWith("12 after: a difference of 4, four times in five within 2.5 to 5.5.");
    }

    @Test
    void without_readings_nothing_is_made_up() {
        assertThat(Aftermath.verdict(Optional.empty(), 1))
                .isEqualTo("Ammonia or nitrite showed once since the first portion."
                        + " Readings of nitrate are too few to say more.");
    }
}
