package app.chervil.server.device;

import app.chervil.core.device.Fitted.DueTest;
import app.chervil.core.site.TankBook;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
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
    private final SiteBooks books;
    private final Clock clock;

    DeviceTests(DeviceMapper devices, SiteBooks books, Clock clock) {
        this.books = books;
        this.devices = devices;
        this.clock = clock;
    }

    @Override
    public List<Asked> due(SignedIn who, LocalDate today) {
        return books.site(who).tanks().stream()
                .flatMap(tank -> tank.records().devices().fitted().stream().flatMap(device -> device.due(today).stream()
                        .map(due -> asked(idOf(who.siteId(), device.id(), due.lastTried()), tank, due))))
                .toList();
    }

    private Asked asked(UUID id, TankBook tank, DueTest due) {
        return new Asked(
                id,
                tank.tank().id(),
                due.test().words(),
                due.since().atStartOfDay(clock.getZone()).toInstant());
    }

    private static UUID idOf(long site, long device, LocalDate last) {
        return UUID.nameUUIDFromBytes(("test " + site + " " + device + " " + last).getBytes(StandardCharsets.UTF_8));
    }

    private static UUID idOf(DeviceRow device, LocalDate last) {
        return idOf(device.siteId(), device.id(), last);
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
