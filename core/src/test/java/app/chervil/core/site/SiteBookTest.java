package app.chervil.core.site;

import static app.chervil.core.site.SampleSite.TODAY;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.visit.Errand.Reach;
import app.chervil.core.water.Amount;
import app.chervil.core.water.Hold;
import app.chervil.core.water.Parameter;
import app.chervil.core.water.Permission;
import app.chervil.core.water.Reading;
import app.chervil.core.water.Reading.Trust;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.Set;
import java.util.UUID;
import java.util.concurrent.atomic.AtomicInteger;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;

class SiteBookTest {
    private static final String RINSE = "Rinse the pre-filter";
    private static final String DIP = "Dip bio media";

    private static SampleSite brook() {
        return SampleSite.today().tank(1, "Brook", "Lab", TODAY.minusDays(30));
    }

    private static Reading nitrite(double value) {
        return new Reading(Parameter.NITRITE, new Amount.Exact(value), 0.05, TODAY.atTime(9, 0), Trust.KEPT);
    }

    private static TaskForecast forecast(TankBook book, String name) {
        return book.forecasts().stream()
                .filter(one -> one.task().name().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void tanks_are_walked_by_room_then_name_then_age() {
        SiteBook site = SampleSite.today()
                .tank(1, "Weir", "Lab", TODAY)
                .tank(2, "Brook", "Lab", TODAY)
                .tank(3, "Beck", "Attic", TODAY)
                .tank(4, "Brook", "Lab", TODAY)
                .book();

        assertThat(site.tanks()).extracting(book -> book.tank().id()).containsExactly(3L, 2L, 4L, 1L);
        assertThat(site.tank(3)).isPresent();
        assertThat(site.tank(9)).isEmpty();
    }

    @Test
    void what_is_asked_twice_is_worked_out_once() {
        SiteBook site = brook().book();

        assertThat(site.forecasts()).isSameAs(site.forecasts());
        assertThat(site.tank(1).orElseThrow().forecasts())
                .isSameAs(site.tank(1).orElseThrow().forecasts());
    }

    @Test
    void a_value_is_worked_out_by_the_first_who_asks_and_a_failure_is_tried_again() {
        AtomicInteger asked = new AtomicInteger();
        Once<Integer> once = new Once<>(() -> {
            if (asked.incrementAndGet() == 1) {
                throw new IllegalStateException("not yet");
            }
            return asked.get();
        });

        assertThatThrownBy(once::get).hasMessage("not yet");
        assertThat(once.get()).isEqualTo(2);
        assertThat(once.get()).isEqualTo(2);
    }

    @Test
    void every_task_in_use_has_its_forecast_with_how_it_is_reached() {
        TankBook book = brook().book(1);

        assertThat(book.forecasts())
                .hasSameSizeAs(book.records().filters().get(0).inUse());
        assertThat(forecast(book, "Open canister Weir").reach()).isEqualTo(Reach.OPENING);
        assertThat(forecast(book, RINSE).reach()).isEqualTo(Reach.FREE);
        assertThat(forecast(book, DIP).reach()).isEqualTo(Reach.INSIDE);
    }

    @Test
    void a_heavy_finding_brings_the_next_time_nearer_and_without_it_all_is_as_before() {
        SampleSite logged = brook().did(1, RINSE, TODAY.minusDays(18), Finding.HEAVY);

        TankBook now = logged.book(1);

        assertThat(forecast(now, RINSE).forecast().basis()).isEqualTo(Basis.LEARNED);
        assertThat(forecast(now.without(new UUID(1, 0)), RINSE).forecast())
                .isEqualTo(forecast(brook().book(1), RINSE).forecast());
        assertThat(now.without(new UUID(9, 9)).forecasts()).isEqualTo(now.forecasts());
    }

    @Test
    void while_a_trial_leaves_something_out_nothing_is_due_for_it() {
        TankBook without =
                brook().tried(1, RINSE, new Tried(OptionalInt.empty(), false)).book(1);

        assertThat(forecast(without, RINSE).forecast().window().ideal()).isAfter(SampleSite.TODAY.plusYears(4));
        assertThat(forecast(without, RINSE).forecast().reasons().get(0))
                .isEqualTo("A trial runs without it just now, so nothing is due.");
    }

    private static SampleSite comparing() {
        Tried.Reads reads = new Tried.Reads(Parameter.NITRATE, TODAY.minusDays(9), TODAY.plusDays(5), 7);
        return brook().tried(1, RINSE, new Tried(OptionalInt.of(3), false, Optional.of(reads)));
    }

    private static Reading nitrate(int daysAgo) {
        return new Reading(
                Parameter.NITRATE,
                new Amount.Exact(12),
                1,
                TODAY.minusDays(daysAgo).atTime(8, 0),
                Trust.KEPT);
    }

    private static List<AskedReading> asked(SampleSite site) {
        return AskedReading.due(site.book(1), TODAY.atTime(9, 0));
    }

    @Test
    void a_trial_asks_for_its_parameter_in_each_turn_and_every_week() {
        assertThat(asked(comparing()))
                .containsExactly(new AskedReading(
                        Parameter.NITRATE, TODAY.minusDays(9), TODAY, TODAY.plusDays(5), "A trial compares it"));
        assertThat(asked(comparing().read(1, nitrate(3)))).isEmpty();
        assertThat(asked(comparing().read(1, nitrate(7)))).hasSize(1);
        assertThat(asked(comparing().read(1, nitrate(10)))).hasSize(1);
        assertThat(asked(brook().tried(1, RINSE, new Tried(OptionalInt.of(3), true))))
                .isEmpty();
    }

    @Test
    void an_interval_chosen_after_a_trial_says_so_while_it_stands() {
        Tried found = new Tried(OptionalInt.of(6), true);

        TankBook adopted = brook().fixes(1, RINSE, 6).tried(1, RINSE, found).book(1);
        assertThat(forecast(adopted, RINSE).forecast().reasons().get(0))
                .isEqualTo("Chosen after a trial: every 6 days.");

        TankBook changed = brook().fixes(1, RINSE, 9).tried(1, RINSE, found).book(1);
        assertThat(forecast(changed, RINSE).forecast().reasons().get(0)).isEqualTo("Fixed by you: every 9 days.");
        TankBook learned = brook().tried(1, RINSE, found).book(1);
        assertThat(forecast(learned, RINSE).forecast().basis()).isNotEqualTo(Basis.FIXED);
    }

    @Test
    void an_interval_that_is_tried_holds_while_it_is() {
        TankBook tried = brook().tries(1, RINSE, 5).book(1);

        assertThat(forecast(tried, RINSE).forecast().basis()).isEqualTo(Basis.FIXED);
        assertThat(forecast(tried, RINSE).forecast().window().ideal())
                .isEqualTo(TODAY.minusDays(30).plusDays(5));
    }

    @Test
    void a_hold_keeps_what_disturbs_and_nothing_else() {
        TankBook held = brook().read(1, nitrite(0.5)).book(1);

        assertThat(held.hold()).map(Hold::cause).contains(Hold.Cause.NITRITE);
        assertThat(held.holding(forecast(held, DIP))).isPresent();
        assertThat(held.holding(forecast(held, RINSE))).isEmpty();
        assertThat(brook().book(1).hold()).isEmpty();
    }

    @Test
    void work_on_hold_is_not_permitted_and_work_apart_from_the_bacteria_is() {
        SampleSite site = brook().read(1, nitrite(0.5));
        long dip = site.taskId(1, DIP);
        long rinse = site.taskId(1, RINSE);

        assertThat(permission(site, Set.of(dip), 0).free()).isFalse();
        assertThat(permission(site, Set.of(rinse), 0).free()).isTrue();
        assertThat(permission(site, Set.of(), 2).free()).isFalse();
        assertThat(permission(site, Set.of(99L), 0).free()).isTrue();
    }

    private static Permission permission(SampleSite site, Set<Long> tasks, int chores) {
        return site.book(1).permission(tasks, chores, TODAY, Optional.empty());
    }

    @ParameterizedTest
    @CsvSource({"6, false", "7, true"})
    void disturbing_work_stands_a_week_apart(int daysAgo, boolean free) {
        SampleSite site = brook().did(1, DIP, TODAY.minusDays(daysAgo), Finding.LIGHT);
        Set<Long> dip = Set.of(site.taskId(1, DIP));

        assertThat(permission(site, dip, 0).free()).isEqualTo(free);
        assertThat(site.book(1)
                        .permission(dip, 0, TODAY, Optional.of(new UUID(1, 0)))
                        .free())
                .isTrue();
    }

    @Test
    void an_opening_asks_for_readings_in_the_days_after_and_an_early_test_for_another() {
        SampleSite opened = brook().did(1, "Open canister Weir", TODAY.minusDays(1), Finding.HEAVY);

        assertThat(AskedReading.due(opened.book(1), TODAY.atTime(18, 0)))
                .isNotEmpty()
                .allSatisfy(asked -> assertThat(asked.began()).isEqualTo(TODAY.minusDays(1)));
        assertThat(AskedReading.due(brook().book(1), TODAY.atTime(18, 0))).isEmpty();
        Reading early = new Reading(
                Parameter.AMMONIA, new Amount.Exact(0), 0.1, TODAY.minusDays(2).atTime(9, 0), Trust.EARLY);
        assertThat(AskedReading.due(brook().read(1, early).book(1), TODAY.atTime(18, 0)))
                .extracting(AskedReading::parameter)
                .containsExactly(Parameter.AMMONIA);
    }

    @Test
    void a_filter_off_for_longer_than_four_hours_asks_for_readings() {
        assertThat(AskedReading.schedule(standing(240), TODAY)).isEmpty();
        assertThat(AskedReading.schedule(standing(241), TODAY)).isNotEmpty();
    }

    private static TankBook standing(int minutes) {
        TankBook book = brook().book(1);
        PastService service = new PastService(
                new UUID(0, 1), 1, TODAY, Map.of(), Map.of(), OptionalInt.of(minutes), PastService.Manner.USUAL);
        return new TankBook(book.records().with(java.util.List.of(service)), book.shared());
    }

    @ParameterizedTest
    @ValueSource(doubles = {0.99, 100_001, Double.NaN})
    void a_tank_holds_water(double litres) {
        Tank tank = SampleSite.tank(1, "Brook", "");

        assertThatThrownBy(() -> new Tank(
                        1, 1, "Brook", "", litres, TODAY, tank.setting(), tank.practice(), false, Optional.empty()))
                .isInstanceOf(IllegalArgumentException.class)
                .hasMessageStartingWith("netVolumeL must be within");
    }
}
