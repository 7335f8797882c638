package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.nio.charset.StandardCharsets;
import java.time.LocalDateTime;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;

/** Reading, changing and holding the water of the demo; each test has a tank of its own. */
class WaterJourneyIT extends InTheDemo {
    private static final int ROCK_POOL = 1;
    private static final int BROOK_BENCH = 2;
    private static final int BLACKWATER_NOOK = 3;
    private static final int EELGRASS_BED = 4;
    private static final int MANGROVE_EDGE = 5;
    private static final int NEWT_NURSERY = 6;

    @Test
    void a_nitrite_spike_holds_bio_work_everywhere_until_two_clean_readings_two_days_apart() {
        Page page = keeper.page();
        read(BROOK_BENCH, 5, "NITRITE", "0.5");
        assertThat(page.locator("aside .hold")).containsText("Nitrite reached 0.5 mg/L");
        keeper.viewIsAccessible();

        keeper.go("/");
        assertThat(heldIn(page)).containsText("dip bio media");
        keeper.viewIsAccessible();
        keeper.go("/tanks/" + BROOK_BENCH);
        assertThat(page.locator(".when li").filter(new Locator.FilterOptions().setHasText("Dip bio media")))
                .containsText("on hold");
        keeper.viewIsAccessible();
        keeper.go("/tanks/" + BROOK_BENCH + "/prepare");
        page.getByLabel("Dip bio media").check();
        keeper.button("Start").click();
        assertThat(page.locator("[data-field='overrideReason'] .error")).containsText("Write why it is done anyway");
        keeper.viewIsAccessible();

        read(BROOK_BENCH, 3, "NITRITE", "<0.05");
        assertThat(page.locator("aside .hold")).containsText("One clean reading");
        read(BROOK_BENCH, 0, "NITRITE", "<0.05");
        assertThat(page.locator("aside .hold")).hasCount(0);
        keeper.go("/");
        assertThat(heldIn(page)).not().containsText("Brook bench");
    }

    @Test
    void a_set_is_entered_by_the_keys_of_a_phone_alone() {
        keeper.takePhone();
        keeper.go("/tanks/" + MANGROVE_EDGE + "/water/readings");
        Page page = keeper.page();
        keeper.viewDoesNotScrollSideways();
        keeper.viewIsAccessible();
        assertThat(page.locator(".pad button").all())
                .allSatisfy(key -> assertThat(key.boundingBox().height).isGreaterThanOrEqualTo(48));

        for (String value : new String[] {"<", "<0.05", "24", "0.2", "7.9", "26.1"}) {
            for (String key : value.split("")) {
                press(key);
            }
            button(page, "Next").click();
        }
        keeper.button("Save readings").click();

        assertThat(keeper.heading("Water, Mangrove edge")).isVisible();
        assertThat(page.locator("dl")).containsText("24 mg/L");
        assertThat(page.locator("dl")).containsText("< 0.2 mg/L");
        keeper.viewDoesNotScrollSideways();
        keeper.go("/");
        assertThat(page.getByText("Next seven days")).isVisible();
        assertThat(page.locator("main")).not().containsText("Mangrove edge: total ammonia");
    }

    @Test
    void a_test_read_early_is_at_least_what_it_shows_while_another_goes_on() {
        keeper.go("/tanks/" + EELGRASS_BED + "/water/readings");
        Page page = keeper.page();
        button(page, "Time it for Total ammonia").click();
        button(page, "Time it for Nitrite").click();
        assertThat(page.getByRole(AriaRole.TIMER)).hasCount(2);
        page.getByLabel("Nitrite last").fill("2");
        assertThat(page.getByLabel("read early")).isChecked();
        page.reload();
        assertThat(page.getByRole(AriaRole.TIMER)).hasCount(2);
        keeper.button("Save readings").click();

        assertThat(keeper.heading("Water, Eelgrass bed")).isVisible();
        assertThat(page.locator("tbody tr").first()).containsText("read early: at least this");
        assertThat(page.locator("aside .hold")).hasCount(1);
        keeper.viewIsAccessible();
    }

