package app.chervil.core.trouble;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.List;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.IntStream;
import java.util.stream.Stream;

/**
 * Chooses the next step: danger first, then what is clear, then the question that saves most minutes, then the repair that is
 * quicker to try than to ask about (docs/sources.md#trouble).
 */
final class Policy {
    private static final double DANGEROUS = 0.5;

    private final Inquiry inquiry;
    private final Network network;
    private final FilterHistory history;
    private final Hypotheses hypotheses;
    private final Told told;
    private final double[] belief;
    private final List<Option> options;

    /** A repair that was not tried. */
    private record Option(Repair repair, int place, double cost) {}

    Policy(Inquiry inquiry, Told told, double[] belief) {
        this.inquiry = inquiry;
        this.network = inquiry.network();
        this.history = inquiry.history();
        this.hypotheses = inquiry.hypotheses();
        this.told = told;
        this.belief = belief;
        List<String> repairs = hypotheses.repairs();
        this.options = IntStream.range(0, repairs.size())
                .filter(place -> !told.tried(repairs.get(place)))
                .mapToObj(place -> option(repair(repairs.get(place)), place))
                .toList();
    }

    private Option option(Repair repair, int place) {
        return new Option(repair, place, cost(repair.cost()));
    }

    private Repair repair(String id) {
        return network.repair(id).orElseThrow();
    }

    /** What a step costs in minutes, with all it brings along. */
    private double cost(Cost of) {
        return of.minutes(history.kind())
                + network.value(Judged.STEP_OVERHEAD)
                + network.value(Judged.DISTURBANCE) * of.disturbance()
                + (of.pumpOff() ? network.value(Judged.PUMP_OFF) : 0)
                + (of.buys() ? network.value(Judged.BUY) : 0)
                + (of.slow() ? network.value(Judged.SLOW) : 0);
    }

    /** The first rule that holds. */
    Next next() {
        return Stream.<java.util.function.Supplier<Optional<Next>>>of(
                        this::danger, this::solved, this::alarm, this::watchful, this::named, this::worthAsking)
                .flatMap(rule -> rule.get().stream())
                .findFirst()
                .orElseGet(this::quickest);
    }

    private Optional<Next> danger() {
        for (String id : inquiry.complaint().perils()) {
            Peril peril = network.peril(id).orElseThrow();
            String answer = told.perils().get(id);
            if (answer == null) {
                return Optional.of(new Next.AskDanger(peril));
            }
            if (!answer.equals(Peril.NO)) {
                return Optional.of(new Next.Stop(peril));
            }
        }
        return Optional.empty();
    }

    private Optional<Next> solved() {
        return told.tried().entrySet().stream()
                .filter(one -> one.getValue() == Step.Outcome.SOLVED)
                .map(one -> (Next) new Next.Solved(repair(one.getKey())))
                .findFirst();
    }

    private Optional<Next> alarm() {
        return told.answers().entrySet().stream()
                .flatMap(one -> alarm(network.question(one.getKey()).orElseThrow(), one.getValue()))
                .filter(repair -> !told.tried(repair))
                .map(repair -> (Next) new Next.Mend(repair(repair), Next.Because.ALARM))
                .findFirst();
    }

    private Stream<String> alarm(Question question, String answer) {
        return question.answers().stream()
                .filter(one -> one.id().equals(answer)
                        || (answer.equals(Step.DONT_KNOW)
                                && one.unsureWhile().filter(this::alarming).isPresent()))
                .flatMap(one -> one.alarm().stream());
    }

    private boolean alarming(String cause) {
        List<Cause> causes = hypotheses.causes();
        double[] sums = hypotheses.byCause(belief);
        return IntStream.range(0, causes.size())
                .filter(i -> causes.get(i).id().equals(cause))
                .anyMatch(i -> Inquiry.rounded(sums[i]) >= network.value(Judged.ALARM_AT));
    }

    /** A question that may raise an alarm, while a dangerous cause of it is likely enough. */
    private Optional<Next> watchful() {
        return offered()
                .filter(Question::hasAlarm)
                .filter(question -> hypotheses.causes().stream()
                        .anyMatch(cause -> question.rows().containsKey(cause.id())
                                && cause.danger().power() >= DANGEROUS
                                && alarming(cause.id())))
                .map(question -> (Next) new Next.Ask(question))
                .findFirst();
    }

