package app.chervil.server.device;

import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.function.LongConsumer;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** What one of the servers does for all devices: looks for what time alone brings about, mails it, thins what was read. */
@Configuration(proxyBeanMethods = false)
class DeviceRounds {
    private static final Logger LOG = LoggerFactory.getLogger(DeviceRounds.class);
    private static final Duration LOOKS_EVERY = Duration.ofSeconds(2);
    private static final Duration THINS_EVERY = Duration.ofHours(1);
    /** Beyond what may still be sent again. */
    private static final Duration MARGIN = Duration.ofHours(2);

    private static final Duration HOURS_KEPT = Duration.ofDays(400);

    @Bean
    Task<Void> deviceWatch(DeviceMapper devices, VigilOperations vigils, AlertMailOperations mails) {
        return Tasks.recurring("device-watch", FixedDelay.of(LOOKS_EVERY))
                .execute((instance, context) -> each(devices.listSites(), site -> {
                    vigils.look(site);
                    mails.send(site);
                }));
    }

    @Bean
    Task<Void> deviceThinning(DeviceMapper devices, SignalMapper signals, Clock clock) {
        return Tasks.recurring("device-thinning", FixedDelay.of(THINS_EVERY))
                .execute(
                        (instance, context) -> each(devices.listSites(), site -> thin(signals, site, clock.instant())));
    }

    static void thin(SignalMapper signals, long site, Instant now) {
        signals.deleteReadings(site, now.minus(SignalOperations.KEPT).minus(MARGIN));
        signals.deleteHours(site, now.minus(HOURS_KEPT));
    }

    /** One site in trouble does not keep the others waiting. */
    private static void each(List<Long> sites, LongConsumer work) {
        for (long site : sites) {
            try {
                work.accept(site);
            } catch (RuntimeException failure) {
                LOG.warn("Could not look at the devices of site {}", site, failure);
            }
        }
    }
}
