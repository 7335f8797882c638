package app.chervil.sim.bench;

import app.chervil.core.water.Pooled;
import app.chervil.core.water.RiseFit;
import app.chervil.core.water.RiseFit.Band;
import app.chervil.core.water.RiseQuestion.Tap;
import app.chervil.sim.bench.TestedTank.Kit;
import app.chervil.sim.bench.TestedTank.Plan;
import app.chervil.sim.bench.TestedTank.Water;
import app.chervil.sim.truth.Randomness;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.SplittableRandom;
import java.util.stream.IntStream;
import java.util.stream.LongStream;

/**
 * What fits of a parameter's rise tell against the truth: {@code ./chervil bench water}. Bars are the method's measured
 * figures less a sampling allowance (docs/sources.md#water-benchmark).
 */
public final class WaterBench {
    private static final double ALLOWED = 0.06;
    private static final double ALLOWED_BIAS = 0.4;
    private static final Integer[] THREE_WAYS = {0, 1, 2, 2, 1, 0, 1, 0, 2, 2, 0, 1};

    private WaterBench() {}

    public static void main(String[] arguments) {
        run("water", cases(), arguments);
    }

    /** Prints what all cases come to over the seeds asked for, and ends with an error if a bar is not met. */
    static void run(String bench, List<Case> cases, String[] arguments) {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        BenchOptions options;
        try {
            options = BenchOptions.seedsOf(bench, arguments);
        } catch (IllegalArgumentException unfit) {
            out.println(unfit.getMessage());
            System.exit(2);
            return;
        }
        out.printf("%-62s %9s %9s %9s  %s%n", "Case", "bias", "measured", "bar", "");
        boolean met = true;
        for (Case one : cases) {
            Figure figure = one.over(options.firstSeed(), options.lastSeed());
            met &= figure.met();
            out.printf(
                    Locale.ENGLISH,
                    "%-62s %+9.3f %9.3f %9s  %s%n",
                    one.name,
                    figure.bias(),
                    figure.measured(),
                    (one.measures.low ? "≥ " : "≤ ") + String.format(Locale.ENGLISH, "%.2f", one.bar),
                    figure.met() ? "met" : "NOT MET");
        }
        if (!met) {
            System.exit(1);
        }
    }

    /** What is counted. */
    enum Measures {
        COVERAGE(true),
        TOLD_APART(true),
        FALSELY_TOLD_APART(false),
        NAMED(true),
        FALSELY_NAMED(false),
        /** How much more often than by the lowest mean, as a share of all. */
        GAIN(true),
        WITHIN_ONE_STEP(true),
        LARGEST_ERROR(false);

        private final boolean low;

        Measures(boolean low) {
            this.low = low;
        }
    }

    /** What one seed came to: how far the estimate was off, and what is counted of it. */
    record Outcome(double error, double counts) {
        static Outcome of(double error, boolean counts) {
            return new Outcome(error, counts ? 1 : 0);
        }
    }

    /** What all seeds came to. */
    record Figure(double bias, double measured, boolean met) {}

    /** One seed's tank or tanks, judged. */
    interface Trial {
        Outcome of(SplittableRandom random);
    }

    /**
     * A case.
     *
     * @param biasBar most its bias may be off zero; infinite if that is not judged
     */
    record Case(String name, Measures measures, double bar, double biasBar, Trial trial) {
        Figure over(long first, long last) {
            List<Outcome> outcomes = LongStream.rangeClosed(first, last)
                    .parallel()
                    .mapToObj(seed -> trial.of(Randomness.of(seed, "water", name)))
                    .toList();
            double bias =
                    outcomes.stream().mapToDouble(Outcome::error).average().orElse(0);
            double measured = measures == Measures.LARGEST_ERROR
                    ? outcomes.stream().mapToDouble(Outcome::counts).max().orElse(0)
                    : outcomes.stream().mapToDouble(Outcome::counts).average().orElse(0);
            boolean within = measures.low ? measured >= bar : measured <= bar;
            return new Figure(bias, measured, within && Math.abs(bias) <= biasBar);
        }
    }

