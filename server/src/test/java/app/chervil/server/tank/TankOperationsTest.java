package app.chervil.server.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyInt;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoInteractions;
import static org.mockito.Mockito.when;

import app.chervil.core.tank.BacteriaHome;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.ContextChange.Kind;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.OpeningSchool;
import app.chervil.core.tank.RinseWater;
import app.chervil.core.tank.SockSchool;
import app.chervil.core.tank.Stocking;
import app.chervil.core.tank.TapWater;
import app.chervil.core.tank.Thoroughness;
import app.chervil.core.tank.WaterKind;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Conflict;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankInput.Schools;
import app.chervil.server.tank.TankInput.Setting;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import java.util.Optional;
import java.util.Set;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.ArgumentCaptor;
import org.springframework.context.ApplicationEventPublisher;

/** What a keeper may say of a tank, and what of it is logged; it is the first of June where the keeper lives. */
class TankOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final SignedIn HELPER = new SignedIn(2, 7, "Ben", Role.HELPER);
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final Instant NOW = Instant.parse("2026-05-31T23:30:00Z");

    private final TankMapper tanks = mock(TankMapper.class);
    private final ChangeMapper changes = mock(ChangeMapper.class);
    private final ApplicationEventPublisher events = mock(ApplicationEventPublisher.class);
    private final TankOperations operations =
            new TankOperations(tanks, changes, events, Clock.fixed(NOW, ZoneId.of("Europe/Berlin")));

    @BeforeEach
    void brook() {
        when(tanks.find(7, 3)).thenReturn(Optional.of(row()));
        when(tanks.insert(eq(7L), any())).thenReturn(3L);
        when(tanks.update(anyLong(), anyLong(), anyInt(), any())).thenReturn(1);
    }

    @Test
    void today_is_the_keepers_today() {
        assertThat(operations.today()).isEqualTo(TODAY);
    }

    @Test
    void a_new_tank_is_kept_without_spaces_around_its_name_and_announced() {
        operations.create(KEEPER, tank(" Brook ", " Lab ", Stocking.NORMAL, Feeding.NORMAL));

        ArgumentCaptor<TankInput> kept = ArgumentCaptor.forClass(TankInput.class);
        verify(tanks).insert(eq(7L), kept.capture());
        assertThat(kept.getValue().name()).isEqualTo("Brook");
        assertThat(kept.getValue().room()).isEqualTo("Lab");
        verify(events).publishEvent(new TankMade(KEEPER, 3));
    }

    @ParameterizedTest
    @ValueSource(strings = {"2026-06-02", "1949-12-31", "9999-12-31"})
    void a_day_that_cannot_be_is_refused_at_its_field(String day) {
        TankInput tank = new TankInput("Brook", "", 220.0, LocalDate.parse(day), setting(Stocking.NORMAL), SCHOOLS);

        assertThatThrownBy(() -> operations.create(KEEPER, tank))
                .isInstanceOfSatisfying(Rejected.class, refused -> assertThat(refused.violations())
                        .singleElement()
                        .satisfies(one -> assertThat(one.field()).isEqualTo("establishedOn")));
        verify(tanks, never()).insert(anyLong(), any());
    }

    @ParameterizedTest
    @ValueSource(strings = {"2026-06-01", "1950-01-01"})
    void the_first_and_the_last_possible_day_are_days(String day) {
        assertThat(operations.checkDay("on", LocalDate.parse(day))).isEqualTo(day);
    }

    @Test
    void more_fish_and_less_food_are_logged_on_the_day_they_came() {
        LocalDate on = TODAY.minusDays(9);

        operations.update(KEEPER, 3, new TankChange(1, on, tank("Brook", "Lab", Stocking.HEAVY, Feeding.LIGHT)));

        verify(changes).insert(7, 3, null, ContextChange.moved(on, Kind.STOCKING, Stocking.NORMAL, Stocking.HEAVY));
        verify(changes).insert(7, 3, null, ContextChange.moved(on, Kind.FEEDING, Feeding.NORMAL, Feeding.LIGHT));
    }

    @Test
    void another_name_is_no_change_of_context() {
        operations.update(KEEPER, 3, new TankChange(1, TODAY, tank("Beck", "Lab", Stocking.NORMAL, Feeding.NORMAL)));

        verifyNoInteractions(changes);
    }

    @Test
    void who_comes_second_is_shown_what_is_stored_and_nothing_is_logged() {
        when(tanks.update(anyLong(), anyLong(), anyInt(), any())).thenReturn(0);

        assertThatThrownBy(() -> operations.update(
                        KEEPER, 3, new TankChange(1, TODAY, tank("Brook", "Lab", Stocking.HEAVY, Feeding.NORMAL))))
                .isInstanceOf(Conflict.class)
                .hasMessageStartingWith("This tank was changed meanwhile.");
        verifyNoInteractions(changes);
    }

    @Test
    void a_change_cannot_have_come_tomorrow() {
        assertThatThrownBy(() -> operations.update(
                        KEEPER,
                        3,
                        new TankChange(1, TODAY.plusDays(1), tank("Brook", "Lab", Stocking.HEAVY, Feeding.NORMAL))))
                .hasMessage("This day has not come yet.");
        verify(tanks, never()).update(anyLong(), anyLong(), anyInt(), any());
    }

    @Test
    void a_tank_of_another_site_is_not_found() {
        when(tanks.find(7, 4)).thenReturn(Optional.empty());

        assertThatThrownBy(() -> operations.find(KEEPER, 4)).isInstanceOf(NotFound.class);
    }

    @Test
    void a_deleted_tank_can_be_brought_back_for_thirty_days() {
        when(tanks.restore(7, 3, NOW.minus(TankOperations.RESTORABLE))).thenReturn(1);

        assertThat(operations.restore(KEEPER, 3).id()).isEqualTo(3);
        assertThatThrownBy(() -> operations.restore(KEEPER, 4)).isInstanceOf(NotFound.class);
    }

    @Test
    void only_the_keeper_deletes_and_brings_back() {
        assertThatThrownBy(() -> operations.delete(HELPER, 3)).hasMessage("Only a keeper may do this.");
        assertThatThrownBy(() -> operations.restore(HELPER, 3)).hasMessage("Only a keeper may do this.");
        verify(tanks, never()).delete(anyLong(), anyLong(), any());
    }

    @Test
    void what_is_gone_cannot_be_deleted_again() {
        when(tanks.delete(7, 3, NOW)).thenReturn(0);

        assertThatThrownBy(() -> operations.delete(KEEPER, 3)).isInstanceOf(NotFound.class);
    }

    private static final Schools SCHOOLS =
            new Schools(OpeningSchool.CONDITION_LED, SockSchool.CLARITY, RinseWater.TANK_WATER, Thoroughness.LIGHT);

    private static Setting setting(Stocking stocking) {
        return new Setting(WaterKind.FRESH, stocking, Feeding.NORMAL, BacteriaHome.MEDIA, TapWater.CHLORAMINE);
    }

    private static TankInput tank(String name, String room, Stocking stocking, Feeding feeding) {
        return new TankInput(
                name,
                room,
                220.0,
                LocalDate.of(2024, 1, 1),
                new Setting(WaterKind.FRESH, stocking, feeding, BacteriaHome.MEDIA, TapWater.CHLORAMINE),
                SCHOOLS);
    }

    private static TankRow row() {
        return new TankRow(
                3,
                "Brook",
                "Lab",
                220,
                WaterKind.FRESH,
                LocalDate.of(2024, 1, 1),
                Stocking.NORMAL,
                Feeding.NORMAL,
                BacteriaHome.MEDIA,
                TapWater.CHLORAMINE,
                OpeningSchool.CONDITION_LED,
                SockSchool.CLARITY,
                RinseWater.TANK_WATER,
                Thoroughness.LIGHT,
                true,
                8,
                0.25,
                new Living(Set.of()),
                1,
                false,
                null,
                new Changes(List.of()));
    }
}
