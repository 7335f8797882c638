package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.awt.image.BufferedImage;
import java.io.IOException;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.rendering.PDFRenderer;
import org.junit.jupiter.api.Test;

/** Sums asked of the demo's tanks, and followed to where they land. */
class SumsJourneyIT extends InTheDemo {
    private static final int BROOK_BENCH = 2;
    private static final int BLACKWATER_NOOK = 3;
    private static final Pattern METRIC = Pattern.compile("\\d ?(L|L/h|mL|°C|g|kg|cm|mm|mg/L|litres?)\\b");
    private static final int DOTS_AN_INCH = 300;
    private static final double MM_AN_INCH = 25.4;

    /** What is said of a sum: {@code field=typed}, {@code field~chosen from a list}, {@code field!answered}. */
    private record Asked(String sum, int tank, String said) {}

    /** At most two values typed; what is chosen from a list, or may harm and is asked every time, is not typed. */
    private static final List<Asked> ASKED = List.of(
            new Asked("change", 2, ""),
            new Asked("mix", 2, ""),
            new Asked("conditioner", 2, ""),
            new Asked("buckets", 2, ""),
            new Asked("heat", 2, ""),
            new Asked("siphon", 2, ""),
            new Asked("schedule", 2, ""),
            new Asked("lower", 2, "now=80;target=40"),
            new Asked("split", 2, ""),
            new Asked("toxic", 2, "total=1;thenPh=8.2"),
            new Asked("catch", 2, "catches[0].litres=2;catches[0].seconds=10"),
            new Asked("expected", 2, ""),
            new Asked("uv", 5, ""),
            new Asked("need", 2, "media~Porous ceramic"),
            new Asked("hold", 2, ""),
            new Asked("bags", 2, ""),
            new Asked("cut", 2, ""),
            new Asked("cutlist", 2, ""),
            new Asked("tiles", 3, ""),
            new Asked("cost", 3, ""),
            new Asked("service", 2, ""),
            new Asked("socks", 1, ""),
            new Asked("draindown", 1, ""),
            new Asked("topoff", 1, ""),
            new Asked("salt", 1, "toGL=36"),
            new Asked("salinity", 1, "value=1.0264;unit!Specific gravity"),
            new Asked("resin", 3, "plain!Yes;labelAllows!Yes;acidNear!No"),
            new Asked("vinegar", 3, "bleachNear!No"),
            new Asked("unit", 2, "value=1;from~US gallons;to~L"));

    @Test
    void every_sum_is_answered_with_no_more_than_two_values_typed_and_prints_on_one_page() throws IOException {
        for (Asked asked : ASKED) {
            ask(asked.sum(), asked.tank());
            say(asked.said());
            assertThat(keeper.page().locator(".says:not(.quiet)")).isVisible();
            try (PDDocument printed = Loader.loadPDF(keeper.page().pdf())) {
                assertThat(printed.getNumberOfPages()).as(asked.sum()).isEqualTo(1);
            }
        }
    }

    private void ask(String sum, int tank) {
        keeper.page().navigate(server.url("/bench/sums/" + sum + "?tank=" + tank));
        assertThat(field("tank")).isVisible();
        keeper.settle();
    }

    private void say(String said) {
        for (String one : said.split(";")) {
            if (one.contains("=")) {
                field(one.split("=")[0]).locator("input").fill(one.split("=")[1]);
            } else if (one.contains("!")) {
                field(one.split("!")[0])
                        .getByText(one.split("!")[1], new Locator.GetByTextOptions().setExact(true))
                        .click();
            } else if (one.contains("~")) {
                pick(one.split("~")[0], one.split("~")[1]);
            }
        }
    }

    private Locator field(String name) {
        return keeper.page().locator("[data-field=\"" + name + "\"]");
    }

