package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

class TopicsTest {
    @Test
    void a_topic_leads_back_to_its_device() {
        assertThat(Topics.device(Topics.readings(42))).hasValue(42);
        assertThat(Topics.readings(42)).matches(Topics.ALL_READINGS.replace("+", "[^/]+"));
        assertThat(Topics.orders(42)).isEqualTo("chervil/42/orders");
        assertThat(Topics.isGone("chervil/42/gone")).isTrue();
        assertThat(Topics.isGone(Topics.readings(42))).isFalse();
    }

    @ParameterizedTest
    @ValueSource(
            strings = {
                "",
                "chervil",
                "chervil/x/readings",
                "chervil/-1/readings",
                "a/b/c/d",
                "chervil/99999999999999999999/readings"
            })
    void what_is_none_of_ours_leads_nowhere(String topic) {
        assertThat(Topics.device(topic)).isEmpty();
    }
}
