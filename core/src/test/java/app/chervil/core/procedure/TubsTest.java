package app.chervil.core.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.chervil.core.calc.Quantity;
import app.chervil.core.calc.Unit;
import app.chervil.core.calc.Units;
import app.chervil.core.procedure.Tubs.Means;
import app.chervil.core.procedure.Tubs.Vessel;
import java.util.List;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Rinse water as large as the keeper's buckets and as small as the tank asks. */
class TubsTest {
    private static final Means USUAL = new Means(Means.USUAL_BUCKET_L, 220, Means.USUAL_SHARE);

    /** Two thirds of a bucket of 8 L are 5.3 L, so 5 L in steps of half a litre. */
    @Test
    void a_tank_that_can_spare_it_gives_two_thirds_of_each_bucket() {
        assertThat(Tubs.of(2, true, USUAL)).isEqualTo(new Tubs(3, 5, true));
    }

    /** A quarter of 38 L are 9.5 L: three tubs of 3.16 L, so 3 L each. */
    @ParameterizedTest
    @CsvSource({
        "38, 2, true, 3, 3",
        "20, 2, true, 3, 1.5",
        "12, 2, true, 3, 1",
        "8, 2, true, 2, 1",
        "5, 2, true, 1, 1",
        "3, 2, true, 1, 0.7",
        "20, 1, false, 1, 5",
        "1, 2, true, 1, 0.2"
    })
    void a_small_tank_gives_fewer_and_smaller_tubs(
            double tankL, int rinses, boolean bio, int count, double litresEach) {
        assertThat(Tubs.of(rinses, bio, new Means(8, tankL, 0.25))).isEqualTo(new Tubs(count, litresEach, bio));
    }

    @Test
    void never_more_is_drawn_than_the_share_whatever_the_buckets() {
        Random random = new Random(7);
        for (int world = 0; world < 20_000; world++) {
            Means means = new Means(random.nextDouble(0.5, 40), random.nextDouble(1, 2000), random.nextDouble(0.05, 1));
            Tubs tubs = Tubs.of(random.nextInt(3), random.nextBoolean(), means);

            boolean leastTub = tubs.count() == 1 && tubs.litresEach() <= 1;
            assertThat(tubs.litres() <= means.mostLitres() + 1e-9 || leastTub)
                    .as("world %d: %s of %s", world, tubs, means)
                    .isTrue();
            assertThat(tubs.litresEach()).isLessThanOrEqualTo(Math.max(1, means.bucketL()));
        }
    }

    @ParameterizedTest
    @CsvSource({"2, true, 15", "1, true, 10", "1, false, 5", "0, true, 5"})
    void what_is_drawn_in_all_is_each_times_their_number(int rinses, boolean bio, double litres) {
        assertThat(Tubs.of(rinses, bio, USUAL).litres()).isEqualTo(litres);
    }

    @Test
    void the_smallest_of_the_keepers_own_that_is_no_more_than_two_thirds_full_is_named() {
        Means own = new Means(
                8,
                220,
                0.25,
                Units.METRIC,
                List.of(new Vessel("Big", 12), new Vessel("Small", 3), new Vessel("Middle", 7.5)));

        assertThat(own.vesselFor(2).map(Vessel::name)).hasValue("Small");
        assertThat(own.vesselFor(2.1).map(Vessel::name)).hasValue("Middle");
        assertThat(own.vesselFor(5).map(Vessel::name)).hasValue("Middle");
        assertThat(own.vesselFor(8.1)).isEmpty();
    }

    @ParameterizedTest
    @CsvSource({"4, 1 bucket", "3.9, 1 tub"})
    void four_litres_and_more_are_a_bucket(double litres, String words) {
        assertThat(new Tubs(1, litres, false).toBring(false)).containsExactly(words);
    }

    @Test
    void there_is_a_tub_for_foam_where_foam_has_one_and_no_tap() {
        assertThat(new Tubs(2, 5, true).hasOneForFoam(false)).isTrue();
        assertThat(new Tubs(2, 5, true).hasOneForFoam(true)).isFalse();
        assertThat(new Tubs(1, 5, true).hasOneForFoam(false)).isFalse();
        assertThat(new Tubs(1, 5, false).hasOneForFoam(false)).isTrue();
        assertThat(new Tubs(0, 0, false).hasOneForFoam(false)).isFalse();
    }

