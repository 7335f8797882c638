package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** Which of the ways seen is chosen for each tank. */
class ChoiceTest {
    private static final double HOT = 1000;
    private static final int WAYS = 5;

    static LongStream seeds() {
        return LongStream.rangeClosed(1, 20);
    }

    /** Ways of each tank as one search after the other left it. */
    private static List<List<TankPlan>> ways(Board board) {
        List<List<TankPlan>> ways = new ArrayList<>();
        for (int tank = 0; tank < board.sites().tanks; tank++) {
            ways.add(new ArrayList<>());
        }
        List<Integer> all = board.all();
        for (int i = 0; i < WAYS; i++) {
            board.clear();
            Search search = new Search(board, i);
            search.construct();
            search.cool(all, 20 * all.size(), 300, 100, () -> {});
            List<TankPlan> lie = new TankPlans(board).asTheyLie();
            for (int tank = 0; tank < lie.size(); tank++) {
                ways.get(tank).add(lie.get(tank));
            }
        }
        return ways;
    }

    private static List<TankPlan> one(List<List<TankPlan>> ways, int which) {
        return ways.stream().map(of -> of.get(which)).toList();
    }

    /** The least that any choice costs, by trying all. */
    private static Score least(Board board, List<List<TankPlan>> ways, List<TankPlan> chosen) {
        if (chosen.size() == ways.size()) {
            return TankPlansTest.together(board, chosen);
        }
        Score least = new Score(Long.MAX_VALUE, Long.MAX_VALUE);
        for (TankPlan way : ways.get(chosen.size())) {
            List<TankPlan> more = new ArrayList<>(chosen);
            more.add(way);
            Score score = least(board, ways, more);
            least = score.compareTo(least) < 0 ? score : least;
        }
        return least;
    }

    @ParameterizedTest
    @MethodSource("seeds")
    void of_few_ways_the_best_choice_is_found(long seed) {
        Board board = new Board(PlanWorlds.of(4, 4, seed));
        List<List<TankPlan>> ways = ways(board);

        List<TankPlan> best = new Choice(board, ways, one(ways, 0), new SplittableRandom(seed)).best(HOT);

        assertThat(TankPlansTest.together(board, best)).isEqualTo(least(board, ways, List.of()));
    }

    @Test
    void where_nothing_else_is_offered_all_stays() {
        Board board = new Board(PlanWorlds.of(3, 4, 1));
        List<TankPlan> start = one(ways(board), 0);
        List<List<TankPlan>> nothing = List.of(List.of(), List.of(), List.of());

        assertThat(new Choice(board, nothing, start, new SplittableRandom(1)).best(HOT))
                .isEqualTo(start);
    }

    @Test
    void what_costs_more_is_never_chosen_in_the_end() {
        Board board = new Board(PlanWorlds.of(3, 4, 1));
        List<List<TankPlan>> ways = ways(board);
        List<TankPlan> best = new Choice(board, ways, one(ways, 0), new SplittableRandom(1)).best(HOT);

        List<TankPlan> again = new Choice(board, ways, best, new SplittableRandom(2)).best(HOT);

        assertThat(again).isEqualTo(best);
    }
}
