package app.chervil.server.interval;

import app.chervil.core.interval.Finding;
import java.time.LocalDate;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.UUID;
import org.jspecify.annotations.Nullable;

/** What was done, as forecasts need it; provided by the visits. */
public interface ServiceHistory {
    /**
     * Services of a tank that were not withdrawn, oldest first.
     *
     * @param tank null for all tanks of the site
     * @param since the first day asked for; null for all
     */
    List<PastService> list(long site, @Nullable Long tank, @Nullable LocalDate since);

    /**
     * One service.
     *
     * @param done finding by task id; empty where nobody looked
     * @param flows measured, by filter id
     * @param filterOffMinutes how long a filter stood; null if nobody knows
     */
    record PastService(
            UUID id,
            long tankId,
            LocalDate doneOn,
            Map<Long, Optional<Finding>> done,
            Map<Long, Flows> flows,
            @Nullable Integer filterOffMinutes,
            Manner manner) {
        /** Whether its keeper gave this answer. */
        boolean said(long filter, Asked question, String answer) {
            return answer.equals(manner.answers().getOrDefault(filter, Map.of()).get(question));
        }
    }

    /**
     * How a service was done and written down.
     *
     * @param again opened for another reason, nothing cleaned
     * @param recordedBy account of whoever wrote it down; null if nobody knows
     * @param answers to what was asked about it, by filter
     */
    record Manner(boolean again, @Nullable Long recordedBy, Map<Long, Map<Asked, String>> answers) {
        public static final Manner USUAL = new Manner(false, null, Map.of());
    }

    /** Flow before and after a service, in L/h. */
    record Flows(@Nullable Double beforeLph, @Nullable Double afterLph) {
        public static final Flows NONE = new Flows(null, null);
    }
}
