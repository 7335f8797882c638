package app.chervil.core.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.water.Amount.Below;
import app.chervil.core.water.Amount.Exact;
import app.chervil.core.water.Reading.Trust;
import app.chervil.core.water.RiseQuestion.Tap;
import java.time.LocalDateTime;
import java.util.ArrayList;
import java.util.List;
import java.util.OptionalDouble;
import java.util.Random;
import org.junit.jupiter.api.Test;

class ProductionTest {
    private static final LocalDateTime START = LocalDateTime.of(2026, 3, 1, 18, 0);

    @Test
    void water_changes_are_taken_out_of_the_picture() {
        List<WaterChange> halves =
                List.of(new WaterChange(START.plusDays(7), 0.5), new WaterChange(START.plusDays(14), 0.5));
        List<Reading> readings =
                List.of(nitrate(0, 20), nitrate(6, 26), nitrate(8, 14.5), nitrate(13, 19.5), nitrate(15, 11.25));

        Production production = Production.fit(readings, halves, Tap.NONE).orElseThrow();

        assertThat(production.perWeek()).isCloseTo(7, within(0.05)); // by hand: a milligram a day
    }

    @Test
    void nitrate_in_the_new_water_is_not_taken_for_production() {
        List<WaterChange> half = List.of(new WaterChange(START.plusDays(7), 0.5));
        List<Reading> readings = List.of(nitrate(0, 20), nitrate(6, 26), nitrate(8, 24.5), nitrate(13, 29.5));

        Production production = Production.fit(readings, half, new Tap(20, 0)).orElseThrow();

        assertThat(production.perWeek()).isCloseTo(7, within(0.05)); // 27 · ½ + 20 · ½ = 23.5 after the change
    }

    @Test
    void one_reading_far_off_hardly_moves_it() {
        List<Reading> readings = new ArrayList<>();
        for (int day = 0; day <= 28; day += 4) {
            readings.add(nitrate(day, 10 + day + (day % 8 == 0 ? 0.5 : -0.5)));
        }
        readings.set(4, nitrate(16, 80));

        Production production = Production.fit(readings, List.of(), Tap.NONE).orElseThrow();

        assertThat(production.perWeek()).isCloseTo(7, within(1.0));
    }

    @Test
    void early_readings_are_left_out() {
        List<Reading> readings = new ArrayList<>(List.of(nitrate(0, 10), nitrate(7, 17), nitrate(14, 24)));
        readings.add(new Reading(Parameter.NITRATE, new Exact(5), 5, START.plusDays(20), Trust.EARLY));

        assertThat(Production.fit(readings, List.of(), Tap.NONE)).isEmpty();
    }

    /** 1,000 seeded tanks with changes of random size: the band said to hold four in five holds at least four in five. */
    @Test
    void the_truth_lies_in_its_band_in_four_of_five_cases() {
        int held = 0;
        int fitted = 0;
        for (int seed = 1; seed <= 1000; seed++) {
            Simulated tank = new Simulated(new Random(seed));
            Production production = Production.fit(tank.readings, tank.changes, new Tap(tank.tap, 0))
                    .orElse(null);
            if (production != null) {
                fitted++;
                held += production.low() <= tank.perWeek && tank.perWeek <= production.high() ? 1 : 0;
            }
        }

        assertThat(fitted).isGreaterThan(950);
        assertThat(100.0 * held / fitted).isBetween(75.0, 97.0);
    }

