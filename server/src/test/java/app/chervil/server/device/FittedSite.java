package app.chervil.server.device;

import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import app.chervil.server.procedure.GuidedOperations;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** A tank with a canister on which devices are fitted and speak, and the keeper who asks about them. */
abstract class FittedSite {
    @Autowired
    TestSite site;

    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcTemplate database;

    @Autowired
    Clock clock;

    @Autowired
    GuidedOperations guided;

    SignedIn keeper;
    long tank;
    JsonNode filter;

    /** A device that was fitted. */
    record Fitted(long id, String token) {}

    @BeforeEach
    void begin() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        filter = site.canister(keeper, tank, "Weir", "2026-05-01");
    }

    Fitted fit(String kind, String place) throws Exception {
        JsonNode made =
                site.read(site.post(keeper, "/api/devices", input(kind, place)).andExpect(status().isCreated()));
        return new Fitted(made.get("id").asLong(), made.get("token").asString());
    }

    String input(String kind, String place) {
        return """
                {"kind": "%s", "name": "%s of Weir", "tankId": %d, "fittedOn": "2026-05-01" %s}""".formatted(kind, kind, tank, place);
    }

    String onFilter() {
        return ", \"filterId\": " + filter.get("id").asLong();
    }

    String onStage() {
        return onFilter() + ", \"stageId\": "
                + filter.get("stages").get(0).get("id").asLong();
    }

    Instant ago(long minutes) {
        return clock.instant().minus(Duration.ofMinutes(minutes));
    }

    static String reading(Instant at, Object value) {
        return "{\"at\": \"" + at + "\", \"value\": " + value + "}";
    }

    ResultActions tell(String token, String... readings) throws Exception {
        return send(token, "{\"readings\": [" + String.join(",", readings) + "]}");
    }

    ResultActions send(String token, String body) throws Exception {
        return mvc.perform(post("/api/device-readings")
                .header("Authorization", "Bearer " + token)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    JsonNode alerts() throws Exception {
        return site.read(site.get(keeper, "/api/alerts")).get("alerts");
    }

    List<String> standing() throws Exception {
        return alerts().valueStream()
                .filter(alert -> !alert.has("endedAt"))
                .map(alert -> alert.get("alarm").asString())
                .toList();
    }

    String beginService() throws Exception {
        String service = "/api/guided-services/" + UUID.randomUUID();
        site.put(keeper, service, """
                        {"filterId": %d, "tasks": [%d], "chores": []}""".formatted(
                                filter.get("id").asLong(), TestSite.task(filter, "Rinse the pre-filter")))
                .andExpect(status().isOk());
        return service;
    }

    List<JsonNode> looks() throws Exception {
        return site.read(site.get(keeper, "/api/rounds"))
                .get("looks")
                .valueStream()
                .toList();
    }
}
