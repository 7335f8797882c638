package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.request.MockMvcRequestBuilders.request;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.header;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.account.SignedIn;
import java.nio.file.Path;
import java.time.Duration;
import java.time.Instant;
import java.util.ArrayList;
import java.util.Collections;
import java.util.List;
import java.util.Locale;
import java.util.Random;
import java.util.stream.IntStream;
import org.junit.jupiter.api.Test;
import org.springframework.http.HttpMethod;
import org.springframework.http.MediaType;
import tools.jackson.databind.JsonNode;
import tools.jackson.databind.json.JsonMapper;

/** Devices, their tokens, and what they read. */
@ChervilTest
class DeviceApiTest extends FittedSite {
    private static final String NOBODY = "no-such-token";
    private final JsonMapper json = JsonMapper.builder().build();

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
