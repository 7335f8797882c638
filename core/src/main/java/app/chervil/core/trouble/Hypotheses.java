package app.chervil.core.trouble;

import java.util.ArrayList;
import java.util.Arrays;
import java.util.Comparator;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import java.util.stream.IntStream;

/**
 * What may be wrong: each cause alone, none of them, and each two of the ten likeliest together. A hypothesis is a place in all
 * arrays.
 */
final class Hypotheses {
    private static final int PAIRED = 10;

    private final Network network;
    private final FilterHistory history;
    private final List<Cause> causes;
    private final List<int[]> members = new ArrayList<>();
    private final double[] shares;
    private final double[] prior;
    private final List<String> repairs;
    private final Map<String, double[][]> rows = new HashMap<>();
    /** Place of each cause's repair among {@link #repairs()}. */
    private final int[] places;

    Hypotheses(Network network, FilterHistory history, String complaint) {
        this.network = network;
        this.history = history;
        this.causes = network.causes().stream()
                .filter(one -> one.fits().fits(history))
                .toList();
        shares = normalised(
                causes.stream().mapToDouble(one -> weight(one, complaint)).toArray());
        List<Double> masses = new ArrayList<>();
        double other = network.value(Judged.OTHER_SHARE);
        for (int i = 0; i < shares.length; i++) {
            add(masses, (1 - other) * shares[i], i);
        }
        add(masses, other);
        addPairs(masses, shares);
        prior = normalised(masses.stream().mapToDouble(mass -> mass).toArray());
        repairs = causes.stream()
                .map(cause -> cause.repairs().on(history.kind()))
                .distinct()
                .sorted()
                .toList();
        places = IntStream.range(0, causes.size())
                .map(cause -> repairs.indexOf(repairOf(cause)))
                .toArray();
    }

    private double weight(Cause cause, String complaint) {
        double damp = network.value(Judged.DAMP);
        double weight = cause.rate();
        for (Modifier modifier : cause.modifiers()) {
            weight *= Math.pow(modifier.factor(history), damp);
        }
        return weight * cause.shows().getOrDefault(complaint, network.value(Judged.SHOW_LEAK));
    }

    private void addPairs(List<Double> masses, double[] weights) {
        int[] heaviest = IntStream.range(0, weights.length)
                .boxed()
                .sorted(Comparator.comparingDouble((Integer i) -> -weights[i]))
                .limit(PAIRED)
                .mapToInt(i -> i)
                .sorted()
                .toArray();
        for (int a = 0; a < heaviest.length; a++) {
            for (int b = a + 1; b < heaviest.length; b++) {
                double chance = weights[heaviest[a]] * weights[heaviest[b]];
                add(masses, network.value(Judged.PAIR_SCALE) * chance, heaviest[a], heaviest[b]);
            }
        }
    }

    private void add(List<Double> masses, double mass, int... of) {
        masses.add(mass);
        members.add(of);
    }

    static double[] normalised(double[] masses) {
        double sum = Arrays.stream(masses).sum();
        return sum > 0 ? Arrays.stream(masses).map(mass -> mass / sum).toArray() : masses;
    }

    /** Applicable causes, in the order of the network. */
    List<Cause> causes() {
        return causes;
    }

    /** Share of each applicable cause, if it is one of them alone. */
    double[] shares() {
        return shares.clone();
    }

    double[] prior() {
        return prior.clone();
    }

    int size() {
        return prior.length;
    }

    /** Ids of the repairs that mend any of its causes, sorted. */
    List<String> repairs() {
        return repairs;
    }

    /** How likely an answer is under each hypothesis, noise included. */
    double[] likelihood(Question question, int answer) {
        return rows.computeIfAbsent(question.id(), id -> rowsOf(question))[answer];
    }

    private double[][] rowsOf(Question question) {
        int answers = question.answers().size();
        double[][] table = new double[answers][size()];
        for (int h = 0; h < size(); h++) {
            double[] row = row(question, members.get(h));
            for (int a = 0; a < answers; a++) {
                table[a][h] = noisy(row[a], answers);
            }
        }
        return table;
    }

    /** How likely an answer is under one cause alone, noise included. */
    double likelihood(Question question, int answer, Cause cause) {
        return noisy(question.likely(cause.id(), answer), question.answers().size());
    }

    private double noisy(double likely, int answers) {
        double noise = network.value(Judged.ANSWER_NOISE);
        return (1 - noise) * likely + noise / answers;
    }

    private double[] row(Question question, int[] of) {
        int answers = question.answers().size();
        if (of.length < 2) {
            String cause = of.length == 0 ? Standing.OTHER : causes.get(of[0]).id();
            return IntStream.range(0, answers)
                    .mapToDouble(answer -> question.likely(cause, answer))
                    .toArray();
        }
        return together(question, causes.get(of[0]).id(), causes.get(of[1]).id());
    }

    /** Two at once: normal only if both are, as one could hide the other; the rest is shared in proportion. */
    private static double[] together(Question question, String one, String other) {
        int answers = question.answers().size();
        double first = question.likely(one, 0);
        double second = question.likely(other, 0);
        double leak = question.answers().get(0).leak();
        double normal = Math.min(1, Math.min(first * second / leak, Math.max(first, second)));
        double[] row = new double[answers];
        row[0] = normal;
        double sum = 0;
        for (int answer = 1; answer < answers; answer++) {
            row[answer] = question.likely(one, answer) + question.likely(other, answer);
            sum += row[answer];
        }
        for (int answer = 1; answer < answers; answer++) {
            row[answer] = sum > 0 ? (1 - normal) * row[answer] / sum : (1 - normal) / (answers - 1);
        }
        return row;
    }

    /** How likely an outcome of a repair is under each hypothesis. */
    double[] likelihood(String repair, Step.Outcome outcome) {
        double[] likely = new double[size()];
        for (int h = 0; h < size(); h++) {
            int[] of = members.get(h);
            boolean other = of.length == 0;
            int mended = other ? (repair.equals(Repair.ASK_OTHERS) ? 1 : 0) : mended(of, repair);
            likely[h] = outcome.likely(mended, Math.max(1, of.length));
        }
        return likely;
    }

    private int mended(int[] of, String repair) {
        return (int) Arrays.stream(of).filter(i -> repairOf(i).equals(repair)).count();
    }

    private String repairOf(int cause) {
        return causes.get(cause).repairs().on(history.kind());
    }

    /** Probability of each applicable cause; two at once count for both. The last is that of none of them. */
    double[] byCause(double[] belief) {
        double[] sums = new double[causes.size() + 1];
        for (int h = 0; h < size(); h++) {
            int[] of = members.get(h);
            for (int cause : of) {
                sums[cause] += belief[h];
            }
            if (of.length == 0) {
                sums[causes.size()] += belief[h];
            }
        }
        return sums;
    }

    /** How likely something is there that a repair mends. */
    double presence(double[] belief, String repair) {
        double sum = 0;
        for (int h = 0; h < size(); h++) {
            int[] of = members.get(h);
            boolean mends = of.length == 0 ? repair.equals(Repair.ASK_OTHERS) : mended(of, repair) > 0;
            sum += mends ? belief[h] : 0;
        }
        return sum;
    }

    /** Mass of each repair of {@link #repairs()}; two at once give half to each. */
    double[] masses(double[] belief) {
        double[] masses = new double[repairs.size()];
        for (int h = 0; h < size(); h++) {
            int[] of = members.get(h);
            for (int cause : of) {
                masses[places[cause]] += belief[h] / of.length;
            }
        }
        return masses;
    }
}
