package app.chervil.sim.trouble;

import app.chervil.core.trouble.Inquiry;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Next;
import app.chervil.core.trouble.Step;
import app.chervil.sim.trouble.Search.Found;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.Arrays;
import java.util.List;
import java.util.Locale;
import java.util.Optional;
import java.util.function.LongFunction;
import java.util.stream.LongStream;

/**
 * Plants faults and lets the finder, a fixed list and somebody who was told look for them: {@code ./chervil bench trouble}
 * (docs/sources.md#trouble-benchmark). Ends with an error if a bar is not met.
 */
public final class TroubleBench {
    private static final double MINUTES = 33;
    private static final double OF_THE_LIST = 0.72;
    private static final double STEPS = 3.8;
    private static final double LATE = 0.10;
    private static final double NEEDLESS = 0.03;
    private static final double GAP = 0.05;
    private static final double SURE_AND_TRUE = 0.80;
    private static final double A_STEP_MS = 50;
    private static final int SURE = 8;

    private TroubleBench() {}

    public static void main(String[] arguments) {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        Optional<long[]> seeds = seeds(arguments);
        if (seeds.isEmpty()) {
            out.println("./chervil bench trouble --seeds FROM-TO, such as 5000-9999");
            System.exit(2);
            return;
        }
        long[] range = seeds.get();
        Result perturbed = run(range[0], range[1], FaultWorld::perturbed);
        Result own = run(range[0], range[1], seed -> FaultWorld.own());
        out.printf(
                "%-34s %8s %8s %8s %8s %14s %14s%n",
                "", "cases", "minutes", "90 %", "steps", "not right in 8", "needless exit");
        print(out, "finder, perturbed world", perturbed.finder());
        print(out, "fixed list", perturbed.list());
        print(out, "told the cause (bound)", perturbed.told());
        print(out, "finder, its own world", own.finder());
        out.println("top repair claimed/true: " + perturbed.claims().words());
        List<Bar> bars = bars(perturbed, slowestStepMs(range[0]));
        bars.forEach(bar -> out.printf(
                Locale.ENGLISH,
                "%-46s %8.3f  wanted %s %.3f  %s%n",
                bar.words(),
                bar.value(),
                bar.atMost() ? "at most" : "at least",
                bar.bar(),
                bar.met() ? "met" : "NOT MET"));
        if (bars.stream().anyMatch(bar -> !bar.met())) {
            System.exit(1);
        }
    }

    private static Optional<long[]> seeds(String... arguments) {
        if (arguments.length != 2 || !arguments[0].equals("--seeds") || !arguments[1].matches("\\d{1,9}-\\d{1,9}")) {
            return Optional.empty();
        }
        long[] range = Arrays.stream(arguments[1].split("-"))
                .mapToLong(Long::parseLong)
                .toArray();
        return range[0] <= range[1] ? Optional.of(range) : Optional.empty();
    }

    /** All searches in one world; cases with a danger are counted by whether it was asked about first. */
    record Result(List<Found> finder, List<Found> list, List<Found> told, Claims claims, int dangers, int askedFirst) {}

    private record Case(
            Optional<Found> finder,
            Optional<Found> list,
            Optional<Found> told,
            Claims claims,
            int dangers,
            int askedFirst) {}

    static Result run(long first, long last, LongFunction<Network> world) {
        Checklists lists = new Checklists();
        List<Case> cases = LongStream.rangeClosed(first, last)
                .parallel()
                .mapToObj(seed -> tried(Planted.drawn(seed, world.apply(seed)), lists))
                .toList();
        Claims claims = new Claims();
        cases.forEach(one -> claims.add(one.claims()));
        return new Result(
                cases.stream().flatMap(one -> one.finder().stream()).toList(),
                cases.stream().flatMap(one -> one.list().stream()).toList(),
                cases.stream().flatMap(one -> one.told().stream()).toList(),
                claims,
                cases.stream().mapToInt(Case::dangers).sum(),
                cases.stream().mapToInt(Case::askedFirst).sum());
    }

