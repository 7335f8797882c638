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
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.Arrays;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** Parts that are not graded. Expected numbers are worked out by hand from docs/sources.md#other-lives. */
class PartLivesTest {
    private static final LocalDate START = LocalDate.of(2026, 1, 1);

    @Nested
    class A_lamp {
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
            Forecast forecast =
                    forecast(rule, seen(look(50, Sign.BURNT, 0), look(60, Sign.BURNT, 80)), START.plusDays(60));

            assertThat(forecast.reasons().get(0)).contains("About 1,280 of 9,000 lit hours, 8 h a day");
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

    @Nested
    class Carbon {
        private final CareRule rule = rule(StageKind.CARBON, CareAction.CHANGE);

        /** θ ~ N(ln 28, 0.25): 28 e^−0.3, 28, 28 e^0.3. */
        @Test
        void starts_at_four_weeks() {
            assertThat(forecast(rule, Evidence.NONE, START).window()).isEqualTo(window(21, 28, 38));
        }

        @Test
        void is_due_the_day_its_tint_is_back() {
            assertThat(forecast(rule, seen(look(21, Sign.TINT_BACK, 0)), START.plusDays(22))
                            .window())
                    .isEqualTo(window(21, 21, 21));
        }

        @Test
        void that_clears_a_medicine_is_used_once_and_teaches_nothing() {
            Evidence cleared =
                    seen(look(0, Sign.FOR_MEDICATION, 0), look(2, Sign.TINT_BACK, 0), look(4, Sign.FOR_MEDICATION, 0));
            TaskHistory once = new TaskHistory(Start.exact(START), StartingLoad.NORMAL, List.of(), List.of(), cleared);
            TaskHistory twice = new TaskHistory(
                    Start.exact(START),
                    StartingLoad.NORMAL,
                    List.of(Serviced.unseen(START.plusDays(4)), Serviced.unseen(START.plusDays(8))),
                    List.of(),
                    cleared);

            assertThat(Forecaster.forecast(rule, new Learned(), once, START.plusDays(1))
                            .window())
                    .isEqualTo(window(1, 3, 7));
            assertThat(Forecaster.forecast(rule, new Learned(), twice, START.plusDays(9))
                            .window())
                    .isEqualTo(window(8 + 21, 8 + 28, 8 + 38));
        }

        /** y = ln 17.5, R = 0.04 + (3.5 ÷ 21)² = 0.0678, g = 0.787: m = 2.9625, v = 0.0533; e^m = 19.3, latest 22.2. */
        @Test
        void learns_from_the_run_before() {
            TaskHistory history = new TaskHistory(
                    Start.exact(START),
                    StartingLoad.NORMAL,
                    List.of(Serviced.unseen(START.plusDays(22))),
                    List.of(),
                    seen(look(21, Sign.TINT_BACK, 0)));

            Window window = Forecaster.forecast(rule, new Learned(), history, START.plusDays(23))
                    .window();

            assertThat(window.ideal()).isEqualTo(START.plusDays(22 + 19));
            assertThat(window.latest()).isEqualTo(START.plusDays(22 + 22));
        }

        /** Not back at 35 days: α = 0.4463, hazard 1.1019: m = 3.8832, e^m = 48.6. */
        @Test
        void that_still_shows_no_tint_lasts_longer() {
            Forecast forecast =
                    forecast(rule, seen(look(28, Sign.NO_TINT, 0), look(35, Sign.NO_TINT, 0)), START.plusDays(36));

            assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(49));
            assertThat(forecast.reasons().get(0))
                    .isEqualTo("No tint yet after 35 days, so it lasts at least that long.");
        }

        @Test
        void never_lasts_beyond_the_eight_weeks_of_a_clean_path() {
            Forecast forecast = forecast(rule, seen(look(69, Sign.NO_TINT, 0)), START.plusDays(69));

            assertThat(forecast.window().latest()).isEqualTo(START.plusDays(56));
        }
    }

    @Nested
    class Resin {
        private final CareRule rule = rule(StageKind.RESIN, CareAction.REGENERATE);

        @Test
        void starts_at_two_months() {
            assertThat(forecast(rule, Evidence.NONE, START).window()).isEqualTo(window(45, 60, 80));
        }

