package app.chervil.server.device;

import app.chervil.core.device.DeviceTest;
import app.chervil.server.account.SignedIn;
import app.chervil.server.followup.DueLooks;
import app.chervil.server.followup.FollowUpOperations.Asked;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.LocalDate;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** Tests of devices, as the rounds ask for them: so long after a device was fitted or last tried out. */
@Component
class DeviceTests implements DueLooks {
    private final DeviceMapper devices;
    private final Clock clock;

    DeviceTests(DeviceMapper devices, Clock clock) {
        this.devices = devices;
        this.clock = clock;
    }

    @Override
    public List<Asked> due(SignedIn who, LocalDate today) {
        return devices.list(who.siteId(), null).stream()
                .flatMap(device -> asked(device, today).stream())
                .toList();
    }

    private Optional<Asked> asked(DeviceRow device, LocalDate today) {
        LocalDate last = device.lastTried();
        return DeviceTest.of(device.kind(), device.name())
                .filter(test -> !last.plusDays(test.days()).isAfter(today))
                .map(test -> new Asked(
                        idOf(device, last),
                        device.tankId(),
                        test.words(),
                        last.plusDays(test.days()).atStartOfDay(clock.getZone()).toInstant()));
    }

    private static UUID idOf(DeviceRow device, LocalDate last) {
        return UUID.nameUUIDFromBytes(
                ("test " + device.siteId() + " " + device.id() + " " + last).getBytes(StandardCharsets.UTF_8));
    }

    @Override
    public boolean done(SignedIn who, UUID id, LocalDate today) {
        Optional<DeviceRow> tried = devices.list(who.siteId(), null).stream()
                .filter(device -> idOf(device, device.lastTried()).equals(id))
                .findFirst();
        tried.ifPresent(device -> devices.updateTested(who.siteId(), device.id(), today, device.lastTried()));
        return tried.isPresent() || isDone(who, id).isPresent();
    }

    @Override
    public boolean undone(SignedIn who, UUID id) {
        Optional<DeviceRow> tried = isDone(who, id);
        tried.ifPresent(device -> devices.updateTested(who.siteId(), device.id(), device.testedBefore(), null));
        return tried.isPresent();
    }

    private Optional<DeviceRow> isDone(SignedIn who, UUID id) {
        return devices.list(who.siteId(), null).stream()
                .filter(device -> device.testedBefore() != null
                        && idOf(device, device.testedBefore()).equals(id))
                .findFirst();
    }
}
