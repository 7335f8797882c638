package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Pauses.Cause;
import app.chervil.core.interval.Pauses.Pause;
import app.chervil.core.interval.TaskSetting.Fixed;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.Random;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Days that gather less dirt than usual, and the dates that wait for them. */
class PausesTest {
    private static final LocalDate DAY = LocalDate.of(2026, 6, 1);
    private static final CareRule FOAM = CareCatalogue.find(
                    Stage.washable(StageKind.COARSE_FOAM), CareAction.RINSE, Schools.DEFAULT)
            .orElseThrow();

    @ParameterizedTest
    @CsvSource({
        "OFF, 10, 20, 30, 20",
        "AWAY, 10, 20, 30, 25",
        "OFF, 0, 30, 30, 0",
        "OFF, 30, 40, 30, 30",
        "OFF, 29, 40, 30, 29",
        "AWAY, -50, 1, 30, 29.5"
    })
    void use_days_leave_out_what_lies_in_the_pause(Cause cause, int from, int to, int until, double use) {
        assertThat(pauses(pause(cause, from, to)).useDays(DAY, DAY.plusDays(until)))
                .isCloseTo(use, within(1e-9));
    }

    @Test
    void where_pauses_overlap_the_day_counts_with_the_least_share() {
        Pauses both = pauses(pause(Cause.AWAY, 0, 20), pause(Cause.OFF, 5, 10));

        assertThat(both.useDays(DAY, DAY.plusDays(20))).isCloseTo(5 * 0.5 + 10 * 0.5, within(1e-9));
    }

    @Test
    void a_pause_that_lasts_moves_every_later_day_out_of_reach() {
        Pauses open = pauses(new Pause(DAY.plusDays(10), Optional.empty(), 0));

        assertThat(open.calendarDays(DAY, 9.5)).isCloseTo(9.5, within(1e-9));
        assertThat(open.calendarDays(DAY, 10.5)).isEqualTo(Pauses.MOST_DAYS);
        assertThat(open.standsOpenly(DAY.plusDays(9))).isFalse();
        assertThat(open.standsOpenly(DAY.plusDays(10))).isTrue();
    }

    @Test
    void who_is_away_with_no_day_of_return_moves_every_date_by_as_much_again() {
        Pauses open = pauses(new Pause(DAY, Optional.empty(), 0.5));

        assertThat(open.calendarDays(DAY, 30)).isCloseTo(60, within(1e-9));
        assertThat(open.standsOpenly(DAY)).isFalse();
    }

    @Test
    void only_standing_still_is_standing_still() {
        Pauses both = pauses(pause(Cause.AWAY, 0, 20), pause(Cause.OFF, 5, 10));

        assertThat(both.standing()).isEqualTo(pauses(pause(Cause.OFF, 5, 10)));
    }

    @ParameterizedTest
    @CsvSource({"-0.1", "1.1", "NaN"})
    void a_share_is_a_share(double share) {
        assertThatThrownBy(() -> new Pause(DAY, Optional.empty(), share)).isInstanceOf(IllegalArgumentException.class);
    }

    /** Calendar days are the way back from use days, whatever the pauses. */
    @Test
    void calendar_days_and_use_days_are_each_others_way_back() {
        Random random = new Random(20261126);
        for (int world = 0; world < 2000; world++) {
            Pauses some = pauses(random(random), random(random), random(random));
            long days = random.nextInt(300);
            double use = some.useDays(DAY, DAY.plusDays(days));

            if (use == 0) {
                continue; // it has not begun to run
            }
            double back = some.calendarDays(DAY, use);

            assertThat(some.useDays(DAY, DAY.plusDays((long) Math.floor(back))))
                    .as("world %d", world)
                    .isLessThanOrEqualTo(use + 1e-9);
            assertThat(back).as("world %d", world).isLessThanOrEqualTo(days + 1e-9);
        }
    }

    @Test
    void a_window_waits_for_the_days_that_stood_still() {
        LocalDate usual = foam(Pauses.NONE, DAY).window().ideal();
        LocalDate waited = foam(pauses(pause(Cause.OFF, 10, 31)), DAY).window().ideal();

        assertThat(waited).isEqualTo(usual.plusDays(21));
    }

    @Test
    void a_pause_planned_ahead_moves_the_window_today_and_one_after_it_does_not() {
        LocalDate usual = foam(Pauses.NONE, DAY).window().ideal();

        assertThat(foam(pauses(pause(Cause.AWAY, 20, 34)), DAY).window().ideal())
                .isEqualTo(usual.plusDays(7));
        assertThat(foam(pauses(pause(Cause.OFF, 400, 500)), DAY).window().ideal())
                .isEqualTo(usual);
    }

