package app.chervil.server.sums;

import app.chervil.core.sums.Basis;
import app.chervil.core.sums.Field;
import app.chervil.core.sums.KeptRules;
import app.chervil.core.sums.Measure;
import app.chervil.core.sums.Says;
import app.chervil.core.sums.Solved;
import app.chervil.core.sums.Sum;
import app.chervil.core.sums.Warning;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.List;
import java.util.Map;
import org.jspecify.annotations.Nullable;

/**
 * A sum and what it asks for.
 *
 * @param name by which it is asked
 * @param fields in the order in which they are asked
 * @param results what it answers with
 */
record SumView(String name, List<FieldView> fields, List<ResultView> results) {
    static SumView of(Sum sum, KeptRules rules) {
        List<FieldView> fields = sum.fields().stream()
                .map(field -> FieldView.of(field, sum.name() + "." + field.name(), rules))
                .toList();
        List<ResultView> results = Arrays.stream(sum.result().getRecordComponents())
                .map(ResultView::of)
                .toList();
        return new SumView(sum.name(), fields, results);
    }

    /**
     * One thing it asks for.
     *
     * @param least smallest number or fewest rows
     * @param most largest number or most rows
     * @param otherwise what is taken where nothing is said: the site's own rule, or ours
     * @param ours what would be taken without a rule of the site's
     * @param needed whether it is refused without
     * @param rule key under which a site may keep its own; absent where it may not
     * @param row fields of each row of a list
     */
    record FieldView(
            String name,
            Field.Type type,
            Measure measure,
            double least,
            double most,
            @Nullable Object otherwise,
            @Nullable Object ours,
            boolean needed,
            Basis basis,
            @Nullable String rule,
            List<String> words,
            List<FieldView> row) {
        static FieldView of(Field field, String key, KeptRules rules) {
            boolean mayKeep = field.basis() == Basis.RULE;
            Object ours = field.otherwise().orElse(null);
            Object kept = mayKeep ? rules.values().get(key) : null;
            return new FieldView(
                    field.name(),
                    field.type(),
                    field.measure(),
                    field.least(),
                    field.most(),
                    kept == null ? ours : kept,
                    ours,
                    field.needed(),
                    field.basis(),
                    mayKeep ? key : null,
                    field.words(),
                    field.row().stream()
                            .map(inRow -> of(inRow, key + "." + inRow.name(), rules))
                            .toList());
        }
    }

    /** One thing it answers with; a word or a list has no measure. */
    record ResultView(String name, @Nullable Measure measure) {
        static ResultView of(RecordComponent component) {
            Says says = component.getAnnotation(Says.class);
            return new ResultView(Solved.nameOf(component), says == null ? null : says.value());
        }
    }

    /**
     * An answer.
     *
     * @param values by name, unrounded; what cannot be known or was not asked is absent
     * @param warnings in alphabetical order
     */
    record SumAnswer(Map<String, Object> values, Collection<Warning> warnings) {
        static SumAnswer of(Solved solved) {
            return new SumAnswer(solved.values(), solved.warningsInOrder());
        }
    }

    /**
     * A rule of thumb.
     *
     * @param ours what we go by
     * @param kept what the site goes by; absent if as we do
     */
    record RuleView(
            String key,
            Measure measure,
            double ours,
            double least,
            double most,
            @Nullable Double kept) {}
}
