package app.chervil.server.trial;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.content;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** A trial on one tank: how it runs, what it says and what is adopted. */
@ChervilTest
class TrialApiTest extends TriedSite {
    private JsonNode forecast() throws Exception {
        return site.read(site.get(keeper, "/api/forecasts"))
                .valueStream()
                .filter(one -> one.get("subject").get("taskId").asLong() == prefilter)
                .findFirst()
                .orElseThrow();
    }

    private void rinsed(int daysAgo) throws Exception {
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Marit", "note": "", "flows": [], "tasks": [{"taskId": %d}]}""".formatted(tank, TODAY.minusDays(daysAgo), prefilter))
                .andExpect(status().isOk());
    }

    @Test
    void a_running_trial_says_when_its_task_is_due() throws Exception {
        rinsed(3);

        begin(20); // the other way holds from the fifteenth day on

        assertThat(forecast().get("window").get("ideal").asString())
                .isEqualTo(TODAY.plusDays(11).toString());
        assertThat(forecast().get("reasons").get(0).asString()).isEqualTo("Being tried: every 14 days.");
        assertThat(only().get("now").asInt()).isEqualTo(1);
        assertThat(only().get("verdict").asString()).isEqualTo("TOO_FEW");
    }

    @Test
    void stopping_gives_the_task_back_and_can_be_undone() throws Exception {
        begin(20);

        site.post(keeper, TRIALS + "/" + id + "/stop", "").andExpect(status().isNoContent());

        assertThat(only().get("state").asString()).isEqualTo("STOPPED");
        assertThat(forecast().get("basis").asString()).isNotEqualTo("FIXED");
        site.post(keeper, TRIALS + "/" + id + "/resume", "").andExpect(status().isNoContent());
        assertThat(only().get("state").asString()).isEqualTo("RUNNING");
    }

    @Test
    void what_was_read_and_done_is_told_way_by_way() throws Exception {
        begin(56);
        // nitrate rises by 2 a week in the first and fourth fortnight, by 6 in the two between
        double nitrate = 10;
        for (int day = 0; day <= 55; day++) {
            if (day % 5 == 0) {
                read(56 - day, nitrate);
            }
            nitrate += (day >= 14 && day < 42 ? 6 : 2) / 7.0;
        }
        rinsed(50);
        rinsed(45);
        rinsed(30);

        JsonNode trial = only();

        assertThat(trial.get("state").asString()).isEqualTo("DONE");
        assertThat(trial.get("verdict").asString()).isEqualTo("TOLD_APART");
        JsonNode pair = trial.get("pairs").get(0);
        assertThat(pair.get("way").asInt()).isEqualTo(1);
        assertThat(pair.get("apart").asBoolean()).isTrue();
        assertThat(pair.get("difference").get("perWeek").asDouble()).isBetween(3.5, 4.5);
        assertThat(pair.get("percent").get("perWeek").asDouble()).isBetween(160.0, 240.0);
        // Every seven days is worth its work against every fourteen.
        assertThat(trial.get("knee").asInt()).isZero();
        assertThat(trial.get("ways").get(0).get("times").asInt()).isEqualTo(2);
        assertThat(trial.get("ways").get(1).get("times").asInt()).isEqualTo(1);
        // two rinses of five minutes in four weeks
        assertThat(trial.get("ways").get(0).get("minutesAWeek").asDouble()).isEqualTo(2.5);
        assertThat(trial.get("ways").get(0).get("costAWeek").asDouble()).isZero();
    }

    @Test
    void all_trials_come_as_a_table_with_a_row_for_each_way() throws Exception {
        begin(20);
        rinsed(18);

        String[] table = site.get(keeper, TRIALS + "/table.csv")
                .andExpect(status().isOk())
                .andExpect(header().string("Content-Disposition", "attachment; filename=\"trials.csv\""))
                .andReturn()
                .getResponse()
                .getContentAsString()
                .split("\r\n");

        assertThat(table).hasSize(3);
        assertThat(table[0]).startsWith("Tank,Task,Began,Until,State,Every days");
        assertThat(table[1]).endsWith(",2026-05-12,2026-07-07,RUNNING,7,14,1,2.5,0,Nitrate,mg/L,,,,,");
        assertThat(table[2]).contains(",RUNNING,14,");
        site.get(site.keeper(), TRIALS + "/table.csv").andExpect(content().string(startsWith("Tank,")));
    }

    @Test
    void before_it_begins_it_is_said_what_it_could_tell_at_the_pace_of_reading_so_far() throws Exception {
        String asked = TRIALS + "/forethought";
        String planned = trial(prefilter, 0, 4, 7, 14);
        JsonNode nothingRead = site.read(site.post(keeper, asked, planned).andExpect(status().isOk()));
        assertThat(nothingRead.has("smallestPercent")).isFalse();
        assertThat(nothingRead.get("enough").asBoolean()).isFalse();

        for (int day = 0; day <= 56; day += 4) {
            read(56 - day, 10 + day * 4 / 7.0);
        }
        JsonNode ahead = site.read(site.post(keeper, asked, planned));

        assertThat(ahead.get("readings").asInt()).isBetween(10, 20);
        assertThat(ahead.get("smallestPercent").asInt()).isPositive();
        assertThat(ahead.get("weeksWanted").asInt()).isPositive();
        assertThat(site.read(site.get(keeper, TRIALS)).size())
                .as("nothing was begun")
                .isZero();
        site.post(keeper, asked, trial(prefilter, 0, 6, 7, 14))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("periods"));
    }

    @Test
    void trials_that_could_tell_nothing_are_refused_at_their_field() throws Exception {
        begin(20);
        String other = TRIALS + "/" + UUID.randomUUID();

        site.put(keeper, other, trial(prefilter, 1, 4, 7, 14))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("one-at-a-time"));
        site.delete(keeper, TRIALS + "/" + id).andExpect(status().isNoContent());
        site.put(keeper, other, trial(prefilter, 1, 6, 7, 7))
                .andExpect(jsonPath("$.errors[0].field").value("periods"))
                .andExpect(jsonPath("$.errors[1].field").value("ways"));
        site.put(keeper, other, trial(prefilter, 1, 4, 7, 20))
                .andExpect(jsonPath("$.errors[0].field").value("ways[1]"));
        site.put(keeper, other, trial(TestSite.task(canister, "Change the fine pad"), 1, 4, 7, 14))
                .andExpect(jsonPath("$.errors[0].code").value("has-no-interval"));
    }

    @Test
    void a_way_without_is_due_at_no_time_and_only_what_a_filter_runs_without_can_be_left_out() throws Exception {
        site.put(keeper, TRIALS + "/" + id, trial(prefilter, 1, 6, 0, 7, 14)).andExpect(status().isNoContent());

        assertThat(forecast().get("reasons").get(0).asString()).startsWith("A trial runs without it");
        assertThat(only().get("ways").get(0).has("days")).isFalse();
        assertThat(only().get("ways")).hasSize(3);
        site.delete(keeper, TRIALS + "/" + id);
        site.put(
                        keeper,
                        TRIALS + "/" + UUID.randomUUID(),
                        trial(TestSite.task(canister, "Open canister Weir"), 1, 4, 0, 14))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("ways[0]"));
        site.put(keeper, TRIALS + "/" + UUID.randomUUID(), trial(prefilter, 1, 8, 0, 7, 14))
                .andExpect(jsonPath("$.errors[0].message").value("A multiple of 6, so that each way has as many."));
    }

    @Test
    void what_a_trial_found_is_adopted_says_so_and_can_be_taken_back() throws Exception {
        begin(20);
        String adopted = TRIALS + "/" + id + "/adopted";
        site.put(keeper, adopted, "{\"way\": 0}")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("still-running"));
        site.post(keeper, TRIALS + "/" + id + "/stop", "");

        site.put(keeper, adopted, "{\"way\": 1}").andExpect(status().isNoContent());

        assertThat(only().get("adopted").asInt()).isEqualTo(1);
        assertThat(forecast().get("reasons").get(0).asString()).isEqualTo("Chosen after a trial: every 14 days.");
        site.post(keeper, adopted + "/undo", "{\"mode\": \"LEARN\"}").andExpect(status().isNoContent());
        assertThat(forecast().get("basis").asString()).isNotEqualTo("FIXED");
        assertThat(only().has("adopted")).isFalse();
        site.put(keeper, adopted, "{\"way\": 7}")
                .andExpect(jsonPath("$.errors[0].code").value("no-interval"));
        site.put(site.helperOf(keeper), adopted, "{\"way\": 1}").andExpect(status().isForbidden());
    }

    @Test
    void it_is_said_how_many_readings_would_tell_what_matters_and_when_they_are_there() throws Exception {
        begin(40);
        double nitrate = 10;
        for (int day = 0; day < 40; day++) {
            if (day % 4 == 0) {
                read(40 - day, nitrate + (day % 8 == 0 ? 1 : -1));
            }
            nitrate += 5 / 7.0;
        }

        JsonNode outlook = only().get("outlook");

        assertThat(outlook.get("readings").asInt()).isEqualTo(10);
        assertThat(outlook.get("wantedPercent").asInt()).isEqualTo(20);
        assertThat(outlook.get("readingsWanted").asInt()).isGreaterThan(10);
        assertThat(outlook.get("nothingLeft").asBoolean()).isFalse();
        assertThat(outlook.get("enoughOn").asString()).isGreaterThan(TODAY.toString());
    }

    @Test
    void trials_stay_on_their_site() throws Exception {
        begin(20);
        SignedIn stranger = site.keeper();

        assertThat(site.read(site.get(stranger, TRIALS))).isEmpty();
        site.post(stranger, TRIALS + "/" + id + "/stop", "").andExpect(status().isNotFound());
        site.put(stranger, TRIALS + "/" + UUID.randomUUID(), trial(prefilter, 1, 4, 7, 14))
                .andExpect(status().isNotFound());
    }
}