    @Test
    void the_reason_names_the_days_that_were_not_counted() {
        assertThat(foam(pauses(pause(Cause.OFF, 10, 20)), DAY.plusDays(30)).reasons())
                .contains("Of 30 days since then 10 don’t count: it was off or little was fed.");
        assertThat(foam(pauses(pause(Cause.AWAY, 10, 24)), DAY.plusDays(30)).reasons())
                .contains("Of 30 days since then 7 don’t count: it was off or little was fed.");
        assertThat(foam(pauses(pause(Cause.OFF, 10, 20)), DAY.plusDays(5)).reasons())
                .noneMatch(reason -> reason.contains("not counted"));
    }

    @Test
    void while_it_stands_still_the_reason_says_so_and_a_fixed_interval_tells_no_nonsense() {
        Pauses open = pauses(new Pause(DAY.plusDays(10), Optional.empty(), 0));

        assertThat(foam(open, DAY.plusDays(20)).reasons())
                .contains("It’s off, so its days don’t count until it runs again.");
        assertThat(Forecaster.forecast(FOAM, new Fixed(30, TaskSetting.By.KEEPER), history(open), DAY.plusDays(20))
                        .reasons())
                .last()
                .isEqualTo("It’s off at the moment.");
    }

    @Test
    void dirt_found_after_a_pause_is_dirt_of_fewer_days() {
        Serviced moderate = Serviced.found(DAY.plusDays(60), Finding.MODERATE);
        Forecast usual = Forecaster.forecast(FOAM, new Learned(), history(Pauses.NONE, moderate), DAY.plusDays(60));
        Forecast paused = Forecaster.forecast(
                FOAM, new Learned(), history(pauses(pause(Cause.OFF, 0, 40)), moderate), DAY.plusDays(60));

        assertThat(interval(paused)).isLessThan(interval(usual));
    }

    @Test
    void a_lamp_burns_no_hours_while_it_is_off_but_goes_on_while_its_keeper_is_away() {
        CareRule lamp = CareCatalogue.find(Stage.washable(StageKind.UV_LAMP), CareAction.REPLACE, Schools.DEFAULT)
                .orElseThrow();
        Evidence lit = new Evidence(
                new Endurance(
                        OptionalDouble.of(8000),
                        OptionalDouble.of(10),
                        OptionalInt.of(0),
                        OptionalDouble.empty(),
                        OptionalInt.empty()),
                List.of(),
                List.of());

        Forecast off = lamp(lamp, lit, pauses(pause(Cause.OFF, 50, 150)));
        Forecast away = lamp(lamp, lit, pauses(pause(Cause.AWAY, 50, 150)));
        Forecast usual = lamp(lamp, lit, Pauses.NONE);

        assertThat(off.window().ideal()).isEqualTo(usual.window().ideal().plusDays(100));
        assertThat(off.reasons().get(0)).startsWith("About 1,000 of 8,000 lit hours");
        assertThat(away.window()).isEqualTo(usual.window());
    }

    private static Forecast lamp(CareRule rule, Evidence lit, Pauses pauses) {
        TaskHistory history =
                new TaskHistory(Start.exact(DAY), StartingLoad.NORMAL, List.of(), List.of(), List.of(), pauses, lit);
        return Forecaster.forecast(rule, new Learned(), history, DAY.plusDays(200));
    }

    private static Forecast foam(Pauses pauses, LocalDate today) {
        return Forecaster.forecast(FOAM, new Learned(), history(pauses), today);
    }

    private static TaskHistory history(Pauses pauses, Serviced... services) {
        return new TaskHistory(
                Start.exact(DAY), StartingLoad.NORMAL, List.of(services), List.of(), List.of(), pauses, Evidence.NONE);
    }

    private static long interval(Forecast forecast) {
        return ChronoUnit.DAYS.between(forecast.since(), forecast.window().ideal());
    }

    private static Pause random(Random random) {
        int from = random.nextInt(-50, 300);
        return new Pause(
                DAY.plusDays(from),
                Optional.of(DAY.plusDays(from + random.nextInt(1, 60))),
                random.nextBoolean() ? 0 : 0.5);
    }

    private static Pauses pauses(Pause... all) {
        return new Pauses(List.of(all));
    }

    private static Pause pause(Cause cause, int from, int to) {
        return new Pause(DAY.plusDays(from), Optional.of(DAY.plusDays(to)), cause.share());
    }
}
