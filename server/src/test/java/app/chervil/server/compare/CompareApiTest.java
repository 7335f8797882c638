package app.chervil.server.compare;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.Clock;
import java.time.LocalDate;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** Two canisters on two tanks: one with a pre-filter, opened half as often and found as full. */
@ChervilTest
class CompareApiTest {
    @Autowired
    TestSite site;

    @Autowired
    Clock clock;

    private SignedIn keeper;
    private LocalDate today;

    @BeforeEach
    void begin() {
        keeper = site.keeper();
        today = LocalDate.now(clock);
    }

    private JsonNode canister(String name, boolean prefilter) throws Exception {
        long tank = site.tank(keeper);
        String body = TestSite.canister(name, today.minusDays(420).toString());
        String own = prefilter ? body : body.replace(TestSite.stage("PREFILTER_SPONGE", "WASHABLE") + ",", "");
        return site.read(
                site.post(keeper, "/api/tanks/" + tank + "/filters", own).andExpect(status().isCreated()));
    }

    private void opened(JsonNode filter, int times, int everyDays, String finding) throws Exception {
        long tank = filter.get("tankId").asLong();
        long foam = TestSite.task(filter, "Rinse the coarse foam");
        for (int time = times; time > 0; time--) {
            site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                    {"tankId": %d, "doneOn": "%s", "doneBy": "Ada", "note": "", "flows": [], "tasks": [{"taskId": %d, "finding": "%s"}]}""".formatted(
                                    tank, today.minusDays((long) everyDays * time), foam, finding))
                    .andExpect(status().is2xxSuccessful());
        }
    }

    @Test
    void a_site_without_runs_says_so() throws Exception {
        site.get(keeper, "/api/filters-compared")
                .andExpect(jsonPath("$.runs").value(0))
                .andExpect(jsonPath("$.effects").isEmpty())
                .andExpect(jsonPath("$.untold.length()").value(5));
    }

    @Test
    void a_pre_filter_that_doubles_the_days_is_seen_to() throws Exception {
        opened(canister("Weir", true), 6, 60, "MODERATE");
        opened(canister("Bow", false), 12, 30, "MODERATE");

        JsonNode told = site.read(site.get(keeper, "/api/filters-compared"));
        JsonNode effect = told.get("effects")
                .valueStream()
                .filter(one -> one.get("factor").asString().equals("PREFILTER"))
                .findFirst()
                .orElseThrow();

        assertThat(told.get("filters").asInt()).isEqualTo(2);
        assertThat(told.get("runs").asInt()).isBetween(15, 18);
        assertThat(effect.get("ratio").asDouble()).isBetween(0.4, 0.85);
        assertThat(effect.get("low").asDouble()).isLessThan(effect.get("ratio").asDouble());
        assertThat(effect.get("words").asString()).startsWith("With a pre-filter before it, filters fill 0.");
        assertThat(effect.get("with").asInt()).isBetween(5, 6);
    }
}
