package app.chervil.server.tank;

import static org.assertj.core.api.Assertions.assertThat;
import static org.hamcrest.Matchers.containsInAnyOrder;
import static org.hamcrest.Matchers.containsString;
import static org.hamcrest.Matchers.hasItem;
import static org.hamcrest.Matchers.startsWith;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;

@ChervilTest
class TankApiTest {
    @Autowired
    TestSite site;

    @Autowired
    JdbcTemplate database;

    SignedIn keeper;

    @BeforeEach
    void open() {
        keeper = site.keeper();
    }

    @ParameterizedTest(name = "{1} for {0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "netVolumeL    | 0            | 422 | decimal-min",
                "netVolumeL    | -3           | 422 | decimal-min",
                "netVolumeL    | 10000000     | 422 | decimal-max",
                "netVolumeL    | \"lots\"     | 400 | not-understood",
                "netVolumeL    | null         | 422 | not-null",
                "establishedOn | \"2026-06-02\" | 422 | in-the-future",
                "establishedOn | \"1949-12-31\" | 400 | not-understood",
                "name          | \"  \"       | 422 | not-blank",
                "name          | \"#81\"      | 422 | size",
            })
    void bad_input_is_refused_at_its_field(String field, String value, int status, String code) throws Exception {
        String given = value.equals("\"#81\"") ? '"' + "x".repeat(81) + '"' : value;
        String body = TestSite.TANK.replaceAll("(\"" + field + "\": )(\"[^\"]*\"|[0-9]+)", "$1" + given);

        site.post(keeper, "/api/tanks", body)
                .andExpect(status().is(status))
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(jsonPath("$.errors[0].code").value(code));
    }

    @Test
    void not_a_number_is_refused_at_its_field() throws Exception {
        site.post(keeper, "/api/tanks", TestSite.TANK.replace("220", "\"NaN\""))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("netVolumeL"));
    }

    @Test
    void the_limits_themselves_are_accepted_and_names_in_any_script() throws Exception {
        String body = TestSite.TANK.replace("220", "100000").replace("Brook", "Ålgräs 水族館 🐠");

        site.post(keeper, "/api/tanks", body)
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.tank.name").value("Ålgräs 水族館 🐠"));
    }

    @Test
    void a_tank_of_another_site_is_not_found_whatever_is_asked() throws Exception {
        long foreign = site.tank(site.keeper());
        String path = "/api/tanks/" + foreign;

        site.get(keeper, path)
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.code").value("tank-not-found"));
        site.put(keeper, path, change(1, TestSite.TANK)).andExpect(status().isNotFound());
        site.delete(keeper, path).andExpect(status().isNotFound());
        site.get(keeper, path + "/filters").andExpect(status().isNotFound());
        site.get(keeper, path + "/services").andExpect(status().isNotFound());
        site.post(keeper, path + "/filters", TestSite.canister("Weir", "2026-05-01"))
                .andExpect(status().isNotFound());
        site.get(keeper, "/api/tanks/none").andExpect(status().isNotFound());
    }

    @Test
    void a_stale_version_is_a_conflict_that_shows_what_is_stored() throws Exception {
        long tank = site.tank(keeper);
        site.put(keeper, "/api/tanks/" + tank, change(1, TestSite.TANK.replace("Brook", "Stream")))
                .andExpect(status().isOk());

        site.put(keeper, "/api/tanks/" + tank, change(1, TestSite.TANK.replace("Brook", "River")))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.code").value("changed-meanwhile"))
                .andExpect(jsonPath("$.current.tank.name").value("Stream"))
                .andExpect(jsonPath("$.current.version").value(2));
    }

    @Test
    void whether_flow_is_measured_is_kept_and_is_so_unless_it_was_switched_off() throws Exception {
        long tank = site.tank(keeper);
        site.get(keeper, "/api/tanks/" + tank)
                .andExpect(jsonPath("$.tank.schools.measuresFlow").value(true));

        String unmeasured = TestSite.TANK.replace("\"LIGHT\"}", "\"LIGHT\", \"measuresFlow\": false}");
        site.put(keeper, "/api/tanks/" + tank, change(1, unmeasured)).andExpect(status().isOk());

        site.get(keeper, "/api/tanks/" + tank)
                .andExpect(jsonPath("$.tank.schools.measuresFlow").value(false));
    }

    @Test
    void animals_that_ask_for_more_are_kept_with_the_tank_and_bring_advice_for_its_filters() throws Exception {
        long tank = site.tank(keeper);
        site.canister(keeper, tank, "Weir", "2026-05-20");
        site.get(keeper, "/api/tanks/" + tank)
                .andExpect(jsonPath("$.tank.setting.animals").isEmpty());
        site.get(keeper, "/api/tanks/" + tank + "/advice")
                .andExpect(jsonPath("$").isEmpty());

        String shrimp =
                TestSite.TANK.replace("\"stocking\":", "\"animals\": [\"SHRIMP\", \"AMPHIBIANS\"], \"stocking\":");
        site.put(keeper, "/api/tanks/" + tank, change(1, shrimp)).andExpect(status().isOk());

        site.get(keeper, "/api/tanks/" + tank)
                .andExpect(jsonPath("$.tank.setting.animals").value(containsInAnyOrder("SHRIMP", "AMPHIBIANS")));
        site.get(keeper, "/api/tanks/" + tank + "/advice")
                .andExpect(jsonPath("$").value(hasItem(containsString("copper"))));
        String dragons = TestSite.TANK.replace("\"stocking\":", "\"animals\": [\"DRAGONS\"], \"stocking\":");
        site.put(keeper, "/api/tanks/" + tank, change(2, dragons))
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.errors[0].field").value(startsWith("tank.setting.animals")));
    }

    @Test
    void a_medication_is_asked_about_where_shrimp_live_and_the_answer_is_kept() throws Exception {
        String shrimp = TestSite.TANK.replace("\"stocking\":", "\"animals\": [\"SHRIMP\"], \"stocking\":");
        long tank = site.read(site.post(keeper, "/api/tanks", shrimp)).get("id").asLong();
        String medicine = "{\"product\": \"Salve\", \"firstDay\": \"2026-05-30\"%s}";

        site.post(keeper, "/api/tanks/" + tank + "/medications", medicine.formatted(""))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("product"))
                .andExpect(jsonPath("$.errors[0].code").value("asked"));
        site.post(keeper, "/api/tanks/" + tank + "/medications", medicine.formatted(", \"confirmed\": true"))
                .andExpect(status().is2xxSuccessful())
                .andExpect(jsonPath("$[0].product").value("Salve"));

        assertThat(database.queryForObject(
                        "select confirmed from medication where site_id = ?", String.class, keeper.siteId()))
                .startsWith("Shrimp live here");
    }

    @Test
    void raised_stocking_shortens_the_windows_at_once_and_stands_in_the_history() throws Exception {
        long tank = site.tank(keeper);
        site.canister(keeper, tank, "Weir", "2026-05-20");
        String rinse = "$[?(@.subject.name == 'Rinse the pre-filter')].window.ideal";
        site.get(keeper, "/api/forecasts?tank=" + tank)
                .andExpect(jsonPath(rinse).value("2026-06-01"));

        site.put(
                        keeper,
                        "/api/tanks/" + tank,
                        change(1, TestSite.TANK.replace("\"stocking\": \"NORMAL\"", "\"stocking\": \"HEAVY\"")))
                .andExpect(status().isOk());

        // ideal exposure 11.83 for a variance of 0.41: 5 by 25 May, the rest at 1.4 a day
        site.get(keeper, "/api/forecasts?tank=" + tank)
                .andExpect(jsonPath(rinse).value("2026-05-30"));
        site.get(keeper, "/api/tanks/" + tank + "/changes")
                .andExpect(jsonPath("$[0].kind").value("STOCKING"))
                .andExpect(jsonPath("$[0].changedOn").value("2026-05-25"));
    }

    @Test
    void a_deleted_tank_is_gone_and_can_be_restored() throws Exception {
        long tank = site.tank(keeper);
        site.delete(keeper, "/api/tanks/" + tank).andExpect(status().isNoContent());
        site.get(keeper, "/api/tanks/" + tank).andExpect(status().isNotFound());
        site.get(keeper, "/api/tanks/deleted").andExpect(jsonPath("$[0].id").value(tank));

        site.post(keeper, "/api/tanks/" + tank + "/restore", "").andExpect(status().isOk());

        site.get(keeper, "/api/tanks/" + tank).andExpect(status().isOk());
    }

    private static String change(int version, String tank) {
        return """
            {"version": %d, "changedOn": "2026-05-25", "tank": %s}""".formatted(version, tank);
    }
}
