package app.chervil.server.sums;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.within;
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
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** Sums asked over HTTP, rules of thumb and vessels of a site. */
@ChervilTest
class SumApiTest {
    private static final String MIX = """
            {"coldC": 12, "hotC": 48, "targetC": 21, "litres": 60, "tankC": 26, "share": 0.5}""";

    @Autowired
    TestSite site;

    SignedIn keeper;

    @BeforeEach
    void signIn() throws Exception {
        keeper = site.keeper();
    }

    private ResultActions ask(String sum, String given) throws Exception {
        return site.post(keeper, "/api/sums/" + sum, "{\"given\": " + given + "}");
    }

    private JsonNode answer(String sum, String given) throws Exception {
        return site.read(ask(sum, given).andExpect(status().isOk()));
    }

    @Test
    void a_mix_says_how_much_of_each_tap_and_warns_of_the_step() throws Exception {
        JsonNode answer = answer("mix", MIX);

        assertThat(answer.at("/values/hotL").asDouble()).isCloseTo(15, within(1e-9));
        assertThat(answer.at("/values/stepC").asDouble()).isCloseTo(-2.5, within(1e-9));
        assertThat(answer.get("warnings").valueStream().map(JsonNode::asString)).containsExactly("STEP");
    }

    @Test
    void every_sum_lists_what_it_asks_for_with_ranges_and_origins() throws Exception {
        JsonNode sums = site.read(site.get(keeper, "/api/sums").andExpect(status().isOk()));

        assertThat(sums).hasSize(29);
        JsonNode step = field(sums, "mix", "stepLimit");
        assertThat(step.get("basis").asString()).isEqualTo("RULE");
        assertThat(step.get("otherwise").asDouble()).isEqualTo(2);
        assertThat(step.get("most").asDouble()).isEqualTo(10);
        assertThat(field(sums, "buckets", "fill").get("rule").asString()).isEqualTo("buckets.fill");
    }

    private static JsonNode field(JsonNode sums, String sum, String field) {
        return sums.valueStream()
                .filter(one -> one.get("name").asString().equals(sum))
                .flatMap(one -> one.get("fields").valueStream())
                .filter(one -> one.get("name").asString().equals(field))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest(name = "{0} of {1}: {3} at {2}")
    @CsvSource(
            delimiter = '|',
            value = {
                "mix | {\"coldC\": 12} | hotC | missing | Fill this in.",
                "mix | {\"coldC\": 12, \"hotC\": 91, \"targetC\": 20, \"litres\": 1} | hotC | range | Between 0 and 90 °C.",
                "mix | {\"coldC\": \"12\", \"hotC\": 50, \"targetC\": 20, \"litres\": 1} | coldC | range | Between 0 and 40 °C.",
                "mix | {\"coldC\": 12, \"hotC\": 10, \"targetC\": 11, \"litres\": 1} | hotC | impossible"
                        + " | Hot must be warmer than cold. Are the two taps swapped?",
                "mix | {\"cold\": 12} | cold | unknown | This sum asks for nothing of this name.",
                "catch | {\"catches\": [{\"litres\": 1, \"seconds\": 0}]} | catches[0].seconds | range"
                        + " | Between 0.5 and 600 s.",
                "catch | {\"catches\": [{\"litres\": 1, \"second\": 3}]} | catches[0].second | unknown"
                        + " | This sum asks for nothing of this name.",
                "catch | {\"catches\": [3]} | catches[0] | range | A row of this list has fields.",
                "buckets | {\"mediaL\": 1, \"netL\": 60, \"tubsL\": [8, 0]} | tubsL[1] | range | Between 0.05 and 100,000 L.",
                "catch | {\"catches\": 3} | catches | range | Between 1 and 9 of them.",
                "split | {\"share\": 0.1, \"count\": 2.5} | count | range | A whole number between 1 and 1,000.",
                "hold | {\"shape\": \"BALL\", \"lengthMm\": 9, \"heightMm\": 9, \"media\": \"RING\"} | shape | range"
                        + " | Choose one.",
                "vinegar | {\"litres\": 1, \"acidPct\": 5} | bleachNear | missing | Fill this in.",
                "vinegar | {\"litres\": 1, \"acidPct\": 5, \"bleachNear\": true} | bleachNear | unsafe"
                        + " | Vinegar near bleach gives off poisonous gas. Clear it away, rinse, air the room first.",
                "cutlist | {\"sheetWMm\": 100, \"sheetHMm\": 100, \"pieces\": [{\"aMm\": 100, \"bMm\": 20, \"count\": 1}]}"
                        + " | pieces[0].aMm | impossible | This piece is larger than the sheet, with what is cut over."
            })
    void a_sum_is_refused_at_its_field_with_a_reason(
            String sum, String given, String field, String code, String message) throws Exception {
        ask(sum, given)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value(field))
                .andExpect(jsonPath("$.errors[0].code").value(code))
                .andExpect(jsonPath("$.errors[0].message").value(message));
    }

