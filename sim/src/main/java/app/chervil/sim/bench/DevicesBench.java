package app.chervil.sim.bench;

import app.chervil.core.interval.CalibratedEye;
import app.chervil.sim.truth.Eye;
import app.chervil.sim.truth.HiddenStage;
import app.chervil.sim.truth.Randomness;
import app.chervil.sim.truth.StageModel;
import app.chervil.sim.truth.World;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.time.LocalDate;
import java.util.List;
import java.util.Locale;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * What a flow meter buys: {@code ./chervil bench devices}. Stages that throttle the flow live three years by the engine
 * without flow, with a meter of 5 % noise read once a day, and by a keeper who knows how fast they fill.
 */
public final class DevicesBench {
    private static final int DAYS = 3 * 365;
    private static final LocalDate BEGIN = LocalDate.of(2020, 1, 1);
    private static final double LEAST_SHARE_OF_THE_WAY = 0.5;
    private static final List<StageModel> THROTTLING = Kinds.ALL.stream()
            .filter(model -> model.graded().flowAtOverload().isPresent())
            .toList();

    private DevicesBench() {}

    public static void main(String[] arguments) {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        BenchOptions options;
        try {
            options = BenchOptions.seedsOf("devices", arguments);
        } catch (IllegalArgumentException unfit) {
            out.println(unfit.getMessage());
            System.exit(2);
            return;
        }
        Result result = run(options);
        print(result, out);
        if (result.all().way() < LEAST_SHARE_OF_THE_WAY) {
            out.println("Short of half of the way.");
            System.exit(1);
        }
    }

    /** Mean cost over that of the oracle. */
    record Compared(double without, double measured, double metered, double informed) {
        /** How far a meter leads from the engine without flow to the informed policy; 1 is all of it. */
        double way() {
            return (without - metered) / (without - informed);
        }

        private Compared plus(Compared other) {
            return new Compared(
                    without + other.without,
                    measured + other.measured,
                    metered + other.metered,
                    informed + other.informed);
        }

        private Compared over(double count) {
            return new Compared(without / count, measured / count, metered / count, informed / count);
        }
    }

    /** By kind of stage, in the order of {@link #THROTTLING}, and all together. */
    record Result(List<Compared> byKind, long seeds) {
        Compared all() {
            return byKind.stream()
                    .reduce(new Compared(0, 0, 0, 0), Compared::plus)
                    .over(byKind.size());
        }
    }

    static Result run(BenchOptions options) {
        long seeds = options.lastSeed() - options.firstSeed() + 1;
        List<List<Compared>> lives = LongStream.rangeClosed(options.firstSeed(), options.lastSeed())
                .parallel()
                .mapToObj(seed ->
                        THROTTLING.stream().map(model -> live(seed, model)).toList())
                .toList();
        List<Compared> means = IntStream.range(0, THROTTLING.size())
                .mapToObj(kind -> lives.stream()
                        .map(life -> life.get(kind))
                        .reduce(new Compared(0, 0, 0, 0), Compared::plus)
                        .over((double) seeds))
                .toList();
        return new Result(means, seeds);
    }

    private static Compared live(long seed, StageModel model) {
        SplittableRandom random = Randomness.of(seed, model.name());
        HiddenStage stage = HiddenStage.draw(model, World.BASE, BEGIN, 2 * DAYS, random);
        Eye eye = Eye.draw(World.BASE, random);
        Life life = new Life(
                stage, new Life.Keeper(World.BASE, eye, 0.5, 1.5 + 2.5 * random.nextDouble(), random.nextLong()), DAYS);
        double oracle = Oracle.cost(life, stage);
        return new Compared(
                cost(life, Practices.learned(stage, false, CalibratedEye.UNTESTED), oracle),
                cost(life, Practices.learned(stage, true, CalibratedEye.UNTESTED), oracle),
                cost(life, Practices.metered(stage), oracle),
                cost(life, Oracle.informed(stage), oracle));
    }

    private static double cost(Life life, Practice practice, double oracle) {
        return life.with(practice, oracle, new Calibration()).cost() / oracle;
    }

    private static void print(Result result, PrintStream out) {
        out.printf(Locale.ROOT, "Cost over the oracle's, %d seeds, three years%n", result.seeds());
        out.printf(
                Locale.ROOT,
                "%-24s %12s %12s %12s %12s %12s%n",
                "",
                "no flow",
                "by hand",
                "meter",
                "informed",
                "of the way");
        IntStream.range(0, THROTTLING.size())
                .forEach(kind ->
                        line(THROTTLING.get(kind).name(), result.byKind().get(kind), out));
        line("all", result.all(), out);
    }

    private static void line(String name, Compared costs, PrintStream out) {
        out.printf(
                Locale.ROOT,
                "%-24s %12.3f %12.3f %12.3f %12.3f %11.0f%%%n",
                name,
                costs.without(),
                costs.measured(),
                costs.metered(),
                costs.informed(),
                100 * costs.way());
    }
}
