package app.chervil.server.plan;

import app.chervil.server.plan.DigestMapper.DueRow;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.scheduling.annotation.EnableScheduling;
import org.springframework.scheduling.annotation.Scheduled;
import org.springframework.stereotype.Component;

/** Looks every few minutes whose mail is due; one that fails is tried again at the next look. */
@Component
@EnableScheduling
class DigestRound {
    private static final Logger LOG = LoggerFactory.getLogger(DigestRound.class);

    private final DigestOperations digests;

    DigestRound(DigestOperations digests) {
        this.digests = digests;
    }

    @Scheduled(fixedDelayString = "PT5M", initialDelayString = "PT1M")
    void go() {
        for (DueRow due : digests.due()) {
            try {
                digests.send(due);
            } catch (RuntimeException failure) {
                LOG.warn("Could not send a digest to account {}", due.accountId(), failure);
            }
        }
    }
}
