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
import java.time.LocalDate;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** A keeper tries two intervals of a pre-filter; today is Monday 1 June 2026. */
@ChervilTest
class TrialApiTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final String TRIALS = "/api/trials";

    @Autowired
    TestSite site;

    private SignedIn keeper;
    private long tank;
    private JsonNode canister;
    private long prefilter;
    private final UUID id = UUID.randomUUID();

    @BeforeEach
    void tank() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        canister = site.canister(keeper, tank, "Weir", "2026-02-01");
        prefilter = TestSite.task(canister, "Rinse the pre-filter");
    }

    private static String trial(long task, int beganDaysAgo, int periods, Integer... ways) {
        return """
            {"taskId": %d, "parameter": "NITRATE", "began": "%s", "periodDays": 14, "periods": %d, "ways": %s}""".formatted(task, TODAY.minusDays(beganDaysAgo), periods, List.of(ways));
    }

    private void begin(int daysAgo) throws Exception {
        site.put(keeper, TRIALS + "/" + id, trial(prefilter, daysAgo, 4, 7, 14)).andExpect(status().isNoContent());
    }

    private JsonNode only() throws Exception {
        JsonNode trials = site.read(site.get(keeper, TRIALS).andExpect(status().isOk()));
        assertThat(trials).hasSize(1);
        return trials.get(0);
    }

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

    private void read(int daysAgo, double nitrate) throws Exception {
        read(tank, daysAgo, nitrate);
    }

    private void read(long where, int daysAgo, double nitrate) throws Exception {
        site.post(keeper, "/api/tanks/" + where + "/readings", """
                {"takenAt": "%sT12:00:00Z", "moment": "PLAIN", "values": [{"id": "%s", "parameter": "NITRATE",
                 "amount": %s, "belowDetection": false, "early": false, "method": "Drop test"}]}""".formatted(
                                TODAY.minusDays(daysAgo), UUID.randomUUID(), nitrate))
                .andExpect(status().is2xxSuccessful());
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
    void the_same_ways_on_several_tanks_are_told_tank_by_tank_and_together() throws Exception {
        long pond = site.tank(keeper);
        JsonNode ewer = site.canister(keeper, pond, "Ewer", "2026-02-01");
        String also = trial(prefilter, 56, 4, 7, 14)
                .replace("}", ", \"alsoTaskIds\": [" + TestSite.task(ewer, "Rinse the pre-filter") + "]}");
        site.put(keeper, TRIALS + "/" + id, also).andExpect(status().isNoContent());
        site.put(keeper, TRIALS + "/" + id, also).andExpect(status().isNoContent());
        for (long one : new long[] {tank, pond}) {
            double nitrate = 10;
            for (int day = 0; day <= 55; day++) {
                if (day % 5 == 0) {
                    read(one, 56 - day, nitrate);
                }
                nitrate += (day >= 14 && day < 42 ? 6 : 2) / 7.0;
            }
        }

        JsonNode trials = site.read(site.get(keeper, TRIALS));

        assertThat(trials).hasSize(2);
        JsonNode together = trials.get(0).get("together");
        assertThat(together).isEqualTo(trials.get(1).get("together"));
        assertThat(together.get("tanks").asInt()).isEqualTo(2);
        assertThat(together.get("pairs").get(0).get("difference").get("perWeek").asDouble())
                .isBetween(3.5, 4.5);
        assertThat(together.get("pairs")
                        .get(0)
                        .get("difference")
                        .get("readings")
                        .asInt())
                .isEqualTo(24);
    }

    @Test
    void tanks_are_compared_by_the_same_task_and_each_tank_once() throws Exception {
        long pond = site.tank(keeper);
        JsonNode ewer = site.canister(keeper, pond, "Ewer", "2026-02-01");
        String other = TRIALS + "/" + UUID.randomUUID();

        site.put(
                        keeper,
                        other,
                        trial(prefilter, 1, 4, 7, 14)
                                .replace(
                                        "}", ", \"alsoTaskIds\": [" + TestSite.task(ewer, "Open canister Ewer") + "]}"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("not-alike"));
        site.put(keeper, other, trial(prefilter, 1, 4, 7, 14).replace("}", ", \"alsoTaskIds\": [" + prefilter + "]}"))
                .andExpect(jsonPath("$.errors[0].code").value("same-tank"));
        assertThat(site.read(site.get(keeper, TRIALS))).isEmpty();
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

    private long pond() throws Exception {
        return site.tank(keeper);
    }

    /** A trial of the pre-filter on this tank and another, each keeping one way. */
    private void oneEach(long other, int daysAgo) throws Exception {
        JsonNode ewer = site.canister(keeper, other, "Ewer", "2026-02-01");
        site.put(
                        keeper,
                        TRIALS + "/" + id,
                        trial(prefilter, daysAgo, 4, 7, 14)
                                .replace(
                                        "}",
                                        ", \"oneEach\": true, \"alsoTaskIds\": ["
                                                + TestSite.task(ewer, "Rinse the pre-filter") + "]}"))
                .andExpect(status().isNoContent());
    }

    /** The trial of a tank among several. */
    private JsonNode on(long where) throws Exception {
        return site.read(site.get(keeper, TRIALS))
                .valueStream()
                .filter(one -> one.get("subject").get("tankId").asLong() == where)
                .findFirst()
                .orElseThrow();
    }

    private void rises(long where, int fromDaysAgo, int toDaysAgo, double start, double aWeek) throws Exception {
        for (int day = fromDaysAgo; day > toDaysAgo; day -= 4) {
            read(where, day, start + (fromDaysAgo - day) * aWeek / 7);
        }
    }

    @Test
    void tanks_that_keep_one_way_each_tell_how_they_do_and_nothing_of_the_ways() throws Exception {
        long other = pond();
        oneEach(other, 40);
        rises(tank, 40, 0, 10, 2);
        rises(other, 40, 0, 10, 6);

        JsonNode first = on(tank);

        assertThat(first.get("plan").get("oneEach").asBoolean()).isTrue();
        assertThat(first.get("plan").get("maySwap").asBoolean()).isTrue();
        assertThat(first.get("ways").get(0).get("rise").get("perWeek").asDouble())
                .isBetween(1.7, 2.3);
        assertThat(first.get("ways").get(1).has("rise")).isFalse();
        assertThat(on(other).get("ways").get(1).get("rise").get("perWeek").asDouble())
                .isBetween(5.7, 6.3);
        assertThat(first.get("pairs")).isEmpty();
        assertThat(first.get("together").get("pairs")).isEmpty();
    }

    @Test
    void tanks_swap_their_ways_once_and_keep_the_new_ones_as_long_again() throws Exception {
        long other = pond();
        oneEach(other, 40);
        String swap = TRIALS + "/" + id + "/swap";

        site.post(keeper, swap, "").andExpect(status().isNoContent());

        assertThat(on(tank).get("now").asInt()).isEqualTo(1);
        assertThat(on(other).get("now").asInt()).isZero();
        assertThat(on(tank).get("plan").get("until").asString())
                .isEqualTo(TODAY.plusDays(56).toString());
        site.post(keeper, swap, "")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("had-all"));
        site.delete(keeper, swap).andExpect(status().isNoContent());
        assertThat(on(tank).get("now").asInt()).isZero();
        assertThat(on(tank).get("plan").get("until").asString())
                .isEqualTo(TODAY.plusDays(16).toString());
    }

    @Test
    void one_way_each_wants_as_many_tanks_as_ways_and_has_nothing_to_foresee() throws Exception {
        String alone = trial(prefilter, 0, 4, 7, 14).replace("}", ", \"oneEach\": true}");

        site.put(keeper, TRIALS + "/" + id, alone)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("too-few-tanks"));
        oneEach(pond(), 0);
        site.post(keeper, TRIALS + "/" + id + "/swap", "")
                .andExpect(jsonPath("$.errors[0].code").value("too-soon"));
    }

    private void event(UUID event, int daysAgo, String kind, String note, int expected) throws Exception {
        site.put(
                        keeper,
                        "/api/tanks/" + tank + "/events/" + event,
                        "{\"onDay\": \"%s\", \"kind\": \"%s\", \"note\": \"%s\"}"
                                .formatted(TODAY.minusDays(daysAgo), kind, note))
                .andExpect(status().is(expected));
    }

    @Test
    void what_else_changed_is_told_allowed_for_and_can_be_taken_back() throws Exception {
        begin(56);
        double nitrate = 10;
        for (int day = 0; day <= 55; day++) {
            if (day % 4 == 0) {
                read(56 - day, nitrate);
            }
            // Fed more from day 35 on, which is neither way's doing.
            nitrate += ((day >= 14 && day < 42 ? 4 : 2) + (day >= 35 ? 6 : 0)) / 7.0;
        }
        double blurred =
                only().get("pairs").get(0).get("difference").get("perWeek").asDouble();
        UUID fed = UUID.randomUUID();

        event(fed, 21, "FED_MORE", "fry", 204);
        event(fed, 21, "FED_MORE", "fry", 204);

        JsonNode told = only();
        assertThat(told.get("changes")).hasSize(1);
        assertThat(told.get("changes").get(0).get("words").asString()).isEqualTo("Fed more: fry");
        assertThat(told.get("changes").get(0).get("allowedFor").asBoolean()).isTrue();
        double apart = told.get("pairs").get(0).get("difference").get("perWeek").asDouble();
        assertThat(Math.abs(apart - 2)).isLessThan(Math.abs(blurred - 2)).isLessThan(0.5);
        site.delete(keeper, "/api/tank-events/" + fed).andExpect(status().isNoContent());
        assertThat(only().get("changes")).isEmpty();
        site.post(keeper, "/api/tank-events/" + fed + "/restore", "").andExpect(status().isNoContent());
        assertThat(only().get("changes")).hasSize(1);
    }

    @Test
    void what_changed_is_refused_where_it_says_nothing_or_is_to_come_or_stands_under_another_id() throws Exception {
        event(UUID.randomUUID(), 0, "OTHER", " ", 422);
        event(UUID.randomUUID(), -1, "FED_LESS", "", 422);
        UUID taken = UUID.randomUUID();
        event(taken, 3, "ANIMALS_LOST", "", 204);
        event(taken, 4, "ANIMALS_ADDED", "", 409);
        site.delete(keeper, "/api/tank-events/" + UUID.randomUUID()).andExpect(status().isNotFound());
        site.delete(site.keeper(), "/api/tank-events/" + taken).andExpect(status().isNotFound());
    }

    @Test
    void what_is_watched_is_shown_by_way_and_without_a_verdict() throws Exception {
        site.put(
                        keeper,
                        TRIALS + "/" + id,
                        trial(prefilter, 56, 4, 7, 14).replace("}", ", \"watched\": [\"PHOSPHATE\", \"PH\"]}"))
                .andExpect(status().isNoContent());
        for (int day = 56; day > 0; day -= 4) {
            boolean second = day <= 42 && day > 14;
            site.post(keeper, "/api/tanks/" + tank + "/readings", """
                            {"takenAt": "%sT12:00:00Z", "moment": "PLAIN", "values": [{"id": "%s", "parameter": "PH",
                             "amount": %s, "belowDetection": false, "early": false, "method": "Drop test"}]}""".formatted(
                                    TODAY.minusDays(day), UUID.randomUUID(), second ? 7.5 : 7.0))
                    .andExpect(status().is2xxSuccessful());
        }

        JsonNode watched = only().get("watched");

        assertThat(watched.get(0).get("parameter").asString()).isEqualTo("Phosphate");
        assertThat(watched.get(0).get("byWay").get(0).has("rise")).isFalse();
        JsonNode held = watched.get(1).get("byWay");
        assertThat(held.get(0).get("held").get("mean").asDouble()).isEqualTo(7.0);
        assertThat(held.get(1).get("held").get("mean").asDouble()).isEqualTo(7.5);
        assertThat(held.get(1).get("held").get("readings").asInt()).isEqualTo(7);
        site.put(
                        keeper,
                        TRIALS + "/" + UUID.randomUUID(),
                        trial(prefilter, 150, 4, 7, 14).replace("}", ", \"watched\": [\"NITRATE\"]}"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("watched"));
    }

    private JsonNode due() throws Exception {
        return site.read(site.get(keeper, "/api/rounds").andExpect(status().isOk()));
    }

    @Test
    void the_rounds_ask_for_the_reading_that_a_trial_wants() throws Exception {
        begin(3);
        assertThat(due().toString()).contains("A trial compares it");
        assertThat(only().get("readBy").asString()).isEqualTo(TODAY.toString());

        read(0, 12);

        assertThat(due().toString()).doesNotContain("A trial compares it");
        assertThat(only().get("readBy").asString()).isEqualTo(TODAY.plusDays(7).toString());
        assertThat(only().get("ways").get(0).get("readings").asInt()).isEqualTo(1);
    }

    @Test
    void the_rounds_say_when_to_take_the_thing_out_and_when_to_put_it_back() throws Exception {
        site.put(keeper, TRIALS + "/" + id, trial(prefilter, 1, 4, 0, 7)).andExpect(status().isNoContent());

        JsonNode look = site.read(site.get(keeper, "/api/rounds")).get("looks").get(0);

        assertThat(look.get("words").asString())
                .startsWith("A trial runs without the pre-filter of Weir for 14 days: take it out")
                .contains("Fry and shrimp");
        String done = "/api/follow-ups/" + look.get("id").asString() + "/done";
        site.put(keeper, done, "").andExpect(status().is2xxSuccessful());
        assertThat(site.read(site.get(keeper, "/api/rounds")).get("looks")).isEmpty();
        site.delete(keeper, done).andExpect(status().is2xxSuccessful());
        assertThat(site.read(site.get(keeper, "/api/rounds")).get("looks")).hasSize(1);
    }
}
