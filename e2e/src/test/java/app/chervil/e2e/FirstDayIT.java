package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.ZoneId;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A new keeper on an empty machine: the first account, the first tank, by mouse and by keyboard. */
class FirstDayIT {
    private static final String A_MONTH_AGO =
            LocalDate.now(ZoneId.systemDefault()).minusDays(30).toString();

    private RunningServer server;
    private Keeper keeper;

    @BeforeEach
    void makeTheAccount() {
        server = RunningServer.empty();
        keeper = new Keeper(server);
        keeper.go("/");
        keeper.viewIsAccessible();
        keeper.makeAccount("Zuhause");
    }

    @AfterEach
    void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
        server.close();
    }

    @Test
    void a_new_canister_tank_reaches_the_rounds_by_mouse() {
        Page page = keeper.page();
        keeper.viewIsAccessible();
        keeper.link("Add the first tank").click();
        page.getByLabel("Tank", new Page.GetByLabelOptions().setExact(true)).fill("小川");
        page.getByLabel("Net volume").fill("10000000");
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Weir");
        page.getByText("A year or longer").click();
        page.getByText("On a day I know", new Page.GetByTextOptions().setExact(true))
                .click();
        page.getByLabel("Last cleaned", new Page.GetByLabelOptions().setExact(true))
                .fill(A_MONTH_AGO);
        keeper.button("Save and plan").click();

        assertThat(page.locator("[data-field='netVolumeL'] .error")).hasText("At most 100,000 litres.");
        assertThat(page.getByLabel("Net volume")).hasValue("10000000");
        page.getByLabel("Net volume").fill("180");
        page.locator(".path .grip").nth(3).dragTo(page.locator(".path .grip").nth(4));
        assertThat(page.locator(".path .name").nth(3)).hasText("Medium foam");
        keeper.button("Save and plan").click();

        assertThat(keeper.heading("小川")).isVisible();
        assertThat(page.locator(".when li").filter(new Locator.FilterOptions().setHasText("Open canister Weir")))
                .containsText("No findings yet");
        keeper.link("Rounds").click();
        assertThat(page.locator(".visit")).containsText("Rinse the pre-filter");
    }

    @Test
    void and_by_keyboard_alone() {
        Page page = keeper.page();
        tabTo("Add the first tank");
        page.keyboard().press("Enter");
        assertThat(keeper.heading("A new tank")).isVisible();
        tabTo("Tank");
        page.keyboard().type("Bach");
        tabTo("Net volume");
        page.keyboard().type("96");
        tabTo("Just started");
        page.keyboard().press(" ");
        for (int presses = 0; presses < 3; presses++) {
            page.keyboard().press("ArrowRight");
        }
        tabTo("Canister");
        page.keyboard().press("ArrowRight");
        page.keyboard().press("ArrowLeft");
        tabTo("Name");
        page.keyboard().type("Wehr");
        tabTo("Nobody knows");
        page.keyboard().press("ArrowLeft");
        page.keyboard().press("ArrowLeft");
        tabTo("Last cleaned");
        page.keyboard()
                .type(A_MONTH_AGO.substring(8) + "/" + A_MONTH_AGO.substring(5, 7) + "/" + A_MONTH_AGO.substring(0, 4));
        tabTo("Move Strainer down");
        page.keyboard().press("Enter");
        tabTo("Save and plan");
        page.keyboard().press("Enter");

        assertThat(keeper.heading("Bach")).isVisible();
        assertThat(page.locator(".stage .name").first()).hasText("pre-filter");
        page.keyboard().press("g");
        page.keyboard().press("r");
        assertThat(page.locator(".visit")).containsText("Rinse the pre-filter");
    }

    @Test
    void an_ended_session_leads_back_to_the_door() {
        keeper.page().locator(".rail .site button").first().click();
        keeper.page()
                .getByRole(AriaRole.MENUITEM, new Page.GetByRoleOptions().setName("Sign out"))
                .click();

        assertThat(keeper.heading("Sign in")).isVisible();
        keeper.viewIsAccessible();
        keeper.page().getByLabel("Name").fill("ines");
        keeper.page().getByLabel("Password").fill("wrong");
        keeper.button("Sign in").click();
        assertThat(keeper.page().locator("[data-field='password'] .error")).hasText("Wrong name or password.");
    }

    /** Presses Tab until the control with this name has the focus. */
    private void tabTo(String name) {
        for (int presses = 0; presses < 120; presses++) {
            keeper.page().keyboard().press("Tab");
            Object focused = keeper.page().evaluate("""
                () => { const e = document.activeElement
                  return e.getAttribute('aria-label') ?? e.labels?.[0]?.textContent.trim() ?? e.textContent.trim() }""");
            if (name.equals(focused)) {
                return;
            }
        }
        throw new AssertionError("Tab never reached " + name);
    }
}
