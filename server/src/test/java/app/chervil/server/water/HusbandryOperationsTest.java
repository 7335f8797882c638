package app.chervil.server.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.RETURNS_DEEP_STUBS;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.site.Tank;
import app.chervil.core.water.Parameter;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.problem.Rejected;
import app.chervil.server.tank.TankOperations;
import app.chervil.server.water.HusbandryOperations.ChangeInput;
import app.chervil.server.water.WaterRows.ChangeRow;
import java.time.Clock;
import java.time.Instant;
import java.time.ZoneOffset;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.mockito.ArgumentCaptor;

/** What is asked about a water change before it is kept: a tank of 38 litres, at 25 °C when last read. */
class HusbandryOperationsTest {
    private static final SignedIn KEEPER = new SignedIn(1, 7, "Ada", Role.KEEPER);
    private static final Instant NOW = Instant.parse("2026-06-01T10:00:00Z");
    private static final UUID ID = new UUID(0, 1);

    private final HusbandryMapper mapper = mock(HusbandryMapper.class);
    private final ReadingOperations readings = mock(ReadingOperations.class);
    private final TankOperations tanks = mock(TankOperations.class);
    private final HusbandryOperations husbandry =
            new HusbandryOperations(mapper, readings, tanks, Clock.fixed(NOW, ZoneOffset.UTC));

    @BeforeEach
    void tank() {
        when(mapper.insertChange(anyLong(), any())).thenReturn(1);
        Tank tank = mock(Tank.class, RETURNS_DEEP_STUBS);
        when(tank.netVolumeL()).thenReturn(38.0);
        when(tanks.find(KEEPER, 3)).thenReturn(tank);
        when(readings.latest(KEEPER, 3, Parameter.TEMPERATURE)).thenReturn(Optional.of(25.0));
    }

    @Test
    void a_usual_change_is_kept_without_a_question() {
        husbandry.change(KEEPER, 3, ID, change(10, null, 24.0, null));

        assertThat(kept().confirmed()).isNull();
        assertThat(kept().litres()).isEqualTo(10);
    }

    @Test
    void most_of_the_tank_at_once_is_asked_about_with_its_share() {
        assertThatThrownBy(() -> husbandry.change(KEEPER, 3, ID, change(38, null, null, null)))
                .isInstanceOf(Rejected.class)
                .hasMessageStartingWith("That is 100 % of the tank at once");
        verify(mapper, never()).insertChange(anyLong(), any());
    }

    @ParameterizedTest
    @ValueSource(doubles = {4, 20.9, 29.1, 35})
    void new_water_far_from_the_tanks_temperature_is_asked_about(double celsius) {
        assertThatThrownBy(() -> husbandry.change(KEEPER, 3, ID, change(10, null, celsius, null)))
                .hasMessageStartingWith("The tank was at 25 °C.");
    }

    @ParameterizedTest
    @ValueSource(doubles = {21, 25, 29})
    void new_water_near_it_is_not(double celsius) {
        husbandry.change(KEEPER, 3, ID, change(10, null, celsius, null));

        assertThat(kept().newWaterC()).isEqualTo(celsius);
    }

    @Test
    void a_hundred_times_the_label_is_asked_about() {
        assertThatThrownBy(() -> husbandry.change(KEEPER, 3, ID, change(10, 250.0, null, null)))
                .hasMessageStartingWith("That is far more than any label asks for.");
    }

    @Test
    void what_the_keeper_stands_by_is_kept_with_what_was_asked() {
        husbandry.change(KEEPER, 3, ID, change(38, null, 4.0, true));

        assertThat(kept().confirmed()).contains("That is 100 % of the tank", "The tank was at 25 °C");
    }

    @Test
    void nobodys_word_makes_a_tank_hold_more_than_it_does() {
        assertThatThrownBy(() -> husbandry.change(KEEPER, 3, ID, change(39, null, null, true)))
                .isInstanceOf(Rejected.class)
                .hasMessageContaining("holds 38");
    }

    private ChangeRow kept() {
        ArgumentCaptor<ChangeRow> row = ArgumentCaptor.forClass(ChangeRow.class);
        verify(mapper).insertChange(anyLong(), row.capture());
        return row.getValue();
    }

    private static ChangeInput change(
            double litres, @Nullable Double conditioner, @Nullable Double celsius, @Nullable Boolean confirmed) {
        return new ChangeInput(
                NOW, litres, 0, conditioner, conditioner == null ? null : DosedFor.NEW_WATER, celsius, "", confirmed);
    }
}
