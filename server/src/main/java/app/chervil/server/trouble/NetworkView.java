package app.chervil.server.trouble;

import app.chervil.core.filter.CareAction;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.trouble.Bearing;
import app.chervil.core.trouble.Cause;
import app.chervil.core.trouble.Complaint;
import app.chervil.core.trouble.Cost;
import app.chervil.core.trouble.Exit;
import app.chervil.core.trouble.Feature;
import app.chervil.core.trouble.Modifier;
import app.chervil.core.trouble.Network;
import app.chervil.core.trouble.Peril;
import app.chervil.core.trouble.Question;
import app.chervil.core.trouble.Repair;
import com.fasterxml.jackson.annotation.JsonInclude;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/** The finder's network as it is served, for a browser that goes on asking without a connection. */
@JsonInclude(JsonInclude.Include.NON_NULL)
public record NetworkView(
        Map<String, Double> judged,
        List<ComplaintView> complaints,
        List<PerilView> perils,
        List<CauseView> causes,
        List<QuestionView> questions,
        List<RepairView> repairs) {

    /** {@link Complaint}. */
    public record ComplaintView(String id, String words, List<FilterKind> kinds, List<String> perils) {}

    /** {@link Peril}. */
    public record PerilView(String id, String ask, List<AnswerView> answers, double minutes, String stop, Exit exit) {}

    /** {@link Cause}. */
    public record CauseView(
            String id,
            String words,
            List<FilterKind> kinds,
            List<StageKind> needs,
            double rate,
            Map<String, Double> shows,
            List<ModifierView> modifiers,
            String repair,
            Map<FilterKind, String> repairs,
            Bearing counts,
            double power,
            String because) {}

    /**
     * {@link Modifier}.
     *
     * @param form HAZARD, LEVEL, RECENT, FLAG, STEP or GRADE
     * @param by feature or tag it goes by
     * @param numbers hazard: scale, power, low, high; level: mid, width, low, high; recent: times, half-life; flag: yes, no;
     *     step: from, above, below; grade: one each
     * @param unless what a no says
     */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record ModifierView(
            String form,
            String by,
            List<Double> numbers,
            String why,
            @Nullable String unless) {}

    /** {@link Question}. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record QuestionView(
            String id,
            String ask,
            @Nullable String caution,
            List<FilterKind> kinds,
            List<StageKind> needs,
            List<String> complaints,
            CostView cost,
            List<AnswerView> answers,
            Map<String, List<Double>> rows,
            @Nullable String reads,
            String because) {}

    /** {@link Question.Answer}. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record AnswerView(
            String id,
            String words,
            double leak,
            @Nullable String alarm,
            @Nullable String unsureWhile,
            List<StageKind> needs) {}

    /** {@link Cost}. */
    public record CostView(
            double minutes,
            Map<FilterKind, Double> byKind,
            int disturbance,
            boolean pumpOff,
            boolean buys,
            boolean slow) {}

    /** {@link Repair}. */
    @JsonInclude(JsonInclude.Include.NON_NULL)
    public record RepairView(
            String id,
            String words,
            @Nullable String caution,
            CostView cost,
            @Nullable Exit exit,
            @Nullable CareAction action,
            @Nullable StageKind stage) {}

    static NetworkView of(Network network) {
        Map<String, Double> judged = new TreeMap<>();
        network.judged().forEach((judgement, value) -> judged.put(judgement.id(), value.is()));
        return new NetworkView(
                judged,
                network.complaints().stream()
                        .map(one -> new ComplaintView(one.id(), one.words(), sorted(one.kinds()), one.perils()))
                        .toList(),
                network.perils().stream().map(NetworkView::peril).toList(),
                network.causes().stream().map(NetworkView::cause).toList(),
                network.questions().stream().map(NetworkView::question).toList(),
                network.repairs().stream().map(NetworkView::repair).toList());
    }

    private static PerilView peril(Peril peril) {
        return new PerilView(
                peril.id(), peril.ask(), answers(peril.answers()), peril.minutes(), peril.stop(), peril.exit());
    }

    private static CauseView cause(Cause cause) {
        return new CauseView(
                cause.id(),
                cause.words(),
                sorted(cause.fits().kinds()),
                sorted(cause.fits().needs()),
                cause.rate(),
                new TreeMap<>(cause.shows()),
                cause.modifiers().stream().map(NetworkView::modifier).toList(),
                cause.repairs().usual(),
                new TreeMap<>(cause.repairs().byKind()),
                cause.repairs().counts(),
                cause.danger().power(),
                cause.because());
    }

    private static ModifierView modifier(Modifier modifier) {
        if (modifier instanceof Modifier.Hazard one) {
            List<Double> numbers = List.of(
                    one.scale(), one.power(), one.range().low(), one.range().high());
            return of("HAZARD", one.feature(), numbers, one);
        } else if (modifier instanceof Modifier.Level one) {
            List<Double> numbers = List.of(
                    one.mid(), one.width(), one.range().low(), one.range().high());
            return of("LEVEL", one.feature(), numbers, one);
        } else if (modifier instanceof Modifier.Recent one) {
            return new ModifierView(
                    "RECENT", one.tag().name(), List.of(one.times(), one.halfLifeDays()), one.why(), null);
        } else if (modifier instanceof Modifier.Flag one) {
            return new ModifierView("FLAG", one.feature().id(), List.of(one.yes(), one.no()), one.why(), one.unless());
        } else if (modifier instanceof Modifier.Step one) {
            return of("STEP", one.feature(), List.of(one.from(), one.above(), one.below()), one);
        } else if (modifier instanceof Modifier.ByGrade one) {
            return of("GRADE", one.feature(), one.table(), one);
        }
        throw new IllegalArgumentException("no form of its own: " + modifier);
    }

    private static ModifierView of(String form, Feature feature, List<Double> numbers, Modifier modifier) {
        return new ModifierView(form, feature.id(), numbers, modifier.why(), null);
    }

    private static QuestionView question(Question question) {
        return new QuestionView(
                question.id(),
                question.ask(),
                question.caution().orElse(null),
                sorted(question.fits().kinds()),
                sorted(question.fits().needs()),
                sorted(question.complaints()),
                cost(question.cost()),
                answers(question.answers()),
                new TreeMap<>(question.rows()),
                question.reads().orElse(null),
                question.because());
    }

    private static List<AnswerView> answers(List<Question.Answer> answers) {
        return answers.stream()
                .map(one -> new AnswerView(
                        one.id(),
                        one.words(),
                        one.leak(),
                        one.alarm().orElse(null),
                        one.unsureWhile().orElse(null),
                        sorted(one.needs())))
                .toList();
    }

    private static CostView cost(Cost cost) {
        return new CostView(
                cost.minutes(),
                new TreeMap<>(cost.byKind()),
                cost.disturbance(),
                cost.pumpOff(),
                cost.buys(),
                cost.slow());
    }

    private static RepairView repair(Repair repair) {
        return new RepairView(
                repair.id(),
                repair.words(),
                repair.caution().orElse(null),
                cost(repair.cost()),
                repair.exit().orElse(null),
                repair.task().map(Repair.Task::action).orElse(null),
                repair.task().flatMap(Repair.Task::stage).orElse(null));
    }

    private static <T extends Comparable<T>> List<T> sorted(Collection<T> values) {
        return values.stream().sorted().toList();
    }
}
