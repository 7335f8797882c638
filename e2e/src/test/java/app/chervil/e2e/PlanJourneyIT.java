package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Assertions;
import org.junit.jupiter.api.Test;

/** Visits on real days: moved, priced, pinned and taken back; days off; calendars. */
class PlanJourneyIT extends InTheDemo {
    private Page page;

    private void openPlan() {
        page = keeper.page();
        keeper.go("/plan");
        page.locator(".chip").first().waitFor();
        planIsFound();
    }

    /** While a better plan is looked for, a visit may become another one, and what was chosen for it is let go. */
    private void planIsFound() {
        assertThat(page.getByText("Looking for a better plan…")).hasCount(0);
    }

    private Locator undo() {
        return page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(Pattern.compile("^Undo: ")));
    }

    @Test
    void a_visit_is_carried_by_keyboard_its_cost_told_on_the_way_pinned_and_taken_back() {
        openPlan();
        Locator chip = page.locator(".chip").nth(6);
        String was = chip.getAttribute("aria-label");
        chip.focus();

        page.keyboard().press("Space");
        page.keyboard().press("ArrowRight");

        assertThat(page.locator(".said"))
                .containsText(Pattern.compile("better|worse|same|rule|nobody|minutes more|apart"));
        assertThat(page.locator(".cost").first()).isVisible();
        keeper.viewIsAccessible();
        page.keyboard().press("Space");

        assertThat(page.locator(".panel")).containsText("pinned");
        assertThat(page.locator(".chip .pin").first()).isVisible();
        undo().click();
        assertThat(page.locator(".chip .pin")).hasCount(0);
        assertThat(page.locator(".chip[aria-label='" + was + "']")).hasCount(1);
    }

    @Test
    void a_visit_is_dragged_to_another_day_and_the_panel_says_why_it_lies_there() {
        openPlan();
        Locator from = page.locator(
                ".cell:not(.outside):not(:last-child)", new Page.LocatorOptions().setHas(page.locator(".chip")));
        Locator chip = from.first().locator(".chip").first();
        // By its place: the day it came from may have no chip any more, and another one be the first.
        int place = ((Number) from.first().evaluate("cell => [...document.querySelectorAll('.cell')].indexOf(cell)"))
                .intValue();
        Locator cell = page.locator(".cell").nth(place + 1);

        chip.dragTo(cell);

        assertThat(page.locator(".panel")).containsText("Pinned to this day.");
        assertThat(cell.locator(".pin")).isVisible();
        undo().click();
        assertThat(page.locator(".chip .pin")).hasCount(0);
    }

    @Test
    void a_canister_opening_beside_a_vacuum_is_warned_of_and_may_be_pinned_all_the_same() {
        openPlan();
        keeper.choose("How far ahead", "13 weeks");
        page.locator(".week").nth(12).waitFor();
        planIsFound();
        Locator opening = page.locator(".chip[aria-label*='Turtle bank'][aria-label*='open canister Mudlark']");
        Locator any = opening.or(page.locator(".chip[aria-label*='Turtle bank'][aria-label*='tasks']"));
        any.first().click();
        Locator panel = page.locator(".panel");
        panel.getByText("Why this day").waitFor();
        panel.locator(".el-select__wrapper").click();
        page.getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText("breaks a rule"))
                .first()
                .click();

        assertThat(panel.locator("form .late")).isVisible();
        keeper.button("Move and pin").click();

        assertThat(panel).containsText("pinned");
        undo().click();
        assertThat(page.locator(".chip .pin")).hasCount(0);
    }

    @Test
    void wednesday_without_minutes_and_ten_days_away_move_the_plan_with_reasons() {
        page = keeper.page();
        keeper.go("/plan/time");
        Locator wednesday = page.getByLabel("Marit, minutes on Wed");
        wednesday.fill("9999");
        keeper.button("Save Marit").click();
        assertThat(page.getByText("Wed: whole minutes, 0 to 1440.")).isVisible();
        keeper.viewIsAccessible();
        wednesday.fill("0");
        keeper.button("Save Marit").click();
        keeper.go("/plan");
        assertThat(page.locator(".change").first()).containsText("people's days changed");

        keeper.go("/plan/time");
        LocalDate first = LocalDate.now(java.time.Clock.systemDefaultZone()).plusDays(8);
        page.getByLabel("From").fill(first.toString());
        page.getByLabel("To", new Page.GetByLabelOptions().setExact(true))
                .fill(first.plusDays(9).toString());
        page.getByLabel("Note").fill("By the sea");
        keeper.button("Add these days").click();
        assertThat(page.getByText("By the sea")).isVisible();
        keeper.go("/plan");
        assertThat(page.locator(".news")).containsText(Pattern.compile("\\d+ done before, \\d+ wait"));

        keeper.go("/plan/time");
        page.locator("li", new Page.LocatorOptions().setHasText("By the sea"))
                .getByRole(AriaRole.BUTTON)
                .click();
        wednesday.fill("60");
        keeper.button("Save Marit").click();
        assertThat(page.getByText("By the sea")).hasCount(0);
    }

    @Test
    void the_plan_is_read_by_tank_and_as_a_list() {
        openPlan();
        page.getByText("By tank").click();
        page.locator(".dot").first().click();
        assertThat(page.locator(".panel")).containsText("Why this day");
        keeper.viewIsAccessible();
        keeper.button("Close").click();
        page.getByText("List", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("article").first()).containsText("min");
        keeper.viewIsAccessible();
    }

    @Test
    void a_calendar_address_opens_without_a_session_and_ends_at_once() {
        page = keeper.page();
        keeper.go("/plan/calendars");
        keeper.button("Make an address").click();
        String address = page.locator(".fresh input").inputValue();
        keeper.viewIsAccessible();

        APIResponse open = page.request().get(address);
        Assertions.assertTrue(open.text().startsWith("BEGIN:VCALENDAR"), open.text());
        keeper.button("Turn off this address").first().click();
        assertThat(page.getByText("None yet.")).isVisible();
        Assertions.assertEquals(404, page.request().get(address).status());

        page.locator("[data-field='address'] input").last().fill("nobody");
        keeper.button("Send me an email").click();
        assertThat(page.getByText("That isn’t an email address.")).isVisible();
    }

    @Test
    void a_chore_is_planned_done_on_the_phone_and_taken_back() {
        keeper.takePhone();
        page = keeper.page();
        keeper.go("/tanks/2/chores");
        Locator trim = page.locator("article[aria-label='Trim roots and growth']");
        trim.getByLabel("Trim roots and growth, every so many days").fill("5");
        trim.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Plan it"))
                .click();
        assertThat(trim.getByRole(AriaRole.ALERT)).containsText("14 to 90");
        trim.getByLabel("Trim roots and growth, every so many days").fill("30");
        trim.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Plan it"))
                .click();
        trim.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Done today"))
                .click();
        assertThat(trim).containsText("last today");
        keeper.viewDoesNotScrollSideways();
        keeper.viewIsAccessible();
        keeper.button("Undo").click();
        assertThat(trim).containsText("never logged");
        trim.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Stop planning it"))
                .click();
        assertThat(trim).containsText("not planned");
    }
}
