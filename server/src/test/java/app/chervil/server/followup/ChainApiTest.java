package app.chervil.server.followup;

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

/** Stirred dirt obliges: the pad that caught it is changed the same day, or stays asked for. */
@ChervilTest
class ChainApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode weir;
    UUID vacuumed;

    @BeforeEach
    void vacuum() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        String box = TestSite.canister("Weir", "2026-05-20")
                .replace("CANISTER", "HANG_ON_BACK")
                .replace("\"direction\": \"BOTTOM_UP\", ", "");
        weir = site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", box));
        vacuumed = UUID.randomUUID();
        chore("SUBSTRATE_VACUUM", "2026-06-01").andExpect(status().is2xxSuccessful());
    }

    @Test
    void it_is_asked_for_at_once_and_once() throws Exception {
        chore("SUBSTRATE_VACUUM", "2026-06-01");

        assertThat(looks())
                .containsExactly(
                        "Change or rinse the fine pad of Weir today: it holds what was stirred up from the sand.");
    }

    @Test
    void a_logged_change_settles_it_and_a_deleted_log_asks_again() throws Exception {
        String service = "/api/services/" + UUID.randomUUID();
        site.put(keeper, service, """
                {"tankId": %d, "doneOn": "2026-06-01", "doneBy": "Ines", "note": "", "flows": [],
                 "tasks": [{"taskId": %d}]}""".formatted(tank, TestSite.task(weir, "Change the fine pad")))
                .andExpect(status().isOk());
        assertThat(looks()).isEmpty();

        site.delete(keeper, service).andExpect(status().is2xxSuccessful());
        assertThat(looks()).hasSize(1);
    }

    @Test
    void other_work_does_not_settle_it() throws Exception {
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "2026-06-01", "doneBy": "Ines", "note": "", "flows": [],
                 "tasks": [{"taskId": %d}]}""".formatted(
                        tank, TestSite.task(weir, "Rinse the pre-filter")));

        assertThat(looks()).hasSize(1);
    }

    @Test
    void nobody_opens_a_canister_for_it() throws Exception {
        long other = site.tank(keeper);
        site.canister(keeper, other, "Creek", "2026-05-20");

        site.put(keeper, "/api/chores-done/" + UUID.randomUUID(), """
                {"tankId": %d, "kind": "SUBSTRATE_VACUUM", "doneOn": "2026-06-01"}""".formatted(other));

        assertThat(looks()).hasSize(1).noneMatch(words -> words.contains("Creek"));
    }

    @Test
    void taken_back_it_is_forgotten() throws Exception {
        site.delete(keeper, "/api/chores-done/" + vacuumed).andExpect(status().isNoContent());

        assertThat(looks()).isEmpty();
    }

    @Test
    void what_was_stirred_up_days_ago_is_no_news() throws Exception {
        site.delete(keeper, "/api/chores-done/" + vacuumed);
        vacuumed = UUID.randomUUID();

        chore("SUBSTRATE_VACUUM", "2026-05-28");

        assertThat(looks()).isEmpty();
    }

    @Test
    void stirred_up_twice_it_is_one_look_until_the_second_is_taken_back() throws Exception {
        UUID first = vacuumed;
        vacuumed = UUID.randomUUID();
        chore("SUBSTRATE_VACUUM", "2026-06-01");
        assertThat(looks()).hasSize(1);

        site.delete(keeper, "/api/chores-done/" + vacuumed);
        assertThat(looks()).hasSize(1);

        site.delete(keeper, "/api/chores-done/" + first);
        assertThat(looks()).isEmpty();
    }

    private org.springframework.test.web.servlet.ResultActions chore(String kind, String on) throws Exception {
        return site.put(keeper, "/api/chores-done/" + vacuumed, """
                {"tankId": %d, "kind": "%s", "doneOn": "%s"}""".formatted(tank, kind, on));
    }

    private java.util.List<String> looks() throws Exception {
        return site.read(site.get(keeper, "/api/rounds")
                        .andExpect(jsonPath("$.today").exists()))
                .get("looks")
                .valueStream()
                .map(look -> look.get("words").asString())
                .toList();
    }
}