    private Stream<Question> offered() {
        return network.questions().stream()
                .filter(question ->
                        question.offered(history, inquiry.complaint().id()))
                .filter(question -> !told.asked(question.id()));
    }

    private Optional<Next> named() {
        double clear = network.value(Judged.NAMED_AT);
        Optional<Option> likeliest = options.stream()
                .max(Comparator.comparingDouble(
                                (Option one) -> presence(one.repair().id()))
                        .thenComparing(Comparator.comparingDouble(Option::cost).reversed())
                        .thenComparing(one -> one.repair().id(), Comparator.reverseOrder()));
        if (likeliest.filter(one -> presence(one.repair().id()) >= clear).isPresent()) {
            return likeliest.map(one -> new Next.Mend(one.repair(), Next.Because.NAMED));
        }
        return options.isEmpty() || presence(Repair.ASK_OTHERS) >= clear ? Optional.of(askOthers()) : Optional.empty();
    }

    private double presence(String repair) {
        return Inquiry.rounded(hypotheses.presence(belief, repair));
    }

    private Next askOthers() {
        return new Next.Mend(repair(Repair.ASK_OTHERS), Next.Because.NOTHING_LEFT);
    }

    private record Worth(Question question, double gain) {}

    private Optional<Next> worthAsking() {
        double now = expectedMinutes(belief);
        List<Worth> worths = new ArrayList<>();
        offered().forEach(question -> gain(question, now).ifPresent(gain -> worths.add(new Worth(question, gain))));
        return worths.stream()
                .max(Comparator.comparingDouble(Worth::gain)
                        .thenComparing(one -> one.question().id(), Comparator.reverseOrder()))
                .map(one -> new Next.Ask(one.question()));
    }

    /** Minutes a question saves beyond its cost; empty if none. */
    private OptionalDouble gain(Question question, double now) {
        double after = 0;
        for (int answer = 0; answer < question.answers().size(); answer++) {
            double[] likelihood = hypotheses.likelihood(question, answer);
            double[] then = new double[belief.length];
            double chance = 0;
            for (int h = 0; h < then.length; h++) {
                then[h] = belief[h] * likelihood[h];
                chance += then[h];
            }
            after += chance * expectedMinutes(Hypotheses.normalised(then));
        }
        double gain = Inquiry.rounded(now - after) - Inquiry.rounded(cost(question.cost()));
        return gain > 0 ? OptionalDouble.of(Inquiry.rounded(gain)) : OptionalDouble.empty();
    }

    /** Minutes until it is mended if repairs were tried from here on, the most promising for its cost first. */
    private double expectedMinutes(double[] believed) {
        double[] masses = hypotheses.masses(believed);
        double works = network.value(Judged.FIX_WORKS);
        double exit = network.value(Judged.EXIT);
        double left = 1;
        double minutes = 0;
        for (Option option : byPromise(masses)) {
            double mended = masses[option.place()] * works;
            if (Inquiry.rounded(mended * exit) <= Inquiry.rounded(option.cost() * left)) {
                break;
            }
            minutes += option.cost() * left;
            left -= mended;
        }
        return minutes + left * exit;
    }

    private List<Option> byPromise(double[] masses) {
        double works = network.value(Judged.FIX_WORKS);
        double[] promise = new double[masses.length];
        options.forEach(one -> promise[one.place()] = Inquiry.rounded(masses[one.place()] * works / one.cost()));
        return options.stream()
                .sorted(Comparator.comparingDouble((Option one) -> -promise[one.place()])
                        .thenComparingInt(Option::place))
                .toList();
    }

    private Next quickest() {
        double[] masses = hypotheses.masses(belief);
        double works = network.value(Judged.FIX_WORKS);
        return byPromise(masses).stream()
                .findFirst()
                .filter(one -> Inquiry.rounded(masses[one.place()] * works * network.value(Judged.EXIT))
                        > Inquiry.rounded(one.cost()))
                .map(one -> (Next) new Next.Mend(one.repair(), Next.Because.QUICKER))
                .orElseGet(this::askOthers);
    }
}
