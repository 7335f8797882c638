package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.FilePayload;
import java.awt.image.BufferedImage;
import java.io.ByteArrayOutputStream;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.time.LocalDate;
import java.time.ZoneOffset;
import java.util.List;
import java.util.Map;
import javax.imageio.ImageIO;
import org.jspecify.annotations.Nullable;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;

/** At the tank in the demo. Each test works on a service of its own. */
class GuidedJourneyIT extends InTheDemo {
    @Override
    Keeper somebody() {
        return Keeper.offlineToo(server);
    }

    @Test
    void a_whole_canister_service_runs_by_keyboard_alone_and_ends_in_the_log() {
        Page page = begin(2, "Open canister Weir", "Rinse the coarse foam", "Change the fine pad", "Dip bio media");
        keeper.viewIsAccessible();

        int steps = 0;
        while (page.locator(".now").count() > 0) {
            String step = page.locator(".now").textContent();
            if (page.locator("fieldset.pick").count() > 0) {
                page.keyboard().press("3");
                assertThat(page.locator("label.on")).containsText("3 moderate");
            }
            page.keyboard().press(" ");
            assertThat(page.locator(".now").filter(new Locator.FilterOptions().setHasText(step)))
                    .hasCount(0);
            steps++;
        }

        assertThat(steps).isGreaterThan(20);
        assertThat(keeper.heading("All steps done")).isVisible();
        keeper.viewIsAccessible();
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();
        assertThat(page.locator("[data-moved='Open canister Weir']")).containsText("Moderate after");
        keeper.link("See the tank").click();
        assertThat(page.locator(".history li").first()).containsText("Canister Weir opened");
    }

    @Test
    void ticks_survive_a_killed_server() {
        Page page = begin(3, "Change floss");
        doSteps(2);
        server.kill();
        doSteps(2);
        assertThat(page.getByText("ticks kept here")).isVisible();
        String reached = page.locator(".now").textContent();

        server.startAgain();

        assertThat(page.getByText("No connection")).hasCount(0);
        page.reload();
        assertThat(page.locator(".now")).hasText(reached);
        assertThat(page.getByText("step 5 of")).isVisible();
    }

    @Test
    void five_ticks_offline_reach_a_second_browser_once() {
        Page page = begin(1, "Change the sock");
        doSteps(1);
        assertThat(page.getByText("step 2 of")).isVisible();
        keeper.goOffline(true);
        doSteps(4);
        assertThat(page.getByText("4 ticks kept here")).isVisible();
        keeper.goOffline(false);
        assertThat(page.getByText("No connection")).hasCount(0);

        try (Keeper second = somebody()) {
            second.enterDemoAs("Osei");
            second.page().navigate(page.url());

            assertThat(second.page().locator(".now"))
                    .hasText(page.locator(".now").textContent());
            assertThat(second.page().getByText("step 6 of")).isVisible();

            second.page()
                    .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Done"))
                    .click();
            assertThat(page.getByText("step 7 of")).isVisible();
        }
    }

    @Test
    void the_shell_opens_without_a_connection_and_the_service_goes_on() {
        Page page = begin(1, "Dip bio media");
        doSteps(1);
        page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
        page.reload();
        page.waitForFunction("() => navigator.serviceWorker.controller !== null");
        assertThat(page.getByText("step 2 of")).isVisible();
        keeper.goOffline(true);

        page.reload();

        assertThat(page.getByText("step 2 of")).isVisible();
        assertThat(page.getByText("No connection")).isVisible();
        doSteps(1);
        assertThat(page.getByText("step 3 of")).isVisible();
        keeper.goOffline(false);
        assertThat(page.getByText("No connection")).hasCount(0);
    }

    @Test
    void a_filter_left_off_is_shown_everywhere_until_it_runs() {
        Page page = begin(3, "Rinse the coarse foam");
        doSteps(6);
        assertThat(page.locator(".clock")).containsText("Filter off");
        keeper.button("End…").click();
        keeper.button("Save to the log").click();
        assertThat(page.locator("[data-field='leftOffReason'] .error")).containsText("The filter is still off.");
        page.getByLabel("Why it stays off").fill("Impeller broke, a new one comes tomorrow");
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();

        keeper.go("/tanks");
        Locator off = page.getByRole(AriaRole.REGION, new Page.GetByRoleOptions().setName("In progress"))
                .getByText("has been off for");
        assertThat(off.first()).isVisible();
        keeper.viewIsAccessible();
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("It's running again"))
                .click();

