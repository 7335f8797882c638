package app.chervil.core.trouble;

import java.util.List;
import java.util.Map;
import java.util.Objects;
import java.util.Optional;
import java.util.function.Function;
import java.util.stream.Collectors;

/**
 * Faults, signs, questions and repairs, and how they hang together. The order of each list decides ties.
 *
 * @param judged every number by which the finder judges
 */
public record Network(
        Map<Judged, Judgement> judged,
        List<Complaint> complaints,
        List<Peril> perils,
        List<Cause> causes,
        List<Question> questions,
        List<Repair> repairs) {
    public Network {
        judged = Map.copyOf(judged);
        complaints = List.copyOf(complaints);
        perils = List.copyOf(perils);
        causes = List.copyOf(causes);
        questions = List.copyOf(questions);
        repairs = List.copyOf(repairs);
        for (Judged one : Judged.values()) {
            Objects.requireNonNull(judged.get(one), one::id);
        }
    }

    /** A number with its reason. */
    public record Judgement(double is, String because) {}

    /** Ours, as shipped. */
    public static Network standard() {
        return Shipped.NETWORK;
    }

    /** Read once, when it is first asked for. */
    private static final class Shipped {
        private static final Network NETWORK = NetworkReader.shipped();
    }

    public double value(Judged judgement) {
        return Objects.requireNonNull(judged.get(judgement)).is();
    }

    public Optional<Complaint> complaint(String id) {
        return complaints.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    public Optional<Peril> peril(String id) {
        return perils.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    public Optional<Cause> cause(String id) {
        return causes.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    public Optional<Question> question(String id) {
        return questions.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    public Optional<Repair> repair(String id) {
        return repairs.stream().filter(one -> one.id().equals(id)).findFirst();
    }

    /** The same with other causes. */
    public Network with(List<Cause> others) {
        return new Network(judged, complaints, perils, others, questions, repairs);
    }

    /** The same with rates multiplied, by cause; those not named stay. */
    public Network weighing(Map<String, Double> factors) {
        return with(causes.stream()
                .map(cause -> cause.at(cause.rate() * factors.getOrDefault(cause.id(), 1.0)))
                .toList());
    }

    /** The same with other rows of answers. */
    public Network asking(List<Question> others) {
        return new Network(judged, complaints, perils, causes, others, repairs);
    }

    /** Ids that are named and not there; empty in a network that holds together. */
    List<String> loose() {
        Map<String, Cause> known = causes.stream().collect(Collectors.toMap(Cause::id, Function.identity()));
        List<String> repairIds = repairs.stream().map(Repair::id).toList();
        List<String> loose = new java.util.ArrayList<>();
        questions.forEach(question -> {
            question.rows().keySet().stream()
                    .filter(id -> !known.containsKey(id))
                    .forEach(loose::add);
            question.answers().stream()
                    .flatMap(answer -> answer.alarm().stream())
                    .filter(id -> !repairIds.contains(id))
                    .forEach(loose::add);
        });
        causes.stream()
                .flatMap(cause -> cause.fits().kinds().stream().map(cause.repairs()::on))
                .filter(id -> !repairIds.contains(id))
                .forEach(loose::add);
        complaints.stream()
                .flatMap(complaint -> complaint.perils().stream())
                .filter(id -> peril(id).isEmpty())
                .forEach(loose::add);
        return loose;
    }
}
