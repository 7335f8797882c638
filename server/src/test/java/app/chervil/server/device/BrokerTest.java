package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.ArgumentMatchers.any;
import static org.mockito.ArgumentMatchers.anyList;
import static org.mockito.ArgumentMatchers.eq;
import static org.mockito.ArgumentMatchers.isNull;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.never;
import static org.mockito.Mockito.times;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.when;

import app.chervil.server.device.DeviceMapper.Place;
import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import com.hivemq.client.mqtt.datatypes.MqttTopic;
import com.hivemq.client.mqtt.mqtt5.message.publish.Mqtt5Publish;
import java.nio.charset.StandardCharsets;
import java.time.Clock;
import java.util.List;
import java.util.Optional;
import java.util.stream.Stream;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.mockito.InOrder;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.transaction.CannotCreateTransactionException;
import tools.jackson.databind.json.JsonMapper;

class BrokerTest {
    private static final Place PROBE = new Place(1, 7);

    static Stream<RuntimeException> passing() {
        return Stream.of(
                new DataAccessResourceFailureException("cut off"),
                new CannotAcquireLockException("locked"),
                new CannotCreateTransactionException("no connection"));
    }

    static Stream<RuntimeException> lasting() {
        return Stream.of(
                new NotFound("tank"),
                Rejected.field("tasks", "unknown", "No such task."),
                new DataIntegrityViolationException("broken"),
                new IllegalStateException("a slip of ours"));
    }

    @ParameterizedTest
    @MethodSource("passing")
    void a_message_waits_while_the_database_is_away(RuntimeException failure) {
        assertThat(Broker.passes(failure)).isTrue();
    }

    private final SignalOperations signals = mock(SignalOperations.class);
    private final Mqtt5Publish message = mock(Mqtt5Publish.class);

    private Broker hearing() {
        when(message.getTopic()).thenReturn(MqttTopic.of("chervil/7/readings"));
        when(message.getPayloadAsBytes()).thenReturn("""
                {"token": "known", "readings": [{"at": "2026-06-01T12:00:00Z", "value": 24.5}]}""".getBytes(StandardCharsets.UTF_8));
        when(signals.device("known")).thenReturn(Optional.of(PROBE));
        return new Broker(
                signals,
                new DeviceBuckets(Clock.systemUTC()),
                JsonMapper.builder().build(),
                new BrokerPlace("", 1883, "chervil", "", ""));
    }

    @Test
    void it_is_acknowledged_once_it_is_stored_and_not_before() {
        Broker broker = hearing();
        when(signals.take(eq(PROBE), anyList(), isNull()))
                .thenThrow(new CannotCreateTransactionException("away"))
                .thenReturn(new SignalOperations.Taken(1, 0, List.of()));

        broker.heard(message);

        InOrder inOrder = inOrder(signals, message);
        inOrder.verify(signals, times(2)).take(eq(PROBE), anyList(), isNull());
        inOrder.verify(message).acknowledge();
    }

    @Test
    void what_can_never_be_kept_is_acknowledged_so_that_it_does_not_come_for_ever() {
        Broker broker = hearing();
        when(signals.take(eq(PROBE), anyList(), isNull())).thenThrow(new NotFound("device"));

        broker.heard(message);

        verify(message).acknowledge();
    }

    @Test
    void a_last_will_says_that_the_device_is_gone_and_is_no_reading() {
        Broker broker = hearing();
        when(message.getTopic()).thenReturn(MqttTopic.of("chervil/7/gone"));

        broker.heard(message);

        verify(signals).gone(PROBE);
        verify(signals, never()).take(any(), anyList(), any());
        verify(message).acknowledge();
    }

    @Test
    void one_on_the_topic_of_another_device_is_nobodys() {
        Broker broker = hearing();
        when(message.getTopic()).thenReturn(MqttTopic.of("chervil/8/readings"));

        broker.heard(message);

        verify(signals, never()).take(any(), anyList(), any());
        verify(message).acknowledge();
    }

    @ParameterizedTest
    @MethodSource("lasting")
    void one_that_can_never_be_kept_does_not_keep_the_others_waiting(RuntimeException failure) {
        assertThat(Broker.passes(failure)).isFalse();
    }
}
