package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.List;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** A canister from nothing: said what sits where by keyboard, put together by thumb, then served as it is. */
class InsideJourneyIT {
    private RunningServer server;
    private Keeper keeper;
    private Page page;

    @BeforeEach
    void addTank() {
        server = RunningServer.empty();
        keeper = new Keeper(server);
        keeper.makeAccount("Home");
        page = keeper.page();
        keeper.go("/tanks/new");
        page.getByLabel("Tank", new Page.GetByLabelOptions().setExact(true)).fill("Brook");
        page.getByLabel("Net volume").fill("110");
        page.getByText("A year or longer").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Weir");
        page.getByText("New, or cleaned today").click();
        keeper.button("Save and plan").click();
        assertThat(keeper.heading("Brook")).isVisible();
    }

    @AfterEach
    void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
        server.close();
    }

    @Test
    void its_steps_follow_what_sits_where() {
        keeper.link("Say what sits where").click();
        assertThat(keeper.heading("Inside Weir")).isVisible();
        keeper.viewIsAccessible();
        // usual are four trays: media, pad, medium foam, coarse foam; here pad and foams share the bottom one
        putInto("the coarse foam", "medium foam");
        putInto("the coarse foam", "fine pad");
        for (String place : List.of("the fine pad", "the medium foam")) {
            page.getByLabel("Remove " + place).focus();
            page.keyboard().press("Enter");
        }
        name("Place 2, counted from the top", "the bottom tray");
        page.getByLabel("Move fine pad up").focus();
        page.keyboard().press("Enter");
        page.keyboard().press("Enter");
        keeper.button("Add a step of your own").press("Enter");
        name("What to do", "Hold the shelf.");
        keeper.button("Save").press("Enter");
        assertThat(keeper.link("What sits where")).isVisible();

        keeper.go("/tanks/1/prepare");
        keeper.tickOnly(true, "Rinse the coarse foam");
        inOrder(
                "wiggle the head up",
                "Hold the shelf.",
                "Lift the bio media out",
                "Lift the bottom tray out and set it in bucket one.",
                "Squeeze the coarse foam",
                "Put the bottom tray back",
                "Put the bio media back");
    }

    @Test
    void it_is_put_together_by_thumb_and_looked_at_again() {
        keeper.takePhone();
        keeper.go("/tanks/1");
        keeper.link("Set it up, step by step").click();
        assertThat(keeper.heading("Set up Weir")).isVisible();
        keeper.viewIsAccessible();
        keeper.viewIsForThumbs();
        keeper.button("Start").click();
        assertThat(page.locator(".now")).containsText("tick every part off");
        keeper.viewIsForThumbs();
        doAll();
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("In ten minutes")).isVisible();
        keeper.settle();

        keeper.go("/");
        Locator look = page.locator("[aria-labelledby=looks]");
        assertThat(look).containsText("Press dry paper round every joint of Weir.");
        keeper.viewIsAccessible();
        keeper.viewIsForThumbs();
        look.getByRole(AriaRole.BUTTON).click();
        assertThat(look).isHidden();
        putAway();
    }

    private void doAll() {
        while (page.locator(".dock .done").isVisible()) {
            String now = page.locator(".now").innerText();
            keeper.button("Done").click();
            page.waitForCondition(() -> !page.locator(".now").isVisible()
                    || !page.locator(".now").innerText().equals(now));
        }
    }

    /** The same filter comes down again, and is out of use afterwards. */
    private void putAway() {
        keeper.go("/tanks/1");
        keeper.link("Take it down").click();
        assertThat(keeper.heading("Take Weir down")).isVisible();
        page.getByText("Put it away").click();
        assertThat(page.getByText("It is out of use afterwards.")).isVisible();
        assertThat(page.getByText("Weir is this tank’s only filter")).isVisible();
        keeper.viewIsAccessible();
        keeper.viewIsForThumbs();
        keeper.button("Start").click();
        assertThat(page.locator(".now")).containsText("another filter run on this tank for six weeks");
        doAll();
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();
        keeper.settle();
        keeper.go("/tanks/1");
        assertThat(page.getByText("Taken down and put away.")).isVisible();
        assertThat(keeper.link("Take it down")).hasCount(0);
    }

    private void putInto(String place, String what) {
        Locator field = page.getByLabel("Put into " + place);
        field.focus();
        page.keyboard().press("Enter");
        page.getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText(what).setVisible(true))
                .first()
                .click();
    }

    private void name(String label, String words) {
        Locator field = page.getByLabel(label);
        field.focus();
        field.press("ControlOrMeta+a");
        page.keyboard().type(words);
    }

    private void inOrder(String... words) {
        assertThat(page.locator(".card ol li").first()).isVisible();
        Keeper.readsInOrder(page.locator(".card ol").innerText(), words);
    }
}
