package app.chervil.core.interval;

import static app.chervil.core.interval.PartHistory.START;
import static app.chervil.core.interval.PartHistory.forecast;
import static app.chervil.core.interval.PartHistory.look;
import static app.chervil.core.interval.PartHistory.rule;
import static app.chervil.core.interval.PartHistory.seen;
import static app.chervil.core.interval.PartHistory.window;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.TaskSetting.Learned;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** A lamp by its lit hours. Expected numbers are worked out by hand from docs/sources.md#other-lives. */
class LampLifeTest {
    private final CareRule rule = rule(StageKind.UV_LAMP, CareAction.REPLACE);

    @ParameterizedTest
    @CsvSource({"0, 1.0", "300, 0.942097", "4500, 0.81", "9000, 0.70"})
    void fades_from_its_first_light_to_seven_tenths(double hours, double output) {
        assertThat(app.chervil.core.filter.LampOutput.after(hours, 9000)).isCloseTo(output, within(1e-6));
    }

    /** 8,000 h at 10 + 2 × 3 = 16 h a day: 500 days; 425, 475 and 525. */
    @Test
    void lasts_by_its_own_label_and_a_start_counts_two_hours() {
        Evidence lit = new Evidence(
                new Endurance(
                        OptionalDouble.of(8000),
                        OptionalDouble.of(10),
                        OptionalInt.of(3),
                        OptionalDouble.empty(),
                        OptionalInt.empty()),
                List.of(),
                List.of());

        Forecast forecast = forecast(rule, lit, START.plusDays(100));

        assertThat(forecast.window()).isEqualTo(window(425, 475, 525));
        assertThat(forecast.reasons().get(0)).startsWith("About 1,600 of 8,000 lit hours, 16 h a day");
    }

    /** 100 days at 8 h as counted, 8,200 h more to 9,000: (8,550 − 800) ÷ 8 = 968.75 days after the count. */
    @Test
    void is_spent_by_the_hours_that_were_counted_and_not_by_those_that_were_guessed() {
        Forecast forecast = forecast(
                rule,
                seen(look(0, Sign.BURNT, 5000), look(60, Sign.BURNT, 5480), look(100, Sign.BURNT, 5800)),
                START.plusDays(110));

        assertThat(forecast.window()).isEqualTo(window(956, 1069, 1181));
        assertThat(forecast.reasons().get(0))
                .isEqualTo("Its counter read 5,800 h on 11 April. About 880 of 9,000 lit hours, 8 h a day with its"
                        + " starts; it gives about 90 % of its first light.");
    }

    @Test
    void whose_counter_was_set_back_with_it_goes_on_from_there() {
        Forecast setBack =
                forecast(rule, seen(look(-10, Sign.BURNT, 7000), look(100, Sign.BURNT, 800)), START.plusDays(100));
        Forecast begunWithIt = forecast(rule, seen(look(100, Sign.BURNT, 800)), START.plusDays(100));

        assertThat(begunWithIt.reasons().get(0)).contains("About 800 of 9,000 lit hours, 8 h a day");
        assertThat(setBack.reasons().get(0)).contains("About 727 of 9,000 lit hours");
    }

    @Test
    void whose_counter_came_later_is_guessed_until_then() {
        Forecast forecast = forecast(rule, seen(look(50, Sign.BURNT, 0), look(60, Sign.BURNT, 80)), START.plusDays(60));

        assertThat(forecast.reasons().get(0)).contains("About 1,280 of 9,000 lit hours, 8 h a day");
    }

    /** Six days are no pace: the guess of 24 h a day stands; seven are one. */
    @Test
    void is_reckoned_by_its_counter_once_that_ran_a_week() {
        Forecast six = forecast(rule, seen(look(0, Sign.BURNT, 100), look(6, Sign.BURNT, 148)), START.plusDays(6));
        Forecast seven = forecast(rule, seen(look(0, Sign.BURNT, 100), look(7, Sign.BURNT, 156)), START.plusDays(7));

        assertThat(six.reasons().get(0)).contains("About 48 of 9,000 lit hours, 24 h a day");
        assertThat(seven.reasons().get(0)).contains("About 56 of 9,000 lit hours, 8 h a day");
    }

    /** Each start of three a day costs two hours, also on the days that were counted. */
    @Test
    void that_is_started_often_ages_by_its_starts_too() {
        Evidence started = new Evidence(
                new Endurance(
                        OptionalDouble.empty(),
                        OptionalDouble.empty(),
                        OptionalInt.of(3),
                        OptionalDouble.empty(),
                        OptionalInt.empty()),
                List.of(look(0, Sign.BURNT, 0), look(10, Sign.BURNT, 80)),
                List.of());

        assertThat(forecast(rule, started, START.plusDays(10)).reasons().get(0))
                .contains("About 140 of 9,000 lit hours, 14 h a day");
    }

    @Test
    void burns_no_faster_than_the_day_whatever_a_counter_says() {
        Forecast forecast =
                forecast(rule, seen(look(0, Sign.BURNT, 0), look(10, Sign.BURNT, 150_000)), START.plusDays(10));

        assertThat(forecast.reasons().get(0)).contains("About 240 of 9,000 lit hours, 24 h a day");
    }

    @Test
    void is_not_judged_by_a_count_that_is_yet_to_come_or_of_its_forerunner() {
        LocalDate today = START.plusDays(5);
        Forecast uncounted = forecast(rule, Evidence.NONE, today);

        assertThat(forecast(rule, seen(look(-3, Sign.BURNT, 4000)), today)).isEqualTo(uncounted);
        assertThat(forecast(rule, seen(look(50, Sign.BURNT, 4000)), today)).isEqualTo(uncounted);
    }

    @Test
    void that_is_spent_by_its_counter_was_due_the_day_it_was() {
        Forecast forecast =
                forecast(rule, seen(look(0, Sign.BURNT, 0), look(400, Sign.BURNT, 9600)), START.plusDays(400));

        assertThat(forecast.window()).isEqualTo(window(319, 356, 394));
    }

    @Test
    void that_is_dark_is_due_now() {
        assertThat(forecast(rule, seen(look(40, Sign.DARK, 0)), START.plusDays(41))
                        .window())
                .isEqualTo(window(40, 40, 40));
    }

    @Test
    void is_brought_forward_by_green_water_and_never_put_off_by_it() {
        Forecast soon = forecast(rule, seen(look(100, Sign.GREEN_WATER, 0)), START.plusDays(101));
        Forecast nearlyDue = forecast(rule, seen(look(350, Sign.GREEN_WATER, 0)), START.plusDays(351));

        assertThat(soon.window()).isEqualTo(window(100, 130, 130));
        assertThat(nearlyDue.window())
                .isEqualTo(forecast(rule, Evidence.NONE, START).window());
    }

    @Test
    void that_was_replaced_forgets_its_dark_forerunner() {
        TaskHistory history = new TaskHistory(
                Start.exact(START),
                StartingLoad.NORMAL,
                List.of(Serviced.unseen(START.plusDays(42))),
                List.of(),
                seen(look(40, Sign.DARK, 0)));

        assertThat(Forecaster.forecast(rule, new Learned(), history, START.plusDays(43))
                        .window()
                        .ideal())
                .isEqualTo(START.plusDays(42 + 356));
    }
}