    private void pick(String name, String choice) {
        field(name).locator(".el-select__wrapper").click();
        keeper.page()
                .locator(".el-select-dropdown:visible")
                .getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText(choice))
                .first()
                .click();
    }

    @Test
    void new_water_is_mixed_by_keyboard_and_handed_on_until_it_is_logged() {
        ask("mix", BROOK_BENCH);
        Page page = keeper.page();
        field("coldC").locator("input").focus();
        page.keyboard().press("Control+A");
        page.keyboard().type("8,5");
        assertThat(page.locator(".says")).containsText("hot and");
        keeper.viewIsAccessible();
        keeper.link("Hand it to the water change").press("Enter");

        assertThat(page.getByLabel("Water changed")).hasValue("55");
        assertThat(page.locator("aside")).containsText("25 % new water");
        assertThat(page.locator("aside")).containsText("Its level falls by about");
        keeper.link("How much conditioner?").click();
        assertThat(field("newL").locator("input")).hasValue("55");
        assertThat(page.locator(".says")).containsText("measures of yours");
        keeper.link("Hand it to the water change").click();
        assertThat(page.getByLabel("Conditioner")).not().hasValue("");
        keeper.button("Log the change").click();

        assertThat(page.getByText("Water change logged.")).isVisible();
    }

    @Test
    void a_flow_caught_by_thumb_becomes_a_reading_and_moves_no_date() {
        keeper.takePhone();
        ask("catch", BROOK_BENCH);
        Page page = keeper.page();
        say("catches[0].litres=2;catches[0].seconds=10;catches[1].litres=2;catches[1].seconds=10.4");
        say("catches[2].litres=2;catches[2].seconds=10.2");
        assertThat(page.locator(".says")).containsText("710 L/h");
        keeper.viewDoesNotScrollSideways();
        keeper.viewIsForThumbs();
        keeper.button("Keep as a reading").click();
        assertThat(page.getByText("Flow of Weir kept.")).isVisible();

        keeper.go("/ledger");
        assertThat(page.getByText("flow 706 L/h").first()).isVisible();
        keeper.go("/bench/sums/expected?tank=" + BROOK_BENCH);
        assertThat(field("measuredLph").locator("input")).hasValue(Pattern.compile("705\\.8.*"));
    }

    @Test
    void sheets_cut_up_leave_the_shelf_and_come_back_when_taken_back() {
        ask("cut", BROOK_BENCH);
        Page page = keeper.page();
        assertThat(page.locator(".piece").first()).isVisible();
        field("sheet").locator(".el-select__wrapper").click();
        Locator foam = page.locator(".el-select-dropdown:visible")
                .getByRole(AriaRole.OPTION)
                .first();
        String before = foam.innerText();
        foam.click();
        keeper.button("Take them from Stores").click();
        assertThat(page.getByText("Stores follow what was cut.")).isVisible();
        keeper.button("Undo").click();
        assertThat(page.getByText("Taken back.")).isVisible();

        page.reload();
        field("sheet").locator(".el-select__wrapper").click();
        assertThat(page.locator(".el-select-dropdown:visible")
                        .getByRole(AriaRole.OPTION)
                        .first())
                .hasText(before);
    }

    @Test
    void another_way_is_adopted_and_given_up_again() {
        ask("cost", BLACKWATER_NOOK);
        Page page = keeper.page();
        assertThat(page.locator(".says")).containsText("saves €");
        page.getByText("Adopt the other way").click();
        field("task[0]").locator(".el-select__wrapper").click();
        Locator task = page.locator(".el-select-dropdown:visible")
                .getByRole(AriaRole.OPTION)
                .first();
        task.click();
        keeper.button("Adopt it").click();
        assertThat(page.getByText("Adopted: tasks and Stores follow.")).isVisible();
        keeper.button("Undo").click();
        assertThat(page.getByText("Taken back.")).isVisible();
    }

    @Test
    void a_rule_of_the_site_is_gone_by_from_now_on() {
        keeper.go("/bench/rules");
        field("mix.stepLimit").locator("input").fill("0.2");
        field("mix.stepLimit").locator("input").press("Tab");
        assertThat(keeper.page().getByText("Kept: every sum goes by it now.")).isVisible();

        ask("mix", BROOK_BENCH);
        say("targetC=20");
        assertThat(keeper.page().locator(".warnings")).containsText("larger step");
    }

    @Test
    void in_the_united_states_sums_speak_no_litre() {
        chooseUnits("US");
        for (String sum : List.of("change", "mix", "conditioner", "hold", "need", "cut", "siphon")) {
            ask(sum, BROOK_BENCH);
            if (sum.equals("need")) {
                pick("media", "Pumice");
            }
            assertThat(keeper.page().locator(".says:not(.quiet)")).isVisible();
            assertThat(keeper.page().locator("main").innerText()).as(sum).doesNotContainPattern(METRIC);
        }
        chooseUnits("Metric");
    }

    private void chooseUnits(String system) {
        keeper.go("/units");
        field("system")
                .getByText(system, new Locator.GetByTextOptions().setExact(true))
                .click();
        keeper.button("Save the units").click();
        assertThat(keeper.page().getByText("Saved.")).isVisible();
    }

    /** The bar on the first page, found by its black pixels at 300 dots an inch. */
    @Test
    void a_template_prints_so_that_a_hundred_millimetres_are_a_hundred() throws IOException {
        keeper.go("/bench/template?aMm=188&bMm=300&holeMm=25&shape=RECT");
        Page page = keeper.page();
        assertThat(page.locator("svg.sheet")).hasCount(2);

        byte[] printed =
                page.pdf(new Page.PdfOptions().setPreferCSSPageSize(true).setPrintBackground(true));

        try (PDDocument document = Loader.loadPDF(printed)) {
            assertThat(document.getNumberOfPages()).isEqualTo(2);
            BufferedImage first = new PDFRenderer(document).renderImageWithDPI(0, DOTS_AN_INCH);
            double millimetres = longestRunWithinTheFrame(first) * MM_AN_INCH / DOTS_AN_INCH;
            assertThat(millimetres).isBetween(99.7, 100.3);
        }
    }

    /** Dots of the longest dark line across that is shorter than the frame of the piece. */
    private static int longestRunWithinTheFrame(BufferedImage image) {
        double frame = DOTS_AN_INCH * 150 / MM_AN_INCH;
        int longest = 0;
        for (int y = 0; y < image.getHeight(); y++) {
            int run = 0;
            for (int x = 0; x <= image.getWidth(); x++) {
                if (x < image.getWidth() && isDark(image.getRGB(x, y))) {
                    run++;
                } else {
                    longest = run < frame ? Math.max(longest, run) : longest;
                    run = 0;
                }
            }
        }
        return longest;
    }

    private static boolean isDark(int rgb) {
        return (rgb & 0xff) < 160;
    }
}
