package app.chervil.e2e;

import static java.net.HttpURLConnection.HTTP_NO_CONTENT;
import static org.assertj.core.api.Assertions.assertThat;

import com.google.gson.JsonObject;
import com.microsoft.playwright.APIRequestContext;
import com.microsoft.playwright.APIResponse;
import com.microsoft.playwright.Browser;
import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Locator;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.PlaywrightException;
import com.microsoft.playwright.assertions.PlaywrightAssertions;
import com.microsoft.playwright.options.AriaRole;
import com.microsoft.playwright.options.ReducedMotion;
import com.microsoft.playwright.options.RequestOptions;
import com.microsoft.playwright.options.ServiceWorkerPolicy;
import java.nio.file.Path;
import java.util.ArrayDeque;
import java.util.ArrayList;
import java.util.Arrays;
import java.util.Deque;
import java.util.HashMap;
import java.util.LinkedHashSet;
import java.util.List;
import java.util.Locale;
import java.util.Map;
import java.util.Set;

/** Somebody at a browser. Console errors are gathered; every view can be checked for accessibility. */
final class Keeper implements AutoCloseable {
    /** Sends to the server as the page would. */
    static final String SEND = """
        async ([method, path, body]) => {
          const token = document.cookie.split('; ').find((one) => one.startsWith('XSRF-TOKEN=')).split('=')[1]
          const headers = { 'Content-Type': 'application/json', 'X-XSRF-TOKEN': token }
          const answer = await fetch(path, { method, headers, body: JSON.stringify(body) })
          if (!answer.ok) throw new Error(path + ' ' + answer.status + ' ' + (await answer.text()))
          const said = await answer.text()
          return said ? JSON.parse(said) : null
        }""";

    /** Waits until what follows from a change is on the screen. */
    private static final String PAINTED =
            "() => new Promise(done => requestAnimationFrame(() => requestAnimationFrame(done)))";

    private static final double MOMENT_MS = 2_000;

    /** One browser for all, since starting it is what takes long; no two keepers have one context at a time. */
    private static final Browser BROWSER = Playwright.create()
            .chromium()
            .launch(new BrowserType.LaunchOptions()
                    .setExecutablePath(Path.of("/usr/bin/chromium-headless-shell"))
                    .setChromiumSandbox(false)
                    .setArgs(List.of(
                            "--disable-gpu",
                            "--disable-quic",
                            "--disable-background-networking",
                            "--disable-component-update",
                            "--disable-sync",
                            "--no-first-run",
                            "--disable-dev-shm-usage")));

    /** Browsers that somebody left, with the application's files in their caches and nothing else of theirs. */
    private static final Map<Kind, Deque<BrowserContext>> LEFT = new HashMap<>();

    /** Those at a browser just now. */
    private static final Set<Keeper> HERE = new LinkedHashSet<>();

    private final RunningServer server;
    private final Kind kind;
    private final List<String> complaints = new ArrayList<>();
    private final Page page;
    /** Let in, and not looking at anything yet: most errands begin elsewhere than at the rounds. */
    private boolean atTheDoor;

    /** Somebody whose browser speaks for metric units. */
    Keeper(RunningServer server) {
        this(server, "en-IE");
    }

    /**
     * Somebody anywhere.
     *
     * @param locale of the browser, such as en-US
     */
    Keeper(RunningServer server, String locale) {
        this(server, locale, ServiceWorkerPolicy.BLOCK);
    }

    private Keeper(RunningServer server, String locale, ServiceWorkerPolicy workers) {
        this.server = server;
        this.kind = new Kind(locale, workers);
        BrowserContext left = left().poll();
        this.page = open(left == null ? kind.browser() : left);
        HERE.add(this);
    }

    /** What each of those at a browser sees, and what their servers said last. */
    static List<String> accounts() {
        return HERE.stream().map(Keeper::account).toList();
    }

