package app.chervil.core.sums;

import java.lang.reflect.Method;
import java.lang.reflect.RecordComponent;
import java.util.Arrays;
import java.util.Collection;
import java.util.Collections;
import java.util.EnumSet;
import java.util.LinkedHashMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.OptionalInt;
import java.util.OptionalLong;
import java.util.Set;
import java.util.TreeSet;

/**
 * An answer.
 *
 * @param result its values, unrounded
 * @param warnings in alphabetical order
 */
public record Solved(Record result, Set<Warning> warnings) implements Outcome {
    /** How the values of a kind of answer are named and read, in their order; looked up by reflection once. */
    private static final ClassValue<Map<String, Method>> PARTS = new ClassValue<>() {
        @Override
        protected Map<String, Method> computeValue(Class<?> kind) {
            Map<String, Method> parts = new LinkedHashMap<>();
            for (RecordComponent component : kind.getRecordComponents()) {
                parts.put(nameOf(component), component.getAccessor());
            }
            return Collections.unmodifiableMap(parts);
        }
    };

    public Solved {
        warnings = Set.copyOf(warnings);
    }

    static Solved of(Record result, Watchful watchful) {
        return new Solved(result, watchful.said);
    }

    static Solved of(Record result) {
        return new Solved(result, Set.of());
    }

    /** The values by name; what cannot be known or was not asked is left out. */
    public Map<String, Object> values() {
        Map<String, Object> values = new LinkedHashMap<>();
        PARTS.get(result.getClass())
                .forEach((name, part) -> plain(read(part)).ifPresent(value -> values.put(name, value)));
        return values;
    }

    /** Warnings in alphabetical order. */
    public Collection<Warning> warningsInOrder() {
        return new TreeSet<>(warnings);
    }

    /** How the API spells a value. */
    public static String nameOf(RecordComponent component) {
        Says says = component.getAnnotation(Says.class);
        return says == null || says.name().isEmpty() ? component.getName() : says.name();
    }

    private Object read(Method part) {
        try {
            return part.invoke(result);
        } catch (ReflectiveOperationException impossible) {
            throw new IllegalStateException(impossible);
        }
    }

    private static Optional<Object> plain(Object value) {
        if (value instanceof OptionalDouble number) {
            return number.isPresent() ? Optional.of(number.getAsDouble()) : Optional.empty();
        }
        if (value instanceof OptionalInt count) {
            return count.isPresent() ? Optional.of(count.getAsInt()) : Optional.empty();
        }
        if (value instanceof OptionalLong count) {
            return count.isPresent() ? Optional.of(count.getAsLong()) : Optional.empty();
        }
        return value instanceof Optional<?> other ? other.map(Object.class::cast) : Optional.of(value);
    }

    /** Gathers warnings. */
    static final class Watchful {
        private final Set<Warning> said = EnumSet.noneOf(Warning.class);

        Watchful when(boolean so, Warning warning) {
            if (so) {
                said.add(warning);
            }
            return this;
        }

        static Watchful over(Warning... warnings) {
            Watchful watchful = new Watchful();
            watchful.said.addAll(Arrays.asList(warnings));
            return watchful;
        }
    }
}
