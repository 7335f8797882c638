package app.chervil.sim.bench;

import app.chervil.sim.bench.IntervalBench.Result;
import java.io.PrintStream;
import java.util.ArrayList;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.stream.Collectors;

/** The figures of a run, for people and as JSON. */
final class BenchTable {
    private final BenchOptions options;
    private final Result result;
    private final Optional<Result> harsh;

    /**
     * A table.
     *
     * @param harsh the same seeds among keepers who grade half a grade too high; empty outside the base world
     */
    BenchTable(BenchOptions options, Result result, Optional<Result> harsh) {
        this.options = options;
        this.result = result;
        this.harsh = harsh;
    }

    void print(PrintStream out, double seconds) {
        out.printf(
                Locale.ENGLISH,
                "Seeds %d to %d, world %s, flow at %.0f %% of services, 3 years each; %.1f s.%n%n",
                options.firstSeed(),
                options.lastSeed(),
                BenchOptions.name(options.world()),
                100 * options.flow(),
                seconds);
        result.byKind().forEach((kind, tallies) -> practices(out, kind, tallies));
        practices(out, "All kinds", result.overall());
        bars(out);
    }

    private static void practices(PrintStream out, String title, Map<String, Tally> tallies) {
        out.printf(
                "%-24s %-14s %6s %9s %9s %6s %9s%n",
                title, "cost ÷ oracle", "95 %", "overl. %", "first 3 %", "near", "services");
        tallies.forEach((practice, tally) -> {
            if (practice.equals("oracle")) {
                return;
            }
            out.printf(
                    Locale.ENGLISH,
                    "%-24s %-14s %6.2f %9.1f %9.1f %6d %9.1f%n",
                    practice,
                    String.format(Locale.ENGLISH, "%.3f ± %.3f", tally.mean(), tally.error()),
                    tally.worst(),
                    100 * tally.overloadedShare(),
                    100 * tally.firstThreeOverloadedShare(),
                    tally.medianNear(),
                    tally.servicesEach());
        });
        out.println();
    }

    private void bars(PrintStream out) {
        out.printf("%-58s %10s  %s%n", "Figure", "measured", "bar");
        for (Bar bar : bars()) {
            out.printf(
                    Locale.ENGLISH,
                    "%-58s %10.3f  %s %s%n",
                    bar.name(),
                    bar.value(),
                    bar.wanted(),
                    bar.met() ? "met" : "NOT MET");
        }
    }

    /** One figure to reach. */
    record Bar(String name, double value, String wanted, boolean met) {
        static Bar atMost(String name, double value, double most) {
            return new Bar(name, value, "≤ " + most, value <= most);
        }

        static Bar atLeast(String name, double value, double least) {
            return new Bar(name, value, "≥ " + least, value >= least);
        }

        static Bar within(String name, double value, double least, double most) {
            return new Bar(name, value, least + " to " + most, value >= least && value <= most);
        }
    }

