package app.chervil.server;

import static org.assertj.core.api.Assertions.assertThat;

import app.chervil.server.account.AccountOperations;
import app.chervil.server.account.NewAccount;
import app.chervil.server.account.Role;
import java.net.URI;
import java.net.http.HttpClient;
import java.net.http.HttpRequest;
import java.net.http.HttpRequest.BodyPublishers;
import java.net.http.HttpResponse;
import java.net.http.HttpResponse.BodyHandlers;
import java.nio.charset.StandardCharsets;
import java.util.Base64;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.beans.factory.annotation.Value;
import org.springframework.boot.test.context.SpringBootTest;
import org.springframework.boot.test.context.SpringBootTest.WebEnvironment;
import org.springframework.context.annotation.Import;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.annotation.DirtiesContext;
import org.springframework.test.context.ContextConfiguration;

/** Behind a reverse proxy on the same machine, as docs/running.md has it. */
@SpringBootTest(
        webEnvironment = WebEnvironment.RANDOM_PORT,
        properties = {"chervil.address=https://tanks.example.org", "chervil.trusted-proxies=127.0.0.1"})
@Import(TestClock.class)
@ContextConfiguration(initializers = TestDatabase.class)
@DirtiesContext
class ProxyTest {
    @Value("${local.server.port}")
    int port;

    @Autowired
    AccountOperations accounts;

    @Autowired
    JdbcClient jdbc;

    private final HttpClient client = HttpClient.newHttpClient();

    @Test
    void who_came_by_https_to_the_sites_own_name_is_let_in_with_cookies_for_https_alone() throws Exception {
        HttpResponse<String> answer = ask("203.0.113.7", "https", "tanks.example.org");

        assertThat(answer.statusCode()).isEqualTo(200);
        assertThat(answer.headers().allValues("Set-Cookie")).isNotEmpty().allSatisfy(cookie -> assertThat(cookie)
                .contains("Secure"));
    }

    @Test
    void who_came_unencrypted_or_by_another_name_is_not() throws Exception {
        assertThat(ask("203.0.113.7", "http", "tanks.example.org").statusCode()).isEqualTo(426);
        assertThat(ask("203.0.113.7", "https", "rebound.example.net").statusCode())
                .isEqualTo(421);
    }

    @Test
    void who_guesses_is_held_up_by_where_they_are_and_nobody_else_behind_the_proxy() throws Exception {
        String login = "ada" + UUID.randomUUID().toString().substring(0, 8);
        accounts.create("Home", new NewAccount(login, "Ada", "a long enough password"), Role.KEEPER);
        for (int i = 0; i < 5; i++) {
            assertThat(signIn("203.0.113.66", login, "wrong").statusCode()).isEqualTo(401);
        }

        assertThat(signIn("203.0.113.66", login, "a long enough password").statusCode())
                .isEqualTo(429);
        assertThat(signIn("203.0.113.7", login, "a long enough password").statusCode())
                .isEqualTo(200);
    }

    @Test
    void health_is_not_passed_on_to_strangers() throws Exception {
        HttpRequest asked = forwarded("/manage/health", "203.0.113.7", "https", "tanks.example.org")
                .build();

        assertThat(client.send(asked, BodyHandlers.ofString()).statusCode()).isEqualTo(401);
    }

    /** So that they are shown while the database is away, too. */
    @ParameterizedTest
    @ValueSource(strings = {"/", "/tanks/2", "/assets/index.js", "/sw.js"})
    void pages_and_their_files_come_without_a_look_at_the_session(String path) throws Exception {
        String login = "lou" + UUID.randomUUID().toString().substring(0, 8);
        accounts.create("Home", new NewAccount(login, "Lou", "a long enough password"), Role.KEEPER);
        String cookie = given(signIn("203.0.113.9", login, "a long enough password"), "chervil_session");
        String session = new String(Base64.getDecoder().decode(cookie), StandardCharsets.UTF_8);
        jdbc.sql("update spring_session set last_access_time = 1 where session_id = ?")
                .param(session)
                .update();

        seenWith(cookie, path);
        assertThat(isThere(session)).as("over long ago, and nobody looked").isTrue();

        seenWith(cookie, "/api/session");
        assertThat(isThere(session)).isFalse();
    }

    private void seenWith(String cookie, String path) throws Exception {
        HttpRequest asked = forwarded(path, "203.0.113.9", "https", "tanks.example.org")
                .header("Cookie", "chervil_session=" + cookie)
                .build();
        client.send(asked, BodyHandlers.discarding());
    }

    private boolean isThere(String session) {
        return jdbc.sql("select exists (select from spring_session where session_id = ?)")
                .param(session)
                .query(Boolean.class)
                .single();
    }

    private static String given(HttpResponse<String> answer, String cookie) {
        return answer.headers().allValues("Set-Cookie").stream()
                .filter(one -> one.startsWith(cookie + "="))
                .map(one -> one.substring(cookie.length() + 1, one.indexOf(';')))
                .findFirst()
                .orElseThrow();
    }

    private HttpResponse<String> ask(String from, String how, String name) throws Exception {
        return client.send(forwarded("/api/session", from, how, name).build(), BodyHandlers.ofString());
    }

    private HttpResponse<String> signIn(String from, String login, String password) throws Exception {
        String token = given(ask(from, "https", "tanks.example.org"), "XSRF-TOKEN");
        HttpRequest asked = forwarded("/api/session", from, "https", "tanks.example.org")
                .header("Cookie", "XSRF-TOKEN=" + token)
                .header("X-XSRF-TOKEN", token)
                .header("Content-Type", "application/json")
                .POST(BodyPublishers.ofString("{\"login\": \"%s\", \"password\": \"%s\"}".formatted(login, password)))
                .build();
        return client.send(asked, BodyHandlers.ofString());
    }

    private HttpRequest.Builder forwarded(String path, String from, String how, String name) {
        return HttpRequest.newBuilder(URI.create("http://127.0.0.1:" + port + path))
                .header("X-Forwarded-For", from)
                .header("X-Forwarded-Proto", how)
                .header("X-Forwarded-Host", name);
    }
}
