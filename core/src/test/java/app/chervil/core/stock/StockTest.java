package app.chervil.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.chervil.core.filter.Material;
import app.chervil.core.stock.Outlook.Standing;
import app.chervil.core.stock.Shelf.Kind;
import app.chervil.core.stock.Shelf.Move;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Today is Monday 1 June 2026. Numbers are counted by hand on the calendar. */
class StockTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Need WEEKLY = new Need(TODAY.plusDays(2), 7, 1);

    private static Move move(int daysAgo, Kind kind, double amount) {
        LocalDate on = TODAY.minusDays(daysAgo);
        return new Move(on, Instant.parse(on + "T18:00:00Z"), kind, amount);
    }

    @Test
    void a_supply_keeps_its_size_only_where_it_must_fit() {
        assertThat(Supply.of(Material.FINE_PAD, " 95 x 130 mm ").name()).isEqualTo("Fine pad, 95 x 130 mm");
        assertThat(Supply.of(Material.CARBON, "95 x 130 mm").name()).isEqualTo("Carbon");
    }

    @Test
    void nothing_is_claimed_of_what_was_never_counted() {
        assertThat(Shelf.after(List.of(move(3, Kind.BOUGHT, 5), move(1, Kind.USED, 1)), false))
                .isEmpty();
    }

    @Test
    void a_shelf_follows_what_happened_since_its_count() {
        List<Move> moves = List.of(
                move(9, Kind.USED, 4),
                move(1, Kind.LOST, 1),
                move(8, Kind.COUNTED, 6),
                move(3, Kind.BOUGHT, 10),
                move(5, Kind.USED, 2));

        assertThat(Shelf.after(moves, false)).contains(new Shelf(13, 0));
    }

    @Test
    void what_is_washed_comes_back_clean() {
        List<Move> moves = List.of(
                move(9, Kind.COUNTED, 5), move(7, Kind.USED, 1), move(5, Kind.USED, 1), move(4, Kind.WASHED, 2));

        assertThat(Shelf.after(moves.subList(0, 3), true)).contains(new Shelf(3, 2));
        assertThat(Shelf.after(moves, true)).contains(new Shelf(5, 0));
    }

    @Test
    void within_a_day_the_order_of_writing_counts() {
        Instant noon = Instant.parse("2026-06-01T12:00:00Z");
        Move counted = new Move(TODAY, noon, Kind.COUNTED, 4);
        Move before = new Move(TODAY, noon.minusSeconds(60), Kind.USED, 1);
        Move after = new Move(TODAY, noon.plusSeconds(60), Kind.USED, 1);

        assertThat(Shelf.after(List.of(before, counted), false)).contains(new Shelf(4, 0));
        assertThat(Shelf.after(List.of(after, counted), false)).contains(new Shelf(3, 0));
    }

    @ParameterizedTest
    @CsvSource({
        // one is used on 3 June and then every seven days
        "0, OUT, 2026-06-03, 2026-06-01",
        "1, LOW, 2026-06-10, 2026-06-01",
        "2, LOW, 2026-06-17, 2026-06-07",
        "3, ENOUGH, 2026-06-24, 2026-06-14",
    })
    void it_lasts_until_more_is_wanted_than_is_there(
            double ready, Standing standing, LocalDate runsOut, LocalDate orderBy) {
        assertThat(Outlook.of(ready, 3, 10, List.of(WEEKLY), TODAY))
                .isEqualTo(new Outlook(standing, Optional.of(runsOut), Optional.of(orderBy)));
    }

    @Test
    void work_that_is_overdue_wants_its_part_today() {
        Need late = new Need(TODAY.minusDays(20), 30, 2);

        assertThat(Outlook.of(1, 0, 0, List.of(late), TODAY).runsOut()).contains(TODAY);
        assertThat(Outlook.of(3, 0, 0, List.of(late, WEEKLY), TODAY).runsOut()).contains(TODAY.plusDays(9));
    }

    @Test
    void what_nobody_uses_lasts() {
        assertThat(Outlook.of(1, 0, 5, List.of(), TODAY).runsOut()).isEmpty();
        assertThat(Outlook.of(110, 0, 5, List.of(WEEKLY), TODAY).runsOut()).isEmpty();
    }

    @Test
    void a_reorder_point_covers_the_delivery_and_a_fortnight() {
        // 3, 10 and 17 June within 17 days; one of two metres is still two metres
        assertThat(Outlook.reorderPoint(3, List.of(WEEKLY), TODAY)).isEqualTo(3);
        assertThat(Outlook.reorderPoint(0, List.of(new Need(TODAY.plusDays(90), 90, 2)), TODAY))
                .isEqualTo(2);
        assertThat(WEEKLY.aYear()).isCloseTo(52.18, org.assertj.core.data.Offset.offset(0.01));
    }

    @Test
    void a_rotation_covers_the_wash_the_drying_and_a_spare() {
        // domain sum: 1 in use + 5 dirty in ten days + 1 while two days of drying + 1 spare
        assertThat(Rotation.of(1, 0.5, 10, 2)).isEqualTo(new Rotation(1, 5, 1));
        assertThat(Rotation.of(1, 0.5, 10, 2).needed()).isEqualTo(8);
        assertThatThrownBy(() -> Rotation.of(1, 0.5, 0, 2)).hasMessageContaining("washEveryDays");
        assertThatThrownBy(() -> Rotation.of(1, Double.NaN, 7, 2)).hasMessageContaining("usedADay");
    }
}
