package app.chervil.core.trouble;

/** What the learning of intervals makes of the days of a fault. */
public enum Bearing {
    /** It was dirt: findings and flow count. */
    DIRT,
    /** It was mechanical: findings count, flow does not. */
    IGNORE_FLOW,
    /** Water did not pass the stages as it should: neither counts, and such days bring no dirt. */
    IGNORE_FLOW_AND_GRADE,
    /** Nothing to learn. */
    NO_EVIDENCE;

    /** Of two causes at once, any of them not dirt: at least the flow does not count. */
    Bearing and(Bearing other) {
        if (this == other) {
            return this;
        }
        boolean neither = this == IGNORE_FLOW_AND_GRADE || other == IGNORE_FLOW_AND_GRADE;
        return neither ? IGNORE_FLOW_AND_GRADE : IGNORE_FLOW;
    }
}
