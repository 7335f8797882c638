package app.chervil.sim.truth;

import app.chervil.core.interval.ContextEffect;
import app.chervil.core.interval.StartingLoad;
import app.chervil.core.tank.ContextChange;
import app.chervil.core.tank.Feeding;
import app.chervil.core.tank.Stocking;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.SplittableRandom;

/**
 * The truth of one stage over some years: L = (S(t) − S(t₀))^shape, where S grows each day by rate ÷ T; L = 1 is
 * overloaded. T starts at the usual interval ÷ 0.6 × e^N(0, 0.6) and walks; the rate has a yearly season and steps.
 */
public final class HiddenStage {
    private static final double USUAL_LOADING = 0.6;
    private static final double SPREAD = 0.6;
    private static final double SHAPE_SPREAD = 0.15;
    private static final double LOGGED = 0.6;
    private static final double YEAR_DAYS = 365.25;

    private final StageModel model;
    private final Start start;
    private final double[] filled;
    private final double shape;
    private final List<ContextChange> logged;

    /**
     * Where a stage begins.
     *
     * @param load what the keeper knows of the tank
     */
    public record Start(LocalDate on, StartingLoad load) {}

    /** A step in the dirt rate on a day, known to the keeper or not. */
    private record Step(int day, ContextChange change, double factor, boolean known) {}

    /** What comes to pass over some days. */
    private record Course(Start start, List<Step> steps, int days) {}

    private HiddenStage(StageModel model, Start start, double[] filled, double shape, List<ContextChange> logged) {
        this.model = model;
        this.start = start;
        this.filled = filled;
        this.shape = shape;
        this.logged = logged;
    }

    /**
     * Draws a stage.
     *
     * @param days how many to live through; above zero
     */
    public static HiddenStage draw(StageModel model, World world, LocalDate on, int days, SplittableRandom random) {
        Start start = new Start(on, load(model, random));
        return lived(model, world, new Course(start, steps(model, world, start, days, random), days), random);
    }

    private static HiddenStage lived(StageModel model, World world, Course course, SplittableRandom random) {
        List<Step> steps = course.steps;
        double shape = model.shape() * (1 - SHAPE_SPREAD + 2 * SHAPE_SPREAD * random.nextDouble());
        double logT = Math.log(model.rule().startDays() / USUAL_LOADING)
                - SPREAD * SPREAD / 2
                + SPREAD * random.nextGaussian();
        double season = 0.05 + 0.20 * random.nextDouble();
        double phase = random.nextDouble() * 2 * Math.PI;
        double rate = course.start.load().rate();
        double[] filled = new double[course.days + 1];
        int next = 0;
        for (int day = 0; day < course.days; day++) {
            for (; next < steps.size() && steps.get(next).day() <= day; next++) {
                rate *= steps.get(next).factor();
            }
            double seasonal = 1 + season * Math.sin(2 * Math.PI * day / YEAR_DAYS + phase);
            filled[day + 1] = filled[day] + rate * seasonal / Math.exp(logT);
            logT += world.driftSd() / Math.sqrt(30) * random.nextGaussian();
        }
        List<ContextChange> logged =
                steps.stream().filter(Step::known).map(Step::change).toList();
        return new HiddenStage(model, course.start, filled, shape, logged);
    }

    private static StartingLoad load(StageModel model, SplittableRandom random) {
        Stocking stocking = pick(random, Stocking.values(), 0.2, 0.55, 0.2);
        Feeding feeding = pick(random, Feeding.values(), 0.2, 0.6);
        boolean prefilter = model.behindPrefilter() && random.nextDouble() < 0.15;
        return new StartingLoad(stocking, feeding, prefilter, false);
    }

    private static <T> T pick(SplittableRandom random, T[] values, double... shares) {
        double left = random.nextDouble();
        for (int i = 0; i < shares.length; i++) {
            left -= shares[i];
            if (left < 0) {
                return values[i];
            }
        }
        return values[shares.length];
    }

    private static List<Step> steps(StageModel model, World world, Start start, int days, SplittableRandom random) {
        int count = Randomness.poisson(random, world.stepsPerYear() * days / YEAR_DAYS);
        int[] when = random.ints(count, 1, Math.max(2, days)).sorted().toArray();
        boolean prefilter = start.load.behindPrefilter();
        List<Step> steps = new ArrayList<>();
        for (int day : when) {
            double kind = random.nextDouble();
            int up = random.nextBoolean() ? 1 : -1;
            Step step;
            if (model.behindPrefilter() && kind > 0.8) {
                step = step(start.on, day, ContextChange.Kind.PREFILTER, prefilter ? -1 : 1, random);
                prefilter = !prefilter;
            } else {
                step = step(
                        start.on,
                        day,
                        kind > 0.4 ? ContextChange.Kind.STOCKING : ContextChange.Kind.FEEDING,
                        up,
                        random);
            }
            steps.add(step);
        }
        steps.sort(Comparator.comparingInt(Step::day));
        return steps;
    }

    private static Step step(LocalDate on, int day, ContextChange.Kind kind, int steps, SplittableRandom random) {
        ContextChange change = new ContextChange(on.plusDays(day), kind, steps);
        ContextEffect effect = ContextEffect.of(change);
        double factor = Math.exp(effect.logRate() + effect.sd() * random.nextGaussian());
        return new Step(day, change, factor, random.nextDouble() < LOGGED);
    }

    public StageModel model() {
        return model;
    }

    public Start start() {
        return start;
    }

    /** Days it lives. */
    public int days() {
        return filled.length - 1;
    }

    /** Changes that the keeper wrote down, oldest first. */
    public List<ContextChange> logged() {
        return logged;
    }

    /** Exposure between two days as a share of what overloads it. */
    public double filled(int fromDay, int toDay) {
        return filled[toDay] - filled[fromDay];
    }

    /** True loading on a day if it was last served on another. */
    public double loading(int servedDay, int day) {
        return Math.pow(filled(servedDay, day), shape);
    }

    /** Loading from exposure as a share. */
    public double loadingOf(double share) {
        return Math.pow(share, shape);
    }

    /** First day on which it is overloaded if last served on a day; beyond its days if it lives to see none. */
    public int overloadedOn(int servedDay) {
        for (int day = servedDay + 1; day < filled.length; day++) {
            if (filled[day] - filled[servedDay] >= 1) {
                return day;
            }
        }
        return filled.length;
    }
}
