package app.chervil.server.schedule;

import com.github.kagkarlsson.scheduler.Scheduler;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.RecurringTask;
import java.time.Duration;
import java.util.ArrayList;
import java.util.List;
import javax.sql.DataSource;
import org.springframework.boot.context.event.ApplicationReadyEvent;
import org.springframework.context.ApplicationListener;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;
import org.springframework.jdbc.datasource.TransactionAwareDataSourceProxy;

/** One scheduler a server; a task is done by the one that takes its row first. */
@Configuration(proxyBeanMethods = false)
class Scheduling {
    private static final int THREADS = 2;
    private static final Duration STOPS_WITHIN = Duration.ofSeconds(5);
    private static final Duration LOOKS_EVERY = Duration.ofSeconds(2);

    @Bean(destroyMethod = "stop")
    Scheduler scheduler(DataSource database, List<Task<?>> tasks) {
        List<RecurringTask<?>> recurring = new ArrayList<>();
        List<Task<?>> others = new ArrayList<>();
        for (Task<?> task : tasks) {
            if (task instanceof RecurringTask<?> again) {
                recurring.add(again);
            } else {
                others.add(task);
            }
        }
        return Scheduler.create(new TransactionAwareDataSourceProxy(database), others)
                .startTasks(recurring)
                .threads(THREADS)
                .pollingInterval(LOOKS_EVERY)
                .shutdownMaxWait(STOPS_WITHIN)
                .enableImmediateExecution()
                .build();
    }

    /** Begins once the server can answer. */
    @Bean
    ApplicationListener<ApplicationReadyEvent> schedulerStart(Scheduler scheduler) {
        return ready -> scheduler.start();
    }
}
