package app.chervil.core.plan;

import app.chervil.core.plan.Chain.Rhythm;
import app.chervil.core.plan.Instance.Before;
import app.chervil.core.plan.Plan.Occurrence;
import app.chervil.core.plan.Plan.Visit;
import app.chervil.core.plan.Planner.Effort;
import java.io.IOException;
import java.io.PrintStream;
import java.lang.management.ManagementFactory;
import java.lang.management.MemoryPoolMXBean;
import java.lang.management.MemoryType;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.SplittableRandom;
import java.util.function.Supplier;

/** Plans a site that never was and prints how well and how fast; see docs/sources.md#planning-benchmark. */
final class PlanBench {
    private static final String USAGE = """
            ./chervil bench plan --tanks N --weeks W --seed S [--reference TURNS] [--prove SECONDS] [--export DIR]
              N      1 to 1000    W  1 to 26    S  a whole number
              TURNS  turns of a long search to compare with, such as 500000
              SECONDS  how long an independent solver may look for a bound""";
    private static final int REPLANS = 100;
    private static final int MOST_FOR_BACKGROUND = 1000;

    private final PrintStream out;
    private final Map<String, String> options;
    private final Instance instance;
    private final long seed;

    private PlanBench(PrintStream out, Map<String, String> options) {
        this.out = out;
        this.options = options;
        seed = number("--seed", 0, Integer.MAX_VALUE);
        instance = PlanWorlds.of(number("--tanks", 1, 1000), number("--weeks", 1, 26), seed);
    }

    public static void main(String... arguments) throws IOException {
        try {
            Map<String, String> options = new HashMap<>();
            for (int i = 0; i + 1 < arguments.length; i += 2) {
                options.put(arguments[i], arguments[i + 1]);
            }
            boolean known = options.keySet().stream()
                    .allMatch(one -> one.matches("--(tanks|weeks|seed|reference|prove|export)"));
            if (arguments.length % 2 != 0 || !known) {
                throw new IllegalArgumentException("Cannot read these options.");
            }
            new PlanBench(System.out, options).run();
        } catch (IllegalArgumentException e) {
            System.err.println(e.getMessage() + "\n" + USAGE);
            System.exit(2);
        }
    }

    private int number(String option, int least, int most) {
        String text = options.getOrDefault(option, "");
        if (!text.matches("\\d{1,9}") || Integer.parseInt(text) < least || Integer.parseInt(text) > most) {
            throw new IllegalArgumentException(option + " must be a whole number " + least + " to " + most + ".");
        }
        return Integer.parseInt(text);
    }

    private record Timed(Plan plan, double cpuSeconds) {}

    private static Timed timed(Supplier<Plan> planning) {
        long before = ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime();
        Plan plan = planning.get();
        return new Timed(plan, (ManagementFactory.getThreadMXBean().getCurrentThreadCpuTime() - before) / 1e9);
    }

    private void run() throws IOException {
        warmUp();
        out.printf("%-22s %8s %10s %9s%n", "", "hard", "soft", "CPU s");
        tell("usable", timed(() -> Planner.plan(instance, Effort.USABLE, seed)));
        Timed good = timed(() -> Planner.plan(instance, Effort.INTERACTIVE, seed));
        tell("good", good);
        Timed best = instance.chains().size() > MOST_FOR_BACKGROUND
                ? good
                : timed(() -> Planner.plan(instance, Effort.BACKGROUND, seed));
        tell("best", best);
        Plan again = Planner.plan(instance, Effort.INTERACTIVE, seed);
        boolean rescored = new NaiveScorer(instance, good.plan())
                .score()
                .equals(good.plan().score());
        out.printf(
                "%d chains, %d occurrences; again: %s; rescored: %s; peak heap %d MB%n",
                instance.chains().size(),
                good.plan().days().values().stream().mapToInt(List::size).sum(),
                again.equals(good.plan()) ? "identical" : "DIFFERS",
                rescored ? "agrees" : "DIFFERS",
                peakMegabytes());
        replans(best.plan());
        if (options.containsKey("--reference")) {
            reference(best.plan());
        }
        if (options.containsKey("--prove")) {
            out.println(Oracle.compare(instance, best.plan(), number("--prove", 1, 36_000)));
        }
        if (options.containsKey("--export")) {
            Path folder = Path.of(Objects.requireNonNull(options.get("--export")));
            Files.createDirectories(folder);
            Files.writeString(folder.resolve("instance.json"), PlanExport.instance(instance));
            Files.writeString(folder.resolve("plan.json"), PlanExport.plan(instance, best.plan()));
            out.println("Written to " + folder + ".");
        }
    }

