package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.Test;

/** Errands in the demo. Each starts at the rounds as Marit, the keeper. */
class DemoJourneyIT extends InTheDemo {
    @Test
    void a_clogged_pre_filter_shortens_its_window_and_undo_gives_the_old_one_back() {
        Page page = keeper.page();
        Locator brook = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Brook bench"));
        assertThat(brook).containsText("Rinse the pre-filter");
        keeper.link("Brook bench").first().click();
        assertThat(page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Water path of Weir")))
                .containsText("coarse foam");
        String windowBefore = rowOf("Rinse the pre-filter").textContent();

        keeper.link("Log a service").click();
        tick("Rinse the pre-filter");
        grade("pre-filter", "5 clogged");
        keeper.button("Save").click();

        Locator moved = page.locator("[data-moved='Rinse the pre-filter']");
        assertThat(moved).containsText(java.util.regex.Pattern.compile("Clogged after \\d+ days"));
        assertThat(days(moved, 1)).isLessThan(days(moved, 0));

        keeper.button("Undo").click();
        assertThat(keeper.heading("Taken back")).isVisible();
        keeper.link("See the tank").click();
        assertThat(rowOf("Rinse the pre-filter")).hasText(windowBefore);
    }

    @Test
    void a_clean_finding_lengthens_the_window_and_a_reload_keeps_it() {
        Page page = keeper.page();
        openLog("Blackwater nook");
        tick("Rinse the coarse foam");
        page.keyboard().press("Tab");
        grade("coarse foam", "1 clean");
        keeper.button("Save").click();

        Locator moved = page.locator("[data-moved='Rinse the coarse foam']");
        assertThat(moved).containsText(java.util.regex.Pattern.compile("Clean after \\d+ days"));
        assertThat(days(moved, 1)).isGreaterThan(days(moved, 0));

        keeper.link("See the tank").click();
        assertThat(keeper.heading("Blackwater nook")).isVisible();
        page.reload();
        assertThat(page.locator(".history li").first()).containsText("Coarse foam rinsed, clean");
    }

    @Test
    void saving_twice_in_a_row_stores_one_service() {
        Page page = keeper.page();
        openLog("Rock pool");
        tick("Change the sock");
        keeper.button("Save").dblclick();
        assertThat(keeper.heading("Saved")).isVisible();

        keeper.link("See the tank").click();
        keeper.settle();

        String today =
                page.locator(".history li").first().locator("span").first().textContent();
        assertThat(page.locator(".history li").filter(new Locator.FilterOptions().setHasText(today)))
                .hasCount(1);
    }

    @Test
    void what_was_typed_outlives_a_reload_and_a_refusal() {
        Page page = keeper.page();
        openLog("Brook bench");
        tick("Clear the strainer");
        page.getByLabel("Note").fill("Snail shells in the strainer");
        page.getByLabel("It took").fill("0");
        keeper.button("Save").click();
        assertThat(page.locator("[data-field='minutes'] .error")).hasText("At least 1 minute.");

        page.reload();

        assertThat(page.getByLabel("Note")).hasValue("Snail shells in the strainer");
        assertThat(page.getByLabel("Clear the strainer")).isChecked();
        keeper.link("Cancel").click();
    }

    @Test
    void a_service_can_be_corrected_later() {
        keeper.go("/tanks/1");
        Page page = keeper.page();
        page.locator(".history a").first().click();
        keeper.settle();
        grade("sock", "2 light");
        keeper.button("Save the correction").click();

        assertThat(keeper.heading("Correction saved")).isVisible();
        keeper.link("See the tank").click();
        assertThat(page.locator(".history li").first()).containsText("Sock changed, light");
    }

    @Test
    void the_stores_name_what_runs_low_and_a_service_takes_its_part_from_them() {
        Page page = keeper.page();
        keeper.place("Stores").click();
        assertThat(page.getByText("To order: Fine pad.")).isVisible();
        Locator pads = page.getByRole(AriaRole.ARTICLE, new Page.GetByRoleOptions().setName("Fine pad"));
        assertThat(pads).containsText("Running low");

        pads.getByLabel("Fine pad: how many").fill("12");
        pads.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Counted"))
                .click();
        assertThat(pads).containsText("Enough");
        openLog("Blackwater nook");
        tick("Change floss");
        keeper.button("Save").click();
        assertThat(keeper.heading("Saved")).isVisible();
        keeper.place("Stores").click();

        assertThat(pads.locator("b")).hasText("11");
        keeper.link("Fine pad").click();
        assertThat(page.getByText("used at a service").first()).isVisible();
    }

    @Test
    void a_trial_says_what_it_knows_and_gives_its_task_back_when_it_is_stopped() {
        Page page = keeper.page();
        keeper.place("Bench").click();
        keeper.link("Trials").click();
        Locator trial = page.getByRole(AriaRole.ARTICLE);
        assertThat(trial).containsText("period 6 of 8, every 3 days now");
        assertThat(trial).containsText("Nitrate rose by");

        keeper.button("Stop it today").click();
        assertThat(trial).containsText("stopped early");
        keeper.button("Undo").click();
        assertThat(trial).containsText("period 6 of 8");
        keeper.place("Change the sock").click();

        assertThat(page.getByText("Being tried: every 3 days.")).isVisible();
    }

    @Test
    void keys_lead_to_every_place() {
        Page page = keeper.page();
        page.keyboard().press("g");
        page.keyboard().press("t");
        assertThat(keeper.heading("Tanks")).isVisible();
        page.keyboard().press("/");
        page.getByLabel("Tank, filter, stage, task, thing in store or page").fill("floss");
        assertThat(page.getByRole(AriaRole.DIALOG).getByText("Blackwater nook").first())
                .isVisible();
        page.keyboard().press("Enter");
        assertThat(keeper.heading("Blackwater nook")).isVisible();
        page.keyboard().press("l");
        assertThat(page.getByText("Log a service")).isVisible();
        page.keyboard().press("?");
        assertThat(page.getByRole(AriaRole.DIALOG)).containsText("Day or lamp theme");
        keeper.viewIsAccessible();
    }

    @Test
    void a_phone_has_five_places_at_hand_and_the_rest_behind_more() {
        keeper.takePhone();
        Page page = keeper.page();
        Locator bar = page.locator("nav.bar");
        assertThat(bar.locator("> a, > button")).hasText(new String[] {"Rounds", "Tanks", "Log", "Water", "More"});

        keeper.button("More").click();
        assertThat(keeper.link("Ledger")).isVisible();
        keeper.viewIsForThumbs();
        keeper.viewIsAccessible();
        keeper.link("Ledger").click();

        assertThat(keeper.heading("Ledger")).isVisible();
    }

    @Test
    void a_pre_filter_rinse_is_logged_from_the_rounds_in_three_taps() {
        keeper.takePhone();
        Page page = keeper.page();

        keeper.link("Only log Brook bench").click();
        page.getByText("3 moderate").click();
        keeper.button("Save").click();

        assertThat(keeper.button("Undo")).isVisible();
        keeper.button("Undo").click();
        assertThat(keeper.button("Put it back")).isVisible();
    }

    @Test
    void a_helper_sees_no_way_to_change_or_delete_a_tank() {
        keeper.close();
        keeper = new Keeper(server);
        keeper.enterDemoAs("Osei");
        keeper.go("/tanks/2");
        assertThat(keeper.link("Log a service")).isVisible();
        assertThat(keeper.page().locator(".actions a", new Page.LocatorOptions().setHasText("Change")))
                .hasCount(0);
        keeper.go("/tanks/2/edit");

        assertThat(keeper.heading("This is for keepers")).isVisible();
        assertThat(keeper.button("Delete tank…")).hasCount(0);
    }

    private void openLog(String tank) {
        keeper.go("/log");
        keeper.link(tank).click();
        keeper.settle();
    }

    private void tick(String task) {
        keeper.page().getByLabel(task).check();
    }

    private void grade(String stage, String grade) {
        keeper.page()
                .getByRole(AriaRole.GROUP, new Page.GetByRoleOptions().setName("How did the " + stage + " look"))
                .getByText(grade)
                .click();
    }

    private Locator rowOf(String task) {
        return keeper.page().locator(".when li").filter(new Locator.FilterOptions().setHasText(task));
    }

    /** Days of the interval before (0) or after (1). */
    private static int days(Locator moved, int which) {
        return Integer.parseInt(moved.locator(".num").nth(which).textContent());
    }
}
