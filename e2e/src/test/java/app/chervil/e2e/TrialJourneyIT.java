package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.time.LocalDate;
import java.time.format.DateTimeFormatter;
import java.util.List;
import java.util.regex.Pattern;
import org.apache.pdfbox.Loader;
import org.apache.pdfbox.pdmodel.PDDocument;
import org.apache.pdfbox.text.PDFTextStripper;
import org.junit.jupiter.api.Test;

/** Five like tanks, each of which had its sock left out, changed every 14, 7, 4 and 2 days in turn, over twenty weeks. */
class TrialJourneyIT extends InTheDemo {
    private static final DateTimeFormatter TYPED = DateTimeFormatter.ofPattern("dd/MM/yyyy");
    private static final List<String> TANKS = List.of("Shelf A", "Shelf B", "Shelf C", "Shelf D", "Shelf E");
    private static final int DAYS = 140;

    /**
     * A tank with a sump, a sock changed as its way had it, and nitrate read twice a week: it rises by 10 mg/L a week without a
     * sock, by 7 with one changed each fortnight, and by 4 with one changed weekly or more often.
     */
    private static final String A_TANK = """
        async ([send, name, seed, days]) => {
          const call = eval(send)
          const day = (ago) => new Date(Date.now() - ago * 86400000).toISOString().slice(0, 10)
          const stage = (kind, make = 'WASHABLE') => ({ kind, label: '', quantity: 1, make, bagged: false })
          const tank = await call(['POST', '/api/tanks', {
            name, room: 'Shelf', netVolumeL: 180, establishedOn: day(900),
            setting: { water: 'MARINE', stocking: 'NORMAL', feeding: 'NORMAL', bacteriaHome: 'SUBSTRATE_AND_ROCK', tapWater: 'CHLORINE' },
            schools: { opening: 'CONDITION_LED', sock: 'CLARITY', rinse: 'TANK_WATER', thoroughness: 'LIGHT' } }])
          const filter = await call(['POST', `/api/tanks/${tank.id}/filters`, {
            name: 'Undertow of ' + name, kind: 'SUMP', rating: { flowLph: 1500 }, careFrom: day(200),
            stages: [stage('OVERFLOW'), stage('SOCK', 'DISPOSABLE'), stage('SETTLING'), stage('BIO_MEDIA'), stage('RETURN_PUMP')] }])
          const sock = filter.tasks.find((task) => task.name.includes('sock')).id
          const forth = [0, 1, 2, 3, 4, 4, 3, 2, 1, 0]
          const every = [0, 14, 7, 4, 2]
          const rise = [10, 7, 4, 4, 4]
          let nitrate = 6 + seed
          for (let on = 0; on < days; on++) {
            const ago = days - on
            const way = forth[Math.floor(on / 14)]
            if (on % 3 === 0) await call(['POST', `/api/tanks/${tank.id}/readings`, {
              takenAt: day(ago) + 'T07:00:00Z', moment: 'PLAIN', values: [{ id: crypto.randomUUID(), parameter: 'NITRATE',
                amount: Math.round(10 * (nitrate + Math.sin(on * 1.7 + seed))) / 10, belowDetection: false, early: false,
                method: 'Drop test' }] }])
            if (every[way] && on % every[way] === 0) await call(['PUT', '/api/services/' + crypto.randomUUID(), {
              tankId: tank.id, doneOn: day(ago), doneBy: 'Marit', note: '', flows: [], tasks: [{ taskId: sock }] }])
            nitrate += rise[way] / 7
            if (on % 14 === 13) nitrate = await changed(tank.id, ago, nitrate)
          }
          async function changed(id, ago, value) {
            await call(['PUT', `/api/tanks/${id}/water-changes/${crypto.randomUUID()}`, {
              changedAt: day(ago) + 'T20:00:00Z', litres: 90, bucketLitres: 0, note: '', confirmed: true }])
            return value / 2
          }
          return tank.id
        }""";

    private Locator card(String tank) {
        return keeper.page().locator("article").filter(new Locator.FilterOptions().setHasText(tank));
    }

