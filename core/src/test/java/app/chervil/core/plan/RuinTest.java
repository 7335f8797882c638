package app.chervil.core.plan;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.plan.Chain.Demand;
import app.chervil.core.plan.Chain.Hands;
import app.chervil.core.plan.Chain.Place;
import app.chervil.core.plan.Chain.Reach;
import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.plan.Chain.Times;
import app.chervil.core.plan.Chain.Work;
import app.chervil.core.plan.Instance.Before;
import java.util.Arrays;
import java.util.Collections;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.SplittableRandom;
import java.util.function.Consumer;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

/** Which lanes are taken off together, over many turns. */
class RuinTest {
    private static final int TURNS = 5000;

    private final Board board = new Board(PlanWorlds.of(8, 8, 3));
    private final Sites sites = board.sites();
    private final SplittableRandom random = new SplittableRandom(1);
    private final Ruin ruin = new Ruin(board, random);

    private void eachTurn(Consumer<int[]> look) {
        for (int turn = 0; turn < TURNS; turn++) {
            int seed = random.nextInt(board.lanes.size());
            int[] ruined = ruin.around(seed);
            assertThat(ruined[0]).isEqualTo(seed);
            look.accept(ruined);
        }
    }

    @Test
    void none_is_taken_twice() {
        eachTurn(ruined -> assertThat(ruined).doesNotHaveDuplicates());
    }

    @Test
    void no_more_than_three_tanks_are_disturbed() {
        Set<Long> tanks = new HashSet<>();
        eachTurn(ruined -> tanks.add(
                Arrays.stream(ruined).map(lane -> sites.tankOf[lane]).distinct().count()));

        assertThat(tanks).containsExactlyInAnyOrder(1L, 2L, 3L);
    }

    @Test
    void linked_work_goes_with_what_it_belongs_to() {
        Set<Integer> linked = new HashSet<>();
        eachTurn(ruined -> {
            for (int lane : ruined) {
                if (sites.partner[lane] >= 0) {
                    linked.add(lane);
                    assertThat(ruined).contains(sites.partner[lane]);
                }
            }
        });

        assertThat(linked).isNotEmpty();
    }

    @Test
    void what_slips_is_all_work_of_a_tank_or_all_that_disturbs_it_with_what_is_linked() {
        Set<Boolean> whole = new HashSet<>();
        for (int turn = 0; turn < TURNS; turn++) {
            int seed = random.nextInt(board.lanes.size());
            List<Integer> ofTank = sites.lanesOfTank.get(sites.tankOf[seed]);
            List<Integer> spaced = sites.spacedOfTank.get(sites.tankOf[seed]);
            List<Integer> slipping = Arrays.stream(ruin.ofTank(seed)).boxed().toList();
            boolean all = slipping.size() == ofTank.size();
            whole.add(all);
            assertThat(slipping).doesNotHaveDuplicates().containsAll(spaced);
            assertThat(ofTank).containsAll(slipping);
            assertThat(slipping).allMatch(lane -> all || spaced.contains(lane) || isLinkedTo(lane, spaced));
            assertThat(slipping).allMatch(lane -> sites.partner[lane] < 0 || slipping.contains(sites.partner[lane]));
        }

        assertThat(whole).containsExactlyInAnyOrder(true, false);
    }

    @Test
    void what_is_cleared_about_a_day_is_a_whole_tank_and_another_that_is_visited_then() {
        new Search(board, 1).construct();
        Set<Integer> counts = new HashSet<>();
        for (int turn = 0; turn < TURNS; turn++) {
            int seed = random.nextInt(board.lanes.size());
            int day = random.nextInt(board.days);
            List<Integer> cleared = Arrays.stream(ruin.near(seed, day)).boxed().toList();
            Set<Integer> tanks =
                    cleared.stream().map(lane -> sites.tankOf[lane]).collect(Collectors.toSet());

            assertThat(cleared).doesNotHaveDuplicates();
            assertThat(cleared)
                    .hasSize(tanks.stream()
                            .mapToInt(tank -> sites.lanesOfTank.get(tank).size())
                            .sum());
            assertThat(tanks).contains(sites.tankOf[seed]);
            tanks.remove(sites.tankOf[seed]);
            assertThat(tanks).allMatch(tank -> sites.lanesOfTank.get(tank).stream()
                    .flatMapToInt(lane -> Arrays.stream(board.placed(lane)))
                    .anyMatch(on -> Math.abs(on - day) <= 3));
            counts.add(tanks.size());
        }

        assertThat(counts).contains(1).doesNotContain(2);
    }

    @Test
    void where_no_other_tank_is_visited_about_a_day_one_is_cleared_alone() {
        assertThat(ruin.near(0, 10))
                .containsExactlyInAnyOrder(sites.lanesOfTank.get(sites.tankOf[0]).stream()
                        .mapToInt(lane -> lane)
                        .toArray());
    }

    private boolean isLinkedTo(int lane, List<Integer> others) {
        return others.stream().anyMatch(other -> sites.partner[other] == lane || sites.partner[lane] == other);
    }

    private static Instance oneTank(int chains) {
        Span gap = new Span(6, 7, 8);
        List<Chain> all = LongStream.rangeClosed(1, chains)
                .mapToObj(id -> new Chain(
                        ChainId.ofTask(id),
                        new Place(1, 1 + id / 4),
                        new Rhythm(gap, gap, Times.AGAIN),
                        new Work(5, Reach.OUTSIDE, Hands.ANYONE),
                        Demand.NONE))
                .toList();
        List<Hours.Day> hours = Collections.nCopies(28 + Instance.BEYOND_DAYS, new Hours.Day(600, 0));
        return new Instance(28, all, new Hours(hours), new SetUps(2, 3, Map.of(), Map.of(1L, 1)), Before.NOTHING);
    }

    @Test
    void of_a_tank_of_many_filters_no_turn_takes_all() {
        Board wide = new Board(oneTank(40));
        Ruin some = new Ruin(wide, random);
        int most = 0;
        for (int turn = 0; turn < TURNS; turn++) {
            most = Math.max(most, some.around(random.nextInt(wide.lanes.size())).length);
        }

        assertThat(most).isBetween(5, 20);
    }
}
