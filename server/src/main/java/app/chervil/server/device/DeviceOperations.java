package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.DeviceMapper.NewDevice;
import app.chervil.server.device.SignalMapper.StateRow;
import app.chervil.server.device.SignalMapper.Stretch;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import jakarta.validation.constraints.Max;
import jakarta.validation.constraints.Min;
import jakarta.validation.constraints.NotBlank;
import jakarta.validation.constraints.NotNull;
import jakarta.validation.constraints.Size;
import java.security.SecureRandom;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.util.Base64;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.stream.Collectors;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/** Which devices there are, where they are fitted, and what they read. */
@Service
public class DeviceOperations {
    /** Up to this long a curve is drawn from single readings, then from hours, then from days. */
    private static final Duration RAW = Duration.ofDays(2);

    private static final Duration BY_HOUR = Duration.ofDays(60);
    private static final int MOST_POINTS = 600;
    private static final int SECRET_BYTES = 24;

    private final DeviceMapper mapper;
    private final SignalMapper signals;
    private final AlertMapper alerts;
    private final Fitting fitting;
    private final Clock clock;
    private final SecureRandom random = new SecureRandom();

    DeviceOperations(DeviceMapper mapper, SignalMapper signals, AlertMapper alerts, Fitting fitting, Clock clock) {
        this.mapper = mapper;
        this.signals = signals;
        this.alerts = alerts;
        this.fitting = fitting;
        this.clock = clock;
    }

    /**
     * A device to be fitted.
     *
     * @param filterId for what is fitted to a filter or a stage of one
     * @param stageId for what is fitted to a stage
     * @param quietMinutes how long it may say nothing; absent for what is usual for its kind
     */
    public record DeviceInput(
            @NotNull(message = "What is it?") DeviceKind kind,

            @NotBlank(message = "What do you call it?") @Size(max = 60, message = "At most 60 characters.")
            String name,

            @NotNull(message = "At which tank?") Long tankId,
            @Nullable Long filterId,
            @Nullable Long stageId,
            @NotNull(message = "Since when?") LocalDate fittedOn,

            @Nullable
            @Min(value = 1, message = "At least 1 minute.")
            @Max(value = 600_000, message = "At most 600,000 minutes.")
            Integer quietMinutes) {}

    /** What may be changed of a device; it stays where it is fitted. */
    public record DeviceChange(
            @NotBlank(message = "What do you call it?") @Size(max = 60, message = "At most 60 characters.")
            String name,

            @NotNull(message = "Since when?") LocalDate fittedOn,

            @Nullable
            @Min(value = 1, message = "At least 1 minute.")
            @Max(value = 600_000, message = "At most 600,000 minutes.")
            Integer quietMinutes) {}

    /**
     * A token, shown this once.
     *
     * @param topic under which it speaks to a broker
     */
    public record DeviceToken(long id, String token, String topic) {}

    /**
     * A device as it stands.
     *
     * @param at what it is fitted to, in words
     * @param testedOn when somebody last tried it out
     * @param heardAt when it last said anything; the moment it was fitted if it never did
     * @param value its newest reading, with the moment it is of
     * @param usual what it reads while all is well
     * @param amissSince since when something is out of order
     * @param alarms that stand
     */
    public record DeviceView(
            long id,
            DeviceKind kind,
            String name,
            long tankId,
            @Nullable Long filterId,
            @Nullable Long stageId,
            String at,
            LocalDate fittedOn,
            @Nullable LocalDate testedOn,
            long quietMinutes,
            Instant heardAt,
            @Nullable Double value,
            @Nullable Instant valueAt,
            @Nullable Double usual,
            @Nullable Instant amissSince,
            List<String> alarms) {}

    /**
     * A curve.
     *
     * @param unit of its values
     */
    public record DeviceSeries(String unit, List<Stretch> points) {}

    /** Devices of the site, by tank and name. */
    @Transactional(readOnly = true)
    public List<DeviceView> list(SignedIn who) {
        Map<Long, StateRow> states = StateRow.byDevice(signals.listStates(who.siteId()));
        Map<Long, List<String>> standing = alerts.list(who.siteId(), clock.instant()).stream()
                .filter(alert -> alert.endedAt() == null)
                .collect(Collectors.groupingBy(
                        AlertMapper.AlertRow::deviceId,
                        Collectors.mapping(AlertMapper.AlertRow::alarm, Collectors.toList())));
        return mapper.list(who.siteId(), null).stream()
                .flatMap(row -> Optional.ofNullable(states.get(row.id())).stream()
                        .map(state -> view(row, state, standing.getOrDefault(row.id(), List.of()))))
                .toList();
    }

