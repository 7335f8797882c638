package app.chervil.core.trouble;

import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;

/**
 * What a site's own closed cases say of how often each cause is met there. The shares of causes have a Dirichlet prior worth
 * {@link #PRIOR_CASES} cases; n of N cases move a cause of expected share p by (a + n ÷ p) ÷ (a + N), held between a quarter
 * and four (docs/sources.md#trouble).
 */
public final class Experience {
    /** How many cases of a site weigh as much as what we suppose. */
    public static final double PRIOR_CASES = 20;

    private static final double LEAST = 0.25;
    private static final double MOST = 4;

    private Experience() {}

    /**
     * A closed case.
     *
     * @param filter what it is made of; its history makes no difference
     * @param cause id of what was found
     */
    public record Closed(FilterHistory filter, String complaint, String cause) {}

    /**
     * One cause, counted.
     *
     * @param times it was found
     * @param cases in which it could have been
     * @param expected share of those cases by our own rates, 0 to 1
     * @param factor on its rate
     */
    public record Counted(String cause, int times, int cases, double expected, double factor) {}

    /** Every cause that could have been found in a case, in the order of the network. */
    public static List<Counted> count(Network network, List<Closed> closed) {
        Map<String, Double> expected = new HashMap<>();
        Map<String, Integer> cases = new HashMap<>();
        Map<String, Integer> times = new HashMap<>();
        for (Closed one : closed) {
            FilterHistory bare =
                    FilterHistory.unknown(one.filter().kind(), one.filter().stages());
            Hypotheses hypotheses = new Hypotheses(network, bare, one.complaint());
            double[] shares = hypotheses.shares();
            for (int i = 0; i < shares.length; i++) {
                String id = hypotheses.causes().get(i).id();
                expected.merge(id, shares[i], Double::sum);
                cases.merge(id, 1, Integer::sum);
            }
            times.merge(one.cause(), 1, Integer::sum);
        }
        List<Counted> counted = new ArrayList<>();
        for (Cause cause : network.causes()) {
            int of = cases.getOrDefault(cause.id(), 0);
            if (of > 0) {
                double share = expected.getOrDefault(cause.id(), 0.0) / of;
                int found = times.getOrDefault(cause.id(), 0);
                counted.add(new Counted(cause.id(), found, of, share, factor(found, of, share)));
            }
        }
        return counted;
    }

    private static double factor(int times, int cases, double share) {
        double moved = (PRIOR_CASES + times / share) / (PRIOR_CASES + cases);
        return Math.min(MOST, Math.max(LEAST, moved));
    }

    /** The network as a site's own cases would have it. */
    public static Network of(Network network, List<Closed> closed) {
        Map<String, Double> factors = new HashMap<>();
        count(network, closed).forEach(one -> factors.put(one.cause(), one.factor()));
        return network.weighing(factors);
    }
}