    private static void warmUp() {
        Instance small = PlanWorlds.of(12, 8, 1_000_003);
        for (int i = 0; i < 3; i++) {
            Planner.plan(small, Effort.BACKGROUND, i);
        }
    }

    private void tell(String what, Timed timed) {
        Score score = timed.plan().score();
        out.printf("%-22s %8d %10d %9.3f%n", what, score.hard(), score.soft(), timed.cpuSeconds());
    }

    private void reference(Plan best) {
        int turns = number("--reference", 1, 100_000_000)
                / Math.max(1, instance.chains().size());
        Timed reference = timed(() -> Planner.plan(instance, turns, seed + 1));
        tell("reference", reference);
        out.printf(
                "best is %.2f %% over the reference%n",
                100.0
                        * (best.score().soft() - reference.plan().score().soft())
                        / reference.plan().score().soft());
    }

    private static long peakMegabytes() {
        return ManagementFactory.getMemoryPoolMXBeans().stream()
                        .filter(pool -> pool.getType() == MemoryType.HEAP)
                        .map(MemoryPoolMXBean::getPeakUsage)
                        .mapToLong(java.lang.management.MemoryUsage::getUsed)
                        .sum()
                >> 20;
    }

    /** Logs one visit of the coming week at a time, each on its day, and plans anew. */
    private void replans(Plan plan) {
        SplittableRandom random = new SplittableRandom(seed);
        List<Visit> soon =
                plan.visits(instance).stream().filter(visit -> visit.day() < 7).toList();
        double[] cpu = new double[REPLANS];
        int moved = 0;
        for (int i = 0; i < REPLANS && !soon.isEmpty(); i++) {
            Visit visit = soon.get(random.nextInt(soon.size()));
            Occurrence done =
                    visit.occurrences().get(random.nextInt(visit.occurrences().size()));
            Instance after = logged(plan, done);
            Timed replan = timed(
                    () -> Planner.replan(after, List.of(done.chain().place().tank()), seed));
            cpu[i] = replan.cpuSeconds();
            moved += moved(after, replan.plan(), done.chain().id());
        }
        java.util.Arrays.sort(cpu);
        out.printf(
                "%d replans after a service: median %.1f ms, 95th %.1f ms of CPU; other tasks moved on average %.2f%n",
                REPLANS, 1000 * cpu[REPLANS / 2], 1000 * cpu[REPLANS * 95 / 100], (double) moved / REPLANS);
    }

    /** The instance as it is once an occurrence was done today. */
    private Instance logged(Plan plan, Occurrence done) {
        List<Chain> chains = new ArrayList<>();
        Map<ChainId, List<Integer>> published = new HashMap<>(plan.days());
        for (Chain chain : instance.chains()) {
            if (chain.id().equals(done.chain().id())) {
                Rhythm rhythm = new Rhythm(
                        chain.rhythm().gap(),
                        chain.rhythm().gap(),
                        chain.rhythm().times());
                chains.add(new Chain(chain.id(), chain.place(), rhythm, chain.work(), chain.demand()));
                List<Integer> days = plan.of(chain.id());
                published.put(chain.id(), days.subList(1, days.size()));
            } else {
                chains.add(chain);
            }
        }
        List<Instance.Logged> logged = done.chain().demand().spaced()
                ? List.of(new Instance.Logged(done.chain().place(), 0))
                : List.of();
        return new Instance(
                instance.publishedDays(),
                chains,
                instance.hours(),
                instance.setUps(),
                new Before(List.of(), published, logged));
    }

    private static int moved(Instance after, Plan plan, ChainId logged) {
        int moved = 0;
        for (Chain chain : after.chains()) {
            List<Integer> told = after.before().published().getOrDefault(chain.id(), List.of());
            List<Integer> now = plan.of(chain.id());
            for (int k = 0; !chain.id().equals(logged) && k < Math.min(told.size(), now.size()); k++) {
                moved += told.get(k) < after.publishedDays() && !told.get(k).equals(now.get(k)) ? 1 : 0;
            }
        }
        return moved;
    }
}
