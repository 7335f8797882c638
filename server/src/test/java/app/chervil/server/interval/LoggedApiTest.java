package app.chervil.server.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.lessThan;
import static org.hamcrest.Matchers.not;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.Collections;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** What is made of a log: unknown starts, late entries, slips, questions, and how people grade. */
@ChervilTest
class LoggedApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode weir;

    @BeforeEach
    void adopt() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        weir = site.read(site.post(
                keeper,
                "/api/tanks/" + tank + "/filters",
                TestSite.canister("Weir", "2026-06-01").replace("\"careFrom\": \"2026-06-01\",", "")));
    }

    @Test
    void a_filter_whose_last_cleaning_nobody_knows_is_asked_about_once_and_in_one_tap() throws Exception {
        JsonNode saved = site.read(opened("2026-06-01", "LIGHT", ""));

        JsonNode question = saved.get("questions").get(0);
        assertThat(question.get("asked").asString()).isEqualTo("START");
        assertThat(question.get("text").asString()).isEqualTo("When was Weir last cleaned before this?");
        String id = saved.get("service").get("id").asString();
        site.put(keeper, "/api/services/" + id + "/answers", answer("START", "DAYS_90"))
                .andExpect(jsonPath("$.questions").isEmpty())
                .andExpect(jsonPath("$.moved").isNotEmpty());

        site.get(keeper, "/api/filters/" + weir.get("id").asLong())
                .andExpect(jsonPath("$.cleaned.on").value("2026-03-03"))
                .andExpect(jsonPath("$.cleaned.sureness").value("ABOUT"));
        assertThat(site.read(opened("2026-06-01", "LIGHT", "")).get("questions"))
                .isEmpty();
    }

    @Test
    void a_gap_in_the_log_is_asked_about_only_where_the_same_work_was_logged_before() throws Exception {
        site.put(
                keeper,
                "/api/filters/" + weir.get("id").asLong() + "/last-cleaned",
                "{\"on\": \"2025-06-01\", \"sureness\": \"EXACT\"}");
        opened("2026-01-10", "LIGHT", "");

        assertThat(rinsed("2026-03-01").get("questions")).isEmpty();
        JsonNode question = rinsed("2026-06-01").get("questions").get(0);
        assertThat(question.get("asked").asString()).isEqualTo("LONG_GAP");
        assertThat(question.get("text").asString()).startsWith("This work on Weir was not logged for very long.");
    }

    private JsonNode rinsed(String day) throws Exception {
        return site.read(site.put(keeper, "/api/services/" + java.util.UUID.randomUUID(), """
            {"tankId": %d, "doneOn": "%s", "doneBy": "A", "note": "", "flows": [],
             "tasks": [{"taskId": %d, "finding": "HEAVY"}]}""".formatted(
                        tank, day, TestSite.task(weir, "Rinse the pre-filter"))));
    }

    @Test
    void a_flow_that_cleaning_did_not_bring_back_is_asked_about() throws Exception {
        everything("2026-03-25", "MODERATE", 700, 850);

        JsonNode questions = everything("2026-05-30", "LIGHT", 250, 300).get("questions");

        assertThat(questions.valueStream().map(one -> one.get("asked").asString()))
                .containsExactly("FLOW_NOT_RESTORED");
        assertThat(questions.get(0).get("text").asString())
                .startsWith("Even clean, Weir gives far less flow than it once did.");
        assertThat(questions.get(0).get("choices")).hasSize(5);
    }

    /** Opened, with foam and pre-filter rinsed and the flow measured. */
    private JsonNode everything(String day, String foam, int before, int after) throws Exception {
        return site.read(site.put(keeper, "/api/services/" + UUID.randomUUID(), """
            {"tankId": %d, "doneOn": "%s", "doneBy": "A", "note": "",
             "flows": [{"filterId": %d, "before": {"litresPerHour": %d}, "after": {"litresPerHour": %d}}],
             "tasks": [{"taskId": %d}, {"taskId": %d, "finding": "%s"}, {"taskId": %d, "finding": "LIGHT"}]}""".formatted(
                        tank,
                        day,
                        weir.get("id").asLong(),
                        before,
                        after,
                        TestSite.task(weir, "Open canister Weir"),
                        TestSite.task(weir, "Rinse the coarse foam"),
                        foam,
                        TestSite.task(weir, "Rinse the pre-filter"))));
    }

    @Test
    void another_tank_and_another_name_change_no_date() throws Exception {
        opened("2026-05-20", "MODERATE", "");
        JsonNode before = site.read(site.get(keeper, "/api/forecasts?tank=" + tank));

        long other = site.tank(keeper);
        JsonNode strange = site.canister(keeper, other, "Strange", "2025-01-01");
        site.put(keeper, "/api/services/" + java.util.UUID.randomUUID(), """
            {"tankId": %d, "doneOn": "2026-05-30", "doneBy": "A", "note": "", "flows": [],
             "tasks": [{"taskId": %d, "finding": "CLOGGED"}]}""".formatted(
                        other, TestSite.task(strange, "Rinse the pre-filter")));
        site.put(keeper, "/api/tanks/" + tank, """
            {"version": 1, "changedOn": "2026-06-01", "tank": %s}""".formatted(TestSite.TANK.replace("\"Brook\"", "\"Beck\"")))
                .andExpect(status().isOk());

        assertThat(site.read(site.get(keeper, "/api/forecasts?tank=" + tank))).isEqualTo(before);
    }

    @Test
    void what_nobody_answered_is_asked_on_the_rounds_until_somebody_does() throws Exception {
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.questions").isEmpty());
        opened("2026-05-20", "LIGHT", "");
        opened("2026-06-01", "LIGHT", "");

        JsonNode open = site.read(site.get(keeper, "/api/rounds")).get("questions");
        assertThat(open).hasSize(1);
        assertThat(open.get(0).get("question").get("text").asString())
                .isEqualTo("When was Weir last cleaned before 20 May?");
        site.put(
                        keeper,
                        "/api/services/" + open.get(0).get("serviceId").asString() + "/answers",
                        answer("START", "UNKNOWN"))
                .andExpect(status().isOk());

        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.questions").isEmpty());
        site.get(keeper, "/api/filters/" + weir.get("id").asLong())
                .andExpect(jsonPath("$.cleaned.sureness").value("UNKNOWN"));
    }

    @Test
    void a_filter_of_unknown_age_is_looked_at_today_and_opened_in_a_week() throws Exception {
        assertThat(opening().get("window").get("earliest").asString()).isEqualTo("2026-06-08");
        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.visits[0].errands[?(@.name == 'Rinse the pre-filter')].standing")
                        .value("DUE"));
    }

    @Test
    void the_day_of_the_last_cleaning_can_be_edited_later_and_dates_follow() throws Exception {
        String filter = "/api/filters/" + weir.get("id").asLong();
        site.put(keeper, filter + "/last-cleaned", "{\"on\": \"2026-05-20\", \"sureness\": \"EXACT\"}")
                .andExpect(status().isOk());
        String before = opening().get("window").get("ideal").asString();

        site.put(keeper, filter + "/last-cleaned", "{\"on\": \"2026-05-01\", \"sureness\": \"EXACT\"}")
                .andExpect(jsonPath("$.cleaned.on").value("2026-05-01"));

        assertThat(opening().get("since").asString()).isEqualTo("2026-05-01");
        assertThat(opening().get("window").get("ideal").asString()).isLessThan(before);
        site.put(keeper, filter + "/last-cleaned", "{\"on\": \"2026-06-02\", \"sureness\": \"EXACT\"}")
                .andExpect(jsonPath("$.errors[0].field").value("on"));
    }

    @Test
    void a_canister_neglected_for_years_asks_for_a_look_first_and_is_never_years_late() throws Exception {
        site.put(
                keeper,
                "/api/filters/" + weir.get("id").asLong() + "/last-cleaned",
                "{\"on\": \"2022-06-01\", \"sureness\": \"ABOUT\"}");

        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.visits[0].effort.daysLate").value(0))
                .andExpect(jsonPath("$.visits[0].effort.minutes").value(lessThan(30)))
                .andExpect(jsonPath("$.visits[0].errands[*].name").value(hasItem("Rinse the pre-filter")))
                .andExpect(jsonPath("$.visits[0].errands[*].name").value(not(hasItem("Open canister Weir"))));
        assertThat(opening().get("window").get("earliest").asString()).isEqualTo("2026-06-08");
        assertThat(opening().get("reasons").get(0).asString()).contains("taken on over weeks");
    }

    @Test
    void services_entered_for_earlier_days_are_history() throws Exception {
        opened("2026-06-01", "MODERATE", "");
        long alone = opening().get("intervalDays").asLong();

        opened("2026-03-10", "MODERATE", "");
        opened("2025-12-20", "MODERATE", "");

        assertThat(opening().get("basis").asString()).isEqualTo("LEARNED");
        assertThat(opening().get("since").asString()).isEqualTo("2026-06-01");
        assertThat(opening().get("intervalDays").asLong()).isNotEqualTo(alone);
    }

    @Test
    void opened_for_a_drip_and_nothing_cleaned_moves_nothing() throws Exception {
        opened("2026-05-01", "MODERATE", "");
        JsonNode before = opening();

        opened("2026-05-20", null, ", \"circumstances\": {\"parts\": [], \"again\": true}");

        assertThat(opening()).isEqualTo(before);
    }

    @Test
    void a_slip_taken_back_is_as_if_it_never_was() throws Exception {
        opened("2026-05-01", "MODERATE", "");
        JsonNode before = opening();

        String slip =
                site.read(opened("2026-05-30", "CLOGGED", "")).at("/service/id").asString();
        assertThat(opening()).isNotEqualTo(before);
        site.delete(keeper, "/api/services/" + slip).andExpect(status().isNoContent());

        assertThat(opening()).isEqualTo(before);
    }

    @Test
    void a_flow_above_the_plate_is_asked_about_and_left_out() throws Exception {
        JsonNode saved = site.read(opened(
                "2026-06-01",
                "MODERATE",
                ", \"flows\": [{\"filterId\": %d, \"after\": {\"litresPerHour\": 9000}}]"
                        .formatted(weir.get("id").asLong())));

        assertThat(saved.get("questions").valueStream().map(one -> one.get("asked")
                        .asString()))
                .contains("FLOW_DOUBTED");
        site.put(
                        keeper,
                        "/api/services/" + saved.at("/service/id").asString() + "/answers",
                        answer("FLOW_DOUBTED", "MAYBE"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("answer"));
    }

    @Test
    void twelve_pictures_tell_how_a_person_grades_and_move_their_dates() throws Exception {
        site.get(keeper, "/api/eye")
                .andExpect(jsonPath("$.pictures.length()").value(12))
                .andExpect(jsonPath("$.offered").value(false));
        opened("2026-05-20", "HEAVY", "");
        opened("2026-03-01", "HEAVY", "");
        opened("2026-01-10", "HEAVY", "");
        site.get(keeper, "/api/eye").andExpect(jsonPath("$.offered").value(true));

        // a harsh eye: two grades too high throughout
        String grades =
                "\"MODERATE\"" + ", \"HEAVY\"".repeat(4) + String.join("", Collections.nCopies(7, ", \"CLOGGED\""));
        site.put(keeper, "/api/eye", "{\"grades\": [" + grades + "]}")
                .andExpect(jsonPath("$.bias").value(org.hamcrest.Matchers.greaterThan(0.4)))
                .andExpect(jsonPath("$.verdict").value(org.hamcrest.Matchers.startsWith("You see about")))
                .andExpect(jsonPath("$.moved").isNotEmpty())
                .andExpect(jsonPath("$.offered").value(false));

        site.put(keeper, "/api/eye", "{\"grades\": [\"CLEAN\"]}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("grades"));
    }

    private JsonNode opening() throws Exception {
        return site.read(site.get(keeper, "/api/forecasts?tank=" + tank))
                .valueStream()
                .filter(one -> one.at("/subject/name").asString().equals("Open canister Weir"))
                .findFirst()
                .orElseThrow();
    }

    private String answer(String asked, String answer) {
        return "{\"filterId\": %d, \"asked\": \"%s\", \"answer\": \"%s\"}"
                .formatted(weir.get("id").asLong(), asked, answer);
    }

    private ResultActions opened(String day, String foam, String more) throws Exception {
        String flows = more.contains("flows") ? "" : ", \"flows\": []";
        String finding = foam == null ? "" : ", \"finding\": \"" + foam + '"';
        return site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Ines", "minutes": 40, "note": "",
                 "tasks": [{"taskId": %d}, {"taskId": %d%s}]%s%s}""".formatted(
                                tank,
                                day,
                                TestSite.task(weir, "Open canister Weir"),
                                TestSite.task(weir, "Rinse the coarse foam"),
                                finding,
                                flows,
                                more))
                .andExpect(status().isOk());
    }
}
