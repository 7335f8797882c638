package app.chervil.sim.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.sim.tank.LivingWater.Day;
import org.junit.jupiter.api.Test;

class LivingWaterTest {
    @Test
    void a_settled_tank_shows_no_ammonia_and_makes_the_nitrate_that_is_fed() {
        LivingWater water = new LivingWater(7, 0.1, 10, 0.5);

        live(water, 21, Day.USUAL);

        assertThat(water.ammonia()).isLessThan(0.05);
        assertThat(water.nitrite()).isLessThan(0.05);
        assertThat(water.nitrate()).isCloseTo(10 + 3 * 7, within(0.5));
        assertThat(water.phosphate()).isCloseTo(0.8, within(0.01));
    }

    @Test
    void lost_bacteria_let_ammonia_rise_and_grow_back() {
        LivingWater water = new LivingWater(7, 0.1, 10, 0.5);
        live(water, 10, Day.USUAL);

        water.live(new Day(0.5, 0, 0.6, false, 1));
        live(water, 4, Day.USUAL);
        double spike = water.ammonia() + water.nitrite();
        live(water, 60, Day.USUAL);

        assertThat(spike).isGreaterThan(0.3);
        assertThat(water.ammonia() + water.nitrite()).isLessThan(0.1);
    }

    @Test
    void a_water_change_thins_all_of_it_and_dirt_adds_to_it() {
        LivingWater clean = new LivingWater(7, 0.7, 20, 1);
        LivingWater dirty = new LivingWater(7, 0.7, 20, 1);

        live(clean, 14, new Day(0.1, 0, 0, false, 1));
        live(dirty, 14, new Day(1, 0, 0, false, 1));
        double before = dirty.nitrate();
        dirty.live(new Day(0.5, 0.5, 0, false, 1));

        assertThat(before).isGreaterThan(clean.nitrate() + 2);
        assertThat(dirty.nitrate()).isCloseTo((before + 1) * 0.5, within(0.1));
    }

    @Test
    void blowing_the_rock_off_takes_phosphate_out() {
        LivingWater left = new LivingWater(7, 0.07, 10, 1);
        LivingWater blown = new LivingWater(7, 0.07, 10, 1);

        live(left, 70, Day.USUAL);
        for (int week = 0; week < 10; week++) {
            live(blown, 6, Day.USUAL);
            blown.live(new Day(0.5, 0, 0, true, 1));
        }

        assertThat(blown.phosphate()).isLessThan(left.phosphate() * 0.7);
    }

    private static void live(LivingWater water, int days, Day day) {
        for (int i = 0; i < days; i++) {
            water.live(day);
        }
    }
}
