package app.chervil.core.trouble;

import java.util.ArrayList;
import java.util.Comparator;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;

/**
 * Why a cause is thought likely, and what speaks against it.
 *
 * @param because most telling first, at most three; empty where it is simply common
 * @param against the most telling
 */
public record Explanation(List<Ground> because, Optional<Ground> against) {
    private static final double TELLS = 0.1;
    private static final double TELLS_AGAINST = -0.3;
    private static final int MOST = 3;

    public Explanation {
        because = List.copyOf(because);
    }

    /** Something that moves a cause. */
    public sealed interface Ground {
        /** How far it moves the cause, as a natural logarithm. */
        double weight();

        /**
         * What is on record.
         *
         * @param why with {days} or {value} in it
         */
        record Known(String why, Optional<Feature> feature, double value, double weight) implements Ground {}

        /** What was seen. */
        record Seen(String question, String answer, double weight) implements Ground {}
    }

    static Explanation of(Inquiry inquiry, Cause cause, Told told) {
        List<Ground> grounds = new ArrayList<>();
        double damp = inquiry.network().value(Judged.DAMP);
        cause.modifiers().forEach(modifier -> modifier.found(inquiry.history()).ifPresent(value -> {
            double weight = damp * Math.log(modifier.at(value));
            grounds.add(new Ground.Known(modifier.whyAt(value), modifier.goesBy(), value, weight));
        }));
        told.answers().forEach((id, answer) -> seen(inquiry, cause, told, id).ifPresent(grounds::add));
        grounds.sort(Comparator.comparingDouble((Ground ground) -> -ground.weight()));
        return new Explanation(
                grounds.stream()
                        .filter(ground -> ground.weight() > TELLS)
                        .limit(MOST)
                        .toList(),
                grounds.isEmpty()
                        ? Optional.empty()
                        : Optional.of(grounds.get(grounds.size() - 1))
                                .filter(ground -> ground.weight() < TELLS_AGAINST));
    }

    /** ln P(answer | cause) − ln P(answer) by all else that is known. */
    private static Optional<Ground> seen(Inquiry inquiry, Cause cause, Told told, String id) {
        String answer = told.answers().getOrDefault(id, Step.DONT_KNOW);
        Question question = inquiry.network().question(id).orElseThrow();
        return question.place(answer).map(place -> {
            Map<String, String> others = new LinkedHashMap<>(told.answers());
            others.remove(id);
            double chance = inquiry.chanceOf(question, place, inquiry.belief(others, told.tried()));
            double under = inquiry.hypotheses().likelihood(question, place, cause);
            return new Ground.Seen(id, answer, Math.log(under) - Math.log(chance));
        });
    }
}
