package app.chervil.core.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.Schools;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import org.junit.jupiter.api.Test;

class StoryTest {
    private static final LocalDate START = LocalDate.of(2026, 1, 1);
    private static final CareRule CANISTER = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
            .orElseThrow();

    @Test
    void a_story_begins_at_the_start_and_has_a_chapter_for_each_event_in_order() {
        List<Story.Chapter> story = Story.of(
                CANISTER,
                history(
                        List.of(
                                Serviced.found(START.plusDays(160), Finding.LIGHT),
                                Serviced.found(START.plusDays(75), Finding.MODERATE)),
                        List.of(new ContextChange(START.plusDays(100), ContextChange.Kind.PREFILTER, 1))));

        assertThat(story)
                .extracting(Story.Chapter::on)
                .containsExactly(START, START.plusDays(75), START.plusDays(100), START.plusDays(160));
        assertThat(story).extracting(Story.Chapter::findings).containsExactly(0, 1, 1, 2);
        assertThat(story.get(2).change()).isPresent();
        assertThat(story.get(3).service()).map(Serviced::finding).contains(java.util.Optional.of(Finding.LIGHT));
    }

    /** 72 days at the start, 83 after a moderate at 75: the interval engine's vectors. */
    @Test
    void each_chapter_holds_the_window_as_it_was_believed_then() {
        List<Story.Chapter> story =
                Story.of(CANISTER, history(List.of(Serviced.found(START.plusDays(75), Finding.MODERATE)), List.of()));

        assertThat(ideal(START, story.get(0))).isEqualTo(72);
        assertThat(ideal(START.plusDays(75), story.get(1))).isEqualTo(83);
        assertThat(story.get(1).reasons().get(0)).isEqualTo("Moderate after 75 days, about as expected.");
    }

    /** θ ~ N(5.010635, 0.37): e^m = 150.0, and 80 % between e^(m ± 1.2816 √0.42). */
    @Test
    void the_overload_is_a_band_around_its_middle_and_evidence_narrows_it() {
        List<Story.Chapter> story =
                Story.of(CANISTER, history(List.of(Serviced.found(START.plusDays(75), Finding.MODERATE)), List.of()));

        Overload before = story.get(0).overload();
        Overload after = story.get(1).overload();

        assertThat(before.likely()).isCloseTo(150.0, within(0.01));
        assertThat(before.low()).isCloseTo(150.0 * Math.exp(-1.2816 * Math.sqrt(0.42)), within(0.01));
        assertThat(before.high()).isCloseTo(150.0 * Math.exp(1.2816 * Math.sqrt(0.42)), within(0.01));
        assertThat(after.high() / after.low()).isLessThan(before.high() / before.low());
    }

    @Test
    void the_last_chapter_is_what_the_forecast_says() {
        TaskHistory history = history(
                List.of(Serviced.found(START.plusDays(75), Finding.HEAVY).withFlow(0.7)),
                List.of(new ContextChange(START.plusDays(90), ContextChange.Kind.STOCKING, 1)));

        List<Story.Chapter> story = Story.of(CANISTER, history);

        assertThat(story.get(story.size() - 1).next())
                .isEqualTo(Forecaster.forecast(CANISTER, new TaskSetting.Learned(), history, START.plusDays(95))
                        .window());
    }

    @Test
    void what_goes_by_age_alone_has_no_story() {
        CareRule lamp = CareCatalogue.find(Stage.disposable(StageKind.UV_LAMP), CareAction.REPLACE, Schools.DEFAULT)
                .orElseThrow();

        assertThatThrownBy(() -> Story.of(lamp, history(List.of(), List.of())))
                .isInstanceOf(IllegalArgumentException.class);
    }

    private static long ideal(LocalDate since, Story.Chapter chapter) {
        return ChronoUnit.DAYS.between(since, chapter.next().ideal());
    }

    private static TaskHistory history(List<Serviced> services, List<ContextChange> changes) {
        return new TaskHistory(Start.exact(START), StartingLoad.NORMAL, services, changes);
    }
}
