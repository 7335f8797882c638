package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.TestTables;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.Base64;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;

@ChervilTest
class SignInTest {
    @Autowired
    MockMvc mvc;

    @Autowired
    AccountOperations accounts;

    @Autowired
    TestTables tables;

    @Autowired
    TestSite site;

    @Autowired
    SetupCode code;

    @Autowired
    JdbcClient jdbc;

    @Test
    void the_first_visitor_makes_the_keeper_with_the_printed_code_and_only_once() throws Exception {
        tables.empty();

        setUp("not the code")
                .andExpect(status().isUnauthorized())
                .andExpect(jsonPath("$.code").value("wrong-code"));
        setUp(code.value())
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.role").value("KEEPER"));
        setUp(code.value()).andExpect(jsonPath("$.code").value("already-set-up"));
    }

    @Test
    void a_session_lives_in_the_database_and_ends_with_sign_out() throws Exception {
        person("ines");

        Cookie session = signIn("ines", "a long enough password")
                .andExpect(status().isOk())
                .andReturn()
                .getResponse()
                .getCookie("chervil_session");

        assertThat(session).isNotNull();
        assertThat(session.isHttpOnly()).isTrue();
        mvc.perform(get("/api/tanks").cookie(session)).andExpect(status().isOk());
        mvc.perform(org.springframework.test.web.servlet.request.MockMvcRequestBuilders.delete("/api/session")
                        .cookie(session)
                        .with(csrf()))
                .andExpect(status().isNoContent());
        mvc.perform(get("/api/tanks").cookie(session)).andExpect(status().isUnauthorized());
    }

    @ParameterizedTest
    @CsvSource({"45, false", "75, true"})
    void that_a_session_was_used_is_written_once_a_minute(int secondsAgo, boolean again) throws Exception {
        person("una" + secondsAgo);
        Cookie session = signIn("una" + secondsAgo, "a long enough password")
                .andReturn()
                .getResponse()
                .getCookie("chervil_session");
        String id = new String(Base64.getDecoder().decode(session.getValue()), StandardCharsets.UTF_8);
        long before = Instant.now().minusSeconds(secondsAgo).toEpochMilli();
        jdbc.sql("update spring_session set last_access_time = ? where session_id = ?")
                .params(before, id)
                .update();

        mvc.perform(get("/api/tanks").cookie(session)).andExpect(status().isOk());

        long after = jdbc.sql("select last_access_time from spring_session where session_id = ?")
                .param(id)
                .query(Long.class)
                .single();
        assertThat(after > before).isEqualTo(again);
    }

    @Test
    void passwords_are_stored_hashed() {
        person("jon");

        assertThat(jdbc.sql("select password_hash from person where login = 'jon'")
                        .query(String.class)
                        .single())
                .startsWith("{bcrypt}$2");
    }

    @Test
    void after_five_failures_even_the_right_password_must_wait() throws Exception {
        person("karo");
        for (int i = 0; i < Throttle.MOST_OF_PAIR; i++) {
            signIn("karo", "wrong").andExpect(status().isUnauthorized());
        }

        signIn("karo", "a long enough password")
                .andExpect(status().isTooManyRequests())
                .andExpect(jsonPath("$.errors[0].code").value("too-many-attempts"));
    }

    @Test
    void a_request_without_the_csrf_token_is_refused() throws Exception {
        mvc.perform(post("/api/session").contentType(MediaType.APPLICATION_JSON).content("{}"))
                .andExpect(status().isForbidden());
    }

    @Test
    void every_answer_allows_only_our_own_origin() throws Exception {
        mvc.perform(get("/api/session"))
                .andExpect(header().string(
                                "Content-Security-Policy", org.hamcrest.Matchers.startsWith("default-src 'self';")))
                .andExpect(header().string("X-Content-Type-Options", "nosniff"))
                .andExpect(header().string("X-Frame-Options", "DENY"));
    }

    @Test
    void the_demo_doors_do_not_exist_outside_the_demo() throws Exception {
        mvc.perform(post("/api/demo-session/marit").with(csrf())).andExpect(status().isNotFound());
    }

    @Test
    void a_helper_may_work_but_not_delete_tanks_or_manage_people() throws Exception {
        SignedIn keeper = site.keeper();
        SignedIn helper = site.helperOf(keeper);
        long tank = site.tank(keeper);

        site.get(helper, "/api/tanks/" + tank).andExpect(status().isOk());
        site.delete(helper, "/api/tanks/" + tank).andExpect(status().isForbidden());
        site.delete(helper, "/api/accounts/" + keeper.accountId()).andExpect(status().isForbidden());
    }

    private void person(String login) {
        accounts.create("A site", new NewAccount(login, login, "a long enough password"), Role.KEEPER);
    }

    private static String person(String login, String password) {
        return """
            {"login": "%s", "name": "%s", "password": "%s"}""".formatted(login, login, password);
    }

    private ResultActions setUp(String given) throws Exception {
        return send("/api/setup", """
            {"code": "%s", "siteName": "Home", "keeper": %s}""".formatted(given, person("mo", "a long enough password")));
    }

    private ResultActions signIn(String login, String password) throws Exception {
        return send("/api/session", """
            {"login": "%s", "password": "%s"}""".formatted(login, password));
    }

    private ResultActions send(String path, String body) throws Exception {
        return mvc.perform(
                post(path).with(csrf()).contentType(MediaType.APPLICATION_JSON).content(body));
    }
}
