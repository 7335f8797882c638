package app.chervil.server.interval;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.LocalDate;
import java.util.UUID;
import java.util.stream.Collectors;
import java.util.stream.LongStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** How large the next opening of a canister is to be, as its log stands; today is Monday 1 June 2026. */
@ChervilTest
class OpeningApiTest {
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);

    @Autowired
    TestSite site;

    private SignedIn keeper;
    private long tank;
    private long open;
    private long impeller;

    @BeforeEach
    void canister() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        String whole = TestSite.canister("Weir", "2026-05-20")
                .replace(
                        "\"stages\": [",
                        "\"stages\": [" + TestSite.stage("IMPELLER", "WASHABLE") + ", "
                                + TestSite.stage("HOSES", "WASHABLE") + ", ");
        JsonNode weir = site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", whole));
        open = TestSite.task(weir, "Open canister Weir");
        impeller = TestSite.task(weir, "Clean the impeller");
        site.put(keeper, "/api/tasks/" + open, "{\"version\": 1, \"mode\": \"FIXED\", \"fixedDays\": 20}")
                .andExpect(status().is2xxSuccessful());
    }

    private void opened(int daysAgo, long... also) throws Exception {
        String tasks = LongStream.concat(LongStream.of(open), LongStream.of(also))
                .mapToObj(task -> "{\"taskId\": " + task + "}")
                .collect(Collectors.joining(", "));
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                        {"tankId": %d, "doneOn": "%s", "doneBy": "Marit", "note": "", "flows": [], "tasks": [%s]}""".formatted(tank, TODAY.minusDays(daysAgo), tasks))
                .andExpect(status().isOk());
    }

    private JsonNode next() throws Exception {
        JsonNode openings = site.read(site.get(keeper, "/api/tanks/" + tank + "/openings"));
        assertThat(openings).hasSize(1);
        assertThat(openings.get(0).get("taskId").asLong()).isEqualTo(open);
        return openings.get(0);
    }

    @Test
    void a_late_entry_makes_it_the_third_and_a_major_one() throws Exception {
        opened(2);
        assertThat(next().get("size").asString()).isEqualTo("MINOR");

        opened(7);

        assertThat(next().get("size").asString()).isEqualTo("MAJOR");
        assertThat(next().get("why").asString()).startsWith("The third opening since 25 May");
        assertThat(next().get("along").toString()).contains(Long.toString(impeller));
    }

    @Test
    void after_a_major_one_the_next_is_minor() throws Exception {
        opened(9);
        opened(6);
        opened(2, impeller);

        assertThat(next().get("size").asString()).isEqualTo("MINOR");
        assertThat(next().get("along").toString()).doesNotContain(Long.toString(impeller));
    }

    @Test
    void a_tank_that_is_not_there_has_none() throws Exception {
        SignedIn stranger = site.keeper();

        assertThat(site.read(site.get(stranger, "/api/tanks/" + tank + "/openings")))
                .isEmpty();
    }
}
