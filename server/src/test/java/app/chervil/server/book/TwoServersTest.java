package app.chervil.server.book;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.core.agenda.Standing;
import app.chervil.core.site.TankBook;
import app.chervil.server.ChervilApplication;
import app.chervil.server.ChervilTest;
import app.chervil.server.TestClock;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import app.chervil.server.plan.PlanInForceOperations;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.boot.builder.SpringApplicationBuilder;
import org.springframework.context.ConfigurableApplicationContext;
import org.springframework.core.env.Environment;
import tools.jackson.databind.JsonNode;

/** A second server on the same database, which is told of nothing. */
@ChervilTest
class TwoServersTest {
    @Autowired
    TestSite site;

    @Autowired
    Environment here;

    @Autowired
    SiteBooks books;

    @Autowired
    PlanInForceOperations plans;

    private ConfigurableApplicationContext other;
    private SignedIn keeper;
    private long tank;
    private JsonNode weir;

    @BeforeEach
    void second() throws Exception {
        other = new SpringApplicationBuilder(ChervilApplication.class, TestClock.class)
                .run("--spring.datasource.url=" + here.getRequiredProperty("spring.datasource.url"), "--server.port=0");
        keeper = site.keeper();
        tank = site.tank(keeper);
        weir = site.canister(keeper, tank, "Weir", "2026-03-01");
    }

    @AfterEach
    void down() {
        other.close();
    }

    private List<String> seenThere() {
        TankBook book = other.getBean(SiteBooks.class).site(keeper).tank(tank).orElseThrow();
        return book.records().services().stream()
                .map(service -> service.id().toString())
                .toList();
    }

    private String log(String day) throws Exception {
        String id = UUID.randomUUID().toString();
        site.put(keeper, "/api/services/" + id, """
                {"tankId": %d, "doneOn": "%s", "doneBy": "Ada", "note": "", "flows": [],
                 "tasks": [{"taskId": %d, "finding": "HEAVY"}]}""".formatted(tank, day, TestSite.task(weir, "Rinse the pre-filter")));
        return id;
    }

    @Test
    void what_one_wrote_the_other_answers_from_at_once() throws Exception {
        assertThat(seenThere()).isEmpty();

        String first = log("2026-05-20");
        assertThat(seenThere()).containsExactly(first);

        String second = log("2026-05-28");
        assertThat(seenThere()).containsExactly(first, second);

        site.delete(keeper, "/api/services/" + first);
        assertThat(seenThere()).containsExactly(second);
    }

    @Test
    void both_plan_the_same_visits_under_the_same_names_whoever_plans_first() throws Exception {
        log("2026-05-28");

        Standing there = other.getBean(PlanInForceOperations.class).inForce(keeper);
        Standing thisOne = plans.inForce(keeper);

        assertThat(there.told().visits())
                .extracting(visit -> visit.id() + " " + visit.on())
                .isNotEmpty()
                .isEqualTo(thisOne.told().visits().stream()
                        .map(visit -> visit.id() + " " + visit.on())
                        .toList());
    }

    @Test
    void a_comparison_begun_on_one_can_be_followed_on_the_other() throws Exception {
        String id = site.read(site.post(keeper, "/api/futures", """
                        {"tankId": %d, "ways": ["AS_LEARNED"], "futures": 20, "partPrice": 3}""".formatted(tank)))
                .get("id")
                .asString();

        var there = other.getBean(app.chervil.server.future.FutureOperations.class);

        assertThat(there.find(keeper, UUID.fromString(id)).total()).isEqualTo(20);
    }
}
