package app.chervil.server.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.procedure.FollowUp;
import app.chervil.core.procedure.Occasion;
import app.chervil.core.procedure.Step.Effect;
import app.chervil.core.site.Filter;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.followup.FollowUpOperations;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.procedure.GuidedView.Coming;
import app.chervil.server.procedure.ProcedureOperations.Around;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Three filters of a tank in one go, of which the first was served; tables and other features are pretended. */
class GuidedLineTest {
    private static final SignedIn MARIT = new SignedIn(7, 3, "Marit", Role.KEEPER);
    private static final Filter FIRST = Sump.of(1, "Undertow");
    private static final Filter SECOND = Sump.of(2, "Creek");
    private static final Filter THIRD = Sump.of(3, "Lagoon");
    private static final UUID ID = new UUID(0, 1);
    private static final GuidedRow SERVED =
            Sump.row(ID, 1, List.of(11L), List.of(21L, 20L, 31L), null, Occasion.SERVICE);

    private final GuidedMapper mapper = mock(GuidedMapper.class);
    private final FilterOperations filters = mock(FilterOperations.class);
    private final FollowUpOperations followUps = mock(FollowUpOperations.class);
    private final GuidedLine line = new GuidedLine(mapper, filters, followUps);

    @BeforeEach
    void three_filters() {
        when(mapper.find(3, ID)).thenReturn(Optional.of(SERVED));
        when(filters.list(MARIT, Sump.TANK)).thenReturn(List.of(FIRST, SECOND, THIRD));
        when(filters.find(MARIT, 1)).thenReturn(FIRST);
    }

    private static GuidedStart start(List<Long> tasks, @Nullable List<Long> then, @Nullable UUID after) {
        return new GuidedStart(2, tasks, Set.of(), null, null, null, then, after);
    }

    @Test
    void a_service_by_itself_has_nothing_around_it() {
        assertThat(line.around(MARIT, start(List.of(21L), null, null))).isEqualTo(Around.NOTHING);
    }

    @Test
    void the_second_knows_what_was_done_before_and_what_is_left() {
        assertThat(line.around(MARIT, start(List.of(21L, 20L), null, ID)))
                .isEqualTo(new Around(List.of(11L), List.of(31L)));
    }

    @Test
    void the_third_knows_of_both_before_it() {
        GuidedRow second = Sump.row(new UUID(0, 2), 2, List.of(21L, 20L), List.of(31L), ID, Occasion.SERVICE);
        when(mapper.find(3, second.id())).thenReturn(Optional.of(second));

        assertThat(line.around(MARIT, start(List.of(31L), null, second.id())))
                .isEqualTo(new Around(List.of(11L, 21L, 20L), List.of()));
    }

    @Test
    void what_follows_is_told_by_filter_in_its_order() {
        assertThat(line.coming(MARIT, SERVED))
                .containsExactly(new Coming(2, "Creek", List.of(21L, 20L)), new Coming(3, "Lagoon", List.of(31L)));
    }

    @Test
    void a_filter_that_is_gone_meanwhile_follows_no_more() {
        when(filters.list(MARIT, Sump.TANK)).thenReturn(List.of(FIRST, THIRD));

        assertThat(line.coming(MARIT, SERVED)).containsExactly(new Coming(3, "Lagoon", List.of(31L)));
    }

    @Test
    void the_reason_written_at_the_first_holds_for_the_next() {
        assertThat(line.reason(MARIT, start(List.of(21L), null, ID))).isEqualTo("Fish are away.");
        assertThat(line.reason(MARIT, start(List.of(21L), null, null))).isNull();
    }

    @Test
    void only_what_was_asked_for_follows() {
        line.checkAfter(MARIT, Sump.TANK, start(List.of(21L), null, ID));

        assertThatThrownBy(() -> line.checkAfter(MARIT, Sump.TANK, start(List.of(30L), null, ID)))
                .isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> line.checkAfter(MARIT, 99, start(List.of(21L), null, ID)))
                .isInstanceOf(Rejected.class);
        assertThatThrownBy(() -> line.checkAfter(MARIT, Sump.TANK, start(List.of(21L), null, new UUID(0, 8))))
                .isInstanceOf(NotFound.class);
    }

    @Test
    void a_heater_that_is_off_is_asked_for_until_somebody_goes_on() {
        line.heaterWaits(MARIT, SERVED, Sump.did(Effect.HEATER_OFF));
        verify(followUps).ask(eq(MARIT), eq(FIRST), any(), eq(List.of(FollowUp.ofHeater("Undertow", "Creek"))));

        line.goesOn(MARIT, start(List.of(21L), null, ID));
        verify(followUps).forget(eq(MARIT), any());
    }

    @Test
    void a_heater_that_is_on_or_that_nothing_waits_for_is_asked_for_by_nobody() {
        line.heaterWaits(MARIT, SERVED, Sump.did(Effect.HEATER_OFF, Effect.HEATER_ON));
        line.heaterWaits(
                MARIT, Sump.row(ID, 1, List.of(11L), List.of(), null, Occasion.SERVICE), Sump.did(Effect.HEATER_OFF));

        verify(followUps, never()).ask(any(), any(), any(), any());
    }
}
