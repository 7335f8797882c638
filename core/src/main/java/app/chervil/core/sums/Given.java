package app.chervil.core.sums;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.function.DoubleUnaryOperator;

/** What a sum was given, checked against its fields. */
final class Given {
    private final Map<String, ?> values;
    private final List<Field> fields;
    private final Sum.RulesOf rules;

    Given(Map<String, ?> values, List<Field> fields, Sum.RulesOf rules) {
        this.values = values;
        this.fields = fields;
        this.rules = rules;
    }

    // ---- checking

    /** The first field at fault: those that stand alone, then lists, each in order. */
    Optional<Refused> atFault() {
        List<Field> inOrder =
                new ArrayList<>(fields.stream().filter(field -> !isList(field)).toList());
        fields.stream().filter(Given::isList).forEach(inOrder::add);
        return inOrder.stream().flatMap(field -> fault(field).stream()).findFirst();
    }

    private static boolean isList(Field field) {
        return field.type() == Field.Type.ROWS || field.type() == Field.Type.NUMBERS;
    }

    private Optional<Refused> fault(Field field) {
        Object value = values.get(field.name());
        if (value == null) {
            return field.needed() ? Optional.of(Refused.missing(field)) : Optional.empty();
        }
        return isList(field) ? faultOfList(field, value) : faultOf(field, field.name(), value);
    }

    private static Optional<Refused> faultOf(Field field, String path, Object value) {
        boolean fits =
                switch (field.type()) {
                    case NUMBER -> value instanceof Number number && fits(field, number.doubleValue());
                    case WORD -> value instanceof String word && field.words().contains(word);
                    case FLAG -> value instanceof Boolean;
                    case NUMBERS, ROWS -> false;
                };
        return fits ? Optional.empty() : Optional.of(new Refused(Refused.Code.RANGE, path));
    }

    private static boolean fits(Field field, double value) {
        return value >= field.least()
                && value <= field.most()
                && (!field.measure().isWhole() || value == Math.rint(value));
    }

    private Optional<Refused> faultOfList(Field field, Object value) {
        if (!(value instanceof List<?> list)) {
            return Optional.of(Refused.range(field));
        }
        if (list.isEmpty() && field.needed()) {
            return Optional.of(Refused.missing(field));
        }
        if (list.size() < field.least() || list.size() > field.most()) {
            return Optional.of(Refused.range(field));
        }
        for (int index = 0; index < list.size(); index++) {
            Optional<Refused> fault = faultOfRow(field, field.name() + "[" + index + "]", list.get(index));
            if (fault.isPresent()) {
                return fault;
            }
        }
        return Optional.empty();
    }

    private Optional<Refused> faultOfRow(Field field, String path, Object row) {
        if (field.type() == Field.Type.NUMBERS) {
            return faultOf(field.row().get(0), path, row);
        }
        if (!(row instanceof Map<?, ?> map)) {
            return Optional.of(new Refused(Refused.Code.RANGE, path));
        }
        return inRow(field, map).atFault().map(refused -> new Refused(refused.code(), path + "." + refused.field()));
    }

    @SuppressWarnings("unchecked") // names of fields are strings, whatever stands in them is checked
    private Given inRow(Field field, Map<?, ?> row) {
        return new Given((Map<String, ?>) row, field.row(), rules);
    }

    // ---- reading

    boolean has(Field field) {
        return values.get(field.name()) != null;
    }

    /** What was given, else what the site keeps, else what the field says; only of fields that have one of these. */
    double number(Field field) {
        return maybe(field).orElseThrow(() -> new IllegalStateException(field.name() + " is not given"));
    }

    OptionalDouble maybe(Field field) {
        Object value = values.get(field.name());
        if (value == null) {
            value = rules.kept(field.name())
                    .map(Object.class::cast)
                    .or(field::otherwise)
                    .orElse(null);
        }
        return value instanceof Number number ? OptionalDouble.of(number.doubleValue()) : OptionalDouble.empty();
    }

    /** What follows from a field; nothing if it is not given. */
    OptionalDouble following(Field field, DoubleUnaryOperator sum) {
        return has(field) ? OptionalDouble.of(sum.applyAsDouble(number(field))) : OptionalDouble.empty();
    }

    double or(Field field, double otherwise) {
        return maybe(field).orElse(otherwise);
    }

    int count(Field field) {
        return (int) Math.round(number(field));
    }

    boolean is(Field field) {
        Object value = values.get(field.name());
        return Boolean.TRUE.equals(value == null ? field.otherwise().orElse(false) : value);
    }

    String word(Field field) {
        Object value = values.get(field.name());
        return String.valueOf(value == null ? field.otherwise().orElse("") : value);
    }

    <E extends Enum<E>> E word(Field field, Class<E> of) {
        return Enum.valueOf(of, word(field));
    }

    List<Given> rows(Field field) {
        List<Given> rows = new ArrayList<>();
        if (values.get(field.name()) instanceof List<?> list) {
            for (Object row : list) {
                rows.add(inRow(field, (Map<?, ?>) row));
            }
        }
        return rows;
    }

    List<Double> numbers(Field field) {
        List<Double> numbers = new ArrayList<>();
        if (values.get(field.name()) instanceof List<?> list) {
            list.forEach(number -> numbers.add(((Number) number).doubleValue()));
        }
        return numbers;
    }

    /** A rule that several sums share, or ours. */
    double shared(RuleBook.Entry rule) {
        return rules.anywhere(rule.key()).orElse(rule.ours());
    }
}
