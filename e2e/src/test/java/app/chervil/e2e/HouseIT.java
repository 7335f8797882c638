package app.chervil.e2e;

import static com.microsoft.playwright.assertions.PlaywrightAssertions.assertThat;
import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;

import com.microsoft.playwright.BrowserContext;
import com.microsoft.playwright.BrowserType;
import com.microsoft.playwright.Page;
import com.microsoft.playwright.Playwright;
import com.microsoft.playwright.options.AriaRole;
import java.io.IOException;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.HashMap;
import java.util.List;
import java.util.Map;
import org.junit.jupiter.api.AfterAll;
import org.junit.jupiter.api.BeforeAll;
import org.junit.jupiter.api.MethodOrderer;
import org.junit.jupiter.api.Order;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.api.TestMethodOrder;
import org.junit.jupiter.api.io.TempDir;

/**
 * A phone in the house: a browser in a network namespace of its own, joined to this machine by a virtual cable and by
 * nothing else. It needs root, as {@code ./chervil test} has where it installs what is missing.
 */
@TestMethodOrder(MethodOrderer.OrderAnnotation.class)
class HouseIT {
    private static final String HERE = "10.79.0.1";
    private static final String CABLE = "chervil-cable";
    private static final String PHONE = "chervil-phone";

    @TempDir
    static Path folder;

    private static RunningServer server;
    private static String house;
    private static String pairing;

    @BeforeAll
    static void cableAndServer() throws Exception {
        unplug();
        run("ip", "netns", "add", PHONE);
        run("ip", "link", "add", CABLE, "type", "veth", "peer", "name", "eth0", "netns", PHONE);
        run("ip", "addr", "add", HERE + "/24", "dev", CABLE);
        run("ip", "link", "set", CABLE, "up");
        onPhone("ip", "link", "set", "lo", "up");
        onPhone("ip", "addr", "add", "10.79.0.2/24", "dev", "eth0");
        onPhone("ip", "link", "set", "eth0", "up");

        run("bash", "-c", """
                set -eu; STATE=$1 CHERVIL_HOUSE_ADDRESS=$2
                fail() { echo "$*" >&2; exit 1; }
                source ../ops/house.sh
                house_authority "$STATE"; house_certificate "$STATE"
                """, "house", folder.toString(), HERE);
        int port = RunningServer.freePort();
        int plain = RunningServer.freePort();
        house = "https://" + HERE + ":" + port;
        pairing = "http://" + HERE + ":" + plain;
        Map<String, String> settings = new HashMap<>(Map.of(
                "CHERVIL_PORT", "" + port,
                "CHERVIL_LISTEN", HERE,
                "CHERVIL_PAIRING_PORT", "" + plain,
                "CHERVIL_HOUSE_ADDRESSES", house + "/",
                "CHERVIL_HOUSE_AUTHORITY", folder.resolve("authority.pem").toString(),
                "SERVER_SSL_CERTIFICATE", "file:" + folder.resolve("server.pem"),
                "SERVER_SSL_CERTIFICATE_PRIVATE_KEY", "file:" + folder.resolve("server.key")));
        server = RunningServer.demo(settings);
    }

    @AfterAll
    static void unplug() throws Exception {
        if (server != null) {
            server.close();
        }
        attempt("ip", "link", "del", CABLE);
        attempt("ip", "netns", "del", PHONE);
    }

    @Test
    @Order(1)
    void a_stranger_is_refused_by_the_phone_and_plain_talk_by_the_server() throws Exception {
        try (Playwright playwright = Playwright.create();
                BrowserContext phone = phone(playwright, "stranger")) {
            Page refused = phone.newPage();
            assertThatThrownBy(() -> refused.navigate(house + "/")).hasMessageContaining("ERR_CERT_AUTHORITY_INVALID");
            Page page = phone.newPage();
            assertThat(page.navigate(pairing + "/api/session").status()).isEqualTo(426);
            assertThat(page.navigate(house.replace("https", "http") + "/").status())
                    .isEqualTo(400);
        }
        assertThat(onPhone("curl", "-sk", "-H", "Host: rebound.example", house + "/api/tanks"))
                .contains("\"wrong-name\"");
        assertThat(onPhone("curl", "-sk", house + "/manage/health")).contains("\"not-signed-in\"");
    }

    @Test
    @Order(2)
    void the_certificate_vouches_for_the_house_alone() throws Exception {
        String read =
                run("openssl", "x509", "-in", folder.resolve("authority.pem").toString(), "-noout", "-text");

        assertThat(read).contains("Name Constraints: critical", "IP:192.168.0.0/255.255.0.0", "CA:TRUE, pathlen:0");
        assertThat(read).doesNotContain("IP:0.0.0.0");
    }

