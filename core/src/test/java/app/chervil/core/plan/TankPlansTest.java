package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.ArrayList;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;

/** What the plan of a single tank costs by itself and takes from the days. */
class TankPlansTest {
    private static Board lying(Instance instance, long seed) {
        Board board = new Board(instance);
        List<int[]> days = PlannerTest.anyDays(instance, seed);
        board.lanes.forEach(lane -> board.place(lane.index, days.get(lane.index)));
        return board;
    }

    /** What tanks cost together: each by itself, and the rooms and days they share. */
    static Score together(Board board, List<TankPlan> plans) {
        long points = 0;
        int[] minutes = new int[board.days];
        int[] keeperMinutes = new int[board.days];
        Set<String> rooms = new HashSet<>();
        int room = board.instance().setUps().roomMinutes();
        for (int tank = 0; tank < plans.size(); tank++) {
            TankPlan plan = plans.get(tank);
            points += plan.own;
            for (int i = 0; i < plan.on.length; i++) {
                boolean first = rooms.add(roomOf(board, tank) + " on " + plan.on[i]);
                points += first ? 10L * room : 0;
                minutes[plan.on[i]] += plan.minutes[i] + (first ? room : 0);
                keeperMinutes[plan.on[i]] += plan.keeperMinutes[i];
            }
        }
        for (int day = 0; day < board.days; day++) {
            points += board.fullness(day, minutes[day]) + board.overKeeper(day, keeperMinutes[day]);
        }
        return Score.unpack(points);
    }

    private static int roomOf(Board board, int tank) {
        return board.sites().roomOf[board.sites().lanesOfTank.get(tank).get(0)];
    }

    static Plan plan(Board board) {
        List<int[]> days = new ArrayList<>();
        board.lanes.forEach(lane -> days.add(board.placed(lane.index)));
        return Plan.of(board.lanes, days, new Score(0, 0));
    }

    @ParameterizedTest
    @MethodSource("app.chervil.core.plan.PlannerTest#seeds")
    void tanks_cost_together_what_their_plan_costs(long seed) {
        Instance instance = PlannerTest.troubled(seed);
        Board board = lying(instance, seed);

        List<TankPlan> plans = new TankPlans(board).asTheyLie();

        assertThat(together(board, plans)).isEqualTo(new NaiveScorer(instance, plan(board)).score());
    }

    @Test
    void a_way_is_remembered_once() {
        Board board = lying(PlanWorlds.of(2, 4, 3), 1);
        TankPlans plans = new TankPlans(board);

        plans.look();
        plans.look();

        assertThat(plans.good(0)).hasSize(1);
        assertThat(plans.good(1)).hasSize(1);
    }

    @Test
    void a_way_by_far_dearer_than_another_is_not_worth_a_choice() {
        Instance instance = PlanWorlds.of(1, 8, 3);
        Board board = lying(instance, 1);
        TankPlans plans = new TankPlans(board);
        plans.look();
        long any = plans.asTheyLie().get(0).own;
        board.clear();
        Search search = new Search(board, 1);
        search.construct();
        search.sweep();

        plans.look();

        TankPlan swept = plans.asTheyLie().get(0);
        assertThat(any - swept.own).isGreaterThan(10_000);
        assertThat(plans.good(0)).singleElement().satisfies(one -> assertThat(one.days)
                .isDeepEqualTo(swept.days));
    }

    @Test
    void a_tank_that_was_never_looked_at_offers_nothing() {
        assertThat(new TankPlans(lying(PlanWorlds.of(1, 4, 3), 1)).good(0)).isEmpty();
    }
}
