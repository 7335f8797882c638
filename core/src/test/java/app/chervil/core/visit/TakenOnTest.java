package app.chervil.core.visit;

import static app.chervil.core.visit.Logs.DAY;
import static app.chervil.core.visit.Logs.FOAM;
import static app.chervil.core.visit.Logs.FOAM_NEW;
import static app.chervil.core.visit.Logs.OPENING;
import static app.chervil.core.visit.Logs.PREFILTER;
import static app.chervil.core.visit.Logs.book;
import static app.chervil.core.visit.Logs.canister;
import static app.chervil.core.visit.Logs.canisterTasks;
import static app.chervil.core.visit.Logs.forecast;
import static app.chervil.core.visit.Logs.opened;
import static app.chervil.core.visit.Logs.prefilter;
import static app.chervil.core.visit.Logs.service;
import static app.chervil.core.visit.Logs.stage;
import static app.chervil.core.visit.Logs.window;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.TaskSetting;
import app.chervil.core.interval.Window;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** Filters that were neglected, or of which nobody knows when they were last cleaned, and the weeks in which they are taken on. */
class TakenOnTest {
    @Test
    void a_filter_neglected_for_years_is_looked_at_first_and_then_taken_on_over_weeks() {
        LocalDate adopted = DAY.plusYears(4);
        Map<Long, Forecast> before = canister(Start.about(DAY, 0.3)).forecasts(adopted);

        assertThat(before.values())
                .allSatisfy(one ->
                        assertThat(one.window().latest().isBefore(adopted)).isFalse());
        assertThat(window(before, PREFILTER).ideal()).isEqualTo(adopted);
        assertThat(window(before, OPENING).earliest()).isEqualTo(adopted.plusDays(7));
        assertThat(window(before, FOAM).earliest()).isEqualTo(adopted.plusDays(7));
        assertThat(window(before, FOAM_NEW).earliest()).isEqualTo(adopted.plusDays(28));
    }

    @Test
    void hoses_are_not_uncoupled_at_the_first_look() {
        LocalDate adopted = DAY.plusYears(4);
        Start start = Start.about(DAY, 0.3);
        FilterBook book = book(
                List.of(
                        stage(FOAM, FOAM, StageKind.HOSES, CareAction.BRUSH, start, Optional.empty()),
                        prefilter(start, Optional.empty())),
                List.of(),
                FilterKind.CANISTER);

        assertThat(window(book.forecasts(adopted), FOAM).earliest()).isEqualTo(adopted.plusDays(7));
        assertThat(window(book.forecasts(adopted), PREFILTER).earliest()).isEqualTo(adopted);
    }

    @Test
    void the_weeks_count_from_the_first_service_and_from_the_opening() {
        LocalDate adopted = DAY.plusYears(4);
        int first = (int) ChronoUnit.DAYS.between(DAY, adopted);
        LoggedService looked = service(first, Map.of(PREFILTER, Optional.of(Finding.HEAVY)));
        FilterBook once = canister(Start.about(DAY, 0.3), looked);

        assertThat(window(once.forecasts(adopted.plusDays(5)), OPENING))
                .isEqualTo(window(once.forecasts(adopted.plusDays(2)), OPENING));
        assertThat(window(once.forecasts(adopted.plusDays(5)), OPENING).earliest())
                .isEqualTo(adopted.plusDays(7));

        FilterBook opened = canister(Start.about(DAY, 0.3), looked, opened(first + 9, Finding.HEAVY));
        Map<Long, Forecast> after = opened.forecasts(adopted.plusDays(10));
        assertThat(window(after, FOAM_NEW).earliest()).isEqualTo(adopted.plusDays(9 + 21));
        assertThat(window(after, OPENING).earliest()).isAfter(adopted.plusDays(10));
    }

    @Test
    void what_is_a_little_late_or_was_logged_before_is_late_and_not_neglected() {
        FilterBook served = canister(Start.exact(DAY), opened(75, Finding.MODERATE));
        LocalDate late = forecast(served, OPENING).window().latest();

        assertThat(window(served.forecasts(late.plusDays(300)), OPENING))
                .isEqualTo(window(served.forecasts(late), OPENING));

        FilterBook never = canister(Start.exact(DAY));
        LocalDate due = window(never.forecasts(DAY), OPENING).latest();
        assertThat(window(never.forecasts(due.plusDays(60)), OPENING).latest()).isEqualTo(due);
        assertThat(window(never.forecasts(due.plusDays(61)), OPENING).earliest())
                .isEqualTo(due.plusDays(61 + 7));
    }

    @Test
    void of_an_unknown_age_it_is_looked_at_first_although_nothing_is_late() {
        Map<Long, Forecast> entered = canister(Start.unknown(DAY)).forecasts(DAY);

        assertThat(window(entered, PREFILTER)).isEqualTo(new Window(DAY, DAY, DAY));
        assertThat(window(entered, OPENING).earliest()).isEqualTo(DAY.plusDays(7));
        assertThat(window(entered, OPENING).latest()).isEqualTo(DAY.plusDays(14));
        assertThat(forecastOf(entered, OPENING).basis()).isEqualTo(Forecast.Basis.TAKEN_ON);
        assertThat(forecastOf(entered, FOAM).basis()).isEqualTo(Forecast.Basis.TAKEN_ON);
        assertThat(forecastOf(entered, PREFILTER).reasons())
                .containsExactly("Nobody knows when it was last cleaned. Begin with this; what disturbs its bacteria"
                        + " follows, a week or more apart.");
        assertThat(forecastOf(entered, OPENING).reasons())
                .containsExactly(
                        "Nobody knows when it was last cleaned, so it is taken on over weeks, to spare its bacteria.");
    }

