package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.when;

import app.chervil.server.device.DeviceMapper.Place;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import org.junit.jupiter.api.Test;

class DeviceBucketsTest {
    private static final Instant NOW = Instant.parse("2026-06-01T12:00:00Z");
    private static final Place PROBE = new Place(1, 7);

    private final Clock clock = mock(Clock.class);
    private final DeviceBuckets buckets = new DeviceBuckets(clock);

    private void after(Duration passed) {
        when(clock.instant()).thenReturn(NOW.plus(passed));
    }

    @Test
    void a_backlog_comes_in_at_once_and_a_flood_does_not() {
        after(Duration.ZERO);
        assertThat(buckets.take(PROBE, 10_000)).isEmpty();
        assertThat(buckets.take(PROBE, 1)).contains(Duration.ofSeconds(1));
        assertThat(buckets.take(PROBE, 1000)).contains(Duration.ofSeconds(20));
    }

    @Test
    void what_was_refused_takes_no_room() {
        after(Duration.ZERO);
        buckets.take(PROBE, 10_000);
        for (int again = 0; again < 100; again++) {
            buckets.take(PROBE, 1000);
        }
        after(Duration.ofSeconds(20));
        assertThat(buckets.take(PROBE, 1000)).isEmpty();
    }

    @Test
    void one_device_does_not_hold_up_another_and_a_clock_that_goes_back_gives_nothing() {
        after(Duration.ofMinutes(5));
        buckets.take(PROBE, 10_000);
        assertThat(buckets.take(new Place(2, 7), 10_000)).isEmpty();
        after(Duration.ZERO);
        assertThat(buckets.take(PROBE, 1)).isPresent();
    }
}
