package app.chervil.server.demo;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.device.DeviceKind;
import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.Learning.Graded;
import app.chervil.core.interval.Loading;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.server.account.DemoDoor;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
import app.chervil.server.device.BrokerPlace;
import app.chervil.server.device.DeviceOperations;
import app.chervil.server.device.DeviceOperations.DeviceInput;
import app.chervil.server.device.DeviceOperations.DeviceToken;
import app.chervil.server.device.DeviceOperations.DeviceView;
import app.chervil.server.device.SignalOperations;
import app.chervil.server.device.SignalOperations.Told;
import app.chervil.server.tank.TankOperations;
import app.chervil.sim.device.StandInTank;
import app.chervil.sim.device.StandInTank.Mishap;
import app.chervil.sim.device.StandInTank.Sense;
import com.hivemq.client.mqtt.MqttClient;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt3.Mqtt3BlockingClient;
import com.hivemq.client.mqtt.mqtt3.message.publish.Mqtt3Publish;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.LocalDate;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ScheduledFuture;
import java.util.stream.Stream;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.scheduling.concurrent.ThreadPoolTaskScheduler;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/**
 * Devices of the demo that are not there: they speak to the broker like real ones, know nothing of the server they run in,
 * and can be put out of order by hand. Without a broker there are none.
 */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoDevices implements DisposableBean {
    private static final String TANK = "Brook bench";
    private static final String FILTER = "Weir";
    /** The warm one, with a heater. */
    private static final String WARM_TANK = "Mangrove edge";

    private static final double USUAL_CLEAN_FLOW = 640;
    private static final double LEAST_LOADING = 0.1;
    private static final Duration SPEAKS_EVERY = Duration.ofSeconds(2);
    /** A server that has just started is not listening at once. */
    private static final Duration HEARD_AFTER = Duration.ofSeconds(5);

    private static final Duration BACKLOG = Duration.ofHours(46);
    private static final Duration BACKLOG_STEP = Duration.ofMinutes(10);
    private static final int BATCH = 200;
    private static final long SEED = 20;

    private static final Map<DeviceKind, Sense> SENSES = Map.of(
            DeviceKind.FLOW, Sense.FLOW,
            DeviceKind.PLUG, Sense.WATTS,
            DeviceKind.LEAK, Sense.WET,
            DeviceKind.TEMPERATURE, Sense.TEMPERATURE);

    private static final Map<DeviceKind, String> NAMES = Map.of(
            DeviceKind.FLOW, "Flow at Weir",
            DeviceKind.PLUG, "Plug of Weir",
            DeviceKind.LEAK, "Under the stand",
            DeviceKind.TEMPERATURE, "Probe by the overflow");

    private final DemoDoor door;
    private final DeviceOperations devices;
    private final SignalOperations signals;
    private final TankOperations tanks;
    private final SiteBooks books;
    private final JsonMapper json;
    private final Clock clock;
    private final BrokerPlace broker;
    private final ThreadPoolTaskScheduler time = new ThreadPoolTaskScheduler();
    private final Map<DeviceKind, Speaker> speakers = new HashMap<>();
    private @Nullable StandInTank tank;
    private @Nullable Mqtt3BlockingClient client;
    private @Nullable ScheduledFuture<?> speaking;
    private @Nullable ScheduledFuture<?> backlog;

    DemoDevices(
            DemoDoor door,
            DeviceOperations devices,
            SignalOperations signals,
            TankOperations tanks,
            SiteBooks books,
            JsonMapper json,
            Clock clock,
            BrokerPlace broker) {
        this.door = door;
        this.devices = devices;
        this.signals = signals;
        this.tanks = tanks;
        this.books = books;
        this.json = json;
        this.clock = clock;
        this.broker = broker;
    }

    /** Where a device speaks, and by which token. */
    private record Speaker(String topic, String token) {}

    /** What a device says. */
    private record Message(String token, List<Told> readings) {}

    @EventListener(ApplicationReadyEvent.class)
    synchronized void begin() {
        if (!broker.isKnown()) {
            return;
        }
        SignedIn keeper = door.enter("marit");
        CareBook filter = books.site(keeper).tanks().stream()
                .flatMap(one -> one.filters().stream())
                .filter(one -> one.filter().name().equals(FILTER))
                .findFirst()
                .orElseThrow();
        Throttling throttling = throttling(filter);
        this.tank = throttling.standIn(clock.instant(), tanks.today());
        boolean fresh = own(keeper).isEmpty();
        if (fresh) {
            fit(keeper, filter.filter().id(), throttling);
        }
        own(keeper).forEach(device -> speakers.put(device.kind(), speaker(keeper, device)));
        connect();
        time.initialize();
        if (fresh) {
            backlog = time.schedule(this::tellBacklog, clock.instant().plus(HEARD_AFTER));
        }
        speaking = time.scheduleWithFixedDelay(this::speak, SPEAKS_EVERY);
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
        LocalDate today = tanks.today();
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
        return tanks.list(keeper).stream()
                .filter(one -> one.name().equals(name))
                .findFirst()
                .orElseThrow()
                .id();
    }

    private StandInTank standing() {
        return Optional.ofNullable(tank).orElseThrow();
    }

    private void connect() {
        client = MqttClient.builder()
                .useMqttVersion3()
                .identifier("demo-devices")
                .serverHost(broker.host())
                .serverPort(broker.port())
                .automaticReconnectWithDefaultConfig()
                .buildBlocking();
        client.connect();
        Speaker plug = speakers.get(DeviceKind.PLUG);
        if (plug != null) {
            client.toAsync()
                    .subscribeWith()
                    .topicFilter(plug.topic().replace("/readings", "/orders"))
                    .qos(MqttQos.AT_LEAST_ONCE)
                    .callback(this::obey)
                    .send()
                    .join();
        }
    }

    private void obey(Mqtt3Publish order) {
        boolean on = json.readTree(order.getPayloadAsBytes()).path("on").asBoolean(false);
        set(Mishap.UNPLUGGED, !on);
    }

    private synchronized void tellBacklog() {
        Instant now = clock.instant();
        List<Told> told = new ArrayList<>();
        for (Instant at = now.minus(BACKLOG); at.isBefore(now); at = at.plus(BACKLOG_STEP)) {
            told.add(new Told(at, standing().read(Sense.FLOW, at).orElse(0.0)));
        }
        for (int from = 0; from < told.size(); from += BATCH) {
            tell(DeviceKind.FLOW, told.subList(from, Math.min(told.size(), from + BATCH)));
        }
    }

    private synchronized void speak() {
        Instant now = clock.instant();
        SENSES.forEach((kind, sense) ->
                standing().read(sense, now).ifPresent(value -> tell(kind, List.of(new Told(now, value)))));
    }

    private void tell(DeviceKind kind, List<Told> told) {
        Speaker speaker = speakers.get(kind);
        Mqtt3BlockingClient broker = client;
        if (speaker != null && broker != null && broker.getState().isConnected()) {
            broker.publishWith()
                    .topic(speaker.topic())
                    .qos(MqttQos.AT_LEAST_ONCE)
                    .payload(json.writeValueAsBytes(new Message(speaker.token(), told)))
                    .send();
        }
    }

    /** Whether there are any here. */
    synchronized boolean present() {
        return tank != null;
    }

    /** What is out of order. */
    synchronized List<Mishap> amiss() {
        return Optional.ofNullable(tank).stream()
                .flatMap(one -> List.of(Mishap.values()).stream().filter(one::is))
                .toList();
    }

    synchronized void set(Mishap mishap, boolean on) {
        standing().set(mishap, on, clock.instant());
        speak();
    }

    /** How many days of dirt a day brings. */
    synchronized int speed() {
        return Optional.ofNullable(tank).map(StandInTank::speed).orElse(1);
    }

    synchronized void hurry(int times) {
        standing().hurry(times, clock.instant());
    }

    synchronized void fill(double days) {
        standing().fill(days);
        speak();
    }

    @Override
    public void destroy() {
        Stream.of(Optional.ofNullable(speaking), Optional.ofNullable(backlog))
                .flatMap(Optional::stream)
                .forEach(one -> one.cancel(false));
        time.shutdown();
        if (client != null && client.getState().isConnected()) {
            client.disconnect();
        }
    }
}
