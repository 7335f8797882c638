package app.chervil.server.mail;

import app.chervil.server.mail.DigestMapper.DueRow;
import com.github.kagkarlsson.scheduler.task.Task;
import com.github.kagkarlsson.scheduler.task.helper.Tasks;
import com.github.kagkarlsson.scheduler.task.schedule.FixedDelay;
import java.time.Duration;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.context.annotation.Bean;
import org.springframework.context.annotation.Configuration;

/** One of the servers looks every few minutes whose mail is due; one that fails is tried again at the next look. */
@Configuration(proxyBeanMethods = false)
class DigestRound {
    private static final Logger LOG = LoggerFactory.getLogger(DigestRound.class);
    private static final Duration LOOKS_EVERY = Duration.ofMinutes(5);

    @Bean
    Task<Void> eveningMail(DigestOperations digests) {
        return Tasks.recurring("evening-mail", FixedDelay.of(LOOKS_EVERY)).execute((instance, context) -> go(digests));
    }

    static void go(DigestOperations digests) {
        for (DueRow due : digests.due()) {
            try {
                digests.send(due);
            } catch (RuntimeException failure) {
                LOG.warn("Could not send a digest to account {}", due.accountId(), failure);
            }
        }
    }
}
