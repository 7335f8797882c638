package app.chervil.server.upkeep;

import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Clock;
import java.time.Duration;
import java.time.LocalDateTime;
import java.time.LocalTime;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/**
 * One of the servers looks now and then whether a backup is wanted: each night, or as soon as it runs again where it slept
 * through the night. One that failed is tried again an hour later.
 */
@Configuration(proxyBeanMethods = false)
class NightlyBackup {
    private static final LocalTime AT_NIGHT = LocalTime.of(3, 40);
    private static final Duration LOOKS_EVERY = Duration.ofMinutes(10);
    private static final Duration TRIES_AGAIN_AFTER = Duration.ofHours(1);

    @Bean
    Task<Void> backupAtNight(Backups backups, Clock clock) {
        return Tasks.recurring("nightly-backup", FixedDelay.of(LOOKS_EVERY)).execute((instance, context) -> {
            if (wanted(backups.view(), clock)) {
                backups.make();
            }
        });
    }

    /** Whether none was made since the last night began, and none failed lately. */
    static boolean wanted(BackupView last, Clock clock) {
        LocalDateTime now = LocalDateTime.now(clock);
        LocalDateTime today = now.toLocalDate().atTime(AT_NIGHT);
        LocalDateTime night = now.isBefore(today) ? today.minusDays(1) : today;
        boolean made = last.madeAt() != null
                && !last.madeAt().isBefore(night.atZone(clock.getZone()).toInstant());
        boolean failedLately = last.failedAt() != null
                && last.failedAt().isAfter(clock.instant().minus(TRIES_AGAIN_AFTER));
        return last.nightly() && !made && !failedLately;
    }
}
