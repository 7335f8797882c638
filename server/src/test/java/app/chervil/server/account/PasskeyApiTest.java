package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.assertj.core.api.Assertions.assertThatThrownBy;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.PasskeyMapper.PasskeyRow;
import app.chervil.server.account.PasskeyOperations.Reached;
import app.chervil.server.problem.Rejected;
import java.nio.charset.StandardCharsets;
import java.time.Instant;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.ValueSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.security.web.webauthn.api.Bytes;
import tools.jackson.databind.JsonNode;

/** What surrounds a passkey; that one opens the door is seen in a browser, by the journey of passkeys. */
@ChervilTest
class PasskeyApiTest {
    private static final String PASSWORD = "{\"password\": \"a long enough password\"}";
    private static final Reached HERE = new Reached("localhost", "http://localhost");

    @Autowired
    TestSite site;

    @Autowired
    PasskeyOperations operations;

    @Autowired
    PasskeyMapper mapper;

    @Autowired
    JdbcTemplate database;

    private SignedIn ada;
    private String login;

    @BeforeEach
    void somebody() {
        ada = site.keeper();
        login = login(ada);
    }

    private String login(SignedIn who) {
        return database.queryForObject(
                "select login from account where site_id = ? and id = ?", String.class, who.siteId(), who.accountId());
    }

    private Bytes kept(SignedIn who, String server) {
        String name = login(who);
        Bytes id = Bytes.random();
        byte[] some = name.getBytes(StandardCharsets.UTF_8);
        mapper.save(new PasskeyRow(
                id.getBytes(),
                name,
                mapper.handle(name).orElseThrow(),
                "Phone",
                server,
                some,
                3,
                true,
                true,
                some,
                some,
                Instant.parse("2026-05-01T10:00:00Z"),
                null));
        return id;
    }

    @Test
    void a_device_is_asked_to_make_sure_of_its_person_and_to_keep_who_they_are() throws Exception {
        JsonNode asked =
                site.read(site.post(ada, "/api/own/passkeys/options", PASSWORD).andExpect(status().isOk()));

        assertThat(asked.get("rp").get("id").asString()).isEqualTo("localhost");
        assertThat(asked.get("user").get("name").asString()).isEqualTo(login);
        assertThat(asked.get("authenticatorSelection").get("userVerification").asString())
                .isEqualTo("required");
        assertThat(asked.get("authenticatorSelection").get("residentKey").asString())
                .isEqualTo("required");
        assertThat(asked.get("challenge").asString()).hasSizeGreaterThan(40);
    }

    @Test
    void nobody_adds_one_at_a_screen_left_open() throws Exception {
        site.post(ada, "/api/own/passkeys/options", "{\"password\": \"a guess at it\"}")
                .andExpect(status().isUnauthorized())
                .andExpect(jsonPath("$.errors[0].field").value("password"));
    }

    @ParameterizedTest
    @ValueSource(strings = {"192.168.1.20", "::1", "[fd00::1]"})
    void a_number_is_no_name_to_bind_one_to(String number) {
        assertThatThrownBy(() -> operations.ask(new Reached(number, "https://" + number)))
                .isInstanceOf(Rejected.class)
                .hasMessageContaining("bound to a name");
    }

    @Test
    void an_answer_that_nobody_asked_for_opens_nothing() throws Exception {
        site.nobody(HttpMethod.POST, "/api/passkey-options").andExpect(status().isOk());
        for (String credential : new String[] {"{}", "{\"id\": \"x\", \"rawId\": \"x\", \"type\": \"public-key\"}"}) {
            site.post(ada, "/api/passkey-session", "{\"credential\": " + credential + "}")
                    .andExpect(status().isUnauthorized())
                    .andExpect(jsonPath("$.errors[0].code").value("not-proven"));
            site.post(ada, "/api/own/passkeys", "{\"label\": \"Phone\", \"credential\": " + credential + "}")
                    .andExpect(status().isUnauthorized());
        }
        assertThat(mapper.list(login)).isEmpty();
    }

    @Test
    void a_person_sees_and_removes_their_own_alone() throws Exception {
        SignedIn other = site.keeper();
        Bytes mine = kept(ada, "localhost");
        Bytes theirs = kept(other, "localhost");

        site.get(ada, "/api/own/passkeys")
                .andExpect(jsonPath("$.length()").value(1))
                .andExpect(jsonPath("$[0].id").value(mine.toBase64UrlString()))
                .andExpect(jsonPath("$[0].publicKey").doesNotExist());
        site.delete(ada, "/api/own/passkeys/" + theirs.toBase64UrlString()).andExpect(status().isNotFound());
        site.delete(ada, "/api/own/passkeys/" + mine.toBase64UrlString()).andExpect(status().isNoContent());
        site.delete(ada, "/api/own/passkeys/not-one-at-all!").andExpect(status().isNotFound());

        assertThat(mapper.list(login)).isEmpty();
        assertThat(mapper.list(login(other))).hasSize(1);
    }

    @Test
    void one_of_another_server_name_is_not_found_here() {
        Bytes elsewhere = kept(ada, "tanks.example.org");
        Bytes here = kept(ada, "localhost");
        StoredPasskeys stored = new StoredPasskeys(mapper, HERE.name());

        assertThat(stored.findByCredentialId(elsewhere)).isNull();
        assertThat(stored.findByCredentialId(here)).isNotNull();
        assertThat(stored.findByUserId(stored.findByUsername(login).getId())).hasSize(1);
    }

    @Test
    void what_is_kept_under_an_id_is_never_another_persons_afterwards() {
        Bytes mine = kept(ada, "localhost");
        SignedIn other = site.keeper();
        UUID handle = mapper.handle(login(other)).orElseThrow();
        byte[] none = new byte[1];

        mapper.save(new PasskeyRow(
                mine.getBytes(),
                login(other),
                handle,
                "Thief",
                "localhost",
                none,
                9,
                true,
                true,
                none,
                none,
                Instant.EPOCH,
                null));

        assertThat(mapper.find(mine.getBytes()).orElseThrow().login()).isEqualTo(login);
        assertThat(mapper.find(mine.getBytes()).orElseThrow().signatureCount()).isEqualTo(3);
    }
}
