package app.chervil.server.trouble;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** A case over HTTP: opened, answered by anybody, ended in work, counted. */
@ChervilTest
class TroubleApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode weir;
    String path;

    @BeforeEach
    void filter() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        String canister = TestSite.canister("Weir", "2026-03-01")
                .replace("]}", ", " + TestSite.stage("IMPELLER", "WASHABLE") + "]}");
        weir = site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", canister));
        path = "/api/trouble-cases/" + UUID.randomUUID();
    }

    private ResultActions open(String complaint) throws Exception {
        return site.put(keeper, path, """
                {"filterId": %d, "complaint": "%s", "noticedOn": "2026-05-31"}""".formatted(weir.get("id").asLong(), complaint));
    }

    private static String event(UUID id, String kind, String about, String value) {
        return """
                {"id": "%s", "kind": "%s", "about": "%s", "value": "%s", "happenedAt": "2026-06-01T09:00:00Z"}""".formatted(id, kind, about, value);
    }

    private ResultActions tell(SignedIn who, String... events) throws Exception {
        return site.post(who, path + "/events", "{\"events\": [" + String.join(",", events) + "]}");
    }

    private ResultActions tell(String kind, String about, String value) throws Exception {
        return tell(keeper, event(UUID.randomUUID(), kind, about, value));
    }

    private void safe() throws Exception {
        tell("DANGER", "danger-power", "no");
        tell("DANGER", "danger-animals", "no");
    }

    private String openingDay() throws Exception {
        JsonNode forecasts = site.read(site.get(keeper, "/api/forecasts?tank=" + tank));
        return forecasts
                .valueStream()
                .filter(one -> one.at("/subject/name").asString().equals("Open canister Weir"))
                .map(one -> one.get("window").toString())
                .findFirst()
                .orElseThrow();
    }

    private void log(String task, String finding, String flows) throws Exception {
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "2026-06-01", "doneBy": "Ines", "note": "", "flows": [%s],
                 "tasks": [{"taskId": %d%s}]}""".formatted(
                                tank,
                                flows,
                                TestSite.task(weir, task),
                                finding.isEmpty() ? "" : ", \"finding\": \"" + finding + "\""))
                .andExpect(status().isOk());
    }

    @Test
    void it_begins_with_what_is_known_and_the_dangers() throws Exception {
        open("no-flow")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.summary.filterName").value("Weir"))
                .andExpect(jsonPath("$.summary.standing").value("OPEN"))
                .andExpect(jsonPath("$.known.kind").value("CANISTER"))
                .andExpect(jsonPath("$.known.features.prefilterLoading").isNumber())
                .andExpect(jsonPath("$.now.step").value("DANGER"))
                .andExpect(jsonPath("$.now.id").value("danger-power"));
    }

    @Test
    void a_danger_stops_it_until_the_answer_is_taken_back() throws Exception {
        open("no-flow");
        UUID wet = UUID.randomUUID();

        tell(keeper, event(wet, "DANGER", "danger-power", "yes"))
                .andExpect(jsonPath("$.summary.standing").value("STOPPED"))
                .andExpect(jsonPath("$.now.step").value("STOP"))
                .andExpect(jsonPath("$.now.id").value("ELECTRICIAN"));
        tell("TAKEN_BACK", wet.toString(), "")
                .andExpect(jsonPath("$.summary.standing").value("OPEN"))
                .andExpect(jsonPath("$.now.step").value("DANGER"));
    }

    @Test
    void what_is_sent_twice_is_kept_once_and_somebody_else_goes_on() throws Exception {
        open("weak-flow");
        String clean = event(UUID.randomUUID(), "ANSWER", "prefilter-look", "clean");
        SignedIn helper = site.helperOf(keeper);

        tell(keeper, clean);
        tell(keeper, clean).andExpect(jsonPath("$.events.length()").value(1));
        tell(helper, event(UUID.randomUUID(), "ANSWER", "onset", "sudden"))
                .andExpect(jsonPath("$.events.length()").value(2))
                .andExpect(jsonPath("$.events[1].doneBy").value(helper.name()));
    }

    @Test
    void a_repair_that_helped_ends_it_with_its_cause() throws Exception {
        open("noise");
        tell("DANGER", "danger-power", "no");
        tell("ANSWER", "noise-kind", "rattle");
        tell("ANSWER", "impeller-look", "slime");

        tell("TRIED", "clean-impeller", "solved")
                .andExpect(jsonPath("$.summary.standing").value("SOLVED"))
                .andExpect(jsonPath("$.summary.closedOn").value("2026-06-01"))
                .andExpect(jsonPath("$.summary.repair").value("clean-impeller"))
                .andExpect(jsonPath("$.summary.cause").value("impeller-dirty"))
                .andExpect(jsonPath("$.summary.counts").value("IGNORE_FLOW"));
    }

    @Test
    void a_repaired_impeller_moves_no_opening() throws Exception {
        log(
                "Open canister Weir",
                "MODERATE",
                "{\"filterId\": %d, \"after\": {\"litresPerHour\": 600}}"
                        .formatted(weir.get("id").asLong()));
        String before = openingDay();
        open("weak-flow");
        tell("ANSWER", "impeller-look", "slime");
        tell("TRIED", "clean-impeller", "solved");

        log(
                "Clean the impeller",
                "",
                "{\"filterId\": %d, \"before\": {\"litresPerHour\": 180}, \"after\": {\"litresPerHour\": 590}}"
                        .formatted(weir.get("id").asLong()));

        assertThat(openingDay()).isEqualTo(before);
    }

    @Test
    void a_repair_names_the_task_it_is_logged_as() throws Exception {
        open("weak-flow")
                .andExpect(jsonPath("$.tasks['clean-impeller']").value(TestSite.task(weir, "Clean the impeller")))
                .andExpect(jsonPath("$.tasks['rinse-prefilter']").value(TestSite.task(weir, "Rinse the pre-filter")))
                .andExpect(jsonPath("$.tasks['open-canister']").value(TestSite.task(weir, "Open canister Weir")))
                .andExpect(jsonPath("$.tasks['open-valve']").doesNotExist());
    }

    @ParameterizedTest
    @CsvSource({
        "sump-falls, 2026-05-31, complaint, not-for-this-filter",
        "no-such-thing, 2026-05-31, complaint, not-for-this-filter",
        "noise, 2026-06-02, noticedOn, future",
        "noise, 2024-05-31, noticedOn, too-long-ago"
    })
    void what_cannot_be_is_refused_at_its_field(String complaint, String day, String field, String code)
            throws Exception {
        site.put(keeper, path, """
                        {"filterId": %d, "complaint": "%s", "noticedOn": "%s"}""".formatted(weir.get("id").asLong(), complaint, day))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(jsonPath("$.errors[0].code").value(code));
    }

    @ParameterizedTest
    @CsvSource({
        "ANSWER, colour, red, events[1].about",
        "ANSWER, onset, red, events[1].value",
        "DANGER, danger-power, maybe, events[1].value",
        "TRIED, kick-it, solved, events[1].about",
        "TRIED, rinse-prefilter, splendid, events[1].value"
    })
    void a_step_the_finder_does_not_know_is_refused_and_nothing_is_kept(
            String kind, String about, String value, String field) throws Exception {
        open("weak-flow");

        tell(keeper, event(UUID.randomUUID(), "ANSWER", "onset", "crept"), event(UUID.randomUUID(), kind, about, value))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field));
        site.get(keeper, path).andExpect(jsonPath("$.events.length()").value(0));
    }

    @Test
    void given_up_it_takes_no_more_steps_until_it_is_resumed() throws Exception {
        open("weak-flow");
        site.put(keeper, path + "/left", "{}")
                .andExpect(jsonPath("$.summary.standing").value("LEFT"));

        tell("ANSWER", "onset", "crept").andExpect(status().isConflict());
        site.delete(keeper, path + "/left")
                .andExpect(jsonPath("$.summary.standing").value("OPEN"));
        tell("ANSWER", "onset", "crept").andExpect(status().isOk());
    }

    @Test
    void the_keeper_may_overrule_what_is_learned_and_take_it_back() throws Exception {
        open("weak-flow");

        site.put(keeper, path + "/bearing", "{\"counts\": \"DIRT\"}")
                .andExpect(jsonPath("$.summary.counts").value("DIRT"))
                .andExpect(jsonPath("$.summary.overruled").value(true));
        site.put(keeper, path + "/bearing", "{}")
                .andExpect(jsonPath("$.summary.counts").value("IGNORE_FLOW"))
                .andExpect(jsonPath("$.summary.overruled").value(false));
    }

    @Test
    void a_reminder_stands_in_the_rounds_until_it_is_mended() throws Exception {
        open("weak-flow");
        site.put(keeper, path + "/reminder", "{\"words\": \"See whether Weir flows again.\", \"hours\": 0}")
                .andExpect(status().isNoContent());
        assertThat(looks()).containsExactly("See whether Weir flows again.");

        tell("TRIED", "rinse-prefilter", "solved");

        assertThat(looks()).isEmpty();
    }

    private List<String> looks() throws Exception {
        List<String> words = new ArrayList<>();
        site.read(site.get(keeper, "/api/rounds"))
                .get("looks")
                .forEach(look -> words.add(look.get("words").asString()));
        return words;
    }

    @Test
    void a_like_case_is_found_again() throws Exception {
        open("noise");
        safe();
        tell("TRIED", "clean-impeller", "solved");
        String first = path;
        path = "/api/trouble-cases/" + UUID.randomUUID();

        JsonNode again = site.read(open("noise"));

        assertThat(again.get("before")).hasSize(1);
        assertThat(first).endsWith(again.get("before").get(0).get("id").asString());
    }

    @Test
    void closed_cases_are_counted_until_the_keeper_begins_anew() throws Exception {
        open("noise");
        safe();
        tell("TRIED", "clean-impeller", "solved");

        site.get(keeper, "/api/trouble-rates").andExpect(jsonPath("$.cases").value(1));
        site.put(keeper, "/api/trouble-rates/anew", "{}")
                .andExpect(jsonPath("$.cases").value(0));
        site.delete(keeper, "/api/trouble-rates/anew")
                .andExpect(jsonPath("$.cases").value(1));
        site.put(site.helperOf(keeper), "/api/trouble-rates/anew", "{}").andExpect(status().isForbidden());
    }

    @Test
    void another_site_sees_and_touches_nothing_of_it() throws Exception {
        open("noise");
        SignedIn stranger = site.keeper();

        site.get(stranger, path).andExpect(status().isNotFound());
        tell(stranger, event(UUID.randomUUID(), "ANSWER", "onset", "crept")).andExpect(status().isNotFound());
        site.delete(stranger, path).andExpect(status().isNotFound());
        site.get(stranger, "/api/trouble-cases")
                .andExpect(jsonPath("$.length()").value(0));
    }

    @Test
    void a_case_of_a_filter_that_was_taken_out_can_still_be_read() throws Exception {
        open("noise");
        site.delete(keeper, "/api/filters/" + weir.get("id").asLong()).andExpect(status().is2xxSuccessful());

        site.get(keeper, path)
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.summary.filterName").value("Weir"))
                .andExpect(jsonPath("$.tasks").isEmpty());
        site.get(keeper, "/api/trouble-cases")
                .andExpect(jsonPath("$[0].filterName").value("Weir"));
    }

    @Test
    void a_step_of_another_case_is_not_taken_in_silence() throws Exception {
        UUID step = UUID.randomUUID();
        open("noise");
        tell(keeper, event(step, "ANSWER", "onset", "crept")).andExpect(status().isOk());
        path = "/api/trouble-cases/" + UUID.randomUUID();
        open("weak-flow");

        tell(keeper, event(step, "ANSWER", "onset", "crept"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("taken"));
    }

    @Test
    void removed_it_is_gone_with_its_reminder() throws Exception {
        open("noise");
        site.put(keeper, path + "/reminder", "{\"words\": \"Look.\", \"hours\": 0}");

        site.delete(keeper, path).andExpect(status().isNoContent());

        site.get(keeper, path).andExpect(status().isNotFound());
        assertThat(looks()).isEmpty();
    }
}
