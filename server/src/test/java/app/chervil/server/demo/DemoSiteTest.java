package app.chervil.server.demo;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.security.test.web.servlet.request.SecurityMockMvcRequestPostProcessors.csrf;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.get;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import jakarta.servlet.http.Cookie;
import java.nio.charset.StandardCharsets;
import java.nio.file.Files;
import java.nio.file.Path;
import java.time.LocalDate;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.test.context.TestPropertySource;
import org.springframework.test.web.servlet.MockMvc;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.SerializationFeature;
import tools.jackson.databind.json.JsonMapper;
import tools.jackson.databind.node.ObjectNode;

@ChervilTest
@TestPropertySource(properties = {"chervil.demo=true", "springdoc.api-docs.enabled=true"})
class DemoSiteTest {
    private static final Path DOCUMENT = Path.of("openapi.json");
    private static final Path VOCABULARY = Path.of("vocabulary.json");
    private static final Path SUMS = Path.of("sums.json");
    private static final Path TROUBLE = Path.of("trouble.json");
    private static final LocalDate TODAY = LocalDate.of(2026, 6, 1);
    private static final String TO_WRITE = "chervil.write-openapi";

    @Autowired
    MockMvc mvc;

    @Autowired
    TestSite site;

    private final JsonMapper json = JsonMapper.builder()
            .enable(SerializationFeature.INDENT_OUTPUT)
            .enable(SerializationFeature.ORDER_MAP_ENTRIES_BY_KEYS)
            .build();

    @Test
    void its_two_invented_people_come_in_by_a_button() throws Exception {
        mvc.perform(get("/api/session"))
                .andExpect(jsonPath("$.demoAccounts[0].login").value("marit"))
                .andExpect(jsonPath("$.demoAccounts[1].role").value("HELPER"));
        assertThat(door("osei")).isNotNull();
    }

    @Test
    void on_the_day_it_is_loaded_the_sock_is_two_days_late_and_the_prefilter_due() throws Exception {
        String late = "$.visits[?(@.tank.name == 'Rock pool')]";
        String due = "$.visits[?(@.tank.name == 'Brook bench')]";

        mvc.perform(get("/api/rounds").cookie(door("marit")))
                .andExpect(jsonPath(late + ".effort.daysLate").value(2))
                .andExpect(jsonPath(due + ".standing").value("DUE"))
                .andExpect(jsonPath(due + ".errands[0].name").value("Rinse the pre-filter"));
    }

    @Test
    void every_situation_of_the_story_is_there() throws Exception {
        new DemoStory(this::read, TODAY).holds();
    }

    @Test
    void brook_bench_learned_to_open_its_canister_after_about_150_days_and_is_due_its_pre_filter() throws Exception {
        new DemoStory(this::read, TODAY).brookBenchIsDueItsPreFilter();
    }

    /** Write it anew with {@code -Dchervil.write-openapi=true}. */
    @Test
    void the_committed_api_document_is_the_one_served() throws Exception {
        String served =
                mvc.perform(get("/v3/api-docs")).andReturn().getResponse().getContentAsString(StandardCharsets.UTF_8);
        ObjectNode document = (ObjectNode) json.readTree(served);
        document.remove("servers");
        if (Boolean.getBoolean(TO_WRITE)) {
            Files.writeString(DOCUMENT, json.writeValueAsString(json.treeToValue(document, Object.class)) + "\n");
        }

        JsonNode committed = json.readTree(DOCUMENT);

        assertThat((JsonNode) document).isEqualTo(committed);
    }

    /** The front end is built with it. Written anew likewise. */
    @Test
    void the_committed_vocabulary_is_the_one_served() throws Exception {
        JsonNode served = read("/api/vocabulary");
        if (Boolean.getBoolean(TO_WRITE)) {
            Files.writeString(VOCABULARY, json.writeValueAsString(json.treeToValue(served, Object.class)) + "\n");
        }

        assertThat(served).isEqualTo(json.readTree(VOCABULARY));
    }

    /** The front end is tested with it. Written anew likewise. */
    @Test
    void the_committed_sums_are_those_served() throws Exception {
        JsonNode served = read("/api/sums");
        if (Boolean.getBoolean(TO_WRITE)) {
            Files.writeString(SUMS, json.writeValueAsString(json.treeToValue(served, Object.class)) + "\n");
        }

        assertThat(served).isEqualTo(json.readTree(SUMS));
    }

    @Test
    void the_committed_trouble_network_is_the_one_served() throws Exception {
        JsonNode served = read("/api/trouble-network");
        if (Boolean.getBoolean(TO_WRITE)) {
            Files.writeString(TROUBLE, served + "\n");
        }

        assertThat(served).isEqualTo(json.readTree(TROUBLE));
    }

    @Test
    void its_archive_comes_whole_into_another_site_and_asks_for_the_same_on_the_same_days() throws Exception {
        byte[] archive = mvc.perform(get("/api/archive.zip").cookie(door("marit")))
                .andReturn()
                .getResponse()
                .getContentAsByteArray();
        SignedIn other = site.keeper();

        JsonNode brought = site.read(site.sendFile(
                other,
                HttpMethod.POST,
                "/api/archive?stores=true",
                MediaType.parseMediaType("application/zip"),
                archive));

        assertThat(brought.get("faults").valueStream()).isEmpty();
        assertThat(due(site.read(site.get(other, "/api/forecasts")))).isEqualTo(due(read("/api/forecasts")));
        assertThat(site.read(site.get(other, "/api/stores")).get("items").size())
                .isEqualTo(read("/api/stores").get("items").size());
        assertThat(site.read(site.get(other, "/api/services")).get("total"))
                .isEqualTo(read("/api/services").get("total"));
    }

    private static List<String> due(JsonNode forecasts) {
        return forecasts
                .valueStream()
                .map(one -> one.get("subject").get("name").asString() + " " + one.get("window") + one.get("reasons"))
                .sorted()
                .toList();
    }

    private JsonNode read(String path) throws Exception {
        return json.readTree(mvc.perform(get(path).cookie(door("marit")))
                .andReturn()
                .getResponse()
                .getContentAsByteArray());
    }

    private Cookie door(String login) throws Exception {
        return mvc.perform(post("/api/demo-session/" + login).with(csrf()))
                .andReturn()
                .getResponse()
                .getCookie("chervil_session");
    }
}