    @Test
    void a_part_of_unknown_age_is_not_replaced_for_that_alone() {
        Map<Long, Forecast> entered = canister(Start.unknown(DAY)).forecasts(DAY);

        assertThat(window(entered, FOAM_NEW).earliest()).isAfter(DAY.plusDays(300));
    }

    @Test
    void once_it_was_opened_what_was_found_decides() {
        FilterBook opened = canister(Start.unknown(DAY), opened(8, Finding.MODERATE));

        assertThat(window(opened.forecasts(DAY.plusDays(8)), OPENING).earliest())
                .isAfter(DAY.plusDays(8 + 30));
        assertThat(forecastOf(opened.forecasts(DAY.plusDays(8)), OPENING).reasons())
                .noneMatch(reason -> reason.startsWith("Nobody knows when it was last cleaned,"));
    }

    @Test
    void without_anything_to_look_at_from_outside_the_opening_waits_for_nothing() {
        FilterBook bare = book(
                List.of(stage(
                        FOAM, FOAM, StageKind.COARSE_FOAM, CareAction.RINSE, Start.unknown(DAY), Optional.empty())),
                List.of(),
                FilterKind.CANISTER);

        assertThat(window(bare.forecasts(DAY), FOAM)).isEqualTo(new Window(DAY, DAY, DAY));
        assertThat(window(bare.forecasts(DAY.plusDays(40)), FOAM).ideal()).isEqualTo(DAY.plusDays(40));
    }

    @Test
    void what_the_plan_let_pass_is_due_now_and_never_late() {
        LocalDate adopted = DAY.plusYears(3);
        int day = (int) ChronoUnit.DAYS.between(DAY, adopted);
        FilterBook openedLongAgo = canister(Start.about(DAY, 0.3), opened(day - 120, Finding.MODERATE));

        Map<Long, Forecast> now = openedLongAgo.forecasts(adopted);

        assertThat(window(now, PREFILTER)).isEqualTo(new Window(adopted, adopted, adopted));
        assertThat(forecastOf(now, PREFILTER).reasons())
                .containsExactly("It was neglected for a long time, so it is due now.");
        assertThat(window(now, FOAM_NEW)).isEqualTo(new Window(adopted, adopted, adopted));
    }

    @Test
    void what_is_deep_inside_waits_for_the_opening_although_that_was_let_pass() {
        LocalDate adopted = DAY.plusYears(3);
        int day = (int) ChronoUnit.DAYS.between(DAY, adopted);
        FilterBook onlyLookedAt =
                canister(Start.about(DAY, 0.3), service(day - 120, Map.of(PREFILTER, Optional.of(Finding.HEAVY))));

        Map<Long, Forecast> now = onlyLookedAt.forecasts(adopted);

        assertThat(window(now, OPENING)).isEqualTo(new Window(adopted, adopted, adopted));
        assertThat(window(now, FOAM_NEW).earliest()).isEqualTo(adopted.plusDays(21));
    }

    @Test
    void where_nothing_disturbs_it_is_due_now_and_nothing_follows() {
        FilterBook outside =
                book(List.of(prefilter(Start.about(DAY, 0.3), Optional.empty())), List.of(), FilterKind.UV_UNIT);

        assertThat(forecastOf(outside.forecasts(DAY.plusYears(3)), PREFILTER).reasons())
                .containsExactly("It was neglected for a long time, so it is due now.");
    }

    @Test
    void its_first_dirt_teaches_nothing_and_is_not_taken_for_a_gap_in_the_log() {
        LocalDate adopted = DAY.plusYears(3);
        int day = (int) ChronoUnit.DAYS.between(DAY, adopted);
        FilterBook served =
                canister(Start.about(DAY, 0.3), service(day, Map.of(PREFILTER, Optional.of(Finding.CLOGGED))));

        assertThat(forecastOf(served.forecasts(adopted), PREFILTER).reasons())
                .contains("After 1096 days without care its dirt says nothing of how fast it fills.");
    }

    @Test
    void an_interval_that_the_keeper_fixed_is_left_alone() {
        BookedTask fixed = new BookedTask(
                PREFILTER,
                prefilter(Start.unknown(DAY), Optional.empty()).stage(),
                Start.unknown(DAY),
                prefilter(Start.unknown(DAY), Optional.empty()).rule(),
                new TaskSetting.Fixed(30, TaskSetting.By.KEEPER));
        FilterBook book = book(List.of(fixed), List.of(), FilterKind.CANISTER);

        assertThat(window(book.forecasts(DAY), PREFILTER).ideal()).isEqualTo(DAY.plusDays(30));
    }

    @Test
    void a_makers_calendar_that_nobody_kept_waits_as_the_rest_does() {
        LocalDate adopted = DAY.plusYears(3);
        List<BookedTask> tasks = canisterTasks(Start.about(DAY, 0.3)).stream()
                .map(task -> task.isOpening()
                        ? new BookedTask(
                                task.id(),
                                task.stage(),
                                task.countFrom(),
                                task.rule(),
                                new TaskSetting.Fixed(30, TaskSetting.By.MAKERS_CALENDAR))
                        : task)
                .toList();

        assertThat(window(book(tasks, List.of(), FilterKind.CANISTER).forecasts(adopted), OPENING)
                        .earliest())
                .isEqualTo(adopted.plusDays(7));
    }

    private static Forecast forecastOf(Map<Long, Forecast> forecasts, long task) {
        return Objects.requireNonNull(forecasts.get(task));
    }
}
