package app.chervil.server.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasItem;
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
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** A filter taken down, to be moved or put away. */
@ChervilTest
class TakeDownApiTest {
    @Autowired
    TestSite site;

    @Autowired
    JdbcTemplate database;

    SignedIn keeper;
    long tank;
    long filter;
    String path;

    @BeforeEach
    void canister() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        filter = site.canister(keeper, tank, "Weir", "2026-03-01").get("id").asLong();
        path = "/api/guided-services/" + UUID.randomUUID();
    }

    private ResultActions start(SignedIn who, String occasion) throws Exception {
        return site.put(who, path, """
                {"filterId": %d, "tasks": [], "chores": [], "occasion": "%s"}""".formatted(filter, occasion));
    }

    private void did(String step) throws Exception {
        site.post(keeper, path + "/events", """
                        {"events": [{"id": "%s", "happenedAt": "2026-06-01T11:00:00Z", "kind": "DONE", "step": "%s", "value": ""}]}""".formatted(UUID.randomUUID(), step))
                .andExpect(status().isOk());
    }

    private ResultActions finish() throws Exception {
        return site.post(keeper, path + "/finish", """
                {"note": "", "leftOffReason": "", "parts": []}""");
    }

    private JsonNode open() throws Exception {
        return site.read(site.get(keeper, "/api/guided-services"));
    }

    @Test
    void it_is_told_before_it_begins_by_what_it_is_for() throws Exception {
        String down = "/api/filters/" + filter + "/take-down?why=";

        assertThat(site.get(keeper, down + "MOVE").andReturn().getResponse().getContentAsString())
                .contains("air stone")
                .doesNotContain("under the tap");
        assertThat(site.get(keeper, down + "STORE").andReturn().getResponse().getContentAsString())
                .contains("dry for two days");
        site.get(keeper, down + "STORE")
                .andExpect(jsonPath("$.warnings[0]").value(startsWith("Weir is this tank’s only filter")));
        site.get(keeper, down + "SERVICE")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("why"));
        site.get(site.keeper(), down + "MOVE").andExpect(status().isNotFound());
    }

    @Test
    void moved_it_is_off_without_a_reason_to_write_until_it_is_set_up_again() throws Exception {
        start(keeper, "MOVE").andExpect(status().isOk());
        did("stop:filter");
        finish().andExpect(status().isOk());

        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$..note").value(hasItem("Taken down to be moved.")));
        assertThat(open()).hasSize(1);
        assertThat(open().get(0).has("offSince")).isTrue();

        path = "/api/guided-services/" + UUID.randomUUID();
        start(keeper, "SET_UP").andExpect(status().isOk());
        did("start:filter");
        finish().andExpect(status().isOk());
        assertThat(open()).isEmpty();
    }

    @Test
    void put_away_it_is_out_of_use_and_can_be_put_back() throws Exception {
        start(keeper, "STORE").andExpect(status().isOk());
        did("stop:filter");
        finish().andExpect(status().isOk());

        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/filters")))
                .isEmpty();
        assertThat(open()).isEmpty();
        assertThat(database.queryForObject(
                        "select words from follow_up where tank_id = ? and kind = 'DRYING'", String.class, tank))
                .startsWith("Is Weir dry?");
        database.update("update follow_up set due_at = timestamptz '2026-06-01T08:00:00Z' where tank_id = ?", tank);
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.looks.length()").value(1));
        site.post(keeper, "/api/filters/" + filter + "/restore", "").andExpect(status().is2xxSuccessful());
        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/filters")))
                .hasSize(1);
    }

    @Test
    void taken_back_in_the_log_it_is_in_use_again() throws Exception {
        start(keeper, "STORE").andExpect(status().isOk());
        did("stop:filter");
        String logged = "/api/services/" + site.read(finish()).at("/service/id").asString();

        site.delete(keeper, logged).andExpect(status().isNoContent());

        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/filters")))
                .hasSize(1);
        site.post(keeper, logged + "/restore", "").andExpect(status().isOk());
        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/filters")))
                .isEmpty();
    }

    @Test
    void what_was_never_stopped_was_not_taken_down() throws Exception {
        start(keeper, "STORE").andExpect(status().isOk());

        finish().andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("nothing-done"));
        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/filters")))
                .hasSize(1);
    }

    @Test
    void a_helper_may_take_it_down_to_move_it_and_not_put_it_away() throws Exception {
        SignedIn helper = site.helperOf(keeper);

        start(helper, "STORE").andExpect(status().isForbidden());
        start(helper, "MOVE").andExpect(status().isOk());
    }
}
