package app.chervil.server.device;

import app.chervil.server.device.DeviceMapper.Place;
import com.github.benmanes.caffeine.cache.Cache;
import com.github.benmanes.caffeine.cache.Caffeine;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.Optional;
import org.springframework.stereotype.Component;

/** Holds up a device that floods: so many readings a second in the long run, with room for what a bad network held back. */
@Component
class DeviceBuckets {
    static final double A_SECOND = 50;
    static final double ROOM = 10_000;

    private static final int MOST_DEVICES = 100_000;

    private final Clock clock;
    private final Cache<Place, Bucket> buckets =
            Caffeine.newBuilder().maximumSize(MOST_DEVICES).build();

    DeviceBuckets(Clock clock) {
        this.clock = clock;
    }

    private record Bucket(double level, Instant at) {
        Bucket filled(Instant now) {
            double more = Math.max(0, Duration.between(at, now).toMillis()) / 1000.0 * A_SECOND;
            return new Bucket(Math.min(ROOM, level + more), now);
        }
    }

    /** Makes room for readings; answers how long to wait where there is none. */
    Optional<Duration> take(Place device, int readings) {
        Instant now = clock.instant();
        Bucket[] after = new Bucket[1];
        buckets.asMap().compute(device, (place, before) -> {
            Bucket full = before == null ? new Bucket(ROOM, now) : before.filled(now);
            after[0] = new Bucket(full.level() - readings, now);
            return after[0].level() < 0 ? full : after[0];
        });
        double missing = -after[0].level();
        return missing <= 0 ? Optional.empty() : Optional.of(Duration.ofSeconds((long) Math.ceil(missing / A_SECOND)));
    }
}
