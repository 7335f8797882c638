package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import java.time.LocalDate;
import java.util.Collections;
import java.util.List;
import java.util.Map;
import java.util.NavigableMap;
import java.util.NavigableSet;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.TreeMap;
import java.util.TreeSet;

/**
 * What a flow meter of one filter read while the filter ran, a middle value a day. Where it ran, it speaks in place of the
 * keeper's own measuring, so that one scale is held against itself (docs/sources.md#flow-meter).
 */
public final class MeterDays {
    /** A filter without a meter. */
    public static final MeterDays NONE = new MeterDays(Map.of());

    /** Days whose readings are taken together. */
    static final int TOGETHER = 3;

    /** Share of the flow of the day before below which it fell too far in a day to be dirt. */
    private static final double FALLEN = 0.75;

    private final NavigableMap<LocalDate, FlowRate> byDay;

    public MeterDays(Map<LocalDate, FlowRate> byDay) {
        this.byDay = Collections.unmodifiableNavigableMap(new TreeMap<>(byDay));
    }

    /** Services with the meter's flows in them; days of service are those on which a task of this filter was done. */
    List<LoggedService> filled(List<LoggedService> services) {
        if (byDay.isEmpty()) {
            return services;
        }
        NavigableSet<LocalDate> days =
                new TreeSet<>(services.stream().map(LoggedService::on).toList());
        return services.stream()
                .map(service -> {
                    Optional<FlowRate> before = before(service.on(), Optional.ofNullable(days.lower(service.on())));
                    Optional<FlowRate> after = after(service.on(), Optional.ofNullable(days.higher(service.on())));
                    return new LoggedService(
                            service.on(),
                            service.done(),
                            before.or(service::flowBefore),
                            after.or(service::flowAfter),
                            service.manner());
                })
                .toList();
    }

    /** The last days before a day, after the service before it and after a sudden fall. */
    private Optional<FlowRate> before(LocalDate day, Optional<LocalDate> previous) {
        NavigableMap<LocalDate, FlowRate> run = previous.map(since -> byDay.subMap(since, false, day, false))
                .orElseGet(() -> byDay.headMap(day, false));
        return lastOf(steady(run), day.minusDays(1));
    }

    /** The mean of the days that are taken together up to one. */
    private static Optional<FlowRate> lastOf(NavigableMap<LocalDate, FlowRate> run, LocalDate end) {
        LocalDate first = end.minusDays(TOGETHER - 1);
        return mean(run.entrySet().stream()
                .filter(day -> !day.getKey().isBefore(first) && !day.getKey().isAfter(end))
                .map(Map.Entry::getValue)
                .toList());
    }

    private Optional<FlowRate> after(LocalDate day, Optional<LocalDate> next) {
        LocalDate end = day.plusDays(TOGETHER);
        LocalDate last = next.filter(other -> !other.isAfter(end))
                .map(other -> other.minusDays(1))
                .orElse(end);
        return last.isAfter(day) ? lastOf(byDay.tailMap(day, false), last) : Optional.empty();
    }

    /**
     * The newest flow since a service, and the day it is of; what lies behind a sudden fall is no dirt and is left out. Empty
     * before the clean flow of that service is known.
     */
    Optional<Map.Entry<LocalDate, FlowRate>> lately(LocalDate since, LocalDate today) {
        NavigableMap<LocalDate, FlowRate> run = steady(byDay.subMap(since, false, laterOf(since, today), true));
        if (run.size() <= TOGETHER) {
            return Optional.empty();
        }
        LocalDate newest = run.lastKey();
        return lastOf(run, newest).map(flow -> Map.entry(newest, flow));
    }

    private static LocalDate laterOf(LocalDate one, LocalDate other) {
        return one.isAfter(other) ? one : other;
    }

    /** The day since a service on which the flow fell too far to be dirt, and stayed there; empty if it never did. */
    public Optional<LocalDate> fellOn(LocalDate since) {
        NavigableMap<LocalDate, FlowRate> run = byDay.tailMap(since, false);
        NavigableMap<LocalDate, FlowRate> steady = steady(run);
        return steady.size() == run.size() ? Optional.empty() : Optional.of(run.higherKey(steady.lastKey()));
    }

    private static NavigableMap<LocalDate, FlowRate> steady(NavigableMap<LocalDate, FlowRate> run) {
        Optional<FlowRate> last = Optional.empty();
        for (Map.Entry<LocalDate, FlowRate> day : run.entrySet()) {
            double now = day.getValue().litresPerHour();
            boolean fallen =
                    last.map(flow -> now < FALLEN * flow.litresPerHour()).orElse(false);
            if (fallen) {
                return run.headMap(day.getKey(), false);
            }
            last = Optional.of(day.getValue());
        }
        return run;
    }

    private static Optional<FlowRate> mean(List<FlowRate> flows) {
        OptionalDouble mean =
                flows.stream().mapToDouble(FlowRate::litresPerHour).average();
        return mean.isPresent() ? Optional.of(FlowRate.of(mean.getAsDouble())) : Optional.empty();
    }
}
