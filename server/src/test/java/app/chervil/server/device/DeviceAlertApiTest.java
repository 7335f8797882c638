package app.chervil.server.device;

import static org.assertj.core.api.Assertions.assertThat;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.jsonPath;
import static org.springframework.test.web.servlet.result.MockMvcResultMatchers.status;

import app.chervil.server.ChervilTest;
import app.chervil.server.account.Role;
import app.chervil.server.account.SignedIn;
import org.junit.jupiter.api.Test;
import org.springframework.beans.factory.annotation.Autowired;
import tools.jackson.databind.JsonNode;

/** What devices are alarmed about, and when they are to be tried out. */
@ChervilTest
class DeviceAlertApiTest extends FittedSite {
    @Autowired
    SignalOperations signals;

    @Autowired
    VigilOperations vigils;

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
}
