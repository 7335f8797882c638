package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.nio.file.Path;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.Test;

/** Three years of somebody's notes, in US units and in their own words, become learned dates. */
class NotebookJourneyIT {
    private static final Path NOTES = Path.of("src/test/resources/three-years.csv");

    private RunningServer server;
    private Keeper keeper;

    @AfterEach
    void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
        server.close();
    }

    @Test
    void a_spreadsheet_becomes_history_that_dates_are_learned_from() {
        server = RunningServer.empty();
        keeper = new Keeper(server, "en-US");
        keeper.makeAccount("Home");
        addTank();
        Page page = keeper.page();
        keeper.link("Bring in old notes").click();
        assertThat(keeper.heading("Bring in old notes, Brook")).isVisible();
        keeper.viewIsAccessible();

        page.locator("input[type=file]").setInputFiles(NOTES);
        // Columns, the order of days and most words are understood as they are.
        assertThat(page.getByText("three-years.csv, 72 rows")).isVisible();
        assertThat(phrase("rinsed intake sponge")).containsText("Rinse the pre-filter");
        assertThat(page.locator("[data-word='very dirty']")).containsText("heavy");
        keeper.button("It stood since then").click();
        assertThat(page.getByText("The tank will be said to stand since")).isVisible();
        assertThat(page.getByText("Row 23, Date: “tbd” is no day.")).isVisible();
        keeper.viewIsAccessible();

        // What was not, its keeper says.
        grade("pretty gunky", "clogged");
        assertThat(page.getByText(Pattern.compile("Rinse the pre-filter: \\d+ times, \\d+ with what was found")))
                .isVisible();
        Locator bring = page.getByRole(
                AriaRole.BUTTON,
                new Page.GetByRoleOptions().setName(Pattern.compile("Bring in \\d+ days, without 2 rows")));
        bring.click();

        assertThat(page.getByText(Pattern.compile("\\d+ days are in the log now")))
                .isVisible();
        Locator moved = page.locator("[data-moved='Rinse the pre-filter']");
        assertThat(moved).containsText(Pattern.compile("every \\d+ days"));
        keeper.viewIsAccessible();

        // The same table again brings nothing.
        keeper.link("To the tank").click();
        keeper.link("Bring in old notes").click();
        page.locator("input[type=file]").setInputFiles(NOTES);
        assertThat(page.getByText("Everything in this table is in the log already."))
                .isVisible();
    }

    private void addTank() {
        keeper.go("/tanks/new");
        Page page = keeper.page();
        page.getByLabel("Tank", new Page.GetByLabelOptions().setExact(true)).fill("Brook");
        page.getByLabel("Net volume").fill("29");
        page.getByText("A year or longer").click();
        page.getByLabel("Name", new Page.GetByLabelOptions().setExact(true)).fill("Weir");
        keeper.button("Save and plan").click();
        assertThat(keeper.heading("Brook")).isVisible();
    }

    private Locator phrase(String words) {
        return keeper.page().locator("[data-phrase='" + words + "']");
    }

    private void grade(String word, String grade) {
        Page page = keeper.page();
        page.locator("[data-word='" + word + "'] .el-select__wrapper").click();
        page.getByRole(AriaRole.OPTION, new Page.GetByRoleOptions().setName(Pattern.compile("^" + grade)))
                .locator("visible=true")
                .first()
                .click();
        assertThat(page.locator("[data-word='" + word + "']")).containsText(grade);
    }
}
