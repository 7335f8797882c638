package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.Signal;
import app.chervil.core.interval.Sign;
import app.chervil.server.account.SignedIn;
import app.chervil.server.interval.LookInput;
import app.chervil.server.interval.LookOperations;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.TreeMap;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** What a lamp's counter reads, noted once a day as if somebody had looked. */
@Component
class LampCounts {
    private final LookOperations looks;
    private final Clock clock;

    LampCounts(LookOperations looks, Clock clock) {
        this.looks = looks;
        this.clock = clock;
    }

    /** Notes the first of these readings on each of their days, where that day has none yet. */
    void log(DeviceRow device, List<Signal> signals) {
        if (device.stageId() == null) {
            return;
        }
        long stage = device.stageId();
        TreeMap<LocalDate, Double> firsts = new TreeMap<>();
        signals.forEach(
                signal -> firsts.putIfAbsent(signal.at().atZone(clock.getZone()).toLocalDate(), signal.value()));
        firsts.forEach((day, hours) -> looks.note(
                SignedIn.nobody(device.siteId()),
                UUID.nameUUIDFromBytes((DeviceKind.LAMP + " " + device.siteId() + " " + device.id() + " " + day)
                        .getBytes(StandardCharsets.UTF_8)),
                new LookInput(stage, day, Sign.BURNT, hours),
                device.name()));
    }
}
