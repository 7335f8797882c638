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
import java.util.function.Function;
import java.util.stream.Collectors;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** What devices read, kept one by one, by the hour and by the day, and what follows from it beyond the devices. */
@Component
class KeptSignals {
    private final SignalMapper mapper;
    private final ButtonPress presses;
    private final LampCounts counts;
    private final JsonMapper json;
    private final Clock clock;

    KeptSignals(SignalMapper mapper, ButtonPress presses, LampCounts counts, JsonMapper json, Clock clock) {
        this.mapper = mapper;
        this.presses = presses;
        this.counts = counts;
        this.json = json;
        this.clock = clock;
    }

    /** Keeps readings by their device's stamps, and tells which were not there. */
    Set<Instant> fresh(Place place, Map<Instant, Signal> told) {
        return new HashSet<>(mapper.insertReadings(place.siteId(), place.id(), rows(told)));
    }

    /**
     * Adds readings to the sums of their hours and days, and does what follows from them.
     *
     * @param standsBelow in the unit of the device: what reads less does not move
     */
    void add(DeviceRow device, List<Signal> signals, double standsBelow) {
        mapper.addHours(
                device.siteId(),
                device.id(),
                sums(signals, "hour", standsBelow, at -> at.truncatedTo(ChronoUnit.HOURS)));
        List<DayMean> means =
                mapper.addDays(device.siteId(), device.id(), sums(signals, "day", standsBelow, this::day));
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

    private String rows(Map<Instant, Signal> signals) {
        return json.writeValueAsString(signals.entrySet().stream()
                .map(one -> Map.of(
                        "stamp", one.getKey().toString(),
                        "read_at", one.getValue().at().toString(),
                        "value", one.getValue().value()))
                .toList());
    }

    private <T> String sums(List<Signal> signals, String name, double standsBelow, Function<Instant, T> stretch) {
        Map<T, List<Signal>> by = signals.stream().collect(Collectors.groupingBy(signal -> stretch.apply(signal.at())));
        return json.writeValueAsString(by.entrySet().stream()
                .map(one -> {
                    var values =
                            one.getValue().stream().mapToDouble(Signal::value).summaryStatistics();
                    var moving = one.getValue().stream()
                            .mapToDouble(Signal::value)
                            .filter(value -> value > standsBelow)
                            .summaryStatistics();
                    return Map.of(
                            name,
                            one.getKey().toString(),
                            "least",
                            values.getMin(),
                            "greatest",
                            values.getMax(),
                            "total",
                            values.getSum(),
                            "readings",
                            values.getCount(),
                            "moving_total",
                            moving.getSum(),
                            "moving",
                            moving.getCount());
                })
                .toList());
    }
}
