package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyBoolean;
import static org.mockito.ArgumentMatchers.anyLong;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.core.device.DeviceKind;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.SignalMapper.StateRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.procedure.GuidedOperations;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;

class SwitchOperationsTest {
    private static final Instant NOW = Instant.parse("2026-06-01T12:00:00Z");
    private static final SignedIn OSEI = new SignedIn(2, 1, "Osei", Role.HELPER);
    private static final long PLUG = 7;
    private static final long LEAK = 8;
    private static final long TANK = 3;

    private final DeviceMapper devices = mock(DeviceMapper.class);
    private final SignalMapper signals = mock(SignalMapper.class);
    private final GuidedOperations guided = mock(GuidedOperations.class);
    private final PlugOrders orders = mock(PlugOrders.class);
    private final SwitchOperations operations =
            new SwitchOperations(devices, signals, guided, orders, Clock.fixed(NOW, ZoneOffset.UTC));

    private static DeviceRow device(long id, DeviceKind kind) {
        return new DeviceRow(
                1, id, TANK, null, null, kind, "One", LocalDate.EPOCH, null, null, null, 1, "Brook", null, null, null);
    }

    private static StateRow state(long id, @Nullable Instant amiss) {
        return new StateRow(id, NOW, NOW, 1.0, amiss, null, null, null);
    }

    @BeforeEach
    void aPlugAndADryFloor() {
        when(devices.find(1, PLUG)).thenReturn(Optional.of(device(PLUG, DeviceKind.PLUG)));
        when(devices.find(1, LEAK)).thenReturn(Optional.of(device(LEAK, DeviceKind.LEAK)));
        when(devices.list(1, null)).thenReturn(List.of(device(PLUG, DeviceKind.PLUG), device(LEAK, DeviceKind.LEAK)));
        when(signals.listStates(1)).thenReturn(List.of(state(PLUG, NOW), state(LEAK, null)));
        when(guided.atWork(any())).thenReturn(Map.of());
        when(orders.give(anyLong(), anyBoolean())).thenReturn(true);
    }

    @Test
    void goes_on_by_a_persons_word_and_holds_the_tank_so_that_no_service_begins_meanwhile() {
        operations.turn(OSEI, PLUG, true, true);

        InOrder order = inOrder(devices, guided, orders);
        order.verify(devices).findTankLocked(1, TANK);
        order.verify(guided).atWork(OSEI);
        order.verify(orders).give(PLUG, true);
    }

    @Test
    void stays_off_without_a_word() {
        assertThatThrownBy(() -> operations.turn(OSEI, PLUG, true, false))
                .isInstanceOf(Rejected.class)
                .hasMessageContaining("no hand is in the water");
        verify(orders, never()).give(anyLong(), anyBoolean());
    }

    @Test
    void stays_off_during_a_service_whatever_is_said() {
        when(guided.atWork(any())).thenReturn(Map.of(TANK, NOW.minusSeconds(86_400)));

        assertThatThrownBy(() -> operations.turn(OSEI, PLUG, true, true))
                .hasMessageContaining("A service is in progress");
        verify(orders, never()).give(anyLong(), anyBoolean());
    }

    @Test
    void stays_off_over_a_wet_floor() {
        when(signals.listStates(1)).thenReturn(List.of(state(PLUG, NOW), state(LEAK, NOW)));

        assertThatThrownBy(() -> operations.turn(OSEI, PLUG, true, true)).hasMessageContaining("leak sensor");
    }

    @Test
    void goes_off_at_once_and_always() {
        when(guided.atWork(any())).thenReturn(Map.of(TANK, NOW));
        when(signals.listStates(1)).thenReturn(List.of(state(LEAK, NOW)));

        operations.turn(OSEI, PLUG, false, false);

        verify(orders).give(PLUG, false);
    }

    @Test
    void says_so_where_nothing_leads_to_the_plug() {
        when(orders.give(anyLong(), anyBoolean())).thenReturn(false);

        assertThatThrownBy(() -> operations.turn(OSEI, PLUG, false, false)).hasMessageContaining("by hand");
    }

    @Test
    void what_is_no_plug_is_not_switched() {
        assertThatThrownBy(() -> operations.turn(OSEI, LEAK, true, true)).isInstanceOf(NotFound.class);
    }
}
