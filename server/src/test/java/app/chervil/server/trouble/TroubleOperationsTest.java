package app.chervil.server.trouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.Filter;
import app.chervil.core.site.TankBook;
import app.chervil.core.trouble.Bearing;
import app.chervil.core.trouble.Step;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.Rejected;
import app.chervil.server.trouble.CaseRow.Standing;
import app.chervil.server.trouble.CaseRow.Verdict;
import app.chervil.server.trouble.TroubleEvent.Kind;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.ArgumentCaptor;

/** What becomes of a case as its events come in; tables and the site's picture are pretended. */
class TroubleOperationsTest {
    private static final SignedIn MARIT = new SignedIn(7, 3, "Marit", Role.KEEPER);
    private static final Instant NOW = Instant.parse("2026-06-03T08:00:00Z");
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 3);
    private static final UUID CASE = new UUID(1, 1);
    private static final Known CANISTER = new Known(
            FilterKind.CANISTER,
            List.of(StageKind.PREFILTER_SPONGE, StageKind.IMPELLER),
            Map.of(),
            Map.of(),
            new Known.Read(null, null, null));

    private final TroubleMapper mapper = mock(TroubleMapper.class);
    private final FilterOperations filters = mock(FilterOperations.class);
    private final SiteBooks books = mock(SiteBooks.class);
    private final FollowUpOperations followUps = mock(FollowUpOperations.class);
    private final List<TroubleEvent> stored = new ArrayList<>();
    private final RateOperations rates = new RateOperations(mapper, Clock.fixed(NOW, ZoneOffset.UTC));
    private final TroubleOperations operations = new TroubleOperations(
            mapper, new CaseSubjects(filters, books, rates), followUps, Clock.fixed(NOW, ZoneOffset.UTC));

    @BeforeEach
    void filterWeir() {
        Filter weir = mock(Filter.class);
        CareBook care = mock(CareBook.class);
        TankBook tank = mock(TankBook.class);
        when(weir.id()).thenReturn(5L);
        when(weir.name()).thenReturn("Weir");
        when(care.filter()).thenReturn(weir);
        when(tank.filters()).thenReturn(List.of(care));
        when(filters.find(MARIT, 5)).thenReturn(weir);
        when(books.tank(eq(MARIT), anyLong())).thenReturn(tank);
        when(mapper.listEvents(3, CASE)).thenReturn(stored);
        when(mapper.insertEvent(eq(3L), eq(CASE), any(), any())).thenAnswer(call -> {
            stored.add(call.getArgument(3));
            return 1;
        });
    }

    private static CaseRow row(Verdict verdict, @Nullable Instant closedAt) {
        return new CaseRow(
                        CASE,
                        2,
                        5,
                        "Weir",
                        "weak-flow",
                        TODAY.minusDays(1),
                        NOW.minusSeconds(600),
                        "Osei",
                        CANISTER,
                        new CauseWeights(Map.of()),
                        Standing.OPEN,
                        null,
                        null,
                        null,
                        null,
                        Bearing.IGNORE_FLOW,
                        null)
                .as(verdict, closedAt, closedAt == null ? null : LocalDate.of(2026, 6, 2));
    }

    private void stands(CaseRow row) {
        when(mapper.find(3, CASE)).thenReturn(Optional.of(row));
        when(mapper.findLocked(3, CASE)).thenReturn(Optional.of(row));
    }

    private static TroubleEvent event(long id, Kind kind, String about, String value) {
        return new TroubleEvent(new UUID(9, id), null, kind, about, value, NOW, null);
    }

    private CaseRow settled() {
        ArgumentCaptor<CaseRow> written = ArgumentCaptor.forClass(CaseRow.class);
        verify(mapper).updateVerdict(eq(3L), written.capture());
        return written.getValue();
    }

    @Test
    void a_repair_that_helped_closes_it_today_and_forgets_its_reminder() {
        stands(row(Verdict.OPEN, null));

        operations.keep(MARIT, CASE, List.of(event(1, Kind.TRIED, "clean-impeller", "solved")));

        CaseRow closed = settled();
        assertThat(closed.standing()).isEqualTo(Standing.SOLVED);
        assertThat(closed.closedOn()).isEqualTo(TODAY);
        assertThat(closed.repair()).isEqualTo("clean-impeller");
        assertThat(closed.cause()).isEqualTo("impeller-dirty");
        assertThat(closed.bearing()).isEqualTo(Bearing.IGNORE_FLOW);
        verify(followUps).forget(MARIT, CASE);
    }

    @Test
    void what_comes_in_after_it_was_mended_leaves_its_day() {
        Instant yesterday = NOW.minusSeconds(86_400);
        stored.add(event(1, Kind.TRIED, "rinse-prefilter", "solved"));
        stands(row(new Verdict(Standing.SOLVED, "rinse-prefilter", "prefilter-full", Bearing.DIRT), yesterday));

        operations.keep(MARIT, CASE, List.of(event(2, Kind.ANSWER, "onset", "crept")));

        assertThat(settled().closedAt()).isEqualTo(yesterday);
    }

    @Test
    void taking_the_repair_back_opens_it_again() {
        stored.add(event(1, Kind.TRIED, "rinse-prefilter", "solved"));
        stands(row(new Verdict(Standing.SOLVED, "rinse-prefilter", "prefilter-full", Bearing.DIRT), NOW));

        operations.keep(MARIT, CASE, List.of(event(2, Kind.TAKEN_BACK, new UUID(9, 1).toString(), "")));

        CaseRow open = settled();
        assertThat(open.standing()).isEqualTo(Standing.OPEN);
        assertThat(open.closedAt()).isNull();
        assertThat(open.repair()).isNull();
        assertThat(open.bearing()).isEqualTo(Bearing.IGNORE_FLOW);
    }

    @Test
    void what_is_there_already_is_not_written_again() {
        stored.add(event(1, Kind.ANSWER, "onset", "crept"));
        stands(row(Verdict.OPEN, null));

        operations.keep(MARIT, CASE, List.of(event(1, Kind.ANSWER, "onset", "crept")));

        verify(mapper, never()).insertEvent(anyLong(), any(), any(), any());
        verify(mapper, never()).updateVerdict(anyLong(), any());
    }

    @Test
    void one_unknown_step_keeps_all_of_them_out() {
        stands(row(Verdict.OPEN, null));

        assertThatThrownBy(() -> operations.keep(
                        MARIT,
                        CASE,
                        List.of(event(1, Kind.ANSWER, "onset", "crept"), event(2, Kind.ANSWER, "onset", "by-magic"))))
                .isInstanceOfSatisfying(Rejected.class, rejected -> assertThat(
                                rejected.violations().get(0).field())
                        .isEqualTo("events[1].value"));
        verify(mapper, never()).insertEvent(anyLong(), any(), any(), any());
    }

    @Test
    void more_steps_than_a_case_can_have_are_refused() {
        for (int i = 0; i < 400; i++) {
            stored.add(event(1000 + i, Kind.ANSWER, "onset", "crept"));
        }
        stands(row(Verdict.OPEN, null));

        assertThatThrownBy(() -> operations.keep(MARIT, CASE, List.of(event(1, Kind.ANSWER, "onset", "crept"))))
                .isInstanceOf(Rejected.class);
    }

    @Test
    void given_up_it_takes_nothing_more() {
        stands(row(Verdict.LEFT, NOW));

        assertThatThrownBy(() -> operations.keep(MARIT, CASE, List.of(event(1, Kind.ANSWER, "onset", "crept"))))
                .isInstanceOf(Conflict.class);
    }

    @Test
    void a_mended_case_is_not_given_up() {
        stands(row(new Verdict(Standing.SOLVED, "rinse-prefilter", "prefilter-full", Bearing.DIRT), NOW));

        operations.leave(MARIT, CASE);

        verify(mapper, never()).updateVerdict(anyLong(), any());
    }

    @Test
    void steps_are_what_was_not_taken_back_in_order() {
        List<Step> steps = TroubleOperations.steps(List.of(
                event(1, Kind.DANGER, "danger-power", "no"),
                event(2, Kind.ANSWER, "onset", "crept"),
                event(3, Kind.TAKEN_BACK, new UUID(9, 2).toString(), ""),
                event(4, Kind.TAKEN_BACK, "nothing", ""),
                event(5, Kind.TRIED, "rinse-prefilter", "partly")));

        assertThat(steps)
                .containsExactly(
                        new Step.Asked("danger-power", "no"), new Step.Tried("rinse-prefilter", Step.Outcome.PARTLY));
    }

    @Test
    void only_cases_closed_since_counting_began_are_counted_and_only_with_a_cause() {
        CaseRow known = row(new Verdict(Standing.SOLVED, "clean-impeller", "impeller-dirty", Bearing.IGNORE_FLOW), NOW);
        CaseRow unknown = row(new Verdict(Standing.SOLVED, "exit", null, Bearing.IGNORE_FLOW), NOW);
        when(mapper.list(3, null)).thenReturn(List.of(known, unknown, row(Verdict.OPEN, null)));

        assertThat(rates.rates(MARIT).cases()).isEqualTo(1);
        when(mapper.countedSince(3)).thenReturn(Optional.of(NOW));
        assertThat(rates.rates(MARIT).cases()).isZero();
    }
}