    @Test
    void an_odd_value_is_questioned_once_and_kept() {
        keeper.go("/tanks/" + ROCK_POOL + "/water/readings");
        Page page = keeper.page();
        page.getByLabel("pH last").fill("15");
        keeper.button("Save readings").click();
        assertThat(page.locator(".doubt")).containsText("pH 15 is outside");

        keeper.button("Save readings").click();

        assertThat(page.locator("tbody tr").first()).containsText("15");
        button(page, "Remove pH").first().click();
        assertThat(page.locator("tbody tr").first()).not().containsText("15");
    }

    @Test
    void too_much_new_media_in_a_young_tank_is_refused_with_the_sum_and_a_reason_is_recorded() {
        keeper.go("/tanks/" + NEWT_NURSERY + "/water/media");
        Page page = keeper.page();
        page.getByLabel("bio media in Puff").check();
        page.getByLabel("New media").fill("240");
        assertThat(page.getByText("240 g of 400 g is 60 %")).isVisible();
        keeper.button("Log the exchange").click();
        assertThat(page.locator("[data-field='media.grams'] .error")).containsText("25 %");
        keeper.viewIsAccessible();

        page.getByLabel("Why you are doing it anyway").fill("The old media fell apart");
        keeper.button("Log the exchange").click();

        assertThat(page.getByText("Done anyway: The old media fell apart")).isVisible();
    }

    @Test
    void a_table_with_a_bad_row_names_it_and_brings_in_nothing_until_mended() {
        keeper.go("/tanks/" + BLACKWATER_NOOK + "/water/table");
        Page page = keeper.page();
        page.locator("input[type=file]").setInputFiles(table("Time,Nitrate (mg/L)\n2026-01-05,12\nsoon,13\n"));
        assertThat(page.getByText("Row 3, Time")).isVisible();
        assertThat(keeper.button("Bring in 2 readings")).hasCount(0);
        keeper.viewIsAccessible();

        page.locator("input[type=file]").setInputFiles(table("Time,Nitrate (mg/L)\n2026-01-05,12\n2026-01-06,13\n"));
        keeper.button("Bring in 2 readings").click();

        assertThat(page.getByText("Brought in 2 readings.")).isVisible();
    }

    @Test
    void something_amiss_asks_for_readings_and_names_a_vet() {
        keeper.takePhone();
        keeper.go("/tanks/" + ROCK_POOL + "/water/condition");
        Page page = keeper.page();
        page.locator(".question").first().waitFor();
        for (Locator question : page.locator(".question").all()) {
            String answer = question.textContent().contains("Do they breathe calmly?") ? "No" : "Yes";
            question.getByText(answer, new Locator.GetByTextOptions().setExact(true))
                    .click();
        }
        keeper.viewIsAccessible();
        keeper.button("Log the check").click();

        assertThat(page.getByText("More air first")).isVisible();
        assertThat(page.getByText("vet’s matter").or(page.getByText("vet's matter")))
                .isVisible();
        assertThat(keeper.link("Take readings")).isVisible();
    }

    @ParameterizedTest
    @ValueSource(strings = {"change", "medication", "methods"})
    void what_is_done_to_water_is_accessible_and_fits_a_phone(String view) {
        keeper.takePhone();
        keeper.go("/tanks/" + ROCK_POOL + "/water/" + view);

        keeper.viewIsAccessible();
        keeper.viewDoesNotScrollSideways();
    }

    /** Enters one value some days ago; leaves the browser at the water. */
    private void read(int tank, int daysAgo, String parameter, String value) {
        keeper.go("/tanks/" + tank + "/water/readings");
        Page page = keeper.page();
        page.locator("#value-" + parameter).fill(value);
        if (daysAgo > 0) {
            page.getByText("When", new Page.GetByTextOptions().setExact(true)).click();
            page.getByLabel("Read at")
                    .fill(LocalDateTime.now(java.time.Clock.systemDefaultZone())
                            .minusDays(daysAgo)
                            .withSecond(0)
                            .withNano(0)
                            .toString());
        }
        keeper.button("Save readings").click();
        assertThat(page.getByRole(AriaRole.HEADING, new Page.GetByRoleOptions().setName("Water, ")))
                .isVisible();
    }

    private void press(String key) {
        button(keeper.page(), key.equals("<") ? "below detection" : key.equals(".") ? "point" : key)
                .click();
    }

    private static Locator heldIn(Page page) {
        return page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("Leave alone for now"));
    }

    private static FilePayload table(String csv) {
        return new FilePayload("readings.csv", "text/csv", csv.getBytes(StandardCharsets.UTF_8));
    }
}
