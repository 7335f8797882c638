package app.chervil.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.chervil.core.agenda.Moved;
import app.chervil.core.agenda.PlanState;
import app.chervil.core.agenda.Standing;
import app.chervil.core.agenda.Told;
import app.chervil.server.plan.Known.Step;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import org.junit.jupiter.api.Test;

/** A plan C that came by way of B from A. */
class KnownTest {
    private static final Moved FIRST = new Moved(Instant.EPOCH, List.of("a log"), List.of());
    private static final Moved SECOND = new Moved(Instant.EPOCH.plusSeconds(9), List.of("a day off"), List.of());

    private static Known plan(boolean rough) {
        Standing standing = mock(Standing.class);
        when(standing.told()).thenReturn(new Told("C", 8, PlanState.NONE, List.of(), rough, List.of()));
        return new Known(
                standing,
                List.of(),
                List.of(
                        new Step("A", Optional.empty(), Optional.of(FIRST)),
                        new Step("B", Optional.empty(), Optional.of(SECOND))));
    }

    @Test
    void what_is_kept_by_now_is_not_told_again() {
        assertThat(plan(false).since("A")).extracting(Step::from).containsExactly("A", "B");
        assertThat(plan(false).since("B")).extracting(Step::from).containsExactly("B");
        assertThat(plan(false).since("C")).isEmpty();
    }

    @Test
    void a_plan_that_somebody_else_kept_off_the_way_is_begun_from_anew() {
        assertThat(plan(false).leadsFrom("A")).isTrue();
        assertThat(plan(false).leadsFrom("C")).isTrue();
        assertThat(plan(false).leadsFrom("decided")).isFalse();
        assertThat(plan(false).leadsFrom(Known.NONE)).isFalse();
    }

    @Test
    void one_made_in_haste_may_have_been_bettered() {
        assertThat(plan(true).leadsFrom("C")).isFalse();
    }

    @Test
    void people_are_told_the_latest_first() {
        assertThat(plan(false).untold()).containsExactly(SECOND, FIRST);
    }
}
