package app.chervil.core.visit;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.CareCatalogue;
import app.chervil.core.filter.Endurance;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Forecast.Basis;
import app.chervil.core.interval.Start;
import app.chervil.core.interval.Surroundings;
import app.chervil.core.interval.TaskSetting;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Schools;
import app.chervil.core.tank.Stocking;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;

class FilterBookTest {
    private static final LocalDate START = LocalDate.of(2026, 3, 1);
    private static final long OPENING = 1;
    private static final long PREFILTER = 2;
    private static final long FOAM = 3;
    private static final long PAD = 4;
    private static final long SEALS = 5;
    private static final Surroundings NORMAL = new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 0, 0);

    @Test
    void an_opening_is_judged_by_the_fullest_foam_or_pad_in_it() {
        LoggedService opened = service(
                75,
                Map.of(OPENING, Optional.empty(), FOAM, Optional.of(Finding.LIGHT), PAD, Optional.of(Finding.HEAVY)));

        Forecast opening = canister(NORMAL, List.of(), opened).get(OPENING);

        assertThat(opening.reasons().get(0))
                .isEqualTo("Heavy after 75 days; we expected moderate. It fills faster than we thought.");
        // vector "75 d, heavy": 64.60 days
        assertThat(opening.window().ideal()).isEqualTo(START.plusDays(75 + 65));
    }

    @Test
    void foam_inside_a_canister_goes_with_the_opening_and_keeps_its_own_loading() {
        Map<Long, Forecast> forecasts = canister(NORMAL, List.of());

        assertThat(forecasts.get(FOAM).window())
                .isEqualTo(forecasts.get(OPENING).window());
        assertThat(forecasts.get(FOAM).basis()).isEqualTo(Basis.WITH_OPENING);
        assertThat(forecasts.get(FOAM).loading())
                .isNotEqualTo(forecasts.get(OPENING).loading());
        assertThat(forecasts.get(FOAM).reasons()).containsExactly("Goes with: open canister Weir.");
    }

    @Test
    void seals_wait_for_the_opening_but_not_past_their_age_cap() {
        Map<Long, Forecast> forecasts = canister(NORMAL, List.of());

        // opening ideal at 72 days is too soon for seals: earliest 0.75 × 365, cap 16 months
        assertThat(forecasts.get(SEALS).window().ideal()).isEqualTo(START.plusDays(274));
        assertThat(forecasts.get(SEALS).window().latest()).isEqualTo(START.plusDays(487));
    }

    @Test
    void a_low_flow_is_shared_among_the_stages_that_can_explain_it() {
        LoggedService first = service(10, Map.of(OPENING, Optional.empty()), 0, 900);
        LoggedService second = service(
                60,
                Map.of(
                        OPENING, Optional.empty(),
                        FOAM, Optional.of(Finding.MODERATE),
                        PREFILTER, Optional.of(Finding.MODERATE)),
                540,
                0);

        LoggedService unmeasured = service(60, second.done());

        FilterBook told = new BookBuilder().with(first).with(second).build(NORMAL, List.of());
        FilterBook untold = new BookBuilder().with(first).with(unmeasured).build(NORMAL, List.of());

        // loss 900 ÷ 540 − 1 = 0.667, of which κL² lets the opening answer for 0.306 and the pre-filter for the rest
        assertThat(variance(told, OPENING)).isLessThan(variance(untold, OPENING));
        assertThat(variance(told, PREFILTER)).isLessThan(variance(untold, PREFILTER));
    }

    @Test
    void a_prefilter_protects_what_stands_behind_it_and_not_itself() {
        ContextChange added = new ContextChange(START.plusDays(10), Kind.PREFILTER, 1);
        Surroundings with = new Surroundings(Stocking.NORMAL, Feeding.NORMAL, 1, 0);

        Map<Long, Forecast> bare = canister(NORMAL, List.of());
        Map<Long, Forecast> protectedNow = canister(with, List.of(added));

        assertThat(protectedNow.get(OPENING).window().ideal())
                .isAfter(bare.get(OPENING).window().ideal());
        assertThat(protectedNow.get(PREFILTER).window())
                .isEqualTo(bare.get(PREFILTER).window());
    }

    @Test
    void stocking_today_is_taken_back_for_the_days_before_it_was_raised() {
        ContextChange raised = ContextChange.moved(START.plusDays(5), Kind.STOCKING, Stocking.LIGHT, Stocking.HEAVY);
        Surroundings now = new Surroundings(Stocking.HEAVY, Feeding.NORMAL, 0, 0);

        assertThat(now.on(START, List.of(raised), true).stocking()).isEqualTo(Stocking.LIGHT);
        assertThat(now.on(START.plusDays(5), List.of(raised), true).stocking()).isEqualTo(Stocking.HEAVY);
    }

    private static Map<Long, Forecast> canister(
            Surroundings today, List<ContextChange> changes, LoggedService... services) {
        BookBuilder book = new BookBuilder();
        for (LoggedService service : services) {
            book.with(service);
        }
        return book.build(today, changes).forecasts(START.plusDays(90));
    }

    private static double variance(FilterBook book, long task) {
        return book.course(task, START.plusDays(85))
                .orElseThrow()
                .get()
                .belief()
                .variance();
    }

    private static LoggedService service(int day, Map<Long, Optional<Finding>> done) {
        return service(day, done, 0, 0);
    }

    /** Flows in L/h; zero for one that was not measured. */
    private static LoggedService service(int day, Map<Long, Optional<Finding>> done, double before, double after) {
        return new LoggedService(START.plusDays(day), done, flow(before), flow(after));
    }

    private static Optional<FlowRate> flow(double litresPerHour) {
        return Optional.of(litresPerHour).filter(value -> value > 0).map(FlowRate::of);
    }

    private static final class BookBuilder {
        private final List<LoggedService> services = new java.util.ArrayList<>();

        BookBuilder with(LoggedService service) {
            services.add(service);
            return this;
        }

        FilterBook build(Surroundings today, List<ContextChange> changes) {
            return new FilterBook(
                    new FilterBook.Device("Weir", FilterKind.CANISTER),
                    List.of(
                            opening(),
                            stage(PREFILTER, StageKind.PREFILTER_SPONGE, CareAction.RINSE),
                            stage(FOAM, StageKind.COARSE_FOAM, CareAction.RINSE),
                            stage(PAD, StageKind.FLOSS, CareAction.CHANGE),
                            stage(SEALS, StageKind.SEALS, CareAction.INSPECT)),
                    services,
                    new FilterBook.Around(today, changes));
        }

        private static BookedTask opening() {
            return new BookedTask(
                    OPENING,
                    Optional.empty(),
                    Start.exact(START),
                    CareCatalogue.find(FilterKind.CANISTER, CareAction.OPEN, Schools.DEFAULT)
                            .orElseThrow(),
                    new TaskSetting.Learned());
        }

        private static BookedTask stage(long id, StageKind kind, CareAction action) {
            return new BookedTask(
                    id,
                    Optional.of(new BookedTask.StagePart(id, kind, Optional.of(START), Endurance.UNKNOWN, List.of())),
                    Start.exact(START),
                    CareCatalogue.find(Stage.washable(kind), action, Schools.DEFAULT)
                            .orElseThrow(),
                    new TaskSetting.Learned());
        }
    }
}
