package app.chervil.core.trouble;

import java.util.HashMap;
import java.util.LinkedHashMap;
import java.util.List;
import java.util.Map;

/** What was told so far: readings first, then steps in order, a later answer in place of an earlier one. */
final class Told {
    private final Map<String, String> perils = new HashMap<>();
    private final Map<String, String> answers = new LinkedHashMap<>();
    private final Map<String, Step.Outcome> tried = new LinkedHashMap<>();
    private final int steps;

    Told(Map<String, String> readings, List<Step> steps) {
        answers.putAll(readings);
        this.steps = steps.size();
        steps.forEach(this::tell);
    }

    private void tell(Step step) {
        if (step instanceof Step.Answered said) {
            answers.put(said.question(), said.answer());
        } else if (step instanceof Step.Asked danger) {
            perils.put(danger.peril(), danger.answer());
        } else if (step instanceof Step.Tried done) {
            tried.put(done.repair(), done.outcome());
        }
    }

    Map<String, String> perils() {
        return perils;
    }

    /** Answers by question, in the order of first answering. */
    Map<String, String> answers() {
        return answers;
    }

    Map<String, Step.Outcome> tried() {
        return tried;
    }

    int steps() {
        return steps;
    }

    boolean asked(String question) {
        return answers.containsKey(question);
    }

    boolean tried(String repair) {
        return tried.containsKey(repair);
    }
}
