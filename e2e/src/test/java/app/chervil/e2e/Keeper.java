package app.chervil.e2e;

import static org.assertj.core.api.Assertions.assertThat;

import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.io.UncheckedIOException;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;

/** Somebody at a browser. Console errors are gathered; every view can be checked for accessibility. */
final class Keeper implements AutoCloseable {
    private static final String AXE = read(Path.of("..", "web", "node_modules", "axe-core", "axe.min.js"));
    private static final String RUN_AXE = """
        async () => (await axe.run(document, { runOnly: ['wcag2a', 'wcag2aa', 'wcag21a', 'wcag21aa', 'wcag22aa'] }))
          .violations.map(v => v.id + ': ' + v.nodes.map(n => n.target.join(' ') + ' ' + n.failureSummary).join('; '))""";

    /** One browser for all, since starting it is what takes long; every keeper has a context of their own. */
    private static final Browser BROWSER = Playwright.create()
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium"))
                    .setChromiumSandbox(false)
                    .setArgs(List.of(
                            "--disable-gpu",
                            "--disable-quic",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            "--no-first-run",
                            "--disable-dev-shm-usage")));

    /** Room for a machine that does much else besides; what holds is seen at once all the same. */
    private static final double PATIENCE_MS = 30_000;

    static {
        PlaywrightAssertions.setDefaultAssertionTimeout(PATIENCE_MS);
    }

    private final RunningServer server;
    private final List<String> complaints = new ArrayList<>();
    private Page page;

    Keeper(RunningServer server) {
        this.server = server;
        this.page = open(1280, 800);
    }

    Page page() {
        return page;
    }

    /** Takes the device out of reach of the network, or back. */
    void goOffline(boolean offline) {
        page.context().setOffline(offline);
    }

    /** Goes on with the same session on a phone. */
    void takePhone() {
        page.setViewportSize(390, 844);
    }

    void enterDemoAs(String name) {
        page.navigate(server.url("/"));
        page.getByRole(AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name))
                .click();
        page.waitForURL(server.url("/"));
    }

    void go(String path) {
        page.navigate(server.url(path));
        settle();
    }

    /** Waits until nothing is being loaded. */
    void settle() {
        page.waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    }

    Locator button(String name) {
        return page.getByRole(
                AriaRole.BUTTON, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator link(String name) {
        return page.getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    Locator heading(String name) {
        return page.getByRole(
                AriaRole.HEADING, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** Checks the view as it stands, in both themes. */
    void viewIsAccessible() {
        for (String lamp : List.of("false", "true")) {
            page.evaluate("document.documentElement.classList.toggle('lamp', " + lamp + ")");
            page.evaluate(AXE);
            Object violations = page.evaluate(RUN_AXE);
            assertThat((List<?>) violations).as("%s, lamp %s", page.url(), lamp).isEmpty();
        }
        page.evaluate("document.documentElement.classList.remove('lamp')");
    }

    void viewDoesNotScrollSideways() {
        assertThat(page.evaluate("document.documentElement.scrollWidth <= window.innerWidth"))
                .as("%s fits the width", page.url())
                .isEqualTo(true);
    }

    List<String> complaints() {
        return List.copyOf(complaints);
    }

    @Override
    public void close() {
        page.context().close();
    }

    private Page open(int width, int height) {
        BrowserContext context = BROWSER.newContext(new Browser.NewContextOptions()
                .setViewportSize(width, height)
                .setReducedMotion(com.microsoft.playwright.options.ReducedMotion.REDUCE));
        Page opened = context.newPage();
        opened.onPageError(complaints::add);
        opened.onConsoleMessage(message -> {
            boolean expected = message.text().contains("Failed to load resource");
            if (message.type().equals("error") && !expected) {
                complaints.add(message.text());
            }
        });
        return opened;
    }

    private static String read(Path file) {
        try {
            return Files.readString(file);
        } catch (IOException missing) {
            throw new UncheckedIOException(missing);
        }
    }
}
