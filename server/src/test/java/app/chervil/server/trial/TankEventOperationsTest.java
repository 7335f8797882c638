package app.chervil.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.site.Change;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.water.Medication;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.trial.TankEventMapper.EventRow;
import app.chervil.server.trial.TankEventOperations.EventInput;
import app.chervil.server.trial.TankEventOperations.EventView;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.Answers;

/** What else changed in a tank, from the keeper's word, its edits and its medicines; against mocked mappers. */
class TankEventOperationsTest {
    private static final long TANK = 4;
    private static final LocalDate MAY = LocalDate.of(2026, 5, 1);
    private static final UUID ID = new UUID(0, 7);

    private final TankEventMapper mapper = mock();
    private final TankOperations tanks = mock();
    private final SiteBooks books = mock(Answers.RETURNS_DEEP_STUBS);
    private final SignedIn marit = mock();
    private final TankEventOperations operations = new TankEventOperations(mapper, tanks, books, Clock.systemUTC());

    @BeforeEach
    void marit() {
        when(marit.siteId()).thenReturn(1L);
        when(marit.name()).thenReturn("Marit");
        when(books.tank(marit, TANK).records().changes()).thenReturn(List.of());
    }

    private void medicated(Medication medicine) {
        when(books.tank(marit, TANK).records().water().medications()).thenReturn(List.of(medicine));
    }

    private static EventRow row(int day, TankEventKind kind, String note) {
        return new EventRow(new UUID(0, day), TANK, MAY.plusDays(day), kind, note, "Marit");
    }

    @Test
    void all_that_changed_stands_in_one_list_by_its_day() {
        when(mapper.list(1, TANK))
                .thenReturn(List.of(row(9, TankEventKind.OTHER, "Lamp moved"), row(2, TankEventKind.FED_LESS, "")));
        when(books.tank(marit, TANK).records().changes())
                .thenReturn(List.of(new Change(
                        1,
                        TANK,
                        Optional.empty(),
                        new ContextChange(MAY.plusDays(5), ContextChange.Kind.STOCKING, 1))));
        medicated(new Medication(MAY.plusDays(3), Optional.of(MAY.plusDays(6))));

        assertThat(operations.list(marit, TANK, MAY, MAY.plusDays(30)))
                .extracting(EventView::words)
                .containsExactly("Fed less", "A medicine begun", "Stocking raised", "A medicine over", "Lamp moved");
    }

    @Test
    void what_was_before_or_after_is_left_out_and_a_medicine_without_an_end_has_none() {
        when(mapper.list(1, TANK))
                .thenReturn(List.of(row(0, TankEventKind.FED_MORE, "fry"), row(10, TankEventKind.FED_LESS, "")));
        medicated(new Medication(MAY.plusDays(3), Optional.empty()));

        assertThat(operations.list(marit, TANK, MAY, MAY.plusDays(10)))
                .extracting(EventView::words)
                .containsExactly("Fed more: fry", "A medicine begun");
        assertThat(operations.list(marit, TANK, MAY.plusDays(1), MAY.plusDays(3)))
                .isEmpty();
    }

    private static EventInput told(String note) {
        return new EventInput(MAY, TankEventKind.OTHER, note);
    }

    @Test
    void told_twice_under_one_id_it_is_kept_once_and_something_else_under_it_is_refused() {
        when(mapper.insert(anyLong(), any())).thenReturn(0);
        when(mapper.find(1, ID))
                .thenReturn(Optional.of(new EventRow(ID, TANK, MAY, TankEventKind.OTHER, "Lamp moved", "Marit")));

        operations.tell(marit, TANK, ID, told(" Lamp moved "));

        assertThatThrownBy(() -> operations.tell(marit, TANK, ID, told("Pump swapped")))
                .isInstanceOf(Rejected.class);
    }

    @Test
    void something_else_wants_a_word_and_nothing_is_kept_without() {
        assertThatThrownBy(() -> operations.tell(marit, TANK, ID, told("  "))).isInstanceOf(Rejected.class);

        verify(mapper, never()).insert(anyLong(), any());
    }

    @Test
    void what_is_not_there_cannot_be_taken_back_or_put_back() {
        assertThatThrownBy(() -> operations.takeBack(marit, ID)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> operations.restore(marit, ID)).isInstanceOf(NotFound.class);
    }
}
