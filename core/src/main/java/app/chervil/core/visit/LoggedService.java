package app.chervil.core.visit;

import app.chervil.core.calc.FlowRate;
import app.chervil.core.interval.CalibratedEye;
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
        LocalDate on,
        Map<Long, Optional<Finding>> done,
        Optional<FlowRate> flowBefore,
        Optional<FlowRate> flowAfter,
        Manner manner) {
    public LoggedService {
        done = Map.copyOf(done);
    }

    public LoggedService(
            LocalDate on,
            Map<Long, Optional<Finding>> done,
            Optional<FlowRate> flowBefore,
            Optional<FlowRate> flowAfter) {
        this(on, done, flowBefore, flowAfter, Manner.USUAL);
    }

    /**
     * How it was done.
     *
     * @param again opened for another reason, such as a drip, and nothing cleaned
     * @param sureOfFlow the keeper stands by a flow that looked too high
     * @param separate the keeper says that it is no part of the service just before
     * @param eye of whoever graded
     */
    public record Manner(boolean again, boolean sureOfFlow, boolean separate, CalibratedEye eye) {
        public static final Manner USUAL = new Manner(false, false, false, CalibratedEye.UNTESTED);
    }
}
