package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.HashSet;
import java.util.List;
import java.util.Set;
import java.util.UUID;
import org.junit.jupiter.api.Test;

/** From "something is wrong" to the part: at the tank, by two people, stopped by a danger, ended in work. */
class TroubleJourneyIT extends InTheDemo {
    private static final String A_CANISTER = """
        async ([tank, name, careFrom, send]) => {
          const call = eval(send)
          const stage = (kind, make = 'WASHABLE') => ({ kind, label: '', quantity: 1, make, bagged: false })
          const filter = await call(['POST', `/api/tanks/${tank}/filters`, {
            name, kind: 'CANISTER', direction: 'BOTTOM_UP', rating: { flowLph: 900 }, careFrom,
            stages: [stage('STRAINER'), stage('PREFILTER_SPONGE'), stage('HOSES'), stage('COARSE_FOAM'),
              stage('FINE_PAD', 'DISPOSABLE'), stage('BIO_MEDIA'), stage('IMPELLER')] }])
          const named = (name) => filter.tasks.find((task) => task.name.startsWith(name)).id
          return [named('Open canister'), named('Rinse the coarse foam'), named('Change the fine pad'),
            named('Rinse the pre-filter'), named('Clear the strainer')]
        }""";

    private Page start(int tank, String complaint) {
        keeper.go("/trouble/new?tank=" + tank);
        keeper.button(complaint).click();
        Page page = keeper.page();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("What it may be")))
                .isVisible();
        return page;
    }

    private static Locator step(Page page) {
        return page.locator("main section h2").first();
    }

    @Override
    Keeper somebody() {
        return Keeper.offlineToo(server);
    }

    @Test
    void a_case_begun_on_the_phone_without_a_connection_is_ended_on_the_laptop_by_somebody_else() {
        keeper.takePhone();
        Page phone = start(6, "It hums through the furniture");
        keeper.viewIsAccessible();
        keeper.viewIsForThumbs();
        keeper.viewDoesNotScrollSideways();
        String first = step(phone).textContent();
        keeper.goOffline(true);
        keeper.button("No").click();
        assertThat(phone.getByText("No connection. The case goes on here")).isVisible();
        assertThat(step(phone)).not().hasText(first);
        keeper.goOffline(false);
        assertThat(phone.getByText("No connection. The case goes on here")).hasCount(0);

        try (Keeper laptop = somebody()) {
            laptop.enterDemoAs("Osei");
            laptop.go("/bench/trouble");
            laptop.viewIsAccessible();
            laptop.link("It hums through the furniture").first().click();
            assertThat(laptop.page().getByLabel("So far")).containsText("No change");
            laptop.button("Yes").click();
            assertThat(laptop.page()
                            .getByText("Mended", new Page.GetByTextOptions().setExact(false))
                            .first())
                    .isVisible();
            laptop.viewIsAccessible();
        }
        assertThat(phone.getByLabel("So far")).containsText("Osei");
    }

    @Test
    void a_danger_stops_everything_until_it_is_over() {
        Page page = start(2, "No water comes out at all");
        keeper.viewIsAccessible();

        keeper.button("Yes, or not sure").click();

        assertThat(page.getByRole(AriaRole.ALERT)).containsText("Cut the power at the fuse or breaker with dry hands");
        assertThat(page.getByRole(AriaRole.ALERT)).containsText("licensed electrician");
        assertThat(keeper.button("Don’t know")).hasCount(0);
        assertThat(keeper.button("Yes")).hasCount(0);
        keeper.viewIsAccessible();
        keeper.button("It is safe now: change my answer").click();
        assertThat(page.getByText("Safety first")).isVisible();
    }

    @Test
    void the_same_complaint_begins_elsewhere_by_what_the_log_tells() {
        keeper.go("/tanks");
        LocalDate today = LocalDate.now();
        canister("Long shut", today.minusDays(300));
        List<?> opened = canister("Opened yesterday", today.minusDays(300));
        List<?> worn = canister("Old impeller", today.minusDays(900));
        opened.subList(0, 4).forEach(task -> log(today.minusDays(1), task, "MODERATE"));
        worn.subList(0, 3).forEach(task -> log(today.minusDays(20), task, "LIGHT"));
        worn.subList(3, 5).forEach(task -> log(today.minusDays(3), task, "LIGHT"));

        Set<String> steps = new HashSet<>();
        steps.add(firstStep("Long shut", "full by now"));
        steps.add(firstStep("Opened yesterday", "yesterday"));
        steps.add(firstStep("Old impeller", "the impeller was last cleaned 900 days ago"));

        assertThat(steps).hasSize(3);
    }

    private List<?> canister(String name, LocalDate careFrom) {
        return (List<?>) keeper.page().evaluate(A_CANISTER, List.of(5, name, careFrom.toString(), Keeper.SEND));
    }

    private void log(LocalDate on, Object task, String finding) {
        String path = "/api/services/" + UUID.randomUUID();
        String body = """
                {"tankId": 5, "doneOn": "%s", "doneBy": "Marit", "note": "", "flows": [],
                 "tasks": [{"taskId": %s, "finding": "%s"}]}""".formatted(on, task, finding);
        keeper.page()
                .evaluate(
                        "([send, path, body]) => eval(send)(['PUT', path, JSON.parse(body)])",
                        List.of(Keeper.SEND, path, body));
    }

    /** The first step of a weak flow, once its reason was seen. */
    private String firstStep(String filter, String because) {
        keeper.go("/trouble/new?tank=5");
        Page page = keeper.page();
        page.getByText(filter, new Page.GetByTextOptions().setExact(true)).click();
        keeper.button("The flow is weak").click();
        assertThat(page.getByLabel("What it may be")).containsText(because);
        return step(page).textContent();
    }

    @Test
    void a_cleaned_impeller_ends_it_and_the_next_opening_stays_where_it_was() {
        keeper.go("/tanks/2");
        Page page = keeper.page();
        String before = opening(page);
        start(2, "It rattles, grinds or gurgles");
        keeper.button("No, none of it").click();

        for (int i = 0; i < 12 && !step(page).textContent().startsWith("Clean the impeller"); i++) {
            String asked = step(page).textContent();
            Locator dontKnow = keeper.button("Don’t know");
            if (asked.startsWith("What does it sound like")) {
                keeper.button("Rattle or grinding").click();
            } else if (dontKnow.count() > 0) {
                dontKnow.click();
            } else {
                keeper.button("No").click();
            }
            assertThat(step(page)).not().hasText(asked);
        }
        assertThat(keeper.link("Be guided through it")).isVisible();
        keeper.button("Yes").click();

        assertThat(page.getByText("Not dirt").first()).isVisible();
        assertThat(keeper.link("Log the work")).isVisible();
        keeper.go("/tanks/2");
        assertThat(page.getByLabel("Trouble before")).containsText("impeller");
        assertThat(opening(page)).isEqualTo(before);
    }

    private static String opening(Page page) {
        return page.locator(".title .tag").first().textContent();
    }
}
