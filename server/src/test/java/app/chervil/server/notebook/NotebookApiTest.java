package app.chervil.server.notebook;

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
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

/** A tank with canister Weir, set up on 1 January 2024, and a spreadsheet that somebody kept of it. */
@ChervilTest
class NotebookApiTest {
    private static final String KEPT = """
            Date,What,How was it,Who,Min
            1/20/25,rinsed prefilter,dirty,Jo,10
            2/10/25,"prefilter; fed less",dirty,Jo,
            ,changed pad,,Jo,5
            3/3/25,prefilter,filthy,Jo,12
            soon,prefilter,ok,Jo,1
            3/22/25,skipped prefilter,,Jo,
            """;

    @Autowired
    TestSite site;

    private final JsonMapper json = JsonMapper.builder().build();
    private SignedIn keeper;
    private long tank;
    private JsonNode weir;
    private String path;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        weir = site.canister(keeper, tank, "Weir", "2025-01-01");
        path = "/api/tanks/" + tank + "/notebook";
    }

    @Test
    void a_table_is_understood_as_far_as_it_can_be_and_the_rest_is_shown_to_its_keeper() throws Exception {
        JsonNode guess = guess(KEPT);

        assertThat(guess.get("rows").asInt()).isEqualTo(6);
        assertThat(guess.get("key").get("columns").valueStream().map(one -> one.get("role")
                        .asString()))
                .containsExactly("DAY", "WORK", "FOUND", "BY", "MINUTES");
        assertThat(guess.get("key").get("order").asString()).isEqualTo("MONTH_FIRST");
        JsonNode most = guess.get("phrases").get(0);
        assertThat(most.get("words").asString()).isEqualTo("prefilter");
        assertThat(most.get("times").asInt()).isEqualTo(3);
        assertThat(guess.get("key")
                        .get("work")
                        .valueStream()
                        .filter(one -> one.get("use").asString().equals("DONE"))
                        .map(one -> one.get("phrase").asString()))
                .containsExactlyInAnyOrder("rinsed prefilter", "prefilter", "changed pad");
    }

    @Test
    void what_would_come_in_is_told_and_nothing_is_stored() throws Exception {
        JsonNode preview = site.read(preview(KEPT, guess(KEPT).get("key")).andExpect(status().isOk()));

        assertThat(preview.get("days").asInt()).isEqualTo(4);
        assertThat(preview.get("faultsInAll").asInt()).isEqualTo(1);
        assertThat(preview.get("faults").get(0).get("line").asInt()).isEqualTo(6);
        assertThat(preview.get("tasks").get(0).get("name").asString()).isEqualTo("Rinse the pre-filter");
        assertThat(preview.get("tasks").get(0).get("graded").asInt()).isEqualTo(3);
        assertThat(logged()).isEmpty();
    }

    @Test
    void rows_at_fault_stop_it_all_unless_their_keeper_leaves_them_out() throws Exception {
        JsonNode key = guess(KEPT).get("key");
        bringIn(KEPT, key, false)
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.errors[0].code").value("rows-at-fault"));
        assertThat(logged()).isEmpty();

        JsonNode brought = site.read(bringIn(KEPT, key, true).andExpect(status().isOk()));

        assertThat(brought.get("days").asInt()).isEqualTo(4);
        assertThat(logged()).hasSize(4);
        assertThat(brought.get("moved").valueStream().map(one -> one.get("name").asString()))
                .contains("Rinse the pre-filter");
    }

    @Test
    void the_dates_follow_from_it_as_if_each_day_had_been_logged() throws Exception {
        bringIn(KEPT, guess(KEPT).get("key"), true);
        JsonNode brought = site.read(site.get(keeper, "/api/forecasts?tank=" + tank));

        SignedIn other = site.keeper();
        long like = site.tank(other);
        JsonNode same = site.canister(other, like, "Weir", "2025-01-01");
        long prefilter = TestSite.task(same, "Rinse the pre-filter");
        long pad = TestSite.task(same, "Change the fine pad");
        log(other, like, "2025-01-20", done(prefilter, "HEAVY"));
        log(other, like, "2025-02-10", done(prefilter, "HEAVY") + "," + done(pad, null));
        log(other, like, "2025-03-03", done(prefilter, "CLOGGED"));

        JsonNode typed = site.read(site.get(other, "/api/forecasts?tank=" + like));
        for (int i = 0; i < typed.size(); i++) {
            assertThat(brought.get(i).get("window")).isEqualTo(typed.get(i).get("window"));
        }
    }

    @Test
    void brought_in_twice_it_is_there_once() throws Exception {
        JsonNode key = guess(KEPT).get("key");
        bringIn(KEPT, key, true);
        JsonNode again = site.read(preview(KEPT, key));
        assertThat(again.get("days").asInt()).isZero();
        assertThat(again.get("known").asInt()).isEqualTo(4);

        assertThat(site.read(bringIn(KEPT, key, true)).get("days").asInt()).isZero();
        assertThat(logged()).hasSize(4);
    }

    @Test
    void what_was_withdrawn_comes_back_as_it_was() throws Exception {
        JsonNode key = guess(KEPT).get("key");
        bringIn(KEPT, key, true);
        site.delete(keeper, "/api/services/" + logged().get(0).get("id").asString())
                .andExpect(status().isNoContent());
        assertThat(logged()).hasSize(3);

        assertThat(site.read(bringIn(KEPT, key, true)).get("days").asInt()).isEqualTo(1);
        assertThat(logged()).hasSize(4);
    }

    @Test
    void work_that_is_logged_already_stays_as_it_is() throws Exception {
        log(keeper, tank, "2025-02-10", done(TestSite.task(weir, "Rinse the pre-filter"), "LIGHT"));

        JsonNode preview = site.read(preview(KEPT, guess(KEPT).get("key")));

        assertThat(preview.get("tasks").get(0).get("times").asInt()).isEqualTo(2);
    }

    @Test
    void notes_older_than_the_tank_is_said_to_be_come_in_once_its_keeper_says_since_when_it_stood() throws Exception {
        String old = "Date,What\n11/5/23,prefilter\n11/26/23,prefilter\n";
        ObjectNode key = (ObjectNode) guess(old).get("key");

        JsonNode refused = site.read(preview(old, key));
        assertThat(refused.get("days").asInt()).isZero();
        assertThat(refused.get("earlier").asString()).isEqualTo("2023-11-05");

        key.put("stoodSince", "2023-11-05");
        bringIn(old, key, false).andExpect(jsonPath("$.days").value(2));
        site.get(keeper, "/api/tanks/" + tank)
                .andExpect(jsonPath("$.tank.establishedOn").value("2023-11-05"));
        key.put("stoodSince", "2024-11-05");
        bringIn("Date,What\n11/26/24,prefilter\n", key, false)
                .andExpect(jsonPath("$.days").value(1));
        site.get(keeper, "/api/tanks/" + tank)
                .andExpect(jsonPath("$.tank.establishedOn").value("2023-11-05"));
    }

    @Test
    void a_key_that_does_not_fit_is_refused_at_its_field() throws Exception {
        ObjectNode key = (ObjectNode) guess(KEPT).get("key");
        ((ObjectNode) key.get("columns").get(0)).put("role", "NOTE");
        preview(KEPT, key)
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.errors[0].field").value("key.columns"));

        ((ObjectNode) key.get("columns").get(0)).put("role", "DAY");
        ((ObjectNode) key.get("columns").get(4)).put("role", "TASK");
        preview(KEPT, key)
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.errors[0].field").value("key.columns[4].subject"));
        preview("Other,table\n1,2\n", guess(KEPT).get("key"))
                .andExpect(status().is(422))
                .andExpect(jsonPath("$.errors[0].code").value("other-table"));
    }

    @Test
    void tasks_of_others_are_never_told_of_or_logged() throws Exception {
        SignedIn stranger = site.keeper();
        JsonNode key = guess(KEPT).get("key");
        site.post(stranger, path + "/preview", body(KEPT, key, false)).andExpect(status().isNotFound());

        long foreign = site.tank(stranger);
        site.post(stranger, "/api/tanks/" + foreign + "/notebook/preview", body(KEPT, key, false))
                .andExpect(status().is(422));
        site.post(site.helperOf(keeper), path + "/preview", body(KEPT, key, false))
                .andExpect(status().isForbidden());
    }

    @Test
    void a_table_in_which_no_two_cells_are_alike_can_be_brought_in_as_well() throws Exception {
        StringBuilder csv = new StringBuilder("Date,What\n");
        for (int i = 0; i < 6000; i++) {
            csv.append("1/%d/25,thing number %d %s\n".formatted(2 + i % 28, i, i == 0 ? "x".repeat(3000) : ""));
        }

        JsonNode key = guess(csv.toString()).get("key");

        assertThat(key.get("work")).hasSize(1000);
        assertThat(site.read(bringIn(csv.toString(), key, false).andExpect(status().isOk()))
                        .get("days")
                        .asInt())
                .isEqualTo(28);
    }

    @Test
    void semicolons_tabs_marks_and_cells_of_several_lines_are_read() throws Exception {
        String csv = "\uFEFFDatum;What;Notes\n20.1.2025;prefilter;\"two\nlines\"\n30.1.2025;prefilter;\n";

        JsonNode guess = guess(csv);

        assertThat(guess.get("key").get("order").asString()).isEqualTo("DAY_FIRST");
        assertThat(site.read(preview(csv, guess.get("key"))).get("days").asInt())
                .isEqualTo(2);
        assertThat(guess("Date\tWhat\n2025-01-20\tprefilter\n").get("headings")).hasSize(2);
    }

    private JsonNode guess(String csv) throws Exception {
        return site.read(site.post(
                        keeper,
                        path + "/key",
                        json.writeValueAsString(json.createObjectNode().put("csv", csv)))
                .andExpect(status().isOk()));
    }

    private ResultActions preview(String csv, JsonNode key) throws Exception {
        return site.post(keeper, path + "/preview", body(csv, key, false));
    }

    private ResultActions bringIn(String csv, JsonNode key, boolean withoutFaults) throws Exception {
        return site.post(keeper, path, body(csv, key, withoutFaults));
    }

    private String body(String csv, JsonNode key, boolean withoutFaults) {
        ObjectNode body = json.createObjectNode().put("csv", csv).put("withoutFaults", withoutFaults);
        body.set("key", key);
        return json.writeValueAsString(body);
    }

    private JsonNode logged() throws Exception {
        return site.read(site.get(keeper, "/api/tanks/" + tank + "/services"));
    }

    private static String done(long task, String finding) {
        return "{\"taskId\": " + task + (finding == null ? "" : ", \"finding\": \"" + finding + "\"") + "}";
    }

    private void log(SignedIn who, long where, String day, String tasks) throws Exception {
        site.put(who, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Jo", "note": "", "flows": [], "tasks": [%s]}""".formatted(where, day, tasks))
                .andExpect(status().isOk());
    }
}
