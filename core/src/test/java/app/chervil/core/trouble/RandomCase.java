package app.chervil.core.trouble;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.FilterTemplates;
import app.chervil.core.filter.Stage;
import app.chervil.core.filter.StageKind;
import java.util.ArrayList;
import java.util.Collections;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Random;
import java.util.Set;
import java.util.function.Consumer;
import java.util.stream.Collectors;

/**
 * A case drawn by lot: a filter with some history, a complaint it can have, and up to six steps.
 *
 * @param seed by which it can be drawn again
 */
record RandomCase(long seed, Inquiry inquiry, List<Step> steps) {
    static void each(int count, Consumer<RandomCase> check) {
        for (int seed = 1; seed <= count; seed++) {
            check.accept(drawn(seed));
        }
    }

    static RandomCase drawn(long seed) {
        Random luck = new Random(seed);
        Network network = Network.standard();
        FilterKind kind = FilterKind.values()[luck.nextInt(FilterKind.values().length)];
        List<Complaint> complaints = network.complaints().stream()
                .filter(one -> one.kinds().contains(kind))
                .toList();
        Complaint complaint = complaints.get(luck.nextInt(complaints.size()));
        Inquiry inquiry = Inquiry.of(network, history(kind, luck), complaint.id());
        List<Step> steps = new ArrayList<>();
        for (int i = luck.nextInt(7); i > 0; i--) {
            Question question =
                    network.questions().get(luck.nextInt(network.questions().size()));
            Step step = answer(question, luck);
            boolean again = steps.stream()
                    .anyMatch(one ->
                            one instanceof Step.Answered said && said.question().equals(question.id()));
            if (!again) {
                steps.add(step);
            }
        }
        return new RandomCase(seed, inquiry, steps);
    }

    /** A filter as it comes, of which nothing more is known. */
    static FilterHistory bare(FilterKind kind) {
        return FilterHistory.unknown(kind, stages(kind));
    }

    private static Set<StageKind> stages(FilterKind kind) {
        return FilterTemplates.waterPath(kind).stream().map(Stage::kind).collect(Collectors.toSet());
    }

    private static FilterHistory history(FilterKind kind, Random luck) {
        Map<Feature, Double> features = new EnumMap<>(Feature.class);
        for (Feature feature : Feature.values()) {
            if (luck.nextBoolean()) {
                features.put(
                        feature,
                        switch (feature.sort()) {
                            case SHARE -> luck.nextDouble() * 4;
                            case GRADE -> (double) luck.nextInt(5);
                            case FLAG -> (double) luck.nextInt(2);
                            case DAYS, HOURS -> luck.nextDouble() * 5000;
                        });
            }
        }
        Map<Touch, Double> touched = new EnumMap<>(Touch.class);
        for (Touch tag : Touch.values()) {
            if (luck.nextInt(3) == 0) {
                touched.put(tag, luck.nextDouble() * 30);
            }
        }
        return new FilterHistory(kind, stages(kind), touched, features, FilterHistory.Readings.NONE);
    }

    static Step reply(Next next, Random luck) {
        if (next instanceof Next.AskDanger danger) {
            return new Step.Asked(danger.peril().id(), Peril.NO);
        } else if (next instanceof Next.Ask ask) {
            return answer(ask.question(), luck);
        }
        return new Step.Tried(
                ((Next.Mend) next).repair().id(), luck.nextBoolean() ? Step.Outcome.NO_CHANGE : Step.Outcome.PARTLY);
    }

    private static Step answer(Question question, Random luck) {
        int place = luck.nextInt(question.answers().size() + 1);
        return new Step.Answered(
                question.id(),
                place == question.answers().size()
                        ? Step.DONT_KNOW
                        : question.answers().get(place).id());
    }

    Standing standing() {
        return inquiry.after(steps);
    }

    /** A question that its kind of filter can be asked. */
    Question anyQuestion() {
        List<Question> all = inquiry.network().questions().stream()
                .filter(question -> question.onKind(inquiry.history().kind()))
                .toList();
        return all.get(new Random(seed).nextInt(all.size()));
    }

    /** The likeliest cause before anything was answered. */
    Cause likeliest() {
        return inquiry.after(List.of()).causes().stream()
                .flatMap(likely -> inquiry.network().cause(likely.cause()).stream())
                .findFirst()
                .orElseThrow();
    }

    /** A row of a cause that gives every answer but the last, alike. */
    static List<Double> allButTheLast(int answers) {
        List<Double> row = new ArrayList<>(Collections.nCopies(answers - 1, 1.0 / (answers - 1)));
        row.add(0.0);
        return row;
    }

    /** The same case in a network in which one question answers otherwise. */
    Inquiry asking(Question changed) {
        Network network = inquiry.network();
        List<Question> questions = network.questions().stream()
                .map(one -> one.id().equals(changed.id()) ? changed : one)
                .toList();
        return Inquiry.of(
                network.asking(questions),
                inquiry.history(),
                inquiry.complaint().id());
    }

    double[] belief() {
        Told told = new Told(Map.of(), steps);
        return inquiry.belief(told.answers(), told.tried());
    }

    static Map<String, Double> byCause(Standing standing) {
        return standing.causes().stream()
                .collect(Collectors.toMap(Standing.Likely::cause, Standing.Likely::probability));
    }
}
