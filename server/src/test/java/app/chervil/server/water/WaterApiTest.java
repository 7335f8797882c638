package app.chervil.server.water;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasSize;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** A keeper reads, changes and holds water. */
@ChervilTest
class WaterApiTest extends WateredSite {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    @Autowired
    JdbcTemplate sql;

    @Test
    void a_set_is_kept_once_however_often_it_is_sent() throws Exception {
        String set = set(0, value("NITRATE", 20), value("PH", 7.2));

        site.post(keeper, readings(), set).andExpect(status().isOk());
        site.post(keeper, readings(), set).andExpect(status().isOk());

        site.get(keeper, readings()).andExpect(jsonPath("$", hasSize(2)));
    }

    @Test
    void an_odd_value_is_questioned_and_kept_once_somebody_stands_by_it() throws Exception {
        String odd = set(0, value("PH", 15));

        site.post(keeper, readings() + "/doubts", odd)
                .andExpect(jsonPath("$[0].parameter").value("PH"))
                .andExpect(jsonPath("$[0].question").value(startsWith("pH 15 is outside")));
        site.get(keeper, readings()).andExpect(jsonPath("$", hasSize(0)));
        site.post(keeper, readings(), odd)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("values[0].amount"))
                .andExpect(jsonPath("$.errors[0].code").value("asked"));
        site.get(keeper, readings()).andExpect(jsonPath("$", hasSize(0)));
        site.post(keeper, readings(), odd.replace("\"moment\"", "\"confirmed\": true, \"moment\""))
                .andExpect(status().isOk());
        site.get(keeper, readings()).andExpect(jsonPath("$[0].amount").value(15));
    }

    @Test
    void what_cannot_be_is_refused_at_its_field() throws Exception {
        site.post(keeper, readings(), set(0, value("PH", 7), value("NITRATE", -1)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("values[1].amount"));
        site.post(keeper, readings(), set(-2, value("PH", 7)))
                .andExpect(jsonPath("$.errors[0].code").value("in-the-future"));
        site.get(keeper, readings()).andExpect(jsonPath("$", hasSize(0)));
    }

    @Test
    void ammonia_read_too_early_is_at_least_that_much_and_asks_for_a_second_test() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-01-01");

        site.post(keeper, readings(), set(1, early("AMMONIA", 2)))
                .andExpect(jsonPath("$.holds[0].cause").value("AMMONIA"))
                .andExpect(jsonPath("$.due[0].parameter").value("AMMONIA"))
                .andExpect(jsonPath("$.due[0].why").value("The last one was read too early"));

        site.get(keeper, procedure(weir, "Open canister Weir"))
                .andExpect(jsonPath("$.held[0].hold.reason").value(containsString("Ammonia reached 2 mg/L")));
    }

    @Test
    void early_readings_do_not_crowd_out_those_that_were_read_in_time() throws Exception {
        site.post(keeper, readings(), set(9, value("NITRITE", 0.5)));
        for (int daysAgo = 8; daysAgo > 0; daysAgo--) {
            site.post(keeper, readings(), set(daysAgo, early("NITRITE", 0)));
        }

        site.get(keeper, "/api/tanks/" + tank + "/water")
                .andExpect(jsonPath("$.holds[0].cause").value("NITRITE"));
    }

    @Test
    void nitrite_holds_bio_work_everywhere_until_two_clean_readings_two_days_apart() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-01-01");

        site.post(keeper, readings(), set(6, value("NITRITE", 0.5)))
                .andExpect(jsonPath("$.holds[0].cause").value("NITRITE"));

        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.held[0].work[0]").value("Open canister Weir"))
                .andExpect(jsonPath("$..errands[?(@.name == 'Dip bio media')]").isEmpty());
        site.get(keeper, "/api/forecasts?tank=" + tank)
                .andExpect(jsonPath("$[?(@.subject.name == 'Dip bio media')].hold.cause")
                        .value("NITRITE"))
                .andExpect(jsonPath("$[?(@.subject.name == 'Open canister Weir')].hold.cause")
                        .value("NITRITE"))
                .andExpect(jsonPath("$[?(@.subject.name == 'Change the fine pad')].hold.cause")
                        .value("NITRITE"))
                .andExpect(jsonPath("$[?(@.subject.name == 'Rinse the pre-filter')].hold")
                        .isEmpty());
        site.get(keeper, procedure(weir, "Dip bio media"))
                .andExpect(jsonPath("$.held[0].hold.reason").value(containsString("Nitrite reached 0.5 mg/L")));
        String log = """
            {"tankId": %d, "doneOn": "2026-06-01", "doneBy": "A", "note": "", "flows": [], "tasks": [{"taskId": %d}]%s}""";
        long dip = TestSite.task(weir, "Dip bio media");
        String id = "/api/services/" + UUID.randomUUID();
        site.put(keeper, id, log.formatted(tank, dip, ""))
                .andExpect(jsonPath("$.errors[0].field").value("circumstances.overrideReason"));
        site.put(
                        keeper,
                        id,
                        log.formatted(
                                tank, dip, ", \"circumstances\": {\"overrideReason\": \"It clogged\", \"parts\": []}"))
                .andExpect(jsonPath("$.service.circumstances.overrideReason").value("It clogged"));

        site.post(keeper, readings(), set(3, below("NITRITE", 0.05)));
        site.post(keeper, readings(), set(2, early("NITRITE", 0)));
        site.post(keeper, readings(), set(1, below("NITRITE", 0.05))).andExpect(jsonPath("$.holds", hasSize(0)));
        site.get(keeper, "/api/rounds").andExpect(jsonPath("$.held", hasSize(0)));
    }

    @Test
    void toxic_ammonia_is_told_with_its_band() throws Exception {
        site.post(keeper, readings(), set(0, value("AMMONIA", 1), value("PH", 8), value("TEMPERATURE", 25)))
                .andExpect(jsonPath("$.toxic.percent").value(org.hamcrest.Matchers.closeTo(5.366, 0.01)))
                .andExpect(jsonPath("$.toxic.band").value("HARM"));
    }

    @Test
    void an_opening_asks_for_ammonia_on_the_next_days() throws Exception {
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-01-01");
        long open = TestSite.task(weir, "Open canister Weir");
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
            {"tankId": %d, "doneOn": "2026-05-31", "doneBy": "A", "note": "", "flows": [], "tasks": [{"taskId": %d}]}""".formatted(tank, open));

        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.readings[0].readings[0].parameter").value("AMMONIA"))
                .andExpect(jsonPath("$.readings[0].readings[0].why").value("The canister was serviced"));
        site.post(keeper, readings(), set(0, below("AMMONIA", 0.1))).andExpect(jsonPath("$.due", hasSize(0)));
    }

    @Test
    void too_much_new_media_is_refused_with_the_sum_unless_a_reason_is_written() throws Exception {
        JsonNode weir = site.read(site.post(
                keeper,
                "/api/tanks/" + tank + "/filters",
                TestSite.canister("Weir", "2026-01-01")
                        .replace("\"kind\": \"BIO_MEDIA\",", "\"kind\": \"BIO_MEDIA\", \"massG\": 1000,")));
        long stage = weir.get("stages")
                .valueStream()
                .filter(one -> one.get("kind").asString().equals("BIO_MEDIA"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
        String done = """
            {"media": {"stageId": %d, "grams": 600}, "replacedOn": "2026-06-01"%s}""";
        String id = "/api/tanks/" + tank + "/media-replacements/" + UUID.randomUUID();

        site.put(keeper, id, done.formatted(stage, ""))
                .andExpect(jsonPath("$.errors[0].field").value("media.grams"))
                .andExpect(jsonPath("$.detail").value(startsWith("600 g of 1000 g is 60 %.")));
        site.put(keeper, id, done.formatted(stage, ", \"overrideReason\": \"It fell apart\""))
                .andExpect(status().isOk());

        site.get(keeper, "/api/tanks/" + tank + "/media-replacements")
                .andExpect(jsonPath("$[0].overrideReason").value("It fell apart"));
        site.get(keeper, "/api/tanks/" + tank + "/water")
                .andExpect(jsonPath("$.holds[0].cause").value("MEDIA_REPLACED"));
    }

    @Test
    void an_exchange_of_media_is_told_what_was_done_that_week_and_counts_for_what_follows() throws Exception {
        JsonNode weir = site.read(site.post(
                keeper,
                "/api/tanks/" + tank + "/filters",
                TestSite.canister("Weir", "2026-01-01")
                        .replace("\"kind\": \"BIO_MEDIA\",", "\"kind\": \"BIO_MEDIA\", \"massG\": 1000,")));
        long stage = weir.get("stages").get(3).get("id").asLong();
        String plan = "{\"stageId\": %d, \"grams\": 100}".formatted(stage);
        String verdict = "/api/tanks/" + tank + "/media-verdict?on=2026-06-01";
        site.post(keeper, verdict, plan).andExpect(jsonPath("$.spacing").doesNotExist());

        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
            {"tankId": %d, "doneOn": "2026-05-29", "doneBy": "A", "note": "", "flows": [], "tasks": [{"taskId": %d}]}""".formatted(
                        tank, TestSite.task(weir, "Open canister Weir")));
        site.post(keeper, verdict, plan)
                .andExpect(jsonPath("$.within").value(true))
                .andExpect(jsonPath("$.spacing")
                        .value(startsWith("The bacteria of this tank were disturbed 3 days ago: open canister Weir.")));

        site.put(
                        keeper,
                        "/api/tanks/" + tank + "/media-replacements/" + UUID.randomUUID(),
                        "{\"media\": %s, \"replacedOn\": \"2026-06-01\"}".formatted(plan))
                .andExpect(status().isOk());
        site.get(keeper, procedure(weir, "Dip bio media"))
                .andExpect(jsonPath("$.warnings[0]")
                        .value(startsWith("The bacteria of this tank were disturbed today: replace part of the bio")));
    }

    @Test
    void a_water_change_larger_than_the_tank_is_refused() throws Exception {
        String change = """
            {"changedAt": "2026-06-01T10:00:00Z", "litres": %s, "bucketLitres": 24, "note": ""}""";
        String id = "/api/tanks/" + tank + "/water-changes/" + UUID.randomUUID();

        site.put(keeper, id, change.formatted("221"))
                .andExpect(jsonPath("$.errors[0].field").value("litres"));
        site.put(keeper, id, change.formatted("55"))
                .andExpect(jsonPath("$.share").value(0.25));
    }

    @Test
    void a_condition_check_with_a_no_names_what_to_read_and_a_vet() throws Exception {
        site.put(keeper, "/api/tanks/" + tank + "/condition-checks/" + UUID.randomUUID(), """
                {"amiss": ["EATING"], "note": ""}""")
                .andExpect(jsonPath("$.readings[0]").value("AMMONIA"))
                .andExpect(jsonPath("$.steps[1]").value(containsString("vet")));
    }

    @Test
    void a_medication_holds_until_it_is_said_to_be_over() throws Exception {
        JsonNode given = site.read(site.post(keeper, "/api/tanks/" + tank + "/medications", """
                {"product": "A remedy", "firstDay": "2026-05-20"}"""));
        String water = "/api/tanks/" + tank + "/water";
        site.get(keeper, water).andExpect(jsonPath("$.holds[0].cause").value("MEDICATION"));

        site.put(
                keeper,
                "/api/tanks/" + tank + "/medications/" + given.get(0).get("id").asLong() + "/end",
                """
                {"lastDay": "2026-05-31"}""");

        site.get(keeper, water).andExpect(jsonPath("$.holds", hasSize(0)));
    }

    @Test
    void a_method_follows_its_label_and_its_limit_becomes_the_noise() throws Exception {
        site.put(keeper, "/api/test-methods", """
                {"parameter": "NITRITE", "name": "Drop test", "limit": 0.3, "steps": [{"what": "WAIT", "seconds": 180}]}""")
                .andExpect(jsonPath("$[?(@.parameter == 'NITRITE' && @.name == 'Drop test')].limit")
                        .value(0.3));

        site.post(
                        keeper,
                        readings(),
                        set(0, value("NITRITE", 0.3).replace("\"method\": \"\"", "\"method\": \"Drop test\"")))
                .andExpect(jsonPath("$.holds", hasSize(0)));
    }

    @Test
    void another_value_under_an_id_that_is_taken_is_not_said_to_be_kept() throws Exception {
        String set = set(0, value("NITRATE", 20));
        site.post(keeper, readings(), set).andExpect(status().isOk());
        String other = set.replaceFirst("\"amount\": ?20", "\"amount\": 21");
        assertThat(other).isNotEqualTo(set);

        site.post(keeper, readings(), other)
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.code").value("id-taken"));

        site.get(keeper, readings()).andExpect(jsonPath("$[0].amount").value(20));
    }

    @Test
    void a_water_change_sent_again_with_another_amount_is_not_said_to_be_kept() throws Exception {
        String path = "/api/tanks/" + tank + "/water-changes/" + java.util.UUID.randomUUID();
        String change = """
            {"changedAt": "2026-06-01T10:00:00Z", "litres": 40, "bucketLitres": 12, "note": ""}""";
        site.put(keeper, path, change).andExpect(status().isOk());
        site.put(keeper, path, change).andExpect(status().isOk());

        site.put(keeper, path, change.replace("40", "50"))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.code").value("id-taken"));
    }

    @Test
    void ten_years_of_six_parameters_come_in_one_answer_under_200_kilobytes() throws Exception {
        sql.update("""
                insert into reading (id, site_id, tank_id, parameter, amount, below_detection, noise, taken_at, early, method,
                                     moment, taken_by)
                select gen_random_uuid(), ?, ?, parameter, 7 + random(), false, 0.1,
                       timestamptz '2026-06-01 09:00Z' - day * interval '1 day', false, '', 'PLAIN', 'A'
                from generate_series(0, 3649) day,
                     unnest(array['AMMONIA', 'NITRITE', 'NITRATE', 'PHOSPHATE', 'PH', 'TEMPERATURE']) parameter
                """, keeper.siteId(), tank);

        ResultActions answer = site.get(keeper, series(3650));

        answer.andExpect(jsonPath("$.lines", hasSize(6)))
                .andExpect(jsonPath("$.lines[0].readings").value(3650));
        assertThat(answer.andReturn().getResponse().getContentAsByteArray().length)
                .isLessThan(200_000);
    }

    @Test
    void another_site_sees_nothing_of_it() throws Exception {
        site.post(keeper, readings(), set(0, value("PH", 7)));
        JsonNode read = site.read(site.get(keeper, readings()));
        SignedIn stranger = site.keeper();

        site.get(stranger, readings()).andExpect(status().isNotFound());
        site.delete(stranger, "/api/readings/" + read.get(0).get("id").asString())
                .andExpect(status().isNotFound());
        site.get(stranger, series(10)).andExpect(status().isNotFound());
    }

    private String series(int days) {
        return "/api/tanks/" + tank + "/series?from=" + TODAY.minusDays(days) + "&to=" + TODAY;
    }

    private static String procedure(JsonNode filter, String task) {
        return "/api/filters/" + filter.get("id").asLong() + "/procedure?tasks=" + TestSite.task(filter, task);
    }
}
