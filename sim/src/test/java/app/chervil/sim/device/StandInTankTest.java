package app.chervil.sim.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.sim.device.StandInTank.Mishap;
import app.chervil.sim.device.StandInTank.Sense;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class StandInTankTest {
    private static final Instant NOW = Instant.parse("2026-06-01T00:00:00Z");

    private final StandInTank tank = new StandInTank(900, 60, 0, NOW, 1);

    private double read(Sense sense, Duration later) {
        return tank.read(sense, NOW.plus(later)).orElseThrow();
    }

    @Test
    void flow_falls_as_foam_fills_down_to_what_an_overload_leaves() {
        assertThat(tank.flow(NOW)).isEqualTo(900);
        assertThat(tank.flow(NOW.plus(Duration.ofDays(60)))).isCloseTo(900 * 0.65, within(0.01));
        tank.fill(60);
        assertThat(tank.flow(NOW)).isCloseTo(900 * 0.65, within(0.01));
        tank.clean(NOW);
        assertThat(tank.flow(NOW)).isEqualTo(900);
    }

    @Test
    void dirt_comes_at_the_speed_that_was_chosen_from_then_on() {
        Instant later = NOW.plus(Duration.ofDays(20));
        tank.hurry(10, later);

        assertThat(tank.flow(later)).isEqualTo(new StandInTank(900, 60, 20, later, 1).flow(later));
        assertThat(tank.flow(later.plus(Duration.ofDays(4)))).isCloseTo(900 * 0.65, within(0.01));
        tank.hurry(1, later.plus(Duration.ofDays(3)));
        assertThat(tank.flow(later.plus(Duration.ofDays(13)))).isCloseTo(900 * 0.65, within(0.01));
    }

    @Test
    void begins_with_the_flow_it_is_said_to_have() {
        assertThat(StandInTank.reading(900, 700, 30, NOW, 1).flow(NOW)).isCloseTo(700, within(0.1));
        assertThat(StandInTank.reading(900, 900, 30, NOW, 1).flow(NOW)).isCloseTo(900, within(1.0));
    }

    @Test
    void a_pump_without_power_moves_nothing_and_takes_nothing() {
        tank.set(Mishap.UNPLUGGED, true, NOW);

        assertThat(read(Sense.FLOW, Duration.ZERO)).isZero();
        assertThat(read(Sense.WATTS, Duration.ZERO)).isZero();
    }

    @Test
    void a_pump_that_moves_air_takes_less() {
        double usual = read(Sense.WATTS, Duration.ZERO);
        tank.set(Mishap.DRY, true, NOW);

        assertThat(read(Sense.WATTS, Duration.ZERO)).isBetween(1.0, 0.7 * usual);
        assertThat(read(Sense.FLOW, Duration.ZERO)).isZero();
    }

    @Test
    void a_kink_halves_the_flow_at_once() {
        tank.set(Mishap.KINKED, true, NOW);

        assertThat(tank.flow(NOW)).isEqualTo(450);
    }

    @Test
    void without_its_heater_the_water_cools_towards_the_room() {
        double before = read(Sense.TEMPERATURE, Duration.ZERO);
        tank.set(Mishap.COLD, true, NOW);

        assertThat(read(Sense.TEMPERATURE, Duration.ofMinutes(2))).isLessThan(before - 2);
        assertThat(read(Sense.TEMPERATURE, Duration.ofHours(2))).isCloseTo(20, within(0.1));
    }

    @Test
    void a_silent_probe_says_nothing_and_a_leak_is_wet() {
        tank.set(Mishap.SILENT, true, NOW);
        tank.set(Mishap.LEAK, true, NOW);

        assertThat(tank.read(Sense.TEMPERATURE, NOW)).isEmpty();
        assertThat(read(Sense.WET, Duration.ZERO)).isEqualTo(1);
        tank.set(Mishap.LEAK, false, NOW);
        assertThat(read(Sense.WET, Duration.ZERO)).isZero();
    }
}
