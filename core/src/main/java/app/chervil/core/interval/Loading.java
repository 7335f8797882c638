package app.chervil.core.interval;

/**
 * How full of dirt a stage is thought to be, as a fraction of what overloads it; 1 means clogged or bypassing.
 *
 * @param low with 9 chances in 10 it is fuller than this
 * @param likely middle estimate
 * @param high with 9 chances in 10 it is emptier than this
 * @param servicePoint loading at which the task is asked for
 */
public record Loading(double low, double likely, double high, double servicePoint) {
    static final double NINE_IN_TEN = 1.2816;

    static Loading at(LogExposure exposure, RunBelief belief, double idealLogExposure) {
        double spread = Math.exp(NINE_IN_TEN * Math.hypot(belief.spread(), Math.sqrt(exposure.variance())));
        double likely = Math.exp(exposure.mean() - belief.mean());
        return new Loading(likely / spread, likely, likely * spread, Math.exp(idealLogExposure - belief.mean()));
    }
}
