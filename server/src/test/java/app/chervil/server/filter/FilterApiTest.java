package app.chervil.server.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.List;
import java.util.stream.Collectors;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

@ChervilTest
class FilterApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
    }

    @Test
    void every_stage_brings_its_care() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-05-01");

        assertThat(weir.get("tasks").valueStream().map(task -> task.get("name").asString()))
                .containsExactly(
                        "Open canister Weir",
                        "Check cords and drip loop of Weir",
                        "Rinse the pre-filter",
                        "Rinse the coarse foam",
                        "Replace the coarse foam",
                        "Change the fine pad",
                        "Dip bio media");
    }

    @Test
    void stages_keep_their_care_through_a_new_order_and_a_new_stage() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-05-01");
        long dip = TestSite.task(weir, "Dip bio media");
        List<JsonNode> stages = weir.get("stages").valueStream().toList();
        String swapped = stages(List.of(stages.get(0), stages.get(3), stages.get(2), stages.get(1)))
                .replace("]", ", " + TestSite.stage("CARBON", "DISPOSABLE") + "]");

        JsonNode after = site.read(update(weir, 1, swapped).andExpect(status().isOk()));

        assertThat(after.get("stages").valueStream().map(stage -> stage.get("kind")
                        .asString()))
                .containsExactly("PREFILTER_SPONGE", "BIO_MEDIA", "FINE_PAD", "COARSE_FOAM", "CARBON");
        assertThat(TestSite.task(after, "Dip bio media")).isEqualTo(dip);
        assertThat(TestSite.task(after, "Change carbon")).isPositive();
    }

    @Test
    void taking_the_prefilter_off_is_logged_and_lengthens_nothing() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-03-01");
        JsonNode before = forecast("Open canister Weir");
        List<JsonNode> stages = weir.get("stages").valueStream().skip(1).toList();

        update(weir, 1, stages(stages)).andExpect(status().isOk());

        site.get(keeper, "/api/tanks/" + tank + "/changes")
                .andExpect(jsonPath("$[0].kind").value("PREFILTER"));
        assertThat(forecast("Open canister Weir").get("intervalDays").asInt())
                .isLessThan(before.get("intervalDays").asInt());
    }

    @Test
    void a_second_filter_shares_the_load_until_it_is_taken_out() throws Exception {
        site.canister(keeper, tank, "Weir", "2026-05-25");
        int alone = forecast("Rinse the pre-filter").get("intervalDays").asInt();
        long second =
                site.canister(keeper, tank, "Creek", "2026-05-25").get("id").asLong();
        int shared = forecast("Rinse the pre-filter").get("intervalDays").asInt();

        site.delete(keeper, "/api/filters/" + second).andExpect(status().isNoContent());
        site.post(keeper, "/api/filters/" + second + "/restore", "").andExpect(status().isOk());

        assertThat(shared).isGreaterThan(alone);
        assertThat(forecast("Rinse the pre-filter").get("intervalDays").asInt()).isEqualTo(shared);
    }

    @Test
    void a_task_can_be_fixed_switched_off_and_left_to_learn() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-05-01");
        String task = "/api/tasks/" + TestSite.task(weir, "Rinse the pre-filter");

        site.put(keeper, task, "{\"version\": 1, \"mode\": \"FIXED\", \"fixedDays\": 9}")
                .andExpect(status().isOk());
        assertThat(forecast("Rinse the pre-filter").get("intervalDays").asInt()).isEqualTo(9);
        site.put(keeper, task, "{\"version\": 2, \"mode\": \"OFF\"}").andExpect(status().isOk());
        site.get(keeper, "/api/forecasts?tank=" + tank)
                .andExpect(jsonPath("$[?(@.subject.name == 'Rinse the pre-filter')]")
                        .isEmpty());
        site.put(keeper, task, "{\"version\": 2, \"mode\": \"LEARN\"}").andExpect(status().isConflict());
        site.put(keeper, task, "{\"version\": 3, \"mode\": \"FIXED\"}")
                .andExpect(jsonPath("$.errors[0].field").value("fixedDays"));
    }

    @Test
    void a_stage_of_another_filter_is_refused_at_its_place() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-05-01");
        JsonNode foreign =
                site.canister(keeper, tank, "Creek", "2026-05-01").get("stages").get(0);

        update(weir, 1, stages(List.of(foreign)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("stages[0].id"));
    }

    private JsonNode forecast(String name) throws Exception {
        return site.read(site.get(keeper, "/api/forecasts?tank=" + tank))
                .valueStream()
                .filter(forecast ->
                        forecast.get("subject").get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private org.springframework.test.web.servlet.ResultActions update(JsonNode filter, int version, String stages)
            throws Exception {
        return site.put(keeper, "/api/filters/" + filter.get("id").asLong(), """
            {"version": %d, "filter": {"name": "Weir", "kind": "CANISTER", "direction": "TOP_DOWN", "rating": {},
             "stages": %s}}""".formatted(version, stages));
    }

    private static String stages(List<JsonNode> stages) {
        return stages.stream()
                .map(stage -> """
                    {"id": %d, "kind": "%s", "label": "", "quantity": 1, "make": "%s", "bagged": false}""".formatted(
                                stage.get("id").asLong(),
                                stage.get("kind").asString(),
                                stage.get("make").asString()))
                .collect(Collectors.joining(", ", "[", "]"));
    }
}
