package app.chervil.core.trouble;

import app.chervil.core.calc.Check;
import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import java.util.EnumMap;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;

/**
 * What is known of a filter before the first question.
 *
 * @param stages it has
 * @param touched days ago, fractions allowed; missing where it was not
 * @param features each may be missing; longer ones are clamped ({@link Feature})
 */
public record FilterHistory(
        FilterKind kind,
        Set<StageKind> stages,
        Map<Touch, Double> touched,
        Map<Feature, Double> features,
        Readings readings) {
    /**
     * Refuses what cannot be.
     *
     * @throws IllegalArgumentException if a number is NaN, infinite, negative (days in the future), or no whole grade
     */
    public FilterHistory {
        stages = Set.copyOf(stages);
        touched.forEach((tag, days) -> Check.notNegative("touched." + tag, days));
        touched = Map.copyOf(touched);
        Map<Feature, Double> counted = new EnumMap<>(Feature.class);
        features.forEach((feature, value) -> counted.put(feature, feature.counted(value)));
        features = Map.copyOf(counted);
    }

    /**
     * Read within the last day.
     *
     * @param flowShare flow now ÷ clean flow
     * @param ammonia in mg/L
     */
    public record Readings(OptionalDouble flowShare, Optional<Level> level, OptionalDouble ammonia) {
        public static final Readings NONE =
                new Readings(OptionalDouble.empty(), Optional.empty(), OptionalDouble.empty());

        public Readings {
            flowShare.ifPresent(share -> Check.notNegative("readings.flowRatio", share));
            ammonia.ifPresent(amount -> Check.notNegative("readings.ammonia", amount));
        }
    }

    /** Where the water stands. */
    public enum Level {
        MARK("mark"),
        BELOW("below"),
        ABOVE("above");

        private final String id;

        Level(String id) {
            this.id = id;
        }

        /** Its name in the network. */
        public String id() {
            return id;
        }
    }

    /** A filter of which only what it is made of is known. */
    public static FilterHistory unknown(FilterKind kind, Set<StageKind> stages) {
        return new FilterHistory(kind, stages, Map.of(), Map.of(), Readings.NONE);
    }

    OptionalDouble of(Feature feature) {
        return of(features, feature);
    }

    OptionalDouble daysSince(Touch tag) {
        return of(touched, tag);
    }

    private static <K> OptionalDouble of(Map<K, Double> known, K key) {
        return known.containsKey(key) ? OptionalDouble.of(known.get(key)) : OptionalDouble.empty();
    }
}
