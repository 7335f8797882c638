package app.chervil.server.device;

import app.chervil.core.device.Alarm;
import app.chervil.core.device.Alarms;
import app.chervil.core.device.Alarms.Around;
import app.chervil.core.device.Alarms.Power;
import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.Signal;
import app.chervil.core.device.Vigil;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.AlertMapper.Begins;
import app.chervil.server.device.SignalMapper.StateRow;
import app.chervil.server.problem.NotFound;
import app.chervil.server.procedure.GuidedOperations;
import app.chervil.server.procedure.PowerSeen;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.UUID;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Brings the alerts that stand into line with the alarms that hold: after every reading, and every few seconds for what time
 * alone brings about.
 */
@Service
public class VigilOperations {
    private final DeviceMapper devices;
    private final SignalMapper signals;
    private final AlertMapper alerts;
    private final GuidedOperations guided;
    private final Clock clock;

    VigilOperations(
            DeviceMapper devices, SignalMapper signals, AlertMapper alerts, GuidedOperations guided, Clock clock) {
        this.devices = devices;
        this.signals = signals;
        this.alerts = alerts;
        this.guided = guided;
        this.clock = clock;
    }

    /** Looks at every device of a site. */
    @Transactional
    public void look(long site) {
        Map<Long, StateRow> states = states(site);
        Map<Long, Instant> touched = guided.atWork(SignedIn.nobody(site));
        List<DeviceRow> all = devices.list(site, null);
        all.forEach(device -> Optional.ofNullable(states.get(device.id()))
                .ifPresent(state -> judge(device, state, touched, power(device, all, states))));
    }

    private Map<Long, StateRow> states(long site) {
        return StateRow.byDevice(signals.listStates(site));
    }

    /** What the plug of a device's filter says. */
    private static Power power(DeviceRow device, List<DeviceRow> all, Map<Long, StateRow> states) {
        return all.stream()
                .filter(one -> one.isPlugOf(device.filterId()))
                .flatMap(one -> Optional.ofNullable(states.get(one.id())).stream())
                .map(state -> Power.of(Standing.of(state)))
                .findFirst()
                .orElse(Power.UNKNOWN);
    }

    /** Looks at one device after it was told something. */
    void look(DeviceRow device, StateRow state) {
        long site = device.siteId();
        Power power = device.kind() == DeviceKind.FLOW
                ? power(device, devices.list(site, null), states(site))
                : Power.UNKNOWN;
        judge(device, state, guided.atWork(SignedIn.nobody(site)), power);
    }

    /** Forgets what a device used to read: what it reads now is how it is. */
    void beginAnew(long site, long id) {
        DeviceRow device = devices.find(site, id).orElseThrow(() -> new NotFound("device"));
        StateRow state = signals.findLocked(site, id).orElseThrow();
        StateRow anew = Standing.row(id, Standing.of(state).begunAnew(), state.heardAt());
        signals.updateState(site, anew);
        look(device, anew);
    }

    /** A plug saw its filter stop or start; if that is being serviced, the clock there goes by it. */
    void turned(DeviceRow plug, boolean on, Instant at) {
        if (plug.filterId() != null) {
            UUID id = UUID.nameUUIDFromBytes(
                    (DeviceKind.PLUG + " " + plug.siteId() + " " + plug.id() + " " + on + " " + at.toEpochMilli())
                            .getBytes(StandardCharsets.UTF_8));
            guided.seen(SignedIn.nobody(plug.siteId()), plug.filterId(), plug.name(), new PowerSeen(id, on, at));
        }
    }

    private void judge(DeviceRow device, StateRow state, Map<Long, Instant> touched, Power power) {
        Instant now = clock.instant();
        Vigil vigil = Standing.of(state);
        Around around = new Around(
                Alarms.quietAfter(device.quietAfter(), state.heardAt(), Optional.ofNullable(state.goneAt())),
                state.heardAt(),
                Optional.ofNullable(touched.get(device.tankId())),
                power);
        Set<Alarm> holding = Alarms.of(device.kind(), vigil, around, now);
        alerts.updateOthersEnded(device.siteId(), device.id(), holding, now);
        for (Alarm alarm : holding) {
            alerts.insert(
                    device.siteId(),
                    device,
                    new Begins(
                            alarm,
                            alarm == Alarm.SILENT
                                    ? state.heardAt()
                                    : vigil.since().or(vigil::backOn).orElse(now),
                            vigil.last().map(Signal::value).orElse(null),
                            Standing.usual(vigil)),
                    now);
        }
    }
}
