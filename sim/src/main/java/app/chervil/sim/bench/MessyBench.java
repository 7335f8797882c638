package app.chervil.sim.bench;

import app.chervil.sim.bench.MessyLife.Anomaly;
import app.chervil.sim.bench.MessyLife.Outcome;
import java.io.PrintStream;
import java.nio.charset.StandardCharsets;
import java.util.List;
import java.util.Locale;
import java.util.stream.LongStream;

/** Counts what messy logs do to dates, by name: {@code ./chervil bench messy} (docs/sources.md#messy-benchmark). */
public final class MessyBench {
    private static final int STAGES_EACH = 2;

    private MessyBench() {}

    public static void main(String[] arguments) {
        PrintStream out = new PrintStream(System.out, true, StandardCharsets.UTF_8);
        BenchOptions options;
        try {
            options = BenchOptions.seedsOf("messy", arguments);
        } catch (IllegalArgumentException unfit) {
            out.println(unfit.getMessage());
            System.exit(2);
            return;
        }
        List<Row> rows = rows(options.firstSeed(), options.lastSeed());
        out.printf("%-58s %8s %10s %12s%n", "Anomaly", "count", "of", "at most");
        rows.forEach(row -> out.printf(
                Locale.ENGLISH,
                "%-58s %8d %10d %12.1f  %s%n",
                row.anomaly().words(),
                row.count(),
                row.of(),
                row.most(),
                row.met() ? "met" : "NOT MET"));
        if (rows.stream().anyMatch(row -> !row.met())) {
            System.exit(1);
        }
    }

    /**
     * One anomaly over all lives.
     *
     * @param of steps, or stages at the end
     * @param most how many are allowed
     */
    record Row(Anomaly anomaly, long count, long of, double most) {
        boolean met() {
            return count <= most;
        }
    }

    static List<Row> rows(long first, long last) {
        List<Outcome> lives = LongStream.rangeClosed(first, last)
                .parallel()
                .mapToObj(MessyLife::of)
                .toList();
        long steps = lives.stream().mapToLong(Outcome::steps).sum();
        long stages = STAGES_EACH * (long) lives.size();
        return List.of(Anomaly.values()).stream()
                .map(anomaly -> {
                    long count = lives.stream()
                            .mapToLong(life -> life.counted().getOrDefault(anomaly, 0))
                            .sum();
                    long of = atTheEnd(anomaly)
                            ? stages
                            : anomaly == Anomaly.MORE_DIRT ? steps / MessyLife.TRIED_DIRTIER : steps;
                    return new Row(anomaly, count, of, share(anomaly) * of);
                })
                .toList();
    }

    private static boolean atTheEnd(Anomaly anomaly) {
        return switch (anomaly) {
            case ORDER, SHIFT, OFF_ITS_CLEAN_LOG, FAR_FROM_TRUTH -> true;
            case TRACE, MORE_DIRT, UNSEEN_LONGER, FELL_UNPROVOKED, FELL_CLEAN -> false;
        };
    }

    /** The share allowed: none where it would be a fault of the rules, else the method's measured figures. */
    private static double share(Anomaly anomaly) {
        return switch (anomaly) {
            case ORDER, TRACE, MORE_DIRT, SHIFT -> 0;
            case UNSEEN_LONGER -> 1e-4;
            case FELL_UNPROVOKED -> 1073.0 / 6 / 197_000;
            case FELL_CLEAN -> 963.0 / 6 / 197_000;
            case OFF_ITS_CLEAN_LOG -> 0.04;
            case FAR_FROM_TRUTH -> 0.06;
        };
    }
}
