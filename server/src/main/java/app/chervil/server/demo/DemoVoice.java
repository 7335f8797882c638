package app.chervil.server.demo;

import app.chervil.server.device.BrokerPlace;
import app.chervil.server.device.SignalOperations.Told;
import com.hivemq.client.mqtt.MqttClient;
import com.hivemq.client.mqtt.datatypes.MqttQos;
import com.hivemq.client.mqtt.mqtt3.Mqtt3BlockingClient;
import java.util.List;
import java.util.Optional;
import java.util.function.Consumer;
import org.jspecify.annotations.Nullable;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.boot.autoconfigure.condition.ConditionalOnProperty;
import org.springframework.stereotype.Component;
import tools.jackson.databind.json.JsonMapper;

/** How the devices of the demo speak to the broker. */
@Component
@ConditionalOnProperty("chervil.demo")
class DemoVoice implements DisposableBean {
    private final JsonMapper json;
    private final BrokerPlace broker;
    private @Nullable Mqtt3BlockingClient client;

    DemoVoice(JsonMapper json, BrokerPlace broker) {
        this.json = json;
        this.broker = broker;
    }

    /** Where a device speaks, and by which token. */
    record Speaker(String topic, String token) {}

    /** What a device says. */
    private record Message(String token, List<Told> readings) {}

    /** Whether there is a broker at all. */
    boolean isHeard() {
        return broker.isKnown();
    }

    /** Connects, and listens to what a plug is ordered: on or off. */
    void connect(Optional<Speaker> plug, Consumer<Boolean> ordered) {
        Mqtt3BlockingClient made = MqttClient.builder()
                .useMqttVersion3()
                .identifier("demo-devices")
                .serverHost(broker.host())
                .serverPort(broker.port())
                .automaticReconnectWithDefaultConfig()
                .buildBlocking();
        made.connect();
        client = made;
        plug.ifPresent(speaker -> made.toAsync()
                .subscribeWith()
                .topicFilter(speaker.topic().replace("/readings", "/orders"))
                .qos(MqttQos.AT_LEAST_ONCE)
                .callback(order -> ordered.accept(
                        json.readTree(order.getPayloadAsBytes()).path("on").asBoolean(false)))
                .send()
                .join());
    }

    /** Speaks, if it is connected now. */
    void tell(Speaker speaker, List<Told> told) {
        @Nullable Mqtt3BlockingClient connected = client;
        if (connected != null && connected.getState().isConnected()) {
            connected
                    .publishWith()
                    .topic(speaker.topic())
                    .qos(MqttQos.AT_LEAST_ONCE)
                    .payload(json.writeValueAsBytes(new Message(speaker.token(), told)))
                    .send();
        }
    }

    @Override
    public void destroy() {
        if (client != null && client.getState().isConnected()) {
            client.disconnect();
        }
    }
}
