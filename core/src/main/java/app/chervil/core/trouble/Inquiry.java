package app.chervil.core.trouble;

import app.chervil.core.trouble.Standing.Likely;
import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.stream.Stream;

/**
 * One complaint about one filter: weighs what may be wrong by its history and by what was answered and tried, and says what to
 * do next. The same steps give the same standing; the order of answers makes no difference to what is likely.
 */
public final class Inquiry {
    private static final double ROUNDING = 1e12;
    private static final double CLEARLY_BETTER = 1.5;

    private final Network network;
    private final FilterHistory history;
    private final Complaint complaint;
    private final Hypotheses hypotheses;

    private Inquiry(Network network, FilterHistory history, Complaint complaint) {
        this.network = network;
        this.history = history;
        this.complaint = complaint;
        this.hypotheses = new Hypotheses(network, history, complaint.id());
    }

    /**
     * Opens a case.
     *
     * @param complaint id of what was noticed
     * @throws Unfit if there is no such complaint about this kind of filter
     */
    public static Inquiry of(Network network, FilterHistory history, String complaint) {
        return new Inquiry(
                network,
                history,
                network.complaint(complaint)
                        .filter(one -> one.kinds().contains(history.kind()))
                        .orElseThrow(() -> new Unfit("complaint", complaint)));
    }

    /** Something is named that the network does not know. */
    public static final class Unfit extends IllegalArgumentException {
        private static final long serialVersionUID = 1;
        private final String field;

        Unfit(String field, String value) {
            super(field + " must be one of the network's but was " + value);
            this.field = field;
        }

        /** complaint, peril, question, answer or repair. */
        public String field() {
            return field;
        }
    }

    Network network() {
        return network;
    }

    FilterHistory history() {
        return history;
    }

    Complaint complaint() {
        return complaint;
    }

    Hypotheses hypotheses() {
        return hypotheses;
    }

    /**
     * Where it stands after some steps.
     *
     * @param steps in the order in which they were taken
     * @throws Unfit if a step names something unknown
     */
    public Standing after(List<Step> steps) {
        steps.forEach(this::check);
        Told told = new Told(readings(), steps);
        double[] belief = belief(told.answers(), told.tried());
        return new Standing(
                ranked(belief),
                new Policy(this, told, belief).next(),
                clash(steps),
                told.steps() >= network.value(Judged.OFFER_EXIT_AFTER));
    }

    /** How likely something is there that each repair mends, after some steps; asking others stands for none of ours. */
    public Map<String, Double> presences(List<Step> steps) {
        Told told = new Told(readings(), steps);
        double[] belief = belief(told.answers(), told.tried());
        Map<String, Double> presences = new LinkedHashMap<>();
        hypotheses.repairs().forEach(repair -> presences.put(repair, hypotheses.presence(belief, repair)));
        presences.put(Repair.ASK_OTHERS, hypotheses.presence(belief, Repair.ASK_OTHERS));
        return presences;
    }

    /**
     * Why a cause is thought likely after some steps.
     *
     * @throws Unfit if the cause or a step is unknown
     */
    public Explanation explain(String cause, List<Step> steps) {
        steps.forEach(this::check);
        return Explanation.of(
                this, network.cause(cause).orElseThrow(() -> new Unfit("cause", cause)), new Told(readings(), steps));
    }

    /**
     * What learning makes of the days of a case, by the likeliest of the causes that each repair which helped mends. While
     * none helped, or nobody knows what did, it was no dirt as far as flow goes.
     */
    public Bearing bearing(List<Step> steps) {
        return steps.stream()
                .flatMap(step -> step instanceof Step.Tried done && done.outcome() != Step.Outcome.NO_CHANGE
                        ? Stream.of(done.repair())
                        : Stream.empty())
                .map(repair -> ended(repair, steps)
                        .map(cause -> cause.repairs().counts())
                        .orElse(Bearing.IGNORE_FLOW))
                .reduce(Bearing::and)
                .orElse(Bearing.IGNORE_FLOW);
    }

    /** The likeliest of the causes that a repair mends, as things stood before it was tried; empty if it mends none here. */
    public Optional<Cause> ended(String repair, List<Step> steps) {
        List<Step> before = steps.stream()
                .filter(step ->
                        !(step instanceof Step.Tried done && done.repair().equals(repair)))
                .toList();
        Told told = new Told(readings(), before);
        return ranked(belief(told.answers(), told.tried())).stream()
                .flatMap(likely -> network.cause(likely.cause()).stream())
                .filter(cause -> cause.repairs().on(history.kind()).equals(repair))
                .findFirst();
    }

    /**
     * Lets a step pass only if the network knows what it names.
     *
     * @throws Unfit if it does not
     */
    public void check(Step step) {
        if (step instanceof Step.Answered said) {
            Question question =
                    network.question(said.question()).orElseThrow(() -> new Unfit("question", said.question()));
            checkAnswer(question.answers(), said.answer());
        } else if (step instanceof Step.Asked danger) {
            Peril peril = network.peril(danger.peril()).orElseThrow(() -> new Unfit("peril", danger.peril()));
            checkAnswer(peril.answers(), danger.answer());
        } else if (step instanceof Step.Tried done
                && network.repair(done.repair()).isEmpty()) {
            throw new Unfit("repair", done.repair());
        }
    }

