package app.chervil.server.upkeep;

import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.Daily;
import java.time.Clock;
import java.time.LocalTime;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** One of the servers backs up while nobody is up. */
@Configuration(proxyBeanMethods = false)
class NightlyBackup {
    private static final LocalTime AT_NIGHT = LocalTime.of(3, 40);

    @Bean
    Task<Void> backupAtNight(Backups backups, Clock clock) {
        return Tasks.recurring("nightly-backup", new Daily(clock.getZone(), AT_NIGHT))
                .execute((instance, context) -> backups.make());
    }
}
