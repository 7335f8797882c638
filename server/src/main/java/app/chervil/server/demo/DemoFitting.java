package app.chervil.server.demo;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.device.DeviceKind;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.interval.Loading;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.server.account.DemoDoor;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.demo.DemoVoice.Speaker;
import app.chervil.server.device.DeviceOperations;
import app.chervil.server.device.DeviceOperations.DeviceInput;
import app.chervil.server.device.DeviceOperations.DeviceToken;
import app.chervil.server.device.DeviceOperations.DeviceView;
import app.chervil.server.device.SignalOperations;
import app.chervil.sim.device.StandInTank;
import java.time.Clock;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.Comparator;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.stream.Collectors;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;

/** Fits the devices of the demo, and knows how the filter they watch stands. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoFitting {
    private static final String TANK = "Brook bench";
    private static final String FILTER = "Weir";
    /** The warm one, with a heater. */
    private static final String WARM_TANK = "Mangrove edge";

    private static final double USUAL_CLEAN_FLOW = 640;
    private static final double LEAST_LOADING = 0.1;
    private static final long SEED = 20;

    private static final Map<DeviceKind, String> NAMES = Map.of(
            DeviceKind.FLOW, "Flow at Weir",
            DeviceKind.PLUG, "Plug of Weir",
            DeviceKind.LEAK, "Under the stand",
            DeviceKind.TEMPERATURE, "Probe by the overflow");

    private final DemoDoor door;
    private final DeviceOperations devices;
    private final SignalOperations signals;
    private final SiteBooks books;
    private final Clock clock;

    DemoFitting(DemoDoor door, DeviceOperations devices, SignalOperations signals, SiteBooks books, Clock clock) {
        this.door = door;
        this.devices = devices;
        this.signals = signals;
        this.books = books;
        this.clock = clock;
    }

    /**
     * Devices as they are fitted.
     *
     * @param fresh whether they were fitted just now
     */
    record Fitted(StandInTank tank, boolean fresh, Map<DeviceKind, Speaker> speakers) {}

    /** Fits what is not fitted yet. */
    Fitted fit() {
        SignedIn keeper = door.enter("marit");
        CareBook filter = books.site(keeper).tanks().stream()
                .flatMap(one -> one.filters().stream())
                .filter(one -> one.filter().name().equals(FILTER))
                .findFirst()
                .orElseThrow();
        Throttling throttling = throttling(filter);
        boolean fresh = own(keeper).isEmpty();
        if (fresh) {
            fit(keeper, filter.filter().id(), throttling);
        }
        return new Fitted(
                throttling.standIn(clock.instant(), today()),
                fresh,
                own(keeper).stream()
                        .collect(Collectors.toMap(
                                DeviceView::kind, device -> speaker(keeper, device), (first, namesake) -> namesake)));
    }

    private LocalDate today() {
        return LocalDate.now(clock);
    }

    /** Those that are played here; whoever tries the demo may fit others. */
    private List<DeviceView> own(SignedIn keeper) {
        return devices.list(keeper).stream()
                .filter(device -> device.name().equals(NAMES.get(device.kind())))
                .toList();
    }

    /** What throttles a filter: its flow when clean, and each stage with the day it was clean and how full it is now. */
    private record Throttling(double clean, List<Throttle> stages) {
        private record Throttle(LocalDate since, double shareAtOverload, double loading) {
            /** Share of the clean flow that it costs on a day, if it fills evenly. */
            double lost(LocalDate day, LocalDate today) {
                double days = Math.max(1, ChronoUnit.DAYS.between(since, today));
                double then = loading * Math.max(0, ChronoUnit.DAYS.between(since, day)) / days;
                return (1 / shareAtOverload - 1) * then * then;
            }
        }

        double flow(LocalDate day, LocalDate today) {
            return clean
                    / (1
                            + stages.stream()
                                    .mapToDouble(one -> one.lost(day, today))
                                    .sum());
        }

        LocalDate since() {
            return stages.stream()
                    .map(Throttle::since)
                    .max(Comparator.naturalOrder())
                    .orElseThrow();
        }

        StandInTank standIn(Instant now, LocalDate today) {
            double days = Math.max(1, ChronoUnit.DAYS.between(since(), today));
            return StandInTank.reading(clean, flow(today, today), days, now, SEED);
        }
    }

    private static Throttling throttling(CareBook filter) {
        List<Throttling.Throttle> stages = filter.forecasts().stream()
                .filter(one ->
                        one.task().action() == CareAction.OPEN || one.task().action() == CareAction.RINSE)
                .filter(one -> !one.task().withOpening())
                .flatMap(one -> throttle(one).stream())
                .toList();
        return new Throttling(filter.cleanFlow().map(FlowRate::litresPerHour).orElse(USUAL_CLEAN_FLOW), stages);
    }

    private static Optional<Throttling.Throttle> throttle(TaskForecast task) {
        return task.task().rule().learning() instanceof Graded graded
                        && graded.flowAtOverload().isPresent()
                ? Optional.of(new Throttling.Throttle(
                        task.forecast().since(),
                        graded.flowAtOverload().getAsDouble(),
                        task.forecast().loading().map(Loading::likely).orElse(LEAST_LOADING)))
                : Optional.empty();
    }

    private Speaker speaker(SignedIn keeper, DeviceView device) {
        DeviceToken token = devices.token(keeper, device.id());
        return new Speaker(token.topic(), token.token());
    }

    private void fit(SignedIn keeper, long filter, Throttling throttling) {
        LocalDate since = throttling.since();
        LocalDate today = today();
        devices.fit(
                keeper,
                new DeviceInput(DeviceKind.FLOW, name(DeviceKind.FLOW), tank(keeper, TANK), filter, null, since, null));
        devices.fit(
                keeper,
                new DeviceInput(DeviceKind.PLUG, name(DeviceKind.PLUG), tank(keeper, TANK), filter, null, since, null));
        devices.fit(
                keeper,
                new DeviceInput(DeviceKind.LEAK, name(DeviceKind.LEAK), tank(keeper, TANK), null, null, since, null));
        devices.fit(
                keeper,
                new DeviceInput(
                        DeviceKind.TEMPERATURE,
                        name(DeviceKind.TEMPERATURE),
                        tank(keeper, WARM_TANK),
                        null,
                        null,
                        since,
                        1));
        Map<LocalDate, Double> days = new TreeMap<>();
        for (LocalDate day = since.plusDays(1); day.isBefore(today.minusDays(1)); day = day.plusDays(1)) {
            days.put(day, throttling.flow(day, today));
        }
        signals.bringIn(keeper, filter, days);
    }

    private static String name(DeviceKind kind) {
        return NAMES.getOrDefault(kind, "");
    }

    private long tank(SignedIn keeper, String name) {
        return books.site(keeper).tanks().stream()
                .map(TankBook::tank)
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }
}