    @Test
    void a_sum_nobody_knows_is_not_found() throws Exception {
        ask("wishes", "{}").andExpect(status().isNotFound());
        site.post(keeper, "/api/sums/mix", "{}").andExpect(status().isUnprocessableContent());
    }

    @Test
    void a_rule_of_the_site_is_gone_by_until_it_is_forgotten_and_no_other_site_hears_of_it() throws Exception {
        rule("mix.stepLimit", 3).andExpect(status().isNoContent());
        assertThat(answer("mix", MIX).get("warnings")).isEmpty();
        assertThat(field(site.read(site.get(keeper, "/api/sums")), "mix", "stepLimit")
                        .get("otherwise")
                        .asDouble())
                .isEqualTo(3);

        SignedIn other = site.keeper();
        assertThat(site.read(site.post(other, "/api/sums/mix", "{\"given\": " + MIX + "}"))
                        .get("warnings"))
                .hasSize(1);

        site.delete(keeper, "/api/sum-rules/mix.stepLimit").andExpect(status().isNoContent());
        assertThat(answer("mix", MIX).get("warnings")).hasSize(1);
    }

    private ResultActions rule(String key, double value) throws Exception {
        return site.put(keeper, "/api/sum-rules/" + key, "{\"value\": " + value + "}");
    }

    @Test
    void a_rule_of_thumb_has_bounds_and_physics_is_no_rule() throws Exception {
        rule("mix.stepLimit", 11)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value("Between 0.2 and 10 °C."));
        rule("siphon.friction", .02).andExpect(status().isNotFound());
        rule("media.LAVA.per100", 2).andExpect(status().isNoContent());

