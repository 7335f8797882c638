package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.post;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.TestSite;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import app.chervil.server.procedure.GuidedOperations;
import java.nio.file.Path;
import java.time.Clock;
import java.time.Duration;
import java.time.Instant;
import java.time.temporal.ChronoUnit;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.UUID;
import java.util.stream.IntStream;
import org.junit.jupiter.api.BeforeEach;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import org.springframework.jdbc.core.JdbcTemplate;
import org.springframework.test.web.servlet.MockMvc;
import org.springframework.test.web.servlet.ResultActions;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

@ChervilTest
class DeviceApiTest {
    private static final String NOBODY = "no-such-token";

    @Autowired
    TestSite site;

    @Autowired
    MockMvc mvc;

    @Autowired
    JdbcTemplate database;

    @Autowired
    Clock clock;

    @Autowired
    SignalOperations signals;

    @Autowired
    VigilOperations vigils;

    @Autowired
    GuidedOperations guided;

    private final JsonMapper json = JsonMapper.builder().build();
    private SignedIn keeper;
    private long tank;
    private JsonNode filter;

    /** A device that was fitted. */
    private record Fitted(long id, String token) {}

    @BeforeEach
    void begin() throws Exception {
        keeper = site.keeper();
        tank = site.tank(keeper);
        filter = site.canister(keeper, tank, "Weir", "2026-05-01");
    }

    private Fitted fit(String kind, String place) throws Exception {
        JsonNode made =
                site.read(site.post(keeper, "/api/devices", input(kind, place)).andExpect(status().isCreated()));
        return new Fitted(made.get("id").asLong(), made.get("token").asString());
    }

    private String input(String kind, String place) {
        return """
                {"kind": "%s", "name": "%s of Weir", "tankId": %d, "fittedOn": "2026-05-01" %s}""".formatted(kind, kind, tank, place);
    }

    private String onFilter() {
        return ", \"filterId\": " + filter.get("id").asLong();
    }

    private String onStage() {
        return onFilter() + ", \"stageId\": "
                + filter.get("stages").get(0).get("id").asLong();
    }

    private Instant ago(long minutes) {
        return clock.instant().minus(Duration.ofMinutes(minutes));
    }

    private static String reading(Instant at, Object value) {
        return "{\"at\": \"" + at + "\", \"value\": " + value + "}";
    }

    private ResultActions tell(String token, String... readings) throws Exception {
        return send(token, "{\"readings\": [" + String.join(",", readings) + "]}");
    }

    private ResultActions send(String token, String body) throws Exception {
        return mvc.perform(post("/api/device-readings")
                .header("Authorization", "Bearer " + token)
                .contentType(MediaType.APPLICATION_JSON)
                .content(body));
    }

    private JsonNode alerts() throws Exception {
        return site.read(site.get(keeper, "/api/alerts")).get("alerts");
    }

    private List<String> standing() throws Exception {
        return alerts().valueStream()
                .filter(alert -> !alert.has("endedAt"))
                .map(alert -> alert.get("alarm").asString())
                .toList();
    }

    @Test
    void readings_come_in_by_the_devices_own_token_and_are_shown() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");

        tell(probe.token(), reading(ago(2), 24.5), reading(ago(1), 24.6))
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.taken").value(2))
                .andExpect(jsonPath("$.refused").isEmpty());

