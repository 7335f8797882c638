package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ArrayNode;
import tools.jackson.databind.node.ObjectNode;

/**
 * Walks every operation of the API document. Each body is built from its schema, sent, then sent again with every value in
 * it replaced in turn by values that nobody should send. Nothing may fail on our side, take long, or leave something
 * behind that makes a later question fail.
 */
@ChervilTest
class EveryInputTest {
    private static final Duration LONGEST = Duration.ofSeconds(2);
    private static final List<String> NASTY = List.of(
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
            "[null]");

    private static final String LONG_TEXT = '"' + "x".repeat(100_000) + '"';
    private static final String LONG_LIST = "[" + "null,".repeat(7999) + "null]";

    @Autowired
    TestSite site;

    @Autowired
    MockMvc mvc;

    private final JsonMapper json = JsonMapper.builder().build();
    private final List<String> failures = new ArrayList<>();
    private final List<String> refused = new ArrayList<>();
    private SignedIn keeper;
    private long tank;
    private long canister;
    private long task;
    private JsonNode api;
    private int sent;
    private int kept;

    @Test
    void no_value_anywhere_makes_the_server_fail() throws Exception {
        api = json.readTree(Files.readString(Path.of("openapi.json")));
        keeper = site.keeper();
        tank = site.tank(keeper);
        JsonNode made = site.canister(keeper, tank, "Weir", "2026-03-01");
        canister = made.get("id").asLong();
        task = made.get("tasks").get(0).get("id").asLong();

        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                if (!path.getKey().matches("/api/(session|setup|demo-session.*)")) {
                    walk(operation.getKey(), path.getKey(), operation.getValue());
                }
            }
        }
        everyQuestionStillAnswers();

        System.out.printf(
                "%d requests of %d operations, %d kept%n",
                sent, api.get("paths").size(), kept);
        assertThat(failures).isEmpty();
        assertThat(sent).isGreaterThan(4000);
        assertThat(kept).as("bodies that were good enough to be kept").isGreaterThan(100);
    }

    private void walk(String method, String path, JsonNode operation) throws Exception {
        JsonNode content = operation.at("/requestBody/content");
        if (!content.has("application/json")) {
            for (String parameter :
                    List.of("", "-1", "0", "0.5", "9223372036854775808", "x", "+999999999-12-31", "%F0%28")) {
                send(method, filled(path, operation, parameter), "");
            }
            return;
        }
        JsonNode body = example(content.at("/application~1json/schema"), "");
        int keptBefore = kept;
        send(method, filled(path, operation, ""), body.toString());
        if (kept == keptBefore) {
            refused.add(method + ' ' + path);
        }
        for (String pointer : pointers(body, "", new ArrayList<>())) {
            for (String nasty : NASTY) {
                send(method, filled(path, operation, ""), with(body, pointer, nasty));
            }
            send(method, filled(path, operation, ""), with(body, pointer, LONG_TEXT));
            send(method, filled(path, operation, ""), with(body, pointer, LONG_LIST));
        }
    }

    /** The address with ids that exist; a given value replaces every one of them, and all that follows the question mark. */
    private String filled(String path, JsonNode operation, String value) {
        String address = path;
        StringBuilder query = new StringBuilder();
        for (JsonNode parameter : operation.path("parameters")) {
            String name = parameter.get("name").asString();
            String given = value.isEmpty() ? usual(name, parameter.get("schema")) : value;
            if (parameter.get("in").asString().equals("path")) {
                address = address.replace("{" + name + "}", given);
            } else {
                query.append(query.isEmpty() ? '?' : '&')
                        .append(name)
                        .append('=')
                        .append(URLEncoder.encode(given, StandardCharsets.UTF_8));
            }
        }
        return address + query;
    }

    private String usual(String name, JsonNode schema) {
        return switch (name) {
            case "tank" -> "" + tank;
            case "filter" -> "" + canister;
            case "task", "tasks" -> "" + task;
            case "account" -> "" + keeper.accountId();
            default -> {
                JsonNode made = example(schema, name);
                yield (made.isArray() ? made.get(0) : made).asString();
            }
        };
    }

    private void send(String method, String address, String body) throws Exception {
        Instant before = Instant.now();
        int status;
        try {
            status = mvc.perform(request(HttpMethod.valueOf(method.toUpperCase()), URI.create(address))
                            .with(csrf())
                            .with(authentication(
                                    UsernamePasswordAuthenticationToken.authenticated(keeper, null, List.of())))
                            .contentType(MediaType.APPLICATION_JSON)
                            .content(body))
                    .andReturn()
                    .getResponse()
                    .getStatus();
        } catch (Exception thrown) {
            failures.add(said(method, address, body) + " threw " + thrown);
            return;
        }
        sent++;
        kept += status < 300 && !body.isEmpty() ? 1 : 0;
        if (status >= 500) {
            failures.add(said(method, address, body) + " answered " + status);
        }
        if (Duration.between(before, Instant.now()).compareTo(LONGEST) > 0) {
            failures.add(said(method, address, body) + " took over " + LONGEST);
        }
    }

    private static String said(String method, String address, String body) {
        return method + ' ' + address + ' ' + body.substring(0, Math.min(body.length(), 400));
    }

    private void everyQuestionStillAnswers() throws Exception {
        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            if (path.getValue().has("get")) {
                send("get", filled(path.getKey(), path.getValue().get("get"), ""), "");
            }
        }
    }

    private String with(JsonNode body, String pointer, String value) {
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

    private JsonNode example(JsonNode schema, String name) {
        if (schema.has("$ref")) {
            return example(api.at(schema.get("$ref").asString().substring(1)), name);
        }
        if (schema.has("enum")) {
            return schema.get("enum").get(0);
        }
        for (String either : List.of("oneOf", "anyOf", "allOf")) {
            if (schema.has(either)) {
                return example(schema.get(either).get(0), name);
            }
        }
        String type = schema.path("type").isArray()
                ? schema.get("type").get(0).asString()
                : schema.path("type").asString("object");
        return switch (type) {
            case "object" -> object(schema);
            case "array" -> json.createArrayNode().add(example(schema.get("items"), name));
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
        schema.path("properties")
                .properties()
                .forEach(one -> made.set(one.getKey(), example(one.getValue(), one.getKey())));
        return made;
    }

    private long whole(String name, JsonNode schema) {
        return switch (name) {
            case "tankId" -> tank;
            case "filterId" -> canister;
            case "taskId", "tasks" -> task;
            case "accountId" -> keeper.accountId();
            default -> Math.max(1, schema.path("minimum").asLong(1));
        };
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
}
