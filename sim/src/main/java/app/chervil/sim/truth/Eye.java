package app.chervil.sim.truth;

import app.chervil.core.interval.Finding;
import java.util.OptionalDouble;
import java.util.SplittableRandom;

/**
 * How one keeper looks at stages: grades with a bias of their own, now and then one off, and measures flow by a timed
 * container.
 *
 * @param bias on the log loading
 * @param harshness in grades; above zero grades too high
 * @param misclicks share of findings that are one grade off
 */
public record Eye(double bias, double harshness, double misclicks) {
    private static final double BIAS_SD = 0.25;
    private static final double UNSURE_SD = 0.45;
    private static final double FLOW_SD = 0.07;
    private static final double[] LOG_BOUNDS = {Math.log(0.12), Math.log(0.35), Math.log(0.65), 0};

    /** Draws a keeper of this world. */
    public static Eye draw(World world, SplittableRandom random) {
        return new Eye(
                BIAS_SD * random.nextGaussian(),
                world.scoring().harshness(),
                world.scoring().misclicks());
    }

    /** The grade this keeper gives at a true loading. */
    public Finding grade(double loading, SplittableRandom random) {
        double seen = Math.log(loading) + bias + UNSURE_SD * random.nextGaussian();
        int grade = (int) Math.floor(place(seen) + harshness);
        if (random.nextDouble() < misclicks) {
            grade += random.nextBoolean() ? 1 : -1;
        }
        return Finding.ofGrade(grade);
    }

    /** Where a log loading lies on the scale of grades, between them too: 1 is the bound from clean to light. */
    private static double place(double logLoading) {
        int above = 0;
        while (above < LOG_BOUNDS.length - 2 && logLoading >= LOG_BOUNDS[above + 1]) {
            above++;
        }
        return 1 + above + (logLoading - LOG_BOUNDS[above]) / (LOG_BOUNDS[above + 1] - LOG_BOUNDS[above]);
    }

    /** Measured flow as a share of a measured clean flow, if f = 1 ÷ (1 + κ L^p). */
    public static OptionalDouble flow(StageModel model, double loading, double exponent, SplittableRandom random) {
        return model.graded().flowAtOverload().isEmpty()
                ? OptionalDouble.empty()
                : OptionalDouble.of(Math.max(
                        0.05,
                        flowShare(model.graded().flowAtOverload().getAsDouble(), loading, exponent)
                                * (1 + FLOW_SD * random.nextGaussian())
                                / (1 + FLOW_SD * random.nextGaussian())));
    }

    /** The share of clean flow that is left at a loading. */
    public static double flowShare(double atOverload, double loading, double exponent) {
        return 1 / (1 + (1 / atOverload - 1) * Math.pow(loading, exponent));
    }
}
