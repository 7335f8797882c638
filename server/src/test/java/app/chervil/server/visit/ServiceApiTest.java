package app.chervil.server.visit;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

@ChervilTest
class ServiceApiTest {
    @Autowired
    TestSite site;

    @Autowired
    JdbcClient jdbc;

    SignedIn keeper;
    long tank;
    JsonNode weir;
    String path;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        weir = site.canister(keeper, tank, "Weir", "2026-05-20");
        path = "/api/services/" + UUID.randomUUID();
    }

    @Test
    void a_heavy_finding_shortens_the_window_and_its_reason_names_it() throws Exception {
        JsonNode saved = site.read(site.put(keeper, path, rinse("HEAVY", "2026-06-01")));

        JsonNode moved = saved.get("moved").get(0);
        assertThat(moved.get("name").asString()).isEqualTo("Rinse the pre-filter");
        assertThat(moved.get("after").get("intervalDays").asInt())
                .isLessThan(moved.get("before").get("intervalDays").asInt());
        assertThat(moved.get("reasons").get(0).asString()).startsWith("Heavy after 12 days");
    }

    @Test
    void the_same_service_is_stored_once_however_often_it_is_sent() throws Exception {
        JsonNode first = site.read(site.put(keeper, path, rinse("HEAVY", "2026-06-01")));
        JsonNode again = site.read(site.put(keeper, path, rinse("HEAVY", "2026-06-01")));

        assertThat(again).isEqualTo(first);
        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$.length()").value(1));
    }

    @Test
    void only_what_was_done_is_offered_for_a_look_before_and_after() throws Exception {
        String done = "/api/tanks/" + tank + "/tasks-done";
        site.get(keeper, done).andExpect(jsonPath("$").isEmpty());

        site.put(keeper, path, rinse("HEAVY", "2026-06-01"));
        site.get(keeper, done)
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0]").value(TestSite.task(weir, "Rinse the pre-filter")));

        site.delete(keeper, path);
        site.get(keeper, done).andExpect(jsonPath("$").isEmpty());
        site.get(site.keeper(), done).andExpect(status().isNotFound());
    }

    @Test
    void undo_gives_the_old_windows_back_and_can_itself_be_undone() throws Exception {
        JsonNode before = site.read(site.get(keeper, "/api/forecasts?tank=" + tank));
        site.put(keeper, path, rinse("HEAVY", "2026-06-01"));
        JsonNode after = site.read(site.get(keeper, "/api/forecasts?tank=" + tank));

        site.delete(keeper, path).andExpect(status().isNoContent());
        assertThat(site.read(site.get(keeper, "/api/forecasts?tank=" + tank))).isEqualTo(before);
        site.post(keeper, path + "/restore", "").andExpect(status().isOk());
        assertThat(site.read(site.get(keeper, "/api/forecasts?tank=" + tank)))
                .isEqualTo(after)
                .isNotEqualTo(before);
    }

    @Test
    void a_correction_recomputes_and_keeps_what_was_said_before() throws Exception {
        site.put(keeper, path, rinse("HEAVY", "2026-06-01"));

        JsonNode corrected = site.read(correct(1, rinse("LIGHT", "2026-06-01")).andExpect(status().isOk()));

        assertThat(corrected.get("service").get("version").asInt()).isEqualTo(2);
        JsonNode moved = corrected.get("moved").get(0);
        assertThat(moved.get("after").get("intervalDays").asInt())
                .isGreaterThan(moved.get("before").get("intervalDays").asInt());
        assertThat(jdbc.sql("select was from service_correction where site_id = ?")
                        .param(keeper.siteId())
                        .query(String.class)
                        .single())
                .contains("\"finding\":\"HEAVY\"");
        correct(1, rinse("CLEAN", "2026-06-01"))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.current.tasks[0].finding").value("LIGHT"));
    }

    @Test
    void flow_may_be_timed_with_a_container() throws Exception {
        String body = rinse("MODERATE", "2026-06-01")
                .replace("\"flows\": []", """
            "flows": [{"filterId": %d, "before": {"litres": 2, "seconds": 10}}]""".formatted(weir.get("id").asLong()));

        site.put(keeper, path, body)
                .andExpect(jsonPath("$.service.flows[0].beforeLph").value(720.0));
        site.put(keeper, "/api/services/" + UUID.randomUUID(), body.replace(", \"seconds\": 10", ""))
                .andExpect(jsonPath("$.errors[0].field").value("flows[0].before.seconds"));
    }

    @Test
    void a_flow_alone_is_kept_and_moves_no_date_and_nothing_at_all_is_refused() throws Exception {
        JsonNode before = site.read(site.get(keeper, "/api/forecasts?tank=" + tank));
        String nothing = """
                {"tankId": %d, "doneOn": "2026-06-01", "doneBy": "Ines", "note": "", "tasks": [], "flows": []}""".formatted(tank);
        String flow =
                nothing.replace("\"flows\": []", """
            "flows": [{"filterId": %d, "before": {"litresPerHour": 640}}]""".formatted(weir.get("id").asLong()));

        site.put(keeper, path, nothing)
                .andExpect(jsonPath("$.errors[0].field").value("tasks"))
                .andExpect(jsonPath("$.errors[0].message").value("Tick at least one thing that was done."));
        site.put(keeper, path, flow)
                .andExpect(jsonPath("$.service.flows[0].beforeLph").value(640.0))
                .andExpect(jsonPath("$.moved").isEmpty());

        assertThat(site.read(site.get(keeper, "/api/forecasts?tank=" + tank))).isEqualTo(before);
        site.get(keeper, "/api/services?filter=" + weir.get("id").asLong())
                .andExpect(jsonPath("$.total").value(1));
    }

    @ParameterizedTest(name = "{2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "\"doneOn\": \"2026-06-01\" | \"doneOn\": \"2026-06-02\" | in-the-future  | doneOn",
                "\"minutes\": 6            | \"minutes\": 0            | min             | minutes",
                "\"minutes\": 6            | \"minutes\": 1500000000   | max             | minutes",
                "\"doneBy\": \"Ines\"      | \"doneBy\": \" \"         | not-blank       | doneBy",
                "\"HEAVY\"                 | \"FILTHY\"                | not-understood  | tasks[0].finding",
            })
    void bad_input_is_refused_at_its_field(String was, String is, String code, String field) throws Exception {
        site.put(keeper, path, rinse("HEAVY", "2026-06-01").replace(was, is))
                .andExpect(jsonPath("$.errors[0].code").value(code))
                .andExpect(jsonPath("$.errors[0].field").value(field));
        site.get(keeper, path).andExpect(status().isNotFound());
    }

    @Test
    void tasks_and_services_of_another_site_are_not_found() throws Exception {
        site.put(keeper, path, rinse("HEAVY", "2026-06-01"));
        SignedIn stranger = site.keeper();
        long strangersTank = site.tank(stranger);
        String foreignTask =
                rinse("HEAVY", "2026-06-01").replace("\"tankId\": " + tank, "\"tankId\": " + strangersTank);

        site.get(stranger, path).andExpect(status().isNotFound());
        site.delete(stranger, path).andExpect(status().isNotFound());
        site.put(stranger, path, foreignTask).andExpect(jsonPath("$.code").value("task-not-found"));
        site.put(stranger, path, foreignTask.replaceAll("\"taskId\": \\d+", "\"taskId\": 987654321"))
                .andExpect(status().isNotFound());
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource({
        "'', 2",
        "search=snail, 1",
        "search=INES, 2",
        "search=weir, 2",
        "search=100%25, 0",
        "search=nowhere, 0",
        "stage=PREFILTER_SPONGE, 2",
        "stage=SOCK, 0",
        "from=2026-05-25, 1",
        "to=2026-05-24, 1",
        "from=2026-05-24&to=2026-05-24, 1"
    })
    void the_ledger_finds_by_words_stage_and_days(String query, int found) throws Exception {
        site.put(keeper, path, rinse("HEAVY", "2026-06-01").replace("\"note\": \"\"", "\"note\": \"Snail shells\""));
        site.put(keeper, "/api/services/" + UUID.randomUUID(), rinse("LIGHT", "2026-05-24"));

        site.get(keeper, "/api/services?" + query)
                .andExpect(jsonPath("$.total").value(found))
                .andExpect(jsonPath("$.entries.length()").value(found));
        site.get(site.keeper(), "/api/services?" + query)
                .andExpect(jsonPath("$.total").value(0));
    }

    @Test
    void the_same_task_logged_by_two_people_is_caught_and_can_be_merged() throws Exception {
        site.put(keeper, path, rinse("LIGHT", "2026-06-01"));
        String theirs = "/api/services/" + UUID.randomUUID();

        JsonNode second =
                site.read(site.put(keeper, theirs, rinse("HEAVY", "2026-06-01").replace("Ines", "Osei")));
        String twin = second.get("twins").get(0).get("id").asString();
        JsonNode merged =
                site.read(site.post(keeper, theirs + "/twins/" + twin, "").andExpect(status().isOk()));

        assertThat(merged.get("service").get("doneBy").asString()).isEqualTo("Osei and Ines");
        assertThat(merged.get("service").get("tasks").get(0).get("finding").asString())
                .isEqualTo("HEAVY");
        assertThat(merged.get("twins").isEmpty()).isTrue();
        site.get(keeper, "/api/services").andExpect(jsonPath("$.total").value(1));
        site.post(keeper, theirs + "/twins/" + twin, "")
                .andExpect(jsonPath("$.code").value("no-twin"));
    }

    @Test
    void who_wrote_it_down_is_told_where_somebody_else_did_it() throws Exception {
        SignedIn helper = site.helperOf(keeper);
        site.put(helper, path, rinse("HEAVY", "2026-06-01"));
        site.put(
                helper,
                "/api/services/" + UUID.randomUUID(),
                rinse("LIGHT", "2026-05-24").replace("\"Ines\"", '"' + helper.name() + '"'));

        site.get(keeper, "/api/services")
                .andExpect(jsonPath("$.entries[0].service.doneBy").value("Ines"))
                .andExpect(jsonPath("$.entries[0].service.writtenDownBy").value(helper.name()))
                .andExpect(jsonPath("$.entries[1].service.doneBy").value(helper.name()))
                .andExpect(jsonPath("$.entries[1].service.writtenDownBy").doesNotExist());
        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$[0].writtenDownBy").value(helper.name()));
    }

    @Test
    void the_ledger_comes_in_pages_latest_first() throws Exception {
        for (int day = 21; day <= 25; day++) {
            site.put(keeper, "/api/services/" + UUID.randomUUID(), rinse("LIGHT", "2026-05-" + day));
        }

        site.get(keeper, "/api/services?skip=2&limit=2")
                .andExpect(jsonPath("$.total").value(5))
                .andExpect(jsonPath("$.entries[0].service.doneOn").value("2026-05-23"))
                .andExpect(jsonPath("$.entries.length()").value(2))
                .andExpect(jsonPath("$.entries[0].tankName").value("Brook"));
        site.get(keeper, "/api/services?limit=101")
                .andExpect(jsonPath("$.errors[0].field").value("limit"));
    }

    private ResultActions correct(int version, String service) throws Exception {
        return site.post(keeper, path + "/corrections", """
            {"version": %d, "service": %s}""".formatted(version, service));
    }

    private String rinse(String finding, String on) {
        return """
            {"tankId": %d, "doneOn": "%s", "doneBy": "Ines", "minutes": 6, "note": "",
             "tasks": [{"taskId": %d, "finding": "%s"}], "flows": []}""".formatted(tank, on, TestSite.task(weir, "Rinse the pre-filter"), finding);
    }
}
