package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Page;
import java.util.List;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** From the first start to the first serviced filter, in the units of a country, and none of another's. */
class UnitsJourneyIT {
    private static final Pattern METRIC = Pattern.compile("\\d ?(L|L/h|mL|°C|g|kg|cm|mg/L|litres?)\\b");
    private static final Pattern OTHERS = Pattern.compile("\\d ?(gal|gal/h|tsp|°F|oz|lb|ft|ppm)\\b");

    private RunningServer server;
    private Keeper keeper;

    @AfterEach
    void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
        server.close();
    }

    @Test
    void in_us_units_twenty_nine_gallons_stay_twenty_nine() {
        setUp("en-US");
        addTank("29");
        Page page = keeper.page();
        speaksNo(METRIC);

        keeper.go("/tanks/1/edit");
        assertThat(page.getByLabel("Net volume")).hasValue("29");
        speaksNo(METRIC);
        keeper.button("Save").click();
        assertThat(page.getByText("29 gal").first()).isVisible();

        logAndServe();
        speaksNo(METRIC);
        keeper.go("/tanks/1/water/change");
        page.getByLabel("Water changed").fill("5");
        page.getByLabel("New water at").fill("20");
        keeper.button("Log the change").click();
        speaksNo(METRIC);
    }

    @Test
    void in_metric_units_by_thumb() {
        setUp("en-NZ");
        keeper.takePhone();
        addTank("110,5");
        Page page = keeper.page();

        keeper.go("/tanks/1/edit");
        assertThat(page.getByLabel("Net volume")).hasValue("110.5");
        logAndServe();
        speaksNo(OTHERS);
    }

    @Test
    void where_commas_part_decimals_they_are_written_so() {
        setUp("de-DE");
        addTank("110,5");

        keeper.go("/tanks/1/edit");

        assertThat(keeper.page().getByLabel("Net volume")).hasValue("110,5");
    }

    private void setUp(String locale) {
        server = RunningServer.empty();
        keeper = new Keeper(server, locale);
        keeper.makeAccount("Home");
    }

    private void addTank(String volume) {
        keeper.go("/tanks/new");
        Page page = keeper.page();
        page.getByLabel("Tank", new Page.GetByLabelOptions().setExact(true)).fill("Brook");
        page.getByLabel("Net volume").fill(volume);
        page.getByText("A year or longer").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Weir");
        keeper.button("Save and plan").click();
        assertThat(keeper.heading("Brook")).isVisible();
    }

    private void logAndServe() {
        keeper.go("/tanks/1/prepare");
        Page page = keeper.page();
        keeper.tickOnly(true, "Dip bio media");
        assertThat(page.locator(".card ol li").first()).isVisible();
        for (String path : List.of("/tanks/1/prepare", "/", "/tanks", "/plan", "/water", "/tanks/1/water")) {
            keeper.go(path);
        }
    }

    /** Whatever is shown, in text or in fields' units, is in the site's own. */
    private void speaksNo(Pattern measures) {
        keeper.settle();
        String shown = keeper.page().locator("main").first().innerText();
        assertThat(measures.matcher(shown).results().map(found -> found.group()).toList())
                .as(keeper.page().url() + shown)
                .isEmpty();
    }
}
