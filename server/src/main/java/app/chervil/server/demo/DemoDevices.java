package app.chervil.server.demo;

import app.chervil.core.device.DeviceKind;
import app.chervil.core.filter.CareAction;
import app.chervil.core.site.CareBook;
import app.chervil.core.site.TankBook;
import app.chervil.core.site.TaskForecast;
import app.chervil.server.account.DemoDoor;
import app.chervil.server.account.SignedIn;
import app.chervil.server.book.SiteBooks;
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
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.TreeMap;
import java.util.concurrent.ScheduledFuture;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.beans.factory.annotation.Value;
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
    private static final String TANK = "Mangrove edge";
    private static final String FILTER = "Creek";
    private static final double CLEAN_FLOW = 720;
    private static final double LEAST_LOADING = 0.1;
    private static final Duration SPEAKS_EVERY = Duration.ofSeconds(2);
    private static final Duration BACKLOG = Duration.ofHours(46);
    private static final Duration BACKLOG_STEP = Duration.ofMinutes(10);
    private static final int BATCH = 200;
    private static final long SEED = 20;

    private static final Map<DeviceKind, Sense> SENSES = Map.of(
            DeviceKind.FLOW, Sense.FLOW,
            DeviceKind.PLUG, Sense.WATTS,
            DeviceKind.LEAK, Sense.WET,
            DeviceKind.TEMPERATURE, Sense.TEMPERATURE);

    private final DemoDoor door;
    private final DeviceOperations devices;
    private final SignalOperations signals;
    private final TankOperations tanks;
    private final SiteBooks books;
    private final JsonMapper json;
    private final Clock clock;
    private final String host;
    private final int port;
    private final ThreadPoolTaskScheduler time = new ThreadPoolTaskScheduler();
    private final Map<DeviceKind, Speaker> speakers = new HashMap<>();
    private @Nullable StandInTank tank;
    private @Nullable Mqtt3BlockingClient client;
    private @Nullable ScheduledFuture<?> speaking;

    DemoDevices(
            DemoDoor door,
            DeviceOperations devices,
            SignalOperations signals,
            TankOperations tanks,
            SiteBooks books,
            JsonMapper json,
            Clock clock,
            @Value("${chervil.mqtt.host}") String host,
            @Value("${chervil.mqtt.port}") int port) {
        this.door = door;
        this.devices = devices;
        this.signals = signals;
        this.tanks = tanks;
        this.books = books;
        this.json = json;
        this.clock = clock;
        this.host = host;
        this.port = port;
    }

    /** Where a device speaks, and by which token. */
    private record Speaker(String topic, String token) {}

    /** What a device says. */
    private record Message(String token, List<Told> readings) {}

    @EventListener(ApplicationReadyEvent.class)
    synchronized void begin() {
        if (host.isBlank()) {
            return;
        }
        SignedIn keeper = door.enter("marit");
        TankBook book = books.site(keeper).tanks().stream()
                .filter(one -> one.tank().name().equals(TANK))
                .findFirst()
                .orElseThrow();
        CareBook filter = book.filters().stream()
                .filter(one -> one.filter().name().equals(FILTER))
                .findFirst()
                .orElseThrow();
        this.tank = standIn(filter);
        boolean fresh = devices.list(keeper).isEmpty();
        if (fresh) {
            fit(keeper, filter);
        }
        devices.list(keeper).stream()
                .filter(device -> SENSES.containsKey(device.kind()))
                .forEach(device -> speakers.put(device.kind(), speaker(keeper, device)));
        connect();
        if (fresh) {
            tellBacklog();
        }
        time.initialize();
        speaking = time.scheduleWithFixedDelay(this::speak, SPEAKS_EVERY);
    }

    /** A tank whose foam is as full as its care book thinks, with a flow that says so. */
    private StandInTank standIn(CareBook filter) {
        TaskForecast opening = opening(filter);
        double days = ChronoUnit.DAYS.between(opening.forecast().since(), tanks.today());
        double loading = Math.max(
                LEAST_LOADING,
                opening.forecast().loading().map(one -> one.likely()).orElse(LEAST_LOADING));
        return new StandInTank(CLEAN_FLOW, Math.max(1, days) / loading, Math.max(1, days), clock.instant(), SEED);
    }

    private static TaskForecast opening(CareBook filter) {
        return filter.forecasts().stream()
                .filter(one -> one.task().action() == CareAction.OPEN)
                .findFirst()
                .orElseThrow();
    }

    private Speaker speaker(SignedIn keeper, DeviceView device) {
        DeviceToken token = devices.token(keeper, device.id());
        return new Speaker(token.topic(), token.token());
    }

    private void fit(SignedIn keeper, CareBook filter) {
        LocalDate since = opening(filter).forecast().since();
        long id = filter.filter().id();
        fit(keeper, DeviceKind.FLOW, "Flow at Creek", id, since, null);
        fit(keeper, DeviceKind.PLUG, "Plug of Creek", id, since, null);
        fit(keeper, DeviceKind.LEAK, "Under the stand", null, since, null);
        fit(keeper, DeviceKind.TEMPERATURE, "Probe by the overflow", null, since, 1);
        Map<LocalDate, Double> days = new TreeMap<>();
        for (LocalDate day = since.plusDays(1); day.isBefore(tanks.today().minusDays(1)); day = day.plusDays(1)) {
            long ago = ChronoUnit.DAYS.between(day, tanks.today());
            days.put(day, standing().flow(clock.instant().minus(Duration.ofDays(ago))));
        }
        signals.bringIn(keeper, id, days);
    }

    private void fit(
            SignedIn keeper,
            DeviceKind kind,
            String name,
            @Nullable Long filter,
            LocalDate since,
            @Nullable Integer quietMinutes) {
        long at = tanks.list(keeper).stream()
                .filter(one -> one.name().equals(TANK))
                .findFirst()
                .orElseThrow()
                .id();
        devices.fit(keeper, new DeviceInput(kind, name, at, filter, null, since, quietMinutes));
    }

    private StandInTank standing() {
        return Optional.ofNullable(tank).orElseThrow();
    }

    private void connect() {
        client = MqttClient.builder()
                .useMqttVersion3()
                .identifier("demo-devices")
                .serverHost(host)
                .serverPort(port)
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

    private void tellBacklog() {
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

    synchronized void fill(double days) {
        standing().fill(days);
        speak();
    }

    @Override
    public void destroy() {
        if (speaking != null) {
            speaking.cancel(false);
        }
        time.shutdown();
        if (client != null && client.getState().isConnected()) {
            client.disconnect();
        }
    }
}
