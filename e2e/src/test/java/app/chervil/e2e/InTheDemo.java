package app.chervil.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.options.AriaRole;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.AfterEach;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.BeforeEach;

/** Errands in the demo. Each starts at the rounds as Marit, the keeper. */
abstract class InTheDemo {
    static RunningServer server;
    Keeper keeper;

    @BeforeAll
    static void start() {
        server = RunningServer.demo();
    }

    @AfterAll
    static void stop() {
        server.close();
    }

    @BeforeEach
    void comeIn() {
        keeper = somebody();
        keeper.enterDemoAs("Marit");
    }

    /** A browser of its own for each errand. */
    Keeper somebody() {
        return new Keeper(server);
    }

    @AfterEach
    void leave() {
        assertThat(keeper.complaints()).isEmpty();
        keeper.close();
    }

    static Locator button(Page page, String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }
}