    private static void checkAnswer(List<Question.Answer> answers, String answer) {
        if (!answer.equals(Step.DONT_KNOW)
                && answers.stream().noneMatch(one -> one.id().equals(answer))) {
            throw new Unfit("answer", answer);
        }
    }

    /** Readings of the last day, as answers to the questions they answer. */
    private Map<String, String> readings() {
        Map<String, String> answers = new LinkedHashMap<>();
        network.questions().stream()
                .filter(question -> question.onKind(history.kind()))
                .forEach(question ->
                        question.reads().flatMap(this::read).ifPresent(answer -> answers.put(question.id(), answer)));
        return answers;
    }

    private Optional<String> read(String reading) {
        FilterHistory.Readings read = history.readings();
        return switch (reading) {
            case "flowRatio" ->
                read.flowShare().isPresent() ? Optional.of(flow(read.flowShare().getAsDouble())) : Optional.empty();
            case "ammonia" ->
                read.ammonia().isPresent()
                        ? Optional.of(read.ammonia().getAsDouble() > 0 ? "some" : "zero")
                        : Optional.empty();
            case "waterLevel" -> read.level().map(FilterHistory.Level::id);
            default -> Optional.empty();
        };
    }

    private String flow(double share) {
        return share >= network.value(Judged.FLOW_NEAR)
                ? "near"
                : share >= network.value(Judged.FLOW_LOW) ? "down" : "low";
    }

    /** Probability of each hypothesis. */
    double[] belief(Map<String, String> answers, Map<String, Step.Outcome> tried) {
        double[] belief = hypotheses.prior();
        answers.forEach((id, answer) -> {
            Question question = network.question(id).orElseThrow();
            question.place(answer).ifPresent(place -> weigh(belief, hypotheses.likelihood(question, place)));
        });
        tried.forEach((repair, outcome) -> weigh(belief, hypotheses.likelihood(repair, outcome)));
        return Hypotheses.normalised(belief);
    }

    private static void weigh(double[] belief, double[] likelihood) {
        for (int h = 0; h < belief.length; h++) {
            belief[h] *= likelihood[h];
        }
    }

    static double rounded(double value) {
        return Math.rint(value * ROUNDING) / ROUNDING;
    }

    private List<Likely> ranked(double[] belief) {
        double[] sums = hypotheses.byCause(belief);
        List<Likely> likely = new ArrayList<>();
        List<Cause> causes = hypotheses.causes();
        for (int i = 0; i < causes.size(); i++) {
            likely.add(new Likely(causes.get(i).id(), sums[i]));
        }
        likely.add(new Likely(Standing.OTHER, sums[causes.size()]));
        likely.sort(Comparator.comparingDouble(one -> -rounded(one.probability())));
        return likely;
    }

    /** An earlier answer without which the last one would be far less of a surprise. */
    private Optional<String> clash(List<Step> steps) {
        if (steps.isEmpty() || !(steps.get(steps.size() - 1) instanceof Step.Answered last)) {
            return Optional.empty();
        }
        Question question = network.question(last.question()).orElseThrow();
        Optional<Integer> place = question.place(last.answer());
        if (place.isEmpty()) {
            return Optional.empty();
        }
        Told before = new Told(readings(), steps.subList(0, steps.size() - 1));
        Map<String, String> others = new LinkedHashMap<>(before.answers());
        others.remove(question.id());
        Surprise surprise = new Surprise(question, place.get(), before.tried());
        double chance = surprise.chance(others);
        boolean surprises = chance * question.answers().size() < network.value(Judged.CONTRADICTION_BELOW);
        return surprises ? surprise.culprit(others, chance) : Optional.empty();
    }

    private final class Surprise {
        private final Question question;
        private final int answer;
        private final Map<String, Step.Outcome> tried;

        Surprise(Question question, int answer, Map<String, Step.Outcome> tried) {
            this.question = question;
            this.answer = answer;
            this.tried = tried;
        }

        double chance(Map<String, String> answers) {
            return chanceOf(question, answer, belief(answers, tried));
        }

        Optional<String> culprit(Map<String, String> answers, double chance) {
            Optional<String> culprit = Optional.empty();
            double best = chance * CLEARLY_BETTER;
            for (Map.Entry<String, String> one : answers.entrySet()) {
                if (one.getValue().equals(Step.DONT_KNOW)) {
                    continue;
                }
                Map<String, String> without = new LinkedHashMap<>(answers);
                without.remove(one.getKey());
                double raised = chance(without);
                if (rounded(raised) > rounded(best)) {
                    best = raised;
                    culprit = Optional.of(one.getKey());
                }
            }
            return culprit;
        }
    }

    /** How likely an answer is by what is believed. */
    double chanceOf(Question question, int answer, double[] belief) {
        double[] likelihood = hypotheses.likelihood(question, answer);
        double chance = 0;
        for (int h = 0; h < belief.length; h++) {
            chance += belief[h] * likelihood[h];
        }
        return chance;
    }
}
