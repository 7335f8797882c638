package app.chervil.server.upkeep;

import java.time.Clock;
import java.time.Duration;
import org.springframework.boot.health.contributor.Health;
import org.springframework.boot.health.contributor.HealthIndicator;
import org.springframework.stereotype.Component;

/** Tells monitoring how old the last backup is, and whether the last try failed. */
@Component("backup")
class BackupHealth implements HealthIndicator {
    private final Backups backups;
    private final Clock clock;

    BackupHealth(Backups backups, Clock clock) {
        this.backups = backups;
        this.clock = clock;
    }

    @Override
    public Health health() {
        BackupView last = backups.view();
        Health.Builder told = Health.up().withDetail("nightly", last.nightly());
        if (last.madeAt() != null) {
            told.withDetail(
                    "ageHours", Duration.between(last.madeAt(), clock.instant()).toHours());
        }
        return told.withDetail("lastFailed", last.failedAt() != null).build();
    }
}
