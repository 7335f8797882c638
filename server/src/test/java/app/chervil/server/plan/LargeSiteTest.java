package app.chervil.server.plan;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.time.Duration;
import java.time.Instant;
import java.util.Set;
import java.util.concurrent.Callable;
import java.util.stream.Collectors;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.jdbc.core.JdbcTemplate;
import tools.jackson.databind.JsonNode;

/** A site of so many tanks that its plan is searched while nobody waits; today is Monday 1 June 2026. */
@ChervilTest
class LargeSiteTest {
    private static final int TANKS = 125;
    private static final Duration PATIENCE = Duration.ofMinutes(1);

    @Autowired
    TestSite site;

    @Autowired
    PlanOperations plans;

    @Autowired
    JdbcTemplate database;

    private JsonNode plan(SignedIn keeper) throws Exception {
        return site.read(site.get(keeper, "/api/plan?weeks=8").andExpect(status().isOk()));
    }

    private static Set<Long> tanks(JsonNode plan) {
        return plan.get("visits")
                .valueStream()
                .map(visit -> visit.get("tankId").asLong())
                .collect(Collectors.toSet());
    }

    /** Has so many minutes on four days of the week. */
    private SignedIn keeper(int tanks, int minutes) throws Exception {
        SignedIn keeper = site.keeper();
        for (int i = 0; i < tanks; i++) {
            site.canister(keeper, site.tank(keeper), "Weir", "2026-04-" + (10 + i % 20));
        }
        site.put(keeper, "/api/plan/time/people/" + keeper.accountId(), """
                        {"minutes": [%1$d, 0, %1$d, 0, %1$d, %1$d, 0]}""".formatted(minutes))
                .andExpect(status().isOk());
        return keeper;
    }

    private static boolean tellsOfABetterPlan(JsonNode plan) {
        return plan.get("changes").valueStream().anyMatch(change -> change.get("causes")
                .valueStream()
                .anyMatch(cause -> cause.asString().equals("a better plan was found")));
    }

    @Test
    void it_has_a_plan_at_once_and_a_better_one_once_the_search_is_done() throws Exception {
        SignedIn keeper = keeper(TANKS, 900);

        JsonNode first = plan(keeper);
        boolean improving = first.get("improving").asBoolean();
        plans.better(keeper);
        JsonNode better = plan(keeper);

        assertThat(improving).isTrue();
        assertThat(better.get("improving").asBoolean()).isFalse();
        assertThat(tanks(first)).hasSize(TANKS);
        assertThat(tanks(better)).hasSize(TANKS);
        assertThat(better.get("visits").size()).isLessThan(first.get("visits").size());
        assertThat(plan(keeper).get("visits")).isEqualTo(better.get("visits"));
        assertThat(tellsOfABetterPlan(better)).isFalse();
    }

    @Test
    void a_plan_that_grows_while_a_better_one_is_looked_for_is_bettered_all_the_same() throws Exception {
        SignedIn keeper = keeper(30, 200);

        plan(keeper);
        JsonNode longer = site.read(site.get(keeper, "/api/plan?weeks=13"));

        assertThat(longer.get("improving").asBoolean()).isTrue();
        becomes(() -> !plan(keeper).get("improving").asBoolean());
    }

    /** Waits for what is done while nobody waits. */
    private static void becomes(Callable<Boolean> so) throws Exception {
        Instant patient = Instant.now().plus(PATIENCE);
        while (!so.call()) {
            assertThat(Instant.now()).isBefore(patient);
            Thread.sleep(100);
        }
    }

    @Test
    void what_moves_is_told_if_the_search_comes_only_after_an_hour() throws Exception {
        SignedIn keeper = keeper(30, 200);
        plan(keeper);
        becomes(() -> database.update(
                        "update plan_visit set changed_at = changed_at - interval '1 hour' where site_id = ?",
                        keeper.siteId())
                > 0);
        // What the server remembers is read again once something has changed.
        site.tank(keeper);

        plans.better(keeper);

        assertThat(tellsOfABetterPlan(plan(keeper))).isTrue();
    }
}
