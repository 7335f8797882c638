package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** The chambers of the demo's sump, by thumb. */
class SumpJourneyIT extends InTheDemo {
    @Test
    void its_chambers_are_cleared_and_its_drain_down_tested_with_the_pump_off() {
        keeper.takePhone();
        keeper.go("/tanks/1/prepare");
        Page page = keeper.page();
        keeper.tickOnly(
                true, "Clear the overflow", "Siphon out the settling chamber", "Test how far Undertow drains down");
        assertThat(page.locator(".card ol li").first()).isVisible();
        keeper.viewIsAccessible();
        keeper.viewIsForThumbs();
        keeper.button("Start").click();
        assertThat(page.locator(".now")).isVisible();

        StringBuilder read = new StringBuilder();
        while (page.locator(".now").count() > 0) {
            String step = page.locator(".now").textContent();
            read.append(step).append('\n');
            keeper.button("Done").click();
            assertThat(page.locator(".now").filter(new Locator.FilterOptions().setHasText(step)))
                    .hasCount(0);
        }
        Keeper.readsInOrder(
                read.toString(),
                "Turn the heater off",
                "Unplug the return pump of Undertow",
                "Is it still under the off mark",
                "off the teeth of the overflow",
                "off the floor of the settling chamber",
                "the sump to its off mark",
                "plug in Undertow",
                "Turn on the skimmer and the top-off",
                "Turn it on");
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();
        keeper.viewIsAccessible();
    }
}
