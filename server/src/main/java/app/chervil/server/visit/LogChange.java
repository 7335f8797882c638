package app.chervil.server.visit;

import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;

/** A service came into the log, left it or came back, told to whoever did more than log it, within the same transaction. */
public sealed interface LogChange {
    SignedIn who();

    UUID service();

    /**
     * It was written into the log.
     *
     * @param tasks that were done
     */
    record Logged(SignedIn who, UUID service, long tank, LocalDate doneOn, List<Long> tasks) implements LogChange {
        public Logged {
            tasks = List.copyOf(tasks);
        }
    }

    /** It was taken out of the log. */
    record TakenBack(SignedIn who, UUID service) implements LogChange {}

    /** It stands in the log again. */
    record PutBack(SignedIn who, UUID service) implements LogChange {}
}
