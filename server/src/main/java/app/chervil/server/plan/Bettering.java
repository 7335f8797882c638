package app.chervil.server.plan;

import com.github.kagkarlsson.scheduler.SchedulerClient;
import com.github.kagkarlsson.scheduler.task.TaskDescriptor;
import java.time.Clock;
import org.springframework.beans.factory.ObjectProvider;
import org.springframework.stereotype.Component;

/** Asks for a better plan where one was made in haste; whichever server has time looks for it. */
@Component
class Bettering {
    /** Its instances are sites by id. */
    static final TaskDescriptor<Void> TASK = TaskDescriptor.of("better-plan");

    private final ObjectProvider<SchedulerClient> scheduler;
    private final Clock clock;

    Bettering(ObjectProvider<SchedulerClient> scheduler, Clock clock) {
        this.scheduler = scheduler;
        this.clock = clock;
    }

    void begin(long site) {
        scheduler
                .getObject()
                .scheduleIfNotExists(TASK.instance(Long.toString(site)).scheduledTo(clock.instant()));
    }
}