        assertThat(answer("need", "{\"netL\": 100, \"media\": \"LAVA\"}")
                        .at("/values/needKg")
                        .asDouble())
                .isEqualTo(2);
    }

    @Test
    void what_was_given_for_a_tank_stands_there_the_next_time() throws Exception {
        long tank = site.tank(keeper);
        String kept = "/api/tanks/" + tank + "/sums";
        String path = kept + "/mix";
        site.get(keeper, kept).andExpect(jsonPath("$").isEmpty());

        site.put(keeper, path, "{\"given\": {\"coldC\": 9, \"hotC\": 52}}").andExpect(status().isNoContent());
        site.put(keeper, path, "{\"given\": {\"coldC\": 8.5, \"hotC\": 52}}").andExpect(status().isNoContent());

        site.get(keeper, kept)
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].sum").value("mix"))
                .andExpect(jsonPath("$[0].given.coldC").value(8.5));
        site.put(keeper, path, "{\"given\": {\"cold\": 9}}").andExpect(status().isUnprocessableContent());
        site.get(site.keeper(), kept).andExpect(status().isNotFound());
    }

    @Test
    void a_tub_is_added_changed_and_forgotten() throws Exception {
        String path = "/api/vessels/" + UUID.randomUUID();
        site.put(keeper, path, vessel("TUB", "Blue tub", 9000)).andExpect(status().isNoContent());
        site.put(keeper, path, vessel("TUB", "Blue tub", 8500)).andExpect(status().isNoContent());
        site.put(keeper, "/api/vessels/" + UUID.randomUUID(), vessel("CAP", "Cap of the bottle", 5))
                .andExpect(status().isNoContent());

        site.get(keeper, "/api/vessels")
                .andExpect(jsonPath("$[0].name").value("Blue tub"))
                .andExpect(jsonPath("$[0].millilitres").value(8500))
                .andExpect(jsonPath("$[1].kind").value("CAP"));
        site.get(site.keeper(), "/api/vessels").andExpect(jsonPath("$").isEmpty());

        site.delete(keeper, path).andExpect(status().isNoContent());
        site.delete(keeper, path).andExpect(status().isNotFound());
    }

    @Test
    void a_service_draws_in_the_keepers_own_tub_and_never_overfills_a_small_one() throws Exception {
        long tank = site.tank(keeper);
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-05-20");
        String tasks = "?tasks=" + TestSite.task(weir, "Rinse the pre-filter");
        String procedure = "/api/filters/" + weir.get("id").asLong() + "/procedure" + tasks;
        assertThat(drawn(procedure)).doesNotContain("large enough");

        String tub = "/api/vessels/" + UUID.randomUUID();
        site.put(keeper, tub, vessel("TUB", "Blue tub", 12_000)).andExpect(status().isNoContent());
        assertThat(drawn(procedure)).endsWith("5 L of tank water. “Blue tub” is large enough.");

        site.put(keeper, tub, vessel("TUB", "Jug", 3000)).andExpect(status().isNoContent());
        assertThat(drawn(procedure)).endsWith("2 L of tank water. “Jug” is large enough.");
    }

    private String drawn(String procedure) throws Exception {
        return site.read(site.get(keeper, procedure).andExpect(status().isOk()))
                .get("steps")
                .valueStream()
                .map(step -> step.get("text").asString())
                .filter(text -> text.contains("of tank water"))
                .findFirst()
                .orElseThrow();
    }

    @ParameterizedTest
    @ValueSource(strings = {"\"x\"", "[[]]", "[null]", "{}", "1e308", "-1e308"})
    void whatever_stands_in_a_field_is_answered_or_refused_at_it_and_never_breaks(String odd) throws Exception {
        for (JsonNode sum : site.read(site.get(keeper, "/api/sums"))) {
            for (JsonNode field : sum.get("fields")) {
                int answered = ask(
                                sum.get("name").asString(),
                                "{\"%s\": %s}".formatted(field.get("name").asString(), odd))
                        .andReturn()
                        .getResponse()
                        .getStatus();
                assertThat(answered)
                        .as("%s.%s = %s", sum.get("name"), field.get("name"), odd)
                        .isIn(200, 422);
            }
        }
    }

    @Test
    void a_vessel_has_a_name_and_a_sensible_size() throws Exception {
        site.put(keeper, "/api/vessels/" + UUID.randomUUID(), vessel("CAP", " ", 0))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors.length()").value(2));
        site.put(keeper, "/api/vessels/" + UUID.randomUUID(), vessel("TUB", "Thimble", 499))
                .andExpect(jsonPath("$.errors[0].message").value("A tub holds at least 0.5 L."));
        site.put(keeper, "/api/vessels/" + UUID.randomUUID(), vessel("TUB", "Pond", 100_001))
                .andExpect(jsonPath("$.errors[0].field").value("millilitres"));
    }

    private static String vessel(String kind, String name, double millilitres) {
        return "{\"kind\": \"%s\", \"name\": \"%s\", \"millilitres\": %s}".formatted(kind, name, millilitres);
    }
}
