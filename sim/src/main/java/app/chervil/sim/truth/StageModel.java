package app.chervil.sim.truth;

import app.chervil.core.filter.CareRule;
import app.chervil.core.filter.Learning.Graded;

/**
 * A kind of stage as the simulator knows it.
 *
 * @param rule the care it asks for; learned from findings
 * @param shape exponent of loading over exposure, about 0.9 to 1
 * @param behindPrefilter whether a pre-filter can stand before it
 */
public record StageModel(String name, CareRule rule, double shape, boolean behindPrefilter) {
    /** The way it is learned. */
    public Graded graded() {
        return (Graded) rule.learning();
    }
}
