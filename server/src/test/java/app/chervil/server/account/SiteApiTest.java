package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import jakarta.servlet.http.Cookie;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.simple.JdbcClient;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import org.springframework.test.web.servlet.request.MockHttpServletRequestBuilder;

/** People who come, go over, forget and leave, each with the cookie of their own browser. */
@ChervilTest
class SiteApiTest {
    private static final String PASSWORD = "a long enough password";

    @Autowired
    MockMvc mvc;

    @Autowired
    AccountOperations accounts;

    @Autowired
    TestSite site;

    @Autowired
    SiteOperations sites;

    @Autowired
    JdbcClient jdbc;

    private static int browsers;

    private final String ada = name("ada");
    private SignedIn keeper;
    private Browser desk;

    @BeforeEach
    void keeperAtHerDesk() throws Exception {
        keeper = accounts.create("Tern House", new NewAccount(ada, "Ada", PASSWORD), Role.KEEPER);
        desk = new Browser();
        desk.signIn(ada, PASSWORD).andExpect(status().isOk());
    }

    private static String name(String what) {
        return what + UUID.randomUUID().toString().substring(0, 8);
    }

    @Test
    void an_invitation_shows_where_it_leads_and_lets_one_person_in() throws Exception {
        String code = invite("VIEWER");
        String vet = name("vet");
        Browser first = new Browser();
        first.post("/api/invitation-look", "{\"code\": \"%s\"}".formatted(code))
                .andExpect(jsonPath("$.siteName").value("Tern House"))
                .andExpect(jsonPath("$.role").value("VIEWER"))
                .andExpect(jsonPath("$.madeBy").value("Ada"));

        first.post("/api/joining", joining(code, vet, "password"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("person.password"));
        first.post("/api/joining", joining(code, ada, PASSWORD))
                .andExpect(jsonPath("$.errors[0].field").value("person.login"));
        first.post("/api/joining", joining(code, vet, PASSWORD))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.role").value("VIEWER"))
                .andExpect(jsonPath("$.siteName").value("Tern House"));
        first.get("/api/tanks").andExpect(status().isOk());
        first.post("/api/tanks", TestSite.TANK)
                .andExpect(status().isForbidden())
                .andExpect(jsonPath("$.code").value("keeper-only"));

        new Browser()
                .post("/api/joining", joining(code, name("second"), PASSWORD))
                .andExpect(status().isUnauthorized())
                .andExpect(jsonPath("$.code").value("no-such-code"));
    }

    @Test
    void one_that_was_taken_back_or_is_over_lets_nobody_in() throws Exception {
        String back = invite("HELPER");
        String mark = site.read(desk.get("/api/invitations")).get(0).get("mark").asString();
        desk.delete("/api/invitations/" + mark).andExpect(status().isNoContent());
        desk.get("/api/invitations").andExpect(jsonPath("$").isEmpty());
        String late = invite("HELPER");
        jdbc.sql("update pass set expires_at = made_at").update();

        for (String code : new String[] {back, late}) {
            new Browser()
                    .post("/api/joining", joining(code, name("eve"), PASSWORD))
                    .andExpect(jsonPath("$.code").value("no-such-code"));
        }
    }

    @Test
    void who_guesses_codes_is_held_up() throws Exception {
        Browser guessing = new Browser("203.0.113.9");
        for (int i = 0; i < Throttle.MOST_OF_PAIR; i++) {
            guessing.post("/api/invitation-look", "{\"code\": \"guess%d\"}".formatted(i))
                    .andExpect(status().isUnauthorized());
        }

        guessing.post("/api/invitation-look", "{\"code\": \"%s\"}".formatted(invite("HELPER")))
                .andExpect(status().isTooManyRequests());
    }

    @Test
    void a_person_keeps_two_sites_and_goes_from_one_to_the_other() throws Exception {
        desk.post("/api/own/sites", "{\"name\": \"Club tanks\"}").andExpect(status().isNoContent());
        desk.get("/api/session")
                .andExpect(jsonPath("$.siteName").value("Club tanks"))
                .andExpect(jsonPath("$.places.length()").value(2));
        desk.post("/api/tanks", TestSite.TANK).andExpect(status().isCreated());
        desk.put("/api/session/site", "{\"siteId\": %d}".formatted(keeper.siteId()))
                .andExpect(jsonPath("$.siteName").value("Tern House"));

        desk.get("/api/tanks").andExpect(jsonPath("$").isEmpty());
        desk.put("/api/session/site", "{\"siteId\": %d}".formatted(site.keeper().siteId()))
                .andExpect(status().isNotFound());
    }

    @Test
    void somebody_who_is_known_joins_another_site_as_themselves() throws Exception {
        String ben = name("ben");
        new Browser().post("/api/joining", joining(invite("HELPER"), ben, PASSWORD));
        SignedIn other = accounts.create("Club", new NewAccount(name("cleo"), "Cleo", PASSWORD), Role.KEEPER);
        String code = site.read(site.post(other, "/api/invitations", "{\"role\": \"KEEPER\", \"note\": \"Ben\"}"))
                .get("code")
                .asString();
        Browser bens = new Browser();
        bens.signIn(ben, PASSWORD);

        bens.post("/api/joining", "{\"code\": \"%s\"}".formatted(code))
                .andExpect(jsonPath("$.siteName").value("Club"))
                .andExpect(jsonPath("$.role").value("KEEPER"))
                .andExpect(jsonPath("$.places.length()").value(2));
        bens.delete("/api/own/place").andExpect(status().isNoContent());
        bens.get("/api/session").andExpect(jsonPath("$.siteName").value("Tern House"));
    }

    @Test
    void a_forgotten_password_is_chosen_anew_by_a_code_and_every_session_ends() throws Exception {
        String ben = name("ben");
        Browser phone = new Browser();
        phone.post("/api/joining", joining(invite("HELPER"), ben, PASSWORD));
        long id = account(ben);
        String first = site.read(desk.post("/api/accounts/" + id + "/recovery", ""))
                .get("code")
                .asString();
        String code = site.read(desk.post("/api/accounts/" + id + "/recovery", ""))
                .get("code")
                .asString();

        Browser laptop = new Browser();
        laptop.post("/api/recovery", recovery(first, "reed mossy kettle"))
                .andExpect(jsonPath("$.code").value("no-such-code"));
        laptop.post("/api/recovery", recovery(code, "aaaaaaaaaa"))
                .andExpect(jsonPath("$.errors[0].field").value("password"));
        laptop.post("/api/recovery", recovery(code.toUpperCase().replaceAll("(.{5})", "$1-"), "reed mossy kettle"))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.name").value(ben));
        laptop.post("/api/recovery", recovery(code, "reed mossy kettle"))
                .andExpect(jsonPath("$.code").value("no-such-code"));

        phone.get("/api/tanks").andExpect(status().isUnauthorized());
        new Browser().signIn(ben, PASSWORD).andExpect(status().isUnauthorized());
        new Browser().signIn(ben, "reed mossy kettle").andExpect(status().isOk());
    }

    @Test
    void a_code_for_somebody_who_is_on_other_sites_too_is_not_a_keepers_to_make() throws Exception {
        String ben = name("ben");
        Browser bens = new Browser();
        bens.post("/api/joining", joining(invite("HELPER"), ben, PASSWORD));
        bens.post("/api/own/sites", "{\"name\": \"Bens\"}").andExpect(status().isNoContent());

        desk.post("/api/accounts/" + account(ben) + "/recovery", "")
                .andExpect(jsonPath("$.code").value("also-elsewhere"));
    }

    @Test
    void a_new_password_needs_the_present_one_and_ends_what_was_open_elsewhere() throws Exception {
        Browser phone = new Browser("192.0.2.7");
        phone.signIn(ada, PASSWORD);
        desk.put("/api/own/password", "{\"present\": \"not it\", \"wanted\": \"reed mossy kettle\"}")
                .andExpect(jsonPath("$.errors[0].field").value("present"));

        desk.put("/api/own/password", "{\"present\": \"%s\", \"wanted\": \"reed mossy kettle\"}".formatted(PASSWORD))
                .andExpect(status().isNoContent());

        phone.get("/api/tanks").andExpect(status().isUnauthorized());
        desk.get("/api/tanks").andExpect(status().isOk());
    }

    @Test
    void guessing_the_present_password_at_a_screen_left_open_is_held_up_as_at_the_door() throws Exception {
        for (int guess = 0; guess < 12; guess++) {
            desk.put(
                    "/api/own/password",
                    "{\"present\": \"guess %d\", \"wanted\": \"reed mossy kettle\"}".formatted(guess));
        }

        desk.put("/api/own/password", "{\"present\": \"%s\", \"wanted\": \"reed mossy kettle\"}".formatted(PASSWORD))
                .andExpect(status().isTooManyRequests());
    }

    @Test
    void a_person_sees_where_they_are_signed_in_and_ends_it() throws Exception {
        Browser phone = new Browser("192.0.2.7");
        phone.agent = "Something (Linux; Mobile)";
        phone.signIn(ada, PASSWORD);

        var sessions = site.read(desk.get("/api/own/sessions"));
        assertThat(sessions).hasSize(2);
        var theirs = sessions.valueStream()
                .filter(one -> !one.get("here").asBoolean())
                .findFirst()
                .orElseThrow();
        assertThat(theirs.get("device").asString()).isEqualTo("a phone");
        assertThat(theirs.get("address").asString()).isEqualTo("192.0.2.7");
        desk.delete("/api/own/sessions/" + theirs.get("mark").asString()).andExpect(status().isNoContent());

        phone.get("/api/tanks").andExpect(status().isUnauthorized());
        desk.delete("/api/own/sessions/0123456789abcdef").andExpect(status().isNotFound());
    }

    @Test
    void a_deleted_site_is_shut_at_once_and_comes_back_within_thirty_days() throws Exception {
        String ben = name("ben");
        Browser bens = new Browser();
        bens.post("/api/joining", joining(invite("HELPER"), ben, PASSWORD));
        desk.post("/api/site/deletion", "{\"name\": \"Fern House\"}")
                .andExpect(jsonPath("$.errors[0].code").value("not-its-name"));
        desk.post("/api/site/deletion", "{\"name\": \"Tern House\"}").andExpect(status().isNoContent());

        bens.get("/api/tanks").andExpect(status().isUnauthorized());
        new Browser().signIn(ben, PASSWORD).andExpect(jsonPath("$.code").value("no-site"));
        Browser again = new Browser();
        again.signIn(ada, PASSWORD).andExpect(jsonPath("$.places[0].deletedAt").exists());
        again.post("/api/own/sites/" + keeper.siteId() + "/return", "").andExpect(status().isNoContent());
        new Browser().signIn(ben, PASSWORD).andExpect(status().isOk());
    }

    @Test
    void after_thirty_days_everything_of_it_is_gone_and_nothing_of_others() throws Exception {
        SignedIn other = site.keeper();
        site.canister(other, site.tank(other), "Stays", "2026-03-01");
        site.canister(keeper, site.tank(keeper), "Weir", "2026-03-01");
        desk.post("/api/site/deletion", "{\"name\": \"Tern House\"}").andExpect(status().isNoContent());
        assertThat(sites.forgetOverdue()).isZero();
        jdbc.sql("update site set deleted_at = deleted_at - interval '31 days' where id = ?")
                .param(keeper.siteId())
                .update();

        desk.post("/api/own/sites/" + keeper.siteId() + "/return", "").andExpect(status().isNotFound());
        assertThat(sites.forgetOverdue()).isEqualTo(1);

        assertThat(jdbc.sql("""
                        select table_name::text from information_schema.columns
                        where table_schema = 'public' and column_name = 'site_id'""").query(String.class).list())
                .hasSizeGreaterThan(40)
                .allSatisfy(table -> assertThat(jdbc.sql("select count(*) from " + table + " where site_id = ?")
                                .param(keeper.siteId())
                                .query(Long.class)
                                .single())
                        .as(table)
                        .isZero());
        site.get(other, "/api/filters").andExpect(jsonPath("$[0].name").value("Stays"));
        new Browser().signIn(ada, PASSWORD).andExpect(jsonPath("$.code").value("sign-in-failed"));
    }

    private long account(String login) throws Exception {
        return site.read(desk.get("/api/accounts"))
                .valueStream()
                .filter(one -> one.get("login").asString().equals(login))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    private String invite(String role) throws Exception {
        return site.read(desk.post("/api/invitations", "{\"role\": \"%s\", \"note\": \"\"}".formatted(role)))
                .get("code")
                .asString();
    }

    private static String joining(String code, String login, String password) {
        return """
            {"code": "%s", "person": {"login": "%s", "name": "%s", "password": "%s"}}""".formatted(code, login, login, password);
    }

    private static String recovery(String code, String password) {
        return "{\"code\": \"%s\", \"password\": \"%s\"}".formatted(code, password);
    }

    /** One browser: it keeps its cookie, and comes from one address. */
    private final class Browser {
        private final String address;
        private String agent = "Something (X11)";
        private Cookie session;

        Browser() {
            this("198.51.100." + ++browsers);
        }

        Browser(String address) {
            this.address = address;
        }

        ResultActions signIn(String login, String password) throws Exception {
            return post("/api/session", "{\"login\": \"%s\", \"password\": \"%s\"}".formatted(login, password));
        }

        ResultActions get(String path) throws Exception {
            return send(HttpMethod.GET, path, "");
        }

        ResultActions post(String path, String body) throws Exception {
            return send(HttpMethod.POST, path, body);
        }

        ResultActions put(String path, String body) throws Exception {
            return send(HttpMethod.PUT, path, body);
        }

        ResultActions delete(String path) throws Exception {
            return send(HttpMethod.DELETE, path, "");
        }

        private ResultActions send(HttpMethod method, String path, String body) throws Exception {
            MockHttpServletRequestBuilder asked = request(method, path)
                    .with(csrf())
                    .with(one -> {
                        one.setRemoteAddr(address);
                        one.setSecure(true);
                        return one;
                    })
                    .header("User-Agent", agent)
                    .contentType(MediaType.APPLICATION_JSON)
                    .content(body);
            ResultActions answer = mvc.perform(session == null ? asked : asked.cookie(session));
            Cookie given = answer.andReturn().getResponse().getCookie("chervil_session");
            if (given != null) {
                session = given;
            }
            return answer;
        }
    }
}
