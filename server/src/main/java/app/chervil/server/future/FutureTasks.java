package app.chervil.server.future;

import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** Comparisons, lived by whichever server has time. */
@Configuration(proxyBeanMethods = false)
class FutureTasks {
    @Bean
    Task<Long> whatIf(FutureOperations futures) {
        return Tasks.oneTime(FutureOperations.TASK)
                .execute((instance, context) -> futures.live(instance.getData(), instance.getId()));
    }
}
