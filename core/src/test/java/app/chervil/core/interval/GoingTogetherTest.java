package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.TaskSetting.Learned;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Nested;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.EnumSource;

/** Forecasts that follow another's, and what a look at a part can tell. Days are counted from the first of January. */
class GoingTogetherTest {
    private static final LocalDate DAY = LocalDate.of(2026, 1, 1);
    private static final Loading LOADING = new Loading(0.2, 0.4, 0.8, 0.7);

    @Test
    void what_is_done_at_every_opening_takes_its_window_and_keeps_its_own_loading() {
        Forecast own = forecast(5, 10, 15, 20);
        Forecast opening = forecast(0, 60, 70, 80);

        Forecast together = Forecaster.withOpening(own, opening, "Open canister Weir");

        assertThat(together)
                .isEqualTo(new Forecast(
                        own.since(),
                        opening.window(),
                        Basis.WITH_OPENING,
                        own.loading(),
                        List.of("Goes with: open canister Weir.")));
    }

    @Nested
    class A_part_that_waits_for_an_opening {
        /** Its own window is day 60 to 100, its cap 120 days of age, and it is 0 on day 0. */
        @ParameterizedTest
        @CsvSource({"90, 90", "60, 60", "40, 60", "120, 120", "150, 120"})
        void is_looked_after_with_it_neither_too_soon_nor_past_its_cap(int opening, int ideal) {
            Forecast waiting =
                    Forecaster.waitingForOpening(120, forecast(0, 60, 80, 100), forecast(0, 10, opening, 200));

            assertThat(waiting.window()).isEqualTo(window(60, ideal, 120));
            assertThat(waiting.basis()).isEqualTo(Basis.AGE);
            assertThat(waiting.reasons())
                    .containsExactly("Looked after when the canister is opened, by 120 days of age at the latest.");
        }

        @Test
        void is_due_at_its_cap_where_its_own_window_lies_beyond() {
            assertThat(Forecaster.waitingForOpening(50, forecast(0, 60, 80, 100), forecast(0, 10, 20, 30))
                            .window())
                    .isEqualTo(window(50, 50, 50));
        }

        @Test
        void waits_for_nothing_once_it_is_worn_out() {
            Forecast worn = forecast(0, 30, 30, 30);

            assertThat(Forecaster.waitingForOpening(120, worn, forecast(0, 10, 90, 200)))
                    .isEqualTo(worn);
        }
    }

    @Test
    void lamps_behind_one_sleeve_are_replaced_with_the_first_and_say_so() {
        Forecast first = forecast(0, 10, 20, 30);
        Forecast later = forecast(5, 40, 50, 60);

        assertThat(Forecaster.together(first, first, "lamps")).isSameAs(first);
        assertThat(Forecaster.together(later, first, "lamps"))
                .isEqualTo(new Forecast(
                        later.since(),
                        first.window(),
                        Basis.AGE,
                        later.loading(),
                        List.of("Replaced together with the other lamps: By age.")));
    }

    @Test
    void days_are_told_only_where_they_are_an_interval() {
        assertThat(forecast(0, 10, 20, 30).toldDays()).hasValue(20);
        assertThat(forecast(0, 0, 1, 2).toldDays()).hasValue(1);
        assertThat(forecast(20, 20, 20, 20).toldDays()).isEmpty();
        assertThat(new Forecast(DAY, window(10, 20, 30), Basis.TAKEN_ON, Optional.of(LOADING), List.of("Taken on."))
                        .toldDays())
                .isEmpty();
    }

    @Test
    void foam_that_crumbles_says_so_before_all_else_and_is_rinsed_when_it_would_be() {
        CareRule rinse = CareCatalogue.find(Stage.washable(StageKind.COARSE_FOAM), CareAction.RINSE, Schools.DEFAULT)
                .orElseThrow();
        Evidence crumbles =
                new Evidence(Endurance.UNKNOWN, List.of(new Look(DAY.plusDays(9), Sign.WORN, 0)), List.of());

        Forecast worn = Forecaster.forecast(rinse, new Learned(), history(crumbles), DAY.plusDays(10));
        Forecast sound = Forecaster.forecast(rinse, new Learned(), history(Evidence.NONE), DAY.plusDays(10));

        assertThat(worn.reasons().get(0))
                .isEqualTo("Found to crumble on 10 January: replace part of it, a share at a time.");
        assertThat(worn.reasons().subList(1, worn.reasons().size())).isEqualTo(sound.reasons());
        assertThat(worn.window()).isEqualTo(sound.window());
    }

    @Nested
    class A_look {
        @ParameterizedTest
        @CsvSource({
            "COARSE_FOAM,      'Springs back, whole',        'No longer springs back, or crumbles'",
            "SPONGE,           'Springs back, whole',        'No longer springs back, or crumbles'",
            "SEALS,            Round and supple,             Flat or cracked",
            "IMPELLER,         'Runs true, shaft smooth',    'Worn shaft, bushing or blades'",
            "BIO_MEDIA,        Holds its shape,              Crumbles or no longer holds water"
        })
        void says_of_each_part_what_sound_and_worn_look_like(StageKind kind, String sound, String worn) {
            assertThat(Sign.SOUND.wordsFor(kind)).isEqualTo(sound);
            assertThat(Sign.WORN.wordsFor(kind)).isEqualTo(worn);
        }

        @Test
        void at_a_lamp_or_a_bag_reads_the_same_on_every_part() {
            assertThat(Sign.DARK.wordsFor(StageKind.UV_LAMP)).isEqualTo("The lamp is dark");
            assertThat(Sign.COLOURED.wordsFor(StageKind.RESIN)).isEqualTo("Coloured share of the bag");
        }

        @Test
        void is_asked_for_where_it_bears_on_the_task() {
            assertThat(Sign.of(StageKind.IMPELLER, CareAction.REPLACE)).containsExactly(Sign.SOUND, Sign.WORN);
            assertThat(Sign.of(StageKind.IMPELLER, CareAction.CLEAN)).isEmpty();
            assertThat(Sign.of(StageKind.FINE_PAD, CareAction.RINSE)).isEmpty();
            assertThat(Sign.of(StageKind.FINE_PAD, CareAction.REPLACE)).containsExactly(Sign.SOUND, Sign.WORN);
            assertThat(Sign.of(StageKind.FLEECE_ROLL, CareAction.CHANGE)).containsExactly(Sign.LEFT);
            assertThat(Sign.of(StageKind.SOCK, CareAction.CHANGE)).isEmpty();
        }

        @ParameterizedTest
        @EnumSource
        void has_words_of_its_own_on_every_part_it_is_asked_of(StageKind kind) {
            for (CareAction action : CareAction.values()) {
                List<Sign> signs = Sign.of(kind, action);

                assertThat(signs.stream().map(sign -> sign.wordsFor(kind)))
                        .doesNotHaveDuplicates()
                        .allMatch(words -> !words.isBlank());
            }
        }
    }

    private static TaskHistory history(Evidence evidence) {
        return new TaskHistory(Start.exact(DAY), StartingLoad.NORMAL, List.of(), List.of(), evidence);
    }

    private static Forecast forecast(int since, int earliest, int ideal, int latest) {
        return new Forecast(
                DAY.plusDays(since),
                window(earliest, ideal, latest),
                Basis.AGE,
                Optional.of(LOADING),
                List.of("By age."));
    }

    private static Window window(int earliest, int ideal, int latest) {
        return new Window(DAY.plusDays(earliest), DAY.plusDays(ideal), DAY.plusDays(latest));
    }
}
