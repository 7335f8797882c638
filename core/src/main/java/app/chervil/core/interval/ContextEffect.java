package app.chervil.core.interval;

import app.chervil.core.tank.ContextChange;

/**
 * How a change of context moves the dirt rate: rate × e^logRate, known to within sd on the log scale
 * (docs/sources.md#context-effects).
 */
public record ContextEffect(double logRate, double sd) {
    static final double PARALLEL_FILTER_SHARE = 0.65;
    static final double BEHIND_PREFILTER_SHARE = 0.30;

    /** The effect of a change, all its steps together. */
    public static ContextEffect of(ContextChange change) {
        ContextEffect one =
                switch (change.kind()) {
                    case STOCKING -> new ContextEffect(Math.log(1.4), 0.2);
                    case FEEDING -> new ContextEffect(Math.log(1.25), 0.2);
                    case PREFILTER -> new ContextEffect(Math.log(BEHIND_PREFILTER_SHARE), 0.35);
                    case PARALLEL_FILTER -> new ContextEffect(Math.log(PARALLEL_FILTER_SHARE), 0.25);
                };
        return new ContextEffect(one.logRate * change.steps(), one.sd * Math.sqrt(Math.abs(change.steps())));
    }
}
