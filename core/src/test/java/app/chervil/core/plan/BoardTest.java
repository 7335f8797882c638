package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What a board counts on the way, while work is taken off in part and put elsewhere, against a plain sum over the whole plan. */
class BoardTest {
    private static final int MOVES = 300;

    private final List<long[]> onNothing = new ArrayList<>();

    private Board empty(Instance instance) {
        Board board = new Board(instance);
        board.lanes.forEach(lane -> onNothing.add(prices(board, lane)));
        return board;
    }

    private static long[] prices(Board board, Lane lane) {
        return board.prices(lane.index, board.everyDay(), 0, board.days - 1).clone();
    }

    private static long fill(Board board) {
        Path path = new Path(board);
        long total = 0;
        for (Lane lane : board.lanes) {
            int[] on = path.find(lane.index);
            total += board.cost(lane.index, on);
            board.place(lane.index, on);
        }
        return total;
    }

    /**
     * Moves some occurrences of a lane by a day each, as far as there is room between their neighbours.
     *
     * @return what that costs
     */
    private static long move(Board board, Lane lane, SplittableRandom random) {
        int first = random.nextInt(lane.count());
        int end = random.nextInt(first, lane.count()) + 1;
        int[] was = board.remove(lane.index, first, end);
        int[] on = was.clone();
        for (int k = first; k < end; k++) {
            int day = on[k] + random.nextInt(3) - 1;
            boolean behind = k == 0 || day > on[k - 1];
            boolean before = k + 1 == on.length || day < on[k + 1];
            on[k] = behind && before && day >= lane.from[k] && day <= lane.to[k] ? day : on[k];
        }
        long cost = board.cost(lane.index, on, first, end) - board.cost(lane.index, was, first, end);
        board.place(lane.index, on, first, end);
        return cost;
    }

    @ParameterizedTest
    @MethodSource("app.chervil.core.plan.PlannerTest#seeds")
    void what_each_step_costs_adds_up_to_what_the_plan_costs(long seed) {
        Instance instance = PlannerTest.troubled(seed);
        Board board = empty(instance);
        SplittableRandom random = new SplittableRandom(seed);
        long total = fill(board);
        List<Lane> moving =
                board.lanes.stream().filter(lane -> lane.count() > 0).toList();

        for (int i = 0; i < MOVES; i++) {
            total += move(board, moving.get(random.nextInt(moving.size())), random);
        }

        assertThat(Score.unpack(total)).isEqualTo(new NaiveScorer(instance, TankPlansTest.plan(board)).score());
    }

    @ParameterizedTest
    @MethodSource("app.chervil.core.plan.PlannerTest#seeds")
    void nothing_is_left_of_what_was_taken_off(long seed) {
        Board board = empty(PlannerTest.troubled(seed));
        fill(board);

        board.clear();

        assertThat(board.lanes)
                .allSatisfy(lane -> assertThat(prices(board, lane)).isEqualTo(onNothing.get(lane.index)));
    }
}
