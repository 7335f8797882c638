package app.chervil.sim.trouble;

import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Complaint;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.Modifier;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Question;
import app.chervil.core.trouble.Step;
import java.util.ArrayList;
import java.util.List;
import java.util.Random;
import java.util.Set;
import java.util.TreeSet;
import java.util.stream.Collectors;

/**
 * A filter with faults in it, and the keeper who noticed. The same seed gives the same faults and the same answers, whoever
 * asks.
 *
 * @param faults one or two; empty if it is none of the network's
 * @param perils ids of the dangers that are there
 */
public record Planted(
        long seed, Network world, FilterHistory history, String complaint, List<Cause> faults, Set<String> perils) {
    private static final double TWO = 0.12;
    private static final double OTHER = 0.04;
    private static final double RANDOM_ANSWER = 0.10;
    private static final double UNSURE = 0.15;

    public Planted {
        faults = List.copyOf(faults);
        perils = Set.copyOf(perils);
    }

    /** Draws a case in a world. */
    public static Planted drawn(long seed, Network world) {
        Random luck = new Random(seed * 7919 + 17);
        FilterHistory history = SampleFilter.drawn(luck);
        List<Pick> picks = picks(world, history);
        Pick first = pick(picks, luck);
        List<Cause> faults = new ArrayList<>();
        if (luck.nextDouble() >= OTHER) {
            faults.add(first.cause());
            List<Pick> others = picks.stream()
                    .filter(one -> one.complaint().equals(first.complaint())
                            && !one.cause().id().equals(first.cause().id()))
                    .toList();
            if (luck.nextDouble() < TWO && !others.isEmpty()) {
                faults.add(pick(others, luck).cause());
            }
        }
        return new Planted(seed, world, history, first.complaint(), faults, perils(faults, luck));
    }

    private record Pick(Cause cause, String complaint, double weight) {}

    private static List<Pick> picks(Network world, FilterHistory history) {
        List<Pick> picks = new ArrayList<>();
        List<Complaint> complaints = world.complaints().stream()
                .filter(one -> one.kinds().contains(history.kind()))
                .toList();
        for (Cause cause : world.causes()) {
            if (cause.fits().fits(history)) {
                double weight = cause.rate();
                for (Modifier modifier : cause.modifiers()) {
                    weight *= modifier.factor(history);
                }
                for (Complaint complaint : complaints) {
                    if (cause.shows().containsKey(complaint.id())) {
                        double shows = cause.shows().getOrDefault(complaint.id(), 0.0);
                        picks.add(new Pick(cause, complaint.id(), weight * shows));
                    }
                }
            }
        }
        return picks;
    }

    private static Pick pick(List<Pick> picks, Random luck) {
        double place =
                luck.nextDouble() * picks.stream().mapToDouble(Pick::weight).sum();
        for (Pick pick : picks) {
            place -= pick.weight();
            if (place < 0) {
                return pick;
            }
        }
        return picks.get(picks.size() - 1);
    }

    private static Set<String> perils(List<Cause> faults, Random luck) {
        Set<String> perils = new TreeSet<>();
        for (Cause fault : faults) {
            if (luck.nextDouble() < fault.danger().power()) {
                perils.add("danger-power");
            }
            if (luck.nextDouble() < fault.danger().animals()) {
                perils.add("danger-animals");
            }
        }
        return perils;
    }

    /** Ids of the repairs that mend it; empty if it is none of ours. */
    public Set<String> repairs() {
        return faults.stream()
                .map(fault -> fault.repairs().on(history.kind()))
                .collect(Collectors.toCollection(TreeSet::new));
    }

    /** What the keeper answers: mostly what is there, now and then nothing or anything. */
    public String answer(String id) {
        Question question = world.question(id).orElseThrow();
        Random luck = new Random(seed * 31 + id.hashCode());
        double sure = luck.nextDouble();
        if (sure < UNSURE) {
            return Step.DONT_KNOW;
        }
        int answers = question.answers().size();
        int place = sure < UNSURE + RANDOM_ANSWER ? luck.nextInt(answers) : truth(question, luck);
        return question.answers().get(place).id();
    }

    /** Of two faults the one that shows. */
    private int truth(Question question, Random luck) {
        if (faults.isEmpty()) {
            return drawn(question, "other", luck);
        }
        List<Integer> shown = faults.stream()
                .map(fault -> drawn(question, fault.id(), luck))
                .filter(place -> place > 0)
                .toList();
        return shown.isEmpty() ? 0 : shown.get(luck.nextInt(shown.size()));
    }

    private static int drawn(Question question, String cause, Random luck) {
        double place = luck.nextDouble();
        int answers = question.answers().size();
        for (int answer = 0; answer < answers - 1; answer++) {
            place -= question.likely(cause, answer);
            if (place < 0) {
                return answer;
            }
        }
        return answers - 1;
    }

    /** What a repair does, as far as the keeper can tell. */
    public Step.Outcome outcome(String repair) {
        Random luck = new Random(seed * 131 + repair.hashCode());
        int mended = (int) faults.stream()
                .filter(fault -> fault.repairs().on(history.kind()).equals(repair))
                .count();
        double place = luck.nextDouble();
        for (Step.Outcome outcome : Step.Outcome.values()) {
            place -= outcome.likely(mended, Math.max(1, faults.size()));
            if (place < 0) {
                return outcome;
            }
        }
        return Step.Outcome.NO_CHANGE;
    }
}
