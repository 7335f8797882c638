package app.chervil.core.media;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.media.Life.Death;
import app.chervil.core.media.Life.State;
import app.chervil.core.media.Life.Worth;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.WaterKind;
import app.chervil.core.water.Medication;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** What media is worth from where it has been, by hand: 35 days to nine tenths at 25 °C, half lost in three days on the shelf. */
class LifeTest {
    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);
    private static final Spot BROOK = new Spot.InFilter(1, 10);
    private static final Spot REEF = new Spot.InFilter(2, 20);

    private static Living tank(WaterKind water, Stocking stocking, double celsius, Medication... treatments) {
        return new Living("Brook", water, stocking, celsius, LocalDate.of(2024, 1, 1), List.of(treatments), false);
    }

    private static Life life(Living brook, Object... spotsAndDays) {
        List<Stay> stays = new ArrayList<>();
        for (int at = 0; at < spotsAndDays.length; at += 2) {
            Optional<LocalDate> until = at + 3 < spotsAndDays.length
                    ? Optional.of(MAY.plusDays((int) spotsAndDays[at + 3]))
                    : Optional.empty();
            stays.add(new Stay((Spot) spotsAndDays[at], MAY.plusDays((int) spotsAndDays[at + 1]), until));
        }
        return new Life(stays, Map.of(1L, brook, 2L, tank(WaterKind.MARINE, Stocking.NORMAL, 25)), Ripening.USUAL);
    }

    private static Worth after(int days, Life life) {
        return life.on(MAY.plusDays(days));
    }

    private static final Living USUAL = tank(WaterKind.FRESH, Stocking.NORMAL, 25);

    @ParameterizedTest
    @CsvSource({
        "0, 0, NEW, 35",
        "7, 0.37, SETTLING, 35",
        "21, 0.749, SETTLING, 35",
        "34, 0.893, SETTLING, 35",
        "35, 0.9, RIPE, ",
        "400, 1, RIPE, "
    })
    void new_media_settles_in_five_weeks(int day, double share, State state, Integer ripe) {
        Worth worth = after(day, life(USUAL, BROOK, 0));

        assertThat(worth.share()).isCloseTo(share, within(0.001));
        assertThat(worth.state()).isEqualTo(state);
        assertThat(worth.ripeOn()).isEqualTo(Optional.ofNullable(ripe).map(MAY::plusDays));
    }

    /** 35 · 1.07^6 = 52.5; 35 ÷ √1.7 = 26.8; 35 · 1.07^-3 ÷ √2.3 = 18.8, held at 21. */
    @ParameterizedTest
    @CsvSource({"NORMAL, 19, 52.5", "HEAVY, 25, 26.8", "OVER, 28, 21", "LIGHT, 5, 120"})
    void cold_and_little_food_take_longer(Stocking stocking, double celsius, double days) {
        assertThat(Ripening.USUAL.days(tank(WaterKind.FRESH, stocking, celsius)))
                .isCloseTo(days, within(0.1));
    }

    @ParameterizedTest
    @CsvSource({"0, 0.9, FADING", "3, 0.45, FADING", "9, 0.1125, FADING", "14, 0.035, NEW"})
    void on_the_wet_shelf_half_is_lost_in_three_days(int days, double share, State state) {
        Worth worth = after(35 + days, life(USUAL, BROOK, 0, new Spot.WetShelf(), 35));

        assertThat(worth.share()).isCloseTo(share, within(0.001));
        assertThat(worth.state()).isEqualTo(state);
    }

    @Test
    void dried_media_is_dead_and_says_so_until_it_has_settled_again() {
        Life life = life(USUAL, BROOK, 0, new Spot.DryShelf(), 35, BROOK, 40);

        assertThat(after(36, life)).isEqualTo(new Worth(State.DEAD, 0, Optional.of(Death.DRIED), Optional.empty()));
        assertThat(after(40, life).ripeOn()).contains(MAY.plusDays(75));
        assertThat(after(50, life).death()).contains(Death.DRIED);
        assertThat(after(75, life))
                .matches(worth -> worth.state() == State.RIPE && worth.death().isEmpty());
    }

    @Test
    void media_that_was_never_settled_is_new_on_the_dry_shelf() {
        assertThat(after(3, life(USUAL, new Spot.DryShelf(), 0)).state()).isEqualTo(State.NEW);
    }

    @Test
    void a_treatment_of_its_tank_kills_and_holds_it_back_until_it_is_over() {
        Living treated = tank(
                WaterKind.FRESH, Stocking.NORMAL, 25, new Medication(MAY.plusDays(40), Optional.of(MAY.plusDays(49))));
        Life life = life(treated, BROOK, 0);

        assertThat(after(39, life).state()).isEqualTo(State.RIPE);
        assertThat(after(45, life)).isEqualTo(new Worth(State.DEAD, 0, Optional.of(Death.TREATED), Optional.empty()));
        assertThat(after(50, life).ripeOn()).contains(MAY.plusDays(85));
        assertThat(after(85, life).state()).isEqualTo(State.RIPE);
    }

    @Test
    void a_treatment_before_it_came_or_after_it_left_is_not_its_own() {
        Living treated = tank(
                WaterKind.FRESH, Stocking.NORMAL, 25, new Medication(MAY.minusDays(20), Optional.of(MAY.minusDays(1))));
        Living later = tank(WaterKind.FRESH, Stocking.NORMAL, 25, new Medication(MAY.plusDays(38), Optional.empty()));

        assertThat(after(35, life(treated, BROOK, 0)).state()).isEqualTo(State.RIPE);
        assertThat(after(39, life(later, BROOK, 0, new Spot.WetShelf(), 36)).death())
                .isEmpty();
    }

    @Test
    void from_fresh_to_sea_water_it_begins_anew() {
        Life life = life(USUAL, BROOK, 0, REEF, 100);

        assertThat(after(99, life).state()).isEqualTo(State.RIPE);
        assertThat(after(100, life).share()).isZero();
        assertThat(after(100, life).death()).contains(Death.OTHER_WATER);
        assertThat(after(135, life).state()).isEqualTo(State.RIPE);
    }

    @Test
    void nothing_settles_before_its_tank_is_set_up() {
        Living young = new Living("Brook", WaterKind.FRESH, Stocking.NORMAL, 25, MAY.plusDays(10), List.of(), false);

        assertThat(after(10, life(young, BROOK, 0)).share()).isZero();
        assertThat(after(5, life(young, BROOK, 0)).ripeOn()).contains(MAY.plusDays(45));
    }

    @Test
    void thrown_away_it_is_gone() {
        assertThat(after(50, life(USUAL, BROOK, 0, new Spot.Gone(), 40)).state())
                .isEqualTo(State.GONE);
    }
}
