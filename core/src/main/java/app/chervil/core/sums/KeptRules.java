package app.chervil.core.sums;

import java.util.Map;
import java.util.Optional;

/**
 * Rules of thumb that a site keeps in place of ours.
 *
 * @param values by key: {@code <sum>.<field>}, or one of {@link RuleBook}
 */
public record KeptRules(Map<String, Double> values) {
    public static final KeptRules NONE = new KeptRules(Map.of());

    public KeptRules {
        values = Map.copyOf(values);
    }

    Optional<Double> kept(String key) {
        return Optional.ofNullable(values.get(key));
    }
}
