package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.server.problem.NotFound;
import app.chervil.server.problem.Rejected;
import java.util.stream.Stream;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.MethodSource;
import org.springframework.dao.CannotAcquireLockException;
import org.springframework.dao.DataAccessResourceFailureException;
import org.springframework.dao.DataIntegrityViolationException;
import org.springframework.transaction.CannotCreateTransactionException;

class BrokerTest {
    static Stream<RuntimeException> passing() {
        return Stream.of(
                new DataAccessResourceFailureException("cut off"),
                new CannotAcquireLockException("locked"),
                new CannotCreateTransactionException("no connection"));
    }

    static Stream<RuntimeException> lasting() {
        return Stream.of(
                new NotFound("tank"),
                Rejected.field("tasks", "unknown", "No such task."),
                new DataIntegrityViolationException("broken"),
                new IllegalStateException("a slip of ours"));
    }

    @ParameterizedTest
    @MethodSource("passing")
    void a_message_waits_while_the_database_is_away(RuntimeException failure) {
        assertThat(Broker.passes(failure)).isTrue();
    }

    @ParameterizedTest
    @MethodSource("lasting")
    void one_that_can_never_be_kept_does_not_keep_the_others_waiting(RuntimeException failure) {
        assertThat(Broker.passes(failure)).isFalse();
    }
}
