package app.chervil.sim.bench;

import app.chervil.core.compare.Effects;
import app.chervil.core.compare.Effects.Effect;
import app.chervil.core.compare.Factor;
import app.chervil.core.compare.SeenRun;
import app.chervil.sim.truth.Eye;
import app.chervil.sim.truth.Randomness;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.SplittableRandom;
import java.util.function.BiPredicate;
import java.util.stream.LongStream;

/**
 * What the comparison of filters tells against the truth: {@code ./chervil bench compare}. Sites of one filter, of seven and
 * of thirty, each seed with hidden rates, keepers who grade in their own way, and a pre-filter before some filters from the
 * start, before some from half way on (docs/sources.md#filters-compared).
 */
public final class CompareBench {
    private static final int[] FILTERS = {1, 7, 30};
    private static final int LEAST_RUNS = 8;
    private static final int MOST_RUNS = 16;
    private static final double TYPICAL_DAYS = 45;
    private static final double BETWEEN = 0.35;
    private static final double WITHIN = 0.3;
    private static final double HABIT = 0.25;

    /** A pre-filter slows filling to between four tenths and as much as before. */
    private static final double LEAST_SHARE = 0.4;

    private static final double COVERAGE = 0.8;
    private static final double COVERAGE_OFF = 0.06;
    private static final double FALSELY = 0.1;

    private CompareBench() {}

    public static void main(String[] arguments) {
        BenchOptions seeds = BenchOptions.seedsOf("compare", arguments);
        Seeds these = new Seeds(seeds.firstSeed(), seeds.lastSeed());
        boolean met = true;
        System.out.printf("%-52s %10s %10s  %s%n", "", "measured", "ratio off", "bar");
        for (int filters : FILTERS) {
            met &= tell(held(filters, these));
            met &= tell(nothing(filters, these));
        }
        if (!met) {
            System.exit(1);
        }
    }

    /**
     * A figure.
     *
     * @param off mean of how far the estimated ratio's logarithm lay off
     */
    record Figure(String name, double measured, double off, String bar, boolean met) {}

    private static boolean tell(Figure figure) {
        System.out.printf(
                Locale.ENGLISH,
                "%-52s %8.1f %% %+10.3f  %s %s%n",
                figure.name(),
                100 * figure.measured(),
                figure.off(),
                figure.bar(),
                figure.met() ? "met" : "NOT MET");
        return figure.met();
    }

    /** From the first to the last. */
    record Seeds(long first, long last) {}

    /** How often the range of a pre-filter's factor holds the truth. */
    static Figure held(int filters, Seeds seeds) {
        return figure(
                "the range holds the truth",
                filters,
                seeds,
                "80 ± 6 %",
                (truth, effect) -> truth >= effect.low() && truth <= effect.high());
    }

    /** How often a change that does nothing is told of as one that does. */
    static Figure nothing(int filters, Seeds seeds) {
        return figure(
                "nothing is told of as something", filters, seeds, "at most 10 %", (truth, effect) -> effect.told());
    }

    private static Figure figure(
            String name, int filters, Seeds seeds, String bar, BiPredicate<Double, Effect> counts) {
        boolean nothing = bar.startsWith("at most");
        List<Outcome> seen = LongStream.rangeClosed(seeds.first, seeds.last)
                .parallel()
                .mapToObj(seed -> Randomness.of(seed, "compare", name, filters))
                .flatMap(random -> {
                    double truth = nothing ? 1 : Math.exp(Math.log(LEAST_SHARE) * random.nextDouble());
                    return Effects.of(site(filters, truth, random), Factor.PREFILTER).stream()
                            .map(effect -> new Outcome(counts.test(truth, effect), Math.log(effect.ratio() / truth)));
                })
                .toList();
        double measured = seen.stream().filter(Outcome::counts).count() / (double) seen.size();
        double off = seen.stream().mapToDouble(Outcome::off).average().orElse(0);
        boolean met = nothing ? measured <= FALSELY : Math.abs(measured - COVERAGE) <= COVERAGE_OFF;
        return new Figure(name + ", filters: " + filters, measured, off, bar, met);
    }

    /** What a site told; one whose filters all have a pre-filter, or none, tells nothing and is left out. */
    private record Outcome(boolean counts, double off) {}

    /** The runs of a site, each opened about when its keeper thinks it half full, graded by one of two people. */
    static List<SeenRun> site(int filters, double share, SplittableRandom random) {
        double site = -Math.log(TYPICAL_DAYS) + BETWEEN * random.nextGaussian();
        List<Eye> people = List.of(person(random), person(random));
        List<SeenRun> runs = new ArrayList<>();
        for (int filter = 0; filter < filters; filter++) {
            double rate = site + BETWEEN * random.nextGaussian();
            int count = random.nextInt(LEAST_RUNS, MOST_RUNS + 1);
            int fitted = filters == 1 ? count / 2 : fitted(count, random);
            for (int run = 0; run < count; run++) {
                boolean behind = run >= fitted;
                double here = Math.exp(rate + (behind ? Math.log(share) : 0) + WITHIN * random.nextGaussian());
                double thought = 0.5 / Math.exp(rate + (behind ? Math.log(share) / 2 : 0));
                double days = Math.max(3, Math.round(thought * Math.exp(HABIT * random.nextGaussian())));
                Eye eye = people.get(random.nextInt(people.size()));
                runs.add(new SeenRun(
                        filter,
                        days,
                        TYPICAL_DAYS,
                        eye.grade(here * days, random),
                        Map.of(Factor.PREFILTER, behind ? 1.0 : 0.0)));
            }
        }
        return runs;
    }

    /** A third of all filters have one from the start, a third from half way on, a third never. */
    private static int fitted(int runs, SplittableRandom random) {
        return switch (random.nextInt(3)) {
            case 0 -> 0;
            case 1 -> runs / 2;
            default -> runs;
        };
    }

    private static Eye person(SplittableRandom random) {
        return new Eye(0.25 * random.nextGaussian(), 0, 0.05);
    }
}
