package app.chervil.core.sums;

import java.util.List;
import java.util.Map;
import java.util.Optional;

/** One sum of the bench. Pure: the same values give the same answer. */
public abstract class Sum {
    private final String name;
    private final List<Field> fields;
    private final Class<? extends Record> result;

    /**
     * Declares a sum.
     *
     * @param name as the API spells it
     * @param result what it answers with; its components say their measure by {@link Says}
     * @param fields in the order in which they are checked and asked
     */
    Sum(String name, Class<? extends Record> result, Field... fields) {
        this.name = name;
        this.result = result;
        this.fields = List.of(fields);
    }

    public final String name() {
        return name;
    }

    public final List<Field> fields() {
        return fields;
    }

    /** What it answers with. */
    public final Class<? extends Record> result() {
        return result;
    }

    /** Works it out with the rules of thumb everybody has. */
    public final Outcome of(Map<String, ?> values) {
        return of(values, KeptRules.NONE);
    }

    /**
     * Works it out.
     *
     * @param values by the names of the fields: numbers, words, flags, lists of numbers, lists of maps; what is missing or null
     *     is taken from the rules or, failing those, from the field
     * @param rules a site keeps in place of ours
     * @return the answer, or the first field at fault in the order of the fields
     */
    public final Outcome of(Map<String, ?> values, KeptRules rules) {
        Given given = new Given(values, fields, new RulesOf(name, rules));
        Optional<Refused> refused = given.atFault();
        return refused.isPresent() ? refused.get() : solve(given);
    }

    abstract Outcome solve(Given given);

    /** Rules of a site as one sum looks them up. */
    record RulesOf(String sum, KeptRules rules) {
        Optional<Double> kept(String field) {
            return rules.kept(sum + "." + field);
        }

        Optional<Double> anywhere(String key) {
            return rules.kept(key);
        }
    }
}
