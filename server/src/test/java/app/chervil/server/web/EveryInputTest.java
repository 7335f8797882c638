package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.authentication;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import app.chervil.server.bench.ApiExamples;
import java.net.URI;
import java.net.URLEncoder;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.security.authentication.UsernamePasswordAuthenticationToken;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/**
 * Walks every operation of the API document. Each body is built from its schema, sent, then sent again with every value in
 * it replaced in turn by values that nobody should send. Nothing may fail on our side or leave something behind that makes
 * a later question fail. Each value meets every sixth of them, each operation all; {@code -Dchervil.thorough=true} lets all
 * meet all, as {@code ./chervil bench doors} does.
 */
@ChervilTest
class EveryInputTest {
    private static final int EVERY = Boolean.getBoolean("chervil.thorough") ? 1 : 6;

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
    private ApiExamples examples;
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

        examples = new ApiExamples(
                api,
                Map.of(
                        "tankId",
                        tank,
                        "filterId",
                        canister,
                        "taskId",
                        task,
                        "tasks",
                        task,
                        "accountId",
                        keeper.accountId()));

        for (Map.Entry<String, JsonNode> path : api.get("paths").properties()) {
            for (Map.Entry<String, JsonNode> operation : path.getValue().properties()) {
                if (!path.getKey().matches("/api/(session.*|setup|demo-session.*|joining|recovery|own/.*|site/.*)")) {
                    walk(operation.getKey(), path.getKey(), operation.getValue());
                }
            }
        }
        everyQuestionStillAnswers();

        System.out.printf(
                "%d requests of %d operations, %d kept%n",
                sent, api.get("paths").size(), kept);
        assertThat(failures).isEmpty();
        assertThat(sent).isGreaterThan(EVERY == 1 ? 12_000 : 2000);
        assertThat(kept).as("bodies that were good enough to be kept").isGreaterThan(EVERY == 1 ? 100 : 20);
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
        JsonNode body = examples.of(content.at("/application~1json/schema"), "");
        int keptBefore = kept;
        send(method, filled(path, operation, ""), body.toString());
        if (kept == keptBefore) {
            refused.add(method + ' ' + path);
        }
        int turn = 0;
        for (String pointer : ApiExamples.pointers(body)) {
            turn++;
            for (int nasty = turn % EVERY; nasty < ApiExamples.NASTY.size(); nasty += EVERY) {
                send(method, filled(path, operation, ""), examples.with(body, pointer, ApiExamples.NASTY.get(nasty)));
            }
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
                JsonNode made = examples.of(schema, name);
                yield (made.isArray() ? made.get(0) : made).asString();
            }
        };
    }

    private void send(String method, String address, String body) throws Exception {
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
}
