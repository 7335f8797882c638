package app.chervil.sim.trouble;

import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Modifier;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Question;
import java.util.Arrays;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.TreeMap;

/**
 * How faults truly behave somewhere: the finder's network with every number off by some factor, as nobody knows them
 * (docs/sources.md#trouble-benchmark).
 */
public final class FaultWorld {
    private static final int CASES = 50;
    private static final double ANSWERS = 2.5;
    private static final double RATES = 3;
    private static final double SHOWS = 2.5;
    private static final double LEAST_POWER = 0.4;
    private static final double MOST_POWER = 1.4;

    private FaultWorld() {}

    /** The network as the finder has it. */
    public static Network own() {
        return Network.standard();
    }

    /** The world of a case; fifty cases in a row live in one. */
    public static Network perturbed(long seed) {
        Random luck = new Random(977 * (seed / CASES) + 13);
        Network network = Network.standard();
        return network.with(network.causes().stream()
                        .map(cause -> perturbed(cause, luck))
                        .toList())
                .asking(network.questions().stream()
                        .map(question -> perturbed(question, luck))
                        .toList());
    }

    private static Cause perturbed(Cause cause, Random luck) {
        Map<String, Double> shows = new HashMap<>();
        new TreeMap<>(cause.shows())
                .forEach((complaint, share) -> shows.put(complaint, Math.min(1, share * factor(SHOWS, luck))));
        List<Modifier> modifiers = cause.modifiers().stream()
                .<Modifier>map(modifier ->
                        new Modifier.Powered(modifier, LEAST_POWER + (MOST_POWER - LEAST_POWER) * luck.nextDouble()))
                .toList();
        return new Cause(
                cause.id(),
                cause.words(),
                cause.fits(),
                cause.rate() * factor(RATES, luck),
                shows,
                modifiers,
                cause.repairs(),
                cause.danger(),
                cause.because());
    }

    private static Question perturbed(Question question, Random luck) {
        Map<String, List<Double>> rows = new HashMap<>();
        new TreeMap<>(question.rows()).forEach((cause, row) -> {
            double[] moved = row.stream()
                    .mapToDouble(share -> share * factor(ANSWERS, luck))
                    .toArray();
            double sum = Arrays.stream(moved).sum();
            rows.put(cause, Arrays.stream(moved).mapToObj(share -> share / sum).toList());
        });
        return question.with(rows);
    }

    /** Up to so many times more or less, evenly by its logarithm. */
    private static double factor(double most, Random luck) {
        return Math.exp((2 * luck.nextDouble() - 1) * Math.log(most));
    }
}