    @Test
    @Order(3)
    void a_phone_pairs_serves_a_tank_without_a_connection_and_comes_back() throws Exception {
        Path home = Files.createDirectories(folder.resolve("paired"));
        String fingerprint;
        try (Playwright playwright = Playwright.create();
                BrowserContext phone = phone(playwright, "paired")) {
            Page page = phone.newPage();
            page.navigate(pairing + "/");
            fingerprint = page.locator("code").textContent();
            assertThat(page.getByText("Open Chervil")).hasAttribute("href", house + "/");
        }
        onPhone("curl", "-sf", "-o", home.resolve("chervil.crt").toString(), pairing + "/chervil.crt");
        assertThat(run(
                        "openssl",
                        "x509",
                        "-in",
                        home.resolve("chervil.crt").toString(),
                        "-noout",
                        "-fingerprint",
                        "-sha256"))
                .contains(fingerprint.strip().replace(' ', ':'));
        trust(home);

        try (Playwright playwright = Playwright.create();
                BrowserContext phone = phone(playwright, "paired")) {
            Page page = phone.newPage();
            page.navigate(house + "/");
            InTheDemo.button(page, "Osei, helper").click();
            assertThat(page.getByRole(AriaRole.ARTICLE).first()).isVisible();
            assertThat(phone.cookies().stream()
                            .filter(one -> one.name.equals("chervil_session"))
                            .allMatch(one -> one.secure && one.httpOnly))
                    .isTrue();
            page.navigate(house + "/tanks/1/prepare");
            page.locator(".tick input:checked").first().waitFor();
            InTheDemo.button(page, "Start").click();
            // What was not begun yet would not be there after the page is loaded anew.
            assertThat(page.getByText("step 1 of")).isVisible();
            page.waitForFunction("() => navigator.serviceWorker.ready.then(() => true)");
            page.reload();
            page.waitForFunction("() => navigator.serviceWorker.controller !== null");
            InTheDemo.button(page, "Done").click();
            assertThat(page.getByText("step 2 of")).isVisible();

            onPhone("ip", "link", "set", "eth0", "down");
            page.reload();
            assertThat(page.getByText("No connection")).isVisible();
            InTheDemo.button(page, "Done").click();
            assertThat(page.getByText("step 3 of")).isVisible();
            onPhone("ip", "link", "set", "eth0", "up");

            assertThat(page.getByText("No connection")).hasCount(0);
            page.reload();
            assertThat(page.getByText("step 3 of")).isVisible();
        }
    }

    /** A browser of the phone, with a home of its own that keeps what it trusts. */
    private static BrowserContext phone(Playwright playwright, String name) throws IOException {
        Path home = Files.createDirectories(folder.resolve(name));
        Path wrapper = folder.resolve(name + "-browser");
        Files.writeString(
                wrapper,
                "#!/bin/sh\nexport HOME=" + home + "\nexec ip netns exec " + PHONE
                        + " /usr/bin/chromium-headless-shell \"$@\"\n");
        wrapper.toFile().setExecutable(true);
        return playwright
                .chromium()
                .launchPersistentContext(
                        home.resolve("profile"),
                        new BrowserType.LaunchPersistentContextOptions()
                                .setExecutablePath(wrapper)
                                .setChromiumSandbox(false)
                                .setViewportSize(390, 844)
                                .setHasTouch(true)
                                .setArgs(List.of(
                                        "--disable-gpu",
                                        "--disable-quic",
                                        "--no-first-run",
                                        "--disable-dev-shm-usage")));
    }

    /** What a person does in the phone's settings. */
    private static void trust(Path home) throws Exception {
        String store = Files.createDirectories(home.resolve(".pki/nssdb")).toString();
        run("certutil", "-d", "sql:" + store, "-N", "--empty-password");
        run(
                "certutil",
                "-d",
                "sql:" + store,
                "-A",
                "-t",
                "C,,",
                "-n",
                "chervil",
                "-i",
                home.resolve("chervil.crt").toString());
    }

    private static String onPhone(String... command) throws Exception {
        List<String> there = new ArrayList<>(List.of("ip", "netns", "exec", PHONE));
        there.addAll(List.of(command));
        return run(there.toArray(String[]::new));
    }

    private static String run(String... command) throws Exception {
        Process process = new ProcessBuilder(command).redirectErrorStream(true).start();
        String said = new String(process.getInputStream().readAllBytes(), StandardCharsets.UTF_8);
        assertThat(process.waitFor())
                .as("%s: %s", String.join(" ", command), said)
                .isZero();
        return said;
    }

    private static void attempt(String... command) throws Exception {
        new ProcessBuilder(command).redirectErrorStream(true).start().waitFor();
    }
}