    private String account() {
        try {
            String seen = page.locator("body").innerText(new Locator.InnerTextOptions().setTimeout(MOMENT_MS));
            return page.url() + " shows\n" + seen + "\nand complains of " + complaints + "; the server said\n"
                    + server.saidLast();
        } catch (PlaywrightException gone) {
            return page.url() + " shows nothing: " + gone.getMessage();
        }
    }

    /**
     * Somebody whose browser keeps the application, as browsers do. For the others it is spared, since each of them would
     * fetch all of it first.
     */
    static Keeper offlineToo(RunningServer server) {
        return new Keeper(server, "en-IE", ServiceWorkerPolicy.ALLOW);
    }

    /** What they look at; the rounds, if they were only let in so far. */
    Page page() {
        if (atTheDoor) {
            atTheDoor = false;
            page.navigate(server.url("/"));
            // Only then does the application listen.
            PlaywrightAssertions.assertThat(page.locator("main h1").first()).isVisible();
        }
        return page;
    }

    /** Takes the device out of reach of the network, or back. */
    void goOffline(boolean offline) {
        page.context().setOffline(offline);
    }

    /** Goes on with the same session on a phone. */
    void takePhone() {
        page.setViewportSize(390, 844);
        page.evaluate(PAINTED);
    }

    /** Goes on where there is room. */
    void takeDesk() {
        page.setViewportSize(1280, 800);
        page.evaluate(PAINTED);
    }

    /** Makes the first account of an empty machine, and is in. */
    void makeAccount(String site) {
        go("/");
        page.getByLabel("Code").fill(server.setupCode());
        page.getByLabel("Site").fill(site);
        page.getByLabel("Your name").fill("Ines");
        page.getByLabel("Name to sign in with").fill("ines");
        page.getByLabel("Password").fill("Forelle im Bach");
        button("Make the account").click();
        PlaywrightAssertions.assertThat(link("Add the first tank")).isVisible();
    }

    /** Comes in as one of the demo's people, past its door, and looks nowhere yet. */
    void enterDemoAs(String name) {
        APIRequestContext asked = page.context().request();
        asked.get(server.url("/api/session"));
        String token = page.context().cookies().stream()
                .filter(cookie -> cookie.name.equals("XSRF-TOKEN"))
                .map(cookie -> cookie.value)
                .findFirst()
                .orElseThrow();
        APIResponse answer = asked.post(
                server.url("/api/demo-session/" + name.toLowerCase(Locale.ROOT)),
                RequestOptions.create().setHeader("X-XSRF-TOKEN", token));
        assertThat(answer.status()).as(answer.statusText()).isEqualTo(HTTP_NO_CONTENT);
        atTheDoor = true;
    }

    void go(String path) {
        atTheDoor = false;
        try {
            page.navigate(server.url(path));
        } catch (PlaywrightException failure) {
            // A network that came or went on this machine says nothing of the page.
            if (!failure.getMessage().contains("ERR_NETWORK_CHANGED")) {
                throw failure;
            }
            page.navigate(server.url(path));
        }
        settle();
    }

    /** Goes to another view as a link would, without loading the application anew, and waits until it has what it shows. */
    void goWithin(String path) {
        if (page().url().equals(server.url(path))) {
            settle();
            return;
        }
        page().evaluate("""
                path => {
                  const main = document.querySelector('main')
                  if (main) main.dataset.before = document.querySelector('h1')?.textContent ?? ''
                  history.pushState({}, '', path)
                  dispatchEvent(new PopStateEvent('popstate', { state: {} }))
                }""", path);
        page().waitForFunction("""
                () => {
                  const main = document.querySelector('main')
                  const before = main?.dataset.before
                  const there = main && (before === undefined || before !== document.querySelector('h1')?.textContent)
                  return there && !document.querySelector('.wait, .el-skeleton')
                }""");
        page().evaluate(PAINTED);
    }

    /** Waits until nothing is being loaded. */
    void settle() {
        page().waitForLoadState(com.microsoft.playwright.options.LoadState.NETWORKIDLE);
    }

