package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.Arrays;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.stream.Collectors;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;

/** Which days are made dearer for work that is put back. */
class BiasTest {
    private static final int TIMES = 2000;

    private final Board board = new Board(PlanWorlds.of(3, 8, 5));
    private final Bias bias = new Bias(board, new SplittableRandom(1));
    private final List<Piece> pieces;

    BiasTest() {
        new Search(board, 1).construct();
        pieces = board.sites().lanesOfTank.get(0).stream()
                .map(lane -> Piece.whole(lane, board.placed(lane), board.days))
                .filter(piece -> !piece.isEmpty())
                .toList();
    }

    /** Days that are as cheap as before. */
    private int[] cheap(Piece piece) {
        int[] more = bias.of(piece);
        return IntStream.range(0, more.length).filter(day -> more[day] == 0).toArray();
    }

    /** Days of a piece, those from one on by so many later; none outside the plan. */
    private int[] moved(Piece piece, int from, int by) {
        return Arrays.stream(piece.was)
                .map(day -> day >= from ? day + by : day)
                .filter(day -> day >= 0 && day < board.days)
                .sorted()
                .distinct()
                .toArray();
    }

    private int slipOf(Piece piece, int from) {
        int[] cheap = cheap(piece);
        return IntStream.rangeClosed(-7, 7)
                .filter(by -> by != 0 && Arrays.equals(cheap, moved(piece, from, by)))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void all_pieces_slip_by_the_same_days_a_week_at_most() {
        Set<Integer> slips = new HashSet<>();
        for (int i = 0; i < TIMES; i++) {
            bias.slip(0);
            int by = slipOf(pieces.get(0), 0);
            slips.add(by);
            assertThat(pieces).allSatisfy(piece -> assertThat(cheap(piece)).isEqualTo(moved(piece, 0, by)));
        }

        assertThat(slips).containsExactlyInAnyOrder(-7, -6, -5, -4, -3, -2, -1, 1, 2, 3, 4, 5, 6, 7);
    }

    @Test
    void what_lies_before_the_day_on_which_a_slip_begins_stays() {
        Piece weekly = pieces.get(0);
        int third = weekly.was[2];

        bias.slip(third);

        int by = slipOf(weekly, third);
        assertThat(cheap(weekly))
                .contains(weekly.was[0], weekly.was[1], third + by)
                .doesNotContain(third);
    }

    @Test
    void in_half_of_the_times_nothing_is_dearer_and_else_the_same_for_all() {
        int calm = 0;
        for (int i = 0; i < TIMES; i++) {
            bias.disturb(pieces);
            int[] more = bias.of(pieces.get(0)).clone();
            assertThat(more).containsExactly(bias.of(pieces.get(1)));
            assertThat(Arrays.stream(more)).allMatch(points -> points >= 0 && points < 600);
            calm += Arrays.stream(more).allMatch(points -> points == 0) ? 1 : 0;
        }

        assertThat(calm).isBetween(TIMES * 45 / 100, TIMES * 55 / 100);
    }

    @Test
    void days_are_made_dearer_alike_every_week_or_interval_or_each_by_itself() {
        Set<Integer> periods = new HashSet<>();
        Set<Integer> slow = pieces.stream()
                .map(piece -> board.lanes.get(piece.lane).interval())
                .filter(days -> days > 7 && days < board.days - 2)
                .collect(Collectors.toSet());
        for (int i = 0; i < TIMES; i++) {
            bias.disturb(pieces);
            periods.add(period(bias.of(pieces.get(0))));
        }

        assertThat(slow).isNotEmpty();
        assertThat(periods).contains(7, board.days).containsAll(slow);
    }

    private static int period(int[] points) {
        return IntStream.rangeClosed(1, points.length)
                .filter(period ->
                        IntStream.range(period, points.length).allMatch(day -> points[day] == points[day - period]))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void what_was_made_dearer_is_known_for_the_days_that_were_taken() {
        Piece weekly = pieces.get(0);
        bias.slip(0);
        int[] more = bias.of(weekly);

        assertThat(bias.points(weekly, moved(weekly, 0, 0)))
                .isEqualTo(Arrays.stream(weekly.was).mapToLong(day -> more[day]).sum())
                .isPositive();
    }

    @Test
    void nothing_slips_any_more_once_days_are_disturbed() {
        bias.slip(0);
        bias.disturb(List.of());

        assertThat(bias.of(pieces.get(0))).containsOnly(0);
        assertThat(bias.points(pieces.get(0), pieces.get(0).was)).isZero();
    }
}
