package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Why an interval is what it is, and what another way of working would bring. */
class LearningJourneyIT extends InTheDemo {
    @Test
    void the_canister_of_brook_bench_tells_how_its_interval_grew() {
        keeper.go("/tanks/2");
        Page page = keeper.page();

        keeper.link("Open canister Weir").first().click();

        assertThat(page.getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(Pattern.compile("came to be 1[45]\\d days"))))
                .isVisible();
        assertThat(page.locator(".chapters li").last()).containsText("72 days");
        assertThat(page.locator(".chapters")).containsText("Pre-filter added");
        assertThat(page.getByRole(
                        AriaRole.IMG, new Page.GetByRoleOptions().setName(Pattern.compile("interval over time"))))
                .isVisible();
        keeper.link("How dates are learned").first().click();
        assertThat(keeper.heading("Its known weakness")).isVisible();
    }

    @Test
    void a_worn_impeller_is_due_at_once_and_taking_the_look_back_clears_it() {
        keeper.go("/tanks/2");
        Page page = keeper.page();
        keeper.link("Replace the impeller").click();

        keeper.button("Worn shaft, bushing or blades").click();

        assertThat(page.getByLabel("When")).containsText("Found worn out on");
        assertThat(page.getByLabel("Seen before")).containsText("Worn shaft, bushing or blades");
        keeper.button("Undo").click();
        assertThat(page.getByLabel("When")).not().containsText("Found worn out on");
    }

    @Test
    void two_ways_are_compared_in_the_background_and_a_third_run_is_stopped() {
        keeper.go("/bench/what-if");
        Page page = keeper.page();
        keeper.choose("Where", "Brook bench");

        keeper.button("Compare").click();

        Locator half = page.locator("[data-way='HALF_AS_OFTEN']").first();
        half.waitFor(new Locator.WaitForOptions().setTimeout(30_000));
        assertThat(half.locator("circle")).hasCount(20);
        keeper.viewIsAccessible();

        keeper.choose("Where", "The whole site");
        page.getByLabel("Futures each").fill("1000");
        keeper.button("Compare").click();
        keeper.button("Stop").click();
        assertThat(page.getByText("Stopped; nothing was kept.")).isVisible();
    }

    @Test
    void what_cannot_be_compared_is_said_at_its_field() {
        keeper.go("/bench/what-if");
        Page page = keeper.page();
        page.getByLabel("Futures each").fill("3");

        keeper.button("Compare").click();

        assertThat(page.getByText("At least 20.")).isVisible();
    }
}
