package app.chervil.server.procedure;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.SignedIn;
import java.util.List;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import org.junit.jupiter.params.ParameterizedTest;
import org.junit.jupiter.params.provider.CsvSource;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;

/** A guided service from its start to the log. */
@ChervilTest
class GuidedApiTest extends GuidedSite {
    private static final String END = "{\"note\": \"\", \"leftOffReason\": \"\", \"parts\": []}";

    @Test
    void foam_lifted_to_reach_another_is_washed_and_logged() throws Exception {
        site.put(keeper, path, """
                {"filterId": %d, "tasks": [%d], "chores": []}""".formatted(weir.get("id").asLong(), task("Rinse the coarse foam")))
                .andExpect(status().isOk());
        JsonNode view = site.read(site.get(keeper, path));
        String pad = view.get("steps")
                .valueStream()
                .filter(step -> step.get("text").asString().startsWith("Lay a new fine pad"))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asString();
        send(event("DONE", pad, ""));

        finish(END)
                .andExpect(jsonPath("$.service.tasks[?(@.name == 'Change the fine pad')]")
                        .isNotEmpty());
    }

    @Test
    void starting_twice_under_one_id_starts_once() throws Exception {
        JsonNode first = site.read(start("Rinse the pre-filter"));

        assertThat(site.read(start("Rinse the pre-filter"))).isEqualTo(first);
        site.get(keeper, "/api/guided-services")
                .andExpect(jsonPath("$.length()").value(1));
    }

    @Test
    void an_event_sent_twice_is_kept_once_and_order_is_kept() throws Exception {
        start("Rinse the pre-filter");
        String gloves = event("DONE", "gloves:filter", "");
        String stop = event("DONE", "stop:filter", "");
        send(gloves);

        JsonNode view = site.read(send(gloves + ", " + stop));

        assertThat(view.get("events").valueStream().map(event -> event.get("step")
                        .asString()))
                .containsExactly("gloves:filter", "stop:filter");
        assertThat(view.get("events").get(0).get("doneBy").asString()).isEqualTo(keeper.name());
    }

    @Test
    void it_cannot_be_closed_while_the_filter_is_off_unless_a_reason_is_written() throws Exception {
        start("Rinse the pre-filter");
        String squeeze = "out:" + stage("PREFILTER_SPONGE");
        send(event("DONE", "stop:filter", ""), event("DONE", squeeze, ""));

        finish(END)
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("pump-not-confirmed"));
        finish(END.replace("\"leftOffReason\": \"\"", "\"leftOffReason\": \"Impeller broke\""))
                .andExpect(status().isOk());

