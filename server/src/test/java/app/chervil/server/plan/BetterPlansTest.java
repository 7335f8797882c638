package app.chervil.server.plan;

import static org.mockito.ArgumentMatchers.any;
import static org.mockito.Mockito.inOrder;
import static org.mockito.Mockito.mock;
import static org.mockito.Mockito.verify;
import static org.mockito.Mockito.verifyNoMoreInteractions;
import static org.mockito.Mockito.when;

import app.chervil.server.account.SignedIn;
import com.github.kagkarlsson.scheduler.task.CompletionHandler;
import com.github.kagkarlsson.scheduler.task.ExecutionComplete;
import com.github.kagkarlsson.scheduler.task.ExecutionContext;
import com.github.kagkarlsson.scheduler.task.ExecutionOperations;
import com.github.kagkarlsson.scheduler.task.TaskInstance;
import java.time.Instant;
import org.junit.jupiter.api.Test;
import org.mockito.InOrder;
import org.springframework.core.task.TaskExecutor;
import org.springframework.transaction.support.TransactionOperations;

/** The search for a better plan of site 7, and what becomes of its row when it is done. */
class BetterPlansTest {
    private static final long SITE = 7;
    private static final Instant DONE = Instant.parse("2026-06-01T12:00:03Z");

    private final PlanOperations plans = mock(PlanOperations.class);
    private final PlanMapper mapper = mock(PlanMapper.class);
    private final PlanKeeper keeper = new PlanKeeper(
            mapper, TransactionOperations.withoutTransaction(), mock(TaskExecutor.class), mock(Bettering.class));
    private final ExecutionComplete done = mock(ExecutionComplete.class);

    @SuppressWarnings("unchecked")
    private final ExecutionOperations<Void> row = mock(ExecutionOperations.class);

    private void search() {
        CompletionHandler<Void> end = new BetterPlans()
                .betterPlan(plans, keeper)
                .execute(new TaskInstance<>("better-plan", "7"), mock(ExecutionContext.class));
        when(done.getTimeDone()).thenReturn(DONE);
        end.complete(done, row);
    }

    @Test
    void it_is_over_once_the_plan_that_is_kept_is_no_longer_hasty() {
        search();

        verify(plans).better(any(SignedIn.class));
        verify(row).stop();
        verifyNoMoreInteractions(row);
    }

    @Test
    void it_begins_again_if_another_hasty_plan_was_kept_meanwhile() {
        when(mapper.isRough(SITE)).thenReturn(true);

        search();

        verify(row).reschedule(done, DONE);
        verifyNoMoreInteractions(row);
    }

    @Test
    void nothing_is_kept_between_the_look_and_the_end() {
        search();

        InOrder order = inOrder(mapper, row);
        order.verify(mapper).lock(SITE);
        order.verify(mapper).isRough(SITE);
        order.verify(row).stop();
    }
}
