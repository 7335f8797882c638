package app.chervil.core.water;

import app.chervil.core.calc.Check;
import java.util.List;

/**
 * A way to measure one parameter.
 *
 * @param name generic, "Drop test"
 * @param limit lowest value it shows, in the unit of the parameter; zero if it has none
 * @param steps timed steps in order; empty for a meter
 * @param card values of its colour card, least first; empty if it has none
 */
public record TestMethod(Parameter parameter, String name, double limit, List<TimedStep> steps, List<Double> card) {
    public TestMethod {
        Check.within("limit", limit, 0, 100_000);
        steps = List.copyOf(steps);
        card = card.stream().sorted().toList();
    }

    /** A method without a colour card. */
    public TestMethod(Parameter parameter, String name, double limit, List<TimedStep> steps) {
        this(parameter, name, limit, steps, List.of());
    }

    /** What a value read with it means: on a colour card it is a step, as far as half way to the steps beside it. */
    public Amount amount(double value) {
        int at = card.indexOf(value);
        if (at < 0) {
            return new Amount.Exact(value);
        }
        double high = at == card.size() - 1 ? Seen.NO_END : (value + card.get(at + 1)) / 2;
        double low = at == 0 ? -Math.max(high, noise()) : (card.get(at - 1) + value) / 2;
        return new Amount.Step(value, low, high);
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
