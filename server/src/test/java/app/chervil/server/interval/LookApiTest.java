package app.chervil.server.interval;

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
import tools.jackson.databind.JsonNode;

/** Looks between services and the story of an interval; today is 1 June 2026. */
@ChervilTest
class LookApiTest {
    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;
    JsonNode weir;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        weir = site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", """
            {"name": "Weir", "kind": "CANISTER", "direction": "BOTTOM_UP", "rating": {}, "careFrom": "2026-03-01",
             "stages": [%s, %s, %s, %s]}""".formatted(
                        fitted("COARSE_FOAM", "null"),
                        fitted("CARBON", "null"),
                        fitted("UV_LAMP", "{\"ratedHours\": 8000, \"litHoursADay\": 10, \"startsADay\": 3}"),
                        fitted("FLEECE_ROLL", "{\"rollM\": 10}"))));
    }

    @Test
    void the_label_of_a_part_is_kept_and_sets_its_window() throws Exception {
        assertThat(stage("UV_LAMP").get("lasting").get("ratedHours").asDouble()).isEqualTo(8000);

        JsonNode lamp = forecast("Replace the UV lamp");

        // 8,000 h at 16 a day are 500 days; best at 0.95 of them after 2 January
        assertThat(lamp.get("window").get("ideal").asString()).isEqualTo("2027-04-22");
        assertThat(lamp.get("signs").get(0).get("words").asString()).isEqualTo("The lamp is dark");
    }

    @Test
    void a_look_moves_the_window_is_listed_and_can_be_taken_back() throws Exception {
        String before = forecast("Change carbon").get("window").get("ideal").asString();
        String look = "/api/looks/" + UUID.randomUUID();

        site.put(keeper, look, look("CARBON", "TINT_BACK", "null")).andExpect(status().isOk());
        site.put(keeper, look, look("CARBON", "TINT_BACK", "null")).andExpect(status().isOk());

        assertThat(forecast("Change carbon").get("window").get("ideal").asString())
                .isEqualTo("2026-05-30");
        site.get(keeper, "/api/tanks/" + tank + "/looks")
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].words").value("The tint is back against a white card"));
        site.delete(keeper, look).andExpect(status().isNoContent());
        site.delete(keeper, look).andExpect(status().isNotFound());
        assertThat(forecast("Change carbon").get("window").get("ideal").asString())
                .isEqualTo(before);
    }

    @Test
    void a_roll_goes_by_the_metres_that_are_left() throws Exception {
        site.put(keeper, "/api/looks/" + UUID.randomUUID(), look("FLEECE_ROLL", "LEFT", "1"))
                .andExpect(status().isOk());

        assertThat(forecast("Replace the fleece roll").get("reasons").get(0).asString())
                .isEqualTo("10 % of it was left on 30 May; at its pace a whole one lasts about 164 days.");
    }

    @ParameterizedTest
    @CsvSource({
        "CARBON, DARK, null, sign",
        "FLEECE_ROLL, LEFT, null, amount",
        "FLEECE_ROLL, LEFT, -1, amount",
    })
    void a_look_that_says_nothing_is_refused_at_its_field(String kind, String sign, String amount, String field)
            throws Exception {
        site.put(keeper, "/api/looks/" + UUID.randomUUID(), look(kind, sign, amount))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.errors[0].field").value(field));
    }

    @Test
    void strangers_see_and_store_no_looks_and_no_story() throws Exception {
        SignedIn stranger = site.keeper();

        site.get(stranger, "/api/tanks/" + tank + "/looks").andExpect(status().isNotFound());
        site.put(stranger, "/api/looks/" + UUID.randomUUID(), look("CARBON", "TINT_BACK", "null"))
                .andExpect(status().isNotFound());
        site.get(stranger, story()).andExpect(status().isNotFound());
    }

    @Test
    void a_story_tells_each_service_with_the_interval_before_and_after() throws Exception {
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "2026-05-15", "doneBy": "Ines", "minutes": 40, "note": "",
                 "tasks": [{"taskId": %d}, {"taskId": %d, "finding": "LIGHT"}], "flows": []}""".formatted(
                        tank, TestSite.task(weir, "Open canister Weir"), TestSite.task(weir, "Rinse the coarse foam")))
                .andExpect(status().isOk());

        site.get(keeper, story())
                .andExpect(jsonPath("$.filterName").value("Weir"))
                .andExpect(jsonPath("$.chapters.length()").value(2))
                .andExpect(jsonPath("$.chapters[0].event").value("START"))
                .andExpect(jsonPath("$.chapters[1].title").value("Found light"))
                .andExpect(jsonPath("$.chapters[1].ranDays").value(75))
                .andExpect(jsonPath("$.chapters[1].plannedDays")
                        .value(site.read(site.get(keeper, story()))
                                .get("chapters")
                                .get(0)
                                .get("idealDays")
                                .asInt()));
    }

    @Test
    void what_goes_by_age_has_a_forecast_and_no_chapters() throws Exception {
        site.get(keeper, "/api/tanks/" + tank + "/tasks/" + TestSite.task(weir, "Replace the UV lamp") + "/story")
                .andExpect(jsonPath("$.chapters").isEmpty())
                .andExpect(jsonPath("$.stage").value("UV lamp"));
    }

    private String story() {
        return "/api/tanks/" + tank + "/tasks/" + TestSite.task(weir, "Open canister Weir") + "/story";
    }

    private String look(String kind, String sign, String amount) {
        return "{\"stageId\": %d, \"on\": \"2026-05-30\", \"sign\": \"%s\", \"amount\": %s}"
                .formatted(stage(kind).get("id").asLong(), sign, amount);
    }

    private JsonNode stage(String kind) {
        return weir.get("stages")
                .valueStream()
                .filter(stage -> stage.get("kind").asString().equals(kind))
                .findFirst()
                .orElseThrow();
    }

    private JsonNode forecast(String name) throws Exception {
        return site.read(site.get(keeper, "/api/forecasts?tank=" + tank))
                .valueStream()
                .filter(one -> one.get("subject").get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String fitted(String kind, String lasting) {
        return """
            {"kind": "%s", "label": "", "quantity": 1, "make": "DISPOSABLE", "bagged": false, "fittedOn": "2026-01-02",
             "lasting": %s}""".formatted(kind, lasting);
    }
}