    /** The figures to reach in this world (docs/sources.md#interval-benchmark). */
    List<Bar> bars() {
        Map<String, Tally> all = result.overall();
        Tally ours = Objects.requireNonNull(all.get(Practices.OURS_WITH_FLOW));
        double thumb = Objects.requireNonNull(all.get(Practices.RULE_OF_THUMB)).mean();
        double multiplied =
                Objects.requireNonNull(all.get(Practices.MULTIPLIED)).mean();
        List<Bar> bars = new ArrayList<>();
        switch (options.world()) {
            case MISCLICKS -> bars.add(Bar.atMost("mean cost ÷ oracle, 20 % mis-clicks", ours.mean(), 1.47));
            case HARSH -> bars.add(Bar.atMost("mean cost ÷ oracle, harsh by 0.5", ours.mean(), 1.70));
            case LENIENT -> bars.add(Bar.atMost("mean cost ÷ oracle, lenient by 0.5", ours.mean(), 1.52));
            case DRIFT, STEPS, EARLY -> {}
            case BASE -> {
                bars.add(Bar.atMost("mean cost ÷ oracle", ours.mean(), 1.40));
                bars.add(Bar.atMost("with twelve graded pictures", pictured(result), 1.37));
                harsh.ifPresent(lived -> {
                    bars.add(Bar.atMost("harsh by 0.5", mean(lived, Practices.OURS_WITH_FLOW), 1.70));
                    bars.add(Bar.atMost("harsh by 0.5, with twelve graded pictures", pictured(lived), 1.40));
                });
                bars.add(Bar.atMost("95th percentile of cost ÷ oracle", ours.worst(), 2.3));
                bars.add(Bar.atLeast("cheaper than the rule of thumb", 1 - ours.mean() / thumb, 0.20));
                bars.add(Bar.atLeast("cheaper than school and multipliers", 1 - ours.mean() / multiplied, 0.20));
                bars.add(Bar.atMost("services that found it overloaded", ours.overloadedShare(), 0.17));
                bars.add(Bar.atMost("of the first three services", ours.firstThreeOverloadedShare(), 0.16));
                bars.add(Bar.within("80 % window holds the truth, no finding yet", covered(0), 0.75, 0.85));
                bars.add(Bar.within("after 1 to 3 findings", covered(1), 0.75, 0.85));
                bars.add(Bar.within("after 4 and more", covered(2), 0.75, 0.85));
                bars.add(Bar.within("overloaded before the latest day", ours.overloadedBeforeLatest(), 0.15, 0.25));
                bars.add(Bar.atMost("services to come within 20 % of the oracle", ours.medianNear(), 3));
            }
        }
        return bars;
    }

    /** Mean over the kinds, or the socks with their hundred services a year would speak for all. */
    private double covered(int bin) {
        return result.byKind().values().stream()
                .mapToDouble(kind -> Objects.requireNonNull(kind.get(Practices.OURS_WITH_FLOW))
                        .covered(bin))
                .average()
                .orElse(Double.NaN);
    }

    private static double pictured(Result lived) {
        return mean(lived, Practices.OURS_WITH_PICTURES);
    }

    private static double mean(Result lived, String practice) {
        return Objects.requireNonNull(lived.overall().get(practice)).mean();
    }

    /** Every figure of the table. */
    String json() {
        StringBuilder text = new StringBuilder(String.format(
                Locale.ENGLISH,
                "{\"seeds\":[%d,%d],\"world\":\"%s\",\"flow\":%s,\"kinds\":{",
                options.firstSeed(),
                options.lastSeed(),
                BenchOptions.name(options.world()),
                options.flow()));
        List<String> kinds = new ArrayList<>();
        result.byKind().forEach((kind, tallies) -> kinds.add(kind(kind, tallies)));
        kinds.add(kind("all", result.overall()));
        harsh.ifPresent(lived -> kinds.add(kind("all, harsh by 0.5", lived.overall())));
        String bars = bars().stream()
                .map(bar -> String.format(
                        Locale.ENGLISH,
                        "{\"figure\":\"%s\",\"value\":%.5f,\"bar\":\"%s\",\"met\":%b}",
                        bar.name(),
                        bar.value(),
                        bar.wanted(),
                        bar.met()))
                .collect(Collectors.joining(","));
        return text.append(String.join(",", kinds))
                .append("},\"figures\":[")
                .append(bars)
                .append("]}\n")
                .toString();
    }

    private static String kind(String name, Map<String, Tally> tallies) {
        List<String> practices = new ArrayList<>();
        tallies.forEach((practice, tally) -> practices.add(String.format(
                Locale.ENGLISH,
                "\"%s\":{\"cost\":%.5f,\"standardError\":%.5f,\"p95\":%.5f,\"overloaded\":%.5f,"
                        + "\"firstThreeOverloaded\":%.5f,\"servicesUntilNear\":%d,\"services\":%.2f}",
                practice,
                tally.mean(),
                tally.error(),
                tally.worst(),
                tally.overloadedShare(),
                tally.firstThreeOverloadedShare(),
                tally.medianNear(),
                tally.servicesEach())));
        return "\"" + name + "\":{" + String.join(",", practices) + "}";
    }
}