    private static Case tried(Planted planted, Checklists lists) {
        Claims claims = new Claims();
        if (!planted.perils().isEmpty()) {
            return new Case(
                    Optional.empty(), Optional.empty(), Optional.empty(), claims, 1, stopsFirst(planted) ? 1 : 0);
        }
        return new Case(
                Optional.of(found(planted, Searcher.finder(claims))),
                Optional.of(found(planted, Searcher.checklist(lists))),
                Optional.of(found(planted, Searcher.TOLD)),
                claims,
                0,
                0);
    }

    private static Found found(Planted planted, Searcher searcher) {
        Search search = new Search(planted);
        searcher.search(search);
        return search.found();
    }

    /** Whether a danger that is there stops the case before any look or repair. */
    private static boolean stopsFirst(Planted planted) {
        Inquiry inquiry = Inquiry.of(Network.standard(), planted.history(), planted.complaint());
        List<Step> steps = new java.util.ArrayList<>();
        while (inquiry.after(steps).next() instanceof Next.AskDanger danger) {
            String id = danger.peril().id();
            steps.add(new Step.Asked(id, planted.perils().contains(id) ? "yes" : "no"));
        }
        return inquiry.after(steps).next() instanceof Next.Stop;
    }

    /** The slowest of two hundred first steps, in milliseconds, once warm. */
    private static double slowestStepMs(long first) {
        double slowest = 0;
        for (long seed = first; seed < first + 400; seed++) {
            Planted planted = Planted.drawn(seed, FaultWorld.own());
            long begun = System.nanoTime();
            Inquiry.of(Network.standard(), planted.history(), planted.complaint())
                    .after(List.of());
            double took = (System.nanoTime() - begun) / 1e6;
            slowest = seed < first + 200 ? 0 : Math.max(slowest, took);
        }
        return slowest;
    }

    private record Bar(String words, double value, double bar, boolean atMost) {
        boolean met() {
            return atMost ? value <= bar : value >= bar;
        }
    }

    private static List<Bar> bars(Result result, double stepMs) {
        double minutes = minutes(result.finder());
        return List.of(
                new Bar("minutes until mended", minutes, MINUTES, true),
                new Bar("minutes, of those by the fixed list", minutes / minutes(result.list()), OF_THE_LIST, true),
                new Bar("steps", steps(result.finder()), STEPS, true),
                new Bar("share not right in 8 steps", share(result.finder(), Found::late), LATE, true),
                new Bar("share of needless exits", share(result.finder(), Found::needlessExit), NEEDLESS, true),
                new Bar("mean distance of claim and truth", result.claims().gap(), GAP, true),
                new Bar(
                        "share of claims from 0.8 on that are true",
                        result.claims().trueFrom(SURE),
                        SURE_AND_TRUE,
                        false),
                new Bar(
                        "share of dangers asked about first",
                        result.dangers() == 0 ? 1 : (double) result.askedFirst() / result.dangers(),
                        1,
                        false),
                new Bar("slowest step, ms", stepMs, A_STEP_MS, true));
    }

    static double minutes(List<Found> found) {
        return found.stream().mapToDouble(Found::minutes).average().orElse(0);
    }

    static double steps(List<Found> found) {
        return found.stream().mapToDouble(Found::steps).average().orElse(0);
    }

    static double share(List<Found> found, java.util.function.Predicate<Found> which) {
        return (double) found.stream().filter(which).count() / found.size();
    }

    private static void print(PrintStream out, String who, List<Found> found) {
        double[] minutes = found.stream().mapToDouble(Found::minutes).sorted().toArray();
        out.printf(
                Locale.ENGLISH,
                "%-34s %8d %8.1f %8.0f %8.2f %12.1f %% %12.1f %%%n",
                who,
                found.size(),
                minutes(found),
                minutes[(int) (0.9 * (minutes.length - 1))],
                steps(found),
                100 * share(found, Found::late),
                100 * share(found, Found::needlessExit));
    }
}
