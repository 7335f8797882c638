package app.chervil.server.future;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.Duration;
import java.time.Instant;
import java.util.List;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

@ChervilTest
class FutureApiTest {
    private static final Duration PATIENCE = Duration.ofSeconds(60);

    @Autowired
    TestSite site;

    SignedIn keeper;
    long tank;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        site.canister(keeper, tank, "Weir", "2026-05-01");
    }

    @Test
    void a_comparison_runs_in_the_background_and_shows_each_way_as_a_spread() throws Exception {
        JsonNode begun = begin("[\"AS_LEARNED\", \"HALF_AS_OFTEN\"]", 60);

        JsonNode done = ended(begun.get("id").asString());

        assertThat(begun.get("total").asInt()).isEqualTo(120);
        assertThat(done.get("state").asString()).isEqualTo("DONE");
        assertThat(done.get("done").asInt()).isEqualTo(120);
        JsonNode learned = measure(done, 0, "SERVICES");
        JsonNode half = measure(done, 1, "SERVICES");
        assertThat(half.get("middle").asDouble())
                .isLessThan(learned.get("middle").asDouble());
        assertThat(measure(done, 1, "OVERLOADS").get("middle").asDouble())
                .isGreaterThan(measure(done, 0, "OVERLOADS").get("middle").asDouble());
        List<Double> values =
                learned.get("values").valueStream().map(JsonNode::asDouble).toList();
        assertThat(values).hasSize(20).isSorted();
        assertThat(learned.get("low").asDouble())
                .isBetween(values.get(0), learned.get("middle").asDouble());
    }

    @Test
    void a_comparison_can_be_stopped() throws Exception {
        String id = begin("[\"AS_LEARNED\", \"MAKERS_CALENDAR\", \"STOCKING_RAISED\"]", 1000)
                .get("id")
                .asString();

        site.delete(keeper, "/api/futures/" + id).andExpect(jsonPath("$.state").value("CANCELLED"));

        site.get(keeper, "/api/futures/" + id)
                .andExpect(jsonPath("$.state").value("CANCELLED"))
                .andExpect(jsonPath("$.ways").isEmpty());
    }

    @Test
    void a_stranger_sees_no_comparison_and_begins_none_on_this_tank() throws Exception {
        SignedIn stranger = site.keeper();
        String id = begin("[\"AS_LEARNED\"]", 20).get("id").asString();

        site.get(stranger, "/api/futures/" + id).andExpect(status().isNotFound());
        site.delete(stranger, "/api/futures/" + id).andExpect(status().isNotFound());
        site.post(stranger, "/api/futures", asked("[\"AS_LEARNED\"]", 20)).andExpect(status().isNotFound());
    }

    @ParameterizedTest
    @CsvSource(
            delimiter = '|',
            value = {
                "[]                                  | 200 | ways",
                "[\"AS_LEARNED\", \"AS_LEARNED\"]    | 200 | ways",
                "[\"AS_LEARNED\"]                    | 19  | futures",
                "[\"AS_LEARNED\"]                    | 1001 | futures",
            })
    void what_cannot_be_compared_is_refused_at_its_field(String ways, int futures, String field) throws Exception {
        site.post(keeper, "/api/futures", asked(ways, futures))
                .andExpect(status().is4xxClientError())
                .andExpect(jsonPath("$.errors[0].field").value(field));
    }

    @Test
    void a_tank_without_a_filter_says_so() throws Exception {
        tank = site.tank(keeper);

        site.post(keeper, "/api/futures", asked("[\"AS_LEARNED\"]", 20))
                .andExpect(jsonPath("$.errors[0].code").value("nothing-to-look-at"));
    }

    private JsonNode begin(String ways, int futures) throws Exception {
        return site.read(site.post(keeper, "/api/futures", asked(ways, futures)).andExpect(status().isAccepted()));
    }

    private String asked(String ways, int futures) {
        return "{\"tankId\": %d, \"ways\": %s, \"futures\": %d, \"partPrice\": 3}".formatted(tank, ways, futures);
    }

    private JsonNode ended(String id) throws Exception {
        Instant patient = Instant.now().plus(PATIENCE);
        JsonNode seen = site.read(site.get(keeper, "/api/futures/" + id));
        while (seen.get("state").asString().equals("RUNNING") && Instant.now().isBefore(patient)) {
            Thread.onSpinWait();
            seen = site.read(site.get(keeper, "/api/futures/" + id));
        }
        return seen;
    }

    private static JsonNode measure(JsonNode view, int way, String measure) {
        return view.get("ways")
                .get(way)
                .get("measures")
                .valueStream()
                .filter(one -> one.get("measure").asString().equals(measure))
                .findFirst()
                .orElseThrow();
    }
}
