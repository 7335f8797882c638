package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import org.junit.jupiter.api.Test;

/** Somebody new comes to the demo's site, works there, forgets their password, and leaves. */
class PeopleJourneyIT extends InTheDemo {
    private static final String FIRST = "reed mossy kettle";
    private static final String SECOND = "lamp over slow water";

    private String invite(String role, String whom) {
        keeper.go("/people");
        keeper.page()
                .locator(".el-radio-button, .el-radio", new Page.LocatorOptions().setHasText(role))
                .first()
                .click();
        keeper.page().getByLabel("For whom").fill(whom);
        keeper.button("Make a link").click();
        return keeper.page().locator(".link").textContent().strip();
    }

    private void join(Keeper newcomer, String link, String login) {
        Page page = newcomer.page();
        page.navigate(link);
        assertThat(newcomer.heading("Join Tern House")).isVisible();
        page.getByLabel("Your name").fill("Tarn");
        page.getByLabel("Name to sign in with").fill(login);
        page.getByLabel("Password").fill(FIRST);
        newcomer.button("Join").click();
        page.waitForURL(server.url("/"));
    }

    @Test
    void a_tank_is_handed_to_another_site_with_its_history() {
        Page page = keeper.page();
        Object services = page.evaluate("""
            async () => (await (await fetch('/api/services?tank=3')).json()).total""");
        keeper.go("/tanks/3/edit");
        Path file = page.waitForDownload(
                        () -> keeper.link("Save it for another keeper").click())
                .path();
        keeper.go("/you");
        keeper.button("Another site").click();
        page.getByLabel("Name").fill("Fen Hall");
        keeper.button("Make the site").click();
        assertThat(page.getByText("Fen Hall").first()).isVisible();

        keeper.go("/archive");
        page.setInputFiles("input[type=file]", file);
        assertThat(page.getByRole(AriaRole.STATUS)).containsText(services + " services");
        keeper.viewIsAccessible();
        keeper.takePhone();
        keeper.viewIsForThumbs();
        keeper.viewDoesNotScrollSideways();
        keeper.button("Bring it in").click();
        keeper.link("To the tanks").click();

        assertThat(page.locator("main")).containsText("Blackwater nook");
        assertThat(page.locator("main")).containsText("Change floss");
        assertThat(page.locator("main")).not().containsText("Rock pool");
        keeper.go("/archive");
        page.setInputFiles("input[type=file]", file);
        assertThat(page.getByText("Everything is here already.")).isVisible();
    }

    @Test
    void a_helper_joins_by_thumb_logs_work_and_is_seen_to_have_done_it() {
        String link = invite("Helper", "Tarn");
        keeper.viewIsAccessible();
        try (Keeper tarn = new Keeper(server)) {
            tarn.takePhone();
            join(tarn, link, "tarn.helps");
            tarn.viewDoesNotScrollSideways();
            tarn.go("/tanks/2");
            assertThat(tarn.link("Log a service")).isVisible();
            assertThat(tarn.link("Change filter")).hasCount(0);
            tarn.go("/tanks/2/edit");
            assertThat(tarn.heading("This is for keepers")).isVisible();
            tarn.go("/you");
            tarn.viewIsAccessible();
            tarn.viewIsForThumbs();
            tarn.go("/tanks/2/water/change");
            tarn.page().getByLabel("Water changed").first().fill("20");
            tarn.button("Log the change").click();
            tarn.page().waitForURL(server.url("/tanks/2/water"));
        }

        keeper.go("/people/deeds");
        Locator newest = keeper.page().locator("main li").first();
        assertThat(newest).containsText("Tarn logged a water change");
        keeper.viewIsAccessible();

        try (Keeper second = new Keeper(server)) {
            second.page().navigate(link);
            assertThat(second.page().getByText("This code was used")).isVisible();
        }
    }

    @Test
    void a_viewer_reads_everything_and_is_offered_nothing_to_change() {
        String link = invite("Viewer", "the vet");
        try (Keeper vet = new Keeper(server)) {
            join(vet, link, "vet.of.the.house");

            assertThat(vet.page().getByText("You are a viewer here")).isVisible();
            vet.go("/tanks/1");
            assertThat(vet.heading("Rock pool")).isVisible();
            assertThat(vet.link("Log a service")).hasCount(0);
            vet.go("/tanks/1/log");
            assertThat(vet.heading("This is for keepers and helpers")).isVisible();
            vet.viewIsAccessible();
        }
    }

    @Test
    void a_forgotten_password_is_chosen_anew_by_a_code_from_the_keeper() {
        String link = invite("Helper", "Tarn");
        try (Keeper tarn = new Keeper(server)) {
            join(tarn, link, "tarn.forgets");
            keeper.go("/people");
            Locator row = keeper.page().locator("li", new Page.LocatorOptions().setHasText("signs in as tarn.forgets"));
            row.getByRole(AriaRole.BUTTON)
                    .filter(new Locator.FilterOptions().setHasText("New password"))
                    .click();
            keeper.button("Make a code").click();
            String code = keeper.page().locator(".code").textContent().strip();
            assertThat(code).matches("([a-z2-9]{5}-){3}[a-z2-9]{5}");

            tarn.go("/recover");
            tarn.page().getByLabel("Code").fill(code);
            tarn.page().getByLabel("New password").fill("password123");
            tarn.button("Change the password").click();
            assertThat(tarn.page().locator("[data-field='password'] .error")).containsText("easily guessed");
            tarn.page().getByLabel("New password").fill(SECOND);
            tarn.button("Change the password").click();
            tarn.page().waitForURL(server.url("/"));
        }
    }

    @Test
    void a_keeper_founds_a_second_site_and_goes_from_one_to_the_other() {
        keeper.go("/you");
        Page page = keeper.page();
        keeper.button("Another site").click();
        page.getByLabel("Name").fill("Club tanks");
        keeper.button("Make the site").click();
        assertThat(keeper.link("Add the first tank")).isVisible();

        keeper.go("/you");
        goThere(page);
        assertThat(page.getByRole(AriaRole.ARTICLE).first()).isVisible();
        keeper.go("/you");
        goThere(page);
        keeper.go("/you");
        keeper.button("Delete Club tanks").click();
        page.getByLabel("To be sure, type Club tanks").fill("Club tanks");
        keeper.button("Delete").click();
        assertThat(page.getByText("This site was deleted.")).isVisible();
        keeper.button("Bring it back").click();
        assertThat(page.getByText("This site was deleted.")).hasCount(0);
        goThere(page);
    }

    /** From one of two sites to the other. */
    private static void goThere(Page page) {
        page.getByRole(AriaRole.BUTTON)
                .filter(new Locator.FilterOptions().setHasText("Go there"))
                .click();
        page.waitForURL(server.url("/"));
    }
}
