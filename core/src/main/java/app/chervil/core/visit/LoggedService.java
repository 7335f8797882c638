package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.interval.Finding;
import java.time.LocalDate;
import java.util.Map;
import java.util.Optional;

/**
 * What was done on one filter in one visit.
 *
 * @param done finding by task id; empty where nobody looked
 * @param flowBefore measured before anything was touched
 * @param flowAfter measured after the restart
 */
public record LoggedService(
        LocalDate on, Map<Long, Optional<Finding>> done, Optional<FlowRate> flowBefore, Optional<FlowRate> flowAfter) {
    public LoggedService {
        done = Map.copyOf(done);
    }
}
