package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.UUID;
import org.junit.jupiter.api.Test;
import tools.jackson.databind.JsonNode;

/** What devices tell of work and of dates: plugs, buttons, flow meters and counters of hours. */
@ChervilTest
class DeviceWorkApiTest extends FittedSite {
    @Test
    void the_clock_of_a_service_goes_by_what_the_plug_sees_and_no_step_is_ticked_by_it() throws Exception {
        Fitted plug = fit("PLUG", onFilter());
        tell(plug.token(), reading(ago(40), 15));
        String service = beginService();
        Instant off = ago(25).truncatedTo(ChronoUnit.MILLIS);

        tell(plug.token(), reading(off, 0), reading(ago(24), 0));
        tell(plug.token(), reading(off, 0));

        site.get(keeper, service)
                .andExpect(jsonPath("$.offSince").value(off.toString()))
                .andExpect(jsonPath("$.events.length()").value(1))
                .andExpect(jsonPath("$.events[0].kind").value("SEEN_OFF"))
                .andExpect(jsonPath("$.events[0].doneBy").value("PLUG of Weir"));
        tell(plug.token(), reading(ago(5), 15));
        site.get(keeper, service)
                .andExpect(jsonPath("$.offSince").doesNotExist())
                .andExpect(jsonPath("$.events.length()").value(2));
    }

    @Test
    void what_a_plug_sees_is_nobodys_work() throws Exception {
        Fitted plug = fit("PLUG", onFilter());
        tell(plug.token(), reading(ago(40), 15));
        String service = beginService();
        Instant begun = guided.atWork(keeper).get(tank);

        tell(plug.token(), reading(ago(-1), 0));

        assertThat(guided.atWork(keeper).get(tank)).isEqualTo(begun);
        site.delete(keeper, service).andExpect(status().isNoContent());
        site.get(keeper, service).andExpect(status().isNotFound());
    }

    @Test
    void a_service_that_begins_with_the_filter_off_knows_since_when() throws Exception {
        Fitted plug = fit("PLUG", onFilter());
        Instant off = ago(25).truncatedTo(ChronoUnit.MILLIS);
        tell(plug.token(), reading(ago(40), 15), reading(off, 0));

        site.get(keeper, beginService()).andExpect(jsonPath("$.offSince").value(off.toString()));
    }

