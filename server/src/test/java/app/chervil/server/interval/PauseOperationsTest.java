package app.chervil.server.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.interval.Pauses.Cause;
import app.chervil.core.site.Filter;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.filter.FilterOperations;
import app.chervil.server.interval.PauseMapper.PauseRow;
import app.chervil.server.interval.PauseOperations.PauseInput;
import app.chervil.server.interval.PauseOperations.PauseView;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Filter 5 hangs on tank 3, filter 6 on tank 4. */
class PauseOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final UUID ID = new UUID(0, 1);

    private final PauseMapper mapper = mock(PauseMapper.class);
    private final FilterOperations filters = mock(FilterOperations.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final PauseOperations pauses = new PauseOperations(mapper, filters, tanks);

    @BeforeEach
    void site() {
        when(tanks.today()).thenReturn(TODAY);
        Filter mine = mock(Filter.class);
        when(mine.tankId()).thenReturn(3L);
        Filter others = mock(Filter.class);
        when(others.tankId()).thenReturn(4L);
        when(filters.find(KEEPER, 5)).thenReturn(mine);
        when(filters.find(KEEPER, 6)).thenReturn(others);
    }

    @Test
    void a_pause_of_one_filter_is_kept_as_it_was_told() {
        pauses.save(KEEPER, 3, ID, new PauseInput(5L, Cause.OFF, TODAY.minusDays(4), null));

        verify(mapper).insert(7, new PauseRow(ID, 3, 5L, Cause.OFF, TODAY.minusDays(4), null));
    }

    @Test
    void a_filter_of_another_tank_is_not_found_there() {
        assertThatThrownBy(() -> pauses.save(KEEPER, 3, ID, new PauseInput(6L, Cause.OFF, TODAY, null)))
                .isInstanceOf(NotFound.class);
        verify(mapper, never()).insert(anyLong(), any());
    }

    @Test
    void it_ends_after_it_began_and_begins_within_a_year() {
        refused(new PauseInput(null, Cause.AWAY, TODAY, TODAY), "It cannot end before it began.");
        refused(new PauseInput(null, Cause.AWAY, TODAY.plusDays(367), null), "At most a year ahead.");
    }

    @Test
    void a_holiday_can_be_entered_before_it_begins() {
        pauses.save(KEEPER, 3, ID, new PauseInput(null, Cause.AWAY, TODAY.plusDays(30), TODAY.plusDays(44)));

        verify(mapper).insert(7, new PauseRow(ID, 3, null, Cause.AWAY, TODAY.plusDays(30), TODAY.plusDays(44)));
    }

    @Test
    void only_pauses_of_that_tank_are_listed() {
        when(mapper.list(7, 3L)).thenReturn(List.of(row(3, 5L, Cause.OFF)));

        assertThat(pauses.list(KEEPER, 3)).extracting(PauseView::filterId).containsExactly(5L);
    }

    @Test
    void a_pause_that_is_not_there_can_neither_end_nor_be_taken_out() {
        when(mapper.list(7, null)).thenReturn(List.of());
        when(mapper.delete(7, ID)).thenReturn(0);

        assertThatThrownBy(() -> pauses.end(KEEPER, ID, TODAY)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> pauses.remove(KEEPER, ID)).isInstanceOf(NotFound.class);
    }

    @Test
    void a_pause_ends_on_the_first_usual_day() {
        PauseRow open = row(3, 5L, Cause.OFF);
        when(mapper.list(7, null)).thenReturn(List.of(open));

        assertThatThrownBy(() -> pauses.end(KEEPER, open.id(), open.firstDay())).isInstanceOf(Rejected.class);
        pauses.end(KEEPER, open.id(), open.firstDay().plusDays(1));

        verify(mapper).end(7, open.id(), open.firstDay().plusDays(1));
    }

    private void refused(PauseInput input, String why) {
        assertThatThrownBy(() -> pauses.save(KEEPER, 3, ID, input))
                .isInstanceOf(Rejected.class)
                .hasMessage(why);
        verify(mapper, never()).insert(anyLong(), any());
    }

    private static PauseRow row(long tank, @Nullable Long filter, Cause cause) {
        return new PauseRow(UUID.randomUUID(), tank, filter, cause, TODAY.minusDays(9), null);
    }
}