    static List<Case> cases() {
        List<Case> cases = new ArrayList<>();
        cases.add(coverage("12 weekly", 0.95, 0, Plan.weekly(12, 0)));
        cases.add(coverage("12 weekly, errors together 0.5", 0.80, 0, Plan.weekly(12, 0.5)));
        cases.add(coverage("12 weekly, errors together 0.8", 0.70, 0, Plan.weekly(12, 0.8)));
        cases.add(coverage("26 weekly", 0.93, 0, Plan.weekly(26, 0)));
        cases.add(coverage("26 weekly, errors together 0.5", 0.83, 0, Plan.weekly(26, 0.5)));
        cases.add(coverage("kit errs twice as much", 0.85, 0, Plan.weekly(12, 0).read(Kit.WORSE)));
        cases.add(phosphate());
        cases.add(coverage("tap 25, stated", 0.94, 0, Plan.weekly(12, 0).filledFrom(Water.tap(25, new Tap(25, 0)))));
        cases.add(tapNobodyKnows());
        cases.add(coverage("card, standing at 40", 0.92, 1.2, standing(0)));
        cases.add(coverage("card, standing at 40, errors together 0.5", 0.91, 1.2, standing(0.5)));
        cases.add(cardOfManyRates());
        cases.add(coverage(
                "card, in a rise",
                0.84,
                0,
                Plan.weekly(10, 0).readEvery(4).read(Kit.COLOURS).filledFrom(Water.RISING)));
        cases.add(coverage(
                "kit changed by + 8, marked", 0.87, 0.1, Plan.weekly(20, 0).read(Kit.CHANGED_KIT)));
        cases.add(apart("10 and 10, 2 each", 0.14, Plan.trial(10, 10, 2, 0)));
        cases.add(apart("10 and 10, 2 each, errors together 0.5", 0.21, Plan.trial(10, 10, 2, 0.5)));
        cases.add(apart("10 and 10, 4 each, errors together 0.5", 0.20, Plan.trial(10, 10, 4, 0.5)));
        cases.add(apart("10 and 7, 2 each", 0.46, Plan.trial(10, 7, 2, 0)));
        cases.add(apart("10 and 7, 2 each, errors together 0.5", 0.53, Plan.trial(10, 7, 2, 0.5)));
        cases.add(pooled("10 and 7 in 2 tanks, errors together 0.5", 2, 7, 0.66));
        cases.add(pooled("10 and 7 in 4 tanks, errors together 0.5", 4, 7, 0.89));
        cases.add(pooled("10 and 10 in 2 tanks, errors together 0.5", 2, 10, 0.16));
        cases.add(pooled("10 and 10 in 4 tanks, errors together 0.5", 4, 10, 0.17));
        cases.add(apart(
                "10 and 10, 4 each, on a card", 0.13, Plan.trial(10, 10, 4, 0).read(Kit.COLOURS)));
        cases.add(difference(
                "10 and 5, 4 each, on a card",
                0.89,
                1.0,
                Plan.trial(10, 5, 4, 0).read(Kit.COLOURS)));
        cases.add(difference(
                "10 and 5, fading in 5 days, 5 left out",
                0.89,
                0.5,
                Plan.trial(10, 5, 4, 0).carrying(5, 5)));
        cases.add(difference(
                "10 and 5, fading in 5 days, 7 left out",
                0.90,
                0.4,
                Plan.trial(10, 5, 4, 0).carrying(5, 7)));
        cases.add(threeAlike("three ways alike", 0.10, 0));
        cases.add(threeAlike("three ways alike, errors together 0.5", 0.18, 0.5));
        cases.add(percent("percent, 10 and 6", 0.82, 0));
        cases.add(percent("percent, 10 and 6, errors together 0.5", 0.77, 0.5));
        cases.add(named("change of 40 % not logged", 0.24, 0));
        cases.add(named("change of 40 % not logged, errors together 0.5", 0.35, 0.5));
        cases.add(unnamed("no such change", 0));
        cases.add(unnamed("no such change, errors together 0.5", 0.5));
        return cases;
    }

    private static Plan standing(double together) {
        return Plan.weekly(12, together).read(Kit.COLOURS).filledFrom(Water.STANDING);
    }

    static Optional<RiseFit> fit(Plan plan, SplittableRandom random) {
        return RiseFit.of(new TestedTank(plan, random).logged());
    }

    static Outcome held(Optional<Band> band, double truth) {
        return band.map(of -> Outcome.of(of.estimate() - truth, of.low() <= truth && truth <= of.high()))
                .orElseGet(() -> Outcome.of(0, false));
    }

    static boolean apart(Band difference) {
        return difference.low() > 0 || difference.high() < 0;
    }

    private static Case coverage(String name, double measured, double bias, Plan plan) {
        return new Case(
                name,
                Measures.COVERAGE,
                measured - ALLOWED,
                bias + ALLOWED_BIAS,
                random -> held(
                        fit(plan, random).map(fit -> fit.rate(0)), plan.rates().get(0)));
    }

    private static Case phosphate() {
        Plan plan = Plan.weekly(12, 0)
                .with(0.015)
                .read(Kit.PHOSPHATE)
                .filledFrom(new Water(0.06, 0.01, 0, Tap.NONE, 0, true));
        return new Case("phosphate near its limit, largest error", Measures.LARGEST_ERROR, 0.05, 0.01, random -> {
            double off = fit(plan, random).orElseThrow().rate(0).estimate() - 0.015;
            return new Outcome(off, Math.abs(off));
        });
    }