        site.get(keeper, "/api/guided-services")
                .andExpect(jsonPath("$[0].offSince").exists());
        site.post(keeper, path + "/running", "").andExpect(status().isNoContent());
        site.get(keeper, "/api/guided-services")
                .andExpect(jsonPath("$.length()").value(0));
    }

    @Test
    void finishing_writes_findings_and_flow_into_the_log_and_tells_what_moved() throws Exception {
        start("Rinse the pre-filter");
        String out = "out:" + stage("PREFILTER_SPONGE");
        send(
                event("FLOW_BEFORE", "flow-before:filter", "640.5"),
                event("DONE", "stop:filter", ""),
                event("FINDING", out, "LIGHT"),
                event("FINDING", out, "HEAVY"),
                event("DONE", out, ""),
                event("DONE", "start:filter", ""));

        finish(END)
                .andExpect(jsonPath("$.service.tasks.length()").value(1))
                .andExpect(jsonPath("$.service.tasks[0].finding").value("HEAVY"))
                .andExpect(jsonPath("$.service.flows[0].beforeLph").value(640.5))
                .andExpect(jsonPath("$.moved[0].name").value("Rinse the pre-filter"));
    }

    @Test
    void taking_the_stop_or_the_start_back_turns_the_clock_back_too() throws Exception {
        start("Rinse the pre-filter");
        send(event("DONE", "stop:filter", "")).andExpect(jsonPath("$.offSince").value("2026-06-01T11:00:00Z"));
        send(event("UNDONE", "stop:filter", ""))
                .andExpect(jsonPath("$.offSince").doesNotExist());
        send(event("DONE", "stop:filter", ""), event("DONE", "start:filter", ""))
                .andExpect(jsonPath("$.offSince").doesNotExist());
        send(event("UNDONE", "start:filter", ""))
                .andExpect(jsonPath("$.offSince").value("2026-06-01T11:00:00Z"));
    }

    @ParameterizedTest(name = "{0} {1}")
    @CsvSource({"FINDING, FILTHY", "FLOW_BEFORE, NaN", "FLOW_AFTER, -3", "FLOW_AFTER, 1000001", "TASK_ADDED, seals"})
    void a_value_that_does_not_fit_is_refused_and_nothing_of_the_lot_is_kept(String kind, String value)
            throws Exception {
        start("Rinse the pre-filter");

        send(event("DONE", "gloves:filter", ""), event(kind, "out:1", value))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("events[1].value"));
        site.get(keeper, path).andExpect(jsonPath("$.events").isEmpty());
    }

    @Test
    void after_the_end_what_was_sent_before_is_known_and_what_is_new_is_refused() throws Exception {
        start("Rinse the pre-filter");
        String done = event("DONE", "out:" + stage("PREFILTER_SPONGE"), "");
        send(done);
        finish(END).andExpect(status().isOk());

        send(done).andExpect(status().isOk()).andExpect(jsonPath("$.finishedAt").exists());
        send(done, event("DONE", "stop:filter", ""))
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.code").value("ended"));

        site.get(keeper, path)
                .andExpect(jsonPath("$.events.length()").value(1))
                .andExpect(jsonPath("$.offSince").doesNotExist());
    }

    @Test
    void a_stop_that_was_skipped_after_all_counts_no_minutes() throws Exception {
        start("Rinse the pre-filter");
        send(
                event("DONE", "stop:filter", "").replace("T11:", "T05:"),
                event("SKIPPED", "stop:filter", "It has no plug"),
                event("DONE", "out:" + stage("PREFILTER_SPONGE"), ""));

        finish(END)
                .andExpect(jsonPath("$.service.circumstances.filterOffMinutes").doesNotExist());
    }

    @Test
    void a_task_found_necessary_on_the_way_joins_without_losing_a_tick() throws Exception {
        JsonNode view = site.read(start("Rinse the pre-filter"));
        send(event("DONE", "gloves:filter", ""));

        JsonNode more = site.read(send(event("TASK_ADDED", "", Long.toString(task("Dip bio media")))));

        List<String> ids = more.get("steps")
                .valueStream()
                .map(step -> step.get("id").asString())
                .toList();
        assertThat(ids)
                .containsAll(view.get("steps")
                        .valueStream()
                        .map(step -> step.get("id").asString())
                        .toList())
                .contains("dip:" + stage("BIO_MEDIA"));
    }

    @Test
    void nothing_was_done_so_it_may_be_dropped_but_not_logged() throws Exception {
        start("Rinse the pre-filter");

        finish(END).andExpect(jsonPath("$.errors[0].code").value("nothing-done"));
        site.delete(keeper, path).andExpect(status().isNoContent());
        site.get(keeper, path).andExpect(status().isNotFound());
    }

    @Test
    void work_on_hold_begins_only_with_a_reason_that_the_log_keeps() throws Exception {
        site.post(keeper, "/api/tanks/" + tank + "/medications", """
            {"product": "A remedy", "firstDay": "2026-05-30"}""");
        start("Dip bio media")
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("overrideReason"));

        site.put(keeper, path, """
            {"filterId": %d, "tasks": [%d], "chores": [], "overrideReason": "It smells"}""".formatted(weir.get("id").asLong(), task("Dip bio media")))
                .andExpect(status().isOk());
        send(event("DONE", "dip:" + stage("BIO_MEDIA"), ""));

        finish(END).andExpect(jsonPath("$.service.circumstances.overrideReason").value("It smells"));
    }

    @Test
    void an_exchange_of_media_is_planned_within_its_share_and_logged_when_it_was_done() throws Exception {
        JsonNode weighed = site.read(site.post(
                keeper,
                "/api/tanks/" + tank + "/filters",
                TestSite.canister("Creek", "2026-01-01")
                        .replace("\"kind\": \"BIO_MEDIA\",", "\"kind\": \"BIO_MEDIA\", \"massG\": 1000,")));
        site.delete(keeper, "/api/filters/" + weir.get("id").asLong());
        weir = weighed;
        String exchange = """
            {"filterId": %d, "tasks": [], "chores": ["BIO_PART_REPLACED"], "media": {"stageId": %d, "grams": %s}}""";
        long filter = weir.get("id").asLong();

        site.put(keeper, path, exchange.formatted(filter, stage("BIO_MEDIA"), "501"))
                .andExpect(jsonPath("$.errors[0].code").value("too-much-media"));
        site.put(keeper, path, exchange.formatted(filter, stage("BIO_MEDIA"), "400"))
                .andExpect(
                        jsonPath("$.steps[?(@.id == 'bio-new:filter')].text")
                                .value(
                                        "Rinse the dust off the new media. Exchange the planned 400 g, and put old beside new."));
        send(event("DONE", "bio-new:filter", ""));
        finish(END).andExpect(jsonPath("$.service.note").value("Replaced part of the bio media."));

        site.get(keeper, "/api/tanks/" + tank + "/media-replacements")
                .andExpect(jsonPath("$[0].grams").value(400.0));
    }

    @Test
    void parts_used_and_a_filter_off_for_five_hours_stand_in_the_log_and_set_a_watch() throws Exception {
        start("Change the fine pad");
        send(
                event("DONE", "stop:filter", "").replace("T11:", "T05:"),
                event("DONE", "out:" + stage("FINE_PAD"), ""),
                event("DONE", "start:filter", "").replace("T11:", "T10:"));

        finish(END.replace("[]", "[{\"thing\": \"Fine pad\", \"quantity\": 2}]"))
                .andExpect(jsonPath("$.service.circumstances.parts[0].quantity").value(2))
                .andExpect(jsonPath("$.service.circumstances.filterOffMinutes").value(300));

        site.get(keeper, "/api/tanks/" + tank + "/water")
                .andExpect(jsonPath("$.due.length()").value(0));
        site.get(keeper, "/api/tanks/" + tank + "/watches")
                .andExpect(jsonPath("$[0].from").value("2026-06-02"))
                .andExpect(jsonPath("$[0].why").value("The filter was off for over four hours"));
    }

    @Test
    void a_service_of_another_site_is_not_found() throws Exception {
        start("Rinse the pre-filter");
        SignedIn stranger = site.keeper();

        site.get(stranger, path).andExpect(status().isNotFound());
        site.post(stranger, path + "/events", "{\"events\": []}").andExpect(status().isNotFound());
        site.post(stranger, path + "/finish", END).andExpect(status().isNotFound());
        site.get(stranger, "/api/guided-services")
                .andExpect(jsonPath("$.length()").value(0));
    }

    private long stage(String kind) {
        return weir.get("stages")
                .valueStream()
                .filter(stage -> stage.get("kind").asString().equals(kind))
                .findFirst()
                .orElseThrow()
                .get("id")
                .asLong();
    }

    private ResultActions start(String task) throws Exception {
        return site.put(keeper, path, """
            {"filterId": %d, "tasks": [%d], "chores": []}""".formatted(weir.get("id").asLong(), task(task)));
    }

    private ResultActions send(String... events) throws Exception {
        return site.post(keeper, path + "/events", "{\"events\": [" + String.join(", ", events) + "]}");
    }

    private ResultActions finish(String end) throws Exception {
        return site.post(keeper, path + "/finish", end);
    }

    private static String event(String kind, String step, String value) {
        return """
            {"id": "%s", "happenedAt": "2026-06-01T11:00:00Z", "kind": "%s", "step": "%s", "value": "%s"}""".formatted(UUID.randomUUID(), kind, step, value);
    }
}
