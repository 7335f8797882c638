package app.chervil.core.visit;

import static app.chervil.core.visit.Logs.DAY;
import static app.chervil.core.visit.Logs.FOAM;
import static app.chervil.core.visit.Logs.OPENING;
import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.interval.Finding;
import app.chervil.core.interval.Pauses;
import app.chervil.core.interval.Start;
import app.chervil.core.visit.Fault.Ignored;
import app.chervil.core.visit.FilterBook.Around;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

/** What a fault keeps out of the learning of dates. */
class FaultTest {
    private static final LocalDate TODAY = DAY.plusDays(210);
    private static final LoggedService CLEAN = Logs.flowed(60, Finding.MODERATE, 500, 600);

    private static FilterBook canister(List<LoggedService> services, Fault... faults) {
        return new FilterBook(
                new FilterBook.Device("Weir", FilterKind.CANISTER),
                Logs.canisterTasks(Start.exact(DAY)),
                services,
                new Around(Logs.ALONE, List.of(), Pauses.NONE, List.of(faults)));
    }

    private static LocalDate due(FilterBook book) {
        return book.forecasts(TODAY).get(OPENING).window().ideal();
    }

    @Test
    void a_flow_measured_while_the_impeller_was_broken_moves_no_opening() {
        LoggedService broken = Logs.flowed(120, Finding.LIGHT, 90, 590);
        LoggedService unmeasured =
                Logs.service(120, Map.of(OPENING, Optional.empty(), FOAM, Optional.of(Finding.LIGHT)), 0, 590);
        Fault impeller = new Fault(DAY.plusDays(118), Optional.of(DAY.plusDays(120)), Ignored.FLOW);

        LocalDate with = due(canister(List.of(CLEAN, broken), impeller));

        assertThat(with).isEqualTo(due(canister(List.of(CLEAN, unmeasured))));
    }

    @Test
    void a_flow_caught_alone_during_a_fault_is_no_clean_flow() {
        LoggedService caught = Logs.service(100, Map.of(), 0, 80);
        Fault fault = new Fault(DAY.plusDays(99), Optional.empty(), Ignored.FLOW);

        assertThat(canister(List.of(caught)).cleanFlow(TODAY)).isPresent();
        assertThat(canister(List.of(caught), fault).cleanFlow(TODAY)).isEmpty();
    }

    @Test
    void the_flow_after_the_repair_counts() {
        LoggedService mended = Logs.flowed(120, Finding.LIGHT, 90, 590);
        Fault fault = new Fault(DAY.plusDays(118), Optional.of(DAY.plusDays(120)), Ignored.FLOW);

        assertThat(canister(List.of(mended), fault).cleanFlow(TODAY)).isEqualTo(Logs.flow(590));
    }

    @Test
    void where_water_did_not_pass_a_finding_says_nothing_either() {
        LoggedService clogged = Logs.opened(120, Finding.CLOGGED);
        LoggedService unseen = Logs.service(120, Map.of(OPENING, Optional.empty(), FOAM, Optional.empty()));
        Fault swapped = new Fault(DAY.plusDays(120), Optional.of(DAY.plusDays(120)), Ignored.FLOW_AND_GRADE);

        assertThat(due(canister(List.of(CLEAN, clogged), swapped)))
                .isEqualTo(due(canister(List.of(CLEAN, unseen))))
                .isNotEqualTo(due(canister(List.of(CLEAN, clogged))));
    }

    @Test
    void days_without_flow_bring_no_dirt() {
        Fault dead = new Fault(DAY.plusDays(100), Optional.of(DAY.plusDays(130)), Ignored.FLOW_AND_GRADE);

        assertThat(due(canister(List.of(CLEAN), dead))).isAfter(due(canister(List.of(CLEAN))));
    }

    @ParameterizedTest
    @EnumSource(Ignored.class)
    void what_was_found_before_and_after_a_fault_counts_as_ever(Ignored ignored) {
        LoggedService later = Logs.flowed(150, Finding.HEAVY, 300, 600);
        Fault sameDay = new Fault(DAY.plusDays(100), Optional.of(DAY.plusDays(100)), ignored);

        assertThat(due(canister(List.of(CLEAN, later), sameDay))).isEqualTo(due(canister(List.of(CLEAN, later))));
    }

    @Test
    void a_finding_of_a_mechanical_fault_still_counts() {
        LoggedService heavy = Logs.opened(120, Finding.HEAVY);
        Fault impeller = new Fault(DAY.plusDays(118), Optional.of(DAY.plusDays(120)), Ignored.FLOW);

        assertThat(due(canister(List.of(CLEAN, heavy), impeller))).isEqualTo(due(canister(List.of(CLEAN, heavy))));
    }
}