        site.get(keeper, "/api/devices")
                .andExpect(jsonPath("$[0].value").value(24.6))
                .andExpect(jsonPath("$[0].at").value("Brook"))
                .andExpect(jsonPath("$[0].alarms").isEmpty());
        site.get(keeper, "/api/devices/" + probe.id() + "/series?hours=2")
                .andExpect(jsonPath("$.unit").value("°C"))
                .andExpect(jsonPath("$.points.length()").value(2));
    }

    @Test
    void told_twice_late_and_in_disorder_they_are_there_once_and_come_to_the_same() throws Exception {
        Fitted meter = fit("FLOW", onFilter());
        Fitted orderly = fit("FLOW", onFilter());
        List<String> told = new ArrayList<>(IntStream.range(0, 60)
                .mapToObj(minute -> reading(ago(120L - minute), 800 + minute))
                .toList());
        tell(orderly.token(), told.toArray(String[]::new));

        Random random = new Random(11);
        for (int round = 0; round < 3; round++) {
            Collections.shuffle(told, random);
            for (int from = 0; from < 60; from += 20) {
                tell(meter.token(), told.subList(from, from + 20).toArray(String[]::new))
                        .andExpect(jsonPath("$.taken").value(round == 0 ? 20 : 0))
                        .andExpect(jsonPath("$.known").value(round == 0 ? 0 : 20));
            }
        }

        assertThat(sums(meter)).isEqualTo(sums(orderly));
    }

    private List<String> sums(Fitted device) {
        return database.queryForList(
                "select hour || ' ' || least || ' ' || greatest || ' ' || total || ' ' || readings from device_hour"
                        + " where site_id = ? and device_id = ? order by hour",
                String.class,
                keeper.siteId(),
                device.id());
    }

    @Test
    void what_cannot_be_is_refused_alone() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");

        tell(
                        probe.token(),
                        reading(ago(1), 24.5),
                        reading(ago(2), 99),
                        reading(ago(60 * 49), 24),
                        reading(ago(-60), 24),
                        "{\"value\": 24}")
                .andExpect(status().isOk())
                .andExpect(jsonPath("$.taken").value(1))
                .andExpect(jsonPath("$.refused.length()").value(4))
                .andExpect(jsonPath("$.refused[0].index").value(1))
                .andExpect(jsonPath("$.refused[0].code").value("absurd"))
                .andExpect(jsonPath("$.refused[0].message").value("Temperature probe: -5 to 60 °C."))
                .andExpect(jsonPath("$.refused[1].code").value("too-old"))
                .andExpect(jsonPath("$.refused[2].code").value("ahead"))
                .andExpect(jsonPath("$.refused[3].code").value("incomplete"));
    }

    @Test
    void a_clock_that_is_hours_off_is_borne() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");
        Instant wrong = clock.instant().plus(Duration.ofDays(400));

        send(
                        probe.token(),
                        "{\"sentAt\": \"%s\", \"readings\": [%s]}"
                                .formatted(wrong, reading(wrong.minusSeconds(60), 24.5)))
                .andExpect(jsonPath("$.taken").value(1));

        site.get(keeper, "/api/devices").andExpect(jsonPath("$[0].valueAt").value("2026-06-01T11:59:00Z"));
    }

    @Test
    void a_token_ends_with_the_next_one_and_with_its_device() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");
        String next = site.read(site.post(keeper, "/api/devices/" + probe.id() + "/token", ""))
                .get("token")
                .asString();

        tell(probe.token(), reading(ago(1), 24))
                .andExpect(status().isUnauthorized())
                .andExpect(jsonPath("$.errors[0].code").value(NOBODY));
        tell(next, reading(ago(1), 24)).andExpect(status().isOk());

        site.delete(keeper, "/api/devices/" + probe.id()).andExpect(status().isNoContent());
        tell(next, reading(ago(1), 24)).andExpect(status().isUnauthorized());
        site.get(keeper, "/api/devices").andExpect(jsonPath("$").isEmpty());
    }

    @Test
    void a_token_opens_nothing_but_its_own_readings() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");
        JsonNode paths = json.readTree(Path.of("openapi.json")).get("paths");
        List<String> open = List.of(
                "/api/session",
                "/api/setup",
                "/api/demo-session/{login}",
                "/api/invitation-look",
                "/api/joining",
                "/api/recovery",
                "/api/passkey-options",
                "/api/passkey-session",
                "/api/device-readings");

        int asked = 0;
        for (String path : paths.propertyNames()) {
            for (String method : paths.get(path).propertyNames()) {
                if (!open.contains(path) && path.startsWith("/api/")) {
                    mvc.perform(request(
                                            HttpMethod.valueOf(method.toUpperCase(Locale.ROOT)),
                                            path.replaceAll("\\{[^}]+}", "1"))
                                    .header("Authorization", "Bearer " + probe.token())
                                    .with(org.springframework.security.test.web.servlet.request
                                            .SecurityMockMvcRequestPostProcessors.csrf())
                                    .contentType(MediaType.APPLICATION_JSON)
                                    .content("{}"))
                            .andExpect(status().isUnauthorized());
                    asked++;
                }
            }
        }
        assertThat(asked).isGreaterThan(150);
    }

    @Test
    void only_a_mark_of_a_token_is_stored() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");

        assertThat(database.queryForObject(
                        "select mark from device_token where site_id = ? and device_id = ?",
                        String.class,
                        keeper.siteId(),
                        probe.id()))
                .hasSize(64)
                .doesNotContain(probe.token());
    }

    @Test
    void a_flood_is_held_up_and_says_when_to_come_again() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");
        String[] thousand = IntStream.range(0, 1000)
                .mapToObj(second -> reading(clock.instant().minusSeconds(second), 24))
                .toArray(String[]::new);
        for (int batch = 0; batch < 10; batch++) {
            tell(probe.token(), thousand).andExpect(status().isOk());
        }

        tell(probe.token(), thousand)
                .andExpect(status().isTooManyRequests())
                .andExpect(header().string("Retry-After", "20"));
    }

    @Test
    void a_filter_that_is_off_is_told_at_once_and_louder_after_half_an_hour() throws Exception {
        Fitted plug = fit("PLUG", onFilter());
        tell(plug.token(), reading(ago(60), 20), reading(ago(5), 0));
        assertThat(standing()).containsExactly("FILTER_OFF");

        Fitted other = fit("PLUG", onFilter());
        tell(other.token(), reading(ago(60), 20), reading(ago(34), 0));
        JsonNode longer = alerts().get(0);
        assertThat(standing()).containsExactlyInAnyOrder("FILTER_OFF_LONG", "FILTER_OFF");
        assertThat(alerts().valueStream().map(alert -> alert.get("what").asString()))
                .contains("Weir has been off for 34 minutes.", "Weir is off.");
        assertThat(longer.get("filterId").asLong()).isEqualTo(filter.get("id").asLong());

        tell(other.token(), reading(ago(1), 20));
        assertThat(standing()).containsExactly("FILTER_OFF");
    }

    @Test
    void one_whose_connection_broke_is_silent_after_two_minutes_and_no_longer_once_it_speaks() throws Exception {
        Fitted leak = fit("LEAK", "");
        tell(leak.token(), reading(ago(1), 0));
        signals.gone(new DeviceMapper.Place(keeper.siteId(), leak.id()));
        vigils.look(keeper.siteId());
        assertThat(standing()).isEmpty();

        database.update(
                "update device_state set gone_at = gone_at - interval '2 minutes' where device_id = ?", leak.id());
        vigils.look(keeper.siteId());
        assertThat(standing()).containsExactly("SILENT");

        tell(leak.token(), reading(ago(0), 0));
        vigils.look(keeper.siteId());
        assertThat(standing()).isEmpty();
    }

    @Test
    void no_alert_stands_twice_however_often_it_is_told() throws Exception {
        Fitted leak = fit("LEAK", "");
        for (int second = 0; second < 5; second++) {
            tell(leak.token(), reading(clock.instant().minusSeconds(60 - second), 1));
        }

        assertThat(standing()).containsExactly("LEAK");
        assertThat(alerts()).hasSize(1);
    }

    @Test
    void an_alert_is_seen_silenced_and_ended() throws Exception {
        Fitted leak = fit("LEAK", "");
        tell(leak.token(), reading(ago(2), 1));
        String alert = "/api/alerts/" + alerts().get(0).get("id").asLong();
        SignedIn helper = site.helperOf(keeper);

        site.put(helper, alert + "/quiet", "{\"minutes\": 121}").andExpect(status().isUnprocessableContent());
        site.put(helper, alert + "/quiet", "{\"minutes\": 30}").andExpect(status().isNoContent());
        site.put(keeper, alert + "/seen", "").andExpect(status().isNoContent());

        assertThat(alerts().get(0).get("seenBy").asString()).isEqualTo(helper.name());
        assertThat(alerts().get(0).get("quietUntil").asString()).isEqualTo("2026-06-01T12:30:00Z");
        tell(leak.token(), reading(ago(1), 0));
        assertThat(standing()).isEmpty();
        site.put(site.personOf(keeper, Role.VIEWER), alert + "/seen", "").andExpect(status().isForbidden());
        site.put(site.keeper(), alert + "/seen", "").andExpect(status().isNotFound());
    }

    @Test
    void a_leak_is_quiet_while_a_service_of_its_tank_runs() throws Exception {
        Fitted leak = fit("LEAK", "");
        tell(leak.token(), reading(ago(2), 1));
        beginService();

        tell(leak.token(), reading(ago(1), 1));

        assertThat(standing()).isEmpty();
    }

    private String beginService() throws Exception {
        String service = "/api/guided-services/" + UUID.randomUUID();
        site.put(keeper, service, """
                        {"filterId": %d, "tasks": [%d], "chores": []}""".formatted(
                                filter.get("id").asLong(), TestSite.task(filter, "Rinse the pre-filter")))
                .andExpect(status().isOk());
        return service;
    }

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

    @Test
    void the_rounds_ask_for_its_test_and_a_slip_is_taken_back() throws Exception {
        Fitted leak = fit("LEAK", "");
        change(leak, "2026-03-01");
        JsonNode asked = looks().get(0);
        assertThat(asked.get("words").asString()).startsWith("Touch LEAK of Weir with a wet finger");
        String done = "/api/follow-ups/" + asked.get("id").asString() + "/done";

        site.put(keeper, done, "").andExpect(status().isNoContent());
        site.put(keeper, done, "").andExpect(status().isNoContent());
        assertThat(looks()).isEmpty();
        site.get(keeper, "/api/devices").andExpect(jsonPath("$[0].testedOn").value("2026-06-01"));

        site.delete(keeper, done).andExpect(status().isNoContent());
        assertThat(looks().get(0).get("id")).isEqualTo(asked.get("id"));
        site.put(site.keeper(), done, "").andExpect(status().isNotFound());
    }

    private void change(Fitted device, String fittedOn) throws Exception {
        site.put(keeper, "/api/devices/" + device.id(), """
                {"name": "LEAK of Weir", "fittedOn": "%s"}""".formatted(fittedOn)).andExpect(status().isNoContent());
    }

    private List<JsonNode> looks() throws Exception {
        return site.read(site.get(keeper, "/api/rounds"))
                .get("looks")
                .valueStream()
                .toList();
    }

    @Test
    void a_counter_of_lamp_hours_belongs_on_a_lamp() throws Exception {
        site.post(keeper, "/api/devices", input("LAMP", onStage()))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].code").value("not-a-lamp"));
    }

    @Test
    void a_device_is_fitted_where_it_belongs_and_nowhere_else() throws Exception {
        site.post(keeper, "/api/devices", input("FLOW", ""))
                .andExpect(status().isUnprocessableContent())
                .andExpect(jsonPath("$.errors[0].field").value("filterId"));
        site.post(keeper, "/api/devices", input("BUTTON", onFilter()))
                .andExpect(jsonPath("$.errors[0].field").value("stageId"));
        site.post(keeper, "/api/devices", input("BUTTON", onFilter() + ", \"stageId\": 999999"))
                .andExpect(jsonPath("$.errors[0].code").value("not-here"));
        site.post(site.keeper(), "/api/devices", input("LEAK", "")).andExpect(status().isNotFound());
        site.post(site.helperOf(keeper), "/api/devices", input("LEAK", "")).andExpect(status().isForbidden());
    }

    @Test
    void a_device_of_another_site_is_not_there() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");
        SignedIn stranger = site.keeper();
        String path = "/api/devices/" + probe.id();

        site.get(stranger, "/api/devices").andExpect(jsonPath("$").isEmpty());
        site.get(stranger, path + "/series?hours=1").andExpect(status().isNotFound());
        site.post(stranger, path + "/token", "").andExpect(status().isNotFound());
        site.delete(stranger, path).andExpect(status().isNotFound());
        site.put(stranger, path + "/tested", "").andExpect(status().isNotFound());
    }

    @Test
    void readings_and_silence_do_not_make_the_site_be_read_anew() throws Exception {
        Fitted probe = fit("TEMPERATURE", "");
        long before = revision();

        tell(probe.token(), reading(ago(2), 24.5), reading(ago(1), 10));

        assertThat(revision()).isEqualTo(before);
    }

    private long revision() {
        return database.queryForObject(
                "select revision from site_revision where site_id = ?", Long.class, keeper.siteId());
    }
}
