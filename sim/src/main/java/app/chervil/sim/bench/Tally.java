package app.chervil.sim.bench;

import app.chervil.sim.bench.Life.Outcome;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;

/** What one practice did over many lives of one kind. */
final class Tally {
    private final List<Double> ratios = new ArrayList<>();
    private final List<Integer> near = new ArrayList<>();
    private final Calibration calibration = new Calibration();
    private int services;
    private int overloaded;
    private int firstThree;
    private int firstThreeOverloaded;

    void add(Outcome outcome, double oracle) {
        ratios.add(outcome.cost() / oracle);
        near.add(outcome.near());
        services += outcome.services();
        overloaded += outcome.overloaded();
        firstThree += outcome.firstThree();
        firstThreeOverloaded += outcome.firstThreeOverloaded();
    }

    void add(Tally other) {
        ratios.addAll(other.ratios);
        near.addAll(other.near);
        calibration.add(other.calibration);
        services += other.services;
        overloaded += other.overloaded;
        firstThree += other.firstThree;
        firstThreeOverloaded += other.firstThreeOverloaded;
    }

    Calibration calibration() {
        return calibration;
    }

    /** Mean cost over the oracle's. */
    double mean() {
        return ratios.stream().mapToDouble(Double::doubleValue).average().orElse(Double.NaN);
    }

    /** Standard error of the mean. */
    double error() {
        double mean = mean();
        double squares = ratios.stream()
                .mapToDouble(ratio -> (ratio - mean) * (ratio - mean))
                .sum();
        return Math.sqrt(squares / Math.max(1, ratios.size() - 1) / ratios.size());
    }

    /** Cost that 95 of 100 lives stay below. */
    double worst() {
        List<Double> sorted = new ArrayList<>(ratios);
        Collections.sort(sorted);
        return sorted.get((int) Math.min(sorted.size() - 1L, Math.round(0.95 * sorted.size())));
    }

    int medianNear() {
        List<Integer> sorted = new ArrayList<>(near);
        Collections.sort(sorted);
        return sorted.get(sorted.size() / 2);
    }

    double overloadedShare() {
        return share(overloaded, services);
    }

    double firstThreeOverloadedShare() {
        return share(firstThreeOverloaded, firstThree);
    }

    /** Share of beliefs whose 80 % window held the truth; bin 0 before any finding, 1 after one to three, 2 after more. */
    double covered(int bin) {
        return share(calibration.covered[bin], calibration.asked[bin]);
    }

    double overloadedBeforeLatest() {
        return share(
                calibration.overloadedBeforeLatest, calibration.asked[0] + calibration.asked[1] + calibration.asked[2]);
    }

    double servicesEach() {
        return share(services, ratios.size());
    }

    private static double share(int part, int whole) {
        return (double) part / whole;
    }
}
