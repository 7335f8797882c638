package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.assertions.LocatorAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.util.regex.Pattern;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;

/** Devices that are not there speak through a broker, are put out of order, and people hear of it. */
class DeviceJourneyIT {
    /** Within which a screen tells of what a device said; by itself it would ask later. */
    private static final double AT_ONCE_MS = 15_000;

    private static StandInBroker broker;
    private static RunningServer server;
    private Keeper keeper;

    @BeforeAll
    static void start() throws IOException {
        broker = new StandInBroker();
        server = RunningServer.demo(broker.settings());
    }

    @AfterAll
    static void stop() {
        server.close();
        broker.close();
    }

    @BeforeEach
    void comeIn() {
        keeper = in(1280, 800);
    }

    @AfterEach
    void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
    }

    private static Keeper in(int width, int height) {
        Keeper somebody = new Keeper(server);
        somebody.page().setViewportSize(width, height);
        somebody.enterDemoAs("Marit");
        return somebody;
    }

    /** A screen that listens is never done loading, so nobody waits for that. */
    private Page devices() {
        Page page = keeper.page();
        page.navigate(server.url("/devices"));
        assertThat(page.getByText("Flow at Weir").first()).isVisible();
        return page;
    }

    private static Locator mishap(Page page, String name) {
        return page.getByRole(AriaRole.SWITCH, new Page.GetByRoleOptions().setName(name));
    }

    private static void turn(Page page, String name) {
        page.locator(".stand-ins li")
                .filter(new Locator.FilterOptions().setHasText(name))
                .locator(".el-switch")
                .click();
    }

    private static Locator alert(Page page, String text) {
        return page.locator(".alert")
                .filter(new Locator.FilterOptions().setHasText(text))
                .first();
    }

    private static LocatorAssertions.IsVisibleOptions atOnce() {
        return new LocatorAssertions.IsVisibleOptions().setTimeout(AT_ONCE_MS);
    }

    @Test
    void a_filter_that_is_unplugged_is_told_at_once_and_goes_on_by_a_persons_word() {
        Page page = devices();
        turn(page, "The filter is unplugged");
        assertThat(alert(page, "Weir is off.")).isVisible(atOnce());
        keeper.viewIsAccessible();

        alert(page, "Weir is off.").getByText("Switch it on").click();
        Locator dialog = page.getByRole(AriaRole.DIALOG);
        Locator on = dialog.getByRole(AriaRole.BUTTON, new Locator.GetByRoleOptions().setName("Switch on"));
        assertThat(on).isDisabled();
        dialog.getByText("No hand is in the water.").click();
        dialog.getByText("The pump is under water.").click();
        dialog.getByText("Its valves are open.").click();
        on.click();

        assertThat(mishap(page, "The filter is unplugged")).not().isChecked();
        assertThat(page.locator(".alert.ended").first()).containsText("Weir is off.");
    }

    @Test
    void water_on_the_floor_is_seen_on_laptop_and_phone_silenced_and_ended() {
        Keeper onPhone = in(390, 844);
        Page phone = onPhone.page();
        Page page = devices();
        turn(page, "There is water under the stand");

        Locator there = alert(phone, "Water at Under the stand");
        assertThat(there).isVisible(atOnce());
        assertThat(alert(page, "Water at Under the stand")).isVisible(atOnce());
        onPhone.viewIsForThumbs();
        onPhone.viewDoesNotScrollSideways();

        there.getByText("Quiet for 30 minutes").click();
        assertThat(phone.locator(".alerts")).hasCount(0);
        assertThat(alert(page, "Water at Under the stand")).containsText("seen by Marit, quiet until");

        turn(page, "There is water under the stand");
        assertThat(page.locator(".alert.ended")
                        .filter(new Locator.FilterOptions().setHasText("Water at"))
                        .first())
                .isVisible(atOnce());
        onPhone.close();
    }

    @Test
    void as_foam_fills_the_flow_falls_and_the_tank_says_what_its_meter_reads() {
        Page page = devices();
        int before = flow(page);
        keeper.button("Let 10 days of dirt into the foam").click();
        for (int look = 0; look < 30 && flow(page) > before - 10; look++) {
            page.waitForTimeout(1000);
        }
        assertThat(flow(page)).isLessThanOrEqualTo(before - 10);

        page.navigate(server.url("/tanks/2"));
        assertThat(page.locator("main").getByText("Its meter reads").first()).isVisible();
        assertThat(page.locator(".devices")).containsText("Flow at Weir");
    }

    private static int flow(Page page) {
        Locator reading = page.locator(".reading b").first();
        assertThat(reading).containsText(Pattern.compile("\\d"));
        return Integer.parseInt(reading.innerText().replaceAll("\\D", ""));
    }

    @Test
    void a_device_is_fitted_gets_a_token_and_draws_a_curve() {
        Page page = devices();
        keeper.choose("What it is", "Leak sensor");
        page.getByLabel("What you call it").fill("Behind the sump");
        keeper.choose("Tank", "Rock pool");
        keeper.button("Fit it").click();
        assertThat(page.getByText("It is shown only now")).isVisible();
        keeper.button("Done").click();
        assertThat(page.getByText("Behind the sump").first()).isVisible();

        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName("Curve of Flow at Weir"))
                .click();
        assertThat(page.getByRole(AriaRole.IMG, new Page.GetByRoleOptions().setName("Flow at Weir: between")))
                .isVisible();
        keeper.viewIsAccessible();
    }
}