    /** Four card steps of 40 say that it stands between 30 and 60, not that it stands still. */
    @Test
    void a_colour_card_is_a_range_and_says_so() {
        TestMethod card = MethodCatalogue.find(Parameter.NITRATE, "Colour card").orElseThrow();
        List<Reading> readings = new ArrayList<>();
        for (int day = 0; day <= 28; day += 7) {
            readings.add(
                    new Reading(Parameter.NITRATE, card.amount(40), card.noise(), START.plusDays(day), Trust.KEPT));
        }

        Production production = Production.fit(readings, List.of(), Tap.NONE).orElseThrow();

        assertThat(card.amount(40)).isEqualTo(new Amount.Step(40, 30, 60));
        assertThat(card.amount(160)).isEqualTo(new Amount.Step(160, 120, Seen.NO_END));
        assertThat(card.amount(35)).isEqualTo(new Exact(35));
        assertThat(production.coarse()).isTrue();
        assertThat(production.high() - production.low()).isGreaterThan(3);
    }

    /** Near detection the old fit ran away to 10^12; the prior bounds it. */
    @Test
    void readings_that_all_lie_below_detection_make_next_to_nothing() {
        List<Reading> readings = new ArrayList<>();
        for (int day = 0; day <= 56; day += 7) {
            readings.add(new Reading(Parameter.PHOSPHATE, new Below(0.05), 0.05, START.plusDays(day), Trust.KEPT));
        }

        Production production = Production.fit(readings, List.of(), Tap.NONE).orElseThrow();

        assertThat(Math.abs(production.perWeek())).isLessThan(0.02);
        assertThat(production.high()).isLessThan(0.05);
    }

    @Test
    void tap_water_that_nobody_stated_widens_the_band() {
        List<WaterChange> changes = new ArrayList<>();
        List<Reading> readings = new ArrayList<>();
        for (int week = 0; week < 10; week++) {
            readings.add(nitrate(7 * week, 40 + (week % 2)));
            changes.add(new WaterChange(START.plusDays(7 * week + 1), 0.25));
        }

        Production stated = Production.fit(readings, changes, TapWater.of(Parameter.NITRATE, OptionalDouble.of(20)))
                .orElseThrow();
        Production unknown = Production.fit(readings, changes, TapWater.of(Parameter.NITRATE, OptionalDouble.empty()))
                .orElseThrow();

        assertThat(unknown.high() - unknown.low()).isGreaterThan(stated.high() - stated.low());
        assertThat(stated.perWeek()).isCloseTo(5, within(1.5)); // a quarter of 40 − 20 goes out each week
    }

    private static Reading nitrate(int day, double value) {
        return new Reading(Parameter.NITRATE, new Exact(value), 5, START.plusDays(day), Trust.KEPT);
    }

    /** Ten weeks of a tank whose true production is known, read by a kit that errs and has a limit. */
    private static final class Simulated {
        final List<Reading> readings = new ArrayList<>();
        final List<WaterChange> changes = new ArrayList<>();
        final double perWeek;
        final double tap;

        Simulated(Random random) {
            perWeek = 2 + 10 * random.nextDouble();
            tap = random.nextInt(3) == 0 ? 5 : 0;
            double now = 2 + 25 * random.nextDouble();
            int untilChange = 4 + random.nextInt(7);
            for (int day = 0; day < 70; day++) {
                if (day % 5 == 0 && random.nextInt(5) > 0) {
                    readings.add(read(day, now, random));
                }
                if (--untilChange == 0) {
                    WaterChange change =
                            new WaterChange(START.plusDays(day).plusHours(2), 0.1 + 0.6 * random.nextDouble());
                    changes.add(change);
                    now = change.dilutes(now + perWeek / 84, tap) - perWeek / 84; // two hours late
                    untilChange = 4 + random.nextInt(7);
                }
                now += perWeek / 7;
            }
        }

        private static Reading read(int day, double truth, Random random) {
            double error = random.nextInt(20) == 0 ? 3 : 1; // now and then a bad day
            double seen = truth * (1 + 0.1 * error * random.nextGaussian()) + 2.5 * error * random.nextGaussian();
            Amount amount = seen < 5 ? new Below(5) : new Exact(seen);
            return new Reading(Parameter.NITRATE, amount, 5, START.plusDays(day), Trust.KEPT);
        }
    }
}
