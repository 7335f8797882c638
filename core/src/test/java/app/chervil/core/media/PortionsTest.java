package app.chervil.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.media.Carries.Load;
import app.chervil.core.media.Portions.Portion;
import app.chervil.core.sums.BioMedium;
import app.chervil.core.tank.Stocking;
import app.chervil.core.water.MediaShare;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

class PortionsTest {
    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);

    @Test
    void a_canister_of_an_old_tank_is_exchanged_in_the_three_portions_that_were_wanted() {
        List<Portion> portions = Portions.of(MAY, MAY.minusYears(3), 1500, 1500, 3);

        assertThat(portions).extracting(Portion::on).containsExactly(MAY, MAY.plusDays(28), MAY.plusDays(56));
        assertThat(portions).allSatisfy(portion -> assertThat(portion.grams()).isCloseTo(500, within(1e-9)));
    }

    /** At 60 days a quarter, at 88 a quarter, at 116 days 0.25 + 0.25 · 26 ÷ 275 = 27.4 %: three bear 77 %, four do. */
    @Test
    void a_young_tank_needs_more_portions_than_its_keeper_wanted() {
        List<Portion> portions = Portions.of(MAY, MAY.minusDays(60), 400, 400, 2);

        assertThat(portions).hasSize(4);
        assertThat(portions.get(0).grams()).isEqualTo(100);
        assertThat(portions.stream().mapToDouble(Portion::grams).sum()).isCloseTo(400, within(1e-9));
    }

    @Test
    void one_filter_of_two_may_go_at_once_where_it_holds_half() {
        assertThat(Portions.of(MAY, MAY.minusYears(2), 2000, 1000, 1)).hasSize(1);
    }

    @Test
    void in_any_tank_no_portion_is_more_than_its_day_allows_and_all_of_it_goes() {
        Random random = new Random(5);
        for (int one = 0; one < 500; one++) {
            LocalDate established = MAY.minusDays(random.nextInt(600));
            double inTank = 50 + random.nextInt(5000);
            double grams = inTank * (0.05 + 0.95 * random.nextDouble());
            List<Portion> portions = Portions.of(MAY, established, inTank, grams, 1 + random.nextInt(6));

            assertThat(portions.stream().mapToDouble(Portion::grams).sum()).isCloseTo(grams, within(1e-6));
            for (int number = 0; number < portions.size(); number++) {
                Portion portion = portions.get(number);
                assertThat(portion.on()).isEqualTo(MAY.plusDays(28L * number));
                assertThat(portion.grams())
                        .isPositive()
                        .isLessThanOrEqualTo(
                                inTank * MediaShare.allowed(ChronoUnit.DAYS.between(established, portion.on())) + 1e-9);
            }
        }
    }

    @ParameterizedTest
    @CsvSource({"0, 0", "485, 0", "490, 1", "999, 2", "1400, 2", "1500, 3", "3000, 3"})
    void portions_are_counted_by_what_went_and_a_scale_may_be_off_by_two_in_a_hundred(double gone, int done) {
        assertThat(Portions.done(Portions.of(MAY, MAY.minusYears(3), 1500, 1500, 3), gone))
                .isEqualTo(done);
    }

    @Test
    void more_than_the_tank_holds_cannot_go() {
        assertThatThrownBy(() -> Portions.of(MAY, MAY.minusYears(3), 100, 200, 3))
                .hasMessageContaining("inTank must be within 200.0");
    }

    /** 600 g of porous ceramic, nine tenths ripe, at 1 kg to 100 L: 54 L of 60. In a heavily stocked tank 54 ÷ 1.7. */
    @Test
    void ripe_media_carries_its_share_of_a_new_tank() {
        List<Load> ripe = List.of(new Load(BioMedium.POROUS, 600, 0.9));

        assertThat(Carries.share(ripe, 60, Stocking.NORMAL)).isCloseTo(0.9, within(1e-9));
        assertThat(Carries.share(ripe, 60, Stocking.HEAVY)).isCloseTo(0.529, within(0.001));
        assertThat(Carries.share(List.of(), 60, Stocking.NORMAL)).isZero();
    }

    @Test
    void an_old_kind_gives_way_to_a_new_one_by_what_it_carries() {
        assertThat(Carries.instead(900, BioMedium.LAVA, BioMedium.POROUS)).isCloseTo(300, within(1e-9));
    }
}
