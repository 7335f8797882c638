package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import java.time.LocalDate;
import java.time.ZoneId;
import java.util.List;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.Test;

/**
 * A new keeper sets up five tanks, small and large, and serves each for the first time, by thumb. What is checked is what
 * a practitioner would check: what is carried, how much is drawn, and the order of the hands.
 */
class FirstServicesIT {
    private static final LocalDate TODAY = LocalDate.now(ZoneId.systemDefault());

    private static RunningServer server;
    private static Keeper keeper;

    @BeforeAll
    static void makeTheAccount() {
        server = RunningServer.empty();
        keeper = new Keeper(server);
        keeper.takePhone();
        keeper.makeAccount("Zuhause");
    }

    @AfterAll
    static void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
        server.close();
    }

    @Test
    void a_nano_of_twenty_litres_gives_no_more_than_its_share() {
        setUp("Nook", 20, "Some months", "Hang-on-back", "Drip", "On a day I know", TODAY.minusDays(40));
        prepare("Nook", "Rinse the coarse foam", "Change the fine pad", "Dip bio media");

        assertThat(keeper.page().locator(".take")).containsText("4.5 L of tank water, 22.5 % of the tank.");
        inOrder(
                "Turn the heater off",
                "Fill three tubs with 1.5 L of tank water each; the last is for the bio media.",
                "Unplug Drip",
                "Lift the coarse foam out",
                "set it under water in tub three",
                "Squeeze the coarse foam in tub one",
                "Dip the bio media in tub three",
                "Put the bio media back",
                "Lay a new fine pad in",
                "Put the coarse foam back",
                "Top up the tank",
                "plug in Drip",
                "Turn it on");
        serveToTheEnd();
        assertThat(moved("Dip bio media")).isVisible();
    }

    @Test
    void a_canister_without_valves_on_thirty_eight_litres_loses_its_siphon_before_its_hoses() {
        setUp("Shelf", 38, "A year or longer", "Canister", "Stub", "Nobody knows", null);
        prepare("Shelf", "Open canister Stub", "Dip bio media");

        assertThat(keeper.page().locator(".take")).containsText("1 empty bucket");
        assertThat(carried()).contains("3 tubs", "1 empty bucket");
        inOrder(
                "Fill three tubs with 3 L",
                "Unplug Stub",
                "Lift both hose ends out of the tank's water",
                "Mark the hoses",
                "take the hoses off the filter",
                "wiggle the head up",
                "Lift the bio media out",
                "Lift the fine pad out",
                "Lift the coarse foam out",
                "Tip away the water",
                "Squeeze the coarse foam and medium foam in tub one",
                "Dip the bio media",
                "Put the coarse foam back",
                "Put the bio media back",
                "Fill the canister to its rim",
                "close the latches",
                "Push each hose onto its marked port",
                "Put both hose ends back into the water",
                "Top up the tank",
                "plug in Stub");
        serveToTheEnd();

        Page page = keeper.page();
        assertThat(page.getByText("When was Stub last cleaned before this?")).isVisible();
        keeper.button("About half a year before").click();
        assertThat(page.getByText("When was Stub last cleaned before this?")).hasCount(0);
        assertThat(moved("Open canister Stub")).isVisible();
    }

    @Test
    void of_a_sump_the_pump_rests_before_any_water_leaves() {
        setUp("Reef", 400, "A year or longer", "Sump", "Cellar", "On about this day", TODAY.minusDays(37));
        prepare("Reef", "Change the sock", "Brush the hoses", "Vacuum the substrate");

        inOrder(
                "Turn the heater off",
                "Turn off the top-off and the skimmer. Unplug the return pump of Cellar",
                "Vacuum the substrate in rows",
                "Mark the hoses",
                "take the hoses off over a bucket",
                "Lift the sock by its ring",
                "Hang a clean sock",
                "Push each hose onto its marked port",
                "the sump to its off mark",
                "plug in Cellar",
                "Turn on the skimmer and the top-off",
                "Turn it on");
        serveToTheEnd();
        assertThat(keeper.page().getByText("100 L were drawn from the tank.")).isVisible();
    }

    @Test
    void a_lamp_is_out_and_cool_before_its_sleeve_and_in_again_after_it() {
        setUp("Pool", 250, "A year or longer", "UV unit", "Glow", "On a day I know", TODAY.minusDays(270));
        prepare("Pool", "Replace the UV lamp", "Clean the UV sleeve");

        inOrder(
                "Unplug the lamp of Glow, then its pump",
                "Lift both hose ends out",
                "Wait until the lamp is cool",
                "Twist the lamp bay open",
                "Draw the lamp out",
                "Hold Glow over a bucket, lamp end up",
                "Twist the quartz sleeve off",
                "press the sleeve home",
                "Slide the new UV lamp in",
                "twist it shut to its mark",
                "plug in the pump of Glow",
                "Is the bay still dry?");
        serveToTheEnd();
        assertThat(moved("Replace the UV lamp")).containsText("of 9,000 lit hours");
    }

    @Test
    void a_canister_adopted_after_three_years_is_looked_at_today_and_opened_in_a_week() {
        setUp("Basin", 180, "A year or longer", "Canister", "Old Weir", "On about this day", TODAY.minusYears(3));
        Page page = keeper.page();
        assertThat(page.getByText("years late")).hasCount(0);
        assertThat(page.locator(".when li").filter(new Locator.FilterOptions().setHasText("Open canister Old Weir")))
                .containsText("taken on over weeks");

        prepare("Basin", "Rinse the pre-filter", "Clear the strainer");
        inOrder("Hold a cup under the pre-filter", "Pull the strainer off", "Push the strainer back");
        serveToTheEnd();

        assertThat(page.getByText("Is one missing?")).hasCount(0);
        assertThat(moved("Rinse the pre-filter")).containsText("says nothing of how fast it fills");
        keeper.link("See the tank").click();
        assertThat(page.locator(".when li").filter(new Locator.FilterOptions().setHasText("Dip bio media")))
                .containsText("taken on over weeks");
    }

    private static void setUp(
            String tank,
            int litres,
            String running,
            String kind,
            String filter,
            String cleaned,
            @Nullable LocalDate day) {
        keeper.go("/tanks/new");
        Page page = keeper.page();
        page.getByLabel("Tank", new Page.GetByLabelOptions().setExact(true)).fill(tank);
        page.getByLabel("Net volume").fill(Integer.toString(litres));
        page.getByText(running, new Page.GetByTextOptions().setExact(true)).click();
        page.getByText(kind, new Page.GetByTextOptions().setExact(true)).first().click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill(filter);
        page.getByText(cleaned, new Page.GetByTextOptions().setExact(true)).click();
        if (day != null) {
            page.getByLabel("Last cleaned", new Page.GetByLabelOptions().setExact(true))
                    .fill(day.toString());
        }
        keeper.button("Save and plan").click();
        assertThat(keeper.heading(tank)).isVisible();
    }

    private static void prepare(String tank, String... tasks) {
        keeper.go("/tanks");
        Page page = keeper.page();
        keeper.link(tank).first().click();
        assertThat(keeper.heading(tank)).isVisible();
        keeper.go(page.url().replaceFirst(".*(/tanks/\\d+).*", "$1/prepare"));
        keeper.tickOnly(true, tasks);
        assertThat(page.locator(".card ol li").first()).isVisible();
        keeper.settle();
        keeper.viewDoesNotScrollSideways();
    }

    private static List<String> carried() {
        return keeper.page().locator(".take li").allTextContents();
    }

    /** Every part stands in the steps, each later than the one before it. */
    private static void inOrder(String... parts) {
        for (String part : parts) {
            assertThat(keeper.page().locator(".card ol")).containsText(part);
        }
        List<String> steps = keeper.page().locator(".card ol li").allTextContents();
        int reached = -1;
        for (String part : parts) {
            int from = reached + 1;
            int found = -1;
            for (int place = from; place < steps.size() && found < 0; place++) {
                found = steps.get(place).contains(part) ? place : -1;
            }
            assertThat(found).as("“%s” after step %d", part, from).isGreaterThanOrEqualTo(0);
            reached = found;
        }
    }

    /** Does every step, grades what is graded as light, and writes it into the log. */
    private static void serveToTheEnd() {
        Page page = keeper.page();
        keeper.button("Start").click();
        assertThat(page.locator(".now")).isVisible();
        while (page.locator(".now").count() > 0) {
            String step = page.locator(".now").textContent();
            if (page.locator("fieldset.pick label").count() > 1) {
                page.locator("fieldset.pick label").nth(1).click();
            }
            keeper.button("Done").click();
            assertThat(page.locator(".now").filter(new Locator.FilterOptions().setHasText(step)))
                    .hasCount(0);
        }
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();
        keeper.viewIsAccessible();
    }

    private static Locator moved(String task) {
        return keeper.page().locator("[data-moved='" + task + "']");
    }
}
