package app.chervil.core.interval;

import static app.chervil.core.interval.PartHistory.START;
import static app.chervil.core.interval.PartHistory.forecast;
import static app.chervil.core.interval.PartHistory.look;
import static app.chervil.core.interval.PartHistory.rule;
import static app.chervil.core.interval.PartHistory.seen;
import static app.chervil.core.interval.PartHistory.window;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.TaskSetting.Learned;
import java.util.List;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;

/** Carbon and resin. Expected numbers are worked out by hand from docs/sources.md#other-lives. */
class SpentMediaTest {
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

        /** Not back at 20 of 25 days: e^m = 34.6, v = 0.1336: 27.8 and 43.1 days from the change on. */
        @Test
        void learns_also_from_a_run_that_it_outlasted() {
            TaskHistory history = new TaskHistory(
                    Start.exact(START),
                    StartingLoad.NORMAL,
                    List.of(Serviced.unseen(START.plusDays(25))),
                    List.of(),
                    seen(look(10, Sign.NO_TINT, 0), look(20, Sign.NO_TINT, 0), look(24, Sign.COLOURED, 0)));

            Forecast forecast = Forecaster.forecast(rule, new Learned(), history, START.plusDays(26));

            assertThat(forecast.window()).isEqualTo(window(25 + 28, 25 + 35, 25 + 43));
            assertThat(forecast.basis()).isEqualTo(Forecast.Basis.LEARNED);
        }

        @Test
        void nobody_looked_at_rests_on_its_start() {
            assertThat(forecast(rule, Evidence.NONE, START).basis()).isEqualTo(Forecast.Basis.START);
            assertThat(forecast(rule, seen(look(3, Sign.NO_TINT, 0)), START.plusDays(3))
                            .basis())
                    .isEqualTo(Forecast.Basis.LEARNED);
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
            assertThat(forecast.reasons())
                    .containsExactly(
                            "50 % coloured after 25 days.",
                            "Regenerated at three quarters coloured, thought to come after about 40 days."
                                    + " Not regenerated yet.");
            assertThat(forecast.basis()).isEqualTo(Forecast.Basis.LEARNED);
        }

        /** A run at 50 % after 25 days, then one at 25 % after 10: e^m = 53.3, then 46.7 days to full colour. */
        @Test
        void learns_from_every_run_and_counts_them() {
            List<Look> looks =
                    List.of(look(20, Sign.NO_TINT, 0), look(25, Sign.COLOURED, 50), look(40, Sign.COLOURED, 25));
            Forecast second = resin(looks, 30);
            Forecast third = resin(looks, 30, 45);

            assertThat(second.window().ideal()).isEqualTo(START.plusDays(30 + 35));
            assertThat(second.reasons().get(1)).endsWith("about 35 days. Regenerated once so far.");
            assertThat(third.window().ideal()).isEqualTo(START.plusDays(45 + 35));
            assertThat(third.reasons()).singleElement().asString().endsWith("Regenerated 2 times so far.");
        }

        @Test
        void without_any_colour_tells_nothing_of_its_pace() {
            assertThat(forecast(rule, seen(look(25, Sign.COLOURED, 0)), START.plusDays(25))
                            .window())
                    .isEqualTo(window(45, 60, 80));
        }

        private Forecast resin(List<Look> looks, int... regenerated) {
            TaskHistory history = new TaskHistory(
                    Start.exact(START),
                    StartingLoad.NORMAL,
                    IntStream.of(regenerated)
                            .mapToObj(day -> Serviced.unseen(START.plusDays(day)))
                            .toList(),
                    List.of(),
                    seen(looks.toArray(Look[]::new)));
            return Forecaster.forecast(
                    rule, new Learned(), history, START.plusDays(regenerated[regenerated.length - 1] + 14L));
        }
    }
}
