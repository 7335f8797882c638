package app.chervil.core.stock;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.stock.Shelf.Kind;
import app.chervil.core.stock.Shelf.Move;
import java.time.Instant;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.RepeatedTest;
import org.junit.jupiter.api.RepetitionInfo;
import org.junit.jupiter.api.Test;

/** A shelf over drawn years of counting, buying, using, washing and losing, packs and millilitres alike. */
class ShelfPropertiesTest {
    private static final LocalDate BEGAN = LocalDate.of(2024, 1, 1);
    private static final int YEARS = 300;

    private static List<Move> drawn(Random random) {
        Kind[] kinds = Kind.values();
        List<Move> moves = new ArrayList<>();
        moves.add(new Move(BEGAN, Instant.EPOCH, Kind.COUNTED, random.nextInt(20)));
        int count = 1 + random.nextInt(40);
        for (int i = 1; i <= count; i++) {
            Kind kind = kinds[random.nextInt(kinds.length)];
            double amount = random.nextBoolean() ? random.nextInt(6) : random.nextInt(400) / 1000.0;
            moves.add(new Move(BEGAN.plusDays(random.nextInt(700)), Instant.ofEpochSecond(i), kind, amount));
        }
        return moves;
    }

    @RepeatedTest(YEARS)
    void never_falls_below_nothing_and_asks_for_a_count_when_more_was_used_than_there(RepetitionInfo year) {
        Random random = new Random(year.getCurrentRepetition());
        List<Move> moves = drawn(random);
        boolean turned = random.nextBoolean();

        for (int until = 1; until <= moves.size(); until++) {
            Shelf shelf = Shelf.after(moves.subList(0, until), turned).orElseThrow();
            assertThat(shelf.ready()).isNotNegative();
            assertThat(shelf.dirty()).isNotNegative();
        }
        Shelf end = Shelf.after(moves, turned).orElseThrow();
        double bought = sum(moves, Kind.BOUGHT) + sum(moves, Kind.COUNTED) + sum(moves, Kind.WASHED);
        assertThat(end.ready()).isLessThanOrEqualTo(bought + 1e-9);
    }

    private static double sum(List<Move> moves, Kind kind) {
        return moves.stream()
                .filter(move -> move.kind() == kind)
                .mapToDouble(Move::amount)
                .sum();
    }

    @RepeatedTest(YEARS)
    void a_late_entry_counts_on_its_own_day_whenever_it_is_written_down(RepetitionInfo year) {
        Random random = new Random(1000L + year.getCurrentRepetition());
        List<Move> moves = drawn(random);
        List<Move> shuffled = new ArrayList<>(moves);
        Collections.shuffle(shuffled, random);

        assertThat(Shelf.after(shuffled, true)).isEqualTo(Shelf.after(moves, true));
    }

    @RepeatedTest(YEARS)
    void a_count_ends_all_doubt(RepetitionInfo year) {
        Random random = new Random(2000L + year.getCurrentRepetition());
        List<Move> moves = new ArrayList<>(drawn(random));
        moves.add(new Move(BEGAN.plusDays(900), Instant.ofEpochSecond(10_000), Kind.COUNTED, 4));

        Shelf counted = Shelf.after(moves, true).orElseThrow();

        assertThat(counted.ready()).isEqualTo(4);
        assertThat(counted.unsure()).isFalse();
    }

    @Test
    void a_thousand_strokes_of_grease_leave_a_tube_as_empty_as_they_should() {
        List<Move> strokes = new ArrayList<>(List.of(new Move(BEGAN, Instant.EPOCH, Kind.COUNTED, 50)));
        IntStream.rangeClosed(1, 1000)
                .forEach(day ->
                        strokes.add(new Move(BEGAN.plusDays(day), Instant.ofEpochSecond(day), Kind.USED, 0.012)));

        Shelf tube = Shelf.after(strokes, false).orElseThrow();

        assertThat(tube.ready()).isCloseTo(38, within(1e-9));
        assertThat(tube.unsure()).isFalse();
    }

    @Test
    void what_was_never_counted_is_not_known() {
        assertThat(Shelf.after(List.of(new Move(BEGAN, Instant.EPOCH, Kind.BOUGHT, 3)), true))
                .isEmpty();
    }
}
