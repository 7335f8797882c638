package app.chervil.sim.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Serviced;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.interval.Window;
import app.chervil.core.tank.Schools;
import app.chervil.sim.tank.KeptStage.Done;
import app.chervil.sim.truth.Eye;
import java.time.DayOfWeek;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.SplittableRandom;
import java.util.function.BiPredicate;
import org.junit.jupiter.api.Test;

class KeptStageTest {
    private static final CareRule FLOSS = CareCatalogue.find(
                    Stage.disposable(StageKind.FLOSS), CareAction.CHANGE, Schools.DEFAULT)
            .orElseThrow();
    private static final Truth TRUTH = new Truth(20, 0.1, List.of());

    @Test
    void the_same_seed_keeps_the_same_history() {
        LocalDate today = LocalDate.of(2026, 6, 1);

        assertThat(kept(today, 5, (last, window) -> true)).isEqualTo(kept(today, 5, (last, window) -> true));
    }

    @Test
    void services_come_on_working_days_up_to_yesterday_and_are_graded_from_the_truth() {
        LocalDate today = LocalDate.of(2026, 6, 1);

        List<Done<String>> done = kept(today, 5, (last, window) -> true);

        assertThat(done).hasSizeBetween(20, 60).last().extracting(Done::on).isEqualTo(today.minusDays(1));
        assertThat(done.subList(0, done.size() - 1)).allMatch(one -> works(one.on()));
        assertThat(done.stream()
                        .flatMap(one -> one.parts().values().stream())
                        .mapToInt(Finding::grade)
                        .average()
                        .orElseThrow())
                .isCloseTo(2.5, within(0.8));
    }

    @Test
    void whatever_the_day_the_history_ends_as_it_is_wanted() {
        for (int shift = 0; shift < 90; shift++) {
            LocalDate today = LocalDate.of(2026, 1, 10).plusDays(shift * 4L);

            assertThat(window(today, kept(today, shift, (last, window) -> window.ideal()
                                    .equals(today)))
                            .ideal())
                    .isEqualTo(today);
            assertThat(window(today, kept(today, shift, (last, window) -> window.latest()
                                    .equals(today.minusDays(2))))
                            .latest())
                    .isEqualTo(today.minusDays(2));
        }
    }

    @Test
    void an_end_that_few_lives_come_to_is_lived_for() {
        LocalDate today = LocalDate.of(2026, 6, 1);

        for (int seed = 0; seed < 15; seed++) {
            List<Done<String>> done = kept(today, seed, (last, window) -> fortnight(last, window, today));

            assertThat(fortnight(done.get(done.size() - 1).on(), window(today, done), today))
                    .as("seed %d", seed)
                    .isTrue();
        }
    }

    @Test
    void where_nothing_brings_the_wanted_end_about_it_ends_as_it_went() {
        LocalDate today = LocalDate.of(2026, 6, 1);

        assertThat(kept(today, 5, (last, window) -> false).get(0).on())
                .isEqualTo(kept(today, 5, (last, window) -> true).get(0).on());
        assertThat(window(today, kept(today, 5, (last, window) -> false)).ideal())
                .isBetween(today, today.plusDays(20));
    }

    @Test
    void a_fixed_interval_is_kept_whatever_is_found() {
        LocalDate today = LocalDate.of(2026, 6, 1);
        KeptStage<String> stage = new KeptStage<>(
                plan(today, OptionalInt.of(30)), Map.of("floss", TRUTH), new Eye(0, 0, 0), new SplittableRandom(1));

        List<Done<String>> done = stage.keep((last, window) -> window.ideal().isAfter(today.plusDays(3)), 0.3);

        assertThat(done).hasSizeBetween(12, 20);
    }

    @Test
    void a_step_in_the_rate_changes_how_fast_it_fills() {
        LocalDate day = LocalDate.of(2026, 6, 1);
        Truth slower = new Truth(20, 0, List.of(new Truth.Step(day.plusDays(10), 0.5)));

        assertThat(slower.loading(day, day.plusDays(10))).isCloseTo(0.5, within(1e-9));
        assertThat(slower.loading(day, day.plusDays(20))).isCloseTo(0.75, within(1e-9));
    }

    /** Nothing for some days, and two weeks from one service to the next. */
    private static boolean fortnight(LocalDate last, Window window, LocalDate today) {
        return window.ideal().isAfter(today.plusDays(3)) && Truth.days(last, window.ideal()) == 14;
    }

    private static List<Done<String>> kept(LocalDate today, long seed, BiPredicate<LocalDate, Window> ending) {
        return new KeptStage<>(
                        plan(today, OptionalInt.empty()),
                        Map.of("floss", TRUTH),
                        new Eye(0.05, 0, 0.05),
                        new SplittableRandom(seed))
                .keep(ending, 0);
    }

    private static KeptStage.Plan plan(LocalDate today, OptionalInt fixed) {
        return new KeptStage.Plan(
                FLOSS,
                today.minusDays(540),
                today,
                Optional.empty(),
                StartingLoad.NORMAL,
                List.of(),
                served -> fixed,
                0,
                KeptStageTest::works);
    }

    private static boolean works(LocalDate day) {
        return day.getDayOfWeek() != DayOfWeek.SUNDAY && day.getDayOfWeek() != DayOfWeek.TUESDAY;
    }

    private static Window window(LocalDate today, List<Done<String>> done) {
        Course course = Course.begin(FLOSS, today.minusDays(540), StartingLoad.NORMAL);
        done.forEach(one -> course.serve(Serviced.found(one.on(), one.parts().get("floss"))));
        return course.window();
    }
}
