package app.chervil.server.followup;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.procedure.FollowUp;
import app.chervil.core.site.Filter;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.followup.FollowUpMapper.FollowUpRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.tank.TankOperations;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.mockito.ArgumentCaptor;

class FollowUpOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final Instant EVENING = Instant.parse("2026-11-27T23:20:00Z");
    private static final UUID WORK = new UUID(0, 1);

    private final FollowUpMapper mapper = mock();
    private final TankOperations tanks = mock();
    private final DueLooks byCalendar = mock();

    @ParameterizedTest
    @CsvSource({
        "2026-11-27T00:00:00Z, 2026-11-28T00:00:00Z",
        "2026-11-27T20:59:00Z, 2026-11-28T00:00:00Z",
        "2026-11-27T23:20:00Z, 2026-11-28T02:20:00Z"
    })
    void the_day_is_shown_and_late_in_the_evening_what_the_night_asks_for(Instant now, Instant before) {
        at(now).open(KEEPER);

        verify(mapper).listOpen(eq(7L), eq(before), any());
    }

    @Test
    void each_look_is_asked_for_so_long_after_the_work() {
        at(EVENING).ask(KEEPER, filter(), WORK, FollowUp.ofSetUp(FilterKind.CANISTER, "Weir"));

        assertThat(inserted(2).getAllValues())
                .extracting(FollowUpRow::dueAt)
                .containsExactly(EVENING.plus(Duration.ofHours(1)), EVENING.plus(Duration.ofDays(1)));
    }

    @Test
    void asked_twice_for_the_same_work_it_is_the_same_look() {
        FollowUpOperations looks = at(EVENING);
        looks.ask(KEEPER, filter(), WORK, FollowUp.ofSetUp(FilterKind.SUMP, "Weir"));
        looks.ask(KEEPER, filter(), WORK, FollowUp.ofSetUp(FilterKind.SUMP, "Weir"));

        assertThat(inserted(2).getAllValues())
                .extracting(FollowUpRow::id)
                .containsOnly(inserted(2).getValue().id());
    }

    @Test
    void what_the_calendar_asks_for_stands_beside_what_work_does() {
        FollowUpOperations looks = at(EVENING);
        FollowUpOperations.Asked test = new FollowUpOperations.Asked(WORK, 3, "Touch it.", EVENING);
        when(byCalendar.due(KEEPER, LocalDate.of(2026, 11, 27))).thenReturn(List.of(test));
        when(byCalendar.done(KEEPER, WORK, LocalDate.of(2026, 11, 27))).thenReturn(true);
        when(byCalendar.undone(KEEPER, WORK)).thenReturn(true);

        assertThat(looks.open(KEEPER)).containsExactly(test);
        looks.done(KEEPER, WORK);
        looks.undone(KEEPER, WORK);

        verify(byCalendar).done(KEEPER, WORK, LocalDate.of(2026, 11, 27));
        verify(byCalendar).undone(KEEPER, WORK);
    }

    @Test
    void a_look_nobody_asked_for_is_not_found() {
        assertThatThrownBy(() -> at(EVENING).done(KEEPER, WORK)).isInstanceOf(NotFound.class);
        assertThatThrownBy(() -> at(EVENING).undone(KEEPER, WORK)).isInstanceOf(NotFound.class);
    }

    private ArgumentCaptor<FollowUpRow> inserted(int often) {
        ArgumentCaptor<FollowUpRow> rows = ArgumentCaptor.forClass(FollowUpRow.class);
        verify(mapper, times(often)).insert(eq(7L), eq(WORK), rows.capture());
        return rows;
    }

    private static Filter filter() {
        Filter filter = mock();
        when(filter.id()).thenReturn(5L);
        when(filter.tankId()).thenReturn(3L);
        return filter;
    }

    private FollowUpOperations at(Instant now) {
        when(tanks.today()).thenReturn(LocalDate.ofInstant(now, ZoneOffset.UTC));
        return new FollowUpOperations(mapper, tanks, List.of(byCalendar), Clock.fixed(now, ZoneOffset.UTC));
    }
}