        assertThat(page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("It's running again")))
                .hasCount(0);
    }

    @Test
    void a_photo_is_made_smaller_and_stands_with_the_service() {
        Page page = begin(1, "Brush the hoses");

        page.locator("input[type=file]")
                .first()
                .setInputFiles(new FilePayload("hose.png", "image/png", picture(2400, 1200)));

        Locator photo = page.getByAltText("Before, Marit");
        assertThat(photo).isVisible();
        page.waitForFunction("() => document.querySelector('.photos img').naturalWidth === 1600");
        keeper.viewIsAccessible();
    }

    @Test
    void a_task_found_necessary_joins_the_steps() {
        Page page = begin(2, "Rinse the pre-filter");
        doSteps(1);
        keeper.choose("Task found necessary", "Grease and check the seals");
        page.getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName("Add").setExact(true))
                .click();
        keeper.button("All steps").click();

        assertThat(page.locator(".all")).containsText("Take each of the seals out");
        assertThat(page.getByText("step 2 of")).isVisible();
    }

    @Test
    void it_fits_a_phone_with_targets_for_wet_fingers() {
        keeper.takePhone();
        begin(2, "Rinse the pre-filter");

        keeper.viewDoesNotScrollSideways();
        keeper.viewIsAccessible();
        for (Locator button : keeper.page().locator(".dock button").all()) {
            assertThat(button.boundingBox().height).isGreaterThanOrEqualTo(48);
            assertThat(button.boundingBox().width).isGreaterThanOrEqualTo(48);
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "canister       | 2 |         | Open canister Weir; Rinse the coarse foam; Change the fine pad; Dip bio media;"
                        + " Clean the impeller; Grease and check the seals; Brush the hoses | Canister Weir opened",
                "sump           | 1 |         | Change the sock; Blow detritus off the rock first | Blew detritus off the rock.",
                "air sponge     | 4 | Bellows | Squeeze the sponge | Sponge squeezed",
                "hang-on-back   | 3 |         | Rinse the coarse foam; Change floss; Rebuild the cartridge"
                        + " | Cartridge rebuilt",
                "ultraviolet    | 5 | Lagoon  | Replace the UV lamp; Clean the UV sleeve | UV lamp replaced"
            })
    void each_kind_of_filter_is_served_by_thumb_to_its_end(
            String kind, int tank, @Nullable String filter, String tasks, String told) {
        keeper.takePhone();
        Page page = beginOn(tank, filter, tasks.split("; "));

        while (page.locator(".now").count() > 0) {
            keeper.viewDoesNotScrollSideways();
            assertThat(page.locator("main button:visible").all())
                    .allSatisfy(
                            target -> assertThat(target.boundingBox().height).isGreaterThanOrEqualTo(48));
            doSteps(1);
        }

        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();
        keeper.link("See the tank").click();
        assertThat(page.locator(".history li").first()).containsText(told);
    }

    @Test
    void two_canisters_of_a_tank_are_served_in_one_go_and_each_is_logged() {
        keeper.takePhone();
        Page page = keeper.page();
        String tasks = (String) page.evaluate("""
            async () => (await (await fetch('/api/tanks/5/filters')).json())
              .map((filter) => filter.tasks.find((task) => /^(Rinse the pre-filter|Clear the strainer)$/.test(task.name)).id)
              .join(',')""");
        keeper.go("/tanks/5/prepare?tasks=" + tasks);
        page.getByText("Then Lagoon: Clear the strainer").click();
        assertThat(page.getByText("Then Lagoon", new Page.GetByTextOptions().setExact(true)))
                .isVisible();
        keeper.viewIsAccessible();

        keeper.button("Start").click();
        assertThat(page.locator(".now")).containsText("Cover cuts");
        toTheEnd();
        keeper.button("Save to the log").click();
        assertThat(page.getByText("The heater is still off.")).isVisible();
        keeper.viewIsAccessible();
        keeper.button("Go on with Lagoon").click();
        assertThat(page.locator(".now")).containsText("catch it at the outlet");
        toTheEnd();
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();

        keeper.link("See the tank").click();
        assertThat(page.locator(".history li").nth(0)).containsText("Strainer cleared");
        assertThat(page.locator(".history li").nth(1)).containsText("Pre-filter rinsed");
    }

    @Test
    void a_neglected_filter_is_looked_over_and_the_plan_takes_weeks_for_it() {
        Page page = keeper.page();
        Map<String, Object> filter = Map.of(
                "name",
                "Old Basin",
                "kind",
                "CANISTER",
                "direction",
                "BOTTOM_UP",
                "rating",
                Map.of("flowLph", 900),
                "careFrom",
                LocalDate.now(ZoneOffset.UTC).minusYears(3).toString(),
                "stages",
                List.of(stage("PREFILTER_SPONGE"), stage("COARSE_FOAM"), stage("BIO_MEDIA")));
        page.evaluate(Keeper.SEND, List.of("POST", "/api/tanks/7/filters", filter));
        keeper.go("/tanks/7");
        assertThat(page.getByLabel("Taking Old Basin on")).containsText("over 4 weeks");
        keeper.link("Look it over first, step by step").click();
        keeper.viewIsAccessible();
        keeper.button("Start").click();
        assertThat(page.locator(".now")).containsText("Look along the cord of Old Basin");
        toTheEnd();
        keeper.button("Save to the log").click();
        assertThat(keeper.heading("Saved")).isVisible();
        keeper.link("See the tank").click();
        assertThat(page.locator(".history li").first()).containsText("Looked over.");
        assertThat(page.locator(".history li").first()).containsText("Pre-filter rinsed");

        List<?> days = (List<?>) page.evaluate("""
            async () => {
              const plan = async () => (await fetch('/api/plan?weeks=8')).json()
              while ((await plan()).improving) await new Promise((later) => setTimeout(later, 500))
              const { today, visits } = await plan()
              const after = (name) => visits.filter((visit) => visit.tasks.some((task) =>
                  task.filter === 'Old Basin' && task.name.startsWith(name))).map((visit) =>
                  (Date.parse(visit.on) - Date.parse(today)) / 86400000)[0]
              return [after('Open canister'), after('Dip bio media')]
            }""");
        assertThat(((Number) days.get(0)).intValue()).isBetween(7, 14);
        assertThat(((Number) days.get(1)).intValue())
                .as("in its week, or after the winter fortnight")
                .isBetween(21, 45);
    }

    private static Map<String, Object> stage(String kind) {
        return Map.of("kind", kind, "label", "", "quantity", 1, "make", "WASHABLE", "bagged", false);
    }

    /** Ticks every step there is. */
    private void toTheEnd() {
        while (keeper.page().locator(".now").count() > 0) {
            doSteps(1);
        }
    }

    /** Starts a service for these tasks and waits for its first step. */
    private Page begin(int tank, String... tasks) {
        return beginOn(tank, null, tasks);
    }

    private Page beginOn(int tank, @Nullable String filter, String... tasks) {
        keeper.go("/tanks/" + tank + "/prepare");
        Page page = keeper.page();
        if (filter != null) {
            page.getByText(filter, new Page.GetByTextOptions().setExact(true))
                    .first()
                    .click();
        }
        keeper.tickOnly(false, tasks);
        keeper.button("Start").click();
        assertThat(page.locator(".now")).isVisible();
        return page;
    }

    /** Does so many steps, each only once the one before has given way. */
    private void doSteps(int count) {
        for (int i = 0; i < count; i++) {
            String step = keeper.page().locator(".now").textContent();
            keeper.page()
                    .getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Done"))
                    .click();
            assertThat(keeper.page().locator(".now").filter(new Locator.FilterOptions().setHasText(step)))
                    .hasCount(0);
        }
    }

    private static byte[] picture(int width, int height) {
        try (ByteArrayOutputStream bytes = new ByteArrayOutputStream()) {
            ImageIO.write(new BufferedImage(width, height, BufferedImage.TYPE_INT_RGB), "png", bytes);
            return bytes.toByteArray();
        } catch (IOException failure) {
            throw new UncheckedIOException(failure);
        }
    }
}