    @Test
    void a_person_cannot_speak_for_a_plug() throws Exception {
        site.post(keeper, beginService() + "/events", """
                        {"events": [{"id": "%s", "happenedAt": "%s", "kind": "SEEN_ON", "step": "", "value": ""}]}""".formatted(UUID.randomUUID(), ago(1)))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("not-understood"));
    }

    @Test
    void a_plug_goes_on_only_with_a_persons_word_and_never_during_a_service() throws Exception {
        Fitted plug = fit("PLUG", onFilter());
        String turn = "/api/devices/" + plug.id() + "/switch";

        site.post(keeper, turn, "{\"on\": true}")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.errors[0].code").value("not-confirmed"));
        // It may, but nothing leads to it here.
        site.post(keeper, turn, "{\"on\": true, \"confirmed\": true}")
                .andExpect(status().isServiceUnavailable())
                .andExpect(jsonPath("$.errors[0].code").value("plug-away"));
        beginService();
        site.post(keeper, turn, "{\"on\": true, \"confirmed\": true}")
                .andExpect(status().isConflict())
                .andExpect(jsonPath("$.errors[0].code").value("service-running"));
        site.post(keeper, turn, "{\"on\": false}").andExpect(status().isServiceUnavailable());
    }

    @Test
    void a_press_logs_its_stage_once_and_can_be_taken_back() throws Exception {
        Fitted button = fit("BUTTON", onStage());
        tell(button.token(), reading(ago(3), 1));
        tell(button.token(), reading(ago(3), 1));

        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$.length()").value(1));
        assertThat(alerts().get(0).get("alarm").asString()).isEqualTo("PRESSED");
        assertThat(standing()).isEmpty();

        site.delete(keeper, "/api/alerts/" + alerts().get(0).get("id").asLong() + "/service")
                .andExpect(status().isNoContent());
        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$.length()").value(0));
        tell(button.token(), reading(ago(3), 1));
        site.get(keeper, "/api/tanks/" + tank + "/services")
                .andExpect(jsonPath("$.length()").value(0));
    }

    @Test
    void a_meter_moves_the_date_of_the_stage_that_can_explain_its_fall_and_says_so() throws Exception {
        Fitted meter = fit("FLOW", onFilter());
        site.put(keeper, "/api/services/" + UUID.randomUUID(), """
                        {"tankId": %d, "doneOn": "2026-05-20", "doneBy": "Marit", "note": "", "flows": [], "tasks": [
                          {"taskId": %d, "finding": "MODERATE"}, {"taskId": %d, "finding": "MODERATE"}]}""".formatted(
                                tank,
                                TestSite.task(filter, "Rinse the pre-filter"),
                                TestSite.task(filter, "Open canister Weir")))
                .andExpect(status().isOk());
        String before = reasons();
        for (int day = 21; day <= 31; day++) {
            database.update(
                    "insert into metered_flow (site_id, filter_id, day, litres_per_hour) values (?, ?, ?::date, ?)",
                    keeper.siteId(),
                    filter.get("id").asLong(),
                    "2026-05-" + day,
                    day < 24 ? 800.0 : 800.0 - 30 * (day - 23));
        }
        assertThat(before).doesNotContain("Its meter reads");

        tell(meter.token(), reading(ago(10), 540));

        assertThat(reasons()).contains("Its meter reads").contains("so it comes sooner");
    }

    @Test
    void a_meter_over_a_filter_that_stood_for_a_while_says_what_it_moves_while_it_runs() throws Exception {
        Fitted meter = fit("FLOW", onFilter());
        tell(meter.token(), reading(ago(200), 800), reading(ago(190), 800));
        tell(meter.token(), reading(ago(180), 0), reading(ago(170), 0), reading(ago(160), 0), reading(ago(150), 804));

        assertThat(database.queryForObject(
                        "select litres_per_hour from metered_flow where site_id = ?", Double.class, keeper.siteId()))
                .isBetween(799.0, 804.0);
    }

    private String reasons() throws Exception {
        return site.read(site.get(keeper, "/api/forecasts")).toString();
    }

    @Test
    void counted_hours_take_the_place_of_guessed_ones() throws Exception {
        JsonNode uv = site.read(site.post(keeper, "/api/tanks/" + tank + "/filters", """
                {"name": "Lamp", "kind": "CANISTER", "direction": "BOTTOM_UP", "rating": {}, "careFrom": "2026-05-30",
                 "stages": [{"kind": "UV_LAMP", "label": "", "quantity": 1, "make": "DISPOSABLE", "bagged": false,
                   "fittedOn": "2026-05-30"}]}"""));
        String place = ", \"filterId\": " + uv.get("id").asLong() + ", \"stageId\": "
                + uv.get("stages").get(0).get("id").asLong();
        Fitted counter = fit("LAMP", place);

        tell(counter.token(), reading(ago(26 * 60), 3010), reading(ago(25 * 60), 3011), reading(ago(1), 3018));
        tell(counter.token(), reading(ago(26 * 60), 3010));

        assertThat(site.read(site.get(keeper, "/api/tanks/" + tank + "/looks"))
                        .valueStream()
                        .map(look -> look.get("on").asString() + " "
                                + look.get("amount").asDouble() + " "
                                + look.get("lookedBy").asString())
                        .toList())
                .containsExactly("2026-06-01 3018.0 LAMP of Weir", "2026-05-31 3010.0 LAMP of Weir");
        JsonNode lamp = site.read(site.get(keeper, "/api/forecasts"))
                .valueStream()
                .filter(one -> one.get("subject").get("name").asString().contains("UV lamp"))
                .findFirst()
                .orElseThrow();
        assertThat(lamp.get("reasons").get(0).asString()).startsWith("Its counter read 3,018 h on 1 June.");
    }
}