        /** y = ln 50, g = 0.25 ÷ 0.29: e^m = 53.3 days to full colour, regenerated at 0.75 of it. */
        @Test
        void follows_its_colour() {
            Forecast forecast = forecast(rule, seen(look(25, Sign.COLOURED, 50)), START.plusDays(25));

            assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(40));
            assertThat(forecast.reasons().get(0)).isEqualTo("50 % coloured after 25 days.");
            assertThat(forecast.basis()).isEqualTo(Forecast.Basis.LEARNED);
        }
    }

    @Nested
    class A_roll {
        private final CareRule rule = rule(StageKind.FLEECE_ROLL, CareAction.REPLACE);

        /** 4 of 10 m in 20 days: 0.2 m a day, a tenth left after 45, empty after 50. */
        @Test
        void goes_by_its_metres() {
            Evidence evidence = new Evidence(roll(10), List.of(look(20, Sign.LEFT, 6)), List.of());

            Forecast forecast = forecast(rule, evidence, START.plusDays(20));

            assertThat(forecast.window()).isEqualTo(window(34, 45, 50));
            assertThat(forecast.reasons()).containsExactly("6.0 of 10.0 m left on 21 January, 0.20 m a day.");
        }

        @Test
        void that_did_not_move_or_was_misread_is_not_due_before_its_time() {
            Evidence evidence = new Evidence(roll(10), List.of(look(20, Sign.LEFT, 10.2)), List.of());

            assertThat(forecast(rule, evidence, START.plusDays(20)).window().ideal())
                    .isEqualTo(START.plusDays(180));
        }

        @Test
        void whose_length_nobody_knows_says_so() {
            assertThat(forecast(rule, seen(look(20, Sign.LEFT, 6)), START.plusDays(20))
                            .reasons()
                            .get(0))
                    .startsWith("We don’t know how long a new roll is");
        }

        private static Endurance roll(double metres) {
            return new Endurance(
                    OptionalDouble.empty(),
                    OptionalDouble.empty(),
                    OptionalInt.empty(),
                    OptionalDouble.of(metres),
                    OptionalInt.empty());
        }
    }

    @Nested
    class A_washable_pad {
        private final CareRule rule = rule(StageKind.FINE_PAD, CareAction.REPLACE);

        /** 4 rinses in 60 days: one in 15, ten of them in 150. */
        @Test
        void bears_ten_rinses_at_its_own_pace() {
            Evidence rinsed = new Evidence(
                    Endurance.UNKNOWN,
                    List.of(),
                    IntStream.of(15, 30, 45, 60).mapToObj(START::plusDays).toList());

            Forecast forecast = forecast(rule, rinsed, START.plusDays(61));

            assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(150));
            assertThat(forecast.reasons()).containsExactly("Rinsed 4 of 10 times, about every 15 days.");
        }
    }

    @Nested
    class A_part_by_age {
        private final CareRule rule = rule(StageKind.IMPELLER, CareAction.REPLACE);

        @Test
        void found_worn_is_due_whatever_its_age_until_it_is_found_sound_or_looked_after() {
            LocalDate today = START.plusDays(60);
            Evidence worn = seen(look(50, Sign.WORN, 0));
            Evidence mistaken = seen(look(50, Sign.WORN, 0), look(51, Sign.SOUND, 0));

            assertThat(forecast(rule, worn, today).window()).isEqualTo(window(50, 50, 50));
            assertThat(forecast(rule, worn, today).reasons())
                    .containsExactly("Found worn out on 20 February: replace it.");
            assertThat(forecast(rule, mistaken, today).window().ideal()).isEqualTo(START.plusDays(1095));
        }

        @Test
        void a_look_that_finds_it_worn_asks_for_a_new_one_and_not_for_another_look() {
            Evidence worn = seen(look(50, Sign.WORN, 0));
            CareRule look = rule(StageKind.IMPELLER, CareAction.INSPECT);

            assertThat(forecast(look, worn, START.plusDays(60)).window().ideal())
                    .isEqualTo(START.plusDays(365));
        }

        @Test
        void found_worn_does_not_wait_for_an_opening() {
            Forecast worn = forecast(rule, seen(look(50, Sign.WORN, 0)), START.plusDays(60));
            Forecast opening = new Forecast(
                    START, window(60, 80, 96), Forecast.Basis.START, java.util.Optional.empty(), List.of());

            assertThat(Forecaster.waitingForOpening(730, worn, opening)).isEqualTo(worn);
        }
    }

    @Test
    void an_amount_must_fit_its_sign() {
        assertThatThrownBy(() -> look(1, Sign.COLOURED, 101)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> look(1, Sign.LEFT, -0.1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> look(1, Sign.DARK, 1)).isInstanceOf(IllegalArgumentException.class);
        assertThatThrownBy(() -> look(1, Sign.LEFT, Double.NaN)).isInstanceOf(IllegalArgumentException.class);
    }

    private static Forecast forecast(CareRule rule, Evidence evidence, LocalDate today) {
        TaskHistory history = new TaskHistory(Start.exact(START), StartingLoad.NORMAL, List.of(), List.of(), evidence);
        return Forecaster.forecast(rule, new Learned(), history, today);
    }

    private static Evidence seen(Look... looks) {
        return new Evidence(Endurance.UNKNOWN, Arrays.asList(looks), List.of());
    }

    private static Look look(int day, Sign sign, double amount) {
        return new Look(START.plusDays(day), sign, amount);
    }

    private static Window window(int earliest, int ideal, int latest) {
        return new Window(START.plusDays(earliest), START.plusDays(ideal), START.plusDays(latest));
    }

    private static CareRule rule(StageKind kind, CareAction action) {
        return CareCatalogue.find(Stage.washable(kind), action, Schools.DEFAULT).orElseThrow();
    }
}
