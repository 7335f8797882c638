package app.chervil.core.compare;

import app.chervil.core.calc.Cholesky;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Collection;
import java.util.EnumMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * What each factor does to the rate at which filters fill, from all runs of a site together: the logarithm of a run's rate is
 * a filter's own level, plus what its factors do, plus chance. Filters scatter around the site's level; how much they and
 * their runs do is not taken as known but weighed by what it says of the runs, so that one filter and thirty are both
 * judged honestly (docs/sources.md#filters-compared).
 */
public final class Effects {
    /** Fewer runs than this, of filters with and without, say nothing. */
    private static final int LEAST_RUNS = 3;

    /** What such a stage is thought to hold after the days the catalogue begins with. */
    private static final double TYPICAL_LOADING = 0.6;

    private static final double LEVEL_SD = 1;
    private static final double[] BETWEEN = {0.05, 0.15, 0.3, 0.45, 0.65, 0.9};
    private static final double[] WITHIN = {0.05, 0.2, 0.35, 0.5, 0.7, 1.0};
    private static final double BETWEEN_SD = 0.5;
    private static final double WITHIN_SD = 0.5;
    private static final double BAND = 0.8;
    private static final double TOLD = 0.95;

    private Effects() {}

    /**
     * What a factor does.
     *
     * @param ratio how many times as fast a filter fills with one more of it: below one is slower
     * @param low lower end of the range that holds the truth four times in five
     * @param high its upper end
     * @param told whether nineteen to one it does something, and which
     * @param with runs that had it, or more of it than the least
     * @param without runs that had none, or the least
     * @param filters that those runs are of
     */
    public record Effect(
            Factor factor, double ratio, double low, double high, boolean told, int with, int without, int filters) {
        /** Days that a run of so many days lasts longer with one more of it; below zero if shorter. */
        public double daysWon(double days) {
            return days * (1 / ratio - 1);
        }
    }

    /** What each factor does of which there were runs with more and with less of it, in the order of the factors. */
    public static List<Effect> of(Collection<SeenRun> seen) {
        List<SeenRun> runs = List.copyOf(seen);
        List<Factor> factors = Arrays.stream(Factor.values())
                .filter(factor -> varies(runs, factor))
                .toList();
        if (factors.isEmpty()) {
            return List.of();
        }
        Collection<List<SeenRun>> filters = byFilter(runs);
        List<Fit> fits = new ArrayList<>();
        for (double between : BETWEEN) {
            for (double within : WITHIN) {
                fits.add(fit(filters, factors, between, within));
            }
        }
        List<Effect> effects = new ArrayList<>();
        for (int place = 0; place < factors.size(); place++) {
            effects.add(effect(factors.get(place), place + 1, fits, runs, filters.size()));
        }
        return effects;
    }

    private static boolean varies(List<SeenRun> runs, Factor factor) {
        double least = least(runs, factor);
        long more = runs.stream().filter(run -> run.level(factor) > least).count();
        return more >= LEAST_RUNS && runs.size() - more >= LEAST_RUNS;
    }

    private static double least(List<SeenRun> runs, Factor factor) {
        return runs.stream().mapToDouble(run -> run.level(factor)).min().orElse(0);
    }

    private static Collection<List<SeenRun>> byFilter(List<SeenRun> runs) {
        Map<Long, List<SeenRun>> filters = new LinkedHashMap<>();
        runs.forEach(run -> filters.computeIfAbsent(run.filter(), filter -> new ArrayList<>())
                .add(run));
        return filters.values();
    }

    /** How well one pair of scatters explains the runs, and what the factors then do. */
    private record Fit(double logWeight, List<Mixture.Part> marginals) {
        Fit {
            marginals = List.copyOf(marginals);
        }
    }

    private static Fit fit(Collection<List<SeenRun>> filters, List<Factor> factors, double between, double within) {
        int size = factors.size() + 1;
        double[][] precision = new double[size][size];
        double[] pull = new double[size];
        double logScale = 0;
        for (int place = 0; place < size; place++) {
            double sd = place == 0 ? LEVEL_SD : factors.get(place - 1).spread();
            precision[place][place] = 1 / (sd * sd);
            logScale += 2 * Math.log(sd);
        }
        pull[0] = Math.log(TYPICAL_LOADING) * precision[0][0];
        double square = Math.log(TYPICAL_LOADING) * pull[0];
        for (List<SeenRun> runs : filters) {
            Sums sums = new Sums(size);
            runs.forEach(run -> sums.add(run, factors, within));
            sums.shrink(between);
            for (int row = 0; row < size; row++) {
                pull[row] += sums.xy[row];
                for (int column = 0; column < size; column++) {
                    precision[row][column] += sums.xx[row][column];
                }
            }
            square += sums.yy;
            logScale += sums.logScale;
        }
        Cholesky root = Cholesky.of(precision);
        double[] mean = root.solve(pull);
        double[][] spread = root.inverse();
        List<Mixture.Part> marginals = new ArrayList<>();
        for (int place = 0; place < size; place++) {
            marginals.add(new Mixture.Part(1, mean[place], Math.sqrt(spread[place][place])));
        }
        double logLikelihood = -0.5 * (logScale + root.logDeterminant() + square - Cholesky.dot(mean, pull));
        double logBelief = -0.5 * (sq(between / BETWEEN_SD) + sq(within / WITHIN_SD));
        return new Fit(logLikelihood + logBelief, marginals);
    }

    private static double sq(double value) {
        return value * value;
    }

    /** Weighted sums over the runs of one filter; then its own level is taken out of them. */
    private static final class Sums {
        private final double[][] xx;
        private final double[] xy;
        private final double[] x;
        private double yy;
        private double y;
        private double weight;
        private double logScale;

        private Sums(int size) {
            xx = new double[size][size];
            xy = new double[size];
            x = new double[size];
        }

        private void add(SeenRun run, List<Factor> factors, double within) {
            double variance = run.found().variance() + within * within;
            double[] row = new double[x.length];
            row[0] = 1;
            for (int place = 1; place < row.length; place++) {
                row[place] = run.level(factors.get(place - 1));
            }
            double rate = run.logRate();
            for (int one = 0; one < row.length; one++) {
                x[one] += row[one] / variance;
                xy[one] += row[one] * rate / variance;
                for (int other = 0; other < row.length; other++) {
                    xx[one][other] += row[one] * row[other] / variance;
                }
            }
            y += rate / variance;
            yy += rate * rate / variance;
            weight += 1 / variance;
            logScale += Math.log(variance);
        }

        private void shrink(double between) {
            double variance = between * between;
            double share = variance / (1 + variance * weight);
            for (int one = 0; one < x.length; one++) {
                xy[one] -= share * x[one] * y;
                for (int other = 0; other < x.length; other++) {
                    xx[one][other] -= share * x[one] * x[other];
                }
            }
            yy -= share * y * y;
            logScale += Math.log(1 + variance * weight);
        }
    }

    private static Effect effect(Factor factor, int place, List<Fit> fits, List<SeenRun> runs, int filters) {
        double best = fits.stream().mapToDouble(Fit::logWeight).max().orElse(0);
        Mixture mixture = new Mixture(fits.stream()
                .map(fit -> fit.marginals().get(place).weighing(Math.exp(fit.logWeight() - best)))
                .toList());
        double least = least(runs, factor);
        int with = (int) runs.stream().filter(run -> run.level(factor) > least).count();
        double below = mixture.below(0);
        return new Effect(
                factor,
                Math.exp(mixture.quantile(0.5)),
                Math.exp(mixture.quantile((1 - BAND) / 2)),
                Math.exp(mixture.quantile((1 + BAND) / 2)),
                Math.max(below, 1 - below) >= TOLD,
                with,
                runs.size() - with,
                filters);
    }

    /** Of each factor its effect, for those that look one up. */
    public static Map<Factor, Effect> byFactor(Collection<SeenRun> runs) {
        Map<Factor, Effect> effects = new EnumMap<>(Factor.class);
        of(runs).forEach(effect -> effects.put(effect.factor(), effect));
        return effects;
    }

    /** The effect of one factor; empty where runs do not tell it. */
    public static Optional<Effect> of(Collection<SeenRun> runs, Factor factor) {
        return Optional.ofNullable(byFactor(runs).get(factor));
    }
}
