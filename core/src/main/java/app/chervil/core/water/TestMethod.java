package app.chervil.core.water;

import app.chervil.core.calc.Check;
import java.util.List;

/**
 * A way to measure one parameter.
 *
 * @param name generic, "Drop test"
 * @param limit lowest value it shows, in the unit of the parameter; zero if it has none
 * @param steps timed steps in order; empty for a meter
 */
public record TestMethod(Parameter parameter, String name, double limit, List<TimedStep> steps) {
    public TestMethod {
        Check.within("limit", limit, 0, 100_000);
        steps = List.copyOf(steps);
    }

    /**
     * One step with its time.
     *
     * @param seconds 1 to 7,200
     */
    public record TimedStep(What what, int seconds) {
        public TimedStep {
            Check.within("seconds", seconds, 1, 7200);
        }
    }

    /** What is done in a step. */
    public enum What {
        SHAKE,
        WAIT
    }

    /** What cannot be told from zero with it: its limit, or the parameter's own noise if it states none. */
    public double noise() {
        return limit > 0 ? limit : parameter.noise();
    }
}
