package app.chervil.server.plan;

import app.chervil.server.account.SignedIn;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** The search for better plans, one site at a time on one of the servers; again where the plan changed meanwhile. */
@Configuration(proxyBeanMethods = false)
class BetterPlans {
    @Bean
    Task<Void> betterPlan(PlanOperations plans, PlanKeeper keeper) {
        return Tasks.custom(Bettering.TASK).execute((instance, context) -> {
            long site = Long.parseLong(instance.getId());
            plans.better(SignedIn.nobody(site));
            return (done, row) -> keeper.endSearch(site, () -> row.reschedule(done, done.getTimeDone()), row::stop);
        });
    }
}
