package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.CDPSession;
import com.microsoft.playwright.Page;
import org.junit.jupiter.api.Test;

/** A keeper whose phone vouches for them; the phone is played by the browser's own stand-in. */
class PasskeyJourneyIT {
    private static final String PASSWORD = "Forelle im Bach";

    private static String device(CDPSession browser, boolean sure) {
        JsonObject device = new JsonObject();
        device.addProperty("protocol", "ctap2");
        device.addProperty("transport", "internal");
        device.addProperty("hasResidentKey", true);
        device.addProperty("hasUserVerification", true);
        device.addProperty("isUserVerified", sure);
        JsonObject options = new JsonObject();
        options.add("options", device);
        return browser.send("WebAuthn.addVirtualAuthenticator", options)
                .get("authenticatorId")
                .getAsString();
    }

    private static void signOut(Keeper keeper) {
        keeper.page().context().clearCookies();
        keeper.page().evaluate("localStorage.clear()");
    }

    @Test
    void a_passkey_opens_the_door_instead_of_the_password_until_it_is_removed() {
        try (RunningServer server = RunningServer.empty();
                Keeper keeper = new Keeper(server)) {
            keeper.makeAccount("Zuhause");
            keeper.go("/you");
            assertThat(keeper.page().getByText("an address of numbers will not do"))
                    .isVisible();

            Page page = keeper.page();
            String named = server.url("").replace("127.0.0.1", "localhost");
            CDPSession browser = page.context().newCDPSession(page);
            browser.send("WebAuthn.enable");
            String phone = device(browser, true);
            page.navigate(named + "/");
            page.getByLabel("Name").fill("ines");
            page.getByLabel("Password").fill(PASSWORD);
            page.getByText("Sign in", new Page.GetByTextOptions().setExact(true))
                    .last()
                    .click();
            assertThat(keeper.link("Add the first tank")).isVisible();

            page.navigate(named + "/you");
            keeper.button("Make one on this device").click();
            page.getByLabel("What is this device?").fill("The phone");
            page.getByLabel("Your password").fill("not hers");
            keeper.button("Make the passkey").click();
            assertThat(page.getByText("Wrong name or password.")).isVisible();
            page.getByLabel("Your password").fill(PASSWORD);
            keeper.button("Make the passkey").click();
            assertThat(page.locator("[aria-labelledby=passkeys]")).containsText("The phone for localhost, made");
            keeper.viewIsAccessible();

            signOut(keeper);
            page.navigate(named + "/");
            keeper.button("Sign in with a passkey").click();
            assertThat(keeper.link("Add the first tank")).isVisible();

            page.navigate(named + "/you");
            assertThat(page.locator("[aria-labelledby=passkeys]")).containsText("last used");
            page.locator("[aria-labelledby=passkeys] li button").click();
            assertThat(page.locator("[aria-labelledby=passkeys] li")).hasCount(0);
            signOut(keeper);
            page.navigate(named + "/");
            keeper.button("Sign in with a passkey").click();
            assertThat(page.getByText("This passkey does not open it. Use the password."))
                    .isVisible();
            assertThat(phone).isNotEmpty();
            assertThat(keeper.complaints()).isEmpty();
        }
    }
}
