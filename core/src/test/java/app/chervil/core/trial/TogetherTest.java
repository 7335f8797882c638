package app.chervil.core.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.Production;
import app.chervil.core.water.Production.Pair;
import app.chervil.core.water.Production.Tried;
import java.util.ArrayList;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Tanks that tried a sock left out, every 7 and every 2 days; each difference is known with a standard error of 1. */
class TogetherTest {
    private static final List<Way> WAYS = List.of(Way.WITHOUT, Way.every(7), Way.every(2));

    private static Production known(double value, double half) {
        return new Production(value, value - half, value + half, 12, false, List.of());
    }

    private static Tried tank(double... rises) {
        List<Production> all = new ArrayList<>();
        List<Pair> pairs = new ArrayList<>();
        for (int way = 0; way < rises.length; way++) {
            all.add(known(rises[way], 1.28));
            for (int less = 0; less < way; less++) {
                pairs.add(new Pair(way, less, known(rises[way] - rises[less], 2.2), Optional.empty(), 1));
            }
        }
        return new Tried(all, pairs);
    }

    @Test
    void what_no_tank_tells_alone_four_tell_together() {
        List<Tried> tanks = List.of(tank(10, 8, 7.9), tank(9, 7.1, 7), tank(11, 9, 8.8), tank(10, 8.1, 8));
        assertThat(tanks.get(0).pair(1, 0).apart()).isFalse();

        Together together = Together.of(tanks).orElseThrow();

        assertThat(together.tanks()).isEqualTo(4);
        Pair first = together.pairs().get(0);
        assertThat(first.difference().perWeek()).isCloseTo(-1.95, within(0.01));
        assertThat(first.apart()).isTrue();
        assertThat(first.error()).isCloseTo(0.5, within(1e-9));
        assertThat(first.difference().readings()).isEqualTo(48);
        assertThat(together.knee(WAYS)).hasValue(1);
    }

    @Test
    void tanks_that_contradict_each_other_tell_less_than_one() {
        Together together =
                Together.of(List.of(tank(10, 4, 4), tank(10, 16, 16))).orElseThrow();

        assertThat(together.pairs().get(0).apart()).isFalse();
        assertThat(together.pairs().get(0).error()).isGreaterThan(1);
    }

    @Test
    void bands_of_three_pairs_are_wider_than_that_of_one() {
        Tried two = tank(10, 8);
        Tried three = tank(10, 8, 8);

        double one = width(Together.of(List.of(two, two)).orElseThrow());
        assertThat(width(Together.of(List.of(three, three)).orElseThrow())).isGreaterThan(one * 1.3);
    }

    private static double width(Together together) {
        Production difference = together.pairs().get(0).difference();
        return difference.high() - difference.low();
    }

    @Test
    void one_tank_is_not_several() {
        assertThat(Together.of(List.of(tank(10, 8)))).isEmpty();
        assertThat(Together.of(List.of())).isEmpty();
    }

    @Test
    void the_first_way_is_the_mean_of_the_tanks_each_by_how_well_it_is_known() {
        Together together = Together.of(List.of(surely(10, 1), surely(16, 2))).orElseThrow();

        Production first = together.rises().get(0);
        assertThat(first.perWeek()).isCloseTo((10 * 1 + 16 * 0.25) / 1.25, within(1e-9));
        assertThat(first.high() - first.perWeek()).isCloseTo(1 / Math.sqrt(1.25), within(1e-9));
        assertThat(first.perWeek() - first.low()).isCloseTo(1 / Math.sqrt(1.25), within(1e-9));
        assertThat(first.readings()).isEqualTo(24);
    }

    @Test
    void each_other_way_is_the_first_and_what_it_differs_by() {
        Together together = Together.of(List.of(tank(10, 8, 7), tank(11, 9, 8))).orElseThrow();

        for (Pair pair : together.pairs()) {
            if (pair.less() == 0) {
                Production rise = together.rises().get(pair.way());
                double first = together.rises().get(0).perWeek();
                assertThat(rise.perWeek()).isCloseTo(first + pair.difference().perWeek(), within(1e-9));
                assertThat(rise.low()).isCloseTo(first + pair.difference().low(), within(1e-9));
                assertThat(rise.high()).isCloseTo(first + pair.difference().high(), within(1e-9));
            }
        }
        assertThat(together.rises()).hasSize(3);
    }

    @Test
    void one_tank_read_in_coarse_steps_makes_all_of_it_coarse() {
        assertThat(Together.of(List.of(surely(10, 1), surely(10, 1)))
                        .orElseThrow()
                        .rises())
                .noneMatch(Production::coarse);
        assertThat(Together.of(List.of(surely(10, 1), coarse())).orElseThrow().rises())
                .allMatch(Production::coarse);
    }

    /** A tank of two ways whose first rise is known to within so much. */
    private static Tried surely(double first, double half) {
        return new Tried(
                List.of(known(first, half), known(8, half)),
                List.of(new Pair(1, 0, known(8 - first, 2.2), Optional.empty(), 1)));
    }

    private static Tried coarse() {
        Production first = new Production(10, 9, 11, 12, true, List.of());
        return new Tried(List.of(first, known(8, 1)), List.of(new Pair(1, 0, known(-2, 2.2), Optional.empty(), 1)));
    }
}
