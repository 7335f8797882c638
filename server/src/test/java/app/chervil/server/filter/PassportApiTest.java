package app.chervil.server.filter;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** What a keeper says of the inside of a canister with pre-filter, foam, pad and bio media, numbers 0 to 3. */
@ChervilTest
class PassportApiTest {
    private static final String PAD_ON_TOP = """
            {"shutOff": "VALVES", "chambers": [{"name": "", "access": "SEALED", "places": [
              {"name": "the top tray", "kind": "TRAY", "emptiedInPlace": true,
               "contents": [{"stage": 2, "packing": "SHEET"}]},
              {"name": "the bottom tray", "kind": "TRAY", "emptiedInPlace": false,
               "contents": [{"stage": 3, "packing": "BAG"}, {"stage": 1, "packing": "PIECE"}]}]}],
             "ownSteps": [{"moment": "OPEN", "before": true, "words": "Hold the shelf."}]}""";

    @Autowired
    TestSite site;

    SignedIn keeper;
    JsonNode weir;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        long tank = site.tank(keeper);
        weir = site.canister(keeper, tank, "Weir", "2026-05-01");
    }

    @Test
    void what_nobody_said_is_shown_as_usual_and_is_not_taken_for_known() throws Exception {
        assertThat(weir.get("placesStated").asBoolean()).isFalse();
        assertThat(places(weir)).containsExactly("the bio media", "the fine pad", "the coarse foam");
    }

    @Test
    void what_was_said_comes_back_and_makes_the_steps() throws Exception {
        JsonNode told = site.read(say(PAD_ON_TOP).andExpect(status().isOk()));

        assertThat(told.get("placesStated").asBoolean()).isTrue();
        assertThat(places(told)).containsExactly("the top tray", "the bottom tray");
        List<String> steps = steps(told, "Rinse the coarse foam");
        assertThat(steps).containsSubsequence("own:0", "lid-off:filter", "lift:place-1");
        assertThat(steps.indexOf("lift:place-1")).isLessThan(steps.indexOf("set:place-1"));
    }

    @Test
    void a_pad_within_reach_has_a_day_of_its_own_and_leaves_the_bacteria_alone() throws Exception {
        assertThat(task(weir, "Change the fine pad").get("withOpening").asBoolean())
                .isTrue();

        JsonNode told = site.read(say(PAD_ON_TOP));

        assertThat(task(told, "Change the fine pad").get("withOpening").asBoolean())
                .isFalse();
        assertThat(task(told, "Rinse the coarse foam").get("withOpening").asBoolean())
                .isTrue();
        site.get(keeper, procedure(told, "Change the fine pad"))
                .andExpect(jsonPath("$.draw").doesNotExist())
                .andExpect(jsonPath("$.minutes").value(17));
    }

    @Test
    void changed_alone_it_is_no_opening_and_the_plan_has_its_own_day() throws Exception {
        JsonNode told = site.read(say(PAD_ON_TOP));
        String before = forecast("Open canister Weir").get("since").asString();
        site.put(keeper, "/api/services/" + java.util.UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "2026-05-30", "doneBy": "Ines", "note": "", "flows": [],
                 "tasks": [{"taskId": %d, "finding": "MODERATE"}]}""".formatted(
                                told.get("tankId").asLong(), TestSite.task(told, "Change the fine pad")))
                .andExpect(status().isOk());

        assertThat(forecast("Open canister Weir").get("since").asString()).isEqualTo(before);
        assertThat(forecast("Change the fine pad").get("since").asString()).isEqualTo("2026-05-30");
        assertThat(forecast("Change the fine pad").get("basis").asString()).isEqualTo("LEARNED");
    }

    private JsonNode forecast(String name) throws Exception {
        return site.read(site.get(keeper, "/api/forecasts"))
                .valueStream()
                .filter(one -> one.get("subject").get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    @Test
    void what_is_told_again_without_places_is_usual_again() throws Exception {
        say(PAD_ON_TOP);

        JsonNode again = site.read(say(2, "{\"shutOff\": \"BLOCK\"}"));

        assertThat(again.get("placesStated").asBoolean()).isFalse();
        assertThat(again.get("passport").get("shutOff").asString()).isEqualTo("BLOCK");
    }

    @Test
    void what_a_practitioner_would_ask_is_told_with_it() throws Exception {
        say(PAD_ON_TOP.replace("{\"stage\": 3, \"packing\": \"BAG\"}", "{\"stage\": 3, \"packing\": \"LOOSE\"}"))
                .andExpect(jsonPath("$.doubts[0]")
                        .value("Bio media lies loose. How wide are the holes of the bottom tray?"));
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "{\"stage\": 2, \"packing\": \"SHEET\"} | {\"stage\": 0, \"packing\": \"SHEET\"} | chambers[0].places[0].contents[0].stage | not-loose",
                "{\"stage\": 2, \"packing\": \"SHEET\"} | {\"stage\": 1, \"packing\": \"SHEET\"} | chambers[0].places[1].contents[1].stage | twice",
                "{\"stage\": 2, \"packing\": \"SHEET\"} | {\"stage\": 9, \"packing\": \"SHEET\"} | chambers[0].places[0].contents[0].stage | no-such-stage",
                "\"access\": \"SEALED\" | \"access\": \"OPEN\" | chambers | no-lid",
                "\"kind\": \"TRAY\", \"emptiedInPlace\": false | \"kind\": \"TRAY\", \"emptiedInPlace\": false, \"under\": [1] | chambers[0].places[1].under | circle"
            })
    void what_cannot_be_is_refused_where_it_was_said(String said, String other, String field, String code)
            throws Exception {
        say(PAD_ON_TOP.replace(said, other))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("passport." + field))
                .andExpect(jsonPath("$.errors[0].code").value(code));
    }

    private ResultActions say(String passport) throws Exception {
        return say(1, passport);
    }

    private ResultActions say(int version, String passport) throws Exception {
        String stages = weir.get("stages").toString().replaceAll("\"name\":\"[^\"]*\",", "");
        return site.put(keeper, "/api/filters/" + weir.get("id").asLong(), """
                {"version": %d, "filter": {"name": "Weir", "kind": "CANISTER", "direction": "BOTTOM_UP", "rating": {},
                 "careFrom": "2026-05-01", "stages": %s, "passport": %s}}""".formatted(version, stages, passport));
    }

    private static List<String> places(JsonNode filter) {
        return filter.get("passport")
                .get("chambers")
                .valueStream()
                .flatMap(chamber -> chamber.get("places").valueStream())
                .map(place -> place.get("name").asString())
                .toList();
    }

    private static JsonNode task(JsonNode filter, String name) {
        return filter.get("tasks")
                .valueStream()
                .filter(task -> task.get("name").asString().equals(name))
                .findFirst()
                .orElseThrow();
    }

    private static String procedure(JsonNode filter, String task) {
        return "/api/filters/" + filter.get("id").asLong() + "/procedure?tasks=" + TestSite.task(filter, task);
    }

    private List<String> steps(JsonNode filter, String task) throws Exception {
        return site.read(site.get(keeper, procedure(filter, task)))
                .get("steps")
                .valueStream()
                .map(step -> step.get("id").asString())
                .toList();
    }
}
