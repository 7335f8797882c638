package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.regex.Pattern;
import org.junit.jupiter.api.Test;

/** Media with a history in the demo: a bag that starts a new tank, and a canister's media exchanged in portions. */
class MediaJourneyIT extends InTheDemo {
    private static final DateTimeFormatter TYPED = DateTimeFormatter.ofPattern("dd/MM/yyyy");
    private static final int NEWT_NURSERY = 6;
    private static final int BROOK_BENCH = 2;

    @Test
    void a_bag_seeded_for_weeks_is_told_of_starts_a_tank_and_its_gap_is_closed() {
        keeper.go("/stores");
        Page page = keeper.page();
        keeper.link("Media with a history").click();
        page.getByLabel("What you call it").fill("Bag for the newts");
        keeper.choose("Made of", "Porous ceramic");
        page.getByLabel("Weight").fill("60");
        keeper.choose("Where it is", "Seeding");
        keeper.choose("Filter", "Weir on Brook bench");
        keeper.choose("For which tank", "Newt nursery");
        Locator since = page.getByLabel("There since");
        since.fill(LocalDate.now().minusDays(70).format(TYPED));
        since.press("Enter");
        keeper.button("Take it on record").click();
        Locator row = page.locator("li").filter(new Locator.FilterOptions().setHasText("Bag for the newts"));
        assertThat(row).containsText("Ripe");
        keeper.viewIsAccessible();

        keeper.go("/");
        Locator look = page.getByText("Bag for the newts in Weir is ripe. Move it to Newt nursery");
        assertThat(look).isVisible();

        keeper.go("/stores/media");
        row.getByRole(AriaRole.LINK).click();
        assertThat(keeper.heading("Bag for the newts")).isVisible();
        keeper.choose("Where to", "In a filter");
        keeper.choose("Filter", "Puff on Newt nursery");
        assertThat(page.getByText("of its stocking from the first day")).isVisible();
        assertThat(page.getByText("Close the gap in Weir")).isVisible();
        keeper.viewIsAccessible();
        keeper.button("Move it").click();
        assertThat(page.getByText("Bag for the newts is moved.")).isVisible();
        assertThat(page.locator("figure")).hasAttribute("aria-label", Pattern.compile("Puff on Newt nursery"));

        keeper.go("/tanks/" + NEWT_NURSERY);
        assertThat(row).containsText("Puff on Newt nursery");
        keeper.viewIsAccessible();
        keeper.go("/");
        assertThat(look).hasCount(0);
        Locator gap = page.getByText("Close the gap in Weir");
        assertThat(gap).isVisible();
        page.locator(".look")
                .filter(new Locator.FilterOptions().setHasText("Close the gap in Weir"))
                .getByRole(AriaRole.BUTTON)
                .click();
        assertThat(gap).hasCount(0);
    }

    @Test
    void the_media_of_a_canister_is_exchanged_in_three_portions_that_the_plan_carries() {
        keeper.go("/tanks/" + BROOK_BENCH + "/water/exchange");
        Page page = keeper.page();
        page.locator(".el-select__wrapper").first().click();
        page.getByRole(AriaRole.OPTION).first().click();
        page.getByLabel("How much of it goes").fill("300");
        assertThat(page.locator("[aria-label='How it would go'] li")).hasCount(3);
        keeper.viewIsAccessible();
        keeper.button("Begin the exchange").click();
        assertThat(page.getByText("0 of 3 portions done")).isVisible();

        keeper.go("/plan");
        page.getByText("List", new Page.GetByTextOptions().setExact(true)).click();
        assertThat(page.locator("article")
                        .filter(new Locator.FilterOptions().setHasText("eplace the next portion of the bio media"))
                        .first())
                .isVisible();

        keeper.go("/tanks/" + BROOK_BENCH + "/water/exchange");
        keeper.link("Log a portion").click();
        page.locator(".pick").first().click();
        page.getByLabel("New media").fill("100");
        keeper.button("Log the exchange").click();
        assertThat(page.getByText("100 g by Marit")).isVisible();
        keeper.go("/tanks/" + BROOK_BENCH + "/water/exchange");
        assertThat(page.getByText("1 of 3 portions done")).isVisible();
    }

    @Test
    void on_a_phone_media_fits_and_is_for_thumbs() {
        keeper.takePhone();
        for (String path : new String[] {"/stores/media", "/tanks/" + BROOK_BENCH + "/water/exchange"}) {
            keeper.go(path);
            keeper.viewDoesNotScrollSideways();
            keeper.viewIsForThumbs();
            keeper.viewIsAccessible();
        }
        keeper.go("/stores/media");
        keeper.link("Bag A").click();
        assertThat(keeper.heading("Bag A")).isVisible();
        keeper.viewDoesNotScrollSideways();
        keeper.viewIsForThumbs();
        keeper.viewIsAccessible();
    }
}
