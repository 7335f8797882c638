package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.water.Production;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalInt;
import java.util.Random;
import java.util.stream.DoubleStream;
import org.junit.jupiter.api.Test;

/** A sock left out, changed every 14, 7, 3 days and daily; rises of nitrate a week, each known to within one. */
class KneeTest {
    private static final List<Way> WAYS = List.of(Way.WITHOUT, Way.every(14), Way.every(7), Way.every(3), Way.every(1));

    private static Production known(double perWeek, double half) {
        return new Production(perWeek, perWeek - half, perWeek + half, 20, false, List.of());
    }

    private static OptionalInt knee(double... rises) {
        return Knee.of(
                WAYS, DoubleStream.of(rises).mapToObj(rise -> known(rise, 1)).toList());
    }

    @Test
    void is_the_least_work_beyond_which_hardly_anything_is_won() {
        assertThat(knee(10, 8, 5, 4.8, 4.7)).hasValue(2);
        assertThat(knee(10, 5, 4.9, 4.8, 4.7)).hasValue(1);
        assertThat(knee(10, 9, 8, 7, 3)).hasValue(4);
    }

    @Test
    void a_chance_low_between_its_neighbours_does_not_draw_it() {
        // The lowest mean is that of three days; what a week does is as good within what is known.
        assertThat(knee(10, 8, 5.2, 4.6, 5.4)).hasValue(2);
    }

    @Test
    void is_nowhere_where_more_work_wins_nothing_or_rises_are_missing() {
        assertThat(knee(5, 5, 5, 5, 5)).isEmpty();
        assertThat(knee(4, 5, 6, 7, 8)).isEmpty();
        assertThat(Knee.of(WAYS, List.of())).isEmpty();
    }

    @Test
    void ways_may_be_named_in_any_order() {
        List<Way> shuffled = List.of(Way.every(1), Way.WITHOUT, Way.every(7));

        assertThat(Knee.of(shuffled, List.of(known(4.7, 1), known(10, 1), known(5, 1))))
                .hasValue(2);
    }

    /** Against picking the lowest mean, as somebody would who looks at a table of means. */
    @Test
    void is_more_often_within_one_step_of_the_truth_than_the_lowest_mean() {
        Random random = new Random(11);
        int byKnee = 0;
        int byLowest = 0;
        for (int i = 0; i < 2000; i++) {
            int truth = 1 + random.nextInt(3);
            List<Production> rises = new ArrayList<>();
            int lowest = 0;
            for (int way = 0; way < WAYS.size(); way++) {
                double real = 10 - 6.0 * Math.min(way, truth) / truth;
                rises.add(known(real + random.nextGaussian(), 1.28));
                lowest = rises.get(way).perWeek() < rises.get(lowest).perWeek() ? way : lowest;
            }
            byKnee += Math.abs(Knee.of(WAYS, rises).orElse(-9) - truth) <= 1 ? 1 : 0;
            byLowest += Math.abs(lowest - truth) <= 1 ? 1 : 0;
        }
        System.out.printf("KneeTest: within one step %d of 2000, by the lowest mean %d%n", byKnee, byLowest);

        assertThat(byKnee).isGreaterThan(byLowest);
    }

    @Test
    void a_fifth_of_what_the_most_work_wins_may_be_left_unwon_and_no_more() {
        assertThat(knee(20, 12, 12, 11, 10)).hasValue(1);
        assertThat(knee(20, 12.01, 12, 11, 10)).hasValue(2);
    }

    @Test
    void of_two_neighbours_that_contradict_each_other_the_better_known_weighs_more() {
        List<Way> ways = List.of(Way.WITHOUT, Way.every(7), Way.every(1));

        assertThat(Knee.of(ways, List.of(known(10, 1), known(4, 4), known(9, 0.5))))
                .hasValue(1);
        assertThat(Knee.of(ways, List.of(known(10, 1), known(10, 0.5), known(4, 1))))
                .hasValue(2);
    }

    @Test
    void ways_are_taken_by_their_work_and_not_as_they_are_named() {
        List<Way> mostFirst = List.of(Way.every(1), Way.every(7), Way.WITHOUT);

        assertThat(Knee.of(mostFirst, List.of(known(4.7, 1), known(5, 1), known(10, 1))))
                .hasValue(1);
    }
}
