package app.chervil.core.trouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.trouble.Experience.Closed;
import app.chervil.core.trouble.Experience.Counted;
import java.util.Collections;
import java.util.List;
import org.junit.jupiter.api.Test;

/** How a site's closed cases move what is expected there. */
class ExperienceTest {
    private static final Network NETWORK = Network.standard();
    private static final FilterHistory CANISTER = RandomCase.bare(FilterKind.CANISTER);

    private static List<Closed> cases(int count, String cause) {
        return Collections.nCopies(count, new Closed(CANISTER, "noise", cause));
    }

    private static Counted counted(String cause, List<Closed> closed) {
        return Experience.count(NETWORK, closed).stream()
                .filter(one -> one.cause().equals(cause))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void without_cases_nothing_moves() {
        assertThat(Experience.count(NETWORK, List.of())).isEmpty();
        assertThat(Experience.of(NETWORK, List.of())).isEqualTo(NETWORK);
    }

    @Test
    void a_cause_found_as_often_as_expected_stays_where_it_was() {
        Counted one = counted("impeller-worn", cases(1, "impeller-dirty"));

        // (20 + n ÷ p) ÷ (20 + N) is 1 where n = p · N.
        assertThat((20 + one.expected() * 10 / one.expected()) / (20 + 10)).isEqualTo(1);
        assertThat(one.factor()).isCloseTo(20.0 / 21, within(1e-12));
    }

    @Test
    void the_same_cause_again_and_again_is_expected_sooner_and_the_others_later() {
        double before = 1;
        for (int count : new int[] {1, 2, 4, 8}) {
            Counted worn = counted("impeller-worn", cases(count, "impeller-worn"));

            assertThat(worn.times()).isEqualTo(count);
            assertThat(worn.factor()).isGreaterThanOrEqualTo(before);
            assertThat(counted("impeller-dirty", cases(count, "impeller-worn")).factor())
                    .isLessThan(1);
            before = worn.factor();
        }
    }

    @Test
    void no_number_of_cases_moves_a_cause_beyond_four_or_a_quarter() {
        assertThat(counted("hoses-swapped", cases(50, "hoses-swapped")).factor())
                .isEqualTo(4);
        assertThat(counted("impeller-dirty", cases(500, "hoses-swapped")).factor())
                .isEqualTo(0.25);
    }

    @Test
    void a_cause_that_could_not_have_been_there_is_not_counted_against() {
        assertThat(Experience.count(NETWORK, cases(5, "impeller-worn")))
                .extracting(Counted::cause)
                .doesNotContain("sock-full", "air-stone");
    }

    @Test
    void cases_move_the_chance_of_the_next_one() {
        Network ours = Experience.of(NETWORK, cases(6, "impeller-worn"));

        double usual = chance(NETWORK);
        double here = chance(ours);

        assertThat(here).isGreaterThan(usual);
    }

    private static double chance(Network network) {
        return RandomCase.byCause(Inquiry.of(network, CANISTER, "noise").after(List.of()))
                .get("impeller-worn");
    }
}
