package app.chervil.sim.trouble;

import app.chervil.core.trouble.Cost;
import app.chervil.core.trouble.Repair;
import app.chervil.core.trouble.Step;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.HashSet;
import java.util.List;
import java.util.Map;
import java.util.Set;

/** One keeper looking for what is wrong; counts minutes until every fault has been mended. */
final class Search {
    /** Steps after which a keeper gives up whatever a list says. */
    static final int MOST_STEPS = 60;

    private static final double A_STEP = 0.5;
    private static final double WRONG_SLOW = 15;
    private static final double NEEDLESS_EXIT = 90;

    private final Planted planted;
    private final Set<String> left;
    private final List<Step> steps = new ArrayList<>();
    private final Set<String> done = new HashSet<>();
    private double minutes;
    private boolean needless;
    private boolean over;
    private int rightAt = Integer.MAX_VALUE;

    /**
     * How a search ended.
     *
     * @param steps taken, questions about dangers apart
     * @param needlessExit whether somebody was asked although a repair of ours would have done
     * @param late whether more than eight steps went by before everything was mended
     */
    record Found(double minutes, int steps, boolean needlessExit, boolean late) {}

    Search(Planted planted) {
        this.planted = planted;
        this.left = new HashSet<>(planted.repairs());
    }

    Planted planted() {
        return planted;
    }

    List<Step> steps() {
        return steps;
    }

    boolean over() {
        return over || count() >= MOST_STEPS;
    }

    boolean did(String repair) {
        return done.contains(repair);
    }

    Map<String, Double> untried(Map<String, Double> repairs) {
        Map<String, Double> untried = new HashMap<>(repairs);
        untried.keySet().removeAll(done);
        return untried;
    }

    int count() {
        return (int)
                steps.stream().filter(step -> !(step instanceof Step.Asked)).count();
    }

    void clear(String peril) {
        steps.add(new Step.Asked(peril, "no"));
    }

    /** Asks; the same question is answered the same way and costs nothing twice. */
    String ask(String question) {
        String answer = planted.answer(question);
        Step step = new Step.Answered(question, answer);
        if (!steps.contains(step)) {
            minutes += hands(planted.world().question(question).orElseThrow().cost());
            steps.add(step);
        }
        return answer;
    }

    /** Tries a repair, or asks others. */
    void mend(String id) {
        Repair repair = planted.world().repair(id).orElseThrow();
        minutes += hands(repair.cost());
        done.add(id);
        steps.add(new Step.Tried(id, told(id)));
        if (id.equals(Repair.ASK_OTHERS)) {
            needless = !planted.faults().isEmpty();
            minutes += needless ? NEEDLESS_EXIT : 0;
            end();
        } else if (!left.remove(id) && repair.cost().slow()) {
            minutes += WRONG_SLOW;
        } else if (left.isEmpty() && !planted.faults().isEmpty()) {
            end();
        }
    }

    /** What the keeper says of a repair; nobody says that all is well while something is left. */
    private Step.Outcome told(String id) {
        Step.Outcome outcome = planted.outcome(id);
        boolean somethingLeft = left.stream().anyMatch(one -> !one.equals(id));
        if (outcome != Step.Outcome.SOLVED || !somethingLeft) {
            return outcome;
        }
        return left.contains(id) ? Step.Outcome.PARTLY : Step.Outcome.NO_CHANGE;
    }

    private void end() {
        over = true;
        rightAt = needless ? Integer.MAX_VALUE : count();
    }

    private double hands(Cost cost) {
        return cost.minutes(planted.history().kind()) + A_STEP;
    }

    Found found() {
        return new Found(minutes, count(), needless, rightAt > 8);
    }
}
