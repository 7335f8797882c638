package app.chervil.core.site;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.interval.Finding;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalInt;
import java.util.UUID;

/**
 * A service in the log.
 *
 * @param done finding by task id; empty where nobody looked
 * @param flows measured, by filter id
 * @param filterOffMinutes how long a filter stood; empty if nobody knows
 */
public record PastService(
        UUID id,
        long tankId,
        LocalDate doneOn,
        Map<Long, Optional<Finding>> done,
        Map<Long, Flows> flows,
        OptionalInt filterOffMinutes,
        Manner manner) {
    public PastService {
        done = Map.copyOf(done);
        flows = Map.copyOf(flows);
    }

    /** Flow before and after a service. */
    public record Flows(Optional<FlowRate> before, Optional<FlowRate> after) {
        public static final Flows NONE = new Flows(Optional.empty(), Optional.empty());
    }

    /**
     * How it was done and written down.
     *
     * @param again opened for another reason, nothing cleaned
     * @param recordedBy account of whoever wrote it down; empty if nobody knows
     * @param answers to what was asked about it, by filter
     */
    public record Manner(boolean again, Optional<Long> recordedBy, Map<Long, Map<Asked, String>> answers) {
        public static final Manner USUAL = new Manner(false, Optional.empty(), Map.of());
    }

    /** Whether its keeper gave this answer. */
    public boolean said(long filter, Asked question, String answer) {
        return answer.equals(manner.answers().getOrDefault(filter, Map.of()).get(question));
    }
}
