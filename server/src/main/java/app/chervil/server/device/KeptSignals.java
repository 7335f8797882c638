package app.chervil.server.device;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.device.Signal;
import app.chervil.server.device.DeviceMapper.Place;
import app.chervil.server.device.SignalMapper.DayMean;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;
import org.springframework.stereotype.Component;

/** What devices read, kept one by one, by the hour and by the day, and what follows from it beyond the devices. */
@Component
class KeptSignals {
    private final SignalMapper mapper;
    private final ButtonPress presses;
    private final LampCounts counts;
    private final Clock clock;

    KeptSignals(SignalMapper mapper, ButtonPress presses, LampCounts counts, Clock clock) {
        this.mapper = mapper;
        this.presses = presses;
        this.counts = counts;
        this.clock = clock;
    }

    /** Keeps readings by their device's stamps, and tells which were not there. */
    Set<Instant> fresh(Place place, Map<Instant, Signal> told) {
        return new HashSet<>(mapper.insertReadings(place.siteId(), place.id(), ReadingRows.of(told)));
    }

    /**
     * Adds readings to the sums of their hours and days, and does what follows from them.
     *
     * @param standsBelow in the unit of the device: what reads less does not move
     */
    void add(DeviceRow device, List<Signal> signals, double standsBelow) {
        mapper.addHours(
                device.siteId(), device.id(), SumRows.of(signals, standsBelow, at -> at.truncatedTo(ChronoUnit.HOURS)));
        List<DayMean> means = mapper.addDays(device.siteId(), device.id(), SumRows.of(signals, standsBelow, this::day));
        derive(device, signals, means);
    }

    /** What follows from readings beyond the device itself. */
    private void derive(DeviceRow device, List<Signal> signals, List<DayMean> means) {
        if (device.kind() == DeviceKind.FLOW && device.filterId() != null) {
            long filter = device.filterId();
            means.stream()
                    .filter(mean -> mean.mean() >= 1 && !mean.day().isBefore(device.fittedOn()))
                    .forEach(mean -> mapper.saveFlow(device.siteId(), filter, mean));
        }
        if (device.kind() == DeviceKind.LAMP) {
            counts.log(device, signals);
        }
        if (device.kind() == DeviceKind.BUTTON) {
            signals.forEach(press -> presses.log(device, press.at()));
        }
    }

    private LocalDate day(Instant at) {
        return at.atZone(clock.getZone()).toLocalDate();
    }
}
