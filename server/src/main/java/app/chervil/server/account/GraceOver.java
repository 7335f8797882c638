package app.chervil.server.account;

import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** One of the servers looks now and then for sites whose days of grace are over. */
@Configuration(proxyBeanMethods = false)
class GraceOver {
    private static final Logger LOG = LoggerFactory.getLogger(GraceOver.class);
    private static final Duration LOOKS_EVERY = Duration.ofHours(6);

    @Bean
    Task<Void> forgetDeletedSites(SiteOperations sites) {
        return Tasks.recurring("forget-deleted-sites", FixedDelay.of(LOOKS_EVERY))
                .execute((instance, context) -> {
                    int gone = sites.forgetOverdue();
                    if (gone > 0) {
                        LOG.info("{} deleted site(s) are gone for good", gone);
                    }
                });
    }
}
