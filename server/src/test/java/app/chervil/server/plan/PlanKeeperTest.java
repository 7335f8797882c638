package app.chervil.server.plan;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.agenda.BookedVisit;
import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.PlanState;
import app.chervil.core.agenda.Standing;
import app.chervil.core.agenda.Told;
import app.chervil.server.plan.Known.Step;
import app.chervil.server.plan.PlanMapper.Hanging;
import app.chervil.server.plan.PlanMapper.PlanRow;
import app.chervil.server.plan.PlanMapper.VisitRow;
import app.chervil.server.plan.PlanMapper.VisitRows;
import app.chervil.server.plan.PlanMapper.Words;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.core.task.TaskExecutor;
import org.springframework.transaction.support.TransactionOperations;

/** A plan B of one visit that stays, one that is new and one that is gone, which came from plan A. */
class PlanKeeperTest {
    private static final long SITE = 7;
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    private static final BookedVisit STAYS = visit("stays", 2);
    private static final BookedVisit NEW = visit("new", 3);
    private static final BookedVisit GONE = visit("gone", 4);
    private static final BookedVisit WAS = visit("was", -1);
    private static final List<BookedVisit> BEFORE = List.of(WAS, STAYS, GONE);

    private final PlanMapper mapper = mock(PlanMapper.class);
    private final Bettering bettering = mock(Bettering.class);
    private final PlanKeeper keeper =
            new PlanKeeper(mapper, mock(TransactionOperations.class), mock(TaskExecutor.class), bettering);

    private static BookedVisit visit(String name, int inDays) {
        return new BookedVisit(
                UUID.nameUUIDFromBytes(name.getBytes(StandardCharsets.UTF_8)),
                1,
                TODAY.plusDays(inDays),
                Optional.empty(),
                30,
                List.of("5/0/2026-05-01"),
                0,
                Instant.EPOCH);
    }

    @BeforeEach
    void a_is_kept() {
        when(mapper.findMark(SITE)).thenReturn(Optional.of("A"));
    }

    private static Told told(String mark, boolean rough, List<BookedVisit> visits) {
        return new Told(mark, 8, PlanState.NONE, visits, rough, List.of());
    }

    private static Known from(Told before, boolean rough) {
        Standing standing = mock(Standing.class);
        when(standing.told()).thenReturn(told("B", rough, List.of(STAYS, NEW)));
        when(standing.today()).thenReturn(TODAY);
        Moved moved = new Moved(Instant.EPOCH, List.of("a log"), List.of());
        return new Known(standing, List.of(), List.of(Step.after(Optional.of(before), Optional.of(moved))));
    }

    private void onlyWhatDiffersIsWritten() {
        verify(mapper).saveVisits(SITE, new VisitRows(List.of(VisitRow.of(NEW))));
        verify(mapper).deleteVisits(SITE, List.of(GONE.id()));
    }

    @Test
    void what_the_plan_before_told_is_known_without_reading_it_again() {
        keeper.keep(SITE, from(told("A", false, BEFORE), false));

        onlyWhatDiffersIsWritten();
        verify(mapper, never()).find(anyLong(), any(), any());
        verify(mapper).insertChange(eq(SITE), eq(Instant.EPOCH), eq(new Words(List.of("a log"))), any());
    }

    @Test
    void a_plan_made_in_haste_may_have_been_bettered_and_is_read_again() {
        when(mapper.find(eq(SITE), any(), eq(TODAY)))
                .thenReturn(Optional.of(new PlanRow(
                        1,
                        "A",
                        8,
                        false,
                        new Words(List.of()),
                        PlanState.NONE,
                        new Hanging(BEFORE.stream().map(VisitRow::of).toList(), List.of()))));

        keeper.keep(SITE, from(told("A", true, List.of(STAYS)), false));

        onlyWhatDiffersIsWritten();
    }

    @Test
    void a_plan_off_the_way_of_the_one_that_is_kept_is_not_kept() {
        keeper.keep(SITE, from(told("C", false, BEFORE), false));

        verify(mapper, never()).save(anyLong(), any(), any());
        verify(mapper, never()).insertChange(anyLong(), any(), any(), any());
    }

    @Test
    void one_made_in_haste_is_bettered_later() {
        keeper.keep(SITE, from(told("A", false, BEFORE), true));

        verify(bettering).begin(SITE);
    }
}
