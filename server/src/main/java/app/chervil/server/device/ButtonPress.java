package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.filter.CareAction;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.FilterTask;
import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.visit.ServiceInput;
import app.chervil.server.visit.ServiceOperations;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.UUID;
import org.springframework.stereotype.Component;

/** A press of a button beside a tank: its stage was just cleaned. It logs that, and can be undone. */
@Component
class ButtonPress {
    private final SiteBooks books;
    private final ServiceOperations services;
    private final AccountOperations accounts;
    private final AlertMapper alerts;
    private final Clock clock;

    ButtonPress(
            SiteBooks books, ServiceOperations services, AccountOperations accounts, AlertMapper alerts, Clock clock) {
        this.books = books;
        this.services = services;
        this.accounts = accounts;
        this.alerts = alerts;
        this.clock = clock;
    }

    /** Logs what a press means, under an id that follows from it. */
    void log(DeviceRow device, Instant at) {
        Optional<SignedIn> fitter = fitter(device);
        fitter.ifPresent(who -> task(who, device).ifPresent(task -> log(who, device, task, at)));
    }

    private Optional<FilterTask> task(SignedIn who, DeviceRow device) {
        return books.tank(who, device.tankId()).filters().stream()
                .map(CareBook::filter)
                .flatMap(filter -> filter.inUse().stream())
                .filter(one -> one.stageId().equals(Optional.ofNullable(device.stageId())))
                .filter(one -> one.action() == CareAction.RINSE || one.action() == CareAction.CHANGE)
                .findFirst();
    }

    private void log(SignedIn who, DeviceRow device, FilterTask task, Instant at) {
        UUID id = UUID.nameUUIDFromBytes(
                (DeviceKind.BUTTON + " " + device.siteId() + " " + device.id() + " " + at.toEpochMilli())
                        .getBytes(StandardCharsets.UTF_8));
        services.record(
                who,
                id,
                new ServiceInput(
                        device.tankId(),
                        at.atZone(clock.getZone()).toLocalDate(),
                        who.name(),
                        null,
                        "",
                        List.of(new ServiceInput.Done(task.id(), null)),
                        List.of(),
                        null));
        alerts.insertPress(device.siteId(), device, at, id, clock.instant());
    }

    /** Whoever fitted the button stands for what it logs; once they have left, it logs nothing. */
    private Optional<SignedIn> fitter(DeviceRow device) {
        return accounts.list(SignedIn.nobody(device.siteId())).stream()
                .filter(account -> account.id() == device.fittedBy())
                .findFirst()
                .map(account -> new SignedIn(account.id(), device.siteId(), account.name(), Role.HELPER));
    }
}
