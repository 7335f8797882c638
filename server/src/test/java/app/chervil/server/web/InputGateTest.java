package app.chervil.server.web;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import app.chervil.server.table.Storable;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.MediaType;
import org.springframework.test.web.servlet.MockMvc;

/** What may not come in, whoever sends it. */
@ChervilTest
class InputGateTest {
    @Autowired
    TestSite site;

    @Autowired
    MockMvc mvc;

    SignedIn keeper;
    long tank;

    @BeforeEach
    void open() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
    }

    @Test
    void a_treatment_that_never_ends_is_refused_and_everything_still_answers() throws Exception {
        String endless = """
                {"product": "Salt", "firstDay": "2026-06-01", "lastDay": "+999999999-12-31"}""";

        site.post(keeper, "/api/tanks/" + tank + "/medications", endless)
                .andExpect(status().isBadRequest())
                .andExpect(jsonPath("$.errors[0].field").value("lastDay"));
        site.post(keeper, "/api/tanks/" + tank + "/medications", endless.replace("+999999999", "2099"))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("too-long"));

        for (String path : new String[] {"/api/rounds", "/api/plan", "/api/tanks/" + tank + "/water"}) {
            site.get(keeper, path).andExpect(status().isOk());
        }
    }

    @ParameterizedTest(name = "{0}")
    @CsvSource(
            delimiter = '|',
            value = {
                "PUT  | /api/plan/time/helpers      | {'keeperOnly': LIST}                          | keeperOnly",
                "PUT  | /api/plan/time/people/KEEPER| {'minutes': LIST}                             | minutes",
                "POST | /api/futures                | {'ways': LIST, 'futures': 20, 'partPrice': 1} | ways",
                "POST | /api/plan/decisions         | {'items': LIST, 'how': 'SKIP'}                | items",
            })
    void a_long_list_of_nothing_is_refused_before_it_is_looked_through(
            String method, String path, String body, String field) throws Exception {
        String list = "[" + "null,".repeat(7999) + "null]";

        site.send(
                        keeper,
                        org.springframework.http.HttpMethod.valueOf(method),
                        path.replace("KEEPER", "" + keeper.accountId()),
                        body.replace('\'', '"').replace("LIST", list))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors.length()").value(1))
                .andExpect(jsonPath("$.errors[0].field").value(field + "[0]"));
    }

    @Test
    void a_list_longer_than_any_is_refused_at_its_field() throws Exception {
        String body = "{\"keeperOnly\": [" + "\"OPEN\",".repeat(1000) + "\"OPEN\"]}";

        site.put(keeper, "/api/plan/time/helpers", body)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("too-many"));
    }

    @Test
    void a_body_of_over_a_megabyte_is_refused_unread_and_unsigned() throws Exception {
        byte[] body = new byte[60_000_000];

        mvc.perform(post("/api/session")
                        .with(csrf())
                        .contentType(MediaType.APPLICATION_JSON)
                        .content(body))
                .andExpect(status().is(413))
                .andExpect(jsonPath("$.code").value("too-large"));
    }

    @Test
    void a_parameter_of_ones_own_is_kept() throws Exception {
        site.post(keeper, "/api/parameters", "{\"name\": \"Iodide\", \"unit\": \"mg/L\"}")
                .andExpect(status().isCreated())
                .andExpect(jsonPath("$.label").value("Iodide"));

        site.get(keeper, "/api/parameters")
                .andExpect(jsonPath("$[?(@.label == 'Iodide')].unit").value("mg/L"));
    }

    @ParameterizedTest(name = "{0} at {1}")
    @CsvSource(
            delimiter = '|',
            value = {
                "\"name\": \"Brook\"       | name             | \"name\": \"Br\\u0000ok\"  | 422",
                "\"name\": \"Brook\"       | name             | \"name\": \"Br\\ud800ok\"  | 422",
                "220                       | netVolumeL       | 1e308                      | 422",
                "\"water\": \"FRESH\"      | setting.water    | \"water\": 0               | 400",
                "\"2024-01-01\"            | establishedOn    | \"2101-01-01\"             | 400",
                "\"2024-01-01\"            | establishedOn    | \"1949-12-31\"             | 400",
            })
    void values_of_no_world_are_refused_at_their_field(String from, String field, String to, int status)
            throws Exception {
        site.post(keeper, "/api/tanks", TestSite.TANK.replace(from, to))
                .andExpect(status().is(status))
                .andExpect(jsonPath("$.errors[0].field").value(field));
    }

    @Test
    void an_address_with_control_characters_is_refused() throws Exception {
        mvc.perform(post(java.net.URI.create("/api/session?search=%00")).with(csrf()))
                .andExpect(status().isBadRequest());
        assertThat(Storable.is("Ålgräs 水族館 🐠")).isTrue();
    }
}