    @Test
    void a_sock_trial_on_five_tanks_with_a_control_is_told_adopted_printed_and_taken_back() throws IOException {
        keeper.go("/bench/trials");
        Page page = keeper.page();
        for (int i = 0; i < TANKS.size(); i++) {
            page.evaluate(A_TANK, List.of(Keeper.SEND, TANKS.get(i), i, DAYS));
        }
        begin(page);

        Locator together = page.locator("[data-together]");
        assertThat(together).containsText("5 tanks together: Nitrate a week, against without it");
        assertThat(together).containsText("Every 7 days looks worth its work");
        assertThat(card("Shelf C")).containsText("over, 10 of 10 periods");
        keeper.viewIsAccessible();

        card("Shelf C")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Adopt every 7 days"))
                .click();
        assertThat(page.getByText("Change the sock: every 7 days from now on.")).isVisible();
        assertThat(card("Shelf C")).containsText("chosen");
        card("Shelf C").getByRole(AriaRole.LINK).first().click();
        assertThat(page.getByText("Chosen after a trial: every 7 days.")).isVisible();

        keeper.go("/bench/trials");
        keeper.button("Adopt every 7 days in all 4 tanks").click();
        assertThat(page.getByText("Every 7 days from now on, in 4 tanks.")).isVisible();
        assertThat(card("Shelf A")).containsText("chosen");
        card("Shelf C")
                .getByRole(AriaRole.LINK, new Locator.GetByRoleOptions().setName(Pattern.compile("^On a page")))
                .click();
        assertThat(keeper.heading("Trial: Change the sock, Shelf C")).isVisible();
        keeper.viewIsAccessible();
        try (PDDocument printed = Loader.loadPDF(page.pdf())) {
            String text = new PDFTextStripper().getText(printed);
            assertThat(text)
                    .contains("without it", "every 14 days", "5 tanks together")
                    .doesNotContain("Something else changed");
        }
    }

    private void begin(Page page) {
        keeper.go("/bench/trials/new");
        keeper.choose("Tank", TANKS.get(0));
        keeper.choose("Task", "Change the sock, Undertow of " + TANKS.get(0));
        TANKS.stream().skip(1).forEach(tank -> page.getByLabel(tank).check());
        page.getByLabel("Without it").first().check();
        keeper.button("Add a way").click();
        keeper.button("Add a way").click();
        keeper.button("Add a way").click();
        List<String> ways = List.of("14", "7", "4", "2");
        for (int i = 0; i < ways.size(); i++) {
            page.getByLabel("Or every").nth(i).fill(ways.get(i));
        }
        Locator from = page.getByLabel("From");
        from.fill(LocalDate.now().minusDays(DAYS).format(TYPED));
        from.press("Enter");
        page.getByLabel("Turns of each way")
                .getByText("2", new Locator.GetByTextOptions().setExact(true))
                .click();
        assertThat(page.getByText("It ended on")).isVisible();
        page.getByRole(
                        AriaRole.CHECKBOX,
                        new Page.GetByRoleOptions().setName("pH").setExact(true))
                .check();
        keeper.viewIsAccessible();
        keeper.button("Begin it").click();
        assertThat(keeper.heading("Trials")).isVisible();
    }

    @Test
    void two_tanks_keep_one_way_each_and_swap_them_with_a_way_back() {
        keeper.go("/bench/trials/new");
        Page page = keeper.page();
        keeper.choose("Tank", "Brook bench");
        keeper.choose("Task", "Rinse the pre-filter, Weir");
        Locator also = page.getByRole(AriaRole.CHECKBOX).first();
        also.check();
        page.getByText("One way each").click();
        page.getByLabel("Every", new Page.GetByLabelOptions().setExact(true)).fill("3");
        page.getByLabel("Or every").fill("7");
        Locator from = page.getByLabel("From");
        from.fill(LocalDate.now().minusDays(10).format(TYPED));
        from.press("Enter");
        assertThat(page.getByText("Whether the way or the tank makes a difference cannot be told"))
                .isVisible();
        keeper.button("Begin it").click();

        Locator told = page.getByText("Each tank kept one way, so whether the way or the tank");
        assertThat(told).isVisible();
        card("Brook bench")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Swap the ways today"))
                .click();
        assertThat(page.getByText("The tanks swapped their ways.")).isVisible();
        assertThat(card("Brook bench")).containsText("every 7 days now");
        page.locator(".el-message")
                .getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Undo"))
                .click();
        assertThat(card("Brook bench")).containsText("every 3 days now");
    }

    @Test
    void what_else_changed_is_noted_at_the_trial_and_taken_back() {
        keeper.go("/bench/trials");
        Page page = keeper.page();
        Locator rock = card("Rock pool");
        rock.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Something else changed"))
                .click();
        keeper.choose("What changed", "Animals added");
        rock.getByLabel("What it was").fill("two snails");
        keeper.viewIsAccessible();
        keeper.button("Note it").click();

        assertThat(rock).containsText("Animals added: two snails");
        rock.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName(Pattern.compile("^Take back")))
                .click();
        assertThat(page.locator(".meanwhile li")).hasCount(0);
    }
}