    private static Case tapNobodyKnows() {
        return new Case("tap as it comes, nobody knows", Measures.COVERAGE, 0.96 - ALLOWED, ALLOWED_BIAS, random -> {
            double tap = Math.max(0, 10 + 10 * random.nextGaussian());
            Plan plan = Plan.weekly(12, 0).filledFrom(Water.tap(tap, new Tap(10, 10)));
            return held(fit(plan, random).map(fit -> fit.rate(0)), 10);
        });
    }

    private static Case cardOfManyRates() {
        return new Case("card, 26 weekly, 5 to 15 a week", Measures.COVERAGE, 0.86 - ALLOWED, 1, random -> {
            double rate = 5 + 10 * random.nextDouble();
            Plan plan = Plan.weekly(26, 0).with(rate).read(Kit.COLOURS);
            return held(fit(plan, random).map(fit -> fit.rate(0)), rate);
        });
    }

    private static Case difference(String name, double measured, double bias, Plan plan) {
        return new Case(
                name,
                Measures.COVERAGE,
                measured - ALLOWED,
                bias + ALLOWED_BIAS,
                random -> held(
                        fit(plan, random).map(fit -> fit.difference(1, 0)),
                        plan.rates().get(1) - plan.rates().get(0)));
    }

    private static Case apart(String name, double measured, Plan plan) {
        boolean alike = plan.rates().get(0).equals(plan.rates().get(1));
        return new Case(
                "trial, " + name,
                alike ? Measures.FALSELY_TOLD_APART : Measures.TOLD_APART,
                measured + (alike ? ALLOWED : -ALLOWED),
                ALLOWED_BIAS,
                random -> {
                    Band told = fit(plan, random).orElseThrow().difference(1, 0);
                    return Outcome.of(
                            told.estimate()
                                    - (plan.rates().get(1) - plan.rates().get(0)),
                            apart(told));
                });
    }

    private static Case pooled(String name, int tanks, double other, double measured) {
        Plan plan = Plan.trial(10, other, 2, 0.5);
        boolean alike = other == 10;
        return new Case(
                name,
                alike ? Measures.FALSELY_TOLD_APART : Measures.TOLD_APART,
                measured + (alike ? ALLOWED : -ALLOWED),
                ALLOWED_BIAS,
                random -> {
                    List<Pooled.One> each = IntStream.range(0, tanks)
                            .mapToObj(tank -> fit(plan, random).orElseThrow())
                            .map(fit -> new Pooled.One(fit.difference(1, 0).estimate(), fit.error(1, 0)))
                            .toList();
                    Band told = Pooled.of(each).difference();
                    return Outcome.of(told.estimate() - (other - 10), apart(told));
                });
    }

    private static Case threeAlike(String name, double measured, double together) {
        Plan plan = Plan.trial(10, 10, 6, together)
                .with(10.0, 10.0, 10.0)
                .readEvery(3.5)
                .ordered(THREE_WAYS);
        return new Case(name, Measures.FALSELY_TOLD_APART, measured + ALLOWED, Double.POSITIVE_INFINITY, random -> {
            RiseFit fit = fit(plan, random).orElseThrow();
            boolean any = apart(fit.difference(1, 0)) || apart(fit.difference(2, 0)) || apart(fit.difference(2, 1));
            return Outcome.of(0, any);
        });
    }

    private static Case percent(String name, double measured, double together) {
        Plan plan = Plan.trial(10, 6, 4, together);
        return new Case(
                name,
                Measures.COVERAGE,
                measured - ALLOWED,
                Double.POSITIVE_INFINITY,
                random -> held(fit(plan, random).flatMap(fit -> fit.percent(1, 0)), -40));
    }

    private static Case named(String name, double measured, double together) {
        return scanned(
                name,
                Measures.NAMED,
                measured - ALLOWED,
                Plan.weekly(26, together).filledFrom(Water.UNLOGGED));
    }

    private static Case unnamed(String name, double together) {
        return scanned(name, Measures.FALSELY_NAMED, 0.04 + ALLOWED / 2, Plan.weekly(20, together));
    }

    private static Case scanned(String name, Measures measures, double bar, Plan plan) {
        return new Case(name, measures, bar, Double.POSITIVE_INFINITY, random -> {
            List<Double> days = RiseFit.lookingForUnlogged(new TestedTank(plan, random).logged())
                    .orElseThrow()
                    .unlogged();
            return Outcome.of(0, !days.isEmpty());
        });
    }
}