    Locator button(String name) {
        return page().getByRole(
                        AriaRole.BUTTON,
                        new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** One of the places in the bar. */
    Locator place(String name) {
        return page().getByRole(
                        AriaRole.LINK, new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    Locator link(String name) {
        return page().getByRole(AriaRole.LINK, new Page.GetByRoleOptions().setName(name));
    }

    /** Before a service: these tasks and no others, though what is due is ticked already. */
    void tickOnly(boolean exact, String... tasks) {
        PlaywrightAssertions.assertThat(page().locator(".tick").first()).isVisible();
        settle();
        Locator ticked = page().locator(".tick input:checked");
        while (ticked.count() > 0) {
            ticked.first().uncheck();
        }
        for (String task : tasks) {
            page().getByLabel(task, new Page.GetByLabelOptions().setExact(exact))
                    .check();
        }
        // An opening ticks what goes along with it.
        for (Locator tick : page().locator(".tick").all()) {
            String name = tick.textContent().strip();
            boolean wanted = Arrays.stream(tasks).anyMatch(task -> exact ? name.equals(task) : name.contains(task));
            if (!wanted && tick.locator("input").isChecked()) {
                tick.locator("input").uncheck();
            }
        }
    }

    /** Opens the list of a field and takes the first choice that says so. */
    void choose(String field, String choice) {
        page().locator(".el-select__wrapper", new Page.LocatorOptions().setHas(page().getByLabel(field)))
                .first()
                .click();
        page().getByRole(AriaRole.OPTION)
                .filter(new Locator.FilterOptions().setHasText(choice))
                .first()
                .click();
    }

    Locator heading(String name) {
        return page().getByRole(
                        AriaRole.HEADING,
                        new Page.GetByRoleOptions().setName(name).setExact(true));
    }

    /** As {@link Sight#isAccessible}. */
    void viewIsAccessible() {
        Sight.isAccessible(page());
    }

    /** As {@link Sight#turns}. */
    void viewTurnsWithThePhone() {
        Sight.turns(page());
    }

    /** As {@link Sight#isForThumbs}. */
    void viewIsForThumbs() {
        Sight.isForThumbs(page());
    }

    /** As {@link Sight#fitsTheWidth}. */
    void viewDoesNotScrollSideways() {
        Sight.fitsTheWidth(page());
    }

    /** Checks that what was read has these words, each after the one before. */
    static void readsInOrder(String read, String... words) {
        int from = 0;
        for (String one : words) {
            int at = read.indexOf(one, from);
            assertThat(at).as("%s after the step before it in%n%s", one, read).isNotNegative();
            from = at + 1;
        }
    }

    List<String> complaints() {
        return List.copyOf(complaints);
    }

    /** Leaves the browser to the next, without what was signed in with or kept on the device. */
    @Override
    public void close() {
        HERE.remove(this);
        BrowserContext context = page.context();
        context.setOffline(false);
        page.navigate("about:blank");
        JsonObject what = new JsonObject();
        what.addProperty("origin", server.url(""));
        what.addProperty("storageTypes", "local_storage,indexeddb");
        context.newCDPSession(page).send("Storage.clearDataForOrigin", what);
        context.clearCookies();
        context.pages().forEach(Page::close);
        left().add(context);
    }

    private Deque<BrowserContext> left() {
        return LEFT.computeIfAbsent(kind, any -> new ArrayDeque<>());
    }

    private Page open(BrowserContext context) {
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

    /** What a browser is made with. */
    private record Kind(String locale, ServiceWorkerPolicy workers) {
        BrowserContext browser() {
            return BROWSER.newContext(new Browser.NewContextOptions()
                    .setLocale(locale)
                    .setServiceWorkers(workers)
                    .setViewportSize(1280, 800)
                    .setReducedMotion(ReducedMotion.REDUCE));
        }
    }
}
