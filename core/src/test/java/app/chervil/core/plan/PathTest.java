package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Chain.Demand;
import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Instance.Fixed;
import app.chervil.core.plan.Instance.How;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** The shortest way against one that looks at every day after every other and leaves none out. */
class PathTest {
    private static final long NEVER = Long.MAX_VALUE / 4;
    private static final int[] NO_NOISE = new int[200];

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 30);
    }

    /** A board of a site by seed with every lane on it, each on its best days given those before. */
    private static Board filled(Instance instance) {
        Board board = new Board(instance);
        Path path = new Path(board);
        board.lanes.forEach(lane -> board.place(lane.index, path.find(lane.index)));
        return board;
    }

    /** The least cost of what is off the board, its neighbours standing. */
    private static long least(Board board, Piece piece, int[] noise) {
        Lane lane = board.lanes.get(piece.lane);
        long[] prices =
                board.prices(piece.lane, board.everyDay(), 0, board.days - 1).clone();
        long[] before = new long[board.days];
        for (int k = piece.first; k < piece.end; k++) {
            long[] reached = new long[board.days];
            Arrays.fill(reached, NEVER);
            for (int day = Math.max(lane.from[k], piece.low); day <= Math.min(lane.to[k], piece.high); day++) {
                long best = k == 0 ? 0 : NEVER;
                for (int prior = 0; prior < day && k > 0; prior++) {
                    boolean stood = k == piece.first && prior == piece.was[k - 1];
                    long from = stood ? 0 : k == piece.first ? NEVER : before[prior];
                    best = Math.min(best, from >= NEVER ? NEVER : from + lane.gap(day - prior));
                }
                reached[day] = best >= NEVER
                        ? NEVER
                        : best + lane.byDay(k, day) + (lane.skipped[k] ? 0 : prices[day] + noise[day]);
            }
            before = reached;
        }
        long least = NEVER;
        for (int day = 0; day < board.days; day++) {
            boolean last = piece.end == piece.was.length;
            long gap = last ? 0 : day < piece.was[piece.end] ? lane.gap(piece.was[piece.end] - day) : NEVER;
            least = Math.min(least, before[day] >= NEVER || gap >= NEVER ? NEVER : before[day] + gap);
        }
        return least;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void no_other_days_of_a_whole_lane_cost_less(long seed) {
        Board board = filled(PlannerTest.troubled(seed));
        Path path = new Path(board);

        for (Lane lane : board.lanes) {
            int[] was = board.remove(lane.index);
            int[] on = path.find(lane.index);

            assertThat(path.cost()).isEqualTo(board.cost(lane.index, on));
            assertThat(path.cost())
                    .as("lane %d", lane.index)
                    .isEqualTo(least(board, Piece.whole(lane.index, was, board.days), NO_NOISE));
            board.place(lane.index, was);
        }
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void nor_of_a_piece_of_one_where_some_days_are_made_dearer(long seed) {
        Board board = filled(PlannerTest.troubled(seed));
        Path path = new Path(board);
        SplittableRandom random = new SplittableRandom(seed);
        int[] noise = random.ints(board.days, 0, 600).toArray();

        for (Lane lane : board.lanes) {
            int from = random.nextInt(board.days) - 7;
            Piece piece = Piece.within(lane.index, board.placed(lane.index), from, from + 20, 7);
            if (piece.isEmpty()) {
                continue;
            }
            board.remove(lane.index, piece.first, piece.end);
            int[] on = path.find(piece, noise);

            assertThat(path.cost()).as("lane %d", lane.index).isEqualTo(least(board, piece, noise));
            board.place(lane.index, on, piece.first, piece.end);
        }
    }

    private static Instance alone(int[] week, Before before, int every, Demand demand) {
        Span gap = new Span(every, every, every + 1);
        Chain chain = new Chain(
                ChainId.ofTask(1),
                new Chain.Place(1, 1),
                new Chain.Rhythm(gap.plus(-every), gap, Chain.Times.AGAIN),
                new Chain.Work(20, Chain.Reach.OUTSIDE, Chain.Hands.ANYONE),
                demand);
        List<Hours.Day> hours = new ArrayList<>();
        for (int day = 0; day < 28 + Instance.BEYOND_DAYS; day++) {
            hours.add(new Hours.Day(week[day % week.length], 0));
        }
        return new Instance(28, List.of(chain), new Hours(hours), new SetUps(2, 3, Map.of(), Map.of(1L, 1)), before);
    }

    private static List<Integer> found(Instance instance) {
        return Arrays.stream(new Path(new Board(instance)).find(0)).boxed().toList();
    }

    private static final int[] MONDAYS_AND_FRIDAYS = {60, 0, 0, 0, 60, 0, 0};

    @Test
    void days_on_which_nobody_has_time_are_left_out_while_any_other_will_do() {
        Instance site = alone(MONDAYS_AND_FRIDAYS, Before.NOTHING, 5, Demand.NONE);

        assertThat(found(site)).isNotEmpty().allMatch(day -> day % 7 == 0 || day % 7 == 4);
    }

    @Test
    void what_a_person_holds_to_such_a_day_stays_there() {
        Before held = new Before(List.of(new Fixed(ChainId.ofTask(1), 1, 9, How.PINNED)), Map.of(), List.of());
        Instance site = alone(MONDAYS_AND_FRIDAYS, held, 7, Demand.NONE);

        assertThat(found(site)).element(1).isEqualTo(9);
    }

    @Test
    void disturbing_work_that_wants_to_come_sooner_stands_seven_days_apart() {
        Instance often = alone(new int[] {60}, Before.NOTHING, 3, new Demand(true, 0, Optional.empty()));

        List<Integer> on = found(often);
        for (int k = 1; k < on.size(); k++) {
            assertThat(on.get(k) - on.get(k - 1)).isGreaterThanOrEqualTo(1).isLessThanOrEqualTo(7);
        }
        Board board = new Board(often);
        assertThat(board.cost(0, on.stream().mapToInt(day -> day).toArray()))
                .isEqualTo(least(board, Piece.whole(0, new int[on.size()], board.days), NO_NOISE));
    }
}
