package app.chervil.server.procedure;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.interval.Start;
import app.chervil.core.procedure.FollowUp;
import app.chervil.core.procedure.GuidedWork;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.site.Filter;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.visit.LogChange;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** What is asked for after a guided service; tables and other features are pretended. */
class GuidedAftermathTest {
    private static final SignedIn MARIT = new SignedIn(7, 3, "Marit", Role.KEEPER);
    private static final UUID ID = new UUID(0, 1);
    private static final Filter UNDERTOW = Sump.of(1, "Undertow");
    private static final long DEEP = 10;
    private static final long SOCK = 11;

    private final GuidedMapper mapper = mock(GuidedMapper.class);
    private final FilterOperations filters = mock(FilterOperations.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final FollowUpOperations followUps = mock(FollowUpOperations.class);
    private final GuidedAftermath aftermath = new GuidedAftermath(mapper, filters, tanks, followUps);

    @BeforeEach
    void one_sump() {
        when(filters.find(MARIT, 1)).thenReturn(UNDERTOW);
        when(filters.list(MARIT, Sump.TANK)).thenReturn(List.of(UNDERTOW));
        when(tanks.today()).thenReturn(Sump.TODAY);
    }

    private static GuidedRow row(Occasion occasion) {
        return Sump.row(ID, 1, List.of(), List.of(), null, occasion);
    }

    private void logged(LocalDate on, Long... tasks) {
        aftermath.logged(new LogChange.Logged(MARIT, ID, Sump.TANK, on, List.of(tasks)));
    }

    @Test
    void a_sock_alone_asks_for_nothing() {
        logged(Sump.TODAY, SOCK);

        verifyNoInteractions(followUps);
    }

    @Test
    void after_a_deep_clean_the_sock_is_asked_for_on_the_next_day_however_it_was_logged() {
        logged(Sump.TODAY.minusDays(1), DEEP, SOCK);

        verify(followUps).ask(MARIT, UNDERTOW, ID, FollowUp.ofDeepClean(List.of(StageKind.SOCK), "Undertow"));
    }

    @Test
    void work_of_the_week_before_written_down_now_asks_for_nothing() {
        logged(Sump.TODAY.minusDays(2), DEEP);

        verifyNoInteractions(followUps);
    }

    @Test
    void media_in_the_pump_is_asked_after_until_it_cannot_get_there_again() {
        GuidedWork work = GuidedWork.replay(
                List.of(), List.of(new GuidedWork.Event(GuidedWork.Kind.STRAY, "out:7", "bio media", Sump.NOON)));

        aftermath.ask(MARIT, row(Occasion.SERVICE), work);

        verify(followUps).ask(MARIT, UNDERTOW, ID, List.of(FollowUp.ofStray("bio media", "Undertow")));
    }

    @Test
    void once_set_up_its_clocks_start_and_what_left_it_off_before_is_over() {
        GuidedRow off = new GuidedRow(
                new UUID(0, 9),
                Sump.TANK,
                1,
                new TaskIds(List.of()),
                new AskedChores(Set.of()),
                new KeptSteps(List.of()),
                Sump.NOON,
                "Osei",
                Sump.NOON,
                Sump.NOON,
                null,
                null,
                Occasion.MOVE,
                new TaskIds(List.of()),
                null);
        when(mapper.listOpen(3)).thenReturn(List.of(off));

        aftermath.ask(MARIT, row(Occasion.SET_UP), Sump.did(Effect.POWER_ON));

        verify(filters).setCleaned(MARIT, 1, Sump.TODAY, Start.Sureness.EXACT);
        verify(mapper).updateOff(3, off.id(), null);
        verify(followUps).ask(MARIT, UNDERTOW, ID, FollowUp.ofSetUp(FilterKind.SUMP, "Undertow"));
    }

    @Test
    void what_was_never_started_was_not_set_up() {
        aftermath.ask(MARIT, row(Occasion.SET_UP), Sump.did());

        verify(filters, never()).setCleaned(any(), anyLong(), any(), any());
        verifyNoInteractions(followUps);
    }

    @Test
    void put_away_it_is_out_of_use_and_looked_at_once_dry() {
        aftermath.ask(MARIT, row(Occasion.STORE), Sump.did(Effect.POWER_OFF));

        verify(filters).delete(MARIT, 1);
        verify(followUps).ask(MARIT, UNDERTOW, ID, FollowUp.ofStored("Undertow"));
    }

    @Test
    void a_service_taken_out_of_the_log_leaves_the_filter_as_it_is() {
        when(mapper.find(3, ID)).thenReturn(Optional.of(row(Occasion.SERVICE)));

        aftermath.takenBack(new LogChange.TakenBack(MARIT, ID));

        verify(filters, never()).restore(any(), anyLong());
    }

    @Test
    void moved_it_stays_in_use() {
        aftermath.ask(MARIT, row(Occasion.MOVE), Sump.did(Effect.POWER_OFF));

        verify(filters, never()).delete(any(), anyLong());
    }
}