    private static DeviceView view(DeviceRow row, StateRow state, List<String> alarms) {
        return new DeviceView(
                row.id(),
                row.kind(),
                row.name(),
                row.tankId(),
                row.filterId(),
                row.stageId(),
                row.stageName().map(stage -> row.at() + ", " + stage).orElse(row.at()),
                row.fittedOn(),
                row.testedOn(),
                row.quietAfter().toMinutes(),
                state.heardAt(),
                state.lastValue(),
                state.lastAt(),
                state.usual(),
                state.amissSince(),
                alarms);
    }

    /**
     * Fits a device and makes its token. Only a mark of it is stored.
     *
     * @throws Rejected if it cannot be fitted there
     */
    @Transactional
    public DeviceToken fit(SignedIn who, DeviceInput input) {
        fitting.check(who, input);
        long id = mapper.insert(
                who.siteId(),
                who.accountId(),
                new NewDevice(
                        input.tankId(),
                        input.filterId(),
                        input.stageId(),
                        input.kind(),
                        input.name().strip(),
                        input.fittedOn(),
                        input.quietMinutes()));
        signals.insertState(who.siteId(), id, clock.instant());
        return token(who, id);
    }

    /**
     * A new token; the one before ends at once.
     *
     * @throws NotFound if the site has no such device
     */
    @Transactional
    public DeviceToken token(SignedIn who, long id) {
        find(who, id);
        byte[] bytes = new byte[SECRET_BYTES];
        random.nextBytes(bytes);
        String token = Base64.getUrlEncoder().withoutPadding().encodeToString(bytes);
        mapper.deleteDoor(who.siteId(), id);
        mapper.insertDoor(who.siteId(), SignalOperations.markOf(token));
        mapper.saveToken(who.siteId(), id, SignalOperations.markOf(token));
        return new DeviceToken(id, token, Topics.readings(id));
    }

    private DeviceRow find(SignedIn who, long id) {
        return mapper.find(who.siteId(), id).orElseThrow(() -> new NotFound("device"));
    }

    @Transactional
    public void change(SignedIn who, long id, DeviceChange input) {
        find(who, id);
        fitting.checkDay(input.fittedOn());
        mapper.update(who.siteId(), id, input.name().strip(), input.fittedOn(), input.quietMinutes());
    }

    /** Notes that somebody tried it out today. */
    @Transactional
    public void tested(SignedIn who, long id) {
        DeviceRow device = find(who, id);
        mapper.updateTested(who.siteId(), id, fitting.today(), device.lastTried());
    }

    /** Takes a device off; its token ends at once, what it read stays. */
    @Transactional
    public void remove(SignedIn who, long id) {
        find(who, id);
        mapper.deleteDoor(who.siteId(), id);
        mapper.deleteToken(who.siteId(), id);
        mapper.updateRemoved(who.siteId(), id);
        alerts.updateOthersEnded(who.siteId(), id, Set.of(), clock.instant());
    }

    /**
     * What it read, thinned to what a screen can show.
     *
     * @param hours back from now; 1 to 87,600
     */
    @Transactional(readOnly = true)
    public DeviceSeries series(SignedIn who, long id, int hours) {
        DeviceRow device = find(who, id);
        Duration span = Duration.ofHours(hours);
        Instant since = clock.instant().minus(span);
        List<Stretch> points;
        if (span.compareTo(RAW) <= 0) {
            points = signals.listReadings(
                    who.siteId(), id, since, Math.max(1.0, (double) span.toSeconds() / MOST_POINTS));
        } else if (span.compareTo(BY_HOUR) <= 0) {
            points = signals.listHours(who.siteId(), id, since);
        } else {
            points = signals.listDays(
                    who.siteId(),
                    id,
                    since.atZone(clock.getZone()).toLocalDate(),
                    clock.getZone().getId());
        }
        return new DeviceSeries(device.kind().unit(), points);
    }
}
