package app.chervil.server.device;

import app.chervil.core.calc.Units;
import app.chervil.core.device.Alarm;
import app.chervil.core.device.AlarmWords;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.AlertMapper.AlertRow;
import app.chervil.server.device.AlertMapper.MailWish;
import app.chervil.server.problem.NotFound;
import app.chervil.server.visit.ServiceOperations;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** The quiet list of what devices are alarmed about, who has seen it, and what to do. */
@Service
public class AlertOperations {
    /** An alarm may be silenced, never for longer than this at a time. */
    static final Duration LONGEST_QUIET = Duration.ofHours(2);

    private static final Duration SHOWN = Duration.ofDays(7);
    private static final String PRESSED = "PRESSED";

    private final AlertMapper mapper;
    private final DeviceMapper devices;
    private final VigilOperations vigils;
    private final ServiceOperations services;
    private final Clock clock;

    AlertOperations(
            AlertMapper mapper, DeviceMapper devices, VigilOperations vigils, ServiceOperations services, Clock clock) {
        this.mapper = mapper;
        this.devices = devices;
        this.vigils = vigils;
        this.services = services;
        this.clock = clock;
    }

    /**
     * The site's alerts.
     *
     * @param watched whether the site has any device at all
     * @param alerts those that stand first, then the last week's, newest first
     */
    public record AlertList(boolean watched, List<AlertView> alerts) {}

    /**
     * One alert.
     *
     * @param alarm an alarm, or PRESSED for a button that logged something
     * @param what is, in a sentence
     * @param then what to do, in a sentence
     * @param danger whether it is worth waking somebody
     * @param endedAt absent while it stands
     * @param quietUntil until when it makes no noise
     * @param serviceId what a button logged; absent once it was taken back
     */
    public record AlertView(
            long id,
            String alarm,
            long deviceId,
            long tankId,
            @Nullable Long filterId,
            String what,
            String then,
            boolean danger,
            Instant beganAt,
            @Nullable Instant endedAt,
            @Nullable String seenBy,
            @Nullable Instant seenAt,
            @Nullable Instant quietUntil,
            @Nullable UUID serviceId) {}

    @Transactional(readOnly = true)
    public AlertList list(SignedIn who) {
        Instant now = clock.instant();
        Map<Long, DeviceRow> known = DeviceRow.byId(devices.list(who.siteId(), null));
        return new AlertList(
                !known.isEmpty(),
                known.isEmpty()
                        ? List.of()
                        : mapper.list(who.siteId(), now.minus(SHOWN)).stream()
                                .flatMap(row -> Optional.ofNullable(known.get(row.deviceId())).stream()
                                        .map(device -> view(row, device, now)))
                                .toList());
    }

    private static AlertView view(AlertRow row, DeviceRow device, Instant now) {
        boolean pressed = row.alarm().equals(PRESSED);
        return new AlertView(
                row.id(),
                row.alarm(),
                device.id(),
                device.tankId(),
                device.filterId(),
                pressed
                        ? device.at() + ": " + device.stageName().orElse("a stage") + ", logged by its button."
                        : words(row, device, now, Units.METRIC),
                pressed ? "" : AlarmWords.then(Alarm.valueOf(row.alarm())),
                !pressed && Alarm.valueOf(row.alarm()).danger(),
                row.beganAt(),
                row.endedAt(),
                row.seenBy(),
                row.seenAt(),
                row.quietUntil(),
                row.serviceId());
    }

    /** What an alert says at a moment, in units; a front end writes those of its site where a sentence has metric ones. */
    static String words(AlertRow row, DeviceRow device, Instant now, Units units) {
        Instant until = Optional.ofNullable(row.endedAt()).orElse(now);
        return AlarmWords.what(
                Alarm.valueOf(row.alarm()),
                new AlarmWords.Told(
                        device.name(),
                        device.at(),
                        Duration.between(row.beganAt(), until),
                        Optional.ofNullable(row.readValue()),
                        Optional.ofNullable(row.usual())),
                units);
    }

    private AlertRow find(SignedIn who, long id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("alert"));
    }

    /** Says that somebody has seen it; the first who says so stays. */
    @Transactional
    public void seen(SignedIn who, long id) {
        find(who, id);
        mapper.updateSeen(who.siteId(), id, who.name(), clock.instant());
    }

    /** Silences an alert for a while; it stands, and is heard again afterwards. */
    @Transactional
    public void quiet(SignedIn who, long id, int minutes) {
        find(who, id);
        Instant now = clock.instant();
        mapper.updateQuiet(who.siteId(), id, now.plus(Duration.ofMinutes(minutes)), who.name(), now);
    }

    /** Says that what a device reads now is how it is: what was usual before is forgotten. */
    @Transactional
    public void takeAsUsual(SignedIn who, long id) {
        AlertRow alert = find(who, id);
        mapper.updateSeen(who.siteId(), id, who.name(), clock.instant());
        vigils.beginAnew(who.siteId(), alert.deviceId());
    }

    /** Takes back what a button logged. */
    @Transactional
    public void undo(SignedIn who, long id) {
        AlertRow alert = find(who, id);
        if (alert.serviceId() == null) {
            throw new NotFound("service");
        }
        services.withdraw(who, alert.serviceId());
        mapper.updateUndone(who.siteId(), id, clock.instant());
    }

    /** How this person wants to be mailed; empty if not at all. */
    @Transactional(readOnly = true)
    public Optional<MailWish> mail(SignedIn who) {
        return mapper.findMail(who.siteId(), who.accountId());
    }

    @Transactional
    public void saveMail(SignedIn who, MailWish wish) {
        mapper.saveMail(who.siteId(), who.accountId(), wish);
    }

    @Transactional
    public void endMail(SignedIn who) {
        mapper.deleteMail(who.siteId(), who.accountId());
    }
}
