package app.chervil.server.device;

import app.chervil.server.device.DeviceMapper.Place;
import app.chervil.server.device.SignalOperations.Told;
import com.hivemq.client.mqtt.MqttClient;
import com.hivemq.client.mqtt.MqttGlobalPublishFilter;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.exceptions.MqttClientStateException;
import com.hivemq.client.mqtt.mqtt5.Mqtt5AsyncClient;
import com.hivemq.client.mqtt.mqtt5.Mqtt5ClientBuilder;
import com.hivemq.client.mqtt.mqtt5.message.auth.Mqtt5SimpleAuth;
import com.hivemq.client.mqtt.mqtt5.message.publish.Mqtt5Publish;
import com.hivemq.client.mqtt.mqtt5.message.publish.Mqtt5PublishResult;
import com.hivemq.client.mqtt.mqtt5.message.subscribe.Mqtt5Subscription;
import java.nio.charset.StandardCharsets;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.Optional;
import java.util.concurrent.CompletableFuture;
import java.util.concurrent.ExecutionException;
import java.util.concurrent.TimeUnit;
import java.util.concurrent.TimeoutException;
import java.util.concurrent.locks.LockSupport;
import org.jspecify.annotations.Nullable;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.event.EventListener;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.RecoverableDataAccessException;
import org.springframework.dao.TransientDataAccessException;
import org.springframework.scheduling.concurrent.ThreadPoolTaskExecutor;
import org.springframework.stereotype.Component;
import org.springframework.transaction.TransactionException;
import tools.jackson.core.JacksonException;
import tools.jackson.databind.json.JsonMapper;

/**
 * Hears devices through an MQTT broker and gives plugs their orders. What cannot be understood
 * or kept is left out, so that it holds up no other.
 */
