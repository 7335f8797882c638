package app.chervil.server.procedure;

import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What is said before a service starts. */
@ChervilTest
class BeforeStartingApiTest extends GuidedSite {
    @Test
    void before_starting_it_tells_what_to_carry_and_what_the_water_is_of_the_tank() throws Exception {
        site.get(keeper, "/api/filters/" + weir.get("id").asLong() + "/procedure?tasks=" + task("Dip bio media"))
                .andExpect(jsonPath("$.draw.buckets").value(1))
                .andExpect(jsonPath("$.draw.litres").value(5.0))
                // 5 of 220 L
                .andExpect(jsonPath("$.draw.percent").value(org.hamcrest.Matchers.closeTo(2.273, 0.001)))
                .andExpect(jsonPath("$.rinseWith").value(org.hamcrest.Matchers.startsWith("Tank water only.")))
                .andExpect(jsonPath("$.carry[0]").value("2 buckets, one of them empty"));
    }

    @Test
    void the_rinse_school_and_the_tap_change_the_steps_and_say_why() throws Exception {
        String free = TestSite.TANK
                .replace("CHLORAMINE", "NEITHER")
                .replace("\"rinse\": \"TANK_WATER\"", "\"rinse\": \"TAP_WHERE_SAFE\"");
        site.put(keeper, "/api/tanks/" + tank, """
            {"version": 1, "changedOn": "2026-06-01", "tank": %s}""".formatted(free)).andExpect(status().isOk());

        site.get(keeper, "/api/filters/" + weir.get("id").asLong() + "/procedure?tasks=" + task("Rinse the pre-filter"))
                .andExpect(jsonPath("$.draw").doesNotExist())
                .andExpect(jsonPath("$.rinseWith")
                        .value("Tap water is fine: yours holds neither chlorine nor chloramine."));
    }

    @Test
    void it_warns_where_the_bacteria_would_be_disturbed_too_soon_or_all_at_once() throws Exception {
        String dip = "/api/filters/" + weir.get("id").asLong() + "/procedure?tasks=" + task("Dip bio media");
        site.get(keeper, dip).andExpect(jsonPath("$.warnings").isEmpty());
        for (String day : List.of("2026-05-25", "2026-05-26")) {
            site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Ines", "note": "", "flows": [],
                 "tasks": [{"taskId": %d}]}""".formatted(tank, day, task("Dip bio media")));
            boolean tooSoon = day.equals("2026-05-26");
            site.get(keeper, dip).andExpect(jsonPath("$.warnings.length()").value(tooSoon ? 1 : 0));
        }

        site.get(keeper, dip + "," + task("Rinse the pre-filter") + "," + task("Rinse the coarse foam"))
                .andExpect(jsonPath("$.warnings[0]").value(org.hamcrest.Matchers.containsString("6 days ago")))
                .andExpect(jsonPath("$.warnings[1]")
                        .value(org.hamcrest.Matchers.containsString("foam and bio media at once")));
    }

    @Test
    void a_small_tank_gives_no_more_than_its_share() throws Exception {
        long nano = site.read(site.post(keeper, "/api/tanks", TestSite.TANK.replace("220", "20")))
                .get("id")
                .asLong();
        JsonNode small = site.canister(keeper, nano, "Rill", "2026-05-20");
        String all = "/api/filters/" + small.get("id").asLong() + "/procedure?tasks="
                + TestSite.task(small, "Dip bio media") + "," + TestSite.task(small, "Rinse the coarse foam");

        // a quarter of 20 L in three tubs of a litre and a half
        site.get(keeper, all)
                .andExpect(jsonPath("$.draw.litres").value(4.5))
                .andExpect(jsonPath("$.carry[0]").value("3 tubs"));

        String tenth = TestSite.TANK
                .replace("220", "20")
                .replace(
                        "\"tapWater\": \"CHLORAMINE\"",
                        "\"tapWater\": \"CHLORAMINE\", \"bucketL\": 2, \"drawShare\": 0.1");
        site.put(keeper, "/api/tanks/" + nano, """
                {"version": 1, "changedOn": "2026-06-01", "tank": %s}""".formatted(tenth)).andExpect(status().isOk());
        site.get(keeper, all).andExpect(jsonPath("$.draw.litres").value(2.0));
    }

    @Test
    void a_canister_says_how_it_is_shut_and_filled() throws Exception {
        String path = "/api/filters/" + weir.get("id").asLong();
        String open = path + "/procedure?tasks=" + task("Open canister Weir");

        site.get(keeper, open)
                .andExpect(jsonPath("$.steps[?(@.id == 'break:filter')]").isNotEmpty());

        String stages = TestSite.canister("Weir", "2026-05-20");
        String kept = stages.substring(0, stages.lastIndexOf('}'))
                + ", \"passport\": {\"shutOff\": \"VALVES\", \"fill\": \"CAP\"}}";
        site.put(keeper, path, "{\"version\": 1, \"filter\": %s}".formatted(kept))
                .andExpect(jsonPath("$.passport.shutOff").value("VALVES"));
        JsonNode changed = site.read(site.get(keeper, path));
        site.get(keeper, path + "/procedure?tasks=" + TestSite.task(changed, "Open canister Weir"))
                .andExpect(jsonPath("$.steps[?(@.id == 'shut:filter')]").isNotEmpty())
                .andExpect(jsonPath("$.steps[?(@.id == 'fill:filter')].text")
                        .value(org.hamcrest.Matchers.hasItem(org.hamcrest.Matchers.containsString("through its cap"))));
    }

    @Test
    void a_vacuum_counts_as_much_as_a_sponge() throws Exception {
        site.put(keeper, "/api/chores-done/" + UUID.randomUUID(), """
                {"tankId": %d, "kind": "SUBSTRATE_VACUUM", "doneOn": "2026-06-01"}""".formatted(tank))
                .andExpect(status().isNoContent());

        site.get(keeper, "/api/filters/" + weir.get("id").asLong() + "/procedure?tasks=" + task("Dip bio media"))
                .andExpect(jsonPath("$.warnings[0]")
                        .value(org.hamcrest.Matchers.containsString("today: vacuum the substrate")));
    }
}
