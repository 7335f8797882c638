package app.chervil.core.interval;

import static app.chervil.core.interval.PartHistory.START;
import static app.chervil.core.interval.PartHistory.forecast;
import static app.chervil.core.interval.PartHistory.look;
import static app.chervil.core.interval.PartHistory.rule;
import static app.chervil.core.interval.PartHistory.seen;
import static app.chervil.core.interval.PartHistory.window;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Learning.ByAge;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.TaskSetting.Learned;
import java.time.LocalDate;
import java.util.List;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Parts that are not graded. Expected numbers are worked out by hand from docs/sources.md#other-lives. */
class PartLivesTest {
    @Nested
    class A_roll {
        private final CareRule rule = rule(StageKind.FLEECE_ROLL, CareAction.REPLACE);

        /** 4 of 10 m in 20 days: 0.2 m a day, a tenth left after 45, empty after 50. */
        @Test
        void goes_by_its_metres() {
            Evidence evidence = new Evidence(roll(10), List.of(look(20, Sign.LEFT, 6)), List.of());

            Forecast forecast = forecast(rule, evidence, START.plusDays(20));

            assertThat(forecast.window()).isEqualTo(window(34, 45, 50));
            assertThat(forecast.reasons())
                    .containsExactly("60 % of it was left on 21 January; at its pace a whole one lasts about 50 days.");
        }

        @Test
        void that_did_not_move_or_was_misread_is_not_due_before_its_time() {
            Evidence evidence = new Evidence(roll(10), List.of(look(20, Sign.LEFT, 10.2)), List.of());

            assertThat(forecast(rule, evidence, START.plusDays(20)).window().ideal())
                    .isEqualTo(START.plusDays(180));
        }

        @Test
        void nobody_checked_is_counted_as_its_usual_days() {
            Evidence unlooked = new Evidence(roll(10), List.of(look(5, Sign.DARK, 0)), List.of());

            Forecast forecast = forecast(rule, unlooked, START.plusDays(20));

            assertThat(forecast.window()).isEqualTo(window(23, 30, 36));
            assertThat(forecast.reasons()).containsExactly("Nobody has checked how much is left; counted as 30 days.");
        }

        @Test
        void is_judged_by_its_last_look_and_no_other_sign() {
            Evidence evidence = new Evidence(
                    roll(10),
                    List.of(look(10, Sign.LEFT, 2), look(20, Sign.LEFT, 6), look(21, Sign.SOUND, 0)),
                    List.of());

            assertThat(forecast(rule, evidence, START.plusDays(22)).window()).isEqualTo(window(34, 45, 50));
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

        @Test
        void that_was_never_rinsed_says_what_it_bears() {
            Forecast forecast = forecast(rule, Evidence.NONE, START.plusDays(61));

            assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(rule.startDays()));
            assertThat(forecast.reasons()).containsExactly("Not rinsed yet; it bears about 10 rinses.");
        }

        /** Its second rinse is the last it bears; the first, before it was put in, was another's. */
        @Test
        void that_bears_less_says_so_on_its_label() {
            Evidence twice = new Evidence(
                    new Endurance(
                            OptionalDouble.empty(),
                            OptionalDouble.empty(),
                            OptionalInt.empty(),
                            OptionalDouble.empty(),
                            OptionalInt.of(2)),
                    List.of(),
                    IntStream.of(-5, 40, 80).mapToObj(START::plusDays).toList());

            Forecast forecast = forecast(rule, twice, START.plusDays(81));

            assertThat(forecast.window().ideal()).isEqualTo(START.plusDays(80));
            assertThat(forecast.reasons()).containsExactly("Rinsed 2 of 2 times, about every 40 days.");
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
        void that_was_replaced_on_the_day_it_was_found_worn_is_new() {
            CareRule rinse = rule(StageKind.COARSE_FOAM, CareAction.RINSE);
            TaskHistory renewed = new TaskHistory(
                    Start.exact(START),
                    StartingLoad.NORMAL,
                    List.of(),
                    List.of(START.plusDays(50)),
                    List.of(),
                    Pauses.NONE,
                    seen(look(50, Sign.WORN, 0)));

            assertThat(Forecaster.forecast(rinse, new Learned(), renewed, START.plusDays(51))
                            .reasons())
                    .noneMatch(reason -> reason.startsWith("Found to crumble"));
            assertThat(forecast(rinse, seen(look(0, Sign.WORN, 0)), START.plusDays(1))
                            .reasons()
                            .get(0))
                    .startsWith("Found to crumble on 1 January");
        }

        @Test
        void of_which_nobody_knows_the_age_says_from_when_it_is_counted() {
            TaskHistory unknown = new TaskHistory(Start.unknown(START), StartingLoad.NORMAL, List.of(), List.of());

            assertThat(Forecaster.forecast(rule, new Learned(), unknown, START)
                            .reasons()
                            .get(0))
                    .startsWith("By age, every 1095 days: ")
                    .endsWith(" Age unknown: counted from the day it was entered.");
            assertThat(forecast(rule, Evidence.NONE, START).reasons().get(0)).doesNotContain("Age unknown");
        }

        @Test
        void has_a_window_around_its_days() {
            CareRule aged = rule(StageKind.SEALS, CareAction.INSPECT);
            ByAge age = (ByAge) aged.learning();

            Window window = forecast(aged, Evidence.NONE, START).window();

            assertThat(window)
                    .isEqualTo(window((int) Math.round(age.earliest() * aged.startDays()), aged.startDays(), (int)
                            Math.round(Math.min(age.latest() * aged.startDays(), age.ceilingDays()))));
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
}
