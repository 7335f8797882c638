package app.chervil.sim.bench;

import app.chervil.core.trial.Design;
import app.chervil.core.trial.Knee;
import app.chervil.core.trial.Way;
import app.chervil.core.water.Pooled;
import app.chervil.core.water.Production;
import app.chervil.core.water.RiseFit;
import app.chervil.core.water.RiseFit.Band;
import app.chervil.sim.bench.TestedTank.Plan;
import app.chervil.sim.bench.WaterBench.Case;
import app.chervil.sim.bench.WaterBench.Measures;
import app.chervil.sim.bench.WaterBench.Outcome;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.SplittableRandom;
import java.util.stream.IntStream;

/**
 * What trials tell against the truth: {@code ./chervil bench trial}. Bars are what a keeper may expect of a trial
 * (docs/sources.md#trials).
 */
public final class TrialBench {
    private static final double HELD = 0.75;
    private static final double FALSELY = 0.22;
    private static final double FOUND = 0.85;

    /** A sock left out, changed every 14, 7, 4 days and every other day; each in four fortnights, read twice in each. */
    private static final List<Way> SOCK = List.of(Way.WITHOUT, Way.every(14), Way.every(7), Way.every(4), Way.every(2));

    private static final Design SOCK_TRIAL = new Design(LocalDate.of(2026, 1, 1), 14, 20, SOCK);

    /** A week's rise without a sock, and what the truth's knee and all that is more work win. */
    private static final double WITHOUT = 10;

    private static final double WON = 6;

    private TrialBench() {}

    public static void main(String[] arguments) {
        WaterBench.run("trial", cases(), arguments);
    }

    static List<Case> cases() {
        List<Case> cases = new ArrayList<>();
        for (double together : new double[] {0, 0.5}) {
            String also = together == 0 ? "" : ", errors together 0.5";
            cases.add(held("10 and 7 hold the truth" + also, Plan.trial(10, 7, 2, together)));
            cases.add(alike("10 and 10 told apart" + also, Plan.trial(10, 10, 2, together)));
        }
        cases.add(fourTanks());
        for (double together : new double[] {0, 0.5}) {
            String also = together == 0 ? "" : ", errors together 0.5";
            cases.add(new Case(
                    "knee of five ways within one step" + also,
                    Measures.WITHIN_ONE_STEP,
                    0,
                    Double.POSITIVE_INFINITY,
                    random -> Outcome.of(0, sock(random, together).byKnee())));
            cases.add(new Case(
                    "  more often than by the lowest mean, by" + also,
                    Measures.GAIN,
                    Double.MIN_VALUE,
                    Double.POSITIVE_INFINITY,
                    random -> sock(random, together).gain()));
        }
        return cases;
    }

    private static Case held(String name, Plan plan) {
        double truth = plan.rates().get(1) - plan.rates().get(0);
        return new Case(
                name,
                Measures.COVERAGE,
                HELD,
                Double.POSITIVE_INFINITY,
                random -> WaterBench.held(WaterBench.fit(plan, random).map(fit -> fit.difference(1, 0)), truth));
    }

    private static Case alike(String name, Plan plan) {
        return new Case(name, Measures.FALSELY_TOLD_APART, FALSELY, Double.POSITIVE_INFINITY, random -> {
            Band told = WaterBench.fit(plan, random).orElseThrow().difference(1, 0);
            return Outcome.of(told.estimate(), WaterBench.apart(told));
        });
    }

    private static Case fourTanks() {
        Plan plan = Plan.trial(10, 7, 2, 0.5);
        return new Case(
                "30 % in four tanks found, errors together 0.5",
                Measures.TOLD_APART, FOUND, 1, random -> {
                    List<Pooled.One> each = IntStream.range(0, 4)
                            .mapToObj(tank -> WaterBench.fit(plan, random).orElseThrow())
                            .map(fit -> new Pooled.One(fit.difference(1, 0).estimate(), fit.error(1, 0)))
                            .toList();
                    Band told = Pooled.of(each).difference();
                    return Outcome.of(told.estimate() + 3, told.high() < 0);
                });
    }

    private record Found(boolean byKnee, boolean byLowest) {
        Outcome gain() {
            return new Outcome(0, (byKnee ? 1 : 0) - (byLowest ? 1 : 0));
        }
    }

    /** One trial of five ways, beyond one of which more work wins nothing. */
    private static Found sock(SplittableRandom random, double together) {
        int truth = 1 + random.nextInt(SOCK.size() - 2);
        Double[] rates = IntStream.range(0, SOCK.size())
                .mapToObj(way -> WITHOUT - WON * Math.min(way, truth) / truth)
                .toArray(Double[]::new);
        Integer[] order = SOCK_TRIAL.all().stream().map(Design.Turn::way).toArray(Integer[]::new);
        Plan plan = Plan.trial(0, 0, 5, together).with(rates).ordered(order).readEvery(7);
        RiseFit fit = WaterBench.fit(plan, random).orElseThrow();
        List<Production> rises = IntStream.range(0, SOCK.size())
                .mapToObj(fit::rate)
                .map(band -> new Production(band.estimate(), band.low(), band.high(), fit.readings(), false, List.of()))
                .toList();
        int lowest = IntStream.range(0, SOCK.size())
                .reduce(
                        0,
                        (one, other) ->
                                rises.get(other).perWeek() < rises.get(one).perWeek() ? other : one);
        return new Found(Math.abs(Knee.of(SOCK, rises).orElse(0) - truth) <= 1, Math.abs(lowest - truth) <= 1);
    }
}
