package app.chervil.server.account;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import java.nio.file.Files;
import java.nio.file.Path;
import java.util.ArrayList;
import java.util.List;
import java.util.Map;
import java.util.Set;
import java.util.TreeSet;
import java.util.UUID;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.mock.web.MockHttpServletResponse;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** The table of rights against the API document, walked as each kind of person. */
@ChervilTest
class RightsTest {
    private static final String NOBODYS = "00000000-0000-0000-0000-0000000000ff";

    @Autowired
    TestSite site;

    private SignedIn keeper;
    private SignedIn helper;
    private SignedIn viewer;

    @BeforeEach
    void people() {
        keeper = site.keeper();
        helper = site.personOf(keeper, Role.HELPER);
        viewer = site.personOf(keeper, Role.VIEWER);
    }

    @Test
    void every_operation_has_its_line_and_every_line_its_operation() throws Exception {
        Set<String> described = new TreeSet<>();
        JsonNode paths = JsonMapper.builder()
                .build()
                .readTree(Files.readString(Path.of("openapi.json")))
                .get("paths");
        for (Map.Entry<String, JsonNode> path : paths.properties()) {
            path.getValue()
                    .properties()
                    .forEach(one -> described.add(one.getKey().toUpperCase() + ' ' + path.getKey()));
        }
        described.removeIf(one -> !one.contains(" /api/"));

        Set<String> lines = new TreeSet<>();
        RightsTable.ALL.forEach(right -> lines.add(right.key()));
        assertThat(lines).isEqualTo(described).hasSizeGreaterThan(170);
    }

    @Test
    void nothing_that_is_changed_goes_unnoted_but_steps_and_sums() {
        assertThat(RightsTable.ALL)
                .filteredOn(right -> !right.method().equals("GET") && right.least() == Right.Least.KEEPER)
                .filteredOn(right -> right.deed().isEmpty())
                .extracting(Right::key)
                .containsExactlyInAnyOrder(
                        "POST /api/archive/preview",
                        "POST /api/tanks/{tank}/readings/import-preview",
                        "POST /api/tanks/{tank}/notebook/key",
                        "POST /api/tanks/{tank}/notebook/preview");
    }

    /** Bodies are empty and ids are nobody's: who may, is told of that; who may not, is told so before. */
    @Test
    void each_role_passes_where_its_line_says_and_nowhere_else() throws Exception {
        List<String> wrong = new ArrayList<>();
        for (Right right : RightsTable.ALL) {
            if (right.least() == Right.Least.ANYBODY || right.key().equals("DELETE /api/own/place")) {
                continue;
            }
            expect(wrong, right, keeper, true);
            expect(
                    wrong,
                    right,
                    helper,
                    Set.of("PERSON", "VIEWER", "HELPER").contains(right.least().name()));
            expect(
                    wrong,
                    right,
                    viewer,
                    Set.of("PERSON", "VIEWER").contains(right.least().name()));
        }

        assertThat(wrong).isEmpty();
    }

    private void expect(List<String> wrong, Right right, SignedIn who, boolean passes) throws Exception {
        String path = right.path()
                .replaceAll("\\{[a-z]*(?:service|photo|guided|look|pause|future|id|followUp|other)}", NOBODYS)
                .replaceAll("\\{[a-zA-Z]+}", "987654321");
        MockHttpServletResponse answer = site.send(who, HttpMethod.valueOf(right.method()), path, "")
                .andReturn()
                .getResponse();
        boolean refused = answer.getStatus() == 403;
        boolean problem =
                answer.getStatus() < 400 || answer.getContentAsString().contains("\"code\"");
        if (refused == passes || answer.getStatus() >= 500 || !problem) {
            wrong.add(who.role() + " " + right.key() + " " + answer.getStatus() + ' ' + answer.getContentAsString());
        }
    }

    @Test
    void nobody_is_told_to_sign_in_and_an_unknown_address_is_no_secret() throws Exception {
        site.nobody(HttpMethod.GET, "/api/tanks")
                .andExpect(status().isUnauthorized())
                .andExpect(jsonPath("$.code").value("not-signed-in"));
        site.get(viewer, "/api/nothing-of-the-kind")
                .andExpect(status().isNotFound())
                .andExpect(jsonPath("$.code").value("no-such-operation"));
        site.send(keeper, HttpMethod.PATCH, "/api/tanks/1", "").andExpect(status().isNotFound());
    }

    @Test
    void a_path_that_is_written_oddly_opens_nothing() throws Exception {
        for (String odd :
                List.of("/api//tanks", "/api/tanks/", "/api/./tanks", "/api/tanks;a=b", "/API/tanks", "/api/%74anks")) {
            assertThat(site.send(viewer, HttpMethod.POST, odd, TestSite.TANK)
                            .andReturn()
                            .getResponse()
                            .getStatus())
                    .as(odd)
                    .isBetween(400, 405);
        }
        assertThat(site.read(site.get(keeper, "/api/tanks"))).isEmpty();
    }

    @Test
    void a_helper_corrects_what_they_logged_and_not_what_others_did() throws Exception {
        long tank = site.tank(keeper);
        JsonNode weir = site.canister(keeper, tank, "Weir", "2026-03-01");
        String body = """
            {"tankId": %d, "doneOn": "2026-05-30", "doneBy": "Ben", "minutes": 6, "note": "",
             "tasks": [{"taskId": %d, "finding": "LIGHT"}], "flows": []}""".formatted(tank, TestSite.task(weir, "Rinse the pre-filter"));
        UUID own = UUID.randomUUID();
        UUID others = UUID.randomUUID();
        site.put(helper, "/api/services/" + own, body).andExpect(status().is2xxSuccessful());
        site.put(keeper, "/api/services/" + others, body).andExpect(status().is2xxSuccessful());

        site.delete(helper, "/api/services/" + others)
                .andExpect(status().isForbidden())
                .andExpect(jsonPath("$.detail").value("Only who wrote this, or a keeper, may do that."));
        site.delete(helper, "/api/services/" + own).andExpect(status().is2xxSuccessful());
        site.delete(keeper, "/api/services/" + others).andExpect(status().is2xxSuccessful());
    }

    @Test
    void what_was_done_is_kept_with_who_did_it_and_what_was_refused_is_not() throws Exception {
        long tank = site.tank(keeper);
        site.put(helper, "/api/tanks/" + tank, "{}").andExpect(status().isForbidden());
        site.put(keeper, "/api/tanks/" + tank, "{}").andExpect(status().is4xxClientError());
        site.delete(keeper, "/api/tanks/" + tank).andExpect(status().isNoContent());

        assertThat(site.read(site.get(keeper, "/api/deeds")).valueStream().map(deed -> deed.get("words")
                        .asString()))
                .containsExactly("deleted a tank", "added a tank");
        site.get(keeper, "/api/deeds")
                .andExpect(jsonPath("$[0].thing").value("tank"))
                .andExpect(jsonPath("$[0].subject").value("" + tank))
                .andExpect(jsonPath("$[0].name").value(keeper.name()));
        site.get(site.keeper(), "/api/deeds").andExpect(jsonPath("$").isEmpty());
    }
}
