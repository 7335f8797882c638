package app.chervil.core.trouble;

import app.chervil.core.filter.FilterKind;
import app.chervil.core.filter.StageKind;
import java.io.IOException;
import java.io.InputStream;
import java.io.UncheckedIOException;
import java.util.Arrays;
import java.util.EnumMap;
import java.util.List;
import java.util.Map;
import java.util.Optional;
import java.util.OptionalDouble;
import java.util.stream.Collectors;
import java.util.stream.Stream;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Cases read from the worked examples. */
final class Cases {
    private static final JsonMapper JSON = JsonMapper.builder().build();

    private Cases() {}

    static Stream<JsonNode> vectors() {
        try (InputStream file = Cases.class.getResourceAsStream("/vectors/trouble.json")) {
            return JSON.readTree(file).get("vectors").valueStream();
        } catch (IOException broken) {
            throw new UncheckedIOException(broken);
        }
    }

    static JsonNode vector(String name) {
        return vectors()
                .filter(one -> one.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    static Standing standing(JsonNode vector) {
        return inquiry(vector).after(steps(vector));
    }

    static Inquiry inquiry(JsonNode vector) {
        return Inquiry.of(
                Network.standard(),
                history(vector.get("history")),
                vector.get("complaint").asString());
    }

    static FilterHistory history(JsonNode from) {
        Map<Touch, Double> touched = from.get("touched").properties().stream()
                .collect(Collectors.toMap(one -> Touch.valueOf(one.getKey()), one -> one.getValue()
                        .asDouble()));
        Map<Feature, Double> features = new EnumMap<>(Feature.class);
        from.properties().forEach(one -> Feature.named(one.getKey())
                .ifPresent(feature -> features.put(
                        feature,
                        one.getValue().isBoolean()
                                ? (one.getValue().asBoolean() ? 1.0 : 0.0)
                                : one.getValue().asDouble())));
        return new FilterHistory(
                FilterKind.valueOf(from.get("kind").asString()),
                from.get("stages")
                        .valueStream()
                        .map(stage -> StageKind.valueOf(stage.asString()))
                        .collect(Collectors.toSet()),
                touched,
                features,
                readings(from.get("readings")));
    }

    private static FilterHistory.Readings readings(JsonNode from) {
        return new FilterHistory.Readings(
                number(from, "flowRatio"),
                Optional.ofNullable(from.get("waterLevel"))
                        .map(level ->
                                FilterHistory.Level.valueOf(level.asString().toUpperCase(java.util.Locale.ROOT))),
                number(from, "ammonia"));
    }

    private static OptionalDouble number(JsonNode from, String name) {
        return from.has(name) ? OptionalDouble.of(from.get(name).asDouble()) : OptionalDouble.empty();
    }

    static List<Step> steps(JsonNode vector) {
        return vector.get("steps").valueStream().map(Cases::step).toList();
    }

    private static Step step(JsonNode from) {
        String about = from.get(1).asString();
        String value = from.get(2).asString();
        return switch (from.get(0).asString()) {
            case "danger" -> new Step.Asked(about, value);
            case "fix" -> new Step.Tried(about, outcome(value));
            default -> new Step.Answered(about, value);
        };
    }

    static Step.Outcome outcome(String id) {
        return Arrays.stream(Step.Outcome.values())
                .filter(one -> one.id().equals(id))
                .findFirst()
                .orElseThrow();
    }

    /** The next step as the vectors write it. */
    static String words(Next next) {
        if (next instanceof Next.AskDanger danger) {
            return "danger " + danger.peril().id();
        } else if (next instanceof Next.Ask ask) {
            return "test " + ask.question().id();
        } else if (next instanceof Next.Mend mend) {
            return "fix " + mend.repair().id();
        } else if (next instanceof Next.Stop stop) {
            return "stop " + stop.peril().exit();
        }
        return "stop solved";
    }
}
