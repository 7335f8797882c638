package app.chervil.sim.bench;

import app.chervil.core.interval.CalibratedEye;
import app.chervil.sim.truth.Eye;
import app.chervil.sim.truth.HiddenStage;
import app.chervil.sim.truth.Randomness;
import app.chervil.sim.truth.StageModel;
import app.chervil.sim.truth.World;
import java.io.IOException;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.time.LocalDate;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.concurrent.atomic.AtomicInteger;
import java.util.stream.LongStream;

/** Compares ways of deciding when to serve a stage: {@code ./chervil bench interval}. */
public final class IntervalBench {
    private static final int DAYS = 3 * 365;
    private static final int TRUTH_DAYS = 2 * DAYS;
    private static final LocalDate BEGIN = LocalDate.of(2020, 1, 1);

    private IntervalBench() {}

    public static void main(String[] arguments) throws IOException {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        BenchOptions options;
        try {
            options = BenchOptions.parse(arguments);
        } catch (IllegalArgumentException unfit) {
            out.println(unfit.getMessage());
            System.exit(2);
            return;
        }
        long begun = System.nanoTime();
        Result result = run(options, System.err);
        Optional<Result> harsh = options.world() == World.Named.BASE
                ? Optional.of(run(options.in(World.Named.HARSH), System.err))
                : Optional.empty();
        double seconds = (System.nanoTime() - begun) / 1e9;
        BenchTable table = new BenchTable(options, result, harsh);
        table.print(out, seconds);
        if (options.json().isPresent()) {
            Files.writeString(options.json().get(), table.json());
            out.println("Written to " + options.json().get() + ".");
        }
        if (table.bars().stream().anyMatch(bar -> !bar.met())) {
            System.exit(1);
        }
    }

    /** Tallies by kind, then by practice. */
    record Result(Map<String, Map<String, Tally>> byKind) {
        /** Tallies by practice, all kinds together. */
        Map<String, Tally> overall() {
            Map<String, Tally> all = new LinkedHashMap<>();
            byKind.values()
                    .forEach(kind -> kind.forEach((practice, tally) ->
                            all.computeIfAbsent(practice, key -> new Tally()).add(tally)));
            return all;
        }

        private Result merged(Result other) {
            other.byKind.forEach((kind, practices) ->
                    practices.forEach((practice, tally) -> byKind.computeIfAbsent(kind, key -> new LinkedHashMap<>())
                            .computeIfAbsent(practice, key -> new Tally())
                            .add(tally)));
            return this;
        }
    }

    /** Lives all seeds, on all processors; the result does not depend on their order. */
    static Result run(BenchOptions options, PrintStream progress) {
        long seeds = options.lastSeed() - options.firstSeed() + 1;
        AtomicInteger done = new AtomicInteger();
        Result result = LongStream.rangeClosed(options.firstSeed(), options.lastSeed())
                .parallel()
                .mapToObj(seed -> {
                    Result one = live(options, seed);
                    int so = done.incrementAndGet();
                    if (so % Math.max(1, seeds / 20) == 0) {
                        progress.printf("\r%d of %d seeds", so, seeds);
                    }
                    return one;
                })
                .sequential()
                .reduce(new Result(new LinkedHashMap<>()), Result::merged);
        progress.println();
        return result;
    }

    private static Result live(BenchOptions options, long seed) {
        Map<String, Map<String, Tally>> byKind = new LinkedHashMap<>();
        for (StageModel model : Kinds.ALL) {
            byKind.put(model.name(), live(options, seed, model));
        }
        return new Result(byKind);
    }

    private static Map<String, Tally> live(BenchOptions options, long seed, StageModel model) {
        World world = options.world().world();
        SplittableRandom random = Randomness.of(seed, model.name());
        HiddenStage stage = HiddenStage.draw(model, world, BEGIN, TRUTH_DAYS, random);
        Eye eye = Eye.draw(world, random);
        Life.Keeper keeper =
                new Life.Keeper(world, eye, options.flow(), 1.5 + 2.5 * random.nextDouble(), random.nextLong());
        Life life = new Life(stage, keeper, DAYS);
        double oracle = Oracle.cost(life, stage);
        Map<String, Tally> tallies = new LinkedHashMap<>();
        Tally best = new Tally();
        best.add(new Life.Outcome(oracle, 0, 0, 0, 0, 1), oracle);
        tallies.put("oracle", best);
        Practices.all(pictured(eye, seed)).forEach((name, beginning) -> {
            Tally tally = new Tally();
            tally.add(life.with(beginning.with(stage), oracle, tally.calibration()), oracle);
            tallies.put(name, tally);
        });
        return tallies;
    }

    /** What the twelve pictures tell of an eye that grades them as it grades stages. */
    private static CalibratedEye pictured(Eye eye, long seed) {
        SplittableRandom random = Randomness.of(seed, "pictures");
        return CalibratedEye.of(CalibratedEye.PICTURES.stream()
                .map(loading -> new CalibratedEye.Graded(loading, eye.grade(loading, random)))
                .toList());
    }
}
