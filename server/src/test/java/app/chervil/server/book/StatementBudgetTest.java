package app.chervil.server.book;

import static java.util.Objects.requireNonNull;
import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.StatementCount;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import com.github.benmanes.caffeine.cache.Cache;
import java.util.List;
import java.util.Locale;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.test.util.ReflectionTestUtils;
import tools.jackson.databind.JsonNode;

/**
 * How often a question asks the database, the one statement of its session apart; five tanks with a canister each, a device,
 * a bag that is being seeded, and work that asked for a look.
 */
@ChervilTest
class StatementBudgetTest {
    private static final int WARM = 1;

    @Autowired
    TestSite site;

    @Autowired
    StatementCount count;

    @Autowired
    SiteMemory memory;

    private SignedIn keeper;
    private JsonNode weir;
    private long tank;

    @BeforeEach
    void five_tanks() throws Exception {
        keeper = site.keeper();
        for (int i = 0; i < 5; i++) {
            tank = site.tank(keeper);
            weir = site.canister(keeper, tank, "Weir", "2026-03-01");
        }
        site.post(keeper, "/api/devices", """
                {"kind": "LEAK", "name": "Corner", "tankId": %d, "fittedOn": "2025-05-01"}""".formatted(tank)).andExpect(status().isCreated());
        site.put(keeper, "/api/media/" + UUID.randomUUID(), """
                {"name": "Bag A", "kind": "POROUS", "grams": 300, "since": "2026-05-01", "moveId": "%s",
                 "spot": {"kind": "SEEDING", "filterId": %d, "forTankId": %d}}""".formatted(
                                UUID.randomUUID(), weir.get("id").asLong(), tank - 1))
                .andExpect(status().isOk());
        log();
    }

    private void log() throws Exception {
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                {"tankId": %d, "doneOn": "2026-05-24", "doneBy": "Ada", "note": "", "flows": [],
                 "tasks": [{"taskId": %d, "finding": "HEAVY"}]}""".formatted(
                                tank, TestSite.task(weir, "Rinse the pre-filter")))
                .andExpect(status().isOk());
    }

    /** As a server that was just started. */
    private void forgetEverything() {
        ((Cache<?, ?>) requireNonNull(ReflectionTestUtils.getField(memory, "pages"))).invalidateAll();
    }

    private List<String> asking(String path) throws Exception {
        count.reset();
        site.get(keeper, path).andExpect(status().isOk());
        return count.statements();
    }

    @ParameterizedTest
    @CsvSource({"/api/rounds, 15", "/api/forecasts, 11", "/api/stores, 14", "/api/plan, 14"})
    void a_first_question_asks_each_table_once_and_the_same_again_only_whether_anything_changed(String path, int most)
            throws Exception {
        forgetEverything();
        assertThat(asking(path)).hasSizeLessThanOrEqualTo(most);

        assertThat(asking(path)).hasSize(WARM).allMatch(sql -> sql.contains("site_revision"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/rounds", "/api/forecasts", "/api/stores", "/api/plan", "/api/trials"})
    void a_question_neither_writes_nor_locks(String path) throws Exception {
        assertThat(asking(path)).allSatisfy(sql -> assertThat(sql.strip().toLowerCase(Locale.ROOT))
                .startsWith("select")
                .doesNotContain("for update")
                .doesNotContain("advisory"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"/api/rounds", "/api/forecasts"})
    void after_a_log_only_its_tank_is_read_anew(String path) throws Exception {
        asking(path);

        log();

        assertThat(asking(path))
                .filteredOn(sql -> sql.contains("recorded_by"))
                .allMatch(sql -> sql.contains("tank_id = ?"));
    }
}
