package app.chervil.server.archive;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.account.Role;
import java.nio.charset.StandardCharsets;
import java.util.List;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.junit.jupiter.params.provider.ValueSource;
import tools.jackson.databind.JsonNode;

/** Archives at fault, and what is said of them. */
@ChervilTest
class BringingFaultsApiTest extends BroughtTank {
    @ParameterizedTest
    @CsvSource({
        "service, done_on, '\"2026-05-12\"', '\"soon\"', It must be a date.",
        "service, done_on, '\"2026-05-12\"', '\"0001-05-12\"', This day is too far from today.",
        "service, minutes, 6, '\"six\"', It must be a whole number.",
        "service, note, '\"\"', null, It must not be empty.",
        "service_task, finding, '\"HEAVY\"', '\"FILTHY\"', “FILTHY” is not known here.",
        "service, filter_off_minutes, null, -5, A value is out of range (service_off_not_negative)."
    })
    void a_row_at_fault_is_named_and_stays_out_with_what_belongs_to_it(
            String table, String column, String was, String is, String words) throws Exception {
        String file = "tables/" + table + ".jsonl";
        byte[] archive = with(
                archive(giver, ""),
                file,
                text -> text.replaceFirst("\"" + column + "\": " + was, "\"" + column + "\": " + is));

        JsonNode view = bring(taker, "", archive);

        JsonNode fault = view.get("faults").get(0);
        assertThat(fault.get("file").asString()).isEqualTo(file);
        assertThat(fault.get("words").asString()).isEqualTo(words);
        assertThat(fault.get("line").asInt()).isPositive();
        assertThat(count(view, "SERVICE_TASK")[0]).isEqualTo(7);
        assertThat(view.get("faultCount").asInt()).isEqualTo(count(view, "SERVICE")[0] == 7 ? faultsOf(view) : 1);
    }

    /** Of the service, its task, and its photo if it had one. */
    private static int faultsOf(JsonNode view) {
        return 2 + 1 - count(view, "PHOTO")[0];
    }

    @ParameterizedTest
    @ValueSource(strings = {"tank", "filter", "stage", "service", "reading"})
    void a_row_without_its_id_is_named_as_well(String table) throws Exception {
        String file = "tables/" + table + ".jsonl";
        byte[] archive = with(archive(giver, ""), file, text -> text.replaceFirst("\"id\": [^,]+, ", ""));

        JsonNode view = site.read(send(taker, "/api/archive/preview", archive).andExpect(status().isOk()));

        JsonNode fault = view.get("faults").get(0);
        assertThat(fault.get("file").asString()).isEqualTo(file);
        assertThat(fault.get("field").asString()).isEqualTo("id");
        assertThat(fault.get("words").asString()).isEqualTo("It is missing.");
    }

    @ParameterizedTest
    @ValueSource(strings = {"", "not json", "[1]", "\"text\"", "{\"unheard\": 1}", "{}"})
    void a_line_that_is_no_row_is_named_and_the_rest_comes_in(String line) throws Exception {
        byte[] archive = with(archive(giver, ""), "tables/reading.jsonl", text -> line + "\n" + text);

        JsonNode view = bring(taker, "", archive);

        assertThat(view.get("faultCount").asInt()).isEqualTo(1);
        assertThat(view.get("faults").get(0).get("line").asInt()).isEqualTo(1);
        assertThat(count(view, "READING")).containsExactly(1, 0);
    }

    @Test
    void what_is_no_archive_is_refused() throws Exception {
        for (byte[] foreign : List.of(
                new byte[0],
                "PK nothing".getBytes(StandardCharsets.UTF_8),
                with(archive(giver, ""), "archive.json", text -> "{}"),
                with(archive(giver, ""), "archive.json", text -> text.replace(":1", ":2")))) {
            send(taker, "/api/archive/preview", foreign)
                    .andExpect(status().is4xxClientError())
                    .andExpect(jsonPath("$.code").exists());
        }
    }

    @Test
    void a_tank_of_which_the_impossible_is_told_is_refused_by_name() throws Exception {
        byte[] archive = with(
                archive(giver, ""),
                "tables/filter.jsonl",
                text -> text.replace("\"hoseM\": null", "\"hoseM\": \"wet\""));

        send(taker, "/api/archive/preview", archive)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].message").value(org.hamcrest.Matchers.containsString("Brook")));
        assertThat(site.read(site.get(taker, "/api/tanks")).size()).isZero();
    }

    @Test
    void it_is_for_keepers() throws Exception {
        byte[] archive = archive(giver, "");
        for (Role role : List.of(Role.HELPER, Role.VIEWER)) {
            send(site.personOf(taker, role), "/api/archive", archive).andExpect(status().isForbidden());
        }
    }
}
