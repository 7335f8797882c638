package app.chervil.sim.future;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Course;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.tank.Schools;
import app.chervil.sim.future.TankToday.AgedTask;
import app.chervil.sim.future.TankToday.GradedTask;
import app.chervil.sim.future.TankToday.Water;
import app.chervil.sim.future.TankToday.Work;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.function.ToDoubleFunction;
import java.util.stream.LongStream;
import org.junit.jupiter.api.Test;

class FuturesTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final CareRule PAD = CareCatalogue.find(
                    Stage.disposable(StageKind.FINE_PAD), CareAction.CHANGE, Schools.DEFAULT)
            .orElseThrow();
    private static final CareRule OPENING = CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
            .orElseThrow();
    private static final TankToday TANK = new TankToday(
            TODAY,
            List.of(graded(PAD, new Work(5, 1, 0)), graded(OPENING, new Work(50, 0, 1))),
            List.of(new AgedTask(90, new Work(5, 0, 0))),
            new Water(5, 20, 0.2));

    @Test
    void a_seed_is_one_year_and_another_seed_another() {
        assertThat(Futures.live(TANK, Way.AS_LEARNED, 7)).isEqualTo(Futures.live(TANK, Way.AS_LEARNED, 7));
        assertThat(Futures.live(TANK, Way.AS_LEARNED, 7)).isNotEqualTo(Futures.live(TANK, Way.AS_LEARNED, 8));
    }

    @Test
    void working_half_as_often_saves_services_and_costs_overloads_and_water() {
        assertThat(mean(Way.HALF_AS_OFTEN, Outcome::services))
                .isLessThan(0.75 * mean(Way.AS_LEARNED, Outcome::services));
        assertThat(mean(Way.HALF_AS_OFTEN, Outcome::overloads))
                .isGreaterThan(mean(Way.AS_LEARNED, Outcome::overloads) + 1);
        assertThat(mean(Way.HALF_AS_OFTEN, Outcome::worstNitrate))
                .isGreaterThan(mean(Way.AS_LEARNED, Outcome::worstNitrate));
    }

    @Test
    void a_prefilter_spares_what_lies_behind_it_and_brings_its_own_rinses() {
        double money = mean(Way.PREFILTER_ADDED, Outcome::money);

        assertThat(money).isLessThan(0.7 * mean(Way.AS_LEARNED, Outcome::money));
        assertThat(mean(Way.PREFILTER_ADDED, Outcome::services)).isGreaterThan(26);
    }

    @Test
    void more_stock_means_more_services_and_more_nitrate() {
        assertThat(mean(Way.STOCKING_RAISED, Outcome::services))
                .isGreaterThan(1.1 * mean(Way.AS_LEARNED, Outcome::services));
        assertThat(mean(Way.STOCKING_RAISED, Outcome::worstNitrate))
                .isGreaterThan(1.1 * mean(Way.AS_LEARNED, Outcome::worstNitrate));
    }

    @Test
    void the_makers_calendar_opens_a_canister_each_month() {
        TankToday canister =
                new TankToday(TODAY, List.of(graded(OPENING, new Work(50, 0, 1))), List.of(), new Water(5, 20, 0.2));

        assertThat(Futures.live(canister, Way.MAKERS_CALENDAR, 3).services()).isBetween(10.0, 13.0);
        assertThat(Futures.live(canister, Way.MAKERS_CALENDAR, 3).hours())
                .isEqualTo(Futures.live(canister, Way.MAKERS_CALENDAR, 3).services() * 50 / 60);
    }

    @Test
    void what_goes_by_age_is_counted_too() {
        TankToday aged = new TankToday(TODAY, List.of(), TANK.byAge(), TANK.water());

        assertThat(Futures.live(aged, Way.AS_LEARNED, 1).services()).isEqualTo(4);
    }

    @Test
    void a_comparison_tells_how_far_it_is_and_stops_when_it_is_told_to() {
        List<Integer> told = new ArrayList<>();

        Optional<Map<Way, List<Outcome>>> whole = Comparison.run(
                List.of(TANK, TANK),
                List.of(Way.AS_LEARNED, Way.HALF_AS_OFTEN),
                new Comparison.Chances(3, 1),
                told::add,
                () -> false);
        Optional<Map<Way, List<Outcome>>> stopped = Comparison.run(
                List.of(TANK), List.of(Way.AS_LEARNED), new Comparison.Chances(50, 1), done -> {}, () -> true);

        assertThat(told).containsExactly(1, 2, 3, 4, 5, 6);
        assertThat(whole.orElseThrow().get(Way.HALF_AS_OFTEN)).hasSize(3);
        assertThat(stopped).isEmpty();
    }

    private static double mean(Way way, ToDoubleFunction<Outcome> of) {
        return LongStream.range(0, 60)
                .mapToObj(seed -> Futures.live(TANK, way, seed))
                .mapToDouble(of)
                .average()
                .orElseThrow();
    }

    private static GradedTask graded(CareRule rule, Work work) {
        LocalDate began = TODAY.minusDays(10);
        return new GradedTask(rule, () -> Course.begin(rule, began, StartingLoad.NORMAL), began, true, work);
    }
}