    @Test
    void what_needs_no_water_draws_none() {
        assertThat(Tubs.of(0, false, USUAL).litres()).isZero();
        assertThat(Tubs.of(0, false, USUAL).toBring(false)).isEmpty();
    }

    @Test
    void an_empty_bucket_is_brought_beside_those_with_water() {
        assertThat(new Tubs(0, 0, false).toBring(true)).containsExactly("1 empty bucket");
        assertThat(new Tubs(1, 5, false).toBring(false)).containsExactly("1 bucket");
        assertThat(new Tubs(3, 5, true).toBring(true)).containsExactly("4 buckets, one of them empty");
        assertThat(new Tubs(1, 1.5, true).toBring(true)).containsExactly("1 tub", "1 empty bucket");
        assertThat(new Tubs(2, 1, true).toBring(false)).containsExactly("2 tubs");
    }

    @Test
    void with_one_tub_it_is_the_medias_and_foam_is_rinsed_by_jug() {
        Tubs one = new Tubs(1, 1, true);

        assertThat(one.pours(false)).isTrue();
        assertThat(one.first(false)).isEqualTo("over an empty bucket, pouring water from the tub by jug,");
        assertThat(one.bioTub()).isEqualTo("the tub");
        assertThat(one.drawn(false, USUAL)).isEqualTo("Fill one tub with 1 L of tank water.");
    }

    @Test
    void under_the_tap_only_the_media_has_tank_water_and_the_step_says_so() {
        Tubs bio = new Tubs(1, 5, true);

        assertThat(bio.first(true)).isEqualTo("under the tap");
        assertThat(bio.hasSecond(true)).isFalse();
        assertThat(bio.drawn(true, USUAL))
                .isEqualTo("Fill one bucket with 5 L of tank water; it is for the bio media, foam is rinsed under the"
                        + " tap.");
    }

    @Test
    void the_last_of_three_is_the_medias() {
        Tubs three = new Tubs(3, 2.5, true);

        assertThat(three.first(false)).isEqualTo("in tub one");
        assertThat(three.second()).isEqualTo("in tub two");
        assertThat(three.bioTub()).isEqualTo("tub three");
        assertThat(three.drawn(false, USUAL))
                .isEqualTo("Fill three tubs with 2.5 L of tank water each; the last is for the bio media.");
    }

    @ParameterizedTest
    @CsvSource({"0, 100, 0.25", "8, 0, 0.25", "8, 100, 0", "8, 100, 1.1", "NaN, 100, 0.25"})
    void what_cannot_be_is_refused(double bucket, double tank, double share) {
        assertThatThrownBy(() -> new Means(bucket, tank, share)).isInstanceOf(IllegalArgumentException.class);
    }

    @Test
    void a_bucket_marked_in_gallons_is_filled_to_a_mark() {
        Units us = Units.of(Unit.US_GALLON);
        Means means = new Means(
                us.of(Quantity.VOLUME).stored(2), us.of(Quantity.VOLUME).stored(29), 0.25, us, List.of());

        Tubs tubs = Tubs.of(2, true, means);

        assertThat(tubs.drawn(false, means))
                .isEqualTo("Fill three buckets with 1.3 gal of tank water each; the last is for the bio media.");
    }

    @Test
    void the_keepers_own_tub_that_holds_it_is_named_and_a_small_one_is_not_overfilled() {
        List<Tubs.Vessel> own = List.of(new Tubs.Vessel("White bucket", 12), new Tubs.Vessel("Blue tub", 8));
        Means large = new Means(8, 220, 0.25, Units.METRIC, own);
        Means small = new Means(8, 220, 0.25, Units.METRIC, List.of(new Tubs.Vessel("Jug", 3)));

        assertThat(Tubs.of(1, false, large).drawn(false, large))
                .isEqualTo("Fill one bucket with 5 L of tank water. “Blue tub” is large enough.");
        assertThat(Tubs.of(1, false, small).litresEach()).isEqualTo(2);
        assertThatThrownBy(() -> new Tubs.Vessel("Sieve", 0)).isInstanceOf(IllegalArgumentException.class);
    }
}
