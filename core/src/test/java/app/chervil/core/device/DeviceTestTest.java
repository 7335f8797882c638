package app.chervil.core.device;

import static org.assertj.core.api.Assertions.assertThat;

import java.util.EnumSet;
import java.util.Set;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.EnumSource;

class DeviceTestTest {
    private static final Set<DeviceKind> UNTRIED = EnumSet.of(DeviceKind.LAMP, DeviceKind.BUTTON);

    @ParameterizedTest
    @EnumSource(DeviceKind.class)
    void whatever_somebody_waits_for_in_silence_is_tried_out_at_least_once_a_year(DeviceKind kind) {
        assertThat(DeviceTest.of(kind, "Corner").isEmpty()).isEqualTo(UNTRIED.contains(kind));
        DeviceTest.of(kind, "Corner").ifPresent(test -> {
            assertThat(test.days()).isBetween(30, 365);
            assertThat(test.words()).contains("Corner").endsWith(".");
        });
    }

    @Test
    void hands_are_in_the_water_only_once_nothing_electric_is() {
        assertThat(DeviceTest.of(DeviceKind.LEVEL, "Float").orElseThrow().words())
                .startsWith("Unplug what is electric in that water.");
    }
}
