package app.chervil.server.procedure;

import static app.chervil.server.TestSite.task;
import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.not;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** Two filters of a tank in one go. */
@ChervilTest
class OneAfterTheOtherApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode creek;
    JsonNode lagoon;
    UUID first;

    @BeforeEach
    void two_canisters() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        creek = site.canister(keeper, tank, "Creek", "2026-03-01");
        lagoon = site.canister(keeper, tank, "Lagoon", "2026-03-01");
        first = UUID.randomUUID();
    }

    private static long rinse(JsonNode filter) {
        return task(filter, "Rinse the pre-filter");
    }

    private static long dip(JsonNode filter) {
        return task(filter, "Dip bio media");
    }

    private ResultActions start(UUID id, JsonNode filter, long task, String more) throws Exception {
        return site.put(keeper, "/api/guided-services/" + id, """
                {"filterId": %d, "tasks": [%d], "chores": []%s}""".formatted(
                        filter.get("id").asLong(), task, more));
    }

    private ResultActions startBoth() throws Exception {
        return start(first, creek, rinse(creek), ", \"then\": [" + rinse(lagoon) + "]");
    }

    private void did(UUID id, String step) throws Exception {
        site.post(keeper, "/api/guided-services/" + id + "/events", """
                        {"events": [{"id": "%s", "happenedAt": "2026-06-01T11:00:00Z", "kind": "DONE", "step": "%s", "value": ""}]}""".formatted(UUID.randomUUID(), step))
                .andExpect(status().isOk());
    }

    /** Ticks every step in its order. */
    private void doAll(UUID id) throws Exception {
        for (JsonNode step :
                site.read(site.get(keeper, "/api/guided-services/" + id)).get("steps")) {
            did(id, step.get("id").asString());
        }
    }

    private void finish(UUID id) throws Exception {
        site.post(keeper, "/api/guided-services/" + id + "/finish", """
                        {"note": "", "leftOffReason": "", "parts": []}""").andExpect(status().isOk());
    }

    private JsonNode looks() throws Exception {
        return site.read(site.get(keeper, "/api/rounds")).get("looks");
    }

    @Test
    void before_they_begin_both_are_told_with_one_draw() throws Exception {
        site.get(
                        keeper,
                        "/api/filters/%d/procedure?tasks=%d&then=%d"
                                .formatted(creek.get("id").asLong(), rinse(creek), rinse(lagoon)))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.steps[*].id").value(hasItem("draw:filter")))
                .andExpect(jsonPath("$.steps[*].id").value(not(hasItem("finish:filter"))))
                .andExpect(jsonPath("$.then[0].filterName").value("Lagoon"))
                .andExpect(jsonPath("$.then[0].steps[*].id").value(not(hasItem("draw:filter"))))
                .andExpect(jsonPath("$.then[0].steps[*].id").value(hasItem("finish:filter")))
                .andExpect(jsonPath("$.tooMuch").value(false));
    }

    @Test
    void each_is_logged_by_itself_and_the_second_begins_once_the_first_runs() throws Exception {
        startBoth()
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.then[0].filterName").value("Lagoon"));
        did(first, "stop:filter");
        UUID second = UUID.randomUUID();
        start(second, lagoon, rinse(lagoon), ", \"after\": \"" + first + '"')
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("after"))
                .andExpect(jsonPath("$.errors[0].code").value("still-off"));
        doAll(first);
        finish(first);

        start(second, lagoon, rinse(lagoon), ", \"after\": \"" + first + '"')
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.then").isEmpty())
                .andExpect(jsonPath("$.steps[*].id").value(not(hasItem("draw:filter"))));
        doAll(second);
        finish(second);

        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/services")))
                .hasSize(2);
    }

    @Test
    void the_heater_is_asked_for_until_somebody_goes_on() throws Exception {
        startBoth();
        doAll(first);
        finish(first);
        assertThat(looks().get(0).get("words").asString())
                .isEqualTo("Turn the heater on: Creek is done, and nobody has gone on with Lagoon.");

        UUID second = UUID.randomUUID();
        start(second, lagoon, rinse(lagoon), ", \"after\": \"" + first + '"');
        assertThat(looks()).isEmpty();

        site.delete(keeper, "/api/guided-services/" + second).andExpect(status().isNoContent());
        assertThat(looks()).hasSize(1);
    }

    @Test
    void bio_media_comes_out_of_one_filter_a_day() throws Exception {
        start(first, creek, dip(creek), ", \"then\": [" + dip(lagoon) + "]")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("then"))
                .andExpect(jsonPath("$.errors[0].message").value(startsWith("Bio media would come out of two")));
    }

    @Test
    void what_follows_was_asked_for_on_this_tank() throws Exception {
        start(first, creek, rinse(creek), ", \"then\": [" + dip(creek) + "]")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("same-filter"));
        JsonNode elsewhere = site.canister(keeper, site.tank(keeper), "Far", "2026-03-01");
        start(first, creek, rinse(creek), ", \"then\": [" + rinse(elsewhere) + "]")
                .andExpect(status().isNotFound());

        startBoth().andExpect(status().isOk());
        start(UUID.randomUUID(), lagoon, dip(lagoon), ", \"after\": \"" + first + '"')
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("not-asked-for"));
        start(UUID.randomUUID(), lagoon, rinse(lagoon), ", \"after\": \"" + UUID.randomUUID() + '"')
                .andExpect(status().isNotFound());
    }

    @Test
    void a_task_added_along_the_way_leaves_what_follows() throws Exception {
        startBoth();
        site.post(keeper, "/api/guided-services/" + first + "/events", """
                        {"events": [{"id": "%s", "happenedAt": "2026-06-01T11:00:00Z", "kind": "TASK_ADDED", "step": "", "value": "%d"}]}""".formatted(
                                UUID.randomUUID(), task(creek, "Change the fine pad")))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.then[0].filterName").value("Lagoon"))
                .andExpect(jsonPath("$.steps[*].id").value(not(hasItem("finish:filter"))));
    }
}
