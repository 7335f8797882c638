package app.chervil.core.visit;

import static app.chervil.core.visit.Logs.ALONE;
import static app.chervil.core.visit.Logs.DAY;
import static app.chervil.core.visit.Logs.OPENING;
import static app.chervil.core.visit.Logs.PREFILTER;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Forecast;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Start;
import app.chervil.core.visit.FilterBook.Around;
import app.chervil.core.visit.FilterBook.Device;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.TreeMap;
import java.util.function.IntToDoubleFunction;
import org.junit.jupiter.api.Test;

class MeterDaysTest {
    private static final LocalDate SERVED = DAY.plusDays(60);

    private static MeterDays read(LocalDate from, int days, IntToDoubleFunction flow) {
        Map<LocalDate, FlowRate> byDay = new TreeMap<>();
        for (int day = 0; day < days; day++) {
            byDay.put(from.plusDays(day), FlowRate.of(flow.applyAsDouble(day)));
        }
        return new MeterDays(byDay);
    }

    /** A canister with a pre-filter, both served sixty days in. */
    private static FilterBook book(MeterDays meter, LoggedService... services) {
        return new FilterBook(
                new Device("Weir", FilterKind.CANISTER),
                Logs.canisterTasks(Start.exact(DAY)),
                List.of(services),
                new Around(ALONE, List.of(), Pauses.NONE, List.of(), meter));
    }

    private static LoggedService both(LocalDate on) {
        return new LoggedService(
                on,
                Map.of(OPENING, Optional.of(Finding.MODERATE), PREFILTER, Optional.of(Finding.MODERATE)),
                Optional.empty(),
                Optional.empty());
    }

    private static Forecast prefilter(FilterBook book, LocalDate today) {
        return Objects.requireNonNull(book.forecasts(today).get(PREFILTER));
    }

    @Test
    void Is_the_clean_flow_of_a_filter_after_its_service() {
        FilterBook book = book(read(SERVED.minusDays(5), 20, day -> day < 5 ? 500 : 900), both(SERVED));

        assertThat(book.cleanFlow(SERVED.plusDays(10))).contains(FlowRate.of(900));
    }

    @Test
    void Speaks_in_place_of_what_was_measured_by_hand() {
        LoggedService byHand = new LoggedService(
                SERVED,
                Map.of(OPENING, Optional.of(Finding.MODERATE), PREFILTER, Optional.of(Finding.MODERATE)),
                Optional.of(FlowRate.of(300)),
                Optional.of(FlowRate.of(700)));

        assertThat(book(read(SERVED, 8, day -> 900), byHand).cleanFlow(SERVED.plusDays(7)))
                .contains(FlowRate.of(900));
        assertThat(book(MeterDays.NONE, byHand).cleanFlow(SERVED.plusDays(7))).contains(FlowRate.of(700));
    }

    @Test
    void A_flow_that_falls_fast_brings_the_rinse_forward_and_says_why() {
        LocalDate today = SERVED.plusDays(8);
        FilterBook steady = book(read(SERVED, 9, day -> 900), both(SERVED));
        FilterBook falling = book(read(SERVED, 9, day -> 900 - 40.0 * Math.max(0, day - 3)), both(SERVED));

        Forecast sooner = prefilter(falling, today);
        assertThat(sooner.window().ideal())
                .isBefore(prefilter(steady, today).window().ideal());
        assertThat(sooner.reasons()).anySatisfy(reason -> assertThat(reason)
                .startsWith("Its meter reads ")
                .contains("% of the clean flow")
                .contains("so it comes sooner"));
        assertThat(sooner.loading().orElseThrow().likely())
                .isGreaterThan(prefilter(steady, today).loading().orElseThrow().likely());
    }

    @Test
    void Any_day_and_any_gap_of_a_meter_can_be_asked_about() {
        for (int begun = -5; begun <= 12; begun++) {
            for (int days = 0; days <= 12; days++) {
                MeterDays meter = read(SERVED.plusDays(begun), days, day -> day == 4 ? 100 : 900 - day);
                for (int today = 0; today <= 12; today++) {
                    FilterBook book = book(meter, both(SERVED.minusDays(2)), both(SERVED), both(SERVED.plusDays(5)));
                    assertThat(book.forecasts(SERVED.plusDays(today))).hasSize(4);
                }
            }
        }
    }

    @Test
    void A_sudden_fall_is_no_dirt() {
        LocalDate today = SERVED.plusDays(8);
        MeterDays steady = read(SERVED, 9, day -> 900);
        MeterDays fallen = read(SERVED, 9, day -> day < 7 ? 900 : 450);

        assertThat(fallen.fellOn(SERVED)).contains(SERVED.plusDays(7));
        assertThat(steady.fellOn(SERVED)).isEmpty();
        assertThat(prefilter(book(fallen, both(SERVED)), today).window())
                .isEqualTo(prefilter(book(steady, both(SERVED)), today).window());
    }

    @Test
    void Says_nothing_before_its_clean_flow_is_known() {
        LocalDate today = SERVED.plusDays(3);
        FilterBook young = book(read(SERVED, 4, day -> 900 - 50.0 * day), both(SERVED));

        assertThat(prefilter(young, today).window())
                .isEqualTo(prefilter(book(MeterDays.NONE, both(SERVED)), today).window());
    }

    @Test
    void What_it_reads_after_a_rinse_does_not_move_that_rinse() {
        LocalDate again = SERVED.plusDays(10);
        FilterBook rinsed = book(read(SERVED, 11, day -> 900 - 40.0 * Math.max(0, day - 3)), both(SERVED), both(again));

        assertThat(prefilter(rinsed, again).reasons()).noneMatch(reason -> reason.startsWith("Its meter"));
    }
}
