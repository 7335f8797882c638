package app.chervil.server.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A filter put together, from the first part to the look an hour later. */
@ChervilTest
class SetUpApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    long filter;
    String path;

    @BeforeEach
    void begin() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        filter = site.canister(keeper, tank, "Weir", "2026-03-01").get("id").asLong();
        path = "/api/guided-services/" + UUID.randomUUID();
    }

    @Test
    void it_is_told_before_it_begins() throws Exception {
        JsonNode setUp = site.read(site.get(keeper, "/api/filters/" + filter + "/set-up"));

        assertThat(setUp.get("steps").valueStream().map(step -> step.get("id").asString()))
                .startsWith("count:filter", "gloves:filter")
                .endsWith("heater-on:filter", "finish:filter");
        assertThat(setUp.get("carry").valueStream().map(JsonNode::asString)).contains("Scissors");
    }

    @Test
    void once_it_runs_its_clocks_start_its_flow_is_kept_and_its_joints_are_looked_at_again() throws Exception {
        start();
        send("FLOW_AFTER", "flow-after:filter", "820");
        send("DONE", "start:filter", "");
        finish().andExpect(status().isOk());

        site.get(keeper, "/api/filters/" + filter)
                .andExpect(jsonPath("$.cleaned.on").value("2026-06-01"))
                .andExpect(jsonPath("$.cleaned.sureness").value("EXACT"));
        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$..note").value(org.hamcrest.Matchers.hasItem("Set up and started.")))
                .andExpect(jsonPath("$..afterLph").value(org.hamcrest.Matchers.hasItem(820.0)));
        // noon now: in an hour is today, in a day is not
        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.looks.length()").value(1))
                .andExpect(jsonPath("$.looks[0].words").value("Press dry paper round every joint of Weir."))
                .andExpect(jsonPath("$.looks[0].dueAt").value("2026-06-01T13:00:00Z"));
    }

    @Test
    void a_look_is_ticked_and_the_tick_taken_back() throws Exception {
        start();
        send("DONE", "start:filter", "");
        finish();
        String look = "/api/follow-ups/"
                + site.read(site.get(keeper, "/api/rounds"))
                        .get("looks")
                        .get(0)
                        .get("id")
                        .asString() + "/done";

        site.put(keeper, look, "").andExpect(status().isNoContent());
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks").isEmpty());

        site.delete(keeper, look).andExpect(status().isNoContent());
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks.length()").value(1));
        site.put(site.keeper(), look, "").andExpect(status().isNotFound());
    }

    @Test
    void taken_out_of_the_log_it_asks_for_no_look_and_put_back_it_asks_again() throws Exception {
        start();
        send("DONE", "start:filter", "");
        String log = "/api/services/"
                + site.read(finish().andExpect(status().isOk()))
                        .get("service")
                        .get("id")
                        .asString();
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks.length()").value(1));

        site.delete(keeper, log).andExpect(status().isNoContent());
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks").isEmpty());

        site.post(keeper, log + "/restore", "").andExpect(status().isOk());
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks.length()").value(1));
    }

    @Test
    void what_never_started_starts_no_clock() throws Exception {
        start();
        send("DONE", "count:filter", "");
        site.post(keeper, path + "/finish", """
                {"note": "A ring is missing.", "leftOffReason": "", "parts": []}""").andExpect(status().isOk());

        site.get(keeper, "/api/filters/" + filter)
                .andExpect(jsonPath("$.cleaned.on").value("2026-03-01"));
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks").isEmpty());
    }

    @Test
    void new_rings_ask_for_dry_joints_as_a_set_up_does() throws Exception {
        JsonNode sealed = site.read(site.post(
                keeper,
                "/api/tanks/" + tank + "/filters",
                TestSite.canister("Creek", "2026-03-01")
                        .replace("\"stages\": [", "\"stages\": [" + TestSite.stage("SEALS", "WASHABLE") + ", ")));
        site.put(keeper, path, """
                {"filterId": %d, "tasks": [%d], "chores": []}""".formatted(sealed.get("id").asLong(), TestSite.task(sealed, "Replace the seals")))
                .andExpect(status().isOk());
        String ring = "rings-in:" + sealed.get("stages").get(0).get("id").asLong();
        send("DONE", ring, "");
        finish().andExpect(status().isOk());

        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.looks[0].words").value("Press dry paper round every joint of Creek."));
    }

    @Test
    void a_set_up_takes_no_tasks() throws Exception {
        start();

        site.post(keeper, path + "/events", events("TASK_ADDED", "", "1"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("no-tasks-here"));
    }

    private void start() throws Exception {
        site.put(keeper, path, """
                {"filterId": %d, "tasks": [], "chores": [], "occasion": "SET_UP"}""".formatted(filter))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.occasion").value("SET_UP"));
    }

    private void send(String kind, String step, String value) throws Exception {
        site.post(keeper, path + "/events", events(kind, step, value)).andExpect(status().isOk());
    }

    private static String events(String kind, String step, String value) {
        return """
                {"events": [{"id": "%s", "happenedAt": "2026-06-01T11:00:00Z", "kind": "%s", "step": "%s", "value": "%s"}]}""".formatted(UUID.randomUUID(), kind, step, value);
    }

    private org.springframework.test.web.servlet.ResultActions finish() throws Exception {
        return site.post(keeper, path + "/finish", "{\"note\": \"\", \"leftOffReason\": \"\", \"parts\": []}");
    }
}
