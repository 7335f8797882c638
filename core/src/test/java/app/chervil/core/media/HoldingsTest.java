package app.chervil.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.sums.BioMedium;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.Random;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Nothing of a site's media is made or lost by moving and splitting it, and each piece is in one spot. */
class HoldingsTest {
    private static final LocalDate MARCH = LocalDate.of(2026, 3, 1);
    private static final Spot WEIR = new Spot.InFilter(1, 10);
    private static final Spot PUFF = new Spot.InFilter(2, 20);
    private static final Spot WET = new Spot.WetShelf();

    private static Piece piece(int number, double grams, LocalDate since, Integer from) {
        return new Piece(
                id(number),
                "bag " + number,
                BioMedium.POROUS,
                grams,
                since,
                Optional.ofNullable(from).map(HoldingsTest::id));
    }

    private static UUID id(int number) {
        return new UUID(0, number);
    }

    @Test
    void a_moved_piece_was_in_one_spot_and_is_in_another() {
        Holdings holdings = new Holdings(
                List.of(piece(1, 500, MARCH, null)),
                List.of(new Move(id(1), MARCH, 1, WEIR), new Move(id(1), MARCH.plusDays(30), 2, PUFF)));

        assertThat(holdings.stays(id(1)))
                .containsExactly(
                        new Stay(WEIR, MARCH, Optional.of(MARCH.plusDays(30))),
                        new Stay(PUFF, MARCH.plusDays(30), Optional.empty()));
        assertThat(holdings.at(id(1), MARCH.plusDays(29)))
                .get()
                .extracting(Stay::spot)
                .isEqualTo(WEIR);
        assertThat(holdings.at(id(1), MARCH.plusDays(30)))
                .get()
                .extracting(Stay::spot)
                .isEqualTo(PUFF);
        assertThat(holdings.at(id(1), MARCH.minusDays(1))).isEmpty();
    }

    @Test
    void a_move_told_late_fits_between_two_others() {
        Holdings holdings = new Holdings(
                List.of(piece(1, 500, MARCH, null)),
                List.of(
                        new Move(id(1), MARCH, 1, WEIR),
                        new Move(id(1), MARCH.plusDays(30), 2, PUFF),
                        new Move(id(1), MARCH.plusDays(28), 3, WET)));

        assertThat(holdings.stays(id(1))).extracting(Stay::spot).containsExactly(WEIR, WET, PUFF);
    }

    @Test
    void of_two_moves_on_one_day_the_later_told_counts() {
        Holdings holdings = new Holdings(
                List.of(piece(1, 500, MARCH, null)),
                List.of(
                        new Move(id(1), MARCH, 1, WEIR),
                        new Move(id(1), MARCH.plusDays(9), 3, PUFF),
                        new Move(id(1), MARCH.plusDays(9), 2, WET)));

        assertThat(holdings.stays(id(1))).extracting(Stay::spot).containsExactly(WEIR, PUFF);
    }

    @Test
    void a_part_brings_along_where_the_whole_had_been() {
        LocalDate split = MARCH.plusDays(40);
        Holdings holdings = new Holdings(
                List.of(piece(1, 500, MARCH, null), piece(2, 200, split, 1)),
                List.of(
                        new Move(id(1), MARCH, 1, WEIR),
                        new Move(id(2), split, 2, PUFF),
                        new Move(id(1), split.plusDays(9), 3, WET)));

        assertThat(holdings.grams(id(1), split.minusDays(1))).isEqualTo(500);
        assertThat(holdings.grams(id(1), split)).isEqualTo(300);
        assertThat(holdings.stays(id(2)))
                .as("what the whole did later is not its own")
                .containsExactly(new Stay(WEIR, MARCH, Optional.of(split)), new Stay(PUFF, split, Optional.empty()));
    }

    @Test
    void a_part_that_was_not_moved_lies_where_the_whole_lay() {
        Holdings holdings = new Holdings(
                List.of(piece(1, 500, MARCH, null), piece(2, 200, MARCH.plusDays(5), 1)),
                List.of(new Move(id(1), MARCH, 1, WEIR), new Move(id(1), MARCH.plusDays(9), 2, PUFF)));

        assertThat(holdings.stays(id(2))).containsExactly(new Stay(WEIR, MARCH, Optional.empty()));
    }

    @Test
    void parts_cannot_weigh_as_much_as_their_whole_or_come_from_nowhere() {
        assertThatThrownBy(() -> new Holdings(
                        List.of(
                                piece(1, 500, MARCH, null),
                                piece(2, 300, MARCH.plusDays(1), 1),
                                piece(3, 200, MARCH.plusDays(2), 1)),
                        List.of()))
                .hasMessageContaining("weigh as much as their whole");
        assertThatThrownBy(() -> new Holdings(List.of(piece(2, 300, MARCH, 1)), List.of()))
                .hasMessageContaining("comes from none that is there");
        assertThatThrownBy(() -> new Holdings(List.of(piece(1, 300, MARCH, 2), piece(2, 900, MARCH, 1)), List.of()))
                .hasMessageContaining("comes from none that is there");
    }

    @ParameterizedTest
    @ValueSource(longs = {1, 2, 3, 4, 5, 6, 7, 8, 9, 10})
    void over_any_moves_and_splits_mass_is_kept_and_each_piece_is_in_one_spot(long seed) {
        Random random = new Random(seed);
        List<Piece> pieces = new ArrayList<>();
        List<Move> moves = new ArrayList<>();
        double whole = 0;
        for (int number = 1; number <= 5; number++) {
            double grams = 100 + random.nextInt(900);
            whole += grams;
            pieces.add(piece(number, grams, MARCH, null));
            moves.add(new Move(id(number), MARCH, number, WEIR));
        }
        for (int step = 0; step < 60; step++) {
            LocalDate day = MARCH.plusDays(1 + random.nextInt(100));
            Holdings so = new Holdings(pieces, moves);
            Piece one = pieces.get(random.nextInt(pieces.size()));
            if (day.isBefore(one.since())) {
                continue;
            }
            if (random.nextBoolean()) {
                Spot to = List.of(WEIR, PUFF, WET, new Spot.Seeding(1, 10, 2), new Spot.DryShelf())
                        .get(random.nextInt(5));
                moves.add(new Move(one.id(), day, 100 + step, to));
            } else {
                double part = so.grams(one.id(), LocalDate.MAX) * (0.1 + 0.8 * random.nextDouble());
                pieces.add(new Piece(id(1000 + step), "part", one.kind(), part, day, Optional.of(one.id())));
            }
        }

        Holdings holdings = new Holdings(pieces, moves);
        for (LocalDate day = MARCH; day.isBefore(MARCH.plusDays(110)); day = day.plusDays(7)) {
            LocalDate on = day;
            double there = holdings.pieces().stream()
                    .filter(piece -> !piece.since().isAfter(on))
                    .mapToDouble(piece -> holdings.grams(piece.id(), on))
                    .sum();
            assertThat(there).as("grams on %s", day).isCloseTo(whole, within(1e-6));
            for (Piece piece : holdings.pieces()) {
                List<Stay> stays = holdings.stays(piece.id());
                assertThat(stays.stream()
                                .filter(stay -> !stay.from().isAfter(on)
                                        && stay.until()
                                                .map(until -> until.isAfter(on))
                                                .orElse(true)))
                        .as("spots of %s on %s", piece, on)
                        .hasSizeLessThanOrEqualTo(1);
                assertThat(stays).isSortedAccordingTo(Comparator.comparing(Stay::from));
                assertThat(stays.get(stays.size() - 1).until()).isEmpty();
            }
        }
    }
}
