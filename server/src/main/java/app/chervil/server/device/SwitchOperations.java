package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.Switching;
import app.chervil.core.device.Switching.Refusal;
import app.chervil.core.device.Switching.State;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.SignalMapper.StateRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import app.chervil.server.problem.Rejected.Violation;
import app.chervil.server.procedure.GuidedOperations;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.springframework.http.HttpStatus;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Switches plugs: off at once, on only by somebody who says that nothing speaks against it, and never during a service. */
@Service
public class SwitchOperations {
    private final DeviceMapper devices;
    private final SignalMapper signals;
    private final GuidedOperations guided;
    private final PlugOrders orders;
    private final Clock clock;

    SwitchOperations(
            DeviceMapper devices, SignalMapper signals, GuidedOperations guided, PlugOrders orders, Clock clock) {
        this.devices = devices;
        this.signals = signals;
        this.guided = guided;
        this.orders = orders;
        this.clock = clock;
    }

    /**
     * Switches a plug.
     *
     * @param confirmed whether a person says now that no hand is in the water, the pump is under water and its valves are open
     * @throws Rejected if it may not go on, or nothing leads to it
     */
    @Transactional
    public void turn(SignedIn who, long id, boolean on, boolean confirmed) {
        DeviceRow plug = devices.find(who.siteId(), id)
                .filter(device -> device.kind() == DeviceKind.PLUG)
                .orElseThrow(() -> new NotFound("plug"));
        if (on) {
            // A service that begins waits for this row, and so for the order.
            devices.findTankLocked(who.siteId(), plug.tankId());
            Instant now = clock.instant();
            State state = new State(
                    guided.atWork(who).containsKey(plug.tankId()),
                    wet(who, plug.tankId()),
                    confirmed ? Optional.of(now) : Optional.empty());
            Switching.on(state, now).ifPresent(SwitchOperations::refuse);
        }
        if (!orders.give(id, on)) {
            throw new Rejected(
                    HttpStatus.SERVICE_UNAVAILABLE,
                    List.of(new Violation(
                            "", "plug-away", "The plug can’t be reached. Switch it by hand, at the plug.")));
        }
    }

    private boolean wet(SignedIn who, long tank) {
        Set<Long> sensors = devices.list(who.siteId(), null).stream()
                .filter(device -> device.kind() == DeviceKind.LEAK && device.tankId() == tank)
                .map(DeviceRow::id)
                .collect(Collectors.toSet());
        return signals.listStates(who.siteId()).stream()
                .filter(state -> sensors.contains(state.deviceId()))
                .anyMatch(SwitchOperations::amiss);
    }

    private static boolean amiss(StateRow state) {
        return state.amissSince() != null;
    }

    private static void refuse(Refusal refusal) {
        throw new Rejected(
                HttpStatus.CONFLICT,
                List.of(new Violation(
                        "on", refusal.name().toLowerCase(Locale.ROOT).replace('_', '-'), refusal.words())));
    }
}
