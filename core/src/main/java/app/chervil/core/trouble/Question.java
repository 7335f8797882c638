package app.chervil.core.trouble;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.Set;

/**
 * A look, a try or a question that tells causes apart.
 *
 * @param complaints under which it is asked; empty for any
 * @param caution before hands move; may be empty
 * @param answers the first is what is normal
 * @param rows how likely each answer is, by cause; others answer as their leak says
 * @param reads the reading that answers it
 * @param because what its numbers rest on
 */
public record Question(
        String id,
        String ask,
        Optional<String> caution,
        Fits fits,
        Set<String> complaints,
        Cost cost,
        List<Answer> answers,
        Map<String, List<Double>> rows,
        Optional<String> reads,
        String because) {
    private static final double ROUNDING = 1e-9;

    public Question {
        complaints = Set.copyOf(complaints);
        answers = List.copyOf(answers);
        rows = Map.copyOf(rows);
        int count = answers.size();
        rows.values().forEach(row -> {
            Check.within(id + ".row", row.stream().mapToDouble(share -> share).sum(), 1 - ROUNDING, 1 + ROUNDING);
            Check.within(id + ".row.size", row.size(), count, count);
        });
    }

    /**
     * One answer.
     *
     * @param leak how likely it is where a cause says nothing of it
     * @param alarm id of the repair it asks for at once
     * @param unsureWhile id of the cause while which is likely, "don't know" counts as this answer's alarm
     * @param needs stages without which it cannot be; empty where it always can
     */
    public record Answer(
            String id,
            String words,
            double leak,
            Optional<String> alarm,
            Optional<String> unsureWhile,
            Set<StageKind> needs) {
        public Answer {
            needs = Set.copyOf(needs);
        }
    }

    /** Place of an answer; empty for an unknown one. */
    public Optional<Integer> place(String answer) {
        for (int i = 0; i < answers.size(); i++) {
            if (answers.get(i).id().equals(answer)) {
                return Optional.of(i);
            }
        }
        return Optional.empty();
    }

    boolean hasAlarm() {
        return answers.stream().anyMatch(answer -> answer.alarm().isPresent());
    }

    /** Whether it can be asked of a filter under a complaint. */
    public boolean offered(FilterHistory history, String complaint) {
        return fits.fits(history) && (complaints.isEmpty() || complaints.contains(complaint));
    }

    boolean onKind(FilterKind kind) {
        return fits.kinds().contains(kind);
    }

    /** How likely an answer is under a cause. */
    public double likely(String cause, int answer) {
        List<Double> row = rows.get(cause);
        return row == null ? answers.get(answer).leak() : row.get(answer);
    }

    /** The same with other rows. */
    public Question with(Map<String, List<Double>> others) {
        return new Question(id, ask, caution, fits, complaints, cost, answers, others, reads, because);
    }
}
