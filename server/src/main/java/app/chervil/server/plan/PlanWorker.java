package app.chervil.server.plan;

import app.chervil.server.account.SignedIn;
import java.util.Set;
import java.util.concurrent.ConcurrentHashMap;
import java.util.concurrent.ExecutorService;
import java.util.concurrent.Executors;
import java.util.concurrent.Future;
import org.slf4j.Logger;
import org.slf4j.LoggerFactory;
import org.springframework.beans.factory.DisposableBean;
import org.springframework.stereotype.Component;
import org.springframework.transaction.PlatformTransactionManager;
import org.springframework.transaction.support.TransactionSynchronization;
import org.springframework.transaction.support.TransactionSynchronizationManager;
import org.springframework.transaction.support.TransactionTemplate;

/** Looks for better plans while nobody waits, one site at a time. */
@Component
class PlanWorker implements DisposableBean {
    private static final Logger LOG = LoggerFactory.getLogger(PlanWorker.class);

    private final Set<Long> busy = ConcurrentHashMap.newKeySet();
    private final TransactionTemplate transactions;
    private final ExecutorService thread = Executors.newSingleThreadExecutor(task -> {
        Thread made = new Thread(task, "planner");
        made.setDaemon(true);
        return made;
    });

    PlanWorker(PlatformTransactionManager transactions) {
        this.transactions = new TransactionTemplate(transactions);
    }

    boolean busy(long site) {
        return busy.contains(site);
    }

    /** Begins a search once the plan it is to better has been stored. */
    void improve(SignedIn who, Runnable search) {
        if (busy.add(who.siteId())) {
            TransactionSynchronizationManager.registerSynchronization(new TransactionSynchronization() {
                @Override
                public void afterCompletion(int status) {
                    thread.execute(() -> run(who, status == STATUS_COMMITTED ? search : () -> {}));
                }
            });
        }
    }

    private void run(SignedIn who, Runnable search) {
        try {
            search.run();
        } catch (RuntimeException failure) {
            LOG.error("A search for a better plan failed", failure);
        } finally {
            busy.remove(who.siteId());
        }
    }

    /** Done when all searches that were begun so far are. */
    Future<?> idle() {
        return thread.submit(() -> {});
    }

    /** Runs something in a transaction of its own. */
    void store(Runnable storing) {
        transactions.executeWithoutResult(status -> storing.run());
    }

    @Override
    public void destroy() {
        thread.shutdownNow();
    }
}