@Component
class Broker implements PlugOrders, DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(Broker.class);
    private static final Duration SESSION_KEPT = Duration.ofDays(2);
    private static final Duration ORDER_HOLDS = Duration.ofSeconds(10);
    private static final Duration WAITS_FOR_ORDER = Duration.ofSeconds(2);
    private static final Duration TRIES_AGAIN = Duration.ofSeconds(1);
    private static final int MOST_READINGS = 1000;

    private final SignalOperations signals;
    private final DeviceBuckets buckets;
    private final JsonMapper json;
    private final Optional<Mqtt5AsyncClient> client;
    private final ThreadPoolTaskExecutor hearing = oneAfterTheOther();
    private CompletableFuture<?> listening = CompletableFuture.completedFuture(null);

    Broker(SignalOperations signals, DeviceBuckets buckets, JsonMapper json, BrokerPlace place) {
        this.signals = signals;
        this.buckets = buckets;
        this.json = json;
        this.client = place.isKnown() ? Optional.of(client(place)) : Optional.empty();
    }

    private static ThreadPoolTaskExecutor oneAfterTheOther() {
        ThreadPoolTaskExecutor hearing = new ThreadPoolTaskExecutor();
        hearing.setThreadNamePrefix("broker-");
        hearing.setCorePoolSize(1);
        hearing.setMaxPoolSize(1);
        hearing.setDaemon(true);
        hearing.initialize();
        return hearing;
    }

    private static Mqtt5AsyncClient client(BrokerPlace place) {
        Mqtt5ClientBuilder builder = MqttClient.builder()
                .useMqttVersion5()
                .identifier(place.client())
                .serverHost(place.host())
                .serverPort(place.port())
                .automaticReconnect()
                .initialDelay(500, TimeUnit.MILLISECONDS)
                .maxDelay(5, TimeUnit.SECONDS)
                .applyAutomaticReconnect();
        return (place.user().isBlank()
                        ? builder
                        : builder.simpleAuth(Mqtt5SimpleAuth.builder()
                                .username(place.user())
                                .password(place.password().getBytes(StandardCharsets.UTF_8))
                                .build()))
                .buildAsync();
    }

    /**
     * What a device says.
     *
     * @param token of the device
     * @param sentAt as in {@link SignalOperations#take}
     */
    record Message(
            @Nullable String token,
            @Nullable Instant sentAt,
            @Nullable List<@Nullable Told> readings) {}

    /** Begins to listen once the server can answer. */
    @EventListener(ApplicationReadyEvent.class)
    void begin() {
        client.ifPresent(broker -> {
            broker.publishes(MqttGlobalPublishFilter.ALL, this::heard, hearing, true);
            this.listening = broker.connectWith()
                    .cleanStart(false)
                    .sessionExpiryInterval(SESSION_KEPT.toSeconds())
                    .send()
                    .thenCompose(connected -> broker.subscribeWith()
                            .addSubscription(heard(Topics.ALL_READINGS))
                            .addSubscription(heard(Topics.ALL_GONE))
                            .send())
                    .whenComplete((done, failure) -> {
                        if (failure != null) {
                            LOG.warn("Cannot hear devices through the broker: {}", failure.getMessage());
                        }
                    });
        });
    }

    private static Mqtt5Subscription heard(String topics) {
        return Mqtt5Subscription.builder()
                .topicFilter(topics)
                .qos(MqttQos.AT_LEAST_ONCE)
                .build();
    }

    /**
     * Stores what a message tells, and waits while the database is away. Only then it is acknowledged, so that the broker sends
     * it again to a server that was killed meanwhile.
     */
    void heard(Mqtt5Publish message) {
        while (true) {
            try {
                long began = System.nanoTime();
                take(message);
                message.acknowledge();
                LockSupport.parkNanos(DeviceTurnstile.restAfter(began));
                return;
            } catch (RuntimeException failure) {
                if (!passes(failure)) {
                    LOG.warn("A message on {} cannot be kept", message.getTopic(), failure);
                    message.acknowledge();
                    return;
                }
                LOG.warn("A device's message waits: {}", failure.getMessage());
                LockSupport.parkNanos(TRIES_AGAIN.toNanos());
                if (Thread.currentThread().isInterrupted()) {
                    return;
                }
            }
        }
    }

    /** Whether a failure passes by itself, as when the database is away; any other would keep all devices waiting for ever. */
    static boolean passes(RuntimeException failure) {
        return failure instanceof TransientDataAccessException
                || failure instanceof RecoverableDataAccessException
                || failure instanceof DataAccessResourceFailureException
                || failure instanceof TransactionException;
    }

    private void take(Mqtt5Publish message) {
        Optional<Message> read = read(message.getPayloadAsBytes());
        long topic = Topics.device(message.getTopic().toString()).orElse(-1);
        Optional<Place> place = read.flatMap(
                        one -> Optional.ofNullable(one.token()).flatMap(signals::device))
                .filter(device -> device.id() == topic);
        if (read.isEmpty() || place.isEmpty()) {
            LOG.info("A message on {} is none of a device that is known", message.getTopic());
            return;
        }
        if (Topics.isGone(message.getTopic().toString())) {
            signals.gone(place.get());
            return;
        }
        List<Told> told = Optional.ofNullable(read.get().readings()).orElse(List.of()).stream()
                .map(one -> one == null ? new Told(null, null) : one)
                .limit(MOST_READINGS)
                .toList();
        if (buckets.take(place.get(), told.size()).isPresent()) {
            LOG.info("Device {} floods; a message was left out", place.get().id());
            return;
        }
        signals.take(place.get(), told, read.get().sentAt());
    }

    private Optional<Message> read(byte[] payload) {
        try {
            return Optional.ofNullable(json.readValue(payload, Message.class));
        } catch (JacksonException unreadable) {
            return Optional.empty();
        }
    }

    @Override
    public boolean give(long device, boolean on) {
        if (client.isEmpty() || !client.get().getState().isConnected()) {
            return false;
        }
        CompletableFuture<Mqtt5PublishResult> order = client.get()
                .publishWith()
                .topic(Topics.orders(device))
                .qos(MqttQos.AT_LEAST_ONCE)
                .retain(false)
                .messageExpiryInterval(ORDER_HOLDS.toSeconds())
                .payload(json.writeValueAsBytes(new Order(on)))
                .send();
        return delivered(order);
    }

    /** Whether the broker has it; one that is still on its way then is taken for lost. */
    private static boolean delivered(CompletableFuture<Mqtt5PublishResult> order) {
        try {
            return order.get(WAITS_FOR_ORDER.toMillis(), TimeUnit.MILLISECONDS)
                    .getError()
                    .isEmpty();
        } catch (InterruptedException ending) {
            Thread.currentThread().interrupt();
            return false;
        } catch (ExecutionException | TimeoutException lost) {
            LOG.info("An order for a plug was not taken: {}", lost.getMessage());
            return false;
        }
    }

    /** What a plug is told. */
    record Order(boolean on) {}

    @Override
    public void destroy() {
        listening.cancel(true);
        hearing.shutdown();
        try {
            client.ifPresent(broker -> broker.toBlocking().disconnect());
        } catch (MqttClientStateException gone) {
            LOG.debug("The broker was away already", gone);
        }
    }
}
