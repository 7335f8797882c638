package app.chervil.server.plan;

import app.chervil.server.account.SignedIn;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The search for better plans, one site at a time on one of the servers. */
@Configuration(proxyBeanMethods = false)
class BetterPlans {
    @Bean
    Task<Void> betterPlan(PlanOperations plans) {
        return Tasks.oneTime(Bettering.TASK)
                .execute((instance, context) -> plans.better(SignedIn.nobody(Long.parseLong(instance.getId()))));
    }
}
