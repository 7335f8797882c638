package app.chervil.server.bench;

import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/** Bodies made from the schemas of the API document, and the same with one value in them replaced. */
public final class ApiExamples {
    /** Values that nobody should send, as JSON. */
    public static final List<String> NASTY = List.of(
            "null",
            "\"\\u0000\"",
            "\"\"",
            "\"+999999999-12-31\"",
            "\"1950-01-01\"",
            "\"2100-12-31\"",
            "\"1950-01-01T00:00:00Z\"",
            "\"2100-12-31T00:00:00Z\"",
            "\"NaN\"",
            "-1",
            "0",
            "0.5",
            "1e308",
            "1e15",
            "9223372036854775807",
            "true",
            "[]",
            "{}",
            "[null]",
            '"' + "x".repeat(100_000) + '"',
            "[" + "null,".repeat(7999) + "null]");

    private final JsonMapper json = JsonMapper.builder().build();
    private final JsonNode api;
    private final Map<String, Long> numbers;

    /**
     * Examples of one document.
     *
     * @param numbers what fields of these names hold, such as ids that exist
     */
    public ApiExamples(JsonNode api, Map<String, Long> numbers) {
        this.api = api;
        this.numbers = Map.copyOf(numbers);
    }

    /** A body of this schema. */
    public JsonNode of(JsonNode schema, String name) {
        if (schema.has("$ref")) {
            return of(api.at(schema.get("$ref").asString().substring(1)), name);
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(0);
        }
        for (String either : List.of("oneOf", "anyOf", "allOf")) {
            if (schema.has(either)) {
                return of(schema.get(either).get(0), name);
            }
        }
        String type = schema.path("type").isArray()
                ? schema.get("type").get(0).asString()
                : schema.path("type").asString("object");
        return switch (type) {
            case "object" -> object(schema);
            case "array" -> json.createArrayNode().add(of(schema.get("items"), name));
            case "boolean" -> json.getNodeFactory().booleanNode(false);
            case "integer" -> json.getNodeFactory().numberNode(whole(name, schema));
            case "number" ->
                json.getNodeFactory()
                        .numberNode(Math.max(1, schema.path("minimum").asDouble(1)));
            default ->
                json.getNodeFactory()
                        .stringNode(text(name, schema.path("format").asString("")));
        };
    }

    private JsonNode object(JsonNode schema) {
        ObjectNode made = json.createObjectNode();
        schema.path("properties").properties().forEach(one -> made.set(one.getKey(), of(one.getValue(), one.getKey())));
        return made;
    }

    private long whole(String name, JsonNode schema) {
        return numbers.getOrDefault(name, Math.max(1, schema.path("minimum").asLong(1)));
    }

    private static String text(String name, String format) {
        return switch (format) {
            case "date" -> "2026-06-01";
            case "date-time" -> "2026-06-01T08:00:00Z";
            case "uuid" -> UUID.randomUUID().toString();
            default ->
                switch (name) {
                    case "parameter" -> "NITRATE";
                    case "zone" -> "Europe/Oslo";
                    case "time" -> "18:00";
                    case "csv" -> "taken_at,parameter,value\n2026-06-01T08:00:00Z,NITRATE,5";
                    case "kind" -> "WATER_CHANGE";
                    default -> name.isEmpty() ? "x" : name;
                };
        };
    }

    /** Every place in a body, the whole first. */
    public static List<String> pointers(JsonNode body) {
        return pointers(body, "", new ArrayList<>());
    }

    private static List<String> pointers(JsonNode body, String at, List<String> found) {
        found.add(at);
        if (body.isObject()) {
            body.properties().forEach(one -> pointers(one.getValue(), at + '/' + one.getKey(), found));
        } else if (body.isArray()) {
            for (int index = 0; index < body.size(); index++) {
                pointers(body.get(index), at + '/' + index, found);
            }
        }
        return found;
    }

    /** The body with another value at a place. */
    public String with(JsonNode body, String pointer, String value) {
        if (pointer.isEmpty()) {
            return value;
        }
        JsonNode copy = body.deepCopy();
        int cut = pointer.lastIndexOf('/');
        JsonNode parent = copy.at(pointer.substring(0, cut));
        String name = pointer.substring(cut + 1);
        JsonNode given = json.readTree(value);
        if (parent instanceof ObjectNode object) {
            object.set(name, given);
        } else if (parent instanceof ArrayNode array) {
            array.set(Integer.parseInt(name), given);
        }
        return copy.toString();
    }
}
