package app.chervil.server.device;

import app.chervil.server.account.SignedIn;
import app.chervil.server.device.SignalMapper.StateRow;
import app.chervil.server.procedure.FilterPower;
import java.time.Instant;
import java.util.Map;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** What the plugs of filters see, for whoever begins a service. */
@Component
class PlugSight implements FilterPower {
    private final DeviceMapper devices;
    private final SignalMapper signals;

    PlugSight(DeviceMapper devices, SignalMapper signals) {
        this.devices = devices;
        this.signals = signals;
    }

    @Override
    public Optional<Instant> offSince(SignedIn who, long filter) {
        Map<Long, StateRow> states = StateRow.byDevice(signals.listStates(who.siteId()));
        return devices.list(who.siteId(), null).stream()
                .filter(device -> device.isPlugOf(filter))
                .flatMap(plug -> Optional.ofNullable(states.get(plug.id())).stream())
                .flatMap(state -> Standing.of(state).since().stream())
                .findFirst();
    }
}
