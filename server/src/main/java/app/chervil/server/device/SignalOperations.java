package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.Signal;
import app.chervil.core.device.Vigil;
import app.chervil.server.account.OneTimeCode;
import app.chervil.server.account.SignedIn;
import app.chervil.server.device.DeviceMapper.Place;
import app.chervil.server.device.SignalMapper.DayMean;
import app.chervil.server.device.SignalMapper.StateRow;
import app.chervil.server.problem.NotFound;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;
import org.springframework.stereotype.Service;
import org.springframework.transaction.annotation.Transactional;

/**
 * Takes readings in. Each is known by its device's own stamp, so that a batch sent twice, late, out of order or by two ways is
 * there once; what cannot be is refused, reading by reading, and harms none of the others.
 */
@Service
public class SignalOperations {
    /** A reading older than this is refused, since it can no longer be told whether it is there. */
    static final Duration KEPT = Duration.ofDays(2);

    /** How far ahead a reading may lie. */
    static final Duration AHEAD = Duration.ofMinutes(5);

    private final DeviceMapper devices;
    private final SignalMapper mapper;
    private final KeptSignals kept;
    private final VigilOperations vigils;
    private final Clock clock;

    SignalOperations(DeviceMapper devices, SignalMapper mapper, KeptSignals kept, VigilOperations vigils, Clock clock) {
        this.devices = devices;
        this.mapper = mapper;
        this.kept = kept;
        this.vigils = vigils;
        this.clock = clock;
    }

    /**
     * One reading as a device tells it.
     *
     * @param at by the device's own clock; also its name, to the millisecond
     * @param value in the unit of its kind
     */
    public record Told(@Nullable Instant at, @Nullable Double value) {}

    /**
     * What became of a batch.
     *
     * @param taken readings that were new
     * @param known readings that were there already
     * @param refused readings that cannot be
     */
    public record Taken(int taken, int known, List<Refused> refused) {}

    /**
     * A reading that was not taken.
     *
     * @param index in the batch, from 0
     * @param code absurd, too-old, ahead or incomplete
     */
    public record Refused(int index, String code, String message) {}

    /** Brings in what a meter read of a filter on days before it spoke to us. */
    @Transactional
    public void bringIn(SignedIn who, long filter, Map<LocalDate, Double> flows) {
        flows.forEach((day, flow) -> mapper.saveFlow(who.siteId(), filter, new DayMean(day, flow)));
    }

    /** The device behind a token; empty if there is none, or none any more. */
    @Transactional(readOnly = true)
    public Optional<Place> device(String token) {
        return devices.findByMark(markOf(token));
    }

    static String markOf(String token) {
        return OneTimeCode.markOf(token.getBytes(StandardCharsets.UTF_8));
    }

    /**
     * Takes a batch.
     *
     * @param sentAt when it was sent by the device's own clock, from which is seen how far that is off; absent if it is right
     */
    @Transactional
    public Taken take(Place place, List<Told> told, @Nullable Instant sentAt) {
        Instant now = clock.instant();
        DeviceRow device = devices.find(place.siteId(), place.id()).orElseThrow(() -> new NotFound("device"));
        StateRow state = mapper.findLocked(place.siteId(), place.id()).orElseThrow(() -> new NotFound("device"));
        Duration off = sentAt == null ? Duration.ZERO : Duration.between(sentAt, now);
        List<Refused> refused = new ArrayList<>();
        Map<Instant, Signal> good = new TreeMap<>();
        for (int index = 0; index < told.size(); index++) {
            Told one = told.get(index);
            @Nullable Instant at = one.at();
            @Nullable Double value = one.value();
            if (at == null || value == null) {
                refused.add(new Refused(index, "incomplete", "A reading needs \"at\" and \"value\"."));
                continue;
            }
            Optional<Refused> why = refusal(device.kind(), index, new Signal(at.plus(off), value), now);
            why.ifPresent(refused::add);
            if (why.isEmpty()) {
                Instant stamp = at.truncatedTo(ChronoUnit.MILLIS);
                good.putIfAbsent(stamp, new Signal(earlier(stamp.plus(off), now), value));
            }
        }
        Set<Instant> fresh = good.isEmpty() ? Set.of() : kept.fresh(place, good);
        List<Signal> signals = good.entrySet().stream()
                .filter(one -> fresh.contains(one.getKey()))
                .map(Map.Entry::getValue)
                .toList();
        keep(device, state, signals, good.isEmpty() ? state.heardAt() : now);
        return new Taken(fresh.size(), told.size() - fresh.size() - refused.size(), refused);
    }

    /** Notes that a device's connection broke; its next word ends that. */
    @Transactional
    public void gone(Place place) {
        mapper.updateGone(place.siteId(), place.id(), clock.instant());
    }

    private static Instant earlier(Instant one, Instant other) {
        return one.isBefore(other) ? one : other;
    }

    private static Optional<Refused> refusal(DeviceKind kind, int index, Signal told, Instant now) {
        if (!kind.accepts(told.value())) {
            return Optional.of(new Refused(
                    index,
                    "absurd",
                    (kind.words() + ": " + plain(kind.least()) + " to " + plain(kind.most()) + " " + kind.unit())
                                    .strip()
                            + "."));
        }
        if (told.at().isBefore(now.minus(KEPT))) {
            return Optional.of(new Refused(index, "too-old", "Older than " + KEPT.toHours() + " hours."));
        }
        return told.at().isAfter(now.plus(AHEAD))
                ? Optional.of(new Refused(index, "ahead", "From the future. Send \"sentAt\" if the clock is off."))
                : Optional.empty();
    }

    private static String plain(double value) {
        return Long.toString(Math.round(value));
    }

    private void keep(DeviceRow device, StateRow state, List<Signal> signals, Instant heard) {
        Vigil before = Standing.of(state);
        Vigil vigil = before;
        if (!signals.isEmpty()) {
            kept.add(device, signals, vigil.standsBelow());
        }
        for (Signal signal : signals) {
            Vigil next = vigil.told(device.kind(), signal);
            if (device.kind() == DeviceKind.PLUG && next.calm() != vigil.calm()) {
                vigils.turned(device, next.calm(), signal.at());
            }
            vigil = next;
        }
        StateRow now = Standing.row(device.id(), vigil, heard);
        mapper.updateState(device.siteId(), now);
        boolean silent =
                state.goneAt() != null || !heard.isBefore(state.heardAt().plus(device.quietAfter()));
        if (silent || !before.calm() || !vigil.calm()) {
            vigils.look(device, now);
        }
    }
}
