package app.chervil.sim.bench;

import app.chervil.sim.truth.HiddenStage;

/**
 * What a way of working costs, in services (docs/sources.md#simulator): one a service; running above loading 0.7 up to
 * 1.5 for each T at 1, then + 4 (L − 1); the stage's own price B once it is overloaded; 0.3 (1 − L ÷ 0.35) for opening it
 * too early.
 */
final class Costs {
    private static final double RUNS_FREE_TO = 0.7;
    private static final double AT_OVERLOAD = 1.5;
    private static final double BEYOND = 4;
    private static final double TOO_EARLY_BELOW = 0.35;
    private static final double TOO_EARLY = 0.3;

    private Costs() {}

    /** Cost of the day that ends with {@code day}, if last served on {@code servedDay}. */
    static double ofDay(HiddenStage stage, int servedDay, int day) {
        double before = stage.filled(servedDay, day - 1);
        double after = stage.filled(servedDay, day);
        double loading = stage.loadingOf((before + after) / 2);
        double overload = before < 1 && after >= 1 ? stage.model().graded().overloadCost() : 0;
        return overload + running(loading) * (after - before);
    }

    private static double running(double loading) {
        if (loading <= RUNS_FREE_TO) {
            return 0;
        }
        return loading <= 1
                ? AT_OVERLOAD * (loading - RUNS_FREE_TO) / (1 - RUNS_FREE_TO)
                : AT_OVERLOAD + BEYOND * (loading - 1);
    }

    /** Cost of a service at a loading. */
    static double ofService(double loading) {
        return 1 + TOO_EARLY * Math.max(0, 1 - loading / TOO_EARLY_BELOW);
    }

    /** What is still owed for a stage left dirty at the end: its share of a service. */
    static double owed(double filled) {
        return Math.min(1, filled);
    }
}
