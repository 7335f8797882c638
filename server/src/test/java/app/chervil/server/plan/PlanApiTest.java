package app.chervil.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsString;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.sql.Connection;
import java.sql.Statement;
import java.time.LocalDate;
import java.util.ArrayList;
import java.util.List;
import java.util.UUID;
import javax.sql.DataSource;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** A keeper plans one tank with a canister; today is Monday 1 June 2026. */
@ChervilTest
class PlanApiTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final String PLAN = "/api/plan";
    private static final String WEEKS = "?weeks=26";

    @Autowired
    TestSite site;

    @Autowired
    DataSource database;

    private SignedIn keeper;
    private long tank;

    @BeforeEach
    void tank() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        site.canister(keeper, tank, "Weir", "2026-01-20");
        hours(0, 0, 90, 0, 0, 90, 0);
    }

    private void hours(int... minutes) throws Exception {
        String body = "{\"minutes\": " + java.util.Arrays.toString(minutes) + "}";
        site.put(keeper, "/api/plan/time/people/" + keeper.accountId(), body).andExpect(status().isOk());
    }

    private JsonNode plan() throws Exception {
        return site.read(site.get(keeper, PLAN + WEEKS).andExpect(status().isOk()));
    }

    private static List<JsonNode> visits(JsonNode plan) {
        return plan.get("visits").valueStream().toList();
    }

    private static List<LocalDate> daysOf(JsonNode plan, String task) {
        List<LocalDate> days = new ArrayList<>();
        for (JsonNode visit : visits(plan)) {
            if (visit.get("tasks")
                    .valueStream()
                    .anyMatch(one -> one.get("name").asString().equals(task))) {
                days.add(LocalDate.parse(visit.get("on").asString()));
            }
        }
        return days;
    }

    private static long chain(JsonNode plan, String task) {
        return visits(plan).stream()
                .flatMap(visit -> visit.get("tasks").valueStream())
                .filter(one -> one.get("name").asString().equals(task))
                .findFirst()
                .orElseThrow()
                .get("chain")
                .asLong();
    }

    private static String decision(long chain, LocalDate on, String how, LocalDate to) {
        String day = to == null ? "null" : "\"" + to + "\"";
        return """
            {"items": [{"chain": %d, "on": "%s"}], "how": "%s", "to": %s}""".formatted(chain, on, how, day);
    }

    @Test
    void visits_fall_on_days_on_which_people_have_time() throws Exception {
        JsonNode plan = plan();

        assertThat(visits(plan)).isNotEmpty().allSatisfy(visit -> {
            LocalDate on = LocalDate.parse(visit.get("on").asString());
            assertThat(on.getDayOfWeek().getValue()).isIn(3, 6);
        });
        assertThat(daysOf(plan, "Water change")).hasSizeGreaterThan(6);
    }

    /** Bringing it all into one opening would spare visits, and take the tank's bacteria. */
    @Test
    void a_neglected_filter_is_taken_on_week_by_week_however_many_visits_that_takes() throws Exception {
        site.canister(keeper, tank, "Old Basin", "2023-06-01");

        JsonNode plan = plan();

        LocalDate opened = first(plan, "Open canister Old Basin");
        LocalDate dipped = first(plan, "Dip bio media", "Old Basin");
        LocalDate renewed = first(plan, "Replace the coarse foam", "Old Basin");
        assertThat(first(plan, "Rinse the pre-filter", "Old Basin")).isBefore(TODAY.plusDays(7));
        assertThat(opened).isBetween(TODAY.plusDays(7), TODAY.plusDays(14));
        assertThat(dipped).isBetween(TODAY.plusDays(21), TODAY.plusDays(28));
        assertThat(renewed).isBetween(TODAY.plusDays(28), TODAY.plusDays(35));
    }

    private static LocalDate first(JsonNode plan, String task) {
        return daysOf(plan, task).get(0);
    }

    private static LocalDate first(JsonNode plan, String task, String filter) {
        return visits(plan).stream()
                .filter(visit -> visit.get("tasks")
                        .valueStream()
                        .anyMatch(one -> one.get("name").asString().equals(task)
                                && one.path("filter").asString("").equals(filter)))
                .map(visit -> LocalDate.parse(visit.get("on").asString()))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void a_day_without_minutes_is_left_and_the_plan_says_why() throws Exception {
        plan();

        hours(0, 0, 0, 0, 0, 180, 0);

        JsonNode plan = plan();
        assertThat(visits(plan))
                .allSatisfy(visit -> assertThat(LocalDate.parse(visit.get("on").asString())
                                .getDayOfWeek()
                                .getValue())
                        .isEqualTo(6));
        JsonNode change = plan.get("changes").get(0);
        assertThat(change.get("causes").toString()).contains("people's days changed");
        assertThat(change.get("moves").size()).isPositive();
    }

    @Test
    void a_holiday_is_left_out_and_what_lies_around_it_is_told() throws Exception {
        plan();

        site.post(keeper, "/api/plan/time/exceptions", """
            {"firstDay": "2026-06-14", "lastDay": "2026-06-23", "minutes": 0, "note": "Away"}""").andExpect(status().isOk());

        JsonNode plan = plan();
        assertThat(visits(plan)).allSatisfy(visit -> assertThat(visit.get("on").asString())
                .matches(on -> on.compareTo("2026-06-14") < 0 || on.compareTo("2026-06-23") > 0));
        JsonNode closure = plan.get("closures").get(0);
        assertThat(closure.get("before").size() + closure.get("after").size()).isPositive();
    }

    @Test
    void nitrite_takes_bio_work_out_of_the_plan_and_says_so() throws Exception {
        assertThat(daysOf(plan(), "Dip bio media")).isNotEmpty();

        nitrite(0.4, "2026-06-01T09:00:00Z");

        JsonNode held = plan();
        assertThat(daysOf(held, "Dip bio media")).isEmpty();
        assertThat(held.get("waiting").toString()).contains("Dip bio media");
        assertThat(held.get("changes").get(0).get("causes").toString()).contains("nitrite on Brook");
    }

    private void nitrite(double value, String at) throws Exception {
        String set = """
            {"takenAt": "%s", "moment": "PLAIN", "values": [{"id": "%s", "parameter": "NITRITE", "amount": %s,
             "belowDetection": false, "early": false, "method": "Drops"}]}""".formatted(at, UUID.randomUUID(), value);
        site.post(keeper, "/api/tanks/" + tank + "/readings", set).andExpect(status().isOk());
    }

    @Test
    void an_opening_beside_a_vacuum_is_priced_pinned_all_the_same_and_marked_then_undone() throws Exception {
        site.put(keeper, "/api/tanks/" + tank + "/chores/SUBSTRATE_VACUUM", "{\"everyDays\": 28}")
                .andExpect(status().isNoContent());
        JsonNode before = plan();
        LocalDate vacuum = daysOf(before, "Vacuum the substrate").get(0);
        LocalDate opening = daysOf(before, "Open canister Weir").get(0);
        long chain = chain(before, "Open canister Weir");
        LocalDate beside = vacuum.plusDays(3);

        JsonNode prices = site.read(site.post(keeper, PLAN + "/prices", """
            {"items": [{"chain": %d, "on": "%s"}]}""".formatted(chain, opening)));
        JsonNode price = prices.get("days")
                .valueStream()
                .filter(day -> day.get("on").asString().equals(beside.toString()))
                .findFirst()
                .orElseThrow();
        assertThat(price.get("breaksRules").asBoolean()).isTrue();
        JsonNode pinned =
                site.read(site.post(keeper, PLAN + "/decisions" + WEEKS, decision(chain, opening, "PIN", beside)));

        assertThat(daysOf(pinned, "Open canister Weir").get(0)).isEqualTo(beside);
        assertThat(pinned.get("undo").asString()).contains("open canister Weir on Brook");
        boolean marked = visits(pinned).stream()
                .flatMap(visit -> visit.get("tasks").valueStream())
                .anyMatch(task -> task.get("pinned").asBoolean());
        assertThat(marked).isTrue();
        JsonNode undone = site.read(site.delete(keeper, PLAN + "/decisions/last" + WEEKS));
        assertThat(undone.get("visits").toString()).doesNotContain("\"pinned\":true");
        assertThat(daysOf(undone, "Open canister Weir").get(0)).isEqualTo(opening);
        assertThat(undone.has("undo")).isFalse();
    }

    @Test
    void what_is_decided_on_a_short_plan_holds_although_somebody_looked_further_ahead() throws Exception {
        JsonNode eight = site.read(site.get(keeper, PLAN + "?weeks=8"));
        LocalDate first = daysOf(eight, "Water change").get(0);
        long chain = chain(eight, "Water change");
        plan();
        site.get(keeper, "/api/rounds").andExpect(status().isOk());

        JsonNode pinned = site.read(
                site.post(keeper, PLAN + "/decisions?weeks=8", decision(chain, first, "PIN", first.plusDays(1)))
                        .andExpect(status().isOk()));

        assertThat(daysOf(pinned, "Water change").get(0)).isEqualTo(first.plusDays(1));
        assertThat(pinned.get("weeks").asInt()).isEqualTo(8);
    }

    @Test
    void a_visit_beyond_the_weeks_that_are_kept_is_priced_in_the_plan_that_shows_it() throws Exception {
        site.get(keeper, PLAN + "?weeks=8").andExpect(status().isOk());
        try (Connection busy = database.getConnection();
                Statement lock = busy.createStatement()) {
            busy.setAutoCommit(false);
            lock.execute("select pg_advisory_xact_lock(471120262, %d)".formatted(keeper.siteId()));
            JsonNode half = plan();
            List<LocalDate> days = daysOf(half, "Water change");
            LocalDate last = days.get(days.size() - 1);
            String question = """
                {"items": [{"chain": %d, "on": "%s"}]}""".formatted(chain(half, "Water change"), last);

            JsonNode prices = site.read(
                    site.post(keeper, PLAN + "/prices" + WEEKS, question).andExpect(status().isOk()));

            assertThat(last).isAfter(TODAY.plusWeeks(20));
            assertThat(prices.get("days").size()).isPositive();
        }
    }

    @Test
    void weeks_that_no_plan_has_are_refused_before_anything_is_planned() throws Exception {
        JsonNode before = plan();
        LocalDate first = daysOf(before, "Water change").get(0);
        long chain = chain(before, "Water change");
        for (int weeks : new int[] {0, 27, Integer.MAX_VALUE}) {
            String asked = "?weeks=" + weeks;
            for (ResultActions answer : List.of(
                    site.get(keeper, PLAN + asked),
                    site.post(keeper, PLAN + "/prices" + asked, """
                        {"items": [{"chain": %d, "on": "%s"}]}""".formatted(chain, first)),
                    site.post(keeper, PLAN + "/decisions" + asked, decision(chain, first, "PIN", first.plusDays(1))),
                    site.delete(keeper, PLAN + "/decisions/last" + asked))) {
                answer.andExpect(status().isUnprocessableContent())
                        .andExpect(jsonPath("$.errors[0].field").value("weeks"));
            }
        }

        assertThat(plan().get("visits")).isEqualTo(before.get("visits"));
    }

    @Test
    void what_is_skipped_leaves_its_day_and_comes_again_an_interval_later() throws Exception {
        JsonNode before = plan();
        List<LocalDate> days = daysOf(before, "Water change");
        long chain = chain(before, "Water change");

        JsonNode after =
                site.read(site.post(keeper, PLAN + "/decisions" + WEEKS, decision(chain, days.get(0), "SKIP", null)));

        assertThat(daysOf(after, "Water change")).doesNotContain(days.get(0)).contains(days.get(2));
    }

    @Test
    void a_day_that_cannot_be_is_refused_at_its_field_and_nothing_moves() throws Exception {
        JsonNode before = plan();
        LocalDate first = daysOf(before, "Water change").get(0);
        long chain = chain(before, "Water change");

        site.post(keeper, PLAN + "/decisions" + WEEKS, decision(chain, first, "PIN", TODAY.minusDays(1)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("gone-by"));
        site.post(keeper, PLAN + "/decisions" + WEEKS, decision(chain, first, "PIN", first.plusDays(30)))
                .andExpect(jsonPath("$.errors[0].code").value("out-of-turn"));
        site.post(keeper, PLAN + "/decisions" + WEEKS, decision(chain, TODAY.plusDays(1), "PIN", first))
                .andExpect(status().isNotFound());

        assertThat(plan().get("visits")).isEqualTo(before.get("visits"));
    }

    @Test
    void a_log_moves_its_own_task_and_leaves_the_others_where_people_were_told() throws Exception {
        JsonNode before = plan();
        long chain = chain(before, "Rinse the pre-filter");

        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
            {"tankId": %d, "doneOn": "2026-06-01", "doneBy": "Ines", "minutes": 5, "note": "", "flows": [],
             "tasks": [{"taskId": %d, "finding": "MODERATE"}]}""".formatted(tank, chain))
                .andExpect(status().isOk());

        JsonNode after = plan();
        assertThat(daysOf(after, "Rinse the pre-filter").get(0)).isAfter(TODAY.plusDays(4));
        assertThat(daysOf(after, "Water change")).isEqualTo(daysOf(before, "Water change"));
    }

    @Test
    void helpers_see_people_s_days_and_do_not_change_them() throws Exception {
        SignedIn helper = site.helperOf(keeper);

        site.get(helper, "/api/plan/time").andExpect(status().isOk());
        site.put(helper, "/api/plan/time/people/" + helper.accountId(), "{\"minutes\": [1,1,1,1,1,1,1]}")
                .andExpect(status().isForbidden());
        site.post(keeper, "/api/plan/time/exceptions", """
            {"firstDay": "2026-06-14", "lastDay": "2026-06-10", "minutes": 0, "note": ""}""")
                .andExpect(jsonPath("$.errors[0].field").value("lastDay"));
    }

    @Test
    void a_chore_shows_in_the_rounds_and_is_logged_there() throws Exception {
        hours(90, 90, 90, 90, 90, 90, 90);
        site.put(keeper, "/api/tanks/" + tank + "/chores/SKIMMER_CUP", "{\"everyDays\": 4}")
                .andExpect(jsonPath("$.errors[0].code").value("not-here"));
        site.put(keeper, "/api/tanks/" + tank + "/chores/TOP_OFF", "{\"everyDays\": 40}")
                .andExpect(jsonPath("$.errors[0].message").value(containsString("1 to 21")));
        site.put(keeper, "/api/tanks/" + tank + "/chores/TOP_OFF", "{\"everyDays\": 1}")
                .andExpect(status().isNoContent());
        String done = "/api/chores-done/" + UUID.randomUUID();

        site.put(keeper, done, """
            {"tankId": %d, "kind": "TOP_OFF", "doneOn": "2026-05-30"}""".formatted(tank)).andExpect(status().isNoContent());

        site.get(keeper, "/api/rounds")
                .andExpect(jsonPath("$.visits[0].chores[?(@.kind == 'TOP_OFF')].standing")
                        .value("LATE"));
        site.delete(keeper, done).andExpect(status().isNoContent());
        site.get(keeper, "/api/tanks/" + tank + "/chores")
                .andExpect(jsonPath("$[?(@.kind == 'TOP_OFF')].lately.length()").value(0));
    }
}
