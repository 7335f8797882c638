package app.chervil.server.trouble;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import app.chervil.core.trouble.Feature;
import app.chervil.core.trouble.FilterHistory;
import app.chervil.core.trouble.FilterHistory.Level;
import app.chervil.core.trouble.FilterHistory.Readings;
import app.chervil.core.trouble.Touch;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.Set;
import java.util.TreeMap;
import org.jspecify.annotations.Nullable;

/**
 * What was known of a filter when a case began; stored and served in this form.
 *
 * @param touched days ago, by what hands were on
 * @param features by their name in the network
 */
public record Known(
        FilterKind kind,
        List<StageKind> stages,
        Map<Touch, Double> touched,
        Map<String, Double> features,
        Read readings) {

    /**
     * Read within the last day; null where it was not.
     *
     * @param flowRatio flow ÷ clean flow
     * @param ammonia in mg/L
     */
    public record Read(
            @Nullable Double flowRatio,
            @Nullable Level waterLevel,
            @Nullable Double ammonia) {}

    static Known of(FilterHistory history) {
        Map<String, Double> features = new TreeMap<>();
        history.features().forEach((feature, value) -> features.put(feature.id(), value));
        Readings read = history.readings();
        return new Known(
                history.kind(),
                history.stages().stream().sorted().toList(),
                new TreeMap<>(history.touched()),
                features,
                new Read(nullable(read.flowShare()), read.level().orElse(null), nullable(read.ammonia())));
    }

    FilterHistory history() {
        Map<Feature, Double> known = new EnumMap<>(Feature.class);
        features.forEach((id, value) -> Feature.named(id).ifPresent(feature -> known.put(feature, value)));
        return new FilterHistory(
                kind,
                Set.copyOf(stages),
                touched,
                known,
                new Readings(
                        optional(readings.flowRatio()),
                        Optional.ofNullable(readings.waterLevel()),
                        optional(readings.ammonia())));
    }

    private static @Nullable Double nullable(OptionalDouble value) {
        return value.isPresent() ? value.getAsDouble() : null;
    }

    private static OptionalDouble optional(@Nullable Double value) {
        return value == null ? OptionalDouble.empty() : OptionalDouble.of(value);
    }
}
